import type { Ask } from "./ask";
import type { Combination } from "./combine";
import type { Family } from "./family";
import type { MatchContext } from "./judge";
import type { Matched } from "./match";
import type { Requirement } from "./needs";
import type { Part } from "./part";

/** All that a match found out: what is needed, what may be fitted, and what is not known yet. */
export interface PartMatch {
  readonly family: Family;
  readonly context: MatchContext;
  readonly requirement: Requirement;
  /** What is said with all that fits: nothing fits better than with a note then. */
  readonly notes: readonly string[];
  readonly matched: Matched;
  readonly asks: readonly Ask[];
  /** What else may stand in the place of one, each way's best. */
  combinations(): Promise<readonly Combination[]>;
  /** What of the family the shelf has a place for, also what is used up. */
  readonly onShelf: readonly Part[];
  /** What of the family can be bought. */
  listed(): readonly Part[];
}
