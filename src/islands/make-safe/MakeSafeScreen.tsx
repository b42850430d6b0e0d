import type { JobView } from "@/core/job/log/view";
import { owedChecks } from "@/core/job/next-step";
import { owedBeforePower, spoiltAt } from "@/core/safety/live-work";
import type { Shop } from "@/core/shop/shop";
import { benchWords } from "@/words/bench-state";
import { DeadChecks } from "../frame/DeadChecks";
import { JobFrame } from "../frame/JobFrame";
import { Part } from "../frame/Part";
import { PlugQuestion } from "../frame/PlugQuestion";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { useAwake } from "../state/awake";
import { HangTag } from "./HangTag";
import { HazardStops, Hazards, hazardsOf, isByEvidence, isSeenTo } from "./Hazards";
import { OpenCovers } from "./OpenCovers";
import { StoredCharge } from "./StoredCharge";

/** In this order: what can hurt is seen to before a cover comes off for the volts. */
type Step = "plug" | "checks" | "hazards" | "charge";

const PLUG_TITLES: Readonly<Record<JobView["machine"]["connection"], string>> = {
  plug: "Is the plug out?",
  "detachable-cord": "Is the plug out?",
  "not-known": "Is the plug out?",
  fixed: "Is it isolated?",
  battery: "Is the battery out?",
};

/** A machine with a battery and a plug is asked for both. */
function plugTitle({ machine }: JobView): string {
  if (machine.hasBattery && machine.connection !== "battery") return "Are plug and battery out?";
  return PLUG_TITLES[machine.connection];
}

function Ready({ screen }: { readonly screen: JobScreen }) {
  return (
    <div className="move mb-3 flex flex-wrap items-center gap-5 px-5 py-4">
      <h2 className="font-bold text-[30px] leading-tight tracking-tight">
        {benchWords(screen.summary).words}
      </h2>
      <a className="btn btn-primary btn-loud" href={`/jobs/${screen.job.jobId}/measure`}>
        Measure
      </a>
    </div>
  );
}

/** Hazards that plug, battery and volts have settled. */
function provenOf(screen: JobScreen): ReadonlySet<string> {
  const gaps = screen.gaps("hands-inside");
  const proven: readonly (readonly [string, boolean])[] = [
    ["mains", !gaps.includes("plug")],
    ["battery", !gaps.includes("battery")],
    ["stored-charge", !gaps.includes("charge")],
  ];
  return new Set(proven.flatMap(([id, isSettled]) => (isSettled ? [id] : [])));
}

function Parts({ screen, shop }: { readonly screen: JobScreen; readonly shop: Shop }) {
  const { job, bench, now } = screen;
  const isPlugOut = screen.gaps("plug-out").length === 0;
  const owed = owedChecks(job, shop);
  const owedNow = owedBeforePower({ ...job, deadChecks: shop.deadChecks });
  const tickable = hazardsOf(job, shop).filter(({ id }) => !isByEvidence(id));
  const openHazards = tickable.filter((hazard) => !isSeenTo(hazard, bench));
  const isDrained =
    screen.gaps("hands-inside").length === 0 ||
    (isPlugOut && screen.gaps("hands-inside").every((gap) => gap !== "charge"));
  // A suppressor is read at the plug; all else that stores is read with a cover off.
  const isUnderCover = job.machine.stores.some((id) => id !== "suppressor");
  const step: Step | undefined = !isPlugOut
    ? "plug"
    : owed.length > 0
      ? "checks"
      : // Where nothing is opened at all, that is said first.
        openHazards.length > 0 && !job.machine.blocks.includes("inside")
        ? "hazards"
        : !isDrained
          ? "charge"
          : undefined;
  return (
    <>
      {step === undefined ? <Ready screen={screen} /> : null}
      <Part
        title={plugTitle(job)}
        at="plug"
        isNow={step === "plug"}
        isDone={isPlugOut}
        done={benchWords(screen.summary).words}
      >
        <PlugQuestion job={job} stage="make-safe" />
      </Part>
      <Part
        title="Dead checks before first power"
        at="checks"
        isNow={step === "checks"}
        isDone={owedNow.length === 0}
        done="all passed"
      >
        <DeadChecks
          job={job}
          shop={shop}
          isPlugOut={isPlugOut}
          stage="make-safe"
          since={(check) => spoiltAt(job.live, check.proves)}
        />
      </Part>
      <Part
        title="What else can hurt"
        at="hazards"
        isNow={step === "hazards"}
        isDone={tickable.length > 0 && openHazards.length === 0}
        done="all seen to"
        mark="ticked"
      >
        <Hazards job={job} bench={bench} shop={shop} proven={provenOf(screen)} />
      </Part>
      <Part
        title="Is anything charged?"
        at="charge"
        isNow={step === "charge"}
        isDone={isPlugOut && isDrained}
        done={benchWords(screen.summary).words}
      >
        {isUnderCover ? <OpenCovers screen={screen} shop={shop} /> : null}
        <StoredCharge job={job} bench={bench} shop={shop} now={now} />
        {isUnderCover ? null : <OpenCovers screen={screen} shop={shop} />}
      </Part>
      <p className="text-soft">
        Local codes and licensed practice come first. Sealed compressors, gas, oven transformers and battery
        packs are not opened here.
      </p>
    </>
  );
}

/** Plug, dead checks, stored charge: what must be on record before hands or power go in. */
export const MakeSafeScreen = withShop(function MakeSafeScreen({
  job,
  shop,
}: {
  readonly job: JobView;
  readonly shop: Shop;
}) {
  const screen = useJobScreen(job, shop);
  const isAwake = useAwake();
  return (
    <JobFrame screen={screen} shop={shop} stage="make-safe">
      <h1 className="sr-only">Make safe</h1>
      <HazardStops job={screen.job} shop={shop} />
      <HangTag job={screen.job} />
      {isAwake ? <Parts screen={screen} shop={shop} /> : null}
    </JobFrame>
  );
});
