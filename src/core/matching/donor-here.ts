import type { Fit } from "./judge";

/** A part of a machine kept for parts that may do for a repair. */
export interface DonorHere {
  readonly repair: string;
  readonly label: string;
  readonly place: string;
  readonly machine: string;
  /** What was tested on it; empty where nothing was. */
  readonly tested: string;
  readonly priceMinor: number;
  /** How it fits what is known to be needed: `open` where that is not enough to say. Never `reject`. */
  readonly fit: Fit;
  /** What is seen to first on a used one of its family. */
  readonly first: string;
}
