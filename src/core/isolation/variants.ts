import { modeKey, shareOf } from "../knowledge/modes";
import type { Fault } from "../knowledge/types";

/** A fault in one of the ways it shows. Ways of one fault exclude each other; id, cure and counts are the fault's. */
export interface Variant extends Fault {
  /** The fault's own id, or that and the mode's. */
  readonly key: string;
  /** Share of the fault's cases in this family that show so. */
  readonly share: number;
}

/** The fault as its only way of showing. */
export function single(fault: Fault): Variant {
  return { ...fault, key: fault.id, share: 1 };
}

/** The ways in which a fault shows in a motor of this family, each with its part of the odds. */
export function variantsOf(given: Fault, family: string): Variant[] {
  const leadsTo = given.leadsTo.map(({ fault: to, chance, inFamily }) => ({
    fault: to,
    chance: inFamily?.[family] ?? chance,
  }));
  const fault = { ...given, leadsTo };
  if (fault.modes.length === 0) return [single(fault)];
  return fault.modes.flatMap((mode): Variant[] => {
    const share = shareOf(mode, family);
    if (share <= 0) return [];
    const odds = (fault.odds[family] ?? 0) * share;
    return [
      {
        ...fault,
        key: modeKey(fault.id, mode.id),
        share,
        odds: { [family]: odds },
        does: [...fault.does, ...mode.does],
        shows: mode.shows ?? fault.shows,
      },
    ];
  });
}

/** Places of every variant of each fault. */
export function placesById(faults: readonly Pick<Fault, "id">[]): ReadonlyMap<string, readonly number[]> {
  const places = new Map<string, number[]>();
  faults.forEach(({ id }, place) => {
    const known = places.get(id) ?? [];
    places.set(id, [...known, place]);
  });
  return places;
}
