import { formatPercent, formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

type Params = Said["params"];
const farads = (params: Params, key: string): string => formatText(Number(params[key] ?? 0), "F");
const volts = (params: Params, key: string): string => formatText(Number(params[key] ?? 0), "V");
const whole = (params: Params): string =>
  Number(params["volts"]) > 0
    ? `${farads(params, "value")}, ${volts(params, "volts")}`
    : farads(params, "value");

export const words: WordsOf<typeof tool> = {
  "joined/fits": (p) => `Together ${whole(p)}: may stand in its place`,
  "joined/value-off": (p) =>
    `Together ${farads(p, "value")}: not within ${farads(p, "min")} to ${farads(p, "max")}`,
  "joined/volts-low": (p) =>
    `Together they bear ${volts(p, "volts")}, and ${volts(p, "wanted")} is needed: never`,
  "joined/mixed": () => "Start and run parts are never mixed: a start part burns where a run part stands",
  "joined/makes": (p) => `Together ${whole(p)}`,
  "joined/volts-not-marked": () => "One has no volts marked: what they bear together is not known.",
  "joined/sharing": (p) =>
    `Volts share unevenly: at the worst one takes ${formatPercent(Number(p["share"] ?? 0))} of them.`,
  "joined/series-start": () =>
    "Two start parts one after the other need a resistor across each, or one takes the volts.",
  "joined/assumed": () => "No tolerance on one of the marks: the widest that is sold was taken.",
};
