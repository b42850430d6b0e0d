import { useStore } from "@nanostores/react";
import { useEffect, useRef, useState } from "react";
import type { JobView } from "@/core/job/log/reduce";
import { type Band, collars, type NextStep, nextStep } from "@/core/job/next-step";
import { asSeen } from "@/core/safety/bench-state";
import { type BenchSummary, benchSummary } from "@/core/safety/bench-summary";
import type { Shop } from "@/core/shop/shop";
import { BenchBadge } from "../frame/BenchBadge";
import { MiniShaft } from "../frame/JobShaft";
import { PlainFrame } from "../frame/PlainFrame";
import { request } from "../state/api";
import { useNow } from "../state/clock";
import { $changes } from "../state/tabs";
import { useTouches, useWatches } from "../state/watch";
import { ageWords } from "../words/backup";
import { stepWords, untilWords } from "../words/steps";

export interface BenchJob {
  readonly view: JobView;
  readonly ownerName: string;
}

interface JobOnBench extends BenchJob {
  readonly step: NextStep;
  readonly summary: BenchSummary;
  readonly collars: ReturnType<typeof collars>;
}

const BANDS: readonly { readonly band: Band; readonly title: string; readonly empty: string }[] = [
  { band: "now", title: "Now", empty: "Nothing can be done this minute." },
  { band: "waiting", title: "Waiting", empty: "Nothing waits for an owner or a timer." },
  { band: "due", title: "Due", empty: "No machine is to be looked at again." },
];

/** Late stages first: what is nearest to leaving the bench is done first; the dangerous waits for nobody. */
const CODE_ORDER: readonly string[] = [
  "now/failed-check",
  "now/sign-off",
  "now/run",
  "now/final-tests",
  "now/put-back",
  "now/fit",
  "now/run-failed",
  "now/replace",
  "now/after-faulty",
  "now/part-chosen",
  "now/after-undecided",
  "now/measure",
  "now/isolate",
  "now/make-safe",
  "now/dead-checks",
  "now/family",
  "now/complaint",
  "now/measured",
  "due/now",
  "due/later",
];

function rank({ step, view }: JobOnBench): [number, string, number] {
  const place = CODE_ORDER.indexOf(step.code);
  return [place === -1 ? CODE_ORDER.length : place, step.until ?? "", view.jobId];
}

function inOrder(one: JobOnBench, other: JobOnBench): number {
  const [a, b] = [rank(one), rank(other)];
  return a[0] - b[0] || a[1].localeCompare(b[1]) || a[2] - b[2];
}

function noTouches(): boolean {
  return false;
}

function useJobsOnBench(jobs: readonly BenchJob[], shop: Shop): readonly JobOnBench[] {
  const now = useNow(shop.now);
  const isFreshFor = useWatches();
  useTouches(undefined, noTouches);
  const { limits, deadChecks, moves, tools, settings } = shop;
  return jobs.map(({ view, ownerName }) => {
    const isPlugFresh = isFreshFor(view, now, limits);
    const context = { deadChecks, moves, tools, limits, now, zone: settings.zone, isPlugFresh };
    return {
      view,
      ownerName,
      step: nextStep(view, context),
      collars: collars(view, context),
      summary: benchSummary(asSeen(view.bench, isPlugFresh), view.machine, now, limits),
    };
  });
}

function Loudest({ jobOnBench, zone }: { readonly jobOnBench: JobOnBench; readonly zone: string }) {
  const { view, step, ownerName, summary } = jobOnBench;
  return (
    <div className="move mt-2 flex flex-wrap items-center gap-x-6 gap-y-3 px-5 py-4">
      <div className="min-w-0 flex-1 basis-[280px]">
        <p className="text-soft">
          Job {view.jobId} · {view.takenIn?.machine} · {ownerName} · {view.takenIn?.place}
        </p>
        <h2 className="font-bold text-[30px] leading-tight tracking-tight">{stepWords(step, zone)}</h2>
      </div>
      <BenchBadge summary={summary} />
      <a className="btn btn-primary btn-loud" href={`/jobs/${view.jobId}/${step.stage}`}>
        Start
      </a>
    </div>
  );
}

function BenchLine({ jobOnBench, zone }: { readonly jobOnBench: JobOnBench; readonly zone: string }) {
  const { view, step, ownerName, summary } = jobOnBench;
  return (
    <li className="border-rule border-t">
      <a
        href={`/jobs/${view.jobId}/${step.stage}`}
        className="grid min-h-14 items-center gap-x-5 gap-y-1 py-1.5 hover:bg-sheet md:grid-cols-[250px_minmax(0,1fr)_147px_270px]"
      >
        <span>
          <b className="num">{view.jobId}</b> <b>{view.takenIn?.machine}</b>
          <span className="block truncate text-soft">
            {ownerName}
            {view.takenIn?.place ? ` · ${view.takenIn.place}` : ""}
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

/** What is signed off, folded: it stands here no more, and its log is one tap away. */
function Gone({ lines, zone }: { readonly lines: readonly JobOnBench[]; readonly zone: string }) {
  if (lines.length === 0) return null;
  return (
    <details className="mt-4">
      <summary className="min-h-11 cursor-pointer border-ring border-b-2 py-2 font-bold text-lg">
        Signed off <span className="num font-normal text-soft">{lines.length}</span>
      </summary>
      <ul>
        {lines.map((one) => (
          <BenchLine key={one.view.jobId} jobOnBench={one} zone={zone} />
        ))}
      </ul>
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

function placeOf(view: JobView): string {
  return view.takenIn?.place || "no place said";
}

interface PlacesProps {
  readonly all: readonly JobOnBench[];
  readonly place: string | undefined;
  onPlace(place: string | undefined): void;
}

/** The places of the shop with how many machines stand at each; a tap shows that place alone. */
function Places({ all, place, onPlace }: PlacesProps) {
  const counts = new Map<string, number>();
  for (const { view, step } of all)
    if (step.band !== "gone") counts.set(placeOf(view), (counts.get(placeOf(view)) ?? 0) + 1);
  if (counts.size < 2) return null;
  return (
    <fieldset className="mt-3">
      <legend className="sr-only">Places</legend>
      <div className="flex flex-wrap gap-2">
        {[...counts]
          .sort(([one], [other]) => one.localeCompare(other))
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

const WAIT_MS = 200;

/** One job as the Bench shows it, or all of them. */
async function loadBench(jobId: number | undefined): Promise<readonly BenchJob[] | undefined> {
  const path = jobId === undefined ? "/api/bench" : `/api/bench?job=${jobId}`;
  const answer = await request<{ jobs: BenchJob[] }>("GET", path);
  return answer.ok ? answer.value.jobs : undefined;
}

function merged(
  shown: readonly BenchJob[],
  loaded: readonly BenchJob[] | undefined,
  jobId: number | undefined,
): readonly BenchJob[] {
  if (!loaded) return shown;
  return jobId === undefined ? loaded : [...shown.filter(({ view }) => view.jobId !== jobId), ...loaded];
}

/** The machines as the page had them, and loaded again when any of them changed on this or another device. */
function useBenchJobs(fromPage: readonly BenchJob[]): readonly BenchJob[] {
  const changes = useStore($changes);
  const [jobs, setJobs] = useState(fromPage);
  const waiting = useRef(new Set<number | undefined>());
  useEffect(() => {
    if (changes.count === 0) return undefined;
    waiting.current.add(changes.jobId);
    const timer = setTimeout(() => {
      const wanted = [...waiting.current];
      waiting.current.clear();
      for (const jobId of wanted.includes(undefined) ? [undefined] : wanted)
        void loadBench(jobId).then((loaded) => setJobs((shown) => merged(shown, loaded, jobId)));
    }, WAIT_MS);
    return () => clearTimeout(timer);
  }, [changes]);
  return jobs;
}

/** The machines standing here, in three bands: what can be done this minute, what waits, what falls due. */
export function BenchScreen({
  jobs: fromPage,
  shop,
  backup,
}: {
  readonly jobs: readonly BenchJob[];
  readonly shop: Shop;
  /** When the last good backup was made, where that is too long ago; empty where there is none at all. */
  readonly backup?: { readonly at: string } | undefined;
}) {
  const jobs = useBenchJobs(fromPage);
  const all = useJobsOnBench(jobs, shop);
  const [place, setPlace] = useState<string | undefined>(undefined);
  const shown = place === undefined ? all : all.filter(({ view }) => placeOf(view) === place);
  const { zone, shopName } = shop.settings;
  if (jobs.length === 0)
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
      <Places all={all} place={place} onPlace={setPlace} />
      {BANDS.map(({ band, title, empty }) => {
        const lines = shown.filter(({ step }) => step.band === band).sort(inOrder);
        const [first, ...rest] = lines;
        const isNow = band === "now";
        return (
          <section key={band} aria-label={title} className="mt-4">
            <h2 className="border-ring border-b-2 pb-1 font-bold text-lg">
              {title} <span className="num font-normal text-soft">{lines.length}</span>
            </h2>
            {isNow && first ? <Loudest jobOnBench={first} zone={zone} /> : null}
            {lines.length === 0 ? <p className="py-3 text-soft">{empty}</p> : null}
            <ul className={isNow ? "mt-2" : ""}>
              {(isNow ? rest : lines).map((one) => (
                <BenchLine key={one.view.jobId} jobOnBench={one} zone={zone} />
              ))}
            </ul>
          </section>
        );
      })}
      <Gone lines={shown.filter(({ step }) => step.band === "gone")} zone={zone} />
    </PlainFrame>
  );
}
