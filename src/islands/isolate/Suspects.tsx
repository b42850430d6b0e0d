import type { Suspect } from "@/core/isolation/explain";
import type { Isolation } from "@/core/isolation/isolate";
import { machineOnBench } from "@/core/job/isolation/isolation-request";
import type { JobView } from "@/core/job/log/view";
import { repairsOn } from "@/core/knowledge/kind-costs";
import type { Fault, Knowledge } from "@/core/knowledge/types";
import { formatChance, formatMoney } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { type SayLine, useLineWords } from "@/islands/state/tool-words";
import { inSentence } from "@/words/in-sentence";
import { faultLabel, repairLabel } from "../engine/names";

const SHOWN = 5;
const LEAST_SHOWN = 0.01;
/** What can hurt is said from this chance on. */
const HAZARD_FROM = 0.05;

interface SuspectsProps {
  readonly isolation: Isolation;
  readonly knowledge: Knowledge;
  readonly job: JobView;
  readonly shop: Shop;
  readonly station: string | undefined;
}

/** The line as it was asked and answered: an answer alone says nothing a minute later. */
function spoken(job: JobView, say: SayLine, seq: number): string {
  const line = job.ledger.find((one) => one.seq === seq);
  if (line?.kind === "complaint") return "the complaint";
  return line ? inSentence(say(line)) : `line ${seq}`;
}

function Weights({
  word,
  weights,
  job,
  shop,
}: {
  readonly word: string;
  readonly weights: Suspect["for"];
  readonly job: JobView;
  readonly shop: Shop;
}) {
  const say = useLineWords(job, shop);
  if (weights.length === 0) return null;
  const inOrder = [...weights].sort((one, other) => other.bits - one.bits).slice(0, 3);
  return (
    <div className="grid grid-cols-[max-content_minmax(0,1fr)] gap-x-2 text-soft">
      <span>{word}</span>
      <ul className="font-medium text-ink leading-snug">
        {[...new Set(inOrder.map(({ seq }) => spoken(job, say, seq)))].map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
    </div>
  );
}

/** Suspects that one repair cures stand together under it: what it would come to if any of them is it. */
function Shared({
  fault,
  isolation,
  knowledge,
}: Pick<SuspectsProps, "isolation" | "knowledge"> & { readonly fault: Fault }) {
  const cureOf = (id: string | undefined) => knowledge.faults.find((one) => one.id === id)?.fix.repair;
  const rows = isolation.suspects.filter(
    ({ roots, chance }) =>
      roots.length === 1 && chance >= LEAST_SHOWN && cureOf(roots[0]) === fault.fix.repair,
  );
  if (rows.length < 2) return null;
  const joint = rows.reduce((sum, { chance }) => sum + chance, 0);
  const names = rows.map(({ roots: [id = ""] }) => inSentence(faultLabel(knowledge, id)));
  return (
    <p className="text-soft" data-testid="shared-cure">
      It cures <b className="font-medium text-ink">{formatChance(joint)}</b>: {names.join(", ")}
    </p>
  );
}

/** What cures a fault, and what is done when that does not hold. */
function Cure({
  fault,
  job,
  knowledge,
}: Pick<SuspectsProps, "job" | "knowledge"> & { readonly fault: Fault }) {
  const repairs = repairsOn(machineOnBench(job, knowledge), knowledge);
  const rungs = [fault.fix, ...(fault.ladder ?? [])].flatMap(({ repair }) => {
    const on = repairs.find(({ id }) => id === repair);
    return on ? [`${inSentence(repairLabel(knowledge, repair))}, ${Math.round(on.minutes)} min`] : [];
  });
  return (
    <p className="text-soft">
      Cure <b className="font-medium text-ink">{rungs[0]}</b>
      {rungs.length > 1 ? `; if that does not hold: ${rungs.slice(1).join("; ")}` : ""}
    </p>
  );
}

function Row({
  suspect,
  isFirst,
  ...props
}: SuspectsProps & { readonly suspect: Suspect; readonly isFirst: boolean }) {
  const { knowledge } = props;
  const faults = suspect.roots.flatMap((id) => knowledge.faults.find((fault) => fault.id === id) ?? []);
  const hazards = [...new Set(faults.flatMap(({ hazard }) => hazard ?? []))];
  return (
    <li className="border-rule border-t pb-2.5" data-testid="suspect">
      <div className="flex items-center justify-between gap-3 font-semibold text-[17px]">
        <span>
          {suspect.roots.map((id, index) => (
            <span key={id}>
              {index > 0 ? " and " : ""}
              {faults.some((fault) => fault.id === id) ? (
                <a
                  className="inline-flex min-h-11 items-center underline decoration-ring underline-offset-4"
                  href={`/knowledge/faults/${id}`}
                  title="What this stands on"
                >
                  {faultLabel(knowledge, id)}
                </a>
              ) : (
                <span className="inline-flex min-h-11 items-center">{faultLabel(knowledge, id)}</span>
              )}
            </span>
          ))}
          {suspect.alike.map((id) => ` or ${inSentence(faultLabel(knowledge, id))}`)}
        </span>
        <span className="whitespace-nowrap font-medium">{formatChance(suspect.chance)}</span>
      </div>
      <div className="my-1.5 h-2 bg-neck" aria-hidden="true">
        <div
          className="h-2 bg-copper"
          style={{ width: `${suspect.chance * 100}%`, transition: "width 400ms" }}
        />
      </div>
      {suspect.chance >= HAZARD_FROM
        ? hazards.map((hazard) => (
            <p key={hazard} className="font-semibold text-oxide">
              {hazard}
            </p>
          ))
        : null}
      {suspect.consequences.length > 0 ? (
        <p className="text-soft">
          It brought about:{" "}
          <b className="font-medium text-ink">
            {suspect.consequences.map((id) => inSentence(faultLabel(knowledge, id))).join(", ")}
          </b>
        </p>
      ) : null}
      <Weights word="For" weights={suspect.for} job={props.job} shop={props.shop} />
      <Weights word="Against" weights={suspect.against} job={props.job} shop={props.shop} />
      {isFirst
        ? faults.map((fault) => <Cure key={fault.id} fault={fault} job={props.job} knowledge={knowledge} />)
        : null}
      {isFirst && faults.length === 1 && faults[0] ? (
        <Shared fault={faults[0]} isolation={props.isolation} knowledge={knowledge} />
      ) : null}
    </li>
  );
}

/** Each suspect with its share, what speaks for and against it, and what it would explain. */
export function Suspects(props: SuspectsProps) {
  const { isolation, knowledge, station } = props;
  const last = isolation.suspects.at(-1);
  const many = last && last.chance >= LEAST_SHOWN ? last : undefined;
  const known = isolation.suspects
    .slice(0, -1)
    .filter(({ roots, chance }) =>
      station
        ? knowledge.faults.some((fault) => roots.includes(fault.id) && fault.station === station)
        : chance >= LEAST_SHOWN,
    );
  return (
    <section aria-label="Suspects">
      <h2 className="font-semibold text-soft">
        Suspects
        {station ? ` at ${knowledge.stations.find(({ id }) => id === station)?.label.toLowerCase()}` : ""}
      </h2>
      <ul className="mt-1 border-ink border-t-2">
        {known.slice(0, SHOWN).map((suspect, index) => (
          <Row key={suspect.roots.join()} {...props} suspect={suspect} isFirst={index === 0} />
        ))}
        {many && !station ? <Row {...props} suspect={many} isFirst={false} /> : null}
      </ul>
    </section>
  );
}

/** Whether trying the likeliest repair now costs less than any move: in one box, with both figures. */
export function StopCall({
  isolation,
  knowledge,
  shop,
}: Pick<SuspectsProps, "isolation" | "knowledge" | "shop">) {
  const { currency } = shop.settings;
  const first = isolation.moves[0];
  const fix = isolation.trials[0]?.repairs.map((repair) => repairLabel(knowledge, repair)).join(", ");
  const money = (minor: number): string => formatMoney(Math.round(minor), currency);
  return (
    <div
      className={`mt-2 border-[1.5px] border-ink px-4 py-2.5 ${isolation.stop.advised ? "bg-sheet" : ""}`}
      data-testid="stop-call"
    >
      <b>Try repairs now: {money(isolation.stop.trialCost)} on average</b>
      <p>
        {first && !isolation.stop.advised
          ? `Do the next move first: ${money(first.expectedTotal)}.`
          : `No move left is worth its price. ${fix ?? "Repair"} and run it in the complaint's condition.`}
      </p>
      {isolation.purchaseGate.open ? null : (
        <p className="text-brass">
          {isolation.purchaseGate.needs.includes("repeated-reading")
            ? "Proved by one reading: read it once more before a motor is ordered."
            : "No direct proof yet of the leading suspect: don't order expensive parts yet."}
        </p>
      )}
    </div>
  );
}
