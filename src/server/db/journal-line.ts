import { createHash } from "node:crypto";

/** One thing that was committed: a row as it stood then. */
export interface JournalLine {
  /** Its number, given inside the transaction, without gaps. All lines of a whole copy carry the number it was taken at. */
  readonly n: number;
  /** UTC, ISO 8601. */
  readonly at: string;
  readonly table: string;
  readonly row: Readonly<Record<string, unknown>>;
}

const SUM_LENGTH = 16;
const LINE = /^\{"sum":"([0-9a-f]{16})",(.*\})$/;

function sumOf(rest: string): string {
  return createHash("sha256").update(rest).digest("hex").slice(0, SUM_LENGTH);
}

/** A line of JSON that begins with the checksum of the rest of it. */
export function lineText({ row, ...head }: JournalLine): string {
  return lineTextOf(head, JSON.stringify(row));
}

/** The same for a row that is JSON already. */
export function lineTextOf({ n, at, table }: Omit<JournalLine, "row">, row: string): string {
  const rest = `${JSON.stringify({ n, at, table }).slice(1, -1)},"row":${row}}`;
  return `{"sum":"${sumOf(rest)}",${rest}\n`;
}

/** @returns undefined where the line is not whole */
export function readLineText(text: string): JournalLine | undefined {
  const [, sum, rest] = LINE.exec(text) ?? [];
  if (sum === undefined || rest === undefined || sumOf(rest) !== sum) return undefined;
  return JSON.parse(`{${rest}`) as JournalLine;
}
