import { useEffect, useRef, useState } from "react";
import type { Isolation } from "@/core/isolation/isolate";
import { movesFor } from "@/core/isolation/machine-model";
import type { RatedMove } from "@/core/isolation/rated-move";
import { isOpenAgain } from "@/core/job/isolation/could-not";
import type { JobView } from "@/core/job/log/view";
import type { Knowledge, Move } from "@/core/knowledge/types";
import { formatChance, formatMoney } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { NotCovered } from "../engine/NotCovered";
import { useIsolation } from "../engine/use-isolation";
import { JobFrame } from "../frame/JobFrame";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { BeforeOrder } from "./BeforeOrder";
import { BuiltFrom } from "./BuiltFrom";
import { Conflict } from "./Conflict";
import { Kinds } from "./Kinds";
import { MadeGood } from "./MadeGood";
import { MindChangers } from "./MindChangers";
import { NextMove } from "./NextMove";
import { FoldedPath, PowerPath } from "./PowerPath";
import { Standpoints } from "./Standpoints";
import { StopCard } from "./StopCard";
import { StopCall, Suspects } from "./Suspects";
import { useOwnMove } from "./use-own-move";
import { WhileOpen } from "./WhileOpen";
import { ReadBefore, withheldOf } from "./Withheld";

interface ReadyProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly isolation: Isolation;
  readonly knowledge: Knowledge;
  readonly isSettled: boolean;
}

const OTHERS = 3;
/** Less is not worth a figure. */
const LEAST_DOUBT = 0.05;

interface OthersProps {
  readonly moves: readonly RatedMove[];
  /** Moves that would change nothing: still one tap away, for whoever knows better. */
  readonly rest: readonly Move[];
  readonly knowledge: Knowledge;
  readonly shop: Shop;
  onChoose(moveId: string): void;
}

function OtherMove({
  move,
  minutes,
  doubt,
  total,
  lacks,
  onChoose,
}: {
  readonly move: Move | undefined;
  readonly minutes: number;
  readonly doubt: number;
  /** What the whole comes to on average when it is done first. */
  readonly total: string | undefined;
  /** The instrument to borrow for it. */
  readonly lacks?: string | undefined;
  onChoose(moveId: string): void;
}) {
  if (!move) return null;
  return (
    <li className="border-rule border-t">
      <button
        type="button"
        onClick={() => onChoose(move.id)}
        className="grid min-h-12 w-full grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 text-left md:grid-cols-[minmax(0,1fr)_150px_64px_180px]"
      >
        <span>
          {move.title}
          {move.tier > 1 ? <span className="ml-2 text-soft">live</span> : null}
          {lacks === undefined ? null : <span className="ml-2 text-brass">borrow: {inSentence(lacks)}</span>}
        </span>
        <span className="hidden text-right text-soft md:inline">
          {doubt >= LEAST_DOUBT ? `${formatChance(doubt)} of doubt` : ""}
        </span>
        <span className="hidden text-right text-soft md:inline">{minutes} min</span>
        <span className="text-right text-soft">
          {total === undefined ? (
            "changes nothing"
          ) : (
            <>
              then <b className="num text-ink">{total}</b> in all
            </>
          )}
        </span>
      </button>
    </li>
  );
}

function Alternatives({ moves, rest, knowledge, shop, onChoose }: OthersProps) {
  const [isAll, setIsAll] = useState(false);
  const hidden = Math.max(0, moves.length - OTHERS) + rest.length;
  // In the order of the figure that is shown.
  const inOrder = [...moves].sort((one, other) => one.expectedTotal - other.expectedTotal);
  const money = (minor: number): string => formatMoney(Math.round(minor), shop.settings.currency);
  return (
    <>
      <ul aria-label="Other moves" className="mt-2">
        {(isAll ? inOrder : inOrder.slice(0, OTHERS)).map(
          ({ moveId, minutes, stateMinutes, doubtRemoved, expectedTotal, lacks }) => (
            <OtherMove
              key={moveId}
              move={knowledge.moves.find(({ id }) => id === moveId)}
              minutes={minutes + stateMinutes}
              doubt={doubtRemoved}
              total={money(expectedTotal)}
              lacks={lacks === undefined ? undefined : knowledge.kit.find(({ id }) => id === lacks)?.label}
              onChoose={onChoose}
            />
          ),
        )}
        {(isAll ? rest : []).map((move) => (
          <OtherMove
            key={move.id}
            move={move}
            minutes={move.minutes}
            doubt={0}
            total={undefined}
            onChoose={onChoose}
          />
        ))}
      </ul>
      {hidden > 0 ? (
        <button
          type="button"
          className="min-h-11 text-teal underline underline-offset-4"
          aria-expanded={isAll}
          onClick={() => setIsAll(!isAll)}
        >
          {isAll ? "Show the best few" : `Show ${hidden} more moves`}
        </button>
      ) : null}
    </>
  );
}

/** Moves that can be made on this machine and are open: not asked since the last repair, or to be made once more. */
function openMoves(
  { job, liveGaps }: JobScreen,
  knowledge: Knowledge,
  isolation: Isolation,
  kit: readonly string[],
): readonly Move[] {
  const today = { kit, hasPower: liveGaps("guards-on").length === 0 };
  const epoch = job.interventions.length;
  const isMade = (moveId: string): boolean =>
    job.answers.some(
      (one) =>
        one.epoch === epoch &&
        one.moveId === moveId &&
        !isOpenAgain(
          one,
          knowledge.moves.find(({ id }) => id === moveId),
          job,
          today,
        ),
    );
  const again = new Set(isolation.beforeOrder.map(({ moveId }) => moveId));
  const stations = new Set(isolation.stations.map(({ id }) => id));
  return movesFor(knowledge.moves, job.takenIn?.family ?? "", stations).filter(
    ({ id, isSign }) => isSign !== true && (again.has(id) || !isMade(id)),
  );
}

/** The move that was advised when all was last weighed: its card, and what is typed in it, stands until it is again. */
function useStood(advised: string | undefined, isSettled: boolean): string | undefined {
  const last = useRef<string | undefined>(undefined);
  useEffect(() => {
    if (isSettled) last.current = advised;
  }, [advised, isSettled]);
  return last.current;
}

function Ready({ screen, shop, isolation, knowledge, isSettled }: ReadyProps) {
  const [station, setStation] = useState<string | undefined>(undefined);
  const { own, open, stay, card } = useOwnMove();
  const near = new Set(
    knowledge.faults
      .filter((fault) => fault.station === station)
      .flatMap(({ provenBy }) => provenBy.map(({ moveId }) => moveId)),
  );
  const offered = station ? isolation.moves.filter(({ moveId }) => near.has(moveId)) : isolation.moves;
  const stations = new Set(isolation.stations.map(({ id }) => id));
  const free = openMoves(screen, knowledge, isolation, shop.settings.kit);
  const rest = free.filter(
    ({ id }) =>
      (station === undefined || near.has(id)) && !isolation.moves.some(({ moveId }) => moveId === id),
  );
  const kept = withheldOf(free, screen);
  const isListed = (id: string): boolean => !kept.some((one) => one.id === id);
  // One that was answered meanwhile is not on offer any more.
  const ownMove = free.find(({ id }) => id === own);
  const chosen = ownMove
    ? isolation.moves.find(({ moveId }) => moveId === ownMove.id)
    : (offered[0] ?? isolation.moves[0]);
  // A stop hides nothing: what would still prove or turn it stays one tap away.
  const isStop = isolation.stop.advised && !ownMove && station === undefined;
  const advised = isStop ? undefined : knowledge.moves.find(({ id }) => id === chosen?.moveId);
  const stood = useStood(advised?.id, isSettled);
  const move = ownMove ?? (isSettled ? advised : free.find(({ id }) => id === stood));
  const others = offered.filter(({ moveId }) => isListed(moveId) && (isStop || moveId !== chosen?.moveId));
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
        <div ref={card} className="min-w-0 scroll-mt-4" aria-busy={!isSettled} data-testid="moves">
          <Conflict
            conflict={isolation.conflicts[0]}
            job={screen.job}
            knowledge={knowledge}
            shop={shop}
            onAsk={open}
          />
          <MadeGood screen={screen} knowledge={knowledge} parameters={shop.parameters} />
          {!isSettled && !move ? (
            <section className="move px-5 py-5" aria-label="Next move" data-testid="next-move">
              <p role="status" className="font-semibold text-lg text-soft">
                Weighing the next move …
              </p>
            </section>
          ) : move ? (
            <NextMove
              key={move.id}
              screen={screen}
              shop={shop}
              knowledge={knowledge}
              move={move}
              onStay={() => stay(move.id)}
              rated={isolation.moves.find(({ moveId }) => moveId === move.id)}
              isRaised={isolation.isTierRaised}
              isOwnChoice={own === move.id && isolation.moves[0]?.moveId !== move.id}
              first={isolation.moves[0]}
              before={isolation.beforeOrder.find(({ moveId }) => moveId === move.id)?.why}
            />
          ) : (
            <StopCard screen={screen} isolation={isolation} knowledge={knowledge} shop={shop} onAsk={open} />
          )}
          {move && isSettled ? (
            <WhileOpen chosen={move} moves={isolation.moves} knowledge={knowledge} onChoose={open} />
          ) : null}
          {isSettled ? (
            <>
              <Alternatives
                moves={others}
                rest={rest.filter(({ id }) => isListed(id))}
                knowledge={knowledge}
                shop={shop}
                onChoose={open}
              />
              <ReadBefore moves={kept} onChoose={open} />
            </>
          ) : null}
          <BuiltFrom job={screen.job} stations={knowledge.stations} present={stations} />
          <Standpoints history={isolation.history} job={screen.job} knowledge={knowledge} shop={shop} />
        </div>
        <aside>
          <Kinds kinds={isolation.kinds} job={screen.job} shop={shop} />
          <Suspects
            isolation={isolation}
            knowledge={knowledge}
            job={screen.job}
            shop={shop}
            station={station}
          />
          {move ? (
            <>
              <StopCall isolation={isolation} knowledge={knowledge} shop={shop} />
              <BeforeOrder isolation={isolation} knowledge={knowledge} onAsk={open} />
            </>
          ) : null}
          <MindChangers isolation={isolation} knowledge={knowledge} />
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
    return (
      <Ready
        screen={screen}
        shop={shop}
        isolation={state.isolation}
        knowledge={state.knowledge}
        isSettled={state.isSettled}
      />
    );
  return <NotCovered job={screen.job} shop={shop} issues={state.issues} />;
}

/** Isolate: where along the power path the fault sits, and the cheapest way to find out. */
export const IsolateScreen = withShop(function IsolateScreen({
  job,
  shop,
}: {
  readonly job: JobView;
  readonly shop: Shop;
}) {
  const screen = useJobScreen(job, shop);
  return (
    <JobFrame screen={screen} shop={shop} stage="isolate">
      <Body screen={screen} shop={shop} />
    </JobFrame>
  );
});
