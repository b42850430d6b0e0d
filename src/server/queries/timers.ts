import { ofKind } from "@/core/job/log/lines";
import type { Executor } from "@/server/db/executor";
import { entriesOfKinds } from "@/server/repositories/entries";
import type { RunningTimer } from "@/wire/jobs";

const LOOK_BACK_MS = 48 * 3600 * 1000;
const RINGS_FOR_MS = 12 * 3600 * 1000;

/** Timers of all jobs that still run or ran out within half a day, those struck out left aside. */
export async function runningTimers(on: Executor, now: string): Promise<RunningTimer[]> {
  const since = new Date(Date.parse(now) - LOOK_BACK_MS).toISOString();
  const started = ofKind(await entriesOfKinds(on, ["timer-started"], { since }), "timer-started");
  const jobIds = [...new Set(started.map(({ jobId }) => jobId))];
  if (jobIds.length === 0) return [];
  const machines = new Map<number, string>();
  const struck = new Set<string>();
  for (const entry of await entriesOfKinds(on, ["struck", "restored", "taken-in"], { jobIds })) {
    const { jobId } = entry;
    if (entry.kind === "taken-in") machines.set(jobId, entry.payload.machine);
    else if (entry.kind === "struck") struck.add(`${jobId}:${entry.payload.seq}`);
    else if (entry.kind === "restored") struck.delete(`${jobId}:${entry.payload.seq}`);
  }
  return started.flatMap(({ jobId, seq, payload: { what, seconds }, at }): RunningTimer[] => {
    const end = Date.parse(at) + seconds * 1000;
    if (struck.has(`${jobId}:${seq}`) || end < Date.parse(now) - RINGS_FOR_MS) return [];
    return [{ jobId, seq, machine: machines.get(jobId) ?? "", what, endsAt: new Date(end).toISOString() }];
  });
}
