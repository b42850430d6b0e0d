import type { Entry, FollowedUp, FollowUp, Pin, Refitted, Removed, SignedOff } from "../log/entry";
import { lastOf, type OfKind, ofKind, type Placed, placed } from "../log/lines";

/** Something that came off, with all that was said of it since. */
export interface OffLine extends Removed, Placed {
  /** How it went back, once all of it is accounted for; null while some of it is still off. */
  readonly refit: (Refitted & Placed) | null;
  /** How many of it are still off. */
  readonly left: number;
}

/** Somewhere to come back to, with what was found there. */
export interface Promised extends FollowUp, Placed {
  readonly done: (FollowedUp & Placed) | null;
}

/** What the log says of taking apart, putting back and letting go, by lines of several kinds. */
export interface Reassembly {
  /** What came off, in the order it came off, with how each went back. */
  readonly removed: readonly OffLine[];
  /** Null while it is not signed off, or was opened again since. */
  readonly signedOff: (SignedOff & Placed) | null;
  readonly followUps: readonly Promised[];
  /** Line of the last thing done to the machine itself: what was read before it is no final test. */
  readonly lastChangeSeq: number;
}

/** A line that cannot be read may have been one of these. */
const CHANGES: ReadonlySet<Entry["kind"]> = new Set<Entry["kind"]>([
  "unreadable",
  "intervention",
  "opened",
  "closed",
  "removed",
  "refitted",
  "reopened",
]);

/** A whole line is accounted for by one entry that names no number, or by numbers that add up. */
function offLine(entry: OfKind<"removed">, unstruck: readonly Entry[]): OffLine {
  const refits = ofKind(unstruck, "refitted").filter(({ payload }) => payload.line === entry.seq);
  const pin: Pin | null =
    ofKind(unstruck, "pinned").findLast(({ payload }) => payload.line === entry.seq)?.payload ??
    entry.payload.pin;
  const back = refits.reduce((sum, { payload }) => sum + (payload.count ?? entry.payload.count), 0);
  const left = Math.max(0, entry.payload.count - back);
  const last = refits.at(-1);
  return {
    ...entry.payload,
    ...placed(entry),
    pin: pin && { picture: pin.picture, x: pin.x, y: pin.y },
    left,
    refit: last && left === 0 ? { ...last.payload, ...placed(last) } : null,
  };
}

function promised(unstruck: readonly Entry[]): readonly Promised[] {
  return ofKind(unstruck, "follow-up").map((entry) => {
    const done = ofKind(unstruck, "followed-up").findLast(({ payload }) => payload.line === entry.seq);
    return {
      ...entry.payload,
      ...placed(entry),
      done: done ? { ...done.payload, ...placed(done) } : null,
    };
  });
}

/** Entries that stand, to what they say of the machine coming apart and together again. */
export function reassemblyOf(unstruck: readonly Entry[]): Reassembly {
  const [signed, again] = [lastOf(unstruck, "signed-off"), lastOf(unstruck, "reopened")];
  const isOpenAgain = signed !== undefined && again !== undefined && again.seq > signed.seq;
  const removed = ofKind(unstruck, "removed").map((entry) => offLine(entry, unstruck));
  return {
    removed,
    signedOff: signed && !isOpenAgain ? { ...signed.payload, ...placed(signed) } : null,
    followUps: promised(unstruck),
    lastChangeSeq: unstruck.filter(({ kind }) => CHANGES.has(kind)).at(-1)?.seq ?? 0,
  };
}
