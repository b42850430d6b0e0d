import { limitOf } from "../knowledge/resolve-limits";
import type { Limits } from "../knowledge/types";
import {
  type Farads,
  farads,
  type Joules,
  joules,
  type Ohms,
  type Seconds,
  seconds,
  type Volts,
  volts,
  type Watts,
  watts,
} from "../quantity/units";

/** Schools of draining a capacitor; the default is named in docs/decisions/0005. */
export const DISCHARGE_SCHOOLS = ["resistor-then-short", "resistor-only", "insulated-short"] as const;
export type DischargeSchool = (typeof DISCHARGE_SCHOOLS)[number];

/** The part to be drained, as its marking tells. */
export interface ChargedPart {
  readonly voltsAc?: Volts | undefined;
  readonly voltsDc?: Volts | undefined;
  /** A running winding lifts what is not for starting alone above the supply. */
  readonly role: "start" | "run" | "not-known";
  /** Largest capacitance the marking allows, all sections together. */
  readonly capacitance: Farads;
  readonly dielectric: "film" | "electrolytic" | "not-known";
  /** On a board behind a rectifier: no running winding lifts it above the peak of the supply. */
  readonly isOnBoard?: boolean;
}

export interface DischargePlan {
  readonly kind: "plan";
  /** Volts it may stand at: √2 times its own marked AC volts, or √2 × factor × supply where that is more or none are marked. */
  readonly startVolts: Volts;
  readonly startFrom: "mark" | "supply" | "lifted";
  readonly capacitance: Farads;
  /** Energy it may hold. */
  readonly energy: Joules;
  /** Time through the resistor down to the safe voltage. */
  readonly time: Seconds;
  readonly safeVolts: Volts;
  /** First instant's power in the resistor. */
  readonly peakPower: Watts;
  /** Volts that may creep back. */
  readonly rebound: Volts;
  /** Whether the school of shorting it at once is allowed for this part. */
  readonly mayShortFirst: boolean;
  readonly dielectric: ChargedPart["dielectric"];
}

/** The resistor at hand, as it is marked; what is not said is not known to bear anything. */
export interface DischargeResistor {
  readonly resistance: Ohms;
  readonly watts: Watts | undefined;
  readonly volts: Volts | undefined;
}

/** A resistor that would burn or flash over: no time is shown with it. */
export interface DischargeRefusal {
  readonly kind: "refuse";
  readonly because: "rating-not-said" | "volts" | "power";
  /** What it must bear, at the least. */
  readonly volts: Volts;
  readonly watts: Watts;
}

/** A part that is passed on: no time is shown for it. */
export interface DischargeReferral {
  readonly kind: "refer";
  /** Its own mark, or what its motor may lift it to. */
  readonly because: "marked" | "lifted";
  /** AC volts; of direct ones what would have their peak. */
  readonly volts: Volts;
  readonly limit: Volts;
}

/**
 * Highest voltage a motor capacitor may be left at, volts.
 * √2 × its own marked AC volts; unmarked, √2 × 1.8 × supply, since a running winding lifts it above the supply.
 * Source: physics, shop-practice.
 * @example startVoltage(450, 230, 1.8) // 636.4
 */
export function startVoltage(
  markedVoltsAc: number | undefined,
  supplyVolts: number,
  unmarkedFactor: number,
): Volts {
  return volts(Math.SQRT2 * (markedVoltsAc ?? unmarkedFactor * supplyVolts));
}

/**
 * Time to drain through a resistor, seconds: t = R·C·ln(V0/Vsafe); 0 when it starts at or below the safe voltage.
 * Source: physics.
 * @example drainTime(ohms(15000), farads(200e-6), volts(325), volts(5)) // 12.5
 */
export function drainTime(resistance: Ohms, capacitance: Farads, from: Volts, to: Volts): Seconds {
  return seconds(from <= to ? 0 : resistance * capacitance * Math.log(from / to));
}

/** Five seconds: the time over which short overloads of resistors are rated. */
const OVERLOAD_S = 5;

/**
 * Watts a resistor must be rated for: the mean of its hardest five seconds, and no more than `overload` times its rating
 * at the first instant. Power falls as e^(−2t/RC), so the mean is E·(1 − e^(−10/RC))/5. Source: physics; overload judged.
 * @example wattsNeeded(ohms(15000), farads(174e-6), volts(354), 5) // 2.13
 */
export function wattsNeeded(resistance: Ohms, capacitance: Farads, from: Volts, overload: number): Watts {
  const peak = (from * from) / resistance;
  const energy = 0.5 * capacitance * from * from;
  const mean = (energy * -Math.expm1((-2 * OVERLOAD_S) / (resistance * capacitance))) / OVERLOAD_S;
  return watts(Math.max(mean, peak / overload));
}

export type UnmarkedStore = "start" | "run" | "bus";

/**
 * The largest capacitor that fits a plate, farads: C = k·P/U², with k by what it is for.
 * @returns undefined where the plate tells no power: then no time can be said
 */
export function largestCapacitance(
  store: UnmarkedStore,
  platePower: Watts | undefined,
  supply: Volts,
  limits: Limits,
): Farads | undefined {
  if (platePower === undefined || platePower <= 0) return undefined;
  return farads((limitOf(limits, `unmarked-${store}-capacitor`).value * platePower) / (supply * supply));
}

function refusal(
  part: ChargedPart,
  resistor: DischargeResistor,
  start: Volts,
  limits: Limits,
): DischargeRefusal | undefined {
  const needed = wattsNeeded(
    resistor.resistance,
    part.capacitance,
    start,
    limitOf(limits, "resistor-overload").value,
  );
  const refuse = (because: DischargeRefusal["because"]): DischargeRefusal => ({
    kind: "refuse",
    because,
    volts: start,
    watts: needed,
  });
  if (resistor.watts === undefined || resistor.volts === undefined) return refuse("rating-not-said");
  if (resistor.volts < start) return refuse("volts");
  return resistor.watts < needed ? refuse("power") : undefined;
}

/**
 * AC volts that a marked part may stand at: what is printed is the least, a running winding may lift it above that. Direct
 * volts count as the AC that has their peak. Nothing where no volts are printed.
 */
function standingVolts(
  { voltsAc, voltsDc, role, isOnBoard }: ChargedPart,
  supply: Volts,
  limits: Limits,
): { readonly marked: number; readonly standing: Volts | undefined } {
  const marked = Math.max(voltsAc ?? 0, (voltsDc ?? 0) / Math.SQRT2);
  if (marked <= 0) return { marked, standing: undefined };
  const isLifted = role !== "start" && isOnBoard !== true;
  const lifted = isLifted ? supply * limitOf(limits, "unmarked-capacitor-volts-factor").value : 0;
  return { marked, standing: volts(Math.max(marked, lifted)) };
}

/**
 * How to drain one capacitor, worked out from its own marking and the resistor at hand.
 * @returns a referral, with no time, for parts marked above the limit (600 V AC): do not touch.
 */
export function planDischarge(
  part: ChargedPart,
  resistor: DischargeResistor,
  supplyVolts: Volts,
  limits: Limits,
): DischargePlan | DischargeReferral | DischargeRefusal {
  const { resistance } = resistor;
  const refer = limitOf(limits, "capacitor-marked-volts-refer");
  const { marked, standing } = standingVolts(part, supplyVolts, limits);
  if (standing !== undefined && standing > refer.value)
    return {
      kind: "refer",
      because: marked > refer.value ? "marked" : "lifted",
      volts: standing,
      limit: volts(refer.value),
    };
  const start = startVoltage(
    standing,
    supplyVolts,
    limitOf(limits, part.isOnBoard ? "board-volts-factor" : "unmarked-capacitor-volts-factor").value,
  );
  const refused = refusal(part, resistor, start, limits);
  if (refused) return refused;
  const safe = volts(limitOf(limits, "safe-to-work-volts").value);
  const energy = joules(0.5 * part.capacitance * start * start);
  const reboundShare = limitOf(
    limits,
    part.dielectric === "film" ? "rebound-film" : "rebound-electrolytic",
  ).value;
  return {
    kind: "plan",
    startVolts: start,
    startFrom: standing === undefined ? "supply" : standing > marked ? "lifted" : "mark",
    capacitance: part.capacitance,
    energy,
    time: drainTime(resistance, part.capacitance, start, safe),
    safeVolts: safe,
    peakPower: watts((start * start) / resistance),
    rebound: volts(start * reboundShare),
    mayShortFirst: energy <= limitOf(limits, "short-energy-max").value,
    dielectric: part.dielectric,
  };
}
