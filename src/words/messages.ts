import { formatDay, formatMoney } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "./in-sentence";

interface About {
  readonly jobId: number;
  readonly machine: string;
}

type Settings = Pick<Shop["settings"], "shopName" | "telephone" | "currency">;

function signature({ shopName, telephone }: Settings): string {
  return [shopName, telephone].filter((one) => one !== "").join(", ");
}

/** A question to the owner, ready to be sent. */
export function askMessage(
  { jobId, machine }: About,
  asked: { readonly question: string; readonly priceMinor: number | null; readonly byDay: string },
  settings: Settings,
): string {
  const price =
    asked.priceMinor === null
      ? ""
      : ` It would come to ${formatMoney(asked.priceMinor, settings.currency)} in all.`;
  const day = asked.byDay === "" ? "" : ` Please tell us by ${formatDay(asked.byDay)}.`;
  const question = asked.question.trim() === "" ? "" : ` ${asked.question.trim()}`;
  return `Your ${inSentence(machine)} (job ${jobId}) is on our bench.${question}${price}${day} ${signature(settings)}`;
}

/** That the machine can be fetched, with what was done and what is to pay. */
export function readyMessage(
  { jobId, machine }: About,
  {
    done,
    due,
    isRepaired,
    isNotToBeUsed,
  }: {
    readonly done: readonly string[];
    readonly due: number;
    readonly isRepaired: boolean;
    readonly isNotToBeUsed: boolean;
  },
  settings: Settings,
): string {
  const work = done.length === 0 ? "" : ` ${done.join(", ")}.`;
  const pay =
    due > 0
      ? ` To pay: ${formatMoney(due, settings.currency)}.`
      : due < 0
        ? ` You get back ${formatMoney(-due, settings.currency)}.`
        : " There is nothing to pay.";
  const ready = isNotToBeUsed
    ? "must not be used: do not plug it in. Please ring us about it"
    : isRepaired
      ? "is ready to be fetched"
      : "can be fetched; it is not repaired";
  return `Your ${inSentence(machine)} (job ${jobId}) ${ready}.${work}${pay} ${signature(settings)}`;
}
