import type { SignedOff } from "./log/entry";

/** A job as it is found by its words. */
export interface JobHit {
  readonly jobId: number;
  readonly machine: string;
  readonly tag: string;
  readonly place: string;
  readonly ownerName: string;
  /** Instant, UTC. */
  readonly touchedAt: string;
  /** What was decided; empty while nothing is. */
  readonly decided: string;
  /** The word it left with. */
  readonly word: SignedOff["word"] | null;
  readonly isSignedOff: boolean;
}
