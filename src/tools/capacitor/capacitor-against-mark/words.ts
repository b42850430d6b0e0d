import { formatPercent, formatQuantity, formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

type Params = Said["params"];
const num = (params: Params, key: string): number => Number(params[key] ?? 0);
const farads = (params: Params, key: string): string => formatText(num(params, key), "F");
const bandOf = (params: Params): string => {
  const [min, max] = [formatQuantity(num(params, "min"), "F"), formatQuantity(num(params, "max"), "F")];
  return min.unit === max.unit
    ? `${min.number} to ${max.number} ${max.unit}`
    : `${farads(params, "min")} to ${farads(params, "max")}`;
};

export const words: WordsOf<typeof tool> = {
  "capacitor/shorted": (p) =>
    `Shorted: ${formatText(num(p, "resistance"), "Ω")} direct, under ${formatText(num(p, "limit"), "Ω")}`,
  "capacitor/open": (p) => `Open: only ${formatPercent(num(p, "shareOfMinimum"))} of its lower mark`,
  "capacitor/below-mark": (p) =>
    `${formatPercent(1 - num(p, "shareOfMinimum"))} under its mark, ${bandOf(p)}`,
  "capacitor/on-the-edge": (p) => `On the ${p["side"]} edge of its mark, within the meter's error`,
  "capacitor/inside-mark": (p) => `Inside its mark, ${bandOf(p)}`,
  "capacitor/above-mark": (p) => `${formatPercent(num(p, "over"))} over its mark of ${farads(p, "max")}`,
  "capacitor/a-little-above": (p) =>
    `${formatPercent(num(p, "over"))} over its upper mark: still good for starting`,
  "capacitor/needs-tolerance": () => "Its tolerance is not marked: cannot tell",
  "capacitor/lift-the-resistor": () => "Lift the resistor and read again",
  "capacitor/under-range": () => "Next to nothing there: open, or a lead off",
  "capacitor/over-range": () => "Over range: a higher range, or DC resistance, will tell",
  "capacitor/not-taken": () => "Not measured: says nothing",
  "capacitor/tolerance-assumed": (p) => `No tolerance on the mark: held against ${bandOf(p)}.`,
  "capacitor/role-not-known": () => "Start or run is not known: see where its wire goes.",
  "capacitor/role-overruled": (p) => `The marking looks like a ${p["marked"]} part; you say ${p["given"]}.`,
  "capacitor/temperature-not-known": () => "Temperature not noted: a cold part reads lower.",
  "capacitor/dual-can": (p) =>
    `Two sections, ${farads(p, "first")} and ${farads(p, "second")}: read each to the common terminal. Held against the first.`,
  "capacitor/resistor-across": () => "A resistor across can only raise the reading.",
  "capacitor/resistor-misleads": (p) =>
    `The resistor across may raise the reading (series mode: by ${formatPercent(num(p, "raisedBy"))}).`,
  "capacitor/resistor-small": () => "The resistor across hardly moves this meter.",
};
