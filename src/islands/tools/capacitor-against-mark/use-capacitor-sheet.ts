import { parseCapacitorMark } from "@/core/markings/capacitor";
import { parseReading } from "@/core/quantity/parse-reading";
import type { Issue } from "@/core/result";
import type { Instrument } from "@/core/shop/settings";
import type { Shop } from "@/core/shop/shop";
import { capacitorAgainstMark } from "@/core/tools/capacitor/capacitor-against-mark";
import type { Finding } from "@/core/tools/tool";
import { type ReadingFieldModel, useReadingField } from "../../fields/use-reading-field";
import { useDraft } from "../../state/draft";

/** What is typed on the sheet, as text. */
export interface CapacitorDraft {
  readonly mark: string;
  readonly reading: string;
  /** Id of an instrument of the shop, or `other`. */
  readonly meter: string;
  readonly percent: string;
  readonly counts: string;
  readonly resolution: string;
  readonly bleedResistor: "" | "none" | "lifted" | "across";
  readonly bleedResistance: string;
  readonly temperature: string;
  readonly dcResistance: string;
  readonly role: "" | "start" | "run";
}

const EMPTY: CapacitorDraft = {
  mark: "",
  reading: "",
  meter: "",
  percent: "",
  counts: "",
  resolution: "",
  bleedResistor: "",
  bleedResistance: "",
  temperature: "",
  dcResistance: "",
  role: "",
};

function farads(text: string): number | undefined {
  const parsed = parseReading(text, "capacitance");
  return parsed.ok && parsed.value.reading.kind === "value" ? parsed.value.reading.value : undefined;
}

/** The narrowest range of the shop's meters that holds the reading, or else the marking. */
export function meterFor(draft: CapacitorDraft, instruments: readonly Instrument[]): Instrument | undefined {
  const able = instruments.filter(({ quantity }) => quantity === "capacitance");
  const chosen = able.find(({ id }) => id === draft.meter);
  if (chosen || draft.meter === "other") return chosen;
  const mark = parseCapacitorMark(draft.mark);
  const wanted =
    farads(draft.reading) ?? (mark.ok ? (mark.value.band?.max ?? mark.value.nominal) : undefined) ?? 0;
  const rising = [...able].sort((one, other) => (farads(one.upTo) ?? 0) - (farads(other.upTo) ?? 0));
  return rising.find(({ upTo }) => (farads(upTo) ?? 0) >= wanted) ?? rising.at(-1);
}

const optional = (key: string, text: string): Record<string, string> =>
  text.trim() === "" ? {} : { [key]: text };

/** The draft as the tool's raw input. */
export function inputOf(
  draft: CapacitorDraft,
  role: "start" | "run" | undefined,
  meter: Instrument | undefined,
): Record<string, unknown> {
  const accuracy = meter
    ? { percent: meter.percent, counts: meter.counts, resolution: meter.resolution, mode: meter.mode }
    : {
        percent: Number(draft.percent || Number.NaN),
        counts: Number(draft.counts || Number.NaN),
        resolution: draft.resolution,
      };
  const given = role ?? (draft.role === "" ? undefined : draft.role);
  return {
    mark: draft.mark,
    reading: draft.reading,
    meter: accuracy,
    ...(draft.bleedResistor === "" ? {} : { bleedResistor: draft.bleedResistor }),
    ...(given ? { role: given } : {}),
    ...optional("bleedResistance", draft.bleedResistor === "across" ? draft.bleedResistance : ""),
    ...optional("temperature", draft.temperature),
    ...optional("dcResistance", draft.dcResistance),
  };
}

export interface CapacitorSheetModel {
  readonly draft: CapacitorDraft;
  readonly meter: Instrument | undefined;
  readonly role: "start" | "run" | undefined;
  readonly input: Record<string, unknown>;
  readonly finding: Finding | undefined;
  readonly reading: ReadingFieldModel;
  /** What is wrong with a field that something was typed into. */
  problemOf(field: keyof CapacitorDraft): string | undefined;
  /** The first thing that still keeps the reading from a verdict. */
  readonly missing: string | undefined;
  set(change: Partial<CapacitorDraft>): void;
  /** Clears the reading, leaves marking and meter for the next one. */
  next(): void;
}

/** What to do about a field that is still empty. */
const STILL_TO_DO: Readonly<Record<string, string>> = {
  mark: "Type what is printed on it.",
  bleedResistor: "Say how its bleed resistor stands: none, lifted, or still across.",
};

function firstIssue(issues: readonly Issue[], path: string): string | undefined {
  return issues.find((one) => one.path === path || one.path.startsWith(`${path}.`))?.message;
}

function missingOf(issues: readonly Issue[], draft: CapacitorDraft): string | undefined {
  const first = issues[0];
  if (!first) return undefined;
  const isEmpty = draft[first.path as keyof CapacitorDraft] === "";
  return (isEmpty ? STILL_TO_DO[first.path] : undefined) ?? first.message;
}

interface SheetContext {
  readonly draftKey: string;
  readonly mark: string;
  readonly role: "start" | "run" | undefined;
  readonly shop: Shop;
}

/** State of the capacitor sheet: the same in a job and on its own. No markup. */
export function useCapacitorSheet({ draftKey, mark, role, shop }: SheetContext): CapacitorSheetModel {
  const [kept, setDraft] = useDraft<CapacitorDraft>(`capacitor:${draftKey}`, { ...EMPTY, mark });
  const draft = kept.mark === "" && mark !== "" ? { ...kept, mark } : kept;
  const set = (change: Partial<CapacitorDraft>): void => setDraft({ ...draft, ...change });
  const meter = meterFor(draft, shop.settings.instruments);
  const reading = useReadingField({
    quantity: "capacitance",
    label: "Capacitance",
    text: draft.reading,
    onText: (text) => set({ reading: text }),
  });
  const input = inputOf(draft, role, meter);
  const result = capacitorAgainstMark.run(input, shop);
  const issues = result.ok ? [] : result.issues;
  const typed = (field: keyof CapacitorDraft): boolean => draft[field].trim() !== "";
  return {
    draft,
    meter,
    role,
    input,
    finding: result.ok ? result.value : undefined,
    reading,
    problemOf: (field) => (typed(field) ? firstIssue(issues, field) : undefined),
    missing: missingOf(issues, draft),
    set,
    next: () => setDraft({ ...draft, reading: "", dcResistance: "" }),
  };
}
