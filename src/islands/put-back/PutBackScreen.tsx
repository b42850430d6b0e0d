import { useState } from "react";
import type { Pin } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import {
  isRepairDone,
  isWhole,
  putBackOrder,
  stillOff,
  type ToPutBack,
} from "@/core/job/reassembly/put-back";
import type { Repair } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";
import { offWords } from "@/words/put-back";
import { Problem } from "../fields/Problem";
import { useAnchored } from "../frame/anchor";
import { ClipsOff } from "../frame/ClipsOff";
import { JobFrame } from "../frame/JobFrame";
import { OpenDangers } from "../frame/OpenDangers";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { useAwake } from "../state/awake";
import { usePost } from "../state/use-post";
import { TookOff } from "../taking-apart/TookOff";
import { useTakingApart } from "../taking-apart/use-taking-apart";
import { BeforeHands } from "./BeforeHands";
import { OffList } from "./OffList";
import { PinPicture } from "./PinPicture";
import { RepairDone } from "./RepairDone";
import { WireMap } from "./WireMap";

interface PutBackProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly repairs: readonly Repair[];
}

/** All that was noted is back. Where nothing was, the log knows of no cover: it is asked, not said. */
function Whole({ job }: { readonly job: JobView }) {
  const isNoted = job.removed.length > 0 || job.ledger.some(({ kind }) => kind === "closed");
  return (
    <div className="move mt-3 flex flex-wrap items-center gap-5 px-5 py-4">
      <h2 className="font-bold text-[28px] leading-tight">
        {isNoted ? "All is back and covered" : "Nothing was noted as off: are all covers on?"}
      </h2>
      <a className="btn btn-primary btn-loud" href={`/jobs/${job.jobId}/sign-off`}>
        {isNoted ? "Final tests" : "They are: final tests"}
      </a>
    </div>
  );
}

/** A clip that is still on a capacitor comes off before the cover over it goes on. */
function Clip({ job }: { readonly job: JobView }) {
  const { ref } = useAnchored("clip");
  const clips = job.bench.stored.filter(({ clip }) => clip === true);
  if (clips.length === 0) return null;
  const isSure = clips.some(({ clipStruck }) => clipStruck !== true);
  return (
    <section ref={ref} aria-label="Clip" className="sheet mb-3 flex flex-wrap items-center gap-4 px-5 py-3">
      <p className="min-w-0 flex-1 basis-60">
        <b>
          {isSure
            ? "The clip is still on a capacitor."
            : "A clip may be on a capacitor: its line was struck out."}
        </b>{" "}
        Take it off before its cover goes on, hands away from the terminals.
      </p>
      <ClipsOff job={job} stage="put-back" />
    </section>
  );
}

/** What the bar at the bottom says: how many are left, and by name the small ones that get lost. */
function leftWords(job: JobView, total: number): string {
  const off = job.removed.filter(({ refit }) => refit === null);
  const left = off.length + job.bench.opened.length;
  const small = off.filter(({ sort }) => sort === "washer" || sort === "seal").map(({ what }) => what);
  const missing = small.length > 0 ? `, ${small.slice(0, 2).join(" and ")} missing` : "";
  return `${left} of ${total} left${missing}`;
}

/** Small parts that the repairs of this job move over to a new part. */
function carriesOf(job: JobView, repairs: readonly Repair[]): readonly string[] {
  const done = new Set(job.interventions.map(({ label }) => label));
  const wanted = new Set(job.decision?.repairs ?? []);
  return [
    ...new Set(
      repairs
        .filter((one) => done.has(one.done) || wanted.has(one.id))
        .flatMap(({ carries = [] }) => carries),
    ),
  ];
}

function LeftBar({ job, total }: { readonly job: JobView; readonly total: number }) {
  const next = job.removed.findLast(({ refit }) => refit === null);
  return (
    <p className="mt-3 border-ink border-t-2 py-3 font-semibold text-lg" data-testid="left-bar">
      {leftWords(job, total)}
      {next ? <span className="ml-3 font-normal text-soft">last off: {offWords(next)}</span> : null}
    </p>
  );
}

/** The same machine or its twin was here before: how it came apart then. */
function Earlier({ job }: { readonly job: JobView }) {
  const from = job.takenIn?.from;
  if (!from) return null;
  return (
    <a className="btn btn-outline" href={`/jobs/${from.jobId}/put-back`}>
      How job {from.jobId} came apart, {from.as === "same" ? "the same machine" : "its twin"}
    </a>
  );
}

function Body({
  screen,
  shop,
  repairs,
}: {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly repairs: readonly Repair[];
}) {
  const { job } = screen;
  const apart = useTakingApart(screen, "put-back");
  const [chosen, setChosen] = useState<number | undefined>(undefined);
  const [pinning, setPinning] = useState<number | undefined>(undefined);
  const { post, problem } = usePost(job.jobId);
  const order = putBackOrder(job);
  const isOff = (one: ToPutBack): boolean =>
    one.access !== null || job.removed.find(({ seq }) => seq === one.line)?.refit === null;
  const isRepaired = isRepairDone(job);
  const isWaiting = job.decision !== null && !isRepaired;
  const current = isRepaired ? order.find(isOff) : undefined;
  const left = stillOff(job).length + job.bench.opened.length;
  const pinLine = (pin: Pin | null): void => {
    if (pin && pinning !== undefined)
      void post({ kind: "pinned", stage: "put-back", payload: { line: pinning, ...pin } });
    setPinning(undefined);
  };
  const pinned = job.removed.find(({ seq }) => seq === current?.line)?.pin;
  const shown = chosen ?? pinned?.picture ?? job.pictures.findLast(({ of }) => of !== "nameplate")?.seq;
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_400px]">
      <div className="min-w-0">
        <RepairDone screen={screen} repairs={repairs} />
        {isRepaired ? <OpenDangers screen={screen} shop={shop} stage="put-back" /> : null}
        {isRepaired || job.ownerSaid?.answer === "no" ? <Clip job={job} /> : null}
        {isRepaired && isWhole(job) ? <Whole job={job} /> : null}
        {isRepaired ? null : <TookOff apart={apart} isLoud={!isWaiting} />}
        <h2 className="mt-4 border-ring border-b-2 pb-1 font-semibold text-soft">
          Back in reverse order{" "}
          <span className="num">
            {order.length - left} of {order.length}
          </span>
        </h2>
        {order.length === 0 ? (
          <p className="py-3 text-soft">Nothing has come off yet. Write each thing down as it comes off.</p>
        ) : null}
        {current ? <BeforeHands screen={screen} one={current} /> : null}
        <OffList
          screen={screen}
          order={order}
          current={current}
          carries={carriesOf(job, repairs)}
          protections={shop.protections}
          onPin={job.pictures.length > 0 ? setPinning : undefined}
        />
        {isRepaired ? (
          <details className="mt-3">
            <summary className="min-h-11 cursor-pointer py-2 text-teal underline underline-offset-4">
              Something else came off
            </summary>
            <TookOff apart={apart} isLoud={false} />
          </details>
        ) : null}
        {left > 0 ? <LeftBar job={job} total={order.length} /> : null}
      </div>
      <div>
        <PinPicture
          job={job}
          shown={shown}
          current={current?.line ?? undefined}
          pin={apart.ready.pin}
          onShow={setChosen}
          pinning={pinning}
          onPin={pinning === undefined ? (isRepaired ? undefined : (pin) => apart.set({ pin })) : pinLine}
        />
        <Problem text={problem} />
        <WireMap job={job} />
        <Earlier job={job} />
      </div>
    </div>
  );
}

/** Put back: what comes off as it comes off, the repair, then all of it in reverse, covers before power. */
export const PutBackScreen = withShop(function PutBackScreen({ job, shop, repairs }: PutBackProps) {
  const screen = useJobScreen(job, shop);
  const isAwake = useAwake();
  return (
    <JobFrame screen={screen} shop={shop} stage="put-back">
      <h1 className="sr-only">Put back</h1>
      {isAwake ? <Body screen={screen} shop={shop} repairs={repairs} /> : null}
    </JobFrame>
  );
});
