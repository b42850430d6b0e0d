import type { Entry } from "@/core/job/log/entry";
import type { Executor } from "@/server/db/executor";
import { entriesAfter } from "./entries";

/** Lines of every log that was read lately, at most: older logs are read anew. */
const MOST_LINES = 20_000;

/**
 * Logs read before. A log is only added to (the database refuses anything else), so what is known of it stays true and only
 * its newer lines are read. Nothing is remembered that might still be rolled back.
 */
class KnownLogs {
  private readonly logs = new Map<number, readonly Entry[]>();
  private lines = 0;

  get(jobId: number): readonly Entry[] {
    return this.logs.get(jobId) ?? [];
  }

  remember(jobId: number, entries: readonly Entry[]): void {
    this.lines += entries.length - this.get(jobId).length;
    this.logs.delete(jobId);
    this.logs.set(jobId, entries);
    for (const [oldest, { length }] of this.logs) {
      if (this.lines <= MOST_LINES || oldest === jobId) break;
      this.logs.delete(oldest);
      this.lines -= length;
    }
  }
}

const known = new WeakMap<Executor, KnownLogs>();

function logsOf(db: Executor): KnownLogs {
  const logs = known.get(db) ?? new KnownLogs();
  known.set(db, logs);
  return logs;
}

/** A whole log; read outside of a transaction or at the beginning of one, it is remembered. */
export async function committedLog(
  db: Executor,
  jobId: number,
  on: Executor = db,
): Promise<readonly Entry[]> {
  const entries = await wholeLog(db, jobId, on);
  logsOf(db).remember(jobId, entries);
  return entries;
}

/** A whole log, with lines that this transaction has added. */
export async function wholeLog(db: Executor, jobId: number, on: Executor): Promise<readonly Entry[]> {
  const before = logsOf(db).get(jobId);
  const since = await entriesAfter(on, jobId, before.length);
  return since.length === 0 ? before : [...before, ...since];
}
