import type { Standpoint } from "@/core/isolation/history";
import type { JobView } from "@/core/job/log/view";
import type { Knowledge } from "@/core/knowledge/types";
import { formatChance } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { type SayLine, useLineWords } from "@/islands/state/tool-words";
import { faultLabel } from "../engine/names";

interface StandpointsProps {
  readonly history: readonly Standpoint[];
  readonly job: JobView;
  readonly knowledge: Knowledge;
  readonly shop: Shop;
}

const WORTH_NAMING = 0.05;

function stepWords(job: JobView, say: SayLine, seq: number): string {
  if (seq === 0) return "Before anything was known";
  const line = job.ledger.find((one) => one.seq === seq);
  return line ? say(line) : `Line ${seq}`;
}

/** How suspicion moved: the likeliest after each line, so that it can be seen what turned it. */
export function Standpoints({ history, job, knowledge, shop }: StandpointsProps) {
  const say = useLineWords(job, shop);
  if (history.length < 2) return null;
  return (
    <details className="mt-1" data-testid="history">
      <summary className="inline-flex min-h-11 cursor-pointer items-center text-teal underline underline-offset-4">
        How suspicion moved
      </summary>
      <ol className="border-ink border-t-2">
        {history.map(({ seq, leading }) => (
          <li key={seq} className="grid gap-x-5 gap-y-1 border-rule border-b py-2 md:grid-cols-2">
            <span>
              {seq > 0 ? <span className="num mr-2 text-soft">{seq}</span> : null}
              {stepWords(job, say, seq)}
            </span>
            <ul>
              {leading
                .filter(({ chance }, index) => index === 0 || chance >= WORTH_NAMING)
                .map(({ root, chance }, index) => (
                  <li key={root} className="flex items-center justify-between gap-3">
                    <span className={index === 0 ? "font-semibold" : "text-soft"}>
                      {faultLabel(knowledge, root)}
                    </span>
                    <span className="whitespace-nowrap text-soft">{formatChance(chance)}</span>
                  </li>
                ))}
            </ul>
          </li>
        ))}
      </ol>
    </details>
  );
}
