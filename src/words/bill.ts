import type { Bill } from "@/core/job/sign-off/bill";
import { formatMoney } from "@/core/quantity/format";

/** A bill in one line: work, parts, what was agreed at the door, and what is still to pay. */
export function billWords(bill: Bill, currency: string): string {
  const money = (minor: number): string => formatMoney(minor, currency);
  const work = bill.labour + bill.parts;
  const fee =
    bill.fee === 0
      ? ""
      : bill.feeCounts
        ? bill.fee > work
          ? `, at least the fee for looking, ${money(bill.fee)}`
          : `, the fee of ${money(bill.fee)} set off`
        : `, fee for looking ${money(bill.fee)}`;
  const off = bill.discount === 0 ? "" : `, less ${money(bill.discount)}`;
  const tax = bill.tax === 0 ? "" : `, tax ${money(bill.tax)}`;
  const paid =
    bill.deposit === 0
      ? ""
      : bill.due < 0
        ? `; ${money(bill.deposit)} paid ahead, ${money(-bill.due)} to give back`
        : `; ${money(bill.deposit)} paid ahead, still to pay ${money(bill.due)}`;
  if (bill.isFree)
    return `Work ${money(bill.labour)}, parts ${money(bill.parts)}: nothing is charged${paid}.`;
  return `Work ${money(bill.labour)}, parts ${money(bill.parts)}${fee}${off}${tax}: together ${money(bill.total)}${paid}.`;
}
