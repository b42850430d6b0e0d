import { formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

type Params = Said["params"];
const as = (params: Params, key: string, unit: string): string => formatText(Number(params[key] ?? 0), unit);

/** Of a resistor one speaks in watts, however few. */
const watts = (params: Params): string => `${Number(Number(params["watts"] ?? 0).toPrecision(2))} W`;

export const words: WordsOf<typeof tool> = {
  "bleed/take": (p) =>
    `${as(p, "ohms", "Ω")}, ${as(p, "watts", "W")}, bearing ${as(p, "volts", "V")}: drains it in ${as(p, "seconds", "s")}`,
  "bleed/fitted-does": (p) =>
    `The ${as(p, "ohms", "Ω")} that is fitted drains it in ${as(p, "seconds", "s")}`,
  "bleed/fitted-slow": (p) =>
    `The ${as(p, "ohms", "Ω")} that is fitted takes ${as(p, "seconds", "s")}: too long, ${as(p, "within", "s")} is wanted`,
  "bleed/fitted-hot": (p) =>
    `The ${as(p, "ohms", "Ω")} that is fitted drains it in ${as(p, "seconds", "s")} and gets too hot: it has to bear ${watts(p)}`,
  "bleed/fitted-burns": (p) =>
    `${as(p, "ohms", "Ω")} across it would burn: ${watts(p)}. Something is shorted there, or it is the wrong one`,
  "bleed/fitted-watts": (p) =>
    `The ${as(p, "ohms", "Ω")} that is fitted drains it in ${as(p, "seconds", "s")}: read its watts, it has to bear ${watts(p)}`,
  "bleed/fitted-open": () => "The one that is fitted reads open: replace it",
  "bleed/none": () => "No common resistor drains it in that time without getting hot: allow more seconds",
  "bleed/no-volts": () => "Microfarads and volts of the capacitor, and the seconds, are needed",
  "bleed/refer": (p) => `Marked ${as(p, "marked", "V")}, above ${as(p, "limit", "V")}: pass it on`,
  "bleed/always-on": () =>
    "Across a run capacitor it is warm all the time: it needs air, and nothing that melts beside it.",
  "bleed/start-only": () => "Across a start capacitor it is warm at each start only.",
  "bleed/proves-nothing": () =>
    "A bleed resistor may be open: it never replaces the meter before hands go in.",
};
