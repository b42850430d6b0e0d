import { errorOn } from "@/core/tools/meter-error";
import type { PairShown } from "@/core/windings/lead-map";
import type { Input } from "./fields";

const same = (one: string, other: string): boolean => one.trim().toLowerCase() === other.trim().toLowerCase();

export function leadIndex(leads: readonly string[], name: string): number {
  return leads.findIndex((lead) => same(lead, name));
}

/** The table as the solver takes it: what was not taken is left out, what is within the meter's error of nothing is one lead. */
export function shownOf({ pairs: { leads, pairs }, meter }: Pick<Input, "pairs" | "meter">): PairShown[] {
  return pairs.flatMap(({ a, b, reading }): PairShown[] => {
    const ends = { a: leadIndex(leads, a), b: leadIndex(leads, b) };
    if (reading.kind === "not-taken") return [];
    if (reading.kind === "over-range") return [{ ...ends, kind: "over", ohms: 0, error: 0 }];
    const ohms = reading.kind === "value" ? reading.value : 0;
    const error = errorOn(meter, ohms, reading.kind === "value" ? reading.resolution : 0);
    return [{ ...ends, kind: ohms <= error ? "joined" : "value", ohms, error }];
  });
}

/** A pair as its sentence names it. */
export type NamedPair = { readonly a: string; readonly b: string };

export function pairNamed(leads: readonly string[], a: number, b: number): NamedPair {
  const [first, second] = a < b ? [a, b] : [b, a];
  return { a: nameOf(leads, first), b: nameOf(leads, second) };
}

/** A point from which no lead comes has no name. */
export function nameOf(leads: readonly string[], lead: number): string {
  return leads[lead] ?? "a point inside";
}
