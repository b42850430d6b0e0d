import { formatPercent, formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

type Params = Said["params"];
const num = (params: Params, key: string): number => Number(params[key] ?? 0);
const ohms = (params: Params, key: string): string => formatText(num(params, key), "Ω");
const marked = (params: Params): string =>
  `${ohms(params, "ohms")} ±${formatPercent(num(params, "tolerance"))}`;
const off = (params: Params): string =>
  formatPercent(Math.abs(num(params, "value") / num(params, "ohms") - 1));

/** Every value where they are few, or how many there are between the lowest and the highest. */
function listed(params: Params): string {
  const values = String(params["values"] ?? "")
    .split(",")
    .map((one) => formatText(Number(one), "Ω"));
  if (num(params, "count") > values.length)
    return `${num(params, "count")} values, ${ohms(params, "lowest")} to ${ohms(params, "highest")}`;
  return new Intl.ListFormat("en", { type: "disjunction" }).format(values);
}

export const words: WordsOf<typeof tool> = {
  "bands/marked": (p) => `Marked ${marked(p)}: measure it to know whether it is good`,
  "bands/not-a-value": () => "These bands say no value from either end: look again",
  "bands/inside": (p) => `As marked, ${marked(p)}`,
  "bands/on-the-edge": (p) => `On the edge of its mark, ${marked(p)}, within the meter's error`,
  "bands/above": (p) => `${off(p)} over its mark, ${marked(p)}: gone high`,
  "bands/below": (p) => `${off(p)} under its mark, ${marked(p)}: lift one leg and read again`,
  "bands/open": (p) => `Open; marked ${marked(p)}`,
  "bands/burnt": (p) =>
    num(p, "count") === 1 ? `It can only have been ${listed(p)}` : `It may have been ${listed(p)}`,
  "bands/burnt-none": () => "No value fits the bands that are left: look again",
  "bands/burnt-fits": (p) => `The reading fits ${listed(p)}`,
  "bands/not-taken": (p) => `Not measured; marked ${marked(p)}`,
  "bands/read-from-the-other-end": () => "Only from the other end do the bands make a value.",
  "bands/perhaps-the-other-end": (p) => `From the other end they say ${ohms(p, "ohms")}, which is sold.`,
  "bands/not-preferred": (p) => `${ohms(p, "ohms")} is not sold in this tolerance: look at the bands again.`,
  "bands/temperature": (p) => `Drifts by ${num(p, "perMillion")} parts per million a kelvin.`,
  "bands/heat": () =>
    "What burnt it is still there, and its ohms may have moved: find the cause before a new one goes in.",
  "bands/no-meter": () => "The meter is not named: its error is not counted.",
};
