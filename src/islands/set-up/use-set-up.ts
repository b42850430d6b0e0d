import { useState } from "react";
import { minorDigits } from "@/core/quantity/format";
import { parseMoney } from "@/core/quantity/money";
import type { Issue } from "@/core/result";
import type { Instrument, Settings } from "@/core/shop/settings";
import { settingsSchema } from "@/core/shop/settings.input";
import { parseWith } from "@/core/validate";
import type { StoredSettings } from "@/wire/shop";
import { request } from "../state/api";
import { useDraft } from "../state/draft";

/** Settings with the numbers as they are typed. */
export interface SetUpDraft
  extends Omit<
    Settings,
    "volts" | "hertz" | "labourRateMinor" | "partsMarkupPercent" | "taxPercent" | "instruments"
  > {
  readonly volts: string;
  readonly hertz: string;
  readonly labourRate: string;
  readonly partsMarkupPercent: string;
  readonly taxPercent: string;
  readonly instruments: readonly InstrumentDraft[];
}

export type InstrumentDraft = Omit<Instrument, "percent" | "counts"> & {
  readonly percent: string;
  readonly counts: string;
};

function draftOf(settings: Settings): SetUpDraft {
  const { volts, hertz, labourRateMinor, partsMarkupPercent, taxPercent, instruments, ...rest } = settings;
  const digits = minorDigits(settings.currency);
  return {
    ...rest,
    volts: String(volts),
    hertz: String(hertz),
    partsMarkupPercent: String(partsMarkupPercent),
    taxPercent: String(taxPercent),
    labourRate: (labourRateMinor / 10 ** digits).toFixed(digits),
    instruments: instruments.map((one) => ({
      ...one,
      percent: String(one.percent),
      counts: String(one.counts),
    })),
  };
}

const number = (text: string): number => (text.trim() === "" ? Number.NaN : Number(text.replace(",", ".")));

/** A currency still being typed has no digits to read the rate in. */
function rateOf(draft: SetUpDraft): ReturnType<typeof parseMoney> | undefined {
  return /^[A-Z]{3}$/.test(draft.currency)
    ? parseMoney(draft.labourRate, draft.currency, "Labour rate")
    : undefined;
}

export function readSetUp(draft: SetUpDraft): {
  readonly value: Settings | undefined;
  readonly issues: readonly Issue[];
} {
  const { labourRate, ...rest } = draft;
  const rate = rateOf(draft);
  const raw = {
    ...rest,
    volts: number(draft.volts),
    hertz: number(draft.hertz),
    partsMarkupPercent: number(draft.partsMarkupPercent),
    taxPercent: number(draft.taxPercent),
    labourRateMinor: rate?.ok ? rate.value : 0,
    instruments: draft.instruments.map((one) => ({
      ...one,
      percent: number(one.percent),
      counts: number(one.counts),
    })),
  };
  const parsed = parseWith(settingsSchema, raw);
  const money = rate && !rate.ok ? rate.issues.map((one) => ({ ...one, path: "labourRate" })) : [];
  const issues = [...money, ...(parsed.ok ? [] : parsed.issues)];
  return { value: parsed.ok && issues.length === 0 ? parsed.value : undefined, issues };
}

/** Set-up: typed on this device until kept, checked as it is typed. */
export function useSetUp(stored: StoredSettings) {
  const [current, setCurrent] = useState(stored);
  // Only what was changed here: all else follows what the shop has, whoever changed it meanwhile.
  const [changes, setChanges, clear] = useDraft<Partial<SetUpDraft>>("set-up-changes", {});
  const draft: SetUpDraft = { ...draftOf(current.value), ...changes };
  const [told, setTold] = useState<{ readonly text: string; readonly isBad: boolean } | undefined>(undefined);
  const { value, issues } = readSetUp(draft);
  const keep = async (): Promise<void> => {
    if (!value) return setTold({ text: issues.map(({ message }) => message).join(" "), isBad: true });
    const answer = await request("PUT /api/settings", { body: { value, version: current.version } });
    if (!answer.ok)
      return setTold({ text: answer.issues.map(({ message }) => message).join(" "), isBad: true });
    clear();
    setCurrent(answer.value);
    setTold({ text: "Kept.", isBad: false });
  };
  const set = (change: Partial<SetUpDraft>): void => {
    setTold(undefined);
    setChanges({ ...changes, ...change });
  };
  const problemOf = (path: string): string | undefined => issues.find((one) => one.path === path)?.message;
  return { draft, set, keep, told, problemOf };
}
