import type { Value } from "./part";

/** Where a value comes from, the surest first: what is measured on the part itself goes before what is printed on it. */
export const FROMS = ["measured", "marked", "plate", "worked-out", "sheet", "assumed"] as const;
export type From = (typeof FROMS)[number];

/** How sure a value is by where it comes from, as a share. Judged. */
export const SURE: Readonly<Record<From, number>> = {
  measured: 1,
  marked: 0.9,
  plate: 0.8,
  "worked-out": 0.8,
  sheet: 0.7,
  assumed: 0.4,
};

/** One thing that is known of the part that is needed, and who says so. */
export interface Source {
  readonly attribute: string;
  readonly value: Value;
  readonly from: From;
  /** In words, such as "line 12" or "stamp on the shield". */
  readonly said: string;
}
