import { limitOf } from "../knowledge/resolve-limits";
import type { CapacitorPart, Limits } from "../knowledge/types";
import { denoise, shiftDecimal } from "../quantity/decimal";
import { formatPercent, formatText } from "../quantity/format";
import type { CapacitorRequirement, Needed } from "./requirement";

export type Fit = "fit" | "note" | "temporary" | "reject";

/** One attribute of a candidate against the requirement, with the reason in words. */
export interface AttributeFit {
  readonly id: Needed["id"];
  readonly fit: Fit;
  readonly reason: string;
}

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

function startCapacitance(need: CapacitorRequirement, part: CapacitorPart, limits: Limits): AttributeFit {
  const id = "capacitance";
  const [min, max] = [micro(part.minMicrofarads), micro(part.maxMicrofarads)];
  if (need.min === undefined || need.max === undefined)
    return { id, fit: "reject", reason: "The old range is not known: read the marking first." };
  if (min === undefined || max === undefined)
    return { id, fit: "reject", reason: "It states no range, as a start capacitor does." };
  const top = denoise(need.max * (1 + limitOf(limits, "start-upper-share").value));
  if (min === need.min && max === need.max) return { id, fit: "fit", reason: "Same range." };
  if (min < need.min)
    return {
      id,
      fit: "reject",
      reason: `Its lower mark ${formatText(min, "F")} is under the old ${formatText(need.min, "F")}: weak start.`,
    };
  if (max > top)
    return {
      id,
      fit: "reject",
      reason: `Its upper mark ${formatText(max, "F")} is more than ${formatPercent(top / need.max - 1)} above the old one: too much current.`,
    };
  return { id, fit: "note", reason: "A step up: check that the switch drops out, and the running current." };
}

function runCapacitance(need: CapacitorRequirement, part: CapacitorPart, limits: Limits): AttributeFit {
  const id = "capacitance";
  const nominal = micro(part.nominalMicrofarads);
  if (need.nominal === undefined)
    return { id, fit: "reject", reason: "The old value is not known: read the marking first." };
  if (nominal === undefined)
    return { id, fit: "reject", reason: "It states a range, as a start capacitor does." };
  const off = denoise(Math.abs(nominal / need.nominal - 1));
  if (off === 0) return { id, fit: "fit", reason: "Same value." };
  if (off <= limitOf(limits, "run-substitute-share").value)
    return { id, fit: "note", reason: `${formatPercent(off)} off the value: measure the running current.` };
  if (off <= limitOf(limits, "run-temporary-share").value)
    return {
      id,
      fit: "temporary",
      reason: `${formatPercent(off)} off: for a while only, with an end date and a current check.`,
    };
  return {
    id,
    fit: "reject",
    reason: `${formatPercent(off)} off the value of ${formatText(need.nominal, "F")}.`,
  };
}

function notLower(
  id: Needed["id"],
  order: string,
  needed: string | undefined,
  offered: string | undefined,
  what: string,
): AttributeFit {
  if (needed === undefined)
    return {
      id,
      fit: offered === undefined ? "note" : "fit",
      reason:
        offered === undefined
          ? `No ${what} stated on either.`
          : `${what} ${offered}; the old one states none.`,
    };
  if (offered === undefined) return { id, fit: "reject", reason: `States no ${what}; ${needed} is needed.` };
  const isLower = order === LIFE_ORDER ? order.indexOf(offered) > order.indexOf(needed) : offered < needed;
  return isLower
    ? { id, fit: "reject", reason: `${what} ${offered} is lower than ${needed}.` }
    : { id, fit: "fit", reason: `${what} ${offered}.` };
}

/** Hard limits first: what SAFETY never lets pass is rejected whatever the school. */
function attributesOf(need: CapacitorRequirement, part: CapacitorPart, limits: Limits): AttributeFit[] {
  const isKind = part.role === need.role;
  const kind: AttributeFit = isKind
    ? { id: "kind", fit: "fit", reason: `A ${need.role} capacitor.` }
    : {
        id: "kind",
        fit: "reject",
        reason:
          need.role === "run"
            ? "A start capacitor in run duty overheats and bursts."
            : "Not a start capacitor.",
      };
  const voltage: AttributeFit =
    part.voltsAc < need.voltsAc
      ? {
          id: "voltage",
          fit: "reject",
          reason:
            part.voltsAc === 0
              ? "Not rated for AC at all."
              : `${formatText(part.voltsAc, "V")} is under the ${formatText(need.voltsAc, "V")} needed.`,
        }
      : {
          id: "voltage",
          fit: "fit",
          reason:
            part.voltsAc === need.voltsAc
              ? "Same volts."
              : `${formatText(part.voltsAc, "V")}: higher is fine if it fits the cover.`,
        };
  const alternating: AttributeFit = part.polarised
    ? { id: "alternating", fit: "reject", reason: "A polarised capacitor bursts on AC." }
    : { id: "alternating", fit: "fit", reason: "Made for AC." };
  const resistor: AttributeFit[] = need.hasResistor
    ? [
        part.hasResistor
          ? { id: "resistor", fit: "fit", reason: "Resistor fitted." }
          : { id: "resistor", fit: "note", reason: "Move the old resistor over if it measures in its band." },
      ]
    : [];
  const classes: AttributeFit[] =
    need.role === "run"
      ? [
          notLower("life-class", LIFE_ORDER, need.lifeClass, part.lifeClass, "life class"),
          notLower("protection-class", "S", need.protectionClass, part.protectionClass, "protection"),
        ]
      : [];
  const capacitance =
    need.role === "start" ? startCapacitance(need, part, limits) : runCapacitance(need, part, limits);
  return [kind, capacitance, voltage, alternating, ...classes, ...resistor];
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
