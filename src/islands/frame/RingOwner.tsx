import type { JobView } from "@/core/job/log/view";
import type { Estimate } from "@/core/job/sign-off/estimate";
import type { Stage } from "@/core/job/stages";
import { formatChance, formatMoney } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { askMessage } from "@/words/messages";
import { Message } from "../fields/Message";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface RingProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly stage: Stage;
  readonly ask: Estimate;
}

const MEANS = { yes: "telephone", no: "telephone", asked: "message" } as const;

/** What is likely comes to more than was said at the door: the owner is rung, and what they say is one tap. */
export function RingOwner({ job, shop, stage, ask }: RingProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { currency } = shop.settings;
  const work = inSentence(ask.label);
  const price = formatMoney(ask.priceMinor, currency);
  const question = `May we ${work}?`;
  const say = (answer: keyof typeof MEANS) => (): void =>
    void post({
      kind: "owner-answer",
      stage,
      payload: { question, answer, means: MEANS[answer], priceMinor: ask.priceMinor },
    });
  const button = (answer: keyof typeof MEANS, label: string) => (
    <button type="button" className="btn btn-outline btn-bench" disabled={isBusy} onClick={say(answer)}>
      {label}
    </button>
  );
  return (
    <>
      <p className="text-soft">
        To be rung above {formatMoney(job.takenIn?.ceilingMinor ?? 0, currency)} · likeliest: {work},{" "}
        {formatChance(ask.chance)} that it ends it
      </p>
      <h2 className="font-bold text-2xl leading-tight">Ring the owner: it comes to about {price}</h2>
      <div className="mt-2 flex flex-wrap gap-3">
        {button("yes", "Said yes")}
        {button("no", "Said no")}
        {button("asked", "Asked, no answer yet")}
      </div>
      <details className="mt-1">
        <summary className="min-h-11 cursor-pointer py-2 text-teal underline underline-offset-4">
          A message to send
        </summary>
        <Message
          label="To send, as it is"
          text={askMessage(
            { jobId: job.jobId, machine: job.takenIn?.machine ?? "" },
            { question, priceMinor: ask.priceMinor, byDay: "" },
            shop.settings,
          )}
        />
      </details>
      <Problem text={problem} />
    </>
  );
}
