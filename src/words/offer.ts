import type { OwnerOffer } from "@/core/job/deciding/owner-offer";
import { formatMoney } from "@/core/quantity/format";
import { inSentence } from "./in-sentence";
import { routeName } from "./routes";

/** Two prices and one recommendation as a question that is answered with yes or no. */
export function offerQuestion(offer: OwnerOffer, label: string, currency: string): string {
  const money = (minor: number): string => formatMoney(minor, currency);
  const most =
    offer.mendMostMinor > offer.mendMinor
      ? `, not above ${money(offer.mendMostMinor)} without asking again`
      : "";
  const mend = `${inSentence(label)} for ${money(offer.mendMinor)}${most}`;
  const other = `${routeName(offer.other)} for about ${money(offer.otherMinor)}`;
  return offer.recommends === "mend"
    ? `We would ${mend}; ${other} is the other way. May we?`
    : `We advise ${other}: to ${mend} is not worth it. Shall we leave it unrepaired?`;
}
