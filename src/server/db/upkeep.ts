import type { PGlite } from "@electric-sql/pglite";

const LOOK_EVERY_MS = 15_000;
const MOST_LOG_BYTES = 64 * 1024 * 1024;
const LONGEST_MS = 5 * 60_000;
/** Nobody has written for so long: nobody minds a few seconds. */
const QUIET_MS = 30 * 60_000;
/** Rows that are written again and again: their old versions lie about until they are swept. */
const REWRITTEN = ["job_facts", "shop_counts", "journal_head", "journal_outbox"];

/** Where the database's log stands, in bytes from its beginning. */
async function logBytes(client: PGlite): Promise<number> {
  const { rows } = await client.query<{ bytes: string }>(
    "select (pg_current_wal_insert_lsn() - '0/0'::pg_lsn)::text as bytes",
  );
  return Number(rows[0]?.bytes ?? 0);
}

/**
 * What the embedded database does not do by itself, having no processes beside it. Its log is written back after 64 MB, and
 * after five minutes in which something was written: otherwise it would grow without end, and a start after a power cut
 * with it. Old versions of rows are swept with it; all tables are swept and counted once it has been quiet.
 * @param now milliseconds, for tests
 */
export class Upkeep {
  private timer: NodeJS.Timeout | undefined;
  private doneAt: number;
  private doneBytes = 0;
  private seenBytes = 0;
  private writtenAt = 0;
  private isSweptWhole = true;
  private running: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly client: PGlite,
    private readonly now: () => number = Date.now,
    private readonly rewritten: readonly string[] = REWRITTEN,
  ) {
    this.doneAt = now();
  }

  async begin(): Promise<void> {
    this.doneBytes = await logBytes(this.client);
    this.seenBytes = this.doneBytes;
    this.timer = setInterval(() => {
      this.running = this.running
        .then(() => this.look())
        .catch((error) => console.error("upkeep of the database", error));
    }, LOOK_EVERY_MS);
    this.timer.unref();
  }

  /** @returns what it was time for */
  async look(): Promise<"nothing" | "written-back" | "swept"> {
    const bytes = await logBytes(this.client);
    if (bytes !== this.seenBytes) {
      this.seenBytes = bytes;
      this.writtenAt = this.now();
      this.isSweptWhole = false;
    }
    const written = bytes - this.doneBytes;
    const isLong = this.now() - this.doneAt >= LONGEST_MS;
    if (written >= MOST_LOG_BYTES || (written > 0 && isLong)) {
      for (const table of this.rewritten) await this.client.exec(`vacuum (analyze) ${table}`);
      await this.writeBack();
      return "written-back";
    }
    if (this.isSweptWhole || this.now() - this.writtenAt < QUIET_MS) return "nothing";
    const { rows } = await this.client.query<{ name: string }>(
      "select quote_ident(schemaname) || '.' || quote_ident(tablename) as name from pg_tables where schemaname <> 'information_schema'",
    );
    // One at a time: whoever does come is served between two of them.
    for (const { name } of rows) await this.client.exec(`vacuum (analyze) ${name}`);
    await this.writeBack();
    this.isSweptWhole = true;
    return "swept";
  }

  private async writeBack(): Promise<void> {
    await this.client.exec("checkpoint");
    this.doneBytes = await logBytes(this.client);
    this.seenBytes = this.doneBytes;
    this.doneAt = this.now();
  }

  async end(): Promise<void> {
    clearInterval(this.timer);
    await this.running;
  }
}
