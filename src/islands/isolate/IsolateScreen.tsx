import { useState } from "react";
import type { Isolation } from "@/core/isolation/isolate";
import type { RatedMove } from "@/core/isolation/next-move";
import type { JobView } from "@/core/job/reduce";
import type { Knowledge } from "@/core/knowledge/types";
import { formatMoney } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { JobFrame } from "../frame/JobFrame";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { NotCovered } from "../isolation/NotCovered";
import { useIsolation } from "../isolation/use-isolation";
import { NextMove } from "./NextMove";
import { FoldedPath, PowerPath } from "./PowerPath";
import { StopCall, Suspects } from "./Suspects";

interface ReadyProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly isolation: Isolation;
  readonly knowledge: Knowledge;
}

const OTHERS = 3;

function Alternatives({
  moves,
  knowledge,
  shop,
  onChoose,
}: {
  readonly moves: readonly RatedMove[];
  readonly knowledge: Knowledge;
  readonly shop: Shop;
  onChoose(moveId: string): void;
}) {
  if (moves.length === 0) return null;
  return (
    <ul aria-label="Other moves" className="mt-2">
      {moves.map((rated) => (
        <li key={rated.moveId} className="border-rule border-t">
          <button
            type="button"
            onClick={() => onChoose(rated.moveId)}
            className="grid min-h-12 w-full grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 text-left md:grid-cols-[minmax(0,1fr)_70px_200px]"
          >
            <span>
              {knowledge.moves.find(({ id }) => id === rated.moveId)?.title}
              {rated.tier > 1 ? <span className="ml-2 text-soft">live</span> : null}
            </span>
            <span className="num hidden text-soft md:inline">{rated.minutes + rated.stateMinutes} min</span>
            <span className="text-right text-soft">
              saves{" "}
              <b className="num text-ink">
                {formatMoney(Math.round(rated.savesPerMinute), shop.settings.currency)}
              </b>{" "}
              a minute
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function Conflict({ isolation, job }: { readonly isolation: Isolation; readonly job: JobView }) {
  const [conflict] = isolation.conflicts;
  if (!conflict) return null;
  return (
    <p role="status" className="half-hatched mt-2 border border-ink p-1.5">
      <span className="block bg-paper px-3 py-2">
        <b>These answers do not fit together.</b> Look again at line {conflict.doubted.join(" or ")}: it is
        the one most in doubt among {job.answers.length}.
      </span>
    </p>
  );
}

function Ready({ screen, shop, isolation, knowledge }: ReadyProps) {
  const [station, setStation] = useState<string | undefined>(undefined);
  const [own, setOwn] = useState<string | undefined>(undefined);
  const near = new Set(
    knowledge.faults
      .filter((fault) => fault.station === station)
      .flatMap(({ provenBy }) => provenBy.map(({ moveId }) => moveId)),
  );
  const offered = station ? isolation.moves.filter(({ moveId }) => near.has(moveId)) : isolation.moves;
  const chosen = isolation.moves.find(({ moveId }) => moveId === own) ?? offered[0] ?? isolation.moves[0];
  const move = knowledge.moves.find(({ id }) => id === chosen?.moveId);
  const others = offered.filter(({ moveId }) => moveId !== chosen?.moveId).slice(0, OTHERS);
  return (
    <>
      <PowerPath
        shares={isolation.stations}
        stations={knowledge.stations}
        chosen={station}
        onChoose={setStation}
      />
      <FoldedPath shares={isolation.stations} stations={knowledge.stations} />
      <div className="mt-2 grid gap-x-7 gap-y-4 lg:grid-cols-[minmax(0,1fr)_330px]">
        <div className="min-w-0">
          {move ? (
            <NextMove
              key={move.id}
              screen={screen}
              shop={shop}
              knowledge={knowledge}
              move={move}
              rated={chosen}
              isRaised={isolation.isTierRaised}
              isOwnChoice={own === move.id && isolation.moves[0]?.moveId !== move.id}
            />
          ) : (
            <section className="move px-5 py-5">
              <h1 className="font-bold text-[30px] leading-tight">No move left is worth its price</h1>
              <StopCall isolation={isolation} knowledge={knowledge} shop={shop} />
            </section>
          )}
          <Conflict isolation={isolation} job={screen.job} />
          <Alternatives moves={others} knowledge={knowledge} shop={shop} onChoose={setOwn} />
        </div>
        <aside>
          <Suspects
            isolation={isolation}
            knowledge={knowledge}
            job={screen.job}
            shop={shop}
            station={station}
          />
          {move ? <StopCall isolation={isolation} knowledge={knowledge} shop={shop} /> : null}
        </aside>
      </div>
    </>
  );
}

function Body({ screen, shop }: { readonly screen: JobScreen; readonly shop: Shop }) {
  const state = useIsolation(screen, shop);
  if (state.kind === "working")
    return (
      <p role="status" className="py-6 text-lg text-soft">
        Working out where the fault sits …
      </p>
    );
  if (state.kind === "ready")
    return <Ready screen={screen} shop={shop} isolation={state.isolation} knowledge={state.knowledge} />;
  return <NotCovered jobId={screen.job.jobId} issues={state.issues} />;
}

/** Isolate: where along the power path the fault sits, and the cheapest way to find out. */
export function IsolateScreen({ job, shop }: { readonly job: JobView; readonly shop: Shop }) {
  const screen = useJobScreen(job, shop);
  return (
    <JobFrame screen={screen} shop={shop} stage="isolate">
      <Body screen={screen} shop={shop} />
    </JobFrame>
  );
}
