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
  /** As far as such a part is sold: beyond the band and within this nothing can be said. Only where it was assumed. */
  readonly widest?: { readonly min: Farads; readonly max: Farads };
}

/** The limit row that stands in for a tolerance the mark does not print. */
const ASSUMED: Readonly<Record<CapacitorMark["role"], string>> = {
  run: "capacitor-run-tolerance-assumed",
  start: "capacitor-start-tolerance-assumed",
  "not-known": "capacitor-widest-tolerance",
};

const around = (nominal: number, share: number): { readonly min: Farads; readonly max: Farads } => ({
  min: farads(denoise(nominal * (1 - share))),
  max: farads(denoise(nominal * (1 + share))),
});

/**
 * What the marking allows. Without a printed tolerance a run or a start part is given ±10 %, a start part that is sold
 * to ±20 % with that as its widest, and a part of unknown kind the widest tolerance sold. Farads.
 * Source: mark, iec-60252-1, iec-60252-2.
 */
export function allowedBand(mark: CapacitorMark, role: CapacitorMark["role"], limits: Limits): AllowedBand {
  if (mark.band) return { ...mark.band, source: "mark", isAssumed: false };
  const { value, source, id } = limitOf(limits, ASSUMED[role]);
  const nominal = mark.nominal ?? 0;
  return {
    ...around(nominal, value),
    source,
    limitId: id,
    isAssumed: true,
    ...(role === "start" ? { widest: around(nominal, limitOf(limits, ASSUMED["not-known"]).value) } : {}),
  };
}
