import { addDays, format } from "date-fns";
import { useMemo, useState } from "react";
import { firstAction, type Moved, notchesOf, withMoved } from "@/core/decision/decide";
import type { Route, RouteId } from "@/core/decision/routes";
import type { SchoolId } from "@/core/decision/schools";
import type { Isolation } from "@/core/isolation/isolate";
import { decideJob, jobCase } from "@/core/job/deciding/decide-job";
import { ownerOffer } from "@/core/job/deciding/owner-offer";
import type { JobView } from "@/core/job/log/view";
import { closingMinutes } from "@/core/knowledge/kind-costs";
import type { Knowledge } from "@/core/knowledge/types";
import type { DonorHere } from "@/core/matching/donor-here";
import { dayIn } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { actionLabel, decisionSentence } from "@/words/routes";
import { NotCovered } from "../engine/NotCovered";
import { useIsolation } from "../engine/use-isolation";
import { JobFrame } from "../frame/JobFrame";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { DonorsHere } from "./DonorsHere";
import { OwnerPrices } from "./OwnerPrices";
import { Past, type PastRow } from "./Past";
import { PriceList } from "./PriceList";
import { Refused } from "./Refused";
import { RouteShafts } from "./RouteShafts";
import { Schools } from "./Schools";
import { Sliders } from "./Sliders";
import { Take } from "./Take";
import { WholePicture } from "./WholePicture";

/** What the shop knows beside the job: its closed jobs, and its machines kept for parts. */
interface Beside {
  readonly past: readonly PastRow[];
  readonly donors: readonly DonorHere[];
}

interface ReadyProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly isolation: Isolation;
  readonly knowledge: Knowledge;
  readonly beside: Beside;
}

const LINK = "inline-flex min-h-11 items-center text-teal underline underline-offset-4";
/** Days that the owner's prices hold, where nobody sets another day. */
const VALID_DAYS = 14;

/** What is still to be looked at before a part is ordered. */
function Before({
  isolation,
  knowledge,
  jobId,
}: Pick<ReadyProps, "isolation" | "knowledge"> & { readonly jobId: number }) {
  if (isolation.beforeOrder.length === 0) return null;
  return (
    <div className="mt-2" data-testid="before-order">
      <b>Before the order</b>
      <ul>
        {isolation.beforeOrder.map(({ moveId, why }) => (
          <li key={moveId}>
            {knowledge.moves.find(({ id }) => id === moveId)?.title}: <span className="text-soft">{why}</span>
          </li>
        ))}
      </ul>
      <a className={LINK} href={`/jobs/${jobId}/isolate`}>
        Look at these first
      </a>
    </div>
  );
}

/** Everything that is worked out for the screen: the job as it stands, and with figures moved. */
function useDecision({ job, shop, isolation, knowledge }: Omit<ReadyProps, "beside">, moved: Moved) {
  const context = useMemo(
    () => ({ ...knowledge, parameters: shop.parameters, settings: shop.settings }),
    [knowledge, shop],
  );
  const base = useMemo(() => jobCase(job, isolation, context), [job, isolation, context]);
  const first = useMemo(() => firstAction(base.options), [base]);
  const options = useMemo(() => withMoved(base.options, moved, first), [base, moved, first]);
  const decision = useMemo(
    () => decideJob(job, isolation, context, moved, base),
    [job, isolation, context, moved, base],
  );
  const notched = useMemo(() => notchesOf(options, first), [options, first]);
  return { facts: base.facts, base: base.options, first, options, decision, notched };
}

/** The day some days on, as the shop's calendar has it. */
function dayAfter({ now, settings }: Pick<Shop, "now" | "settings">, days: number): string {
  const today = new Date(`${dayIn(now, settings.zone)}T12:00:00`);
  return format(addDays(today, days), "yyyy-MM-dd");
}

function Ready(props: ReadyProps) {
  const { job, shop, isolation, knowledge } = props;
  const { currency } = shop.settings;
  const [moved, setMoved] = useState<Moved>({});
  const [school, setSchool] = useState<SchoolId>("expected");
  const [ownId, setOwnId] = useState<RouteId | undefined>(undefined);
  const { facts, base, first, options, decision, notched } = useDecision(props, moved);
  const routeOf = (id: RouteId | null | undefined): Route | undefined =>
    decision.routes.find((route) => route.id === id);
  const advised = routeOf(decision.opinions.find((one) => one.school === school)?.route);
  const chosen = routeOf(ownId) ?? advised ?? decision.best;
  const isTaken = job.decision !== null && job.decision.label !== "";
  const isMoved = Object.keys(moved).length > 0;
  const closing = closingMinutes(facts.machine, knowledge);
  // A machine that has gone is asked about no more.
  const offer = job.signedOff
    ? undefined
    : ownerOffer(job, decision.routes, { ...shop.settings, closingMinutes: closing });
  return (
    <>
      <section aria-label="The decision" className="move px-5 py-4">
        <h1 className="font-bold text-2xl leading-tight tracking-tight md:text-[28px]" data-testid="sentence">
          {decisionSentence(decision, knowledge, currency, facts.isUnsafe)}
        </h1>
        {isMoved ? (
          <p className="mt-1" role="status">
            With the figures moved.{" "}
            <button
              type="button"
              className="min-h-11 text-teal underline underline-offset-4"
              onClick={() => setMoved({})}
            >
              Put them back
            </button>
          </p>
        ) : null}
        <Before isolation={isolation} knowledge={knowledge} jobId={job.jobId} />
        <Past past={props.beside.past} chosen={chosen} />
        {isTaken ? (
          <p className="mt-2 text-soft">
            Decided before: <b className="text-ink">{job.decision?.label}</b>.{" "}
            <a className={LINK} href={`/jobs/${job.jobId}/put-back`}>
              Go on with it
            </a>
          </p>
        ) : null}
        <Take
          key={chosen.id}
          job={job}
          shop={shop}
          isolation={isolation}
          names={knowledge}
          decision={decision}
          chosen={chosen}
          lookDay={dayAfter(shop, chosen.holdDays ?? VALID_DAYS)}
          isMoved={isMoved}
          onLeave={() => {
            setOwnId(undefined);
            setSchool("expected");
          }}
        />
      </section>
      <Refused refused={decision.refused} knowledge={knowledge} />
      <RouteShafts
        decision={decision}
        currency={currency}
        names={knowledge}
        onTake={({ id }) => setOwnId(id)}
      />
      <DonorsHere
        job={job}
        donors={props.beside.donors}
        options={base}
        names={knowledge}
        currency={currency}
      />
      <Sliders
        notched={notched}
        moved={moved}
        options={options}
        names={knowledge}
        currency={currency}
        firstLabel={first ? inSentence(actionLabel(first, knowledge)) : ""}
        onMove={(id, value) => setMoved({ ...moved, [id]: value })}
      />
      <Schools
        decision={decision}
        names={knowledge}
        currency={currency}
        school={school}
        ceilingMinor={job.takenIn?.ceilingMinor ?? null}
        onChoose={(one) => {
          setOwnId(undefined);
          setSchool(one);
        }}
      />
      {offer ? (
        <OwnerPrices
          job={job}
          shop={shop}
          names={knowledge}
          offer={offer}
          isEarly={decision.best.id === "measure"}
          validUntil={dayAfter(shop, VALID_DAYS)}
        />
      ) : null}
      <div className="mt-6">
        <PriceList
          job={job}
          currency={currency}
          facts={facts}
          options={base}
          first={first}
          names={knowledge}
        />
        <WholePicture decision={decision} names={knowledge} currency={currency} closingMinutes={closing} />
      </div>
    </>
  );
}

interface BodyProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly beside: Beside;
}

function Body({ screen, shop, beside }: BodyProps) {
  const state = useIsolation(screen, shop);
  if (state.kind === "working")
    return (
      <p role="status" className="py-6 text-lg text-soft">
        Working out what each route costs …
      </p>
    );
  if (state.kind === "failed") return <NotCovered job={screen.job} shop={shop} issues={state.issues} />;
  return (
    <Ready
      job={screen.job}
      shop={shop}
      isolation={state.isolation}
      knowledge={state.knowledge}
      beside={beside}
    />
  );
}

/** Decide: what to do about the machine, what it costs on average, and where the answer flips. */
export const DecideScreen = withShop(function DecideScreen({
  job,
  shop,
  past = [],
  donors = [],
}: {
  readonly job: JobView;
  readonly shop: Shop;
  readonly past?: readonly PastRow[];
  readonly donors?: readonly DonorHere[];
}) {
  const screen = useJobScreen(job, shop);
  return (
    <JobFrame screen={screen} shop={shop} stage="decide">
      <Body screen={screen} shop={shop} beside={{ past, donors }} />
    </JobFrame>
  );
});
