import type { Interval } from "@/core/quantity/uncertainty";
import type { Farads, Hertz, Ohms } from "@/core/quantity/units";

/**
 * How much a resistor left across raises what a series-mode meter shows: the share D², since C_s = C (1 + D²) with
 * D = 1/(ωRC). Dimensionless. Source: physics. A true value is never above the one shown.
 * @example raisedByBleed(farads(10e-6), ohms(15000), hertz(100)) // 0.000113
 */
export function raisedByBleed(capacitance: Farads, bleed: Ohms, frequency: Hertz): number {
  const dissipation = 1 / (2 * Math.PI * frequency * bleed * capacitance);
  return dissipation * dissipation;
}

/** Where an interval lies against a band: wholly in, across an edge, wholly under or over. */
export function liesOf(
  measured: Interval,
  band: { min: number; max: number },
): "inside" | "edge" | "below" | "above" {
  if (measured.upper < band.min) return "below";
  if (measured.lower > band.max) return "above";
  return measured.lower >= band.min && measured.upper <= band.max ? "inside" : "edge";
}
