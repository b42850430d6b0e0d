import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import { limitOf } from "@/core/knowledge/resolve-limits";
import type { StoreId } from "@/core/knowledge/types";
import { type CapacitorMark, wholeCapacitance } from "@/core/markings/capacitor";
import { parsePower } from "@/core/nameplate/power";
import { supplyOf } from "@/core/nameplate/supply";
import { formatDuration, formatText } from "@/core/quantity/format";
import { parseReading } from "@/core/quantity/parse-reading";
import { ohms, volts, watts } from "@/core/quantity/units";
import {
  type DischargePlan,
  type DischargeRefusal,
  type DischargeSchool,
  largestCapacitance,
  planDischarge,
  type UnmarkedStore,
} from "@/core/safety/discharge";
import type { Shop } from "@/core/shop/shop";
import { DISCHARGE_CHOICES } from "@/words/schools";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";

/** A short comes last, and only after a reading showed that the resistor worked. */
function stepsOf(school: DischargeSchool, plan: DischargePlan, resistor: string): readonly string[] {
  const through = `Clip ${resistor} across it for ${formatDuration(plan.time)} or more, insulated leads.`;
  const worked = `Read the volts: ${formatText(plan.safeVolts, "V")} or less shows that the resistor worked.`;
  const again = `Read again after a minute: up to ${formatText(plan.rebound, "V", 2)} can creep back, or leave the clip on.`;
  if (school === "resistor-only") return ["Read the volts.", through, worked, again];
  if (school === "insulated-short" && plan.mayShortFirst)
    return ["Read the volts.", "Short it with an insulated tool, eyes covered.", worked, again];
  const tooMuch =
    school === "insulated-short"
      ? [`${formatText(plan.energy, "J", 2)} is too much to short at once: resistor first.`]
      : [];
  return [
    "Read the volts; cover your eyes at a start capacitor.",
    ...tooMuch,
    through,
    worked,
    "Only then short it with an insulated tool, as the last assurance.",
    again,
  ];
}

interface DrainPlanProps {
  readonly id: StoreId;
  readonly mark: CapacitorMark | undefined;
  readonly shop: Shop;
  readonly job: JobView;
}

/** Rings when the resistor was on long enough; the volts are read all the same. */
function DrainTimer({ jobId, seconds }: { readonly jobId: number; readonly seconds: number }) {
  const { post, problem, isBusy } = usePost(jobId);
  return (
    <div className="sm:col-span-2">
      <button
        type="button"
        className="btn btn-outline"
        disabled={isBusy}
        onClick={() =>
          void post({ kind: "timer-started", stage: "make-safe", payload: { what: "drain", seconds } })
        }
      >
        Ring after {formatDuration(seconds)}
      </button>
      <Problem text={problem} />
    </div>
  );
}

/** A rating as typed, above zero; nothing where none was typed, or why it is none. */
function ratingOf(text: string, quantity: "power" | "voltage", label: string) {
  if (text.trim() === "") return { value: undefined, problem: undefined };
  const parsed = parseReading(text, quantity, label);
  if (!parsed.ok) return { value: undefined, problem: parsed.issues[0]?.message };
  const { reading } = parsed.value;
  return reading.kind === "value" && reading.value > 0
    ? { value: reading.value, problem: undefined }
    : { value: undefined, problem: "Write a number above zero." };
}

interface RatingProps {
  readonly label: string;
  readonly quantity: "power" | "voltage";
  readonly text: string;
  onText(text: string): void;
}

function Rating({ label, quantity, text, onText }: RatingProps) {
  return (
    <Field label={label} className="w-24" error={ratingOf(text, quantity, label).problem}>
      {(ids) => (
        <input {...ids} className="input num" value={text} onChange={(event) => onText(event.target.value)} />
      )}
    </Field>
  );
}

function Refused({ plan, isSaid }: { readonly plan: DischargeRefusal; readonly isSaid: boolean }) {
  return (
    <p className={isSaid ? "font-semibold text-oxide" : "text-soft"} data-testid="resistor-refused">
      {isSaid ? "Not with this resistor: it would burn or flash over. " : "Say what the resistor bears. "}
      It must bear {formatText(plan.volts, "V")} and {formatText(plan.watts, "W", 2)} or more (judged: a
      wire-wound one bears five times its watts for five seconds).
    </p>
  );
}

/** The store whose size can be worked out from the plate. */
function storeOf(id: StoreId): UnmarkedStore {
  return id === "run" || id === "bus" ? id : "start";
}

const FROM: Readonly<Record<DischargePlan["startFrom"], string>> = {
  mark: "its own marked volts",
  lifted: "a running winding lifts it above its mark",
  supply: "no volts marked: taken from the supply",
};

/** How to drain one part: time, energy and steps, from its own marking and the resistor at hand. */
export function DrainPlan({ id, mark, shop, job }: DrainPlanProps) {
  const [resistorText, setResistor] = useDraft("drain-resistor", "15k");
  const [wattsText, setWatts] = useDraft("drain-resistor-watts", "");
  const [voltsText, setVolts] = useDraft("drain-resistor-volts", "");
  const [school, setSchool] = useState(shop.settings.dischargeSchool);
  const parsed = parseReading(resistorText, "resistance", "Resistor");
  const resistance = parsed.ok && parsed.value.reading.kind === "value" ? parsed.value.reading.value : 0;
  const fields = (
    <div className="flex flex-wrap gap-3">
      <Field
        label="Resistor"
        className="w-28"
        error={
          resistance > 0
            ? undefined
            : parsed.ok
              ? "Write ohms above zero, such as 15k."
              : parsed.issues[0]?.message
        }
      >
        {(ids) => (
          <input
            {...ids}
            className="input num"
            value={resistorText}
            onChange={(event) => setResistor(event.target.value)}
          />
        )}
      </Field>
      <Rating label="Watts" quantity="power" text={wattsText} onText={setWatts} />
      <Rating label="Volts" quantity="voltage" text={voltsText} onText={setVolts} />
    </div>
  );
  if (resistance <= 0) return fields;
  const supply = volts(supplyOf(job.plate?.volts ?? "", shop.settings.volts).volts);
  const power = job.plate?.power ? parsePower(job.plate.power) : undefined;
  const largest = largestCapacitance(storeOf(id), power?.ok ? power.value : undefined, supply, shop.limits);
  const marked = mark ? wholeCapacitance(mark) : undefined;
  const capacitance = marked !== undefined && marked > 0 ? marked : largest;
  if (capacitance === undefined)
    return (
      <div className="grid gap-2">
        {fields}
        <p data-testid="drain-no-size">
          Neither its marking nor the power on the plate is known, so no time can be said: clip the resistor
          across it and watch the volts fall to{" "}
          {formatText(limitOf(shop.limits, "safe-to-work-volts").value, "V")}.
        </p>
      </div>
    );
  const role = id === "start" || id === "run" ? id : "not-known";
  const part = {
    voltsAc: mark?.voltsAc,
    voltsDc: mark?.voltsDc,
    role,
    capacitance,
    dielectric: mark?.dielectric ?? "not-known",
    isOnBoard: id === "bus",
  } as const;
  const ratedWatts = ratingOf(wattsText, "power", "Watts").value;
  const ratedVolts = ratingOf(voltsText, "voltage", "Volts").value;
  const resistor = {
    resistance: ohms(resistance),
    watts: ratedWatts === undefined ? undefined : watts(ratedWatts),
    volts: ratedVolts === undefined ? undefined : volts(ratedVolts),
  };
  const plan = planDischarge(part, resistor, supply, shop.limits);
  if (plan.kind === "refer")
    return (
      <p role="alert" className="hatched border border-ink p-1.5">
        <span className="block bg-paper px-3 py-2 font-semibold">
          {plan.because === "marked" ? "Marked" : "Its motor may lift it to"} {formatText(plan.volts, "V")}{" "}
          AC, above {formatText(plan.limit, "V")}: do not touch it. Pass the machine to someone who works on
          high voltage.
        </span>
      </p>
    );
  if (plan.kind === "refuse")
    return (
      <div className="grid gap-2">
        {fields}
        <Refused plan={plan} isSaid={plan.because !== "rating-not-said"} />
      </div>
    );
  return (
    <div className="grid gap-y-2">
      {fields}
      <p className="text-lg" data-testid="drain-time">
        <b className="text-[28px]">{formatDuration(plan.time)}</b> down to {formatText(plan.safeVolts, "V")}
      </p>
      <p className="text-soft">
        From up to {formatText(plan.startVolts, "V")} ({FROM[plan.startFrom]}),{" "}
        {formatText(plan.energy, "J", 2)}
        {marked !== undefined && marked > 0
          ? ""
          : `, not marked: taken as ${formatText(capacitance, "F", 2)}, the largest that fits the plate`}
        .
      </p>
      <Choices<DischargeSchool>
        legend="Way of draining"
        name={`school-${id}`}
        choices={DISCHARGE_CHOICES}
        value={school}
        onChoose={setSchool}
      />
      {plan.time >= 1 ? <DrainTimer jobId={job.jobId} seconds={Math.ceil(plan.time)} /> : null}
      <ol className="list-decimal pl-6">
        {stepsOf(school, plan, formatText(resistance, "Ω")).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </div>
  );
}
