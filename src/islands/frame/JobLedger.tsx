import { useState } from "react";
import { needsReason } from "@/core/job/log/strike";
import type { StrikeReason } from "@/core/job/log/strike-reasons";
import type { JobView, LedgerLine } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import { formatInstant } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { type SayLine, useLineWords } from "@/islands/state/tool-words";
import { postEntry } from "../state/post-entry";
import { LedgerForms } from "./LedgerForms";
import { WhyStruck } from "./WhyStruck";

interface LineProps {
  readonly line: LedgerLine;
  readonly shop: Shop;
  readonly say: SayLine;
  readonly isBusy: boolean;
  onStrike(line: LedgerLine): void;
}

const FIXED: ReadonlySet<LedgerLine["kind"]> = new Set(["struck", "restored"]);

function Line({ line, shop, say, isBusy, onStrike }: LineProps) {
  const words = say(line);
  const action = line.isStruck ? "restore" : "strike";
  return (
    <li className="grid min-h-12 grid-cols-[34px_minmax(0,1fr)_auto] items-center gap-x-3 border-rule border-t py-1 md:grid-cols-[34px_minmax(0,1fr)_auto_auto]">
      <span className="num grid h-7 w-7 place-items-center rounded-full border-[1.5px] border-ring font-semibold text-sm">
        {line.seq}
      </span>
      <span className={line.isStruck ? "text-soft line-through" : ""}>{words}</span>
      <span className="hidden whitespace-nowrap text-soft md:inline">
        {formatInstant(line.at, shop.settings.zone)} · {line.by}
      </span>
      {FIXED.has(line.kind) ? (
        <span className="w-16" />
      ) : (
        <button
          type="button"
          className="min-h-11 w-16 text-right text-teal underline underline-offset-4"
          disabled={isBusy}
          aria-label={`${action} line ${line.seq}: ${words}`}
          onClick={() => onStrike(line)}
        >
          {action}
        </button>
      )}
    </li>
  );
}

const SHORT = 6;

/** Every line of the job, newest first; each can be struck out and restored, none is lost. */
export function JobLedger({
  job,
  shop,
  stage,
}: {
  readonly job: JobView;
  readonly shop: Shop;
  readonly stage: Stage;
}) {
  const say = useLineWords(job, shop);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const [isBusy, setIsBusy] = useState(false);
  const [isWhole, setIsWhole] = useState(false);
  const [asked, setAsked] = useState<LedgerLine | undefined>(undefined);
  const strike = async (
    line: LedgerLine,
    reason: StrikeReason | "none" = "none",
    why = "",
  ): Promise<void> => {
    if (!line.isStruck && reason === "none" && needsReason(line, job.live.dangers)) {
      setAsked(line);
      return;
    }
    setIsBusy(true);
    setAsked(undefined);
    const payload = line.isStruck ? { seq: line.seq } : { seq: line.seq, why, reason };
    const kept = await postEntry(job.jobId, { kind: line.isStruck ? "restored" : "struck", stage, payload });
    setProblem(kept.ok ? undefined : kept.issues.map(({ message }) => message).join(" "));
    setIsBusy(false);
  };
  const newestFirst = [...job.ledger].reverse();
  const visible = isWhole ? newestFirst : newestFirst.slice(0, SHORT);
  return (
    <section aria-label="Ledger" className="mt-6">
      <div className="flex flex-wrap items-end justify-between gap-3 border-ring border-b-2 pb-1">
        <h2 className="font-semibold text-soft">What was done, newest first</h2>
        <LedgerForms job={job} shop={shop} stage={stage} />
      </div>
      {problem ? (
        <p role="alert" className="py-2 font-semibold text-oxide">
          {problem}
        </p>
      ) : null}
      {asked ? (
        <WhyStruck
          key={asked.seq}
          line={asked.seq}
          onStrike={(reason, why) => void strike(asked, reason, why)}
          onCancel={() => setAsked(undefined)}
        />
      ) : null}
      <ol data-testid="ledger">
        {visible.map((line) => (
          <Line
            key={line.seq}
            line={line}
            shop={shop}
            say={say}
            isBusy={isBusy}
            onStrike={(one) => void strike(one)}
          />
        ))}
      </ol>
      {newestFirst.length > SHORT ? (
        <button
          type="button"
          className="min-h-11 text-teal underline underline-offset-4"
          onClick={() => setIsWhole(!isWhole)}
        >
          {isWhole ? "Show the newest only" : `Show all ${newestFirst.length} lines`}
        </button>
      ) : null}
    </section>
  );
}
