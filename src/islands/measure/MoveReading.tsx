import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import type { Posting } from "@/wire/jobs";
import { Problem } from "../fields/Problem";
import { request } from "../state/api";
import { benchName, newId } from "../state/person";
import { usePost } from "../state/use-post";

interface MoveReadingProps {
  readonly job: JobView;
  readonly reading: JobView["readings"][number];
}

type Entry = Pick<Posting, "kind" | "payload">;

async function postTo(jobId: number, entries: readonly Entry[]): Promise<string | undefined> {
  const other = await request("GET /api/jobs/{id}", { params: { id: String(jobId) } });
  if (!other.ok) return other.issues[0]?.message;
  let { seq } = other.value;
  for (const entry of entries) {
    const draft = {
      entryId: newId(),
      expectedSeq: seq,
      stage: "measure",
      by: benchName(),
      ...entry,
    } as const;
    const kept = await request("POST /api/jobs/{id}/entries", { params: { id: String(jobId) }, body: draft });
    if (!kept.ok) return kept.issues[0]?.message;
    seq = kept.value.seq;
  }
  return undefined;
}

/** A reading that was typed in the wrong job: kept in the other one, struck out here, each record naming the other. */
export function MoveReading({ job, reading }: MoveReadingProps) {
  const [isOpen, setIsOpen] = useState(false);
  const [typed, setTyped] = useState("");
  const [told, setTold] = useState<string | undefined>(undefined);
  const { post, problem } = usePost(job.jobId);
  const move = async (): Promise<void> => {
    const jobId = Number(typed.trim());
    if (!Number.isInteger(jobId) || jobId <= 0 || jobId === job.jobId)
      return setTold(`"${typed}" is not the number of another job: write it as on its tag, such as 104.`);
    const { toolId, moveId, input, seq } = reading;
    const wrong = await postTo(jobId, [
      { kind: "reading", payload: { of: "tool", toolId, moveId, input, taken: "afterwards" } },
      {
        kind: "note",
        payload: { text: `The reading before this line was moved here from job ${job.jobId}, line ${seq}.` },
      },
    ]);
    if (wrong) return setTold(wrong);
    setTold(undefined);
    await post({
      kind: "struck",
      stage: "measure",
      payload: { seq, why: `belongs to job ${jobId}`, reason: "other-machine" },
    });
  };
  if (!isOpen)
    return (
      <button
        type="button"
        className="min-h-11 text-teal underline underline-offset-4"
        onClick={() => setIsOpen(true)}
      >
        it belongs to another job
      </button>
    );
  return (
    <span className="flex flex-wrap items-center gap-2">
      <input
        className="input num w-28"
        aria-label="Number of the job it belongs to"
        inputMode="numeric"
        placeholder="104"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => event.key === "Enter" && void move()}
      />
      <button type="button" className="btn btn-outline" onClick={() => void move()}>
        Move it there
      </button>
      <Problem text={told ?? problem} />
    </span>
  );
}
