import { parseReading } from "@/core/quantity/parse-reading";
import type { QuantityId } from "@/core/quantity/reading";
import type { Instrument } from "@/core/shop/settings";
import type { AnyField, Fields, MeterSpec } from "@/core/tools/field.input";
import { LEADS_FIELD } from "@/core/tools/leads";
import { leadsOf, pairsOf, rowsOf, type ToolDraft, textOf, wordsOf } from "@/drawing/typed";
import type { Offer } from "./offers";

/** What a job knows of the part on the bench. */
export interface Given {
  readonly marking?: string | undefined;
  readonly place?: string | undefined;
  /** Its kind of motor, where that is settled. */
  readonly motor?: string | undefined;
  /** Its nameplate in one line, where it was taken down. */
  readonly plate?: string | undefined;
  /** Volts of its supply, where its plate or the shop says them. */
  readonly supply?: string | undefined;
  /** What was read in the job before. */
  readonly offers?: readonly Offer[] | undefined;
  /** Usual frequency of its mains: a choice begins with it. */
  readonly hertz?: string | undefined;
}

/** What the job settles of a field, where it settles anything. */
function settledBy({ fill }: AnyField, given: Given): string | undefined {
  if (fill === "part-place") return given.place;
  return fill === "motor" ? given.motor : undefined;
}

/** The value of a choice: what the job settles, what was tapped, or what is usual. */
export function choiceOf(draft: ToolDraft, id: string, field: AnyField, given: Given): string {
  if (field.kind !== "choice") return "";
  const usual = (field.fill === "hertz" ? given.hertz : undefined) ?? field.preset ?? "";
  return settledBy(field, given) ?? (textOf(draft, id) || usual);
}

export function isAsked(field: AnyField, draft: ToolDraft, fields: Fields, given: Given): boolean {
  if (settledBy(field, given) !== undefined) return false;
  if (!field.askedWhen) return true;
  if ("says" in field.askedWhen)
    return field.askedWhen.says(textOf(draft, field.askedWhen.field) || (given.marking ?? ""));
  const other = fields[field.askedWhen.field];
  const value = other ? choiceOf(draft, field.askedWhen.field, other, given) : "";
  return field.askedWhen.is.includes(value);
}

function siOf(text: string, quantity: QuantityId): number | undefined {
  const parsed = text.trim() === "" ? undefined : parseReading(text, quantity);
  return parsed?.ok && parsed.value.reading.kind === "value" ? parsed.value.reading.value : undefined;
}

/** What the meter is about to show, SI: the reading typed, or what a marking lets expect. */
function wantedOf(draft: ToolDraft, fields: Fields, quantity: QuantityId): number | undefined {
  for (const [id, field] of Object.entries(fields)) {
    if (field.kind === "reading" && field.quantity === quantity && field.place === "main") {
      const value = siOf(textOf(draft, id), quantity);
      if (value !== undefined) return value;
    }
    if (field.kind === "series" && field.quantity === quantity) {
      const values = rowsOf(draft, id).flatMap(({ reading }) => siOf(reading, quantity) ?? []);
      if (values.length > 0) return Math.max(...values);
    }
    if (field.kind === "pairs" && field.quantity === quantity) {
      const values = pairsOf(draft, id).flatMap(({ reading }) => siOf(reading, quantity) ?? []);
      if (values.length > 0) return Math.max(...values);
    }
  }
  for (const [id, field] of Object.entries(fields)) {
    const expected = field.kind === "marking" ? field.expected(textOf(draft, id)) : undefined;
    if (expected !== undefined) return expected;
  }
  return undefined;
}

/** The narrowest range of the shop's meters that holds the reading; none where another meter was said, or none reaches. */
export function meterFor(
  draft: ToolDraft,
  id: string,
  fields: Fields,
  { quantity }: Pick<MeterSpec<unknown>, "quantity">,
  instruments: readonly Instrument[],
): Instrument | undefined {
  const able = instruments.filter((one) => one.quantity === quantity);
  const said = textOf(draft, id);
  const chosen = able.find((one) => one.id === said);
  if (chosen || said === "other") return chosen;
  const wanted = wantedOf(draft, fields, quantity) ?? 0;
  const rising = [...able].sort(
    (one, other) => (siOf(one.upTo, quantity) ?? 0) - (siOf(other.upTo, quantity) ?? 0),
  );
  return rising.find(({ upTo }) => (siOf(upTo, quantity) ?? 0) >= wanted);
}

const METER_PARTS = ["percent", "counts", "resolution"] as const;

function meterInput(
  draft: ToolDraft,
  id: string,
  fields: Fields,
  field: MeterSpec<unknown>,
  instruments: readonly Instrument[],
): unknown {
  const meter = meterFor(draft, id, fields, field, instruments);
  if (meter) {
    const { percent, counts, resolution, mode } = meter;
    return { percent, counts, resolution, ...(field.quantity === "capacitance" ? { mode } : {}) };
  }
  const [percent = "", counts = "", resolution = ""] = METER_PARTS.map((part) =>
    textOf(draft, `${id}.${part}`),
  );
  if (`${percent}${counts}${resolution}` === "") return undefined;
  const figure = (text: string): number | undefined => (text.trim() === "" ? undefined : Number(text));
  return { percent: figure(percent), counts: figure(counts), resolution };
}

function rawOf(
  draft: ToolDraft,
  id: string,
  fields: Fields,
  given: Given,
  instruments: readonly Instrument[],
): unknown {
  const field = fields[id];
  switch (field?.kind) {
    case "choice":
      return choiceOf(draft, id, field, given) || undefined;
    case "sequence": {
      const words = wordsOf(draft, id);
      return words.length > 0 ? words : undefined;
    }
    case "series": {
      const rows = rowsOf(draft, id).filter(({ at, reading }) => `${at}${reading}`.trim() !== "");
      return rows.length > 0 ? rows : undefined;
    }
    case "pairs": {
      const leads = leadsOf(draft, id);
      const pairs = pairsOf(draft, id).filter(
        ({ a, b, reading }) => reading.trim() !== "" && leads.includes(a) && leads.includes(b),
      );
      return pairs.length > 0 ? { leads, pairs } : undefined;
    }
    case "meter":
      return meterInput(draft, id, fields, field, instruments);
    case "reading":
    case "marking": {
      const text = textOf(draft, id);
      return text.trim() === "" ? undefined : text;
    }
    default:
      return undefined;
  }
}

/** The draft as the tool's raw input: what is empty or not asked is left out. */
export function inputOf(
  draft: ToolDraft,
  fields: Fields,
  given: Given,
  instruments: readonly Instrument[],
): Record<string, unknown> {
  const settled = (field: AnyField): boolean => settledBy(field, given) !== undefined;
  const values = Object.entries(fields).map(([id, field]) => [
    id,
    settled(field) || isAsked(field, draft, fields, given)
      ? rawOf(draft, id, fields, given, instruments)
      : undefined,
  ]);
  const leads = textOf(draft, LEADS_FIELD);
  return Object.fromEntries(
    [...values, [LEADS_FIELD, leads.trim() === "" ? undefined : leads]].filter(
      ([, value]) => value !== undefined,
    ),
  );
}
