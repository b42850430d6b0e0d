import type { PGlite } from "@electric-sql/pglite";

const LOOK_EVERY_MS = 15_000;
const MOST_LOG_BYTES = 64 * 1024 * 1024;
const LONGEST_MS = 5 * 60_000;

/** Where the database's log stands, in bytes from its beginning. */
async function logBytes(client: PGlite): Promise<number> {
  const { rows } = await client.query<{ bytes: string }>(
    "select (pg_current_wal_insert_lsn() - '0/0'::pg_lsn)::text as bytes",
  );
  return Number(rows[0]?.bytes ?? 0);
}

/**
 * The embedded database never writes its log back by itself: it would grow without end, and a start after a power cut with
 * it. It is done after 64 MB of log, and after five minutes in which something was written.
 * @param now milliseconds, for tests
 */
export class Checkpoints {
  private timer: NodeJS.Timeout | undefined;
  private doneAt: number;
  private doneBytes = 0;
  private running: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly client: PGlite,
    private readonly now: () => number = Date.now,
  ) {
    this.doneAt = now();
  }

  async begin(): Promise<void> {
    this.doneBytes = await logBytes(this.client);
    this.timer = setInterval(() => {
      this.running = this.running
        .then(() => this.look())
        .catch((error) => console.error("checkpoint", error));
    }, LOOK_EVERY_MS);
    this.timer.unref();
  }

  /** @returns whether it was time */
  async look(): Promise<boolean> {
    const written = (await logBytes(this.client)) - this.doneBytes;
    const isLong = this.now() - this.doneAt >= LONGEST_MS;
    if (written < MOST_LOG_BYTES && !(written > 0 && isLong)) return false;
    await this.client.exec("CHECKPOINT");
    this.doneBytes = await logBytes(this.client);
    this.doneAt = this.now();
    return true;
  }

  async end(): Promise<void> {
    clearInterval(this.timer);
    await this.running;
  }
}
