import { formatPercent, formatText } from "@/core/quantity/format";
import type { Said } from "@/core/tools/finding.input";
import type { WordsOf } from "@/core/tools/tool";
import type { tool } from "./tool";

const as = (params: Said["params"], key: string, unit: string): string =>
  formatText(Number(params[key] ?? 0), unit);

export const words: WordsOf<typeof tool> = {
  "meter/good": () => "The meter reads what is known, as it should",
  "meter/part-checked": () => "Leads and ohms are in order; a known resistor and a fresh cell prove the rest",
  "meter/leads-high": (p) =>
    `Test leads read ${as(p, "read", "Ω")}, over ${as(p, "most", "Ω")}: worn leads, dirty tips or sockets`,
  "meter/leads-open": () => "Open with the probes together: a lead is broken, or not in its socket",
  "meter/not-open": () =>
    "Not open with the probes apart: wet probes, fingers on the tips, or the range is broken",
  "meter/resistor-off": (p) =>
    `The resistor of ${as(p, "marked", "Ω")} reads ${formatPercent(Math.abs(Number(p["off"] ?? 0)))} ${Number(p["off"]) > 0 ? "high" : "low"}: weak battery in the meter, or the range is off`,
  "meter/battery-off": (p) =>
    `The cell reads ${as(p, "volts", "V")}, and ${as(p, "least", "V")} to ${as(p, "most", "V")} is fresh: try another cell before the meter is blamed`,
  "meter/fuse": () => "A new battery in the meter, clean sockets and other leads come first.",
  "meter/leads": (p) => `Test leads: ${as(p, "read", "Ω")}. Set-up takes it off every reading of ohms.`,
  "meter/amps": () => "A blown amps fuse reads 0 A: it shows on no check of volts and ohms.",
};
