import type { Family } from "./family";
import type { AttributeFit, FitReason } from "./judge";
import type { Part } from "./part";

/** Before the id of a part that lies on the shelf, so that it is told from one of the price list. */
export const ON_SHELF = "shelf:";

/** The shelf's own id of a part, where it lies there. */
export const shelfIdOf = (partId: string): string | undefined =>
  partId.startsWith(ON_SHELF) ? partId.slice(ON_SHELF.length) : undefined;

const of = (
  id: string,
  fit: AttributeFit["fit"],
  code: FitReason["code"],
  note: string,
  isSafety = false,
): AttributeFit => ({ id, fit, reason: { code, note }, isSafety });

/** Whether as many lie there as are fitted together. */
function byCount(fitted: number, { count }: NonNullable<Part["shelf"]>): readonly AttributeFit[] {
  return count >= fitted ? [] : [of("count", "reject", "too-few", `${count} of ${fitted}`)];
}

/** A part out of a machine that is kept for parts: never where the family says so, never untested, always a note. */
function byDonor({ used }: Family, { donor }: NonNullable<Part["shelf"]>): readonly AttributeFit[] {
  if (!donor) return [];
  if ("never" in used) return [of("donor", "reject", "used-never", used.never, true)];
  return donor.tested.trim() === ""
    ? [of("donor", "open", "used-untested", donor.machine)]
    : [of("donor", "note", "used", `${donor.machine}: ${donor.tested}. ${used.note}`)];
}

/** What lying on the shelf says of a part, beside its attributes; nothing of one that has to be bought. */
export function judgeShelved(family: Family, { shelf }: Part): readonly AttributeFit[] {
  return shelf ? [...byCount(family.fitted ?? 1, shelf), ...byDonor(family, shelf)] : [];
}
