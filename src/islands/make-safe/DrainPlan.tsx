import { useState } from "react";
import { limitOf } from "@/core/knowledge/resolve-limits";
import type { CapacitorMark } from "@/core/markings/capacitor";
import { formatDuration, formatText } from "@/core/quantity/format";
import { parseReading } from "@/core/quantity/parse-reading";
import { farads, ohms, volts } from "@/core/quantity/units";
import { type DischargePlan, type DischargeSchool, planDischarge } from "@/core/safety/discharge";
import type { Shop } from "@/core/shop/shop";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";
import { DISCHARGE_CHOICES } from "../words/schools";

/** What is taken for a part without a readable marking: larger than most, so that the time is long enough. */

function stepsOf(school: DischargeSchool, plan: DischargePlan, resistor: string): readonly string[] {
  const through = `Clip ${resistor} across it for ${formatDuration(plan.time)} or more, insulated leads.`;
  const again = `Read again after a minute: up to ${formatText(plan.rebound, "V", 2)} can creep back, or leave the clip on.`;
  if (school === "resistor-only") return ["Read the volts.", through, again];
  if (school === "insulated-short" && plan.mayShortFirst)
    return ["Read the volts.", "Short it with an insulated tool, eyes away.", again];
  const tooMuch =
    school === "insulated-short"
      ? [`${formatText(plan.energy, "J", 2)} is too much to short at once: resistor first.`]
      : [];
  return [
    "Read the volts.",
    ...tooMuch,
    through,
    "Then short it with an insulated tool, as the last assurance.",
    again,
  ];
}

interface DrainPlanProps {
  /** Which part it is for: keeps the choices of two parts apart. */
  readonly name: string;
  readonly mark: CapacitorMark | undefined;
  readonly shop: Shop;
  readonly jobId: number;
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

/** How to drain one part: time, energy and steps, from its own marking and the resistor at hand. */
export function DrainPlan({ name, mark, shop, jobId }: DrainPlanProps) {
  const [resistorText, setResistor] = useDraft("drain-resistor", "15k");
  const [school, setSchool] = useState(shop.settings.dischargeSchool);
  const parsed = parseReading(resistorText, "resistance", "Resistor");
  const resistance = parsed.ok && parsed.value.reading.kind === "value" ? parsed.value.reading.value : 0;
  const field = (
    <Field
      label="Resistor"
      className="w-36"
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
  );
  if (resistance <= 0) return field;
  const unmarked = limitOf(shop.limits, "unmarked-capacitor-farads").value;
  const capacitance = mark
    ? farads((mark.band?.max ?? mark.nominal ?? 0) + (mark.second ?? 0))
    : farads(unmarked);
  const part = { voltsAc: mark?.voltsAc, capacitance, dielectric: mark?.dielectric ?? "not-known" } as const;
  const plan = planDischarge(part, ohms(resistance), volts(shop.settings.volts), shop.limits);
  if (plan.kind === "refer")
    return (
      <p role="alert" className="hatched border border-ink p-1.5">
        <span className="block bg-paper px-3 py-2 font-semibold">
          Marked {formatText(plan.markedVolts, "V")} AC, above {formatText(plan.limit, "V")}: do not touch it.
          Pass the machine to someone who works on high voltage.
        </span>
      </p>
    );
  return (
    <div className="grid gap-x-6 gap-y-2 sm:grid-cols-[144px_minmax(0,1fr)]">
      {field}
      <div>
        <p className="text-lg" data-testid="drain-time">
          <b className="text-[28px]">{formatDuration(plan.time)}</b> down to {formatText(plan.safeVolts, "V")}
        </p>
        <p className="text-soft">
          From up to {formatText(plan.startVolts, "V")} (
          {plan.startFrom === "mark" ? "its own marked volts" : "no volts marked: taken from the supply"}),{" "}
          {formatText(plan.energy, "J", 2)}
          {mark ? "" : `, not marked: taken as ${formatText(unmarked, "F")}`}. The resistor must bear{" "}
          {formatText(plan.startVolts, "V")} and {formatText(plan.peakPower, "W", 2)} at first.
        </p>
      </div>
      <div className="sm:col-span-2">
        <Choices<DischargeSchool>
          legend="Way of draining"
          name={`school-${name}`}
          choices={DISCHARGE_CHOICES}
          value={school}
          onChoose={setSchool}
        />
      </div>
      {plan.time >= 1 ? <DrainTimer jobId={jobId} seconds={Math.ceil(plan.time)} /> : null}
      <ol className="list-decimal pl-6 sm:col-span-2">
        {stepsOf(school, plan, formatText(resistance, "Ω")).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </div>
  );
}
