import { type ReactNode, useState } from "react";
import type { Move } from "@/core/knowledge/types";
import type { LiveGap } from "@/core/safety/live-work";
import type { Shop } from "@/core/shop/shop";
import { BENCH_GAP_WORDS, LIVE_GAP_WORDS, LIVE_WARNING_WORDS } from "@/words/gaps";
import { BenchStep, benchTitle } from "../frame/BenchStep";
import { ClipsOff } from "../frame/ClipsOff";
import { GapLink } from "../frame/GapLink";
import { Incident } from "../frame/Incident";
import { PlugIn } from "../frame/PlugIn";
import type { JobScreen } from "../frame/use-job-screen";

interface ReadyProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly move: Move;
  /** The move itself, with its answers. */
  readonly children: ReactNode;
}

function LiveStep({ gap, screen, shop }: Pick<ReadyProps, "screen" | "shop"> & { readonly gap: LiveGap }) {
  const { job } = screen;
  const { how } = LIVE_GAP_WORDS[gap];
  const outletName = shop.settings.residualOutlet;
  if (gap === "outlet" || gap === "fixed-outlet")
    return (
      <>
        <p className="mb-2">{how}</p>
        <PlugIn job={job} stage="isolate" outletName={outletName} />
      </>
    );
  if (gap === "clip")
    return (
      <>
        <p className="mb-2">{how}</p>
        <ClipsOff job={job} stage="isolate" />
      </>
    );
  return (
    <>
      <p className="mb-2">{how}</p>
      <GapLink gap={gap} jobId={job.jobId} className="btn btn-primary btn-loud" />
    </>
  );
}

/** What is still to do after the first: named, so that nothing comes as a surprise. */
function Then({ words }: { readonly words: readonly string[] }) {
  return words.length === 0 ? null : <p className="mt-2 text-soft">Then: {words.join(" ")}</p>;
}

/** What stands between this machine and a move, hands or power. */
export function gapsOf(screen: JobScreen, move: Move) {
  return { bench: screen.gaps(move.needs), live: screen.liveGaps(move.power) };
}

/** The way to a move that the machine is not ready for: the first thing to do as the headline, the rest named. */
export function WayThere({ screen, shop, move }: Omit<ReadyProps, "children">) {
  const { bench, live } = gapsOf(screen, move);
  const [firstBench, ...restBench] = bench;
  const [firstLive, ...restLive] = live;
  return (
    <div className="hatched mt-2 mb-3 rounded-[3px] border-[1.5px] border-ink p-2" data-testid="make-ready">
      <div className="bg-paper px-4 py-3">
        <h1 className="mb-2 font-bold text-2xl leading-tight tracking-tight">
          {firstBench ? benchTitle(firstBench, screen) : firstLive ? LIVE_GAP_WORDS[firstLive].what : ""}
        </h1>
        {firstBench ? <BenchStep stage="isolate" gap={firstBench} screen={screen} /> : null}
        {firstBench === undefined && firstLive ? (
          <LiveStep gap={firstLive} screen={screen} shop={shop} />
        ) : null}
        <Then
          words={
            firstBench
              ? restBench.map((gap) => `${BENCH_GAP_WORDS[gap]}.`)
              : restLive.map((gap) => LIVE_GAP_WORDS[gap].what)
          }
        />
      </div>
    </div>
  );
}

/**
 * A move that the machine is not ready for is not shown as something to do: what was done already is written down as what
 * it was.
 */
export function MakeReady({ screen, move, children }: Omit<ReadyProps, "shop">) {
  const [isLate, setIsLate] = useState(false);
  const { bench, live } = gapsOf(screen, move);
  const warnings = move.power === "off" ? [] : screen.liveWarnings;
  if (bench.length === 0 && live.length === 0)
    return (
      <>
        {warnings.map((warning) => (
          <p key={warning} className="mb-2 font-semibold text-brass">
            {LIVE_WARNING_WORDS[warning]}
          </p>
        ))}
        {children}
        {move.power === "off" ? null : <Incident job={screen.job} stage="isolate" />}
      </>
    );
  return (
    <>
      <button
        type="button"
        className="min-h-11 text-teal underline underline-offset-4"
        aria-expanded={isLate}
        onClick={() => setIsLate(!isLate)}
      >
        It was done already: write it down
      </button>
      {isLate ? children : null}
    </>
  );
}
