import type { NextStep } from "./next-step";
import type { Standing } from "./standing";

/** A job as a list of all jobs shows it: small, since a shop has thousands. */
export interface ListedJob {
  readonly jobId: number;
  readonly machine: string;
  readonly family: string;
  readonly place: string;
  readonly ownerId: number | null;
  readonly ownerName: string;
  /** Instants, UTC. */
  readonly takenInAt: string;
  readonly touchedAt: string;
  readonly step: NextStep;
  readonly word: NonNullable<Standing["signedOff"]>["word"] | null;
}

export interface JobListPage {
  readonly jobs: readonly ListedJob[];
  readonly all: number;
  /** Where the next page begins; null after the last one. */
  readonly next: string | null;
}
