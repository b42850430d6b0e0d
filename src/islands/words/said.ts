import { formatPercent, formatQuantity, formatText } from "@/core/quantity/format";
import type { Said, Verdict } from "@/core/tools/tool";

type Params = Said["params"];
const num = (params: Params, key: string): number => Number(params[key] ?? 0);
const farads = (params: Params, key: string): string => formatText(num(params, key), "F");
const bandOf = (params: Params): string => {
  const [min, max] = [formatQuantity(num(params, "min"), "F"), formatQuantity(num(params, "max"), "F")];
  return min.unit === max.unit
    ? `${min.number} to ${max.number} ${max.unit}`
    : `${farads(params, "min")} to ${farads(params, "max")}`;
};

/** Why a tool says what it says, in the trade's plain words. The one place where they are written. */
const REASONS: Readonly<Record<string, (params: Params) => string>> = {
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
  "capacitor/over-range": () => "Over range: a higher range, or direct ohms, will tell",
  "capacitor/not-taken": () => "Not measured: says nothing",
};

const CAUTIONS: Readonly<Record<string, (params: Params) => string>> = {
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

function wordsFrom(table: typeof REASONS, { code, params }: Said): string {
  return table[code]?.(params) ?? code;
}

export function reasonWords(said: Said): string {
  return wordsFrom(REASONS, said);
}

export function cautionWords(said: Said): string {
  return wordsFrom(CAUTIONS, said);
}

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  sound: "Good",
  suspect: "Doubtful",
  faulty: "Bad",
  undecided: "Cannot tell",
};

/** Codes this file has words for: a test holds them against what the tools can say. */
export const KNOWN_CODES = { reasons: Object.keys(REASONS), cautions: Object.keys(CAUTIONS) };
