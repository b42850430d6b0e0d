import { formatText } from "@/core/quantity/format";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

const ohms = (value: unknown): string => formatText(Number(value ?? 0), "Ω");

export const words: WordsOf<typeof tool> = {
  "ramp/alive": () => "Alive: it charges both ways round. Whether it is weak this cannot tell",
  "ramp/edge": () => "On the edge of a short: read it on the lowest range, the probes touched together first",
  "ramp/shorted": (p) => `Shorted: it stays at ${ohms(p["steady"])}`,
  "ramp/open": () => "Never moves, either way round: open, or the range is too low to see it",
  "ramp/bleed": (p) =>
    `Steady at ${ohms(p["steady"])}: that is its bleed resistor. Lift one end and watch again`,
  "ramp/contradiction": () => "Not the same both ways round: drain it again, and watch both ways once more",
  "ramp/low-not-read": () =>
    "Stays low: read where it comes to rest. Next to nothing is a short, 5 to 30 kΩ a resistor",
  "ramp/leaks": (p) => `Climbs and stays at ${ohms(p["steady"])}: it leaks, or something else lies across it`,
  "ramp/no-value": () => "A swap on trial, amps and volts running, or a capacitance range tell its value.",
  "ramp/range": () =>
    "Small parts charge faster than a meter shows: try a higher range before it is called open.",
};
