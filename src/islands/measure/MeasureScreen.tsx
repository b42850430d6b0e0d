import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import type { Shop } from "@/core/shop/shop";
import { Drift } from "../charts/Drift";
import { useIsolation } from "../engine/use-isolation";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { BenchGate } from "../frame/BenchGate";
import { JobFrame } from "../frame/JobFrame";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { useAwake } from "../state/awake";
import { dropDraft, keepDraft, readDraft } from "../state/draft";
import { measuredKey } from "../state/measured";
import { usePost } from "../state/use-post";
import { EarlierReading } from "../tools/EarlierReading";
import { FindingWords } from "../tools/FindingWords";
import { givenFor, keyReading, markingInAddress, toolInAddress } from "../tools/given";
import { Metering } from "../tools/Metering";
import { ToolSheet } from "../tools/ToolSheet";
import { type LoadedTool, useLoadedTool } from "../tools/use-loaded-tool";
import { useToolSheet } from "../tools/use-tool-sheet";
import { MoveReading } from "./MoveReading";
import { type Measurable, measurablesOf } from "./measurables";

function Kept({ job, last }: { readonly job: JobView; readonly last: JobView["readings"][number] }) {
  const { post, problem, isBusy } = usePost(job.jobId);
  return (
    <div className="mt-3 border-rule border-t pt-3" data-testid="kept">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="text-soft">Kept as line {last.seq}</span>
        <span className="num font-semibold text-[28px]">{keyReading(last.finding)}</span>
        <button
          type="button"
          className="min-h-11 text-teal underline underline-offset-4"
          disabled={isBusy}
          onClick={() =>
            post({
              kind: "struck",
              stage: "measure",
              payload: { seq: last.seq, why: "taken back", reason: "typed-wrongly" },
            })
          }
        >
          take it back
        </button>
        <MoveReading job={job} reading={last} />
      </div>
      <FindingWords finding={last.finding} />
      <Problem text={problem} />
    </div>
  );
}

interface SheetProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly measurable: Measurable;
}

function Sheet({ screen, shop, measurable, loaded }: SheetProps & { readonly loaded: LoadedTool }) {
  const { job } = screen;
  const { move, need } = measurable;
  const { tool, pictures } = loaded;
  const { ask, problem } = usePost(job.jobId);
  const given = givenFor(job, move, shop);
  const model = useToolSheet({
    tool,
    draftKey: `${job.jobId}:${measurable.key}`,
    given: { ...given, marking: markingInAddress() ?? given.marking },
    shop,
    target: {
      isGated: () =>
        screen.gaps(need).length > 0 || (move !== undefined && screen.liveGaps(move.power).length > 0),
      keep: (input, taken) =>
        ask({
          kind: "reading",
          stage: "measure",
          payload: { of: "tool", toolId: tool.id, moveId: move?.id ?? null, input, taken },
        }),
    },
  });
  const last = job.readings.findLast(
    (reading) => reading.toolId === tool.id && reading.moveId === (move?.id ?? null),
  );
  const gate = model.isGated ? (
    <BenchGate
      stage="measure"
      need={need}
      power={move?.power ?? "off"}
      screen={screen}
      about={model.reading?.model.text || "this reading"}
      onSettled={model.settled}
      onAfterwards={() => model.keep("afterwards")}
    />
  ) : null;
  return (
    <ToolSheet
      model={model}
      pictures={pictures}
      shop={shop}
      title={measurable.title}
      how={tool.how}
      whose={`Job ${job.jobId} · ${job.takenIn?.machine ?? ""} · ${job.takenIn?.place ?? ""}`}
      gate={
        <>
          {gate}
          <Problem text={problem} />
        </>
      }
      earlier={
        <>
          {move ? <Metering move={move} job={job} shop={shop} isShort /> : null}
          <EarlierReading job={job} shop={shop} moveId={move?.id} />
        </>
      }
      lastFinding={last?.finding}
      kept={
        last ? (
          <>
            <Kept job={job} last={last} />
            <Drift job={job} shop={shop} last={last} />
          </>
        ) : null
      }
    />
  );
}

function Fetched(props: SheetProps) {
  const loaded = useLoadedTool(props.measurable.toolId);
  return loaded ? <Sheet {...props} loaded={loaded} /> : null;
}

/** The move that isolation would make next, once it is worked out. */
function useWanted(screen: JobScreen, shop: Shop): string | undefined {
  const shown = useIsolation(screen, shop);
  return shown.kind === "ready" ? shown.isolation.moves[0]?.moveId : undefined;
}

/** What to open: a part that nobody has read yet, or else what was read last. */
function firstOf(all: readonly Measurable[], { readings }: JobView): Measurable | undefined {
  const last = readings.at(-1);
  const asked = toolInAddress();
  return (
    all.find(({ toolId }) => toolId === asked) ??
    all.find(({ isRead, move }) => !isRead && move?.part !== undefined) ??
    all.find(({ toolId, move }) => toolId === last?.toolId && (move?.id ?? null) === last.moveId) ??
    all[0]
  );
}

function Measurables({ screen, shop }: { readonly screen: JobScreen; readonly shop: Shop }) {
  const { job } = screen;
  const wanted = useWanted(screen, shop);
  const all = measurablesOf(job, shop);
  const key = measuredKey(job.jobId);
  const first = firstOf(all, job);
  const [chosen, setChosen] = useState(
    () => (toolInAddress() ? first?.key : readDraft<string>(key)) ?? first?.key,
  );
  const measurable = all.find((one) => one.key === chosen) ?? all[0];
  if (!measurable)
    return (
      <div className="move px-5 py-5">
        <h1 className="font-bold text-[30px] leading-tight">Nothing here is measured with a tool yet</h1>
        <p className="mt-1 text-lg">This kind of machine has no part that the tools of this shop read.</p>
        <a className="btn btn-primary mt-4" href={`/jobs/${job.jobId}/isolate`}>
          Find the fault
        </a>
      </div>
    );
  const choose = (one: string): void => {
    setChosen(one);
    if (one === first?.key) dropDraft(key);
    else keepDraft(key, one);
  };
  return (
    <>
      {all.length > 1 ? (
        <Field label="What can be measured on this machine" className="mb-3 max-w-[560px]">
          {(ids) => (
            <select
              {...ids}
              className="select"
              data-testid="measurable"
              value={measurable.key}
              onChange={(event) => choose(event.target.value)}
            >
              {all.map(({ key: value, name, move, isRead }) => (
                <option key={value} value={value}>
                  {name}
                  {move !== undefined && move.id === wanted ? ", wanted next" : isRead ? ", read" : ""}
                </option>
              ))}
            </select>
          )}
        </Field>
      ) : null}
      <Fetched key={measurable.key} screen={screen} shop={shop} measurable={measurable} />
    </>
  );
}

/** Measure inside a job: what this machine can be measured for, the reading, its verdict, and the line it becomes. */
export const MeasureScreen = withShop(function MeasureScreen({
  job,
  shop,
}: {
  readonly job: JobView;
  readonly shop: Shop;
}) {
  const screen = useJobScreen(job, shop);
  const isAwake = useAwake();
  return (
    <JobFrame screen={screen} shop={shop} stage="measure">
      {isAwake ? <Measurables screen={screen} shop={shop} /> : null}
    </JobFrame>
  );
});
