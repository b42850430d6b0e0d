import type { ReactNode } from "react";
import type { JobView } from "@/core/job/log/reduce";
import type { Asked } from "@/core/matching/asked.input";
import { familyOf } from "@/core/matching/places";
import type { From } from "@/core/matching/source";
import { supplyOf } from "@/core/nameplate/supply";
import type { Shop } from "@/core/shop/shop";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { JobFrame } from "../frame/JobFrame";
import { useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { useAwake } from "../state/awake";
import { useDraft } from "../state/draft";
import { Candidates, Rejected } from "./Candidates";
import { Chosen } from "./Chosen";
import { Conflicts } from "./Conflicts";
import { Needs } from "./Needs";
import { Orders } from "./Orders";
import { useMatch } from "./use-match";

interface NamedFamily {
  readonly id: string;
  readonly title: string;
}

interface MatchProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly families: readonly NamedFamily[];
  /** The family of the part that a repair is done with, by the repair. */
  readonly partOf: Readonly<Record<string, string>>;
}

/** What is typed for a family in this job, kept on the device. */
interface MatchDraft {
  readonly marking: string;
  readonly typed: Readonly<Record<string, string>>;
  readonly settled: Readonly<Record<string, From>>;
  readonly schools: Readonly<Record<string, string>>;
  readonly looked: string | undefined;
}

const EMPTY: MatchDraft = { marking: "", typed: {}, settled: {}, schools: {}, looked: undefined };

const pairsOf = <T,>(table: Readonly<Record<string, T>>) =>
  Object.entries(table).map(([attribute, of]) => ({ attribute, of }));

function askedOf(family: string, { marking, typed, settled, schools }: MatchDraft): Asked {
  return { family, marking, typed: pairsOf(typed), settled: pairsOf(settled), schools: pairsOf(schools) };
}

/** The family that the job is about: what was decided, what read faulty, or what is marked. */
function familyFor(job: JobView, shop: Shop, partOf: MatchProps["partOf"]): string {
  const decided = job.decision?.repairs.flatMap((repair) => partOf[repair] ?? [])[0];
  const bad = job.readings
    .filter(({ finding }) => finding.verdict === "faulty")
    .flatMap(({ moveId }) => shop.moves.find(({ id }) => id === moveId)?.part?.place ?? [])
    .at(-1);
  const place = decided ?? bad ?? job.parts.at(-1)?.forPart ?? job.capacitors[0]?.id;
  return place === undefined ? "fuse" : familyOf(place);
}

interface SheetProps extends Pick<MatchProps, "job" | "shop"> {
  readonly family: string;
  /** Which part it is about. */
  readonly picker: ReactNode;
}

function Sheet({ job, shop, family, picker }: SheetProps) {
  const [draft, setDraft] = useDraft<MatchDraft>(`match:${job.jobId}:${family}`, EMPTY);
  const set = (change: Partial<MatchDraft>): void => setDraft({ ...draft, ...change });
  const asked = askedOf(family, draft);
  const { answer, issues, isBusy } = useMatch(job.jobId, job.seq, asked);
  const marking = issues.find(({ path }) => path === "marking")?.message;
  if (!answer)
    return (
      <>
        {picker}
        {isBusy ? (
          <p className="text-lg text-soft">Working out what fits …</p>
        ) : (
          <p role="alert" className="font-semibold text-lg text-oxide">
            {issues.map(({ message }) => message).join(" ")}
            <button type="button" className="btn btn-outline ml-3" onClick={() => setDraft(EMPTY)}>
              Begin anew
            </button>
          </p>
        )}
      </>
    );
  const one = answer.candidates.find(({ id }) => id === draft.looked) ?? answer.candidates[0];
  const { currency } = shop.settings;
  const [next] = answer.asks;
  return (
    <>
      <div className="grid gap-x-4 md:grid-cols-2">
        {picker}
        {answer.family.hasMark ? (
          <Field label="What is printed on the old one" error={marking} className="mb-3">
            {(ids) => (
              <input
                {...ids}
                className="input num"
                autoComplete="off"
                placeholder="as it stands there"
                value={draft.marking}
                onChange={(event) => set({ marking: event.target.value })}
              />
            )}
          </Field>
        ) : null}
      </div>
      <Conflicts
        conflicts={answer.conflicts}
        onSettle={(attribute, from) => set({ settled: { ...draft.settled, [attribute]: from } })}
      />
      <Needs
        needed={answer.needed}
        typed={draft.typed}
        issues={issues}
        onType={(attribute, text) => set({ typed: { ...draft.typed, [attribute]: text } })}
      />
      {next && answer.conflicts.length === 0 ? (
        <p className="mt-3 text-lg" data-testid="ask-next">
          Next: <b>{next.label}</b>. {next.how}{" "}
          {next.removes >= 1 ? (
            <span className="text-soft">
              Rules out about {Math.round(next.removes)} of {answer.found}, counted over the list.
            </span>
          ) : null}
        </p>
      ) : null}
      {answer.schools.map(({ id, label, chosen, choices }) => (
        <div key={id} className="mt-3">
          <Choices
            legend={label}
            name={`school-${id}`}
            choices={choices}
            value={chosen}
            onChoose={(value) => set({ schools: { ...draft.schools, [id]: value } })}
          />
          <p className="mt-1 text-soft">{choices.find(({ value }) => value === chosen)?.why}</p>
        </div>
      ))}
      <div className="mt-4 grid gap-x-7 gap-y-4 lg:grid-cols-[minmax(0,1fr)_360px]">
        <div className="order-last lg:order-none" aria-busy={isBusy}>
          {answer.candidates.length === 0 ? (
            <p className="text-lg">Nothing on the list fits. What fails is told below, by reason.</p>
          ) : null}
          <Candidates
            candidates={answer.candidates}
            found={answer.found}
            needed={answer.needed}
            currency={currency}
            chosenId={one?.id}
            onLook={(looked) => set({ looked })}
          />
          <Rejected rejected={answer.rejected} nearMisses={answer.nearMisses} />
        </div>
        {one ? (
          <Chosen
            key={one.id}
            one={one}
            job={job}
            asked={asked}
            currency={currency}
            isUnsettled={answer.conflicts.length > 0}
          />
        ) : null}
      </div>
    </>
  );
}

function Matcher({ job, shop, families, partOf }: MatchProps) {
  const [chosen, setChosen] = useDraft<string | undefined>(`match:${job.jobId}`, undefined);
  const family = chosen ?? familyFor(job, shop, partOf);
  const picker = (
    <Field label="Part to be matched" className="mb-3">
      {(ids) => (
        <select
          {...ids}
          className="select"
          value={family}
          onChange={(event) => setChosen(event.target.value)}
        >
          {families.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
  return <Sheet key={family} job={job} shop={shop} family={family} picker={picker} />;
}

/** Match: what is needed, with where each value comes from, and what may be fitted, with the reason in words. */
export const MatchScreen = withShop(function MatchScreen(props: MatchProps) {
  const { job: fromPage, shop } = props;
  const screen = useJobScreen(fromPage, shop);
  const { job } = screen;
  const isAwake = useAwake();
  const supply = supplyOf(job.plate?.volts ?? "", shop.settings.volts);
  return (
    <JobFrame screen={screen} shop={shop} stage="match">
      {supply.plateDisagrees === undefined ? null : (
        <p role="status" className="mb-3 font-semibold text-brass" data-testid="supply-disagrees">
          The plate says {supply.plateDisagrees} V, the shop has {shop.settings.volts} V. Settle which of them
          feeds it before anything is fitted: until then the higher one decides.
        </p>
      )}
      {isAwake ? <Matcher {...props} job={job} /> : null}
      <Orders job={job} shop={shop} />
    </JobFrame>
  );
});
