import { useState } from "react";
import { isWhole, putBackOrder, stillOff, type ToPutBack } from "@/core/job/put-back";
import type { JobView } from "@/core/job/reduce";
import type { Repair } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";
import { Problem } from "../fields/Problem";
import { JobFrame } from "../frame/JobFrame";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { usePost } from "../state/use-post";
import { RepairDone } from "./RepairDone";
import { TookOff } from "./TookOff";

interface PutBackProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly repairs: readonly Repair[];
}

interface LineProps {
  readonly job: JobView;
  readonly one: ToPutBack;
  readonly isNow: boolean;
}

/** One thing that came off. The one to put back now is the loudest. */
function OffLine({ job, one, isNow }: LineProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const [isLeaving, setIsLeaving] = useState(false);
  const [why, setWhy] = useState("");
  const off = job.removed.find(({ seq }) => seq === one.line);
  const refit = off?.refit ?? null;
  const what = one.access ?? `${off && off.count > 1 ? `${off.count} × ` : ""}${off?.what ?? ""}`;
  const back = (how: "back" | "replaced" | "left-out", reason = ""): Promise<boolean> =>
    one.access === null
      ? post({ kind: "refitted", stage: "put-back", payload: { line: one.line, how, why: reason } })
      : post({ kind: "closed", stage: "put-back", payload: { access: one.access } });
  if (refit)
    return (
      <li className="flex min-h-12 items-center gap-3 border-rule border-t text-soft">
        <span className="h-4 w-7 shrink-0 bg-ink" aria-hidden="true" />
        <span>
          {what}
          {refit.how === "replaced"
            ? ", new one fitted"
            : refit.how === "left-out"
              ? `, left out: ${refit.why}`
              : ""}
        </span>
      </li>
    );
  return (
    <li className={isNow ? "move my-2 px-4 py-3" : "border-rule border-t py-2"}>
      <div className="flex flex-wrap items-center gap-3">
        <span className="min-w-0 flex-1 basis-56">
          <span className={isNow ? "block font-bold text-[28px] leading-tight" : "font-semibold"}>
            {what}
          </span>
          {off?.where ? <span className={isNow ? "text-lg" : "ml-2 text-soft"}>{off.where}</span> : null}
          {one.access ? <span className="ml-2 text-soft">is open</span> : null}
        </span>
        <button
          type="button"
          className={isNow ? "btn btn-primary btn-loud" : "btn btn-outline"}
          aria-label={`${one.access ? "Closed" : "Back on"}: ${what}`}
          disabled={isBusy}
          onClick={() => back("back")}
        >
          {one.access ? "Closed" : "Back on"}
        </button>
        {one.access === null ? (
          <>
            <button
              type="button"
              className="btn btn-outline"
              aria-label={`New one fitted: ${what}`}
              disabled={isBusy}
              onClick={() => back("replaced")}
            >
              New one
            </button>
            <button type="button" className="btn btn-ghost" onClick={() => setIsLeaving(!isLeaving)}>
              Left out …
            </button>
          </>
        ) : null}
      </div>
      {isLeaving ? (
        <div className="mt-2 flex flex-wrap items-end gap-2">
          <label className="grow">
            <span className="label-line">Why it is left out</span>
            <input className="input" value={why} onChange={(event) => setWhy(event.target.value)} />
          </label>
          <button type="button" className="btn btn-outline" onClick={() => back("left-out", why)}>
            Leave it out
          </button>
        </div>
      ) : null}
      <Problem text={problem} />
    </li>
  );
}

function Whole({ job }: { readonly job: JobView }) {
  return (
    <div className="move mt-3 flex flex-wrap items-center gap-5 px-5 py-4">
      <h2 className="font-bold text-[28px] leading-tight">All is back and covered</h2>
      <a className="btn btn-primary btn-loud" href={`/jobs/${job.jobId}/sign-off`}>
        Final tests
      </a>
    </div>
  );
}

function Body({ screen, repairs }: { readonly screen: JobScreen; readonly repairs: readonly Repair[] }) {
  const { job } = screen;
  const order = putBackOrder(job);
  const isOff = (one: ToPutBack): boolean =>
    one.access !== null || job.removed.find(({ seq }) => seq === one.line)?.refit === null;
  const isRepaired = job.interventions.some(({ seq }) => seq > (job.decision?.seq ?? 0));
  const current = isRepaired ? order.find(isOff) : undefined;
  const left = stillOff(job).length + job.bench.opened.length;
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_360px]">
      <div>
        <RepairDone screen={screen} repairs={repairs} />
        {isRepaired && isWhole(job) ? <Whole job={job} /> : null}
        <h2 className="mt-4 border-ring border-b-2 pb-1 font-semibold text-soft">
          Back in reverse order{" "}
          <span className="num">
            {order.length - left} of {order.length}
          </span>
        </h2>
        {order.length === 0 ? (
          <p className="py-3 text-soft">Nothing has come off yet. Write each thing down as it comes off.</p>
        ) : null}
        <ol aria-label="To put back">
          {order.map((one) => (
            <OffLine key={one.seq} job={job} one={one} isNow={one === current} />
          ))}
        </ol>
        {left > 0 ? <p className="pt-2 font-semibold">Covers on before power: {left} left.</p> : null}
      </div>
      <TookOff job={job} />
    </div>
  );
}

/** Put back: the repair itself, then all that came off in reverse, covers before power. */
export function PutBackScreen({ job, shop, repairs }: PutBackProps) {
  const screen = useJobScreen(job, shop);
  return (
    <JobFrame screen={screen} shop={shop} stage="put-back">
      <h1 className="sr-only">Put back</h1>
      <Body screen={screen} repairs={repairs} />
    </JobFrame>
  );
}
