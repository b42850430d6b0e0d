import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import { denoise } from "@/core/quantity/decimal";
import { type Farads, farads } from "@/core/quantity/units";
import type { CapacitorMark } from "./capacitor";

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
