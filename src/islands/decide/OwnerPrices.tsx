import { useState } from "react";
import type { OwnerOffer } from "@/core/job/deciding/owner-offer";
import type { JobView } from "@/core/job/log/view";
import { formatMoney } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { askMessage } from "@/words/messages";
import { offerQuestion } from "@/words/offer";
import { type RouteNames, routeLabel, routeName } from "@/words/routes";
import { Field } from "../fields/Field";
import { Message } from "../fields/Message";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface OwnerPricesProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly names: RouteNames;
  readonly offer: OwnerOffer;
  /** A measurement comes first: the prices are not the last word. */
  readonly isEarly: boolean;
  /** The day until which the prices hold, where nobody has set another. */
  readonly validUntil: string;
}

/** Two prices and one recommendation for the owner to say yes or no to, until a day. */
export function OwnerPrices({ job, shop, names, offer, isEarly, validUntil }: OwnerPricesProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const [byDay, setByDay] = useState(validUntil);
  const { currency } = shop.settings;
  const money = (minor: number): string => formatMoney(minor, currency);
  const label = routeLabel(offer.mend, names);
  const question = offerQuestion(offer, label, currency);
  const ask = (): void =>
    void post({
      kind: "owner-answer",
      stage: "decide",
      payload: {
        question,
        answer: "asked",
        means: "message",
        priceMinor: offer.recommends === "mend" ? offer.mendMostMinor : offer.mendMinor,
        ...(byDay ? { byDay } : {}),
      },
    });
  return (
    <section aria-label="For the owner" className="mt-6" data-testid="owner-offer">
      <h2 className="border-ring border-b-2 pb-1 font-bold text-lg">For the owner</h2>
      {isEarly ? (
        <p className="mt-1 text-soft">Measure first: what it reads may change both prices.</p>
      ) : null}
      <dl className="mt-2 grid gap-x-8 gap-y-2 sm:grid-cols-2">
        <div className={offer.recommends === "mend" ? "font-semibold" : ""}>
          <dt>
            {label}
            {offer.recommends === "mend" ? " — we would do this" : ""}
          </dt>
          <dd className="num text-2xl">
            {money(offer.mendMinor)}
            {offer.mendMostMinor > offer.mendMinor ? (
              <span className="font-sans text-base text-soft">
                {" "}
                not above {money(offer.mendMostMinor)} without asking again
              </span>
            ) : null}
          </dd>
        </div>
        <div className={offer.recommends === "other" ? "font-semibold" : ""}>
          <dt>
            {routeName(offer.other).replace(/^./, (letter) => letter.toUpperCase())}
            {offer.recommends === "other" ? " — we would do this" : ""}
          </dt>
          <dd className="num text-2xl">{money(offer.otherMinor)}</dd>
        </div>
      </dl>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <Field label="The prices hold until">
          {(ids) => (
            <input
              {...ids}
              type="date"
              className="input"
              value={byDay}
              onChange={(event) => setByDay(event.target.value)}
            />
          )}
        </Field>
        <button type="button" className="btn btn-outline" disabled={isBusy} onClick={ask}>
          The owner was asked
        </button>
      </div>
      <details className="mt-1">
        <summary className="min-h-11 cursor-pointer py-2 text-teal underline underline-offset-4">
          A message to send
        </summary>
        <Message
          label="To send, as it is"
          text={askMessage(
            { jobId: job.jobId, machine: inSentence(job.takenIn?.machine ?? "") },
            { question, priceMinor: null, byDay },
            shop.settings,
          )}
        />
      </details>
      <Problem text={problem} />
    </section>
  );
}
