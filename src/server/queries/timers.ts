import { and, eq, gte, inArray } from "drizzle-orm";
import type { Executor } from "@/server/db/executor";
import { entries } from "@/server/db/schema";

/** A timer that runs, or ran out a while ago, with the machine it is for. */
export interface RunningTimer {
  readonly jobId: number;
  readonly seq: number;
  readonly machine: string;
  readonly what: string;
  /** UTC, ISO 8601. */
  readonly endsAt: string;
}

const LOOK_BACK_MS = 48 * 3600 * 1000;
const RINGS_FOR_MS = 12 * 3600 * 1000;

/** Timers of all jobs that still run or ran out within half a day, those struck out left aside. */
export async function runningTimers(on: Executor, now: string): Promise<RunningTimer[]> {
  const since = new Date(Date.parse(now) - LOOK_BACK_MS).toISOString();
  const started = await on
    .select()
    .from(entries)
    .where(and(eq(entries.kind, "timer-started"), gte(entries.at, since)));
  const jobIds = [...new Set(started.map(({ jobId }) => jobId))];
  if (jobIds.length === 0) return [];
  const beside = await on
    .select()
    .from(entries)
    .where(and(inArray(entries.kind, ["struck", "restored", "taken-in"]), inArray(entries.jobId, jobIds)))
    .orderBy(entries.jobId, entries.seq);
  const machines = new Map<number, string>();
  const struck = new Set<string>();
  for (const row of beside) {
    const payload = row.payload as { machine?: string; seq?: number };
    if (row.kind === "taken-in") machines.set(row.jobId, payload.machine ?? "");
    else if (row.kind === "struck") struck.add(`${row.jobId}:${payload.seq}`);
    else struck.delete(`${row.jobId}:${payload.seq}`);
  }
  return started.flatMap(({ jobId, seq, payload, at }): RunningTimer[] => {
    const { what, seconds } = payload as { what: string; seconds: number };
    const end = Date.parse(at) + seconds * 1000;
    if (struck.has(`${jobId}:${seq}`) || end < Date.parse(now) - RINGS_FOR_MS) return [];
    return [{ jobId, seq, machine: machines.get(jobId) ?? "", what, endsAt: new Date(end).toISOString() }];
  });
}
