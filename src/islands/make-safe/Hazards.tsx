import { recallsFor } from "@/core/job/door/recall";
import { hazardFacts } from "@/core/job/log/bench-machine";
import type { JobView } from "@/core/job/log/view";
import type { Hazard } from "@/core/knowledge/types";
import type { BenchState } from "@/core/safety/bench-state";
import { hazardsFor } from "@/core/safety/hazards";
import { isHoldable } from "@/core/safety/holdable";
import type { Shop } from "@/core/shop/shop";
import { HELD_WORDS, heldWords } from "@/words/held";
import { Problem } from "../fields/Problem";
import { NotHere } from "../frame/NotHere";
import { VerdictMark } from "../frame/VerdictMark";
import { usePost } from "../state/use-post";

/** Hazards that the other parts of this screen settle by evidence: a tick here would prove nothing. */
const BY_EVIDENCE: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    mains: "Settled by the plug, above.",
    "stored-charge": "Settled by the volts read, below.",
    battery: "Settled by the battery, above.",
  }),
);

export function isByEvidence(id: string): boolean {
  return BY_EVIDENCE.has(id);
}

/** Whether a hazard was seen to, as far as a tick can say so. */
export function isSeenTo(hazard: Hazard, bench: BenchState): boolean {
  if (isHoldable(hazard.id)) return bench.held.some(({ id, is }) => id === hazard.id && is !== "free");
  return bench.hazardsSeenTo.includes(hazard.id);
}

export function hazardsOf(job: JobView, shop: Shop): Hazard[] {
  return hazardsFor(hazardFacts(job.takenIn, shop, job.stations), shop.hazards);
}

interface HazardsProps {
  readonly job: JobView;
  readonly bench: BenchState;
  readonly shop: Shop;
  /** Those that the other parts of the screen have settled by now. */
  readonly proven: ReadonlySet<string>;
}

interface LineProps extends Omit<HazardsProps, "shop"> {
  readonly hazard: Hazard;
}

function Ticks({ job, bench, hazard, proven }: LineProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const say = (payload: Record<string, unknown>) => () =>
    post({ kind: "bench-state", stage: "make-safe", payload });
  const button = (label: string, payload: Record<string, unknown>, name = `${hazard.label}: ${label}`) => (
    <button
      key={label}
      type="button"
      className="btn btn-outline"
      aria-label={name}
      disabled={isBusy}
      onClick={say(payload)}
    >
      {label}
    </button>
  );
  const { id } = hazard;
  const evidence = BY_EVIDENCE.get(id);
  if (evidence) return <span className="text-soft">{proven.has(id) ? "seen to" : evidence}</span>;
  if (!isHoldable(id))
    return bench.hazardsSeenTo.includes(id) ? (
      <span className="text-soft">seen to</span>
    ) : (
      <>
        {button("Seen to", { event: "seen-to", id })}
        <Problem text={problem} />
      </>
    );
  const held = bench.held.find((one) => one.id === id);
  return (
    <>
      {held ? <b>{heldWords(held)}</b> : null}
      {held?.is === "held" ? null : button(HELD_WORDS[id], { event: "held", id, is: "held" }, HELD_WORDS[id])}
      {held ? null : (
        <NotHere
          job={job}
          id={id}
          className="btn btn-outline"
          isBusy={isBusy}
          onSay={(why) => void say({ event: "held", id, is: "none", why })()}
        />
      )}
      {held?.is === "held"
        ? button(id === "heat" ? "It is hot again" : "It is free again", { event: "held", id, is: "free" })
        : null}
      <Problem text={problem} />
    </>
  );
}

function Line(props: LineProps) {
  const { hazard, bench, proven } = props;
  const isSettled = isByEvidence(hazard.id) ? proven.has(hazard.id) : isSeenTo(hazard, bench);
  return (
    <li className="border-rule border-t py-2.5">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <VerdictMark shape={isSettled ? "ticked" : "not-known"} />
        <span className="min-w-0 flex-1 basis-72">
          <b className="text-lg">{hazard.label}.</b> {hazard.act}
          <span className="block text-soft">{hazard.caution}</span>
          {hazard.stop ? <b className="block">Stop: {hazard.stop}</b> : null}
          {hazard.trade ? <span className="block">{hazard.trade}</span> : null}
        </span>
        <span className="flex flex-wrap items-center gap-2">
          <Ticks {...props} />
        </span>
      </div>
    </li>
  );
}

/** Several that ask for no more than to be read and seen to: one tap under all of them. */
function AllSeenTo({
  job,
  bench,
  hazards,
}: Pick<HazardsProps, "job" | "bench"> & { readonly hazards: readonly Hazard[] }) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const open = hazards.filter(
    (hazard) => !isByEvidence(hazard.id) && !isHoldable(hazard.id) && !isSeenTo(hazard, bench),
  );
  if (open.length < 2) return null;
  const seeToAll = async (): Promise<void> => {
    for (const { id } of open)
      if (!(await post({ kind: "bench-state", stage: "make-safe", payload: { event: "seen-to", id } })))
        return;
  };
  return (
    <p className="flex flex-wrap items-center justify-end gap-3 border-rule border-t pt-2.5">
      <button type="button" className="btn btn-outline" disabled={isBusy} onClick={() => void seeToAll()}>
        All {open.length} seen to
      </button>
      <Problem text={problem} />
    </p>
  );
}

/** What can hurt in this machine, each with what is done about it; nothing ticks itself. */
export function Hazards({ shop, ...props }: HazardsProps) {
  const own = hazardsOf(props.job, shop);
  const isTurning = props.bench.held.some(({ id }) => id === "coasting");
  const hazards = shop.hazards.filter((one) => own.includes(one) || (isTurning && one.id === "coasting"));
  return (
    <>
      <ul>
        {hazards.map((hazard) => (
          <Line key={hazard.id} {...props} hazard={hazard} />
        ))}
      </ul>
      <AllSeenTo {...props} hazards={hazards} />
    </>
  );
}

/** What is known of a recall: the shop's notices that fit its plate, and what was looked up at the door. */
function recallWords(job: JobView, shop: Shop): string[] {
  const { takenIn, plate } = job;
  const said = `${takenIn?.machine ?? ""} ${plate?.typeCode ?? ""} ${plate?.text ?? ""}`;
  const notices = recallsFor(said, shop.recalls).map(({ label, notice }) => `${label}: ${notice}`);
  const looked = takenIn?.recall.looked === "recalled" ? [`It is recalled (${takenIn.recall.where}).`] : [];
  return [...notices, ...looked];
}

/** What ends the work here, whatever was measured: hazards and recalls, large, before all else. */
export function HazardStops({ job, shop }: { readonly job: JobView; readonly shop: Shop }) {
  const said = new Set(job.takenIn?.hazards ?? []);
  const stops = hazardsOf(job, shop).filter(({ id, stop }) => stop && said.has(id) && id !== "battery");
  const recalls = recallWords(job, shop);
  if (stops.length === 0 && recalls.length === 0) return null;
  return (
    <div role="alert" className="hatched mb-3 rounded-[3px] border-[1.5px] border-ink p-2">
      <div className="bg-paper px-4 py-2.5">
        {recalls.map((words) => (
          <p key={words} className="font-bold text-xl">
            {words}
          </p>
        ))}
        {stops.map(({ id, label, stop, trade }) => (
          <p key={id}>
            <b className="text-xl">
              {label}: {stop}
            </b>{" "}
            {trade}
          </p>
        ))}
      </div>
    </div>
  );
}
