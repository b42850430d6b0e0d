import type { FitReason } from "@/core/matching/rank";
import type { CapacitorRequirement, Needed } from "@/core/matching/requirement";
import { formatPercent, formatQuantity, formatText } from "@/core/quantity/format";

type Of<C extends FitReason["code"]> = Extract<FitReason, { code: C }>;

const CLASS = { "life-class": "life class", "protection-class": "protection" } as const;

const REASONS: { readonly [C in FitReason["code"]]: (reason: Of<C>) => string } = {
  "same-role": ({ role }) => `A ${role} capacitor.`,
  "not-a-start-capacitor": () => "Not a start capacitor.",
  "start-in-run-duty": () => "A start capacitor in run duty overheats and bursts.",
  "range-not-known": () => "The old range is not known: read the marking first.",
  "states-no-range": () => "It states no range, as a start capacitor does.",
  "same-range": () => "Same range.",
  "a-step-up": () => "A step up: check that the switch drops out, and the running current.",
  "lower-mark-under": ({ offered, needed }) =>
    `Its lower mark ${formatText(offered, "F")} is under the old ${formatText(needed, "F")}: weak start.`,
  "upper-mark-over": ({ offered, share }) =>
    `Its upper mark ${formatText(offered, "F")} is more than ${formatPercent(share)} above the old one: too much current.`,
  "value-not-known": () => "The old value is not known: read the marking first.",
  "states-a-range": () => "It states a range, as a start capacitor does.",
  "same-value": () => "Same value.",
  "off-value": ({ share }) => `${formatPercent(share)} off the value: measure the running current.`,
  "off-for-a-while": ({ share }) =>
    `${formatPercent(share)} off: for a while only, with an end date and a current check.`,
  "too-far-off": ({ share, needed }) =>
    `${formatPercent(share)} off the value of ${formatText(needed, "F")}.`,
  "not-for-ac": () => "Not rated for AC at all.",
  "same-volts": () => "Same volts.",
  polarised: () => "A polarised capacitor bursts on AC.",
  "made-for-ac": () => "Made for AC.",
  "volts-under": ({ offered, needed }) =>
    `${formatText(offered, "V")} is under the ${formatText(needed, "V")} needed.`,
  "volts-over": ({ offered }) => `${formatText(offered, "V")}: higher is fine if it fits the cover.`,
  "class-on-neither": ({ of }) => `No ${CLASS[of]} stated on either.`,
  "class-only-here": ({ of, offered }) => `${CLASS[of]} ${offered}; the old one states none.`,
  "class-fits": ({ of, offered }) => `${CLASS[of]} ${offered}.`,
  "class-not-stated": ({ of, needed }) => `States no ${CLASS[of]}; ${needed} is needed.`,
  "class-lower": ({ of, offered, needed }) => `${CLASS[of]} ${offered} is lower than ${needed}.`,
  "resistor-fitted": () => "Resistor fitted.",
  "resistor-to-move": () => "Move the old resistor over if it measures in its band.",
};

/** Why an attribute of a candidate fits or does not. */
export function fitReasonWords<C extends FitReason["code"]>(reason: Of<C>): string {
  const sentence = REASONS[reason.code as C](reason);
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}`;
}

export const NEEDED_LABELS: Readonly<Record<Needed["id"], string>> = {
  kind: "Kind",
  capacitance: "Capacitance",
  voltage: "Volts AC",
  alternating: "For AC",
  "life-class": "Life class",
  "protection-class": "Protection",
  resistor: "Bleed resistor",
};

function capacitanceWords({ nominal, min, max }: CapacitorRequirement): string {
  if (nominal !== undefined) return formatText(nominal, "F");
  return min !== undefined && max !== undefined
    ? `${formatQuantity(min, "F").number} to ${formatText(max, "F")}`
    : "not known";
}

/** What an attribute must be, for the part that is needed. */
export function neededWords(need: CapacitorRequirement, id: Needed["id"]): string {
  switch (id) {
    case "kind":
      return `${need.role} capacitor`;
    case "capacitance":
      return capacitanceWords(need);
    case "voltage":
      return `at least ${formatText(need.voltsAc, "V")}`;
    case "alternating":
      return "not polarised";
    case "life-class":
      return need.lifeClass ?? "not marked";
    case "protection-class":
      return need.protectionClass ?? "not marked";
    case "resistor":
      return "fitted, or moved from the old one";
  }
}
