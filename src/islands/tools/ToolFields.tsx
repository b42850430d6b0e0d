import type { ComponentProps } from "react";
import { formatText } from "@/core/quantity/format";
import { parseReading } from "@/core/quantity/parse-reading";
import type { QuantityId } from "@/core/quantity/reading";
import type { Shop } from "@/core/shop/shop";
import type { AnyField, ChoiceSpec, MarkingSpec, MeterSpec, ReadingSpec } from "@/core/tools/field.input";
import { LEADS_FIELD } from "@/core/tools/leads";
import { textOf } from "@/drawing/typed";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { choiceOf, isAsked, meterFor } from "./draft";
import { SequenceField, SeriesField } from "./ListFields";
import { offersFor } from "./offers";
import { PairsField } from "./PairsField";
import type { ToolSheetModel } from "./use-tool-sheet";

interface ModelProps {
  readonly model: ToolSheetModel;
}
interface FieldProps<F> extends ModelProps {
  readonly id: string;
  readonly field: F;
}

interface TypedProps extends ModelProps, Omit<ComponentProps<"input">, "placeholder"> {
  readonly fieldId: string;
  readonly placeholder: string | undefined;
  readonly isLarge?: boolean;
}

function Typed({ model, fieldId, isLarge = false, ...rest }: TypedProps) {
  return (
    <input
      {...rest}
      className={isLarge ? "input num text-xl" : "input num"}
      data-testid={fieldId}
      autoComplete="off"
      value={textOf(model.draft, fieldId)}
      onChange={(event) => model.set({ [fieldId]: event.target.value })}
    />
  );
}

type TextSpec = Pick<ReadingSpec<unknown>, "label" | "placeholder"> &
  Partial<Pick<ReadingSpec<unknown>, "quantity">>;

/** A value typed; what was read of the same unit in this job is offered as it is typed. */
function TextField({ model, id, field }: FieldProps<TextSpec>) {
  const offers = field.quantity === undefined ? [] : offersFor(model.given.offers, field.quantity);
  const list = `${model.tool.id}-${id}-offers`;
  return (
    <Field label={field.label} error={model.problemOf(id)}>
      {(ids) => (
        <>
          <Typed
            {...ids}
            list={offers.length > 0 ? list : undefined}
            model={model}
            fieldId={id}
            placeholder={field.placeholder}
          />
          {offers.length > 0 ? (
            <datalist id={list}>
              {offers.map(({ text, told }) => (
                <option key={`${told} ${text}`} value={text}>
                  {told}
                </option>
              ))}
            </datalist>
          ) : null}
        </>
      )}
    </Field>
  );
}

function MarkingField({ model, id, field }: FieldProps<MarkingSpec<unknown>>) {
  const typed = textOf(model.draft, id);
  return (
    <Field
      label={field.label}
      hint={field.understood(typed) ?? `Such as ${field.placeholder ?? ""}`}
      error={model.problemOf(id)}
      className="sm:col-span-2"
    >
      {(ids) => <Typed {...ids} model={model} fieldId={id} placeholder={field.placeholder} isLarge />}
    </Field>
  );
}

/** More than these stand in a list to open. */
const MOST_CHIPS = 7;

/** One of a few; what the job settles is not asked. */
export function ChoiceField({ model, id, field }: FieldProps<ChoiceSpec<unknown>>) {
  const value = choiceOf(model.draft, id, field, model.given);
  if (field.choices.length > MOST_CHIPS)
    return (
      <Field label={field.label}>
        {(ids) => (
          <select
            {...ids}
            className="select"
            value={value}
            onChange={(event) => model.set({ [id]: event.target.value })}
          >
            {field.choices.map((one) => (
              <option key={one.value} value={one.value}>
                {one.label}
              </option>
            ))}
          </select>
        )}
      </Field>
    );
  return (
    <Choices
      legend={field.label}
      name={`${model.tool.id}-${id}`}
      choices={field.choices}
      value={value === "" ? undefined : value}
      onChoose={(chosen) => model.set({ [id]: chosen })}
    />
  );
}

/** A range as typed in Set-up, printed with its unit. */
function asRead(typed: string, quantity: QuantityId): string {
  const parsed = parseReading(typed, quantity);
  const reading = parsed.ok ? parsed.value.reading : undefined;
  return reading?.kind === "value" ? formatText(reading.value, reading.unit) : typed;
}

const OTHER_METER = [
  { part: "percent", label: "Percent of reading", placeholder: "2.5" },
  { part: "counts", label: "Counts", placeholder: "5" },
  { part: "resolution", label: "Last digit", placeholder: "0.1" },
] as const;

function MeterField({ model, id, field, shop }: FieldProps<MeterSpec<unknown>> & { readonly shop: Shop }) {
  const { instruments } = shop.settings;
  const able = instruments.filter(({ quantity }) => quantity === field.quantity);
  const meter = meterFor(model.draft, id, model.tool.fields, field, instruments);
  return (
    <>
      <Field
        label={field.label}
        className="sm:col-span-2"
        hint={
          meter
            ? `±${meter.percent} % and ${meter.counts} counts of ${asRead(meter.resolution, field.quantity)}`
            : undefined
        }
      >
        {(ids) => (
          <select
            {...ids}
            className="select"
            value={meter?.id ?? "other"}
            onChange={(event) => model.set({ [id]: event.target.value })}
          >
            {able.map((one) => (
              <option key={one.id} value={one.id}>
                {one.label}, to {asRead(one.upTo, field.quantity)}
              </option>
            ))}
            <option value="other">another meter</option>
          </select>
        )}
      </Field>
      {meter
        ? null
        : OTHER_METER.map(({ part, ...spec }) => (
            <TextField key={part} model={model} id={`${id}.${part}`} field={spec} />
          ))}
    </>
  );
}

function OneField({ model, shop, id, field }: FieldProps<AnyField> & { readonly shop: Shop }) {
  switch (field.kind) {
    case "reading":
      return <TextField model={model} id={id} field={field} />;
    case "choice":
      return <ChoiceField model={model} id={id} field={field} />;
    case "marking":
      return <MarkingField model={model} id={id} field={field} />;
    case "meter":
      return <MeterField model={model} id={id} field={field} shop={shop} />;
    case "series":
      return <SeriesField model={model} id={id} field={field} />;
    case "pairs":
      return <PairsField model={model} id={id} field={field} hasMeter={shop.hasMeter} />;
    case "sequence":
      return <SequenceField model={model} id={id} field={field} />;
  }
}

/** Fields beside the reading: all that a verdict stands on. */
export function SideFields({ model, shop }: ModelProps & { readonly shop: Shop }) {
  const { fields } = model.tool;
  const asked = Object.entries(fields).filter(
    ([, field]) => field.place !== "main" && isAsked(field, model.draft, fields, model.given),
  );
  const hasLeads = Object.values(fields).some((field) => "hasLeads" in field && field.hasLeads);
  return (
    <div className="grid content-start gap-x-5 gap-y-3 sm:grid-cols-2">
      {asked.map(([id, field]) => (
        <OneField key={id} model={model} shop={shop} id={id} field={field} />
      ))}
      {hasLeads ? (
        <TextField
          model={model}
          id={LEADS_FIELD}
          field={{ label: "Test leads, shorted together", placeholder: "0.2" }}
        />
      ) : null}
    </div>
  );
}

/** Fields that the verdict is about, but for the reading itself. */
export function MainFields({ model, shop }: ModelProps & { readonly shop: Shop }) {
  const { fields } = model.tool;
  const asked = Object.entries(fields).filter(
    ([id, field]) =>
      field.place === "main" && id !== model.reading?.id && isAsked(field, model.draft, fields, model.given),
  );
  return asked.map(([id, field]) => (
    <div key={id} className="mb-3">
      <OneField model={model} shop={shop} id={id} field={field} />
    </div>
  ));
}

/** Where only the reading is asked for: what it cannot be judged without, and the job does not know. */
export function AskedFields({ model, shop }: ModelProps & { readonly shop: Shop }) {
  const { fields } = model.tool;
  const asked = Object.entries(fields).filter(
    ([, field]) =>
      field.kind === "marking" && (field.fill !== "part-marking" || model.given.marking === undefined),
  );
  return asked.map(([id, field]) => (
    <div key={id} className="mb-3">
      <OneField model={model} shop={shop} id={id} field={field} />
    </div>
  ));
}
