import type { Isolation } from "@/core/isolation/isolate";
import type { Knowledge } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";
import { stepAction, stepHref } from "@/words/steps";
import { useNextStep } from "../frame/NextBar";
import type { JobScreen } from "../frame/use-job-screen";
import { BeforeOrder } from "./BeforeOrder";
import { StopCall } from "./Suspects";

interface StopProps {
  readonly screen: JobScreen;
  readonly isolation: Isolation;
  readonly knowledge: Knowledge;
  readonly shop: Shop;
  onAsk(moveId: string): void;
}

/** The search ends: the loud way on is the job's next step, be it one more look, the part or the decision. */
export function StopCard({ screen, isolation, knowledge, shop, onAsk }: StopProps) {
  const { jobId } = screen.job;
  const step = useNextStep(screen, shop);
  const first = knowledge.moves.find(({ id }) => id === isolation.beforeOrder[0]?.moveId);
  const isDecide = step.stage === "decide";
  return (
    <section className="move px-5 py-5">
      <h1 className="font-bold text-[30px] leading-tight">No move left is worth its price</h1>
      <StopCall isolation={isolation} knowledge={knowledge} shop={shop} />
      <BeforeOrder isolation={isolation} knowledge={knowledge} onAsk={onAsk} />
      <p className="mt-3 flex flex-wrap gap-3">
        {first ? (
          <button type="button" className="btn btn-primary btn-loud" onClick={() => onAsk(first.id)}>
            {first.title}
          </button>
        ) : (
          <a className="btn btn-primary btn-loud" href={stepHref(step, jobId)}>
            {stepAction(step)}
          </a>
        )}
        {first || !isDecide ? (
          <a className="btn btn-outline" href={`/jobs/${jobId}/decide`}>
            Decide what to do
          </a>
        ) : null}
      </p>
    </section>
  );
}
