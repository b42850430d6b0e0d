import { useState } from "react";
import type { JobView } from "@/core/job/log/reduce";
import { hadResistor } from "@/core/job/old-part";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import { type RankedCapacitor, rankCapacitors } from "@/core/matching/rank";
import { type CapacitorRequirement, capacitorRequirement } from "@/core/matching/requirement";
import { supplyOf } from "@/core/nameplate/supply";
import { formatMoney } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { Choices } from "../fields/Choices";
import { Problem } from "../fields/Problem";
import { JobFrame } from "../frame/JobFrame";
import { useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { usePost } from "../state/use-post";
import { fitReasonWords } from "../words/match";
import { Candidates, Rejected, Requirement } from "./Candidates";
import { FIT_WORDS, FitMark } from "./FitMark";
import { Orders } from "./Orders";

interface MatchProps {
  readonly job: JobView;
  readonly shop: Shop;
}

type Place = "start" | "run";

function Chosen({
  one,
  job,
  place,
  currency,
}: {
  readonly one: RankedCapacitor;
  readonly job: JobView;
  readonly place: Place;
  readonly currency: string;
}) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { part, fit, attributes } = one;
  const isKept = job.parts.some(({ forPart, partId }) => forPart === place && partId === part.id);
  const choose = (): Promise<boolean> =>
    post({
      kind: "part-chosen",
      stage: "match",
      payload: {
        forPart: place,
        partId: part.id,
        label: part.label,
        fit,
        notes: [],
        priceMinor: part.priceMinor,
        days: part.days,
      },
    });
  return (
    <aside className="move content-start px-5 py-4" aria-label="The one looked at">
      <h1 className="font-bold text-2xl leading-tight tracking-tight">{part.label}</h1>
      <p className="mt-2 flex items-center gap-2 font-semibold text-[22px]">
        <FitMark fit={fit} size={22} /> {FIT_WORDS[fit]}
      </p>
      <ul className="mt-2">
        {attributes.map(({ id, fit: own, reason }) => (
          <li key={id} className="flex items-start gap-2.5 border-rule border-t py-1.5">
            <span className="mt-0.5">
              <FitMark fit={own} size={16} />
            </span>
            {fitReasonWords(reason)}
          </li>
        ))}
      </ul>
      <p className="my-3 text-lg">
        <b className="num">{formatMoney(part.priceMinor, currency)}</b>{" "}
        <span className="text-soft">in {part.days} days</span>
      </p>
      {fit === "temporary" ? (
        <p className="mb-3 font-semibold text-brass">
          Fit it with an end date, measure the current, and never count it as evidence.
        </p>
      ) : null}
      {isKept ? (
        <p role="status" className="font-semibold text-verdigris">
          Chosen for this job.
        </p>
      ) : (
        <button type="button" className="btn btn-primary btn-loud" disabled={isBusy} onClick={choose}>
          Take this one
        </button>
      )}
      <Problem text={problem} />
    </aside>
  );
}

interface SheetProps extends MatchProps {
  readonly place: Place;
  readonly need: CapacitorRequirement;
}

function Sheet({ job, shop, place, need }: SheetProps) {
  const ranked = rankCapacitors(need, shop.capacitors, shop.limits);
  const usable = ranked.filter(({ fit }) => fit !== "reject");
  const [looked, setLooked] = useState<string | undefined>(
    job.parts.find(({ forPart }) => forPart === place)?.partId,
  );
  const one = usable.find(({ part }) => part.id === looked) ?? usable[0];
  const { currency } = shop.settings;
  return (
    <>
      <Requirement need={need} />
      <div className="mt-4 grid gap-x-7 gap-y-4 lg:grid-cols-[minmax(0,1fr)_360px]">
        <div className="order-last lg:order-none">
          {usable.length === 0 ? (
            <p className="text-lg">Nothing on the list fits. What is missing is told below, by reason.</p>
          ) : null}
          <Candidates
            ranked={usable}
            needed={need.needed}
            currency={currency}
            chosenId={one?.part.id}
            onLook={setLooked}
          />
          <Rejected ranked={ranked.filter(({ fit }) => fit === "reject")} />
        </div>
        {one ? <Chosen key={one.part.id} one={one} job={job} place={place} currency={currency} /> : null}
      </div>
    </>
  );
}

function NoMarking({ job }: { readonly job: JobView }) {
  return (
    <div className="move px-5 py-5">
      <h1 className="font-bold text-[30px] leading-tight">Read the old part first</h1>
      <p className="mt-1 text-lg">
        What is printed on the capacitor says what has to be fitted in its place.
      </p>
      <a className="btn btn-primary mt-4" href={`/jobs/${job.jobId}/make-safe`}>
        Enter the marking
      </a>
    </div>
  );
}

/** Only capacitors are matched yet: any other part says so, and where its price goes. */
function NoCapacitor({ job }: { readonly job: JobView }) {
  return (
    <div className="move px-5 py-5">
      <h1 className="font-bold text-[30px] leading-tight">No capacitor in this machine</h1>
      <p className="mt-1 text-lg">
        Only capacitors are matched here so far. Take the figures of any other part from the old one.
      </p>
      <a className="btn btn-primary mt-4" href={`/jobs/${job.jobId}/decide`}>
        Decide
      </a>
    </div>
  );
}

/** Match: what is needed, with where each value comes from, and what may be fitted, with the reason in words. */
export const MatchScreen = withShop(function MatchScreen({ job: fromPage, shop }: MatchProps) {
  const screen = useJobScreen(fromPage, shop);
  const { job } = screen;
  const bad = job.readings
    .filter(({ finding }) => finding.verdict === "faulty")
    .flatMap(({ moveId }) => shop.moves.find(({ id }) => id === moveId)?.part?.place ?? []);
  const [place, setPlace] = useState<Place>(bad.at(-1) ?? job.capacitors[0]?.id ?? "start");
  const kept = job.capacitors.find(({ id }) => id === place);
  const mark = kept ? parseCapacitorMark(kept.mark) : undefined;
  const supply = supplyOf(job.plate?.volts ?? "", shop.settings.volts);
  const need = mark?.ok
    ? capacitorRequirement(mark.value, place, supply.volts, hadResistor(job, place, shop.moves), shop.limits)
    : undefined;
  const Nothing = job.capacitors.length > 0 || job.machine.stores.length > 0 ? NoMarking : NoCapacitor;
  return (
    <JobFrame screen={screen} shop={shop} stage="match">
      {job.capacitors.length > 1 ? (
        <div className="mb-3">
          <Choices<Place>
            legend="In place of"
            name="place"
            choices={job.capacitors.map(({ id }) => ({
              value: id,
              label: id === "start" ? "Start capacitor" : "Run capacitor",
            }))}
            value={place}
            onChoose={setPlace}
          />
        </div>
      ) : null}
      {supply.plateDisagrees === undefined ? null : (
        <p role="status" className="mb-3 font-semibold text-brass" data-testid="supply-disagrees">
          The plate says {supply.plateDisagrees} V, the shop has {shop.settings.volts} V. Settle which of them
          feeds it before anything is fitted: until then the higher one decides.
        </p>
      )}
      {need ? <Sheet key={place} job={job} shop={shop} place={place} need={need} /> : <Nothing job={job} />}
      <Orders job={job} shop={shop} />
    </JobFrame>
  );
});
