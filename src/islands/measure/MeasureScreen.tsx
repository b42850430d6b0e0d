import { useState } from "react";
import type { JobView } from "@/core/job/reduce";
import type { Move } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";
import { toolJudging } from "@/core/tools/registry";
import { Choices } from "../fields/Choices";
import { Problem } from "../fields/Problem";
import { BenchGate } from "../frame/BenchGate";
import { JobFrame } from "../frame/JobFrame";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { useAwake } from "../state/awake";
import { dropDraft, keepDraft, readDraft } from "../state/draft";
import { usePost } from "../state/use-post";
import { CapacitorSheet } from "../tools/capacitor-against-mark/CapacitorSheet";
import { FindingWords } from "../tools/capacitor-against-mark/FindingWords";
import { useCapacitorSheet } from "../tools/capacitor-against-mark/use-capacitor-sheet";

type CapacitorMove = Move & { readonly role: "start" | "run" };

function capacitorMoves(shop: Shop, job: JobView): CapacitorMove[] {
  const all = shop.moves
    .filter(({ id }) => toolJudging(id) !== undefined)
    .map((move): CapacitorMove => ({ ...move, role: move.id === "start-capacitance" ? "start" : "run" }));
  const there = all.filter(({ role }) => job.machine.stores.includes(role));
  return there.length > 0 ? there : all;
}

function Kept({ job, last }: { readonly job: JobView; readonly last: JobView["readings"][number] }) {
  const { post, problem, isBusy } = usePost(job.jobId);
  return (
    <div className="mt-3 border-rule border-t pt-3" data-testid="kept">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="text-soft">Kept as line {last.seq}</span>
        <span className="num font-semibold text-[28px]">{String(last.input["reading"])}</span>
        <button
          type="button"
          className="min-h-11 text-teal underline underline-offset-4"
          disabled={isBusy}
          onClick={() =>
            post({ kind: "struck", stage: "measure", payload: { seq: last.seq, why: "taken back" } })
          }
        >
          take it back
        </button>
      </div>
      <FindingWords finding={last.finding} />
      <Problem text={problem} />
    </div>
  );
}

interface SheetProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly move: CapacitorMove;
  readonly markGiven: string;
}

function Sheet({ screen, shop, move, markGiven }: SheetProps) {
  const { job } = screen;
  const mark = markGiven || (job.capacitors.find(({ id }) => id === move.role)?.mark ?? "");
  const model = useCapacitorSheet({ draftKey: `${job.jobId}:${move.id}`, mark, role: move.role, shop });
  const last = job.readings.filter((reading) => reading.moveId === move.id).at(-1);
  const { ask, problem } = usePost(job.jobId);
  const [isGated, setIsGated] = useState(false);
  const keep = async (taken: "now" | "afterwards"): Promise<void> => {
    if (model.reading.take() === undefined) return;
    if (!model.finding)
      return model.reading.object([{ path: "", code: "sheet/incomplete", message: model.missing ?? "" }]);
    const issues = await ask({
      kind: "reading",
      stage: "measure",
      payload: { of: "tool", toolId: "capacitor-against-mark", moveId: move.id, input: model.input, taken },
    });
    const isRefused = issues.some(({ code }) => code === "guard/bench-state");
    setIsGated(isRefused);
    if (issues.length === 0) model.next();
    else if (!isRefused) model.reading.object(issues);
  };
  const tryKeep = (): void => {
    const isReady = model.reading.text.trim() !== "" && model.finding !== undefined;
    if (isReady && screen.gaps("hands-inside").length > 0) setIsGated(true);
    else void keep("now");
  };
  const gate = isGated ? (
    <BenchGate
      stage="measure"
      need="hands-inside"
      screen={screen}
      about={model.draft.reading}
      onSettled={() => setIsGated(false)}
      onAfterwards={() => keep("afterwards")}
    />
  ) : null;
  return (
    <CapacitorSheet
      model={model}
      shop={shop}
      title={move.title}
      whose={`Job ${job.jobId} · ${job.takenIn?.machine ?? ""} · ${job.takenIn?.place ?? ""}`}
      onKeep={tryKeep}
      gate={
        <>
          {gate}
          <Problem text={problem} />
        </>
      }
      lastFinding={last?.finding}
      kept={last ? <Kept job={job} last={last} /> : null}
    />
  );
}

function markInAddress(): string {
  return new URLSearchParams(window.location.search).get("mark") ?? "";
}

function Moves({ screen, shop }: { readonly screen: JobScreen; readonly shop: Shop }) {
  const { job } = screen;
  const moves = capacitorMoves(shop, job);
  const key = `move:${job.jobId}`;
  const unread = moves.find(({ id }) => !job.readings.some((reading) => reading.moveId === id));
  const [chosen, setChosen] = useState(() => readDraft<string>(key) ?? unread?.id ?? moves[0]?.id);
  const move = moves.find(({ id }) => id === chosen) ?? moves[0];
  if (!move) return null;
  const choose = (id: string): void => {
    setChosen(id);
    if (id === unread?.id) dropDraft(key);
    else keepDraft(key, id);
  };
  return (
    <>
      {moves.length > 1 ? (
        <div className="mb-3">
          <Choices
            legend="Which one"
            name="move"
            choices={moves.map(({ id, role }) => ({
              value: id,
              label: role === "start" ? "Start capacitor" : "Run capacitor",
            }))}
            value={move.id}
            onChoose={choose}
          />
        </div>
      ) : null}
      <Sheet key={move.id} screen={screen} shop={shop} move={move} markGiven={markInAddress()} />
    </>
  );
}

/** Measure inside a job: the reading, its verdict, and the line it becomes. */
export function MeasureScreen({ job, shop }: { readonly job: JobView; readonly shop: Shop }) {
  const screen = useJobScreen(job, shop);
  const isAwake = useAwake();
  return (
    <JobFrame screen={screen} shop={shop} stage="measure">
      {isAwake ? <Moves screen={screen} shop={shop} /> : null}
    </JobFrame>
  );
}
