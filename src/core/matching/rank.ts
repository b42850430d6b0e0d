import { limitOf } from "../knowledge/resolve-limits";
import type { CapacitorPart, Limits } from "../knowledge/types";
import { denoise, shiftDecimal } from "../quantity/decimal";
import type { CapacitorRequirement, Needed } from "./requirement";

export type Fit = "fit" | "note" | "temporary" | "reject";

/** Why an attribute fits or does not, as a code with its figures: capacitance in farads, volts AC, shares of one. */
export type FitReason =
  | {
      readonly code: "same-role" | "not-a-start-capacitor" | "start-in-run-duty";
      readonly role: "start" | "run";
    }
  | { readonly code: "range-not-known" | "states-no-range" | "same-range" | "a-step-up" }
  | { readonly code: "lower-mark-under"; readonly offered: number; readonly needed: number }
  | { readonly code: "upper-mark-over"; readonly offered: number; readonly share: number }
  | { readonly code: "value-not-known" | "states-a-range" | "same-value" }
  | { readonly code: "off-value" | "off-for-a-while"; readonly share: number }
  | { readonly code: "too-far-off"; readonly share: number; readonly needed: number }
  | { readonly code: "not-for-ac" | "same-volts" | "polarised" | "made-for-ac" }
  | { readonly code: "volts-under"; readonly offered: number; readonly needed: number }
  | { readonly code: "volts-over"; readonly offered: number }
  | { readonly code: "class-on-neither"; readonly of: ClassId }
  | { readonly code: "class-only-here" | "class-fits"; readonly of: ClassId; readonly offered: string }
  | { readonly code: "class-not-stated"; readonly of: ClassId; readonly needed: string }
  | { readonly code: "class-lower"; readonly of: ClassId; readonly offered: string; readonly needed: string }
  | { readonly code: "resistor-fitted" | "resistor-to-move" };

/** One attribute of a candidate against the requirement. */
export interface AttributeFit {
  readonly id: Needed["id"];
  readonly fit: Fit;
  readonly reason: FitReason;
}

type ClassId = "life-class" | "protection-class";

export interface RankedCapacitor {
  readonly part: CapacitorPart;
  /** The worst of its attributes. */
  readonly fit: Fit;
  readonly attributes: readonly AttributeFit[];
}

const ORDER: readonly Fit[] = ["fit", "note", "temporary", "reject"];
const LIFE_ORDER = "ABCD";

const micro = (value: number | undefined): number | undefined =>
  value === undefined ? undefined : shiftDecimal(value, -6);

const judged = (id: Needed["id"], fit: Fit, reason: FitReason): AttributeFit => ({ id, fit, reason });

function startCapacitance(need: CapacitorRequirement, part: CapacitorPart, limits: Limits): AttributeFit {
  const id = "capacitance";
  const [min, max] = [micro(part.minMicrofarads), micro(part.maxMicrofarads)];
  if (need.min === undefined || need.max === undefined)
    return judged(id, "reject", { code: "range-not-known" });
  if (min === undefined || max === undefined) return judged(id, "reject", { code: "states-no-range" });
  const top = denoise(need.max * (1 + limitOf(limits, "start-upper-share").value));
  if (min === need.min && max === need.max) return judged(id, "fit", { code: "same-range" });
  if (min < need.min)
    return judged(id, "reject", { code: "lower-mark-under", offered: min, needed: need.min });
  if (max > top)
    return judged(id, "reject", { code: "upper-mark-over", offered: max, share: top / need.max - 1 });
  return judged(id, "note", { code: "a-step-up" });
}

function runCapacitance(need: CapacitorRequirement, part: CapacitorPart, limits: Limits): AttributeFit {
  const id = "capacitance";
  const nominal = micro(part.nominalMicrofarads);
  if (need.nominal === undefined) return judged(id, "reject", { code: "value-not-known" });
  if (nominal === undefined) return judged(id, "reject", { code: "states-a-range" });
  const share = denoise(Math.abs(nominal / need.nominal - 1));
  if (share === 0) return judged(id, "fit", { code: "same-value" });
  if (share <= limitOf(limits, "run-substitute-share").value)
    return judged(id, "note", { code: "off-value", share });
  if (share <= limitOf(limits, "run-temporary-share").value)
    return judged(id, "temporary", { code: "off-for-a-while", share });
  return judged(id, "reject", { code: "too-far-off", share, needed: need.nominal });
}

/** A class may be better than the old one, never lower. Life classes run from A, the longest, to D. */
function notLower(id: ClassId, needed: string | undefined, offered: string | undefined): AttributeFit {
  if (needed === undefined)
    return offered === undefined
      ? judged(id, "note", { code: "class-on-neither", of: id })
      : judged(id, "fit", { code: "class-only-here", of: id, offered });
  if (offered === undefined) return judged(id, "reject", { code: "class-not-stated", of: id, needed });
  const isLower =
    id === "life-class" ? LIFE_ORDER.indexOf(offered) > LIFE_ORDER.indexOf(needed) : offered < needed;
  return isLower
    ? judged(id, "reject", { code: "class-lower", of: id, offered, needed })
    : judged(id, "fit", { code: "class-fits", of: id, offered });
}

function roleFit({ role }: CapacitorRequirement, part: CapacitorPart): AttributeFit {
  if (part.role === role) return judged("kind", "fit", { code: "same-role", role });
  return judged("kind", "reject", {
    code: role === "run" ? "start-in-run-duty" : "not-a-start-capacitor",
    role,
  });
}

function voltageFit(
  { voltsAc: needed }: CapacitorRequirement,
  { voltsAc: offered }: CapacitorPart,
): AttributeFit {
  if (offered === 0) return judged("voltage", "reject", { code: "not-for-ac" });
  if (offered < needed) return judged("voltage", "reject", { code: "volts-under", offered, needed });
  return judged(
    "voltage",
    "fit",
    offered === needed ? { code: "same-volts" } : { code: "volts-over", offered },
  );
}

/** Hard limits first: what SAFETY never lets pass is rejected whatever the school. */
function attributesOf(need: CapacitorRequirement, part: CapacitorPart, limits: Limits): AttributeFit[] {
  const isRun = need.role === "run";
  return [
    roleFit(need, part),
    isRun ? runCapacitance(need, part, limits) : startCapacitance(need, part, limits),
    voltageFit(need, part),
    part.polarised
      ? judged("alternating", "reject", { code: "polarised" })
      : judged("alternating", "fit", { code: "made-for-ac" }),
    ...(isRun
      ? [
          notLower("life-class", need.lifeClass, part.lifeClass),
          notLower("protection-class", need.protectionClass, part.protectionClass),
        ]
      : []),
    ...(need.hasResistor
      ? [
          part.hasResistor
            ? judged("resistor", "fit", { code: "resistor-fitted" })
            : judged("resistor", "note", { code: "resistor-to-move" }),
        ]
      : []),
  ];
}

function worst(attributes: readonly AttributeFit[]): Fit {
  return ORDER[Math.max(...attributes.map(({ fit }) => ORDER.indexOf(fit)))] ?? "reject";
}

/** Candidates with a mark a criterion, the better fit first, then the cheaper, then the sooner. */
export function rankCapacitors(
  need: CapacitorRequirement,
  parts: readonly CapacitorPart[],
  limits: Limits,
): RankedCapacitor[] {
  const ranked = parts.map((part): RankedCapacitor => {
    const attributes = attributesOf(need, part, limits);
    return { part, fit: worst(attributes), attributes };
  });
  return ranked.sort(
    (one, other) =>
      ORDER.indexOf(one.fit) - ORDER.indexOf(other.fit) ||
      one.part.priceMinor - other.part.priceMinor ||
      one.part.days - other.part.days ||
      one.part.id.localeCompare(other.part.id),
  );
}
