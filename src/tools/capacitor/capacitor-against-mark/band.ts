import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import type { CapacitorMark } from "@/core/markings/capacitor";
import { denoise } from "@/core/quantity/decimal";
import type { Interval } from "@/core/quantity/uncertainty";
import { type Farads, farads, type Hertz, type Ohms } from "@/core/quantity/units";

/** The band the reading is held against, and whether any of it was assumed. */
export interface AllowedBand {
  readonly min: Farads;
  readonly max: Farads;
  /** `mark` where both ends are printed, else the source of the tolerance that was taken. */
  readonly source: string;
  /** The limit row that was taken where the mark names no tolerance. */
  readonly limitId?: string;
  readonly isAssumed: boolean;
}

/** The limit row that stands in for a tolerance the mark does not print. */
const ASSUMED: Readonly<Record<CapacitorMark["role"], string>> = {
  run: "capacitor-run-tolerance-assumed",
  start: "capacitor-start-tolerance-assumed",
  "not-known": "capacitor-widest-tolerance",
};

/**
 * What the marking allows. Without a printed tolerance a run part is given the widest class (±10 %),
 * a start part −0/+20 %, and a part of unknown kind the widest tolerance sold, either way.
 * Farads. Source: mark, iec-60252-1, iec-60252-2.
 */
export function allowedBand(mark: CapacitorMark, role: CapacitorMark["role"], limits: Limits): AllowedBand {
  if (mark.band) return { ...mark.band, source: "mark", isAssumed: false };
  const nominal = mark.nominal ?? 0;
  const { value, source, id } = limitOf(limits, ASSUMED[role]);
  return {
    // A start part is sold from its figure upwards.
    min: role === "start" ? farads(nominal) : farads(denoise(nominal * (1 - value))),
    max: farads(denoise(nominal * (1 + value))),
    source,
    limitId: id,
    isAssumed: true,
  };
}

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
