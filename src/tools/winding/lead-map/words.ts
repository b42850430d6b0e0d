import { formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

type Params = Said["params"];
const text = (params: Params, key: string): string => String(params[key] ?? "");
const num = (params: Params, key: string): number => Number(params[key] ?? 0);
const ohms = (params: Params, key: string): string => formatText(num(params, key), "Ω");
const pair = (params: Params): string => `${text(params, "a")} to ${text(params, "b")}`;
const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
const parts = (params: Params, key: string): string[] =>
  text(params, key)
    .split("|")
    .filter((one) => one !== "");

/** A string of windings as it hangs together: red 14.2 Ω white 21.6 Ω black. */
function strung(params: Params): string {
  const between = parts(params, "ohms");
  return parts(params, "leads")
    .map((lead, index) =>
      between[index] === undefined ? lead : `${lead} – ${formatText(Number(between[index]), "Ω")} –`,
    )
    .join(" ");
}

/** The values that the networks let expect, where they can be told. */
function expected(params: Params): string {
  const values = parts(params, "values").map((one) => formatText(Number(one), "Ω"));
  if (values.length === 0) return "";
  return `: ${new Intl.ListFormat("en", { type: "disjunction" }).format(values)}`;
}

export const words: WordsOf<typeof tool> = {
  "map/two-on-common": (p) =>
    `${capital(text(p, "common"))} is common: ${ohms(p, "low")} to ${text(p, "run")} (run), ${ohms(p, "high")} to ${text(p, "start")} (start)`,
  "map/either-main": (p) =>
    `${capital(text(p, "common"))} is common; two equal windings of ${ohms(p, "low")}: reversible, ${text(p, "run")} or ${text(p, "start")} may be the main one`,
  "map/three-alike": (p) =>
    `Three alike, ${ohms(p, "ohms")} a pair: three-phase or commutated by a board; there is no common`,
  "map/three-unlike": () => "Three windings on three leads, not alike: shorted turns, or one reading is off",
  "map/winding": (p) => `One winding, ${pair(p)}: ${ohms(p, "ohms")}`,
  "map/string": (p) =>
    text(p, "common") === ""
      ? `Windings in one string: ${strung(p)}`
      : `Windings in one string: ${strung(p)}; ${text(p, "common")} is common`,
  "map/on-one-lead": (p) =>
    `${text(p, "count")} windings on ${text(p, "common")}, the common${p["isEqual"] === true ? ", all alike" : ""}`,
  "map/inside-star": (p) => `${text(p, "count")} windings joined at a point inside, from which no lead comes`,
  "map/branched": () => "Windings that branch: see the map",
  "map/loop": () => "The windings make a ring: one more than leads less one",
  "map/groups": (p) => `${text(p, "count")} separate parts`,
  "map/dual-voltage": (p) =>
    `Two equal halves apart, ${text(p, "first")} and ${text(p, "second")}, ${ohms(p, "ohms")} each: for two voltages`,
  "map/brushed": (p) =>
    num(p, "count") === 1 ? "A brushed motor's one part" : `A brushed motor's ${text(p, "count")} parts`,
  "map/tapped-field": (p) =>
    `Field with a tap at ${text(p, "tap")}: ${ohms(p, "low")} to ${text(p, "a")}, ${ohms(p, "high")} to ${text(p, "b")}`,
  "map/several": (p) => `${text(p, "count")} ways of winding it fit what was read`,
  "map/nothing-fits": () => "No few windings give these readings: more than one of them is off",
  "map/misread": (p) =>
    `One reading does not fit: ${pair(p)} reads ${ohms(p, "had")} and should be ${ohms(p, "should")}`,
  "map/misread-or-more": (p) =>
    `${capital(pair(p))} reads ${ohms(p, "had")}; ${ohms(p, "should")} would fit without a further winding. Read it again: if it stands, there is one winding more`,
  "map/misread-which": (p) =>
    `One reading does not fit, which of ${text(p, "count")} is open: ${pair(p)} reads ${ohms(p, "had")}, should perhaps be ${ohms(p, "should")}`,
  "map/cannot-blame": (p) =>
    `The three do not add up: ${pair(p)} reads ${ohms(p, "had")}, the other two together ${ohms(p, "should")}. Which one is off cannot be known`,
  "map/impossible": (p) =>
    `Impossible: ${pair(p)} reads ${ohms(p, "had")}, and by way of ${text(p, "by")} it is ${ohms(p, "most")} at most`,
  "map/open-inside": (p) =>
    num(p, "should") > 0
      ? `${capital(pair(p))} cannot be open: the other readings join them, by ${ohms(p, "should")} at most`
      : `${capital(pair(p))} cannot be open: the other readings join them`,
  "map/lead-open": (p) =>
    `${capital(text(p, "lead"))} is open to both others: that lead, its winding, or a protector in it`,
  "map/all-open": (p) => `All ${text(p, "pairs")} read open: one break cannot do that`,
  "map/too-many": (p) => `More than ${text(p, "most")} leads hang together: too many to map at once`,
  "map/none-read": () => "No pair was read: nothing can be mapped",
  "map/run-not-proved": () =>
    "Run is the lower of the two: usual, not proved. A twin, the plate or the capacitor's wire proves it.",
  "map/common-not-proved": () =>
    "In a string the two largest windings are mostly run and start, the small ones speeds; the switch or the plate proves it.",
  "map/polarity": () =>
    "Before they are joined: which ends go together must be proved. Halves in series, a few volts on them through a lamp: the shaft pulls one way round and only hums the other.",
  "map/hidden-star": () =>
    "A triangle and a star with a hidden point read the same: only the plate or the windings show which.",
  "map/not-zeroed": (p) =>
    `With ${ohms(p, "offset")} taken off every reading one winding less would do: touch the probes together and say what they read.`,
  "map/joined": (p) => `${capital(pair(p))} is joined inside: no more than the meter's error.`,
  "map/wait-cold": () =>
    "A protector inside opens when it is warm: wait until the frame is at the room's temperature, half an hour to two hours, and read again",
  "map/which-lead": () => "Say which lead it is, by its plate or a twin",
  "map/probes-first": () => "Touch the probes together first; then the protector, then the leads",
  "map/armature": (p) =>
    `${capital(pair(p))} jumps with the shaft: armature, through its brushes (${ohms(p, "ohms")}).`,
  "map/sensor": (p) =>
    `${capital(pair(p))}, ${ohms(p, "ohms")} by itself and far above the rest: a speed sensor, where its thin leads go to the end of the shaft; or a field that lies across the mains.`,
  "map/ratio": (p) =>
    `One is ${Math.round(Number(p["ratio"] ?? 0))} times the other, more than any start winding: read both again, the leads off.`,
  "map/thermal": (p) => `${capital(pair(p))} reads next to nothing: a thermal device or a link.`,
  "map/alone": (p) => `${capital(text(p, "lead"))} is joined to none of the others.`,
  "map/next-decides": (p) => `Read ${pair(p)} next${expected(p)}.`,
  "map/next-again": (p) => `Read ${pair(p)} again, probes touched together first${expected(p)}.`,
  "map/next-finer": (p) => `Read ${pair(p)} again on a finer range${expected(p)}.`,
  "map/next-apart": (p) => `Read ${pair(p)} next: whether these two parts hang together is not known.`,
  "map/pairs-left": (p) =>
    num(p, "count") === 1 ? "One pair was not read." : `${text(p, "count")} pairs were not read.`,
};
