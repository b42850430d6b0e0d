/** Kinds of motor as a sheet offers them: the families of the knowledge that have windings to read. */
export const MOTOR_KINDS = [
  { value: "capacitor-start", label: "Capacitor start" },
  { value: "capacitor-start-run", label: "Capacitor start and run" },
  { value: "permanent-split-capacitor", label: "Run capacitor" },
  { value: "split-phase", label: "Split phase" },
  { value: "shaded-pole", label: "Shaded pole" },
  { value: "synchronous", label: "Small synchronous" },
  { value: "universal", label: "Universal" },
  { value: "permanent-magnet-dc", label: "Magnet, brushed" },
  { value: "electronically-commutated", label: "Commutated by a board" },
  { value: "three-phase", label: "Three-phase" },
  { value: "not-known", label: "Not known" },
] as const;

export type MotorKind = (typeof MOTOR_KINDS)[number]["value"];

/** Kinds with a run and a start winding at right angles. */
export const TWO_WINDINGS: ReadonlySet<MotorKind> = new Set([
  "capacitor-start",
  "capacitor-start-run",
  "permanent-split-capacitor",
  "split-phase",
]);
