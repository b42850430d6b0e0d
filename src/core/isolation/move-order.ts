import type { RatedMove } from "./rated-move";

/** A move with what it takes, hazard included, minutes. */
export interface Priced {
  readonly rated: RatedMove;
  readonly minutes: number;
  readonly isRefined: boolean;
}

/** A move that takes less of the doubt away than this does not come first for being quick. */
const LEAST_TOLD = 0.05;
/** Questions that are asked before a hand touches the machine, unless more of them decide. */
const QUESTIONS_FIRST = 2;

/**
 * Of moves in the first one's tier that come to much the same, the one that removes most doubt for what it takes comes
 * first: a look ahead of one or two steps does not see what a narrower field is worth later, and a free look stands before
 * a measurement. Once two questions were asked, hands come before words.
 */
export function readiestOfEqual(
  inOrder: readonly Priced[],
  within: number,
  questionsAsked: number,
): RatedMove[] {
  const [first] = inOrder;
  if (!first) return [];
  const isNear = ({ rated: { tier, expectedTotal } }: Priced): boolean =>
    tier === first.rated.tier && expectedTotal <= first.rated.expectedTotal + within;
  const pace = ({ rated, minutes }: Priced): number => rated.doubtRemoved / minutes;
  const waits = ({ rated }: Priced): number =>
    Number(
      rated.doubtRemoved < LEAST_TOLD || (rated.kind === "question" && questionsAsked >= QUESTIONS_FIRST),
    );
  const near = inOrder
    .filter(isNear)
    .sort((one, other) => waits(one) - waits(other) || pace(other) - pace(one));
  return [...near, ...inOrder.filter((one) => !isNear(one))].map(({ rated }) => rated);
}

/** From this chance on the leading suspect is proved before anything else is looked at. */
const PROVED_FIRST = 0.5;

/**
 * The leading suspect's own proof stands in the first two places while it is unproved, if it is no more dangerous; first
 * of all where the suspect is more likely than not.
 */
export function withProof(
  inOrder: readonly RatedMove[],
  proof: RatedMove | undefined,
  leading: number,
): readonly RatedMove[] {
  const [first, second] = inOrder;
  const isLikely = leading >= PROVED_FIRST;
  const isThere = proof && (first?.moveId === proof.moveId || (!isLikely && second?.moveId === proof.moveId));
  if (!proof || isThere || proof.tier > (first?.tier ?? 1)) return inOrder;
  const others = inOrder.filter(({ moveId }) => moveId !== proof.moveId);
  const before = first && first.tier === proof.tier && !isLikely ? 1 : 0;
  return [...others.slice(0, before), proof, ...others.slice(before)];
}

/** What can be done with what the shop has comes first; the rest is there to borrow for. */
export function atHandFirst(inOrder: readonly RatedMove[]): readonly RatedMove[] {
  const isAtHand = ({ lacks }: RatedMove): boolean => lacks === undefined;
  return [...inOrder.filter(isAtHand), ...inOrder.filter((one) => !isAtHand(one))];
}
