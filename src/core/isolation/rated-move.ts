import type { Move } from "../knowledge/types";

/** What a move would be worth, and what each of its answers would do. */
export interface RatedMove {
  readonly moveId: string;
  readonly kind: Move["kind"];
  readonly tier: Move["tier"];
  readonly minutes: number;
  /** Minutes from the way the machine stands to the state that the move needs. */
  readonly stateMinutes: number;
  /** Expected cost from here when this is done first, then the best next, or repairs; minor units, unrounded. */
  readonly expectedTotal: number;
  /** Share of the doubt about the repair that it takes away on average. */
  readonly doubtRemoved: number;
  /** What it saves by itself against trying repairs now, for each minute it takes; minor units. */
  readonly savesPerMinute: number;
  readonly answers: readonly {
    readonly outcomeId: string;
    readonly chance: number;
    readonly then: readonly string[];
  }[];
  readonly needs: Move["needs"];
  /** The instrument it asks for and the shop does not have: it can be borrowed. */
  readonly lacks?: string;
  readonly blockedBy: readonly string[];
}
