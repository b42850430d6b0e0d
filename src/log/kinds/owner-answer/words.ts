import { formatDay, formatMoney } from "@/core/quantity/format";
import { OWNER_END_WORDS } from "@/words/owner";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"owner-answer"> = (
  { answer, question, priceMinor, byDay, leadsTo, words: reply },
  { shop },
) => {
  const price = priceMinor === null ? "" : `, ${formatMoney(priceMinor, shop.settings.currency)}`;
  const day = byDay === null ? "" : `, ${leadsTo === "hold" ? "until" : "answer by"} ${formatDay(byDay)}`;
  if (answer === "asked") return `Owner asked: ${question}${price}${day}`;
  const end = leadsTo === "" ? "" : `: ${OWNER_END_WORDS[leadsTo].toLowerCase()}`;
  const own = reply === "" ? "" : ` (“${reply}”)`;
  return `Owner said ${answer}${end}${own}: ${question}${price}${leadsTo === "hold" ? day : ""}`;
};
