import type { JournalLine } from "./journal-line";

/** Stands first in a whole copy and says how many lines of it follow. */
export const COPY_HEAD = "whole-copy";

/** What a line held that cannot be read any more, as far as it still says. */
function heldBy(text: string): string {
  const job = /"job_id":(\d+)/.exec(text)?.[1];
  if (job !== undefined) return `it held a line of job ${job}`;
  const table = /"table":"([a-z_]{1,30})"/.exec(text)?.[1];
  return table === undefined ? "what it held is not known" : `it held a row of ${table}`;
}

const range = (first: number, last: number): string =>
  first === last ? `line ${first}` : `lines ${first} to ${last}`;

/** Goes along the lines of a journal in their order, and finds what it lacks: by the sums and by the numbers. */
export class GapWatch {
  readonly found: string[] = [];
  private last: Pick<JournalLine, "n" | "at"> | undefined;
  /** Lines of the whole copy that are still to come. */
  private owed = 0;
  /** Lines that could not be read since the last one that could. */
  private unread = 0;

  /** @param after number of the line before the first one; undefined where it begins with a copy that does not say how long it is */
  constructor(after: number | undefined) {
    if (after !== undefined) this.last = { n: after, at: "" };
  }

  unreadable(place: string, text: string): void {
    this.unread += 1;
    this.found.push(`The journal cannot be read at ${place}: ${heldBy(text)}.`);
  }

  line({ n, at, table, row }: JournalLine): void {
    if (table === COPY_HEAD) {
      this.owed = Number(row["lines"]);
      this.unread = 0;
    } else if (this.owed > 0 && n === this.last?.n) this.owed -= 1;
    else {
      this.endOfCopy();
      const missing = this.last === undefined ? 0 : n - this.last.n - 1 - this.unread;
      if (this.last && missing > 0) {
        const since = this.last.at === "" ? "" : ` after ${this.last.at} and`;
        this.found.push(`The journal lacks ${range(this.last.n + 1, n - 1)}, written${since} before ${at}.`);
      }
      this.unread = 0;
    }
    this.last = { n, at };
  }

  private endOfCopy(): void {
    const missing = this.owed - this.unread;
    if (missing > 0)
      this.found.push(`The journal's whole copy of line ${this.last?.n} lacks ${missing} of its lines.`);
    if (this.owed > 0) this.unread = 0;
    this.owed = 0;
  }

  /** @param upTo number of the newest line that there should be, where it is known */
  end(upTo?: number): void {
    this.endOfCopy();
    const from = this.last?.n ?? 0;
    if (upTo !== undefined && upTo - from - this.unread > 0)
      this.found.push(`The journal lacks ${range(from + 1, upTo)}, the newest.`);
  }
}
