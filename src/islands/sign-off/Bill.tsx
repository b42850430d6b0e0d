import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import { billOf, partsCost, withMarkup } from "@/core/job/sign-off/bill";
import { formatMoney, minorDigits } from "@/core/quantity/format";
import { parseMoney } from "@/core/quantity/money";
import type { Issue, Result } from "@/core/result";
import type { Shop } from "@/core/shop/shop";
import { billWords } from "@/words/bill";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";

interface BillProps {
  readonly job: JobView;
  readonly shop: Shop;
}

interface BillDraft {
  readonly minutes: string | null;
  readonly parts: string | null;
  readonly discount: string;
  readonly isFree: boolean;
  readonly leftOut: string;
  readonly watch: string;
}

const EMPTY: BillDraft = { minutes: null, parts: null, discount: "", isFree: false, leftOut: "", watch: "" };

/** What the screen works with: as typed, or as the log and the shop's own rates have it. */
function useBill({ job, shop }: BillProps) {
  const { currency, labourRateMinor, partsMarkupPercent, taxPercent } = shop.settings;
  const [draft, setDraft, clear] = useDraft<BillDraft>(`bill:${job.jobId}`, EMPTY);
  const digits = minorDigits(currency);
  const cost = partsCost(job);
  const minutesText = draft.minutes ?? String(Math.round(job.secondsSpent / 60));
  const partsText = draft.parts ?? (withMarkup(cost, partsMarkupPercent) / 10 ** digits).toFixed(digits);
  const minutes = minutesText.trim() === "" ? Number.NaN : Number(minutesText.replace(",", "."));
  const parts = parseMoney(partsText, currency, "Parts");
  const discount: Result<number> =
    draft.discount.trim() === "" ? { ok: true, value: 0 } : parseMoney(draft.discount, currency, "Discount");
  const bill = billOf(job, {
    labourMinor: Number.isFinite(minutes) ? Math.round((minutes / 60) * labourRateMinor) : 0,
    partsMinor: parts.ok ? parts.value : 0,
    discountMinor: discount.ok ? discount.value : 0,
    isFree: draft.isFree,
    taxPercent,
  });
  return { draft, setDraft, clear, minutesText, partsText, minutes, parts, discount, bill };
}

const said = (issues: readonly Issue[]): string => issues.map(({ message }) => message).join(" ");

/** What was agreed: the owner's yes with its price, or what they wanted to be rung above. */
function agreedWords({ job, shop }: BillProps): string {
  const money = (minor: number): string => formatMoney(minor, shop.settings.currency);
  if (job.ownerSaid?.answer === "yes" && job.ownerSaid.priceMinor !== null)
    return `Agreed with the owner: ${money(job.ownerSaid.priceMinor)}.`;
  const ceiling = job.takenIn?.ceilingMinor ?? null;
  return ceiling === null ? "" : `To be rung above ${money(ceiling)}.`;
}

/** That it is more than the owner has agreed to. */
function aboveWords({ job, shop }: BillProps): string {
  const money = (minor: number): string => formatMoney(minor, shop.settings.currency);
  return job.ownerSaid?.answer === "yes"
    ? `That is above the ${money(job.ownerSaid.priceMinor ?? 0)} that the owner agreed to: ring again.`
    : `That is above ${money(job.takenIn?.ceilingMinor ?? 0)}: the owner wanted to be asked first, and no yes is written down.`;
}

/** What the owner pays and should watch, then the line that closes the job. */
export function Bill({ job, shop }: BillProps) {
  const { currency } = shop.settings;
  const model = useBill({ job, shop });
  const { draft, bill } = model;
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const poster = usePost(job.jobId);
  const set = (change: Partial<BillDraft>): void => {
    setProblem(undefined);
    model.setDraft({ ...draft, ...change });
  };
  const sign = async (): Promise<void> => {
    if (!model.parts.ok) return setProblem(said(model.parts.issues));
    if (!model.discount.ok) return setProblem(said(model.discount.issues));
    const payload = {
      minutes: model.minutes,
      partsMinor: model.parts.value,
      discountMinor: model.discount.value,
      isFree: draft.isFree,
      leftOut: draft.leftOut,
      watch: draft.watch,
    };
    if (await poster.post({ kind: "signed-off", stage: "sign-off", payload })) model.clear();
  };
  const amount = (
    label: string,
    value: string,
    change: (text: string) => Partial<BillDraft>,
    hint?: string,
  ) => (
    <Field label={label} hint={hint}>
      {(ids) => (
        <input
          {...ids}
          className="input num"
          inputMode="decimal"
          value={value}
          onChange={(event) => set(change(event.target.value))}
        />
      )}
    </Field>
  );
  const line = (label: string, value: string, change: (text: string) => Partial<BillDraft>) => (
    <Field label={label}>
      {(ids) => (
        <input
          {...ids}
          className="input"
          value={value}
          onChange={(event) => set(change(event.target.value))}
        />
      )}
    </Field>
  );
  return (
    <form
      className="mt-3"
      onSubmit={(event) => {
        event.preventDefault();
        void sign();
      }}
    >
      <div className="grid gap-3 sm:grid-cols-3 lg:grid-cols-[150px_150px_150px_minmax(0,1fr)_minmax(0,1fr)]">
        {amount("Minutes charged", model.minutesText, (minutes) => ({ minutes }))}
        {amount(`Parts, ${currency}`, model.partsText, (parts) => ({ parts }))}
        {amount(`Less, ${currency}`, draft.discount, (discount) => ({ discount }))}
        {line("What the owner should watch", draft.watch, (watch) => ({ watch }))}
        {line("Agreed and left out", draft.leftOut, (leftOut) => ({ leftOut }))}
      </div>
      <label className="chip mt-3 w-fit">
        <input
          className="sr-only"
          type="checkbox"
          checked={draft.isFree}
          onChange={(event) => set({ isFree: event.target.checked })}
        />
        No charge
      </label>
      <p className="mt-2">
        {billWords(bill, currency)} <span className="text-soft">{agreedWords({ job, shop })}</span>
      </p>
      {bill.isAboveCeiling ? (
        <p role="status" className="mt-1 font-semibold text-brass">
          {aboveWords({ job, shop })}
        </p>
      ) : null}
      <button type="submit" className="btn btn-primary btn-loud mt-3" disabled={poster.isBusy}>
        Sign off
      </button>
      <Problem text={problem ?? poster.problem} />
    </form>
  );
}
