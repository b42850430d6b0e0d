import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import type { StoreId } from "@/core/knowledge/types";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import { formatInstant } from "@/core/quantity/format";
import type { BenchState } from "@/core/safety/bench-state";
import { chargeState } from "@/core/safety/charge-state";
import type { Shop } from "@/core/shop/shop";
import { storeWords } from "@/words/stores";
import { voltsRead } from "@/words/volts-read";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { ReadingField } from "../fields/ReadingField";
import { useReadingField } from "../fields/use-reading-field";
import { VerdictMark } from "../frame/VerdictMark";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";
import { DrainPlan } from "./DrainPlan";

interface StoredProps {
  readonly job: JobView;
  readonly bench: BenchState;
  readonly shop: Shop;
  readonly now: string;
}

type ItemProps = StoredProps & { readonly id: StoreId };

function ChargeNow({ bench, id, now, shop }: ItemProps) {
  const standing = chargeState(bench, id, now, shop.limits);
  const item = bench.stored.find((one) => one.id === id);
  if (!item || standing === "not-read") return null;
  const read =
    item.volts === undefined
      ? ""
      : `${voltsRead({ volts: item.volts, over: item.over })} read at ${formatInstant(item.at, shop.settings.zone)}`;
  const words = {
    charged: `Still charged: ${read}${item.over ? ", more than the meter’s range" : ""}. Drain it and read it again.`,
    lapsed: `${read}; charge creeps back, so read it once more.`,
    once: `${read}. Once is not enough here: wait a minute and read it again, or leave the clip on.`,
    drained: `Drained: ${read}.`,
    clip: `The clip is on it, ${read}.`,
    "clip-unread": "The clip is on it. It counts once the volts under it are read.",
    cannot: `Not read: ${item.cannot ?? ""}. Treat it as charged.`,
    none: item.none ? `Not in this machine: ${item.none}` : "",
  }[standing];
  const shape =
    standing === "drained" || standing === "clip"
      ? "passed"
      : standing === "charged"
        ? "failed"
        : "undecided";
  return (
    <p className="flex items-center gap-2 py-1 font-semibold text-lg" data-testid={`stored-${id}`}>
      <VerdictMark shape={shape} />
      {words}
    </p>
  );
}

function MarkField({ job, id }: { readonly job: JobView; readonly id: "start" | "run" }) {
  const kept = job.capacitors.find((one) => one.id === id)?.mark ?? "";
  const [text, setText, clear] = useDraft(`mark:${job.jobId}:${id}`, kept);
  const { post, problem } = usePost(job.jobId);
  const parsed = text.trim() === "" ? undefined : parseCapacitorMark(text);
  const keep = async (): Promise<void> => {
    if (
      text.trim() !== kept &&
      (await post({
        kind: "nameplate",
        stage: "make-safe",
        payload: { plate: "capacitor", id, mark: text.trim() },
      }))
    )
      clear();
  };
  const said = parsed?.ok ? parsed.value.understood.map(({ meaning }) => meaning).join(" · ") : undefined;
  const error = problem ?? (parsed && !parsed.ok ? parsed.issues[0]?.message : undefined);
  return (
    <Field
      label={`What is printed on the ${storeWords(id)}`}
      hint={said ?? "As it stands, such as 145-174 μF 250 VAC. Enter keeps it."}
      error={error}
    >
      {(ids) => (
        <input
          {...ids}
          className="input num"
          data-testid={`mark-${id}`}
          value={text}
          autoComplete="off"
          onChange={(event) => setText(event.target.value)}
          onBlur={() => parsed?.ok && keep()}
          onKeyDown={(event) => event.key === "Enter" && keep()}
        />
      )}
    </Field>
  );
}

type WhyForm = "cannot" | "none" | "nothing";

const WHY_LABELS: Readonly<Record<WhyForm, string>> = {
  cannot: "Cannot be read, because",
  none: "Not in this machine: what shows it",
  nothing: "A charge was read in this machine: what was it",
};

const WHY_EVENTS = { cannot: "stored-cannot", none: "stored-none" } as const;

interface WhyProps {
  readonly job: JobView;
  readonly id: StoreId;
  readonly form: WhyForm;
  onDone(): void;
}

/** The honest ways round a reading, each with its reason. */
function Why({ job, id, form, onDone }: WhyProps) {
  const [why, setWhy] = useState("");
  const { post, problem } = usePost(job.jobId);
  const keep = async (): Promise<void> => {
    const payload =
      form === "nothing" ? { event: "nothing-stores", why } : { event: WHY_EVENTS[form], id, why };
    if (await post({ kind: "bench-state", stage: "make-safe", payload })) onDone();
  };
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3">
      <Field label={WHY_LABELS[form]} className="grow">
        {(ids) => (
          <input
            {...ids}
            className="input"
            value={why}
            onChange={(event) => setWhy(event.target.value)}
            onKeyDown={(event) => event.key === "Enter" && keep()}
          />
        )}
      </Field>
      <button type="button" className="btn btn-outline" onClick={keep}>
        Keep
      </button>
      <Problem text={problem} />
    </div>
  );
}

function WaysRound({ job, id, bench }: Pick<ItemProps, "job" | "id" | "bench">) {
  const [form, setForm] = useState<WhyForm | undefined>(undefined);
  const { post, problem, isBusy } = usePost(job.jobId);
  const say = (payload: Record<string, unknown>) => () =>
    void post({ kind: "bench-state", stage: "make-safe", payload });
  const button = (label: string, onClick: () => void, which?: WhyForm) => (
    <button
      type="button"
      className="btn btn-outline"
      disabled={isBusy}
      aria-expanded={which === undefined ? undefined : form === which}
      onClick={onClick}
    >
      {label}
    </button>
  );
  const toggle = (which: WhyForm) => () => setForm(form === which ? undefined : which);
  const isOnly = !job.machine.stores.some((one) => one !== "any" && !job.machine.excusable.includes(one));
  return (
    <>
      <div className="mt-3 flex flex-wrap gap-3">
        {button("The clip stays on", say({ event: "stored-clip", id }))}
        {job.machine.excusable.includes(id) ? button("Not in this machine …", toggle("none"), "none") : null}
        {isOnly && id === "any"
          ? button(
              "No capacitor in this machine",
              bench.wasCharged
                ? toggle("nothing")
                : say({ event: "nothing-stores", why: "no capacitor in it" }),
            )
          : null}
        {button("Cannot, because …", toggle("cannot"), "cannot")}
      </div>
      {form ? <Why key={form} job={job} id={id} form={form} onDone={() => setForm(undefined)} /> : null}
      <Problem text={problem} />
    </>
  );
}

const READ_LABELS: ReadonlyMap<string, string> = new Map([
  ["suppressor", "Volts read pin to pin at the plug, switch on"],
  ["bus", "Volts read across the board’s largest capacitor, direct"],
]);

/** What was typed of its volts goes with a change of power: it would be read of another moment. */
function Item(props: ItemProps) {
  const { job, id, shop } = props;
  const [text, setText, clear] = useDraft(`volts:${job.jobId}:${id}:${job.plugFacts.powerSeq}`, "");
  const { ask } = usePost(job.jobId);
  const field = useReadingField({ quantity: "voltage", label: "Volts read", text, onText: setText });
  const keep = async (): Promise<void> => {
    const volts = field.take();
    if (volts === undefined) return;
    const issues = await ask({
      kind: "bench-state",
      stage: "make-safe",
      payload: { event: "stored-volts", id, volts },
    });
    if (issues.length === 0) clear();
    else field.object(issues);
  };
  const kept = job.capacitors.find((one) => one.id === id);
  const mark = kept ? parseCapacitorMark(kept.mark) : undefined;
  return (
    <li className="border-rule border-t py-3">
      <h3 className="font-semibold text-lg first-letter:uppercase">{storeWords(id)}</h3>
      <ChargeNow {...props} />
      <div className="grid gap-x-8 gap-y-3 lg:grid-cols-2">
        <div className="grid content-start gap-3">
          {id === "start" || id === "run" ? <MarkField key={kept?.seq} job={job} id={id} /> : null}
          {id === "suppressor" ? (
            <p className="text-soft">
              Marked up to 0.1 μF it bites but does not hurt; larger ones do. Read it where the plug’s pins
              are, the machine’s own switch on.
            </p>
          ) : (
            <DrainPlan id={id} mark={mark?.ok ? mark.value : undefined} shop={shop} job={job} />
          )}
        </div>
        <div>
          <ReadingField
            id={`volts-${id}`}
            testId={`volts-${id}`}
            label={READ_LABELS.get(id) ?? "Volts read across it, direct"}
            quantity="voltage"
            model={field}
            size="large"
            whose={`Job ${job.jobId}, ${job.takenIn?.machine ?? ""}`}
            onKeep={keep}
          />
          <WaysRound job={job} id={id} bench={props.bench} />
        </div>
      </div>
    </li>
  );
}

/** Each thing in the machine that can hold charge: its marking, how to drain it, and the volts read. */
export function StoredCharge(props: StoredProps) {
  const { stores, blocks } = props.job.machine;
  // No time and no way of draining is shown for what nobody touches here.
  if (blocks.includes("inside"))
    return (
      <p role="alert" className="hatched border border-ink p-1.5" data-testid="not-drained-here">
        <span className="block bg-paper px-3 py-2 font-semibold">
          High voltage: nothing in it is touched or drained here. Pass the machine to someone who works on it.
        </span>
      </p>
    );
  // What was read charged or has a clip on stands here, whatever this kind of machine is said to have.
  const ids = [
    ...new Set([...stores, ...props.bench.stored.filter(({ none }) => !none).map(({ id }) => id)]),
  ];
  if (ids.length === 0)
    return (
      <p className="py-2">
        Nothing in this kind of machine stores charge. A board would: if it has one, say so in Isolate, under
        what it is built from.
      </p>
    );
  return (
    <ul>
      {ids.map((id) => (
        <Item key={id} {...props} id={id} />
      ))}
    </ul>
  );
}
