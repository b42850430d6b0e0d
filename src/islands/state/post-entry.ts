import type { EntryKind } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import type { Result } from "@/core/result";
import { request } from "./api";
import { $job, setNewer } from "./job";
import { benchName, newId } from "./person";
import { $lastKept, type Change, tellTabs } from "./tabs";
import { dropWatch, settlePlug, watchOf } from "./watch";

/** An entry as a screen posts it; the server completes it. */
export interface Posted {
  readonly kind: EntryKind;
  readonly stage: Stage;
  readonly payload: Readonly<Record<string, unknown>>;
}

const PLUG_EVENTS: ReadonlySet<unknown> = new Set(["plugged-in", "unplugged", "isolated", "battery"]);
const TRIES = 3;
const PAUSE_MS = 400;

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

function settlesPlug(posted: Posted): boolean {
  return posted.kind === "bench-state" && PLUG_EVENTS.has(posted.payload["event"]);
}

/** The job as it stands on the shop's computer, for a page that was not made with it. */
export async function loadJob(jobId: number): Promise<Result<JobView>> {
  const answer = await request("GET /api/jobs/{id}", { params: { id: String(jobId) } });
  if (!answer.ok) return answer;
  const shown = $job.get();
  const known = Math.max(shown?.jobId === jobId ? shown.seq : answer.value.seq, ownLines.get(jobId) ?? 0);
  // It went on while this tab did not hear of it: who wrote there may have plugged it in.
  if (answer.value.seq > known) dropWatch(jobId);
  setNewer(answer.value);
  return answer;
}

/** The entry before, on its way or answered: a page posts one after the other, so that no quick hand overtakes itself. */
let last: Promise<unknown> = Promise.resolve();

/** The last line that this tab wrote in each job. */
const ownLines = new Map<number, number>();

/** Whether a line is this tab's own: asked while one is on its way, it is told when that one is answered. */
export async function wasPostedHere({ jobId, seq }: Change): Promise<boolean> {
  await last;
  return seq <= (ownLines.get(jobId) ?? 0);
}

/**
 * The one way an island changes a job. A lost answer is asked for again with the same entryId, which is harmless.
 * When the job went on meanwhile, the newest state is loaded and the issue says what changed.
 */
export function postEntry(jobId: number, posted: Posted): Promise<Result<JobView>> {
  const turn = last.then(() => postInTurn(jobId, posted));
  last = turn.catch(() => undefined);
  return turn;
}

async function postInTurn(jobId: number, posted: Posted): Promise<Result<JobView>> {
  const body = {
    ...posted,
    entryId: newId(),
    expectedSeq: $job.get()?.seq ?? 0,
    by: benchName(),
    watch: watchOf(jobId),
  };
  const post = () => request("POST /api/jobs/{id}/entries", { params: { id: String(jobId) }, body });
  let answer = await post();
  for (let tries = 1; answer.status === 0 && tries < TRIES; tries += 1) {
    await pause(PAUSE_MS * tries);
    answer = await post();
  }
  if (answer.ok) {
    // Lines of somebody else came between what this tab had seen and its own.
    if (answer.value.seq > body.expectedSeq + 1) dropWatch(jobId);
    setNewer(answer.value);
    ownLines.set(jobId, answer.value.seq);
    const kept = { jobId, seq: answer.value.seq };
    // A strike is itself a taking back: it is undone by restoring the line. Minutes come in by themselves.
    if (posted.kind !== "time-spent")
      $lastKept.set(posted.kind === "struck" || posted.kind === "restored" ? null : kept);
    tellTabs(kept);
    if (settlesPlug(posted)) settlePlug(jobId, answer.value.seq);
  } else if (answer.status === 409) {
    await loadJob(jobId);
  }
  return answer;
}
