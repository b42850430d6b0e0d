import { formatPercent, formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

type Params = Said["params"];
const num = (params: Params, key: string): number => Number(params[key] ?? 0);
const off = (params: Params): string => formatPercent(num(params, "off"));
const usual = (params: Params): string =>
  `${formatText(num(params, "least"), "Ω")} to ${formatText(num(params, "most"), "Ω")}`;
const OTHER: ReadonlyMap<string, string> = new Map([
  ["twin", "its twin"],
  ["sheet", "its sheet"],
  ["other", "the other winding"],
  ["earlier", "the earlier reading"],
]);
const other = (params: Params): string => OTHER.get(String(params["against"])) ?? "the other";

export const words: WordsOf<typeof tool> = {
  "winding/open": () => "Open: no way through it, and the motor is cold",
  "winding/open-when-warm": () =>
    "Open while the frame is warm: a protector inside may be. Wait until it is at the room's temperature and read again",
  "winding/open-frame-not-said": () =>
    "Open: feel the frame and say whether it is cold. A protector inside opens when it is warm",
  "winding/not-two-alike": () =>
    "A start and a run winding differ by design: hold each against a twin, its sheet or an earlier reading",
  "winding/range-edge": (p) =>
    `On the edge of what is usual for its kind, ${usual(p)}: read it on a finer range, or against a twin`,
  "winding/as-reference": (p) => `As ${other(p)}, within ${formatPercent(num(p, "within"))}`,
  "winding/low": (p) => `${off(p)} under ${other(p)}: shorted turns`,
  "winding/perhaps-low": (p) =>
    `${off(p)} under ${other(p)}: meter and warmth leave open whether that is too low. Note both temperatures, read finer`,
  "winding/high": (p) => `${off(p)} over ${other(p)}: a poor joint, another design or a wrong figure`,
  "winding/perhaps-high": (p) =>
    `${off(p)} over ${other(p)}: meter and warmth leave open whether that is too high. Note both temperatures, read finer`,
  "winding/unequal": (p) => `${off(p)} away from the other winding: the lower of the two has shorted turns`,
  "winding/sheet-contradicted": (p) =>
    `${off(p)} away from its sheet, and as its twin: the sheet is of another design`,
  "winding/in-range": (p) => `Within what is usual for its kind, ${usual(p)}`,
  "winding/under-range": (p) => `Under what is usual for its kind, ${usual(p)}`,
  "winding/over-range": (p) => `Over what is usual for its kind, ${usual(p)}`,
  "winding/range-not-known": () =>
    "What is usual is not known: say the kind of motor and the volts on its plate",
  "winding/no-reference": () => "Nothing to hold it against: read the other, or choose what is usual",
  "winding/reference-open": () => "The one it is held against reads open: look at that one first",
  "winding/next-to-nothing": () =>
    "Next to nothing: shorted, or the probes touch each other. Read it again on the lowest range",
  "winding/not-taken": () => "Not measured: says nothing",
  "winding/temperature-not-known": () =>
    "One temperature was not noted: copper reads 4 % more for each 10 K, so ten kelvin stay open.",
  "winding/brought-to": (p) => `Both brought to ${formatText(num(p, "at"), "K")}, as ${String(p["metal"])}.`,
  "winding/few-turns": () =>
    "A few shorted turns among many do not show in ohms: they show in heat and current.",
  "winding/compare-with-twin": () =>
    "It may be of another design: compare it with a twin before it is condemned.",
  "winding/high-says-little": () =>
    "Too high condemns nothing: tug the joints, read again, compare with a twin.",
  "winding/sheet-may-err": () => "Sheets are copied from other designs: a sound twin settles it.",
};
