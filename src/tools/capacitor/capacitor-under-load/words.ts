import { formatPercent, formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

type Params = Said["params"];
const num = (params: Params, key: string): number => Number(params[key] ?? 0);
const band = (params: Params): string =>
  `${formatText(num(params, "min"), "F")} to ${formatText(num(params, "max"), "F")}`;
const off = (params: Params): string => formatPercent(Math.abs(num(params, "off")));

export const words: WordsOf<typeof tool> = {
  "load/inside": (p) => `Inside its mark, ${band(p)}`,
  "load/below": (p) => `${off(p)} under its mark, ${band(p)}`,
  "load/above": (p) => `${off(p)} over its mark, ${band(p)}: a wrong part, or the frequency is another`,
  "load/on-the-edge": (p) => `On the edge of its mark, ${band(p)}, within the meters' error`,
  "load/no-current": () => "Volts and no current: open, or its lead is off",
  "load/no-volts": () => "No volts across it: it does not run, or the leads slipped",
  "load/not-read": () => "Not all of it was read: no microfarads can be worked out",
  "load/start-part": () =>
    "A start capacitor is out of the circuit within a second: read it drained, on a capacitance range",
  "load/no-tolerance": (p) => `No tolerance on the mark: held against ${band(p)}.`,
  "load/formula": (p) =>
    `Microfarads = ${Math.round(num(p, "factor"))} × amps ÷ volts at ${num(p, "frequency")} Hz.`,
  "load/volts-high": (p) =>
    `${formatText(num(p, "volts"), "V")} across a part marked ${formatText(num(p, "marked"), "V")}: more than it is made for.`,
};
