import type { Standing } from "./standing";

/** A machine as the Bench shows it. */
export interface BenchJob {
  readonly standing: Standing;
  readonly ownerName: string;
}

/** A page of machines as the server hands it out. */
export interface BenchPage {
  readonly jobs: readonly BenchJob[];
  /** Machines that are here, and those that have left, on all pages. */
  readonly here: number;
  readonly gone: number;
  /** Where the next page begins; null after the last one. */
  readonly next: string | null;
}
