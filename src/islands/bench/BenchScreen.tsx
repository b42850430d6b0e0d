import { useState } from "react";
import { inBandOrder, type Placed } from "@/core/job/bench-order";
import type { BenchJob } from "@/core/job/bench-page";
import { type Band, collars, nextStep } from "@/core/job/next-step";
import type { Standing } from "@/core/job/standing";
import { asSeen } from "@/core/safety/bench-state";
import { type BenchSummary, benchSummary } from "@/core/safety/bench-summary";
import type { BenchShop } from "@/core/shop/shop";
import { ageWords } from "@/words/backup";
import { inSentence } from "@/words/in-sentence";
import { stepAction, stepHref, stepWords, untilWords } from "@/words/steps";
import { BenchBadge } from "../frame/BenchBadge";
import { MiniShaft } from "../frame/JobShaft";
import { PlainFrame } from "../frame/PlainFrame";
import { useAwake } from "../state/awake";
import { useNow } from "../state/clock";
import { readDraft } from "../state/draft";
import { useTouches, useWatches } from "../state/watch";
import { type Bench, useBench } from "./use-bench";

interface JobOnBench extends BenchJob, Placed {
  readonly summary: BenchSummary;
  readonly collars: ReturnType<typeof collars>;
}

const BANDS: readonly { readonly band: Band; readonly title: string; readonly empty: string }[] = [
  { band: "now", title: "Now", empty: "Nothing can be done this minute." },
  { band: "waiting", title: "Waiting", empty: "Nothing waits for an owner or a timer." },
  { band: "due", title: "Due", empty: "No machine is to be looked at again." },
];

/** Of those that have left, the one that was signed off last comes first. */
function lastFirst({ standing: one }: JobOnBench, { standing: other }: JobOnBench): number {
  return (other.signedOff?.at ?? "").localeCompare(one.signedOff?.at ?? "") || other.jobId - one.jobId;
}

function noTouches(): boolean {
  return false;
}

function useJobsOnBench(jobs: readonly BenchJob[], shop: BenchShop): readonly JobOnBench[] {
  const now = useNow(shop.now);
  const isFreshFor = useWatches();
  useTouches(undefined, noTouches);
  const { limits, deadChecks, moves, tools, settings } = shop;
  return jobs.map(({ standing, ownerName }) => {
    const isPlugFresh = isFreshFor(standing, now, limits);
    const context = { deadChecks, moves, tools, limits, now, zone: settings.zone, isPlugFresh };
    return {
      jobId: standing.jobId,
      standing,
      ownerName,
      step: nextStep(standing, context),
      collars: collars(standing, context),
      summary: benchSummary(asSeen(standing.bench, isPlugFresh), standing.machine, now, limits),
    };
  });
}

function Loudest({ jobOnBench, zone }: { readonly jobOnBench: JobOnBench; readonly zone: string }) {
  const { standing, step, ownerName, summary } = jobOnBench;
  return (
    <div className="move mt-2 flex flex-wrap items-center gap-x-6 gap-y-3 px-5 py-4">
      <div className="min-w-0 flex-1 basis-[280px]">
        <p className="text-soft">
          Job {standing.jobId} · {standing.takenIn?.machine} · {ownerName} · {standing.takenIn?.place}
        </p>
        <h2 className="font-bold text-[30px] leading-tight tracking-tight">{stepWords(step, zone)}</h2>
      </div>
      <BenchBadge summary={summary} />
      <a className="btn btn-primary btn-loud" href={stepHref(step, standing.jobId)}>
        {stepAction(step)}
      </a>
    </div>
  );
}

function BenchLine({ jobOnBench, zone }: { readonly jobOnBench: JobOnBench; readonly zone: string }) {
  const { standing, step, ownerName, summary } = jobOnBench;
  return (
    <li className="border-rule border-t">
      <a
        href={stepHref(step, standing.jobId)}
        className="grid min-h-14 items-center gap-x-5 gap-y-1 py-1.5 hover:bg-sheet md:grid-cols-[250px_minmax(0,1fr)_147px_270px]"
      >
        <span>
          <b className="num">{standing.jobId}</b> <b>{standing.takenIn?.machine}</b>
          <span className="block truncate text-soft">
            {ownerName}
            {standing.takenIn?.place ? ` · ${standing.takenIn.place}` : ""}
          </span>
        </span>
        <span className="min-w-0">
          {step.band === "due" && step.until ? (
            <b className="mr-2 whitespace-nowrap">{untilWords(step, zone)}</b>
          ) : null}
          {stepWords(step, zone)}
        </span>
        <MiniShaft now={step.stage} collars={jobOnBench.collars} />
        <BenchBadge summary={summary} isSmall />
      </a>
    </li>
  );
}

interface GoneProps {
  readonly lines: readonly JobOnBench[];
  readonly bench: Bench;
  readonly zone: string;
}

/** What is signed off, folded: it stands here no more, and its log is one tap away. Loaded when it is looked at. */
function Gone({ lines, bench, zone }: GoneProps) {
  const { gone, nextGone, more } = bench;
  if (gone === 0) return null;
  return (
    <details
      className="mt-4"
      onToggle={({ currentTarget }) => {
        if (currentTarget.open && nextGone === undefined) more("gone");
      }}
    >
      <summary className="min-h-11 cursor-pointer border-ring border-b-2 py-2 font-bold text-lg">
        Signed off <span className="num font-normal text-soft">{gone}</span>
      </summary>
      <ul>
        {lines.map((one) => (
          <BenchLine key={one.standing.jobId} jobOnBench={one} zone={zone} />
        ))}
      </ul>
      {nextGone ? (
        <button type="button" className="btn btn-outline my-3" onClick={() => more("gone")}>
          Show earlier ones
        </button>
      ) : null}
    </details>
  );
}

function Empty() {
  return (
    <div className="move mt-4 px-6 py-8">
      <h2 className="font-bold text-[30px]">The bench is empty</h2>
      <p className="mt-1 text-lg">Take in the first machine: its plate, what it does, and when.</p>
      <a className="btn btn-primary mt-4 btn-loud" href="/jobs/new">
        Take in a machine
      </a>
    </div>
  );
}

/** A take-in that was begun on this device and not kept. */
function Unfinished() {
  const draft = readDraft<{ readonly machine?: string; readonly signs?: readonly string[] }>("take-in:new");
  const isBegun = draft !== undefined && ((draft.machine ?? "") !== "" || (draft.signs?.length ?? 0) > 0);
  if (!isBegun) return null;
  return (
    <p className="mt-3 flex flex-wrap items-center gap-3" data-testid="unfinished">
      A machine at the door is not taken in yet{draft.machine ? `: ${inSentence(draft.machine)}` : ""}.
      <a className="btn btn-outline" href="/jobs/new">
        Go on with it
      </a>
    </p>
  );
}

function placeOf(standing: Standing): string {
  return standing.takenIn?.place || "no place said";
}

interface PlacesProps {
  readonly all: readonly JobOnBench[];
  readonly place: string | undefined;
  onPlace(place: string | undefined): void;
}

/** The places of the shop with how many machines stand at each; a tap shows that place alone. */
function Places({ all, place, onPlace }: PlacesProps) {
  const counts = new Map<string, number>();
  for (const { standing, step } of all)
    if (step.band !== "gone") counts.set(placeOf(standing), (counts.get(placeOf(standing)) ?? 0) + 1);
  if (counts.size < 2) return null;
  return (
    <fieldset className="mt-3">
      <legend className="label-line text-soft">Places</legend>
      <div className="flex max-h-40 flex-wrap gap-2 overflow-y-auto">
        {[...counts]
          .sort(([one], [other]) => one.localeCompare(other, "en", { numeric: true }))
          .map(([name, count]) => (
            <label className="chip" key={name}>
              <input
                className="sr-only"
                type="checkbox"
                checked={name === place}
                onChange={() => onPlace(name === place ? undefined : name)}
              />
              {name} <span className="num text-soft">{count}</span>
            </label>
          ))}
      </div>
    </fieldset>
  );
}

/** The machines standing here, in three bands: what can be done this minute, what waits, what falls due. */
export function BenchScreen({
  page,
  shop,
  backup,
}: {
  /** The machines at the top ({@link BenchPage}) as JSON, the others follow once the page is awake: an island's props are written a value at a time, which takes long. */
  readonly page: string;
  readonly shop: BenchShop;
  /** When the last good backup was made, where that is too long ago; empty where there is none at all. */
  readonly backup?: { readonly at: string } | undefined;
}) {
  const bench = useBench(page);
  const all = useJobsOnBench(bench.jobs, shop);
  const isAwake = useAwake();
  const [place, setPlace] = useState<string | undefined>(undefined);
  const shown = place === undefined ? all : all.filter(({ standing }) => placeOf(standing) === place);
  const { zone, shopName } = shop.settings;
  if (bench.here + bench.gone === 0)
    return (
      <PlainFrame path="/">
        <h1 className="font-semibold text-soft">{shopName}</h1>
        <Empty />
      </PlainFrame>
    );
  return (
    <PlainFrame path="/">
      <div className="flex items-center justify-between gap-3">
        <h1 className="font-semibold text-soft">{shopName}</h1>
        <a className="btn btn-outline" href="/jobs/new">
          Take in a machine
        </a>
      </div>
      {backup ? (
        <p className="half-hatched my-3 border border-ink p-1.5" role="status">
          <span className="block bg-paper px-3 py-2">
            <b>
              {backup.at === ""
                ? "There is no backup of this shop."
                : `The last good backup was made ${ageWords(backup.at, Date.parse(shop.now))}.`}
            </b>{" "}
            <a className="text-teal underline underline-offset-4" href="/set-up">
              Back up in Set-up
            </a>
          </span>
        </p>
      ) : null}
      {isAwake ? <Unfinished /> : null}
      {bench.isWhole ? <Places all={all} place={place} onPlace={setPlace} /> : null}
      {BANDS.map(({ band, title, empty }) => {
        const lines = shown.filter(({ step }) => step.band === band).sort(inBandOrder);
        const [first, ...rest] = lines;
        const isNow = band === "now";
        return (
          <section key={band} aria-label={title} className="mt-4">
            <h2 className="border-ring border-b-2 pb-1 font-bold text-lg">
              {title}{" "}
              {bench.isWhole ? <span className="num font-normal text-soft">{lines.length}</span> : null}
            </h2>
            {isNow && first ? <Loudest jobOnBench={first} zone={zone} /> : null}
            {lines.length === 0 && bench.isWhole ? <p className="py-3 text-soft">{empty}</p> : null}
            <ul className={isNow ? "mt-2" : ""}>
              {(isNow ? rest : lines).map((one) => (
                <BenchLine key={one.standing.jobId} jobOnBench={one} zone={zone} />
              ))}
            </ul>
          </section>
        );
      })}
      {bench.next && bench.isWhole ? (
        <p className="mt-4">
          Of {bench.here} machines here the last touched are shown.{" "}
          <button type="button" className="btn btn-outline" onClick={() => bench.more("here")}>
            Show more
          </button>
        </p>
      ) : null}
      {place === undefined ? (
        <Gone
          lines={all.filter(({ step }) => step.band === "gone").sort(lastFirst)}
          bench={bench}
          zone={zone}
        />
      ) : null}
    </PlainFrame>
  );
}
