import { parseCapacitorMark } from "@/core/markings/capacitor";
import { formatText } from "@/core/quantity/format";
import { parseReading } from "@/core/quantity/parse-reading";
import type { Shop } from "@/core/shop/shop";
import { Choices } from "../../fields/Choices";
import { Field } from "../../fields/Field";
import type { CapacitorDraft, CapacitorSheetModel } from "./use-capacitor-sheet";

interface FieldsProps {
  readonly model: CapacitorSheetModel;
  readonly shop: Shop;
}

const BLEEDS: readonly {
  readonly value: Exclude<CapacitorDraft["bleedResistor"], "">;
  readonly label: string;
}[] = [
  { value: "none", label: "Has none" },
  { value: "lifted", label: "Lifted" },
  { value: "across", label: "Still across" },
];

const ROLES = [
  { value: "start", label: "Start" },
  { value: "run", label: "Run" },
] as const;

interface TextProps extends Pick<FieldsProps, "model"> {
  readonly name: "bleedResistance" | "temperature" | "dcResistance" | "percent" | "counts" | "resolution";
  readonly label: string;
  readonly placeholder: string;
}

function Text({ model, name, label, placeholder }: TextProps) {
  return (
    <Field label={label} error={model.problemOf(name)}>
      {(ids) => (
        <input
          {...ids}
          className="input num"
          autoComplete="off"
          placeholder={placeholder}
          value={model.draft[name]}
          onChange={(event) => model.set({ [name]: event.target.value })}
        />
      )}
    </Field>
  );
}

/** A capacitance as typed in Set-up, printed with its unit. */
function asRead(typed: string): string {
  const parsed = parseReading(typed, "capacitance");
  const reading = parsed.ok ? parsed.value.reading : undefined;
  return reading?.kind === "value" ? formatText(reading.value, "F") : typed;
}

function Mark({ model }: Pick<FieldsProps, "model">) {
  const parsed = model.draft.mark.trim() === "" ? undefined : parseCapacitorMark(model.draft.mark);
  const understood = parsed?.ok
    ? parsed.value.understood.map(({ meaning }) => meaning).join(" · ")
    : "As printed: range or value with tolerance, volts.";
  return (
    <Field label="Marking" hint={understood} error={model.problemOf("mark")} className="sm:col-span-2">
      {(ids) => (
        <input
          {...ids}
          className="input num text-xl"
          data-testid="mark"
          autoComplete="off"
          placeholder="145-174 μF 250 VAC"
          value={model.draft.mark}
          onChange={(event) => model.set({ mark: event.target.value })}
        />
      )}
    </Field>
  );
}

function Meter({ model, shop }: FieldsProps) {
  const able = shop.settings.instruments.filter(({ quantity }) => quantity === "capacitance");
  return (
    <Field
      label="Meter"
      className="sm:col-span-2"
      hint={
        model.meter
          ? `±${model.meter.percent} % and ${model.meter.counts} counts of ${asRead(model.meter.resolution)}`
          : undefined
      }
    >
      {(ids) => (
        <select
          {...ids}
          className="select"
          value={model.meter?.id ?? "other"}
          onChange={(event) => model.set({ meter: event.target.value })}
        >
          {able.map(({ id, label, upTo }) => (
            <option key={id} value={id}>
              {label}, to {asRead(upTo)}
            </option>
          ))}
          <option value="other">another meter</option>
        </select>
      )}
    </Field>
  );
}

/** How the bleed resistor stands: it decides what a reading proves. */
export function BleedChoice({ model }: Pick<FieldsProps, "model">) {
  const { draft } = model;
  return (
    <div className="mb-3">
      <Choices
        legend="Bleed resistor"
        name="bleed"
        choices={BLEEDS}
        value={draft.bleedResistor === "" ? undefined : draft.bleedResistor}
        onChoose={(bleedResistor) => model.set({ bleedResistor })}
      />
    </div>
  );
}

/** All that a verdict stands on beside the reading itself. */
export function CapacitorFields({ model, shop }: FieldsProps) {
  const { draft } = model;
  const parsed = parseCapacitorMark(draft.mark);
  const asksRole =
    model.role === undefined && (draft.role !== "" || !parsed.ok || parsed.value.role === "not-known");
  return (
    <div className="grid content-start gap-x-5 gap-y-3 sm:grid-cols-2">
      <Mark model={model} />
      <Meter model={model} shop={shop} />
      {asksRole ? (
        <Choices
          legend="Start or run"
          name="role"
          choices={ROLES}
          value={draft.role === "" ? undefined : draft.role}
          onChoose={(role) => model.set({ role })}
        />
      ) : null}
      {draft.bleedResistor === "across" ? (
        <Text model={model} name="bleedResistance" label="Its ohms, if marked" placeholder="15k" />
      ) : null}
      {model.meter ? null : (
        <>
          <Text model={model} name="percent" label="Percent of reading" placeholder="2.5" />
          <Text model={model} name="counts" label="Counts" placeholder="5" />
          <Text model={model} name="resolution" label="Last digit" placeholder="0.1u" />
        </>
      )}
      <Text model={model} name="temperature" label="Temperature" placeholder="14 °C" />
      <Text model={model} name="dcResistance" label="Direct ohms, settled" placeholder="OL" />
    </div>
  );
}
