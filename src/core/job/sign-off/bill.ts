import type { JobView } from "../log/view";

/** What the owner owes, minor units. */
export interface Bill {
  readonly labour: number;
  readonly parts: number;
  /** Fee for looking, beside the repair or as its least. */
  readonly fee: number;
  readonly feeCounts: boolean;
  readonly discount: number;
  readonly tax: number;
  /** Nothing is asked for it, by choice. */
  readonly isFree: boolean;
  readonly total: number;
  readonly deposit: number;
  /** Total less what was paid ahead; below zero it is given back. */
  readonly due: number;
  /** Whether it is above what the owner has agreed to. */
  readonly isAboveCeiling: boolean;
}

/** The most that the owner has agreed to, minor units: what was said at the door, or more by a yes since, with its price or without. */
function agreedMost({ takenIn, ownerSaid }: JobView): number {
  const ceiling = takenIn?.ceilingMinor ?? null;
  if (ownerSaid?.answer === "yes")
    return Math.max(ceiling ?? 0, ownerSaid.priceMinor ?? Number.POSITIVE_INFINITY);
  return ceiling ?? Number.POSITIVE_INFINITY;
}

/** What was agreed at the door; fee and deposit were settled with the first bill where the machine came back. */
function doorOf({ takenIn, reopened }: JobView): {
  readonly fee: number;
  readonly feeCounts: boolean;
  readonly deposit: number;
} {
  const isFirst = reopened === null;
  return {
    fee: isFirst ? (takenIn?.feeMinor ?? 0) : 0,
    feeCounts: takenIn?.feeCounts ?? true,
    deposit: isFirst ? (takenIn?.depositMinor ?? 0) : 0,
  };
}

/** What the parts chosen for this visit cost the shop, minor units. */
export function partsCost({ parts, reopened }: Pick<JobView, "parts" | "reopened">): number {
  const back = reopened?.seq ?? 0;
  return parts.filter(({ seq }) => seq > back).reduce((sum, { priceMinor }) => sum + priceMinor, 0);
}

/** What is charged, minor units; the tax in percent of the whole. */
export interface Charged {
  readonly labourMinor: number;
  readonly partsMinor: number;
  readonly discountMinor: number;
  readonly taxPercent: number;
  readonly isFree: boolean;
}

/**
 * Labour and parts with what was agreed at the door. A fee that is set off is the least the owner pays; one that is not
 * comes on top; a discount takes off no more than there is; tax is on what is left. Money in whole minor units.
 * @example billOf(view, { labourMinor: 1400, partsMinor: 1200, discountMinor: 0, taxPercent: 0, isFree: false }).total
 * // 2600, or the fee where that is more
 */
export function billOf(view: JobView, charged: Charged): Bill {
  const { fee, feeCounts, deposit } = doorOf(view);
  const { labourMinor: labour, partsMinor: parts, isFree } = charged;
  const work = labour + parts;
  const full = feeCounts ? Math.max(work, fee) : work + fee;
  const discount = Math.min(charged.discountMinor, full);
  const net = isFree ? 0 : full - discount;
  const tax = Math.round((net * charged.taxPercent) / 100);
  const total = net + tax;
  return {
    labour,
    parts,
    fee,
    feeCounts,
    discount,
    tax,
    isFree,
    total,
    deposit,
    due: total - deposit,
    isAboveCeiling: total > agreedMost(view),
  };
}

/** What a signed-off machine cost, as it was charged then. */
export function signedBill(
  view: JobView,
  signed: Omit<Charged, "taxPercent"> & { readonly taxMinor: number },
): Bill {
  const net = billOf(view, { ...signed, taxPercent: 0 });
  const total = net.total + signed.taxMinor;
  return { ...net, tax: signed.taxMinor, total, due: total - net.deposit };
}

/** Parts at the price that the owner pays for them. */
export function withMarkup(costMinor: number, markupPercent: number): number {
  return Math.round(costMinor * (1 + markupPercent / 100));
}
