export const FORMAT = "good-spindle-archive";
export const FORMAT_VERSION = 2;
/** Members in the order in which they can be put back: parents before what refers to them. */
export const TABLES = [
  "settings",
  "owners",
  "files",
  "jobs",
  "loose_readings",
  "shelf_parts",
  "stock_moves",
  "entries",
] as const;
export type Table = (typeof TABLES)[number];

export interface Manifest {
  readonly format: string;
  readonly version: number;
  readonly counts: Readonly<Record<string, number>>;
  /** SHA-256 of each member, by name. */
  readonly members: Readonly<Record<string, string>>;
}

export const memberOf = (table: Table): string => `${table.replaceAll("_", "-")}.ndjson`;
export const PICTURES = /^pictures\/([0-9a-f]{2})\/([0-9a-f]{64}(?:\.small)?\.jpg)$/;
