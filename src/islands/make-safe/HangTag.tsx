import type { JobView } from "@/core/job/log/view";

/** Straight after the door: the number that hangs on the machine, written on tape or printed. Gone once work begins. */
export function HangTag({ job }: { readonly job: JobView }) {
  if (job.ledger.some(({ kind }) => kind === "bench-state" || kind === "reading")) return null;
  return (
    <p className="mb-3 flex flex-wrap items-center gap-x-4" data-testid="hang-tag">
      <span>
        Hang its number on it: <b className="num text-2xl">{job.jobId}</b>, on tape, or
      </span>
      <a
        className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
        href={`/jobs/${job.jobId}/tag`}
      >
        print the tag
      </a>
    </p>
  );
}
