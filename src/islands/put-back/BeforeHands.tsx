import type { ToPutBack } from "@/core/job/reassembly/put-back";
import { needToPutBack } from "@/core/job/reassembly/touched";
import { BENCH_GAP_WORDS } from "@/words/gaps";
import type { JobScreen } from "../frame/use-job-screen";

interface BeforeProps {
  readonly screen: JobScreen;
  readonly one: ToPutBack;
}

/** What is still between hands and machine before the next thing goes back on; what is ticked meanwhile was done before. */
export function BeforeHands({ screen, one }: BeforeProps) {
  const { job } = screen;
  const gaps = screen.gaps(needToPutBack(one, job.removed));
  if (gaps.length === 0) return null;
  return (
    <p className="py-2 text-oxide" data-testid="before-hands">
      <b>Before hands go to it: {gaps.map((gap) => BENCH_GAP_WORDS[gap]).join(", ")}.</b>{" "}
      <a
        className="inline-flex min-h-11 items-center underline underline-offset-4"
        href={`/jobs/${job.jobId}/make-safe`}
      >
        Make safe
      </a>{" "}
      What is ticked now is kept as done before.
    </p>
  );
}
