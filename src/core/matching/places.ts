/** Families whose part has a place in the job that is older than they are: the name under which a part is chosen for it. */
const PLACES: ReadonlyMap<string, string> = new Map([
  ["start-capacitor", "start"],
  ["run-capacitor", "run"],
]);
const FAMILIES: ReadonlyMap<string, string> = new Map([...PLACES].map(([family, place]) => [place, family]));

/** What a part of a family is chosen for: the name of its place, as the log keeps it. */
export const placeOf = (family: string): string => PLACES.get(family) ?? family;

/** The family of the part that is chosen for a place. */
export const familyOf = (place: string): string => FAMILIES.get(place) ?? place;
