import type { Stage } from "@/core/job/stages";
import { postEntry } from "./post-entry";
import { $lastKept } from "./tabs";

/** Takes back what this page kept last: struck out, not lost. @returns why not, when it was refused */
export async function undoLast(jobId: number, stage: Stage): Promise<string | undefined> {
  const kept = $lastKept.get();
  if (!kept || kept.jobId !== jobId) return undefined;
  const payload = { seq: kept.seq, why: "", reason: "slip" };
  const answer = await postEntry(jobId, { kind: "struck", stage, payload });
  if (!answer.ok) return answer.issues.map(({ message }) => message).join(" ");
  $lastKept.set(null);
  return undefined;
}
