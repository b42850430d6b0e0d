import { useState } from "react";
import type { JobView } from "@/core/job/reduce";
import type { Stage } from "@/core/job/stages";
import type { DeadCheck } from "@/core/knowledge/types";
import { formatReading, formatText } from "@/core/quantity/format";
import { checksFor } from "@/core/safety/dead-checks";
import type { Shop } from "@/core/shop/shop";
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
  readonly since: number;
}

const LOOKS = ["sound", "damaged", "not sure"] as const;

function lastAnswer({ job, check, since }: CheckProps) {
  return job.deadChecks.find(({ checkId, seq }) => checkId === check.id && seq > since);
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
          onClick={() =>
            post({
              kind: "reading",
              stage,
              payload: { of: "dead-check", checkId: check.id, entered, taken: "now" },
            })
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
  const quantity = check.quantity === "insulation" ? "insulation" : "resistance";
  const [text, setText, clear] = useDraft(`check:${job.jobId}:${check.id}`, "");
  const { ask } = usePost(job.jobId);
  const field = useReadingField({ quantity, label: check.label, text, onText: setText });
  const keep = async (): Promise<void> => {
    const entered = field.take();
    if (entered === undefined) return;
    const taken = isPlugOut ? "now" : "afterwards";
    const issues = await ask({
      kind: "reading",
      stage,
      payload: { of: "dead-check", checkId: check.id, entered, taken },
    });
    if (issues.length === 0) clear();
    else field.object(issues);
  };
  const whose = isPlugOut ? `Job ${job.jobId}` : "Plug not known: kept as entered afterwards";
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
  const row = Object.values(shop.limits).find(
    ({ source, value }) => source === last.limitSource && value === last.limit,
  );
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
          {relation} {formatText(last.limit, "Ω")} ({last.limitSource}
          {row && !row.reviewed ? ", recalled, not checked" : ""})
        </span>
      )}
    </p>
  );
}

function Check(props: CheckProps) {
  const { check } = props;
  const last = lastAnswer(props);
  const [isAgain, setIsAgain] = useState(false);
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
        </>
      ) : null}
    </li>
  );
}

/** The checks that this machine's class owes: before its first plug-in, and again before it leaves. */
export function DeadChecks(props: Omit<CheckProps, "check">) {
  const { job, shop, since } = props;
  const owed = checksFor(shop.deadChecks, job.takenIn?.protectionClass ?? "not-known");
  return (
    <ul>
      {owed.map((check) => (
        <Check
          key={`${check.id}:${job.deadChecks.find(({ checkId }) => checkId === check.id)?.seq ?? 0}:${since}`}
          {...props}
          check={check}
        />
      ))}
    </ul>
  );
}
