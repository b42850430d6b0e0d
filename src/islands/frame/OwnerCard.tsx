import { useStore } from "@nanostores/react";
import { useState } from "react";
import type { OwnerAnswer } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import { formatDay, formatInstant, formatMoney } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { OWNER_END_WORDS } from "@/words/owner";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { WAKING } from "../state/awake";
import { useDraft } from "../state/draft";
import { $found } from "../state/found";
import { usePost } from "../state/use-post";
import { useAnchored } from "./anchor";
import { RingOwner } from "./RingOwner";

interface CardProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly stage: Stage;
}

type Question = JobView["questions"][number];

function askedWords({ at, means, priceMinor, byDay }: Question, shop: Shop): string {
  const price = priceMinor === null ? "" : ` · ${formatMoney(priceMinor, shop.settings.currency)}`;
  const day = byDay === null ? "" : ` · answer by ${formatDay(byDay)}`;
  return `Asked ${formatInstant(at, shop.settings.zone)}, by ${means}${price}${day}`;
}

/** An open question: what the owner said is one tap. */
function Open({ question, job, shop, stage }: CardProps & { readonly question: Question }) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const [words, setWords, clear] = useDraft(`owner-words:${job.jobId}`, "");
  const said = (answer: "yes" | "no") => (): void => {
    const { question: asked, means, priceMinor } = question;
    const payload = { question: asked, answer, means, priceMinor, words };
    void post({ kind: "owner-answer", stage, payload }).then((isKept) => {
      if (isKept) clear();
    });
  };
  return (
    <>
      <p className="text-soft">{askedWords(question, shop)}</p>
      <h2 className="font-bold text-2xl leading-tight">{question.question}</h2>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <button type="button" className="btn btn-outline btn-bench" disabled={isBusy} onClick={said("yes")}>
          Said yes
        </button>
        <button type="button" className="btn btn-outline btn-bench" disabled={isBusy} onClick={said("no")}>
          Said no
        </button>
        <Field label="In their words" className="min-w-56 grow">
          {(ids) => (
            <input
              {...ids}
              className="input"
              value={words}
              maxLength={300}
              onChange={(event) => setWords(event.target.value)}
            />
          )}
        </Field>
      </div>
      <Problem text={problem} />
    </>
  );
}

const ENDS = Object.entries(OWNER_END_WORDS) as [Exclude<OwnerAnswer["leadsTo"], "">, string][];

/** After a no: the ways on, each one tap; holding asks until when. */
function AfterNo({ job, shop, stage }: CardProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const [byDay, setByDay] = useState("");
  const said = job.ownerSaid;
  if (!said) return null;
  const fee = job.takenIn?.feeMinor ?? null;
  const choose = (leadsTo: OwnerAnswer["leadsTo"]) => (): void => {
    const { question, means, priceMinor, words } = said;
    void post({
      kind: "owner-answer",
      stage,
      payload: {
        question,
        answer: "no",
        means,
        priceMinor,
        words,
        leadsTo,
        ...(leadsTo === "hold" && byDay ? { byDay } : {}),
      },
    });
  };
  return (
    <>
      <p className="text-soft">
        The owner said no{said.words ? `: “${said.words}”` : ""} · {said.question}
      </p>
      <h2 className="font-bold text-2xl leading-tight">
        {said.leadsTo === "hold" ? "On hold. What now?" : "What then?"}
      </h2>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        {ENDS.map(([leadsTo, label]) => (
          <button
            key={leadsTo}
            type="button"
            className="btn btn-outline btn-bench"
            disabled={isBusy}
            onClick={choose(leadsTo)}
          >
            {label}
            {leadsTo === "hand-back" && fee ? `, fee ${formatMoney(fee, shop.settings.currency)}` : ""}
          </button>
        ))}
        <Field label="Hold until">
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
      </div>
      <Problem text={problem} />
    </>
  );
}

/** What is between the shop and the owner and waits for a word: on every screen of the job until it is said. */
export function OwnerCard(props: CardProps) {
  const { job } = props;
  const { ref } = useAnchored("owner");
  const question = job.questions.at(-1);
  const { ownerSaid, decision, signedOff } = job;
  const isOpenNo =
    ownerSaid?.answer === "no" &&
    (ownerSaid.leadsTo === "" || ownerSaid.leadsTo === "hold") &&
    !(decision && decision.seq > ownerSaid.seq);
  const found = useStore($found, WAKING);
  const ask = found?.jobId === job.jobId ? found.ask : undefined;
  if (signedOff || (!question && !isOpenNo && !ask)) return null;
  return (
    <section
      ref={ref}
      aria-label="Owner"
      className="move mb-3 scroll-mt-4 px-5 py-3"
      data-testid="owner-card"
    >
      {question ? <Open key={question.seq} question={question} {...props} /> : null}
      {!question && isOpenNo ? <AfterNo {...props} /> : null}
      {!question && !isOpenNo && ask ? <RingOwner {...props} ask={ask} /> : null}
    </section>
  );
}
