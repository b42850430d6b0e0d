import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import type { DeadCheck } from "@/core/knowledge/types";
import { formatReading, formatText } from "@/core/quantity/format";
import { alternativeTo, checksFor } from "@/core/safety/dead-checks";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { answerAndMoveOn } from "../fields/move-on";
import { Problem } from "../fields/Problem";
import { ReadingField } from "../fields/ReadingField";
import { useReadingField } from "../fields/use-reading-field";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";
import { VerdictMark } from "./VerdictMark";

interface CheckProps {
  readonly job: JobView;
  readonly check: DeadCheck;
  readonly shop: Shop;
  readonly isPlugOut: boolean;
  readonly stage: Stage;
  /** Answers up to this line do not count: something was done to the machine since. */
  readonly since: (check: DeadCheck) => number;
}

const LOOKS = ["sound", "damaged", "not sure"] as const;

function lastAnswer({ job, check, since }: CheckProps) {
  return job.deadChecks.find(({ checkId, seq }) => checkId === check.id && seq > since(check));
}

function Look({ job, check, stage }: CheckProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  return (
    <div className="flex flex-wrap gap-2">
      {LOOKS.map((entered) => (
        <button
          key={entered}
          type="button"
          className="btn btn-outline"
          disabled={isBusy}
          onClick={({ currentTarget }) =>
            void answerAndMoveOn(currentTarget, () =>
              post({
                kind: "reading",
                stage,
                payload: { of: "dead-check", checkId: check.id, entered, taken: "now" },
              }),
            )
          }
        >
          {entered.charAt(0).toUpperCase() + entered.slice(1)}
        </button>
      ))}
      <Problem text={problem} />
    </div>
  );
}

function Measured({ job, check, isPlugOut, stage }: CheckProps) {
  const quantity =
    check.quantity === "insulation" || check.quantity === "current" ? check.quantity : "resistance";
  const [text, setText, clear] = useDraft(`check:${job.jobId}:${check.id}:${job.plugFacts.powerSeq}`, "");
  const { ask } = usePost(job.jobId);
  const field = useReadingField({ quantity, label: check.label, text, onText: setText });
  const keep = async (): Promise<void> => {
    const entered = field.take();
    if (entered === undefined) return;
    const taken = isPlugOut || check.needs === "powered" ? "now" : "afterwards";
    const issues = await ask({
      kind: "reading",
      stage,
      payload: { of: "dead-check", checkId: check.id, entered, taken },
    });
    if (issues.length === 0) clear();
    else field.object(issues);
  };
  const isPowered = check.needs === "powered";
  const whose = isPlugOut || isPowered ? `Job ${job.jobId}` : "Plug not known: kept as entered afterwards";
  return (
    <ReadingField
      id={`check-${check.id}`}
      testId={`check-${check.id}`}
      label="Reading"
      quantity={quantity}
      model={field}
      whose={whose}
      onKeep={keep}
    />
  );
}

function Answer(props: CheckProps) {
  const { check, shop } = props;
  const last = lastAnswer(props);
  if (!last) return null;
  const shown = last.reading ? formatReading(last.reading) : { number: last.entered, unit: "" };
  const row = last.limitId === null ? undefined : shop.limits[last.limitId];
  const relation = row?.relation === "at-most" ? "at most" : "at least";
  const words = { passed: "passed", failed: "failed", undecided: "cannot tell" }[last.verdict];
  return (
    <p className="flex flex-wrap items-center gap-2 text-lg" data-testid={`answer-${check.id}`}>
      <VerdictMark shape={last.verdict} />
      <b>
        <span className="num">{shown.number}</span> {shown.unit}
      </b>
      <span>{words}</span>
      {last.limit === null ? null : (
        <span className="text-soft">
          {relation} {formatText(last.limit, last.reading?.kind === "value" ? last.reading.unit : "Ω")} (
          {last.limitSource}
          {row && !row.reviewed ? ", recalled, not checked" : ""})
        </span>
      )}
    </p>
  );
}

interface WithAlternative extends CheckProps {
  /** What may be measured instead, at the end only. */
  readonly alternative?: DeadCheck | undefined;
}

function Check(props: WithAlternative) {
  const { job, shop, check, alternative } = props;
  const before =
    alternative && alternativeTo(alternative, shop.deadChecks, job.takenIn?.protectionClass ?? "not-known");
  const last = lastAnswer(props);
  const [isAgain, setIsAgain] = useState(false);
  const wasInstead = alternative && lastAnswer({ ...props, check: alternative }) !== undefined;
  const [isInstead, setIsInstead] = useState(wasInstead ?? false);
  const isOpen = isAgain || last === undefined || last.verdict === "undecided";
  return (
    <li className="border-rule border-t py-2.5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="font-semibold text-lg">{check.label}</h3>
        {last ? (
          <button
            type="button"
            className="min-h-11 text-teal underline underline-offset-4"
            onClick={() => setIsAgain(!isAgain)}
          >
            {isAgain ? "leave it" : "again"}
          </button>
        ) : null}
      </div>
      <Answer {...props} />
      {isOpen ? (
        <>
          <p className="mb-2 text-soft">{check.how}</p>
          {check.quantity === "seen" ? <Look {...props} /> : <Measured {...props} />}
          {alternative && !isInstead ? (
            <button
              type="button"
              className="mt-1 min-h-11 text-teal underline underline-offset-4"
              onClick={() => setIsInstead(true)}
            >
              It cannot be taken: {inSentence(alternative.label.split(",")[0] ?? "")} instead
            </button>
          ) : null}
        </>
      ) : null}
      {alternative && isInstead ? (
        <ul className="ml-6">
          {before ? <Check {...props} check={before} alternative={undefined} /> : null}
          <Check {...props} check={alternative} alternative={undefined} />
        </ul>
      ) : null}
    </li>
  );
}

/** The checks that this machine's class owes: before its first plug-in, and again before it leaves. */
export function DeadChecks(props: Omit<CheckProps, "check"> & { readonly isFinal?: boolean }) {
  const { job, shop, since, isFinal = false } = props;
  const protection = job.takenIn?.protectionClass ?? "not-known";
  const owed = checksFor(shop.deadChecks, protection);
  return (
    <ul>
      {owed.map((check) => (
        <Check
          key={`${check.id}:${job.deadChecks.find(({ checkId }) => checkId === check.id)?.seq ?? 0}:${since(check)}`}
          {...props}
          check={check}
          alternative={isFinal ? alternativeTo(check, shop.deadChecks, protection) : undefined}
        />
      ))}
    </ul>
  );
}
