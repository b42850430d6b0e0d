import * as yup from "yup";
import type { QuantityId, Reading } from "../quantity/reading";
import { readingField } from "../quantity/reading.input";
import type { Result } from "../result";
import { finiteNumber, handsOn, strictObject } from "../validate";
import { type LeadPairs, leadPairsSchema } from "./pairs.input";

/** What every field of a tool says of itself. */
export interface FieldOptions {
  readonly label: string;
  /** What to do while it is empty, as the sheet says it. */
  readonly ask?: string;
  /** `main`: beside the verdict; otherwise with what the verdict stands on. */
  readonly place?: "main";
  /** Filled in from the job, where it is known there; a choice that the job settles is not asked. */
  readonly fill?: "part-marking" | "part-place" | "motor" | "hertz" | "supply" | "plate";
  /** Asked only while another field has one of these values. */
  readonly askedWhen?:
    | { readonly field: string; readonly is: readonly string[] }
    /** What is typed in it, such as a marking that names sections. */
    | { readonly field: string; readonly says: (text: string) => boolean };
  readonly placeholder?: string;
  /** Belongs to one reading only: cleared once that is kept. */
  readonly once?: boolean;
  readonly optional?: boolean;
}

interface Field<T> extends FieldOptions {
  readonly schema: yup.ISchema<T>;
}

/** One reading, typed in one go with its unit. */
export interface ReadingSpec<T> extends Field<T> {
  readonly kind: "reading";
  readonly quantity: QuantityId;
  /** The ohms of the test leads are in it: the sheet asks for them and they are taken off. */
  readonly hasLeads: boolean;
}

/** Readings one after the other, each with the seconds at which it was taken. */
export interface SeriesSpec<T> extends Field<T> {
  readonly kind: "series";
  readonly quantity: QuantityId;
  readonly hasLeads: boolean;
  readonly most: number;
}

/** A table of leads, and what was read between pairs of them. */
export interface PairsSpec<T> extends Field<T> {
  readonly kind: "pairs";
  readonly quantity: QuantityId;
  readonly hasLeads: boolean;
  readonly most: number;
}

export interface Choice {
  readonly value: string;
  readonly label: string;
}

export interface ChoiceSpec<T> extends Field<T> {
  readonly kind: "choice";
  readonly choices: readonly Choice[];
  readonly preset?: string;
}

/** A few of the same choices in order, such as the bands of a resistor. */
export interface SequenceSpec<T> extends Field<T> {
  readonly kind: "sequence";
  readonly choices: readonly Choice[];
  readonly least: number;
  readonly most: number;
}

/** Something printed, read by one of our parsers. */
export interface MarkingSpec<T> extends Field<T> {
  readonly kind: "marking";
  /** What was understood, as the line under the field. */
  understood(text: string): string | undefined;
  /** What it lets expect of the reading, SI: the meter's range is chosen by it until something is read. */
  expected(text: string): number | undefined;
}

/** The meter and range it was read with: limit of error as its sheet gives it. */
export interface MeterSpec<T> extends Field<T> {
  readonly kind: "meter";
  readonly quantity: QuantityId;
}

export type AnyField =
  | ReadingSpec<unknown>
  | SeriesSpec<unknown>
  | PairsSpec<unknown>
  | ChoiceSpec<unknown>
  | SequenceSpec<unknown>
  | MarkingSpec<unknown>
  | MeterSpec<unknown>;

export type Fields = Readonly<Record<string, AnyField>>;

export interface TimedReading {
  readonly at: Reading;
  readonly reading: Reading;
}

type Optional = { readonly optional: true };
interface LeadOption {
  readonly leads?: boolean;
}

function reading(
  quantity: QuantityId,
  options: FieldOptions & LeadOption & Optional,
): ReadingSpec<Reading | undefined>;
function reading(quantity: QuantityId, options: FieldOptions & LeadOption): ReadingSpec<Reading>;
function reading(
  quantity: QuantityId,
  { leads = false, ...options }: FieldOptions & LeadOption,
): ReadingSpec<Reading> | ReadingSpec<Reading | undefined> {
  const schema = readingField(quantity, options.label);
  return {
    ...options,
    kind: "reading" as const,
    quantity,
    hasLeads: leads,
    schema: options.optional ? schema : schema.required(),
  };
}

function series(
  quantity: QuantityId,
  { leads = false, most, ...options }: FieldOptions & LeadOption & { readonly most: number },
): SeriesSpec<readonly TimedReading[]> {
  const row = strictObject({
    at: readingField("time", "Seconds after switch-off").required(),
    reading: readingField(quantity, options.label).required(),
  }).required();
  return {
    ...options,
    kind: "series",
    quantity,
    hasLeads: leads,
    most,
    schema: yup.array(row).label(options.label).required().min(1).max(most),
  };
}

function pairs(
  quantity: QuantityId,
  { leads = false, most, ...options }: FieldOptions & LeadOption & { readonly most: number },
): PairsSpec<LeadPairs> {
  const schema = leadPairsSchema(quantity, options.label, most);
  return { ...options, kind: "pairs", quantity, hasLeads: leads, most, schema };
}

type ChoiceOptions<V extends string> = FieldOptions & { readonly preset?: V };

function choice<const V extends string>(
  choices: readonly { readonly value: V; readonly label: string }[],
  options: ChoiceOptions<V> & Optional,
): ChoiceSpec<V | undefined>;
function choice<const V extends string>(
  choices: readonly { readonly value: V; readonly label: string }[],
  options: ChoiceOptions<V>,
): ChoiceSpec<V>;
function choice<const V extends string>(
  choices: readonly { readonly value: V; readonly label: string }[],
  options: ChoiceOptions<V>,
) {
  const schema = yup
    .string()
    .label(options.label)
    .oneOf(choices.map(({ value }) => value));
  return {
    ...options,
    kind: "choice" as const,
    choices,
    schema: options.optional ? schema : schema.required(),
  };
}

function sequence<const V extends string>(
  choices: readonly { readonly value: V; readonly label: string }[],
  { least, most, ...options }: FieldOptions & { readonly least: number; readonly most: number },
): SequenceSpec<readonly V[]> {
  const one = yup
    .string()
    .label(options.label)
    .oneOf(choices.map(({ value }) => value))
    .required();
  return {
    ...options,
    kind: "sequence",
    choices,
    least,
    most,
    schema: yup.array(one).label(options.label).required().min(least).max(most),
  };
}

interface MarkingOptions<T> extends FieldOptions {
  readonly example: string;
  understood(marking: T): string;
  expected?(marking: T): number | undefined;
}

function marking<T extends object>(
  parse: (text: string) => Result<T>,
  options: MarkingOptions<T> & Optional,
): MarkingSpec<T | undefined>;
function marking<T extends object>(
  parse: (text: string) => Result<T>,
  options: MarkingOptions<T>,
): MarkingSpec<T>;
function marking<T extends object>(
  parse: (text: string) => Result<T>,
  options: MarkingOptions<T>,
): MarkingSpec<T> | MarkingSpec<T | undefined> {
  const { example, understood, expected, ...rest } = options;
  const read = (text: string): T | undefined => {
    const parsed = text.trim() === "" ? undefined : parse(text);
    return parsed?.ok ? parsed.value : undefined;
  };
  const schema = handsOn<T>("marking", options.label, (given) =>
    parse(typeof given === "string" ? given : ""),
  ).meta({ marking: options.label, example });
  return {
    ...rest,
    kind: "marking" as const,
    placeholder: example,
    schema: options.optional ? schema : schema.required(),
    understood: (text) => {
      const found = read(text);
      return found && understood(found);
    },
    expected: (text) => {
      const found = read(text);
      return found && expected?.(found);
    },
  };
}

const meterFields = (quantity: QuantityId) =>
  strictObject({
    percent: finiteNumber().label("Meter accuracy in percent of reading").required().min(0).max(50),
    counts: finiteNumber().label("Meter accuracy in counts").required().min(0).max(1000),
    resolution: readingField(quantity, "Last digit of the meter", true).required(),
    mode: yup
      .string()
      .label("How the meter measures")
      .oneOf(["ramp", "series"] as const),
  })
    .label("Meter")
    .test("accuracy", "", (meter, context) => {
      // No meter is surer than half of its last digit.
      if (meter === undefined || meter === null || meter.percent > 0 || meter.counts > 0) return true;
      return context.createError({
        message: `Meter accuracy of ${meter.percent} % and ${meter.counts} counts is more than any meter has: its sheet says a percentage, counts of the last digit, or both.`,
        params: { code: "meter/too-good" },
      });
    });

/** A meter's limit of error, as it was said. */
export type MeterSaid = yup.InferType<ReturnType<typeof meterFields>>;

function meter(quantity: QuantityId, options: FieldOptions & Optional): MeterSpec<MeterSaid | undefined>;
function meter(quantity: QuantityId, options: FieldOptions): MeterSpec<MeterSaid>;
function meter(
  quantity: QuantityId,
  options: FieldOptions,
): MeterSpec<MeterSaid> | MeterSpec<MeterSaid | undefined> {
  const schema = meterFields(quantity);
  return {
    ask: `Say what the ${options.label.toLowerCase()} may be off by, from its sheet: percent, counts, last digit.`,
    ...options,
    kind: "meter" as const,
    quantity,
    schema: options.optional ? schema.optional().default(undefined) : schema.required(),
  };
}

/** The kinds of field that a tool's declaration is made of. */
export const field = { reading, series, pairs, choice, sequence, marking, meter };

/** What `analyse` gets: each field's value as its schema hands it on. */
export type InputOf<F extends Fields> = {
  readonly [K in keyof F]: F[K]["schema"] extends yup.ISchema<infer T> ? T : never;
};

/** The schema of a tool's whole input, and whether it asks for the ohms of the test leads. */
export function inputSchema<F extends Fields>(
  fields: F,
): { readonly schema: yup.Schema<InputOf<F>>; readonly hasLeads: boolean } {
  const hasLeads = Object.values(fields).some((one) => "hasLeads" in one && one.hasLeads);
  const shape = Object.fromEntries(Object.entries(fields).map(([id, one]) => [id, one.schema]));
  const leads = hasLeads ? { leads: readingField("resistance", "Test leads, shorted together") } : {};
  return { schema: strictObject({ ...shape, ...leads }) as unknown as yup.Schema<InputOf<F>>, hasLeads };
}
