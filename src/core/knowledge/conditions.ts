/**
 * Every condition a machine can be in, with its values from good to bad. The power path computes with these ids and the
 * pages of faults and moves name them: a page that names another does not compile.
 */

/** Set by a fault at its own station. */
export const LOCAL_CONDITIONS = {
  outlet: ["full", "low", "none"],
  cord: ["closed", "open"],
  "protection-path": ["closed", "open"],
  breaker: ["strong", "weak"],
  interlock: ["closed", "open"],
  "switch-path": ["closed", "resistive", "open"],
  control: ["full", "partial", "dead"],
  coil: ["whole", "open"],
  "relay-contact": ["closed", "open"],
  connection: ["tight", "resistive", "open"],
  wiring: ["right", "wrong"],
  thermal: ["closed", "cycling", "open"],
  "start-path": ["closed", "weak", "open"],
  "run-boost": ["full", "weak"],
  "start-drops-out": ["yes", "no"],
  "main-winding": ["whole", "shorted", "open"],
  "start-winding": ["whole", "shorted", "open"],
  "motor-circuit": ["closed", "open"],
  armature: ["whole", "dead-spot", "shorted"],
  field: ["whole", "shorted"],
  "brush-contact": ["good", "poor"],
  sparks: ["normal", "heavy"],
  magnet: ["full", "weak"],
  phases: ["all", "one-lost"],
  sensor: ["seen", "lost"],
  short: ["none", "hard"],
  "leak-to-frame": ["none", "some", "hard"],
  "earth-bond": ["whole", "open"],
  rotor: ["whole", "weak"],
  rub: ["none", "rubs"],
  bearing: ["free", "stiff", "locked"],
  /** It stands under what holds it, or is slowed by it: not every motor that is stiff to the hand is. */
  stalls: ["no", "yes"],
  drags: ["no", "yes"],
  /** Current beyond what the load asks for; heavy opens a protector within seconds. */
  pull: ["usual", "more", "heavy"],
  /** What the kind of motor draws when it stands. */
  stalled: ["high", "modest"],
  /** Whether ohms can be read through the machine's own control with power off. */
  "control-path": ["plain", "electronic"],
  /** What the start side is fed through: only a winding alone lets a meter's ohms pass. */
  "start-side": ["capacitor", "winding"],
  "stays-on": ["no", "yes"],
  direction: ["right", "wrong"],
  "bearing-noise": ["quiet", "squeaks", "rough"],
  air: ["open", "blocked"],
  drive: ["through", "slips", "open"],
  gear: ["free", "stiff"],
  load: ["free", "stiff", "locked"],
  flow: ["full", "weak"],
  "part-noise": ["quiet", "rattles"],
  smell: ["none", "burnt"],
} as const;

/** Follows along the power path from the local ones. */
export const DERIVED_CONDITIONS = {
  "supply-voltage": ["full", "low", "none"],
  shaft: ["free", "stiff", "locked"],
  "start-torque": ["full", "weak", "none"],
  turning: ["runs", "slow", "still"],
  voice: ["normal", "growl", "hum", "silent"],
  "run-noise": ["quiet", "squeaks", "rattles", "rough", "scrapes"],
  output: ["moves", "weak", "still"],
  pushed: ["runs", "still"],
  draw: ["normal", "low", "high", "none"],
  trips: ["no", "seconds", "at-once", "residual"],
  lasting: ["holds", "stops"],
  click: ["yes", "no"],
  /** From pin to pin at the plug, unplugged, its switch on. */
  "plug-path": ["closed", "doubtful", "open", "shorted"],
} as const;

export type LocalCondition = keyof typeof LOCAL_CONDITIONS;
export type DerivedCondition = keyof typeof DERIVED_CONDITIONS;
export type ConditionId = LocalCondition | DerivedCondition;

/** One value for every local condition. */
export type Local = { [C in LocalCondition]: (typeof LOCAL_CONDITIONS)[C][number] };
/** One value for every derived condition. */
export type Derived = { [C in DerivedCondition]: (typeof DERIVED_CONDITIONS)[C][number] };

const VALUES: ReadonlyMap<string, readonly string[]> = new Map(
  Object.entries({ ...LOCAL_CONDITIONS, ...DERIVED_CONDITIONS }),
);

export const LOCAL_IDS = Object.keys(LOCAL_CONDITIONS) as readonly LocalCondition[];

/** The values of a condition from good to bad, or undefined where there is no such condition. */
export function valuesOf(id: string): readonly string[] | undefined {
  return VALUES.get(id);
}

export function isCondition(id: string): id is ConditionId {
  return VALUES.has(id);
}
