import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import { stillOff } from "@/core/job/reassembly/put-back";
import { type BeforeAfter, beforeAfter } from "@/core/job/sign-off/before-after";
import { signedBill } from "@/core/job/sign-off/bill";
import { finalSince, finalTests, signOffWord } from "@/core/job/sign-off/sign-off";
import { wordNow } from "@/core/job/sign-off/word-now";
import { dayIn } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { readyMessage } from "@/words/messages";
import { promiseWords } from "@/words/put-back";
import { RUN_RESULT, RUN_WORDS, SIGN_OFF_WORDS, UNPROVEN_WORDS } from "@/words/runs";
import { Field } from "../fields/Field";
import { Message } from "../fields/Message";
import { Problem } from "../fields/Problem";
import { useAnchored } from "../frame/anchor";
import { DeadChecks } from "../frame/DeadChecks";
import { JobFrame } from "../frame/JobFrame";
import { OpenDangers } from "../frame/OpenDangers";
import { Part } from "../frame/Part";
import { PlugQuestion } from "../frame/PlugQuestion";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { useAwake } from "../state/awake";
import { goTo } from "../state/go-to";
import { usePost } from "../state/use-post";
import { AcceptanceRun } from "./AcceptanceRun";
import { Bill } from "./Bill";
import { Covers } from "./Covers";
import { Figures } from "./Figures";
import { asksLater, Promises } from "./Promises";

function Word({ job, shop }: { readonly job: JobView; readonly shop: Shop }) {
  const { word, unproven } = signOffWord(job, shop);
  return (
    <div data-testid="word">
      <p className="font-bold text-[28px] leading-tight">{SIGN_OFF_WORDS[word]}</p>
      {unproven.length > 0 ? (
        <ul className="mt-1">
          {unproven.map((code) => (
            <li key={code} className="border-rule border-t py-1">
              {UNPROVEN_WORDS.get(code) ?? code}
            </li>
          ))}
        </ul>
      ) : (
        <p className="mt-1">Tested since the last change, and run as the complaint comes.</p>
      )}
    </div>
  );
}

/** It came back: the same job goes on, with why. */
function Reopen({ job }: { readonly job: JobView }) {
  const { ref, isOpen, setIsOpen } = useAnchored<HTMLFormElement>("came-back");
  const [why, setWhy] = useState("");
  const { post, problem, isBusy } = usePost(job.jobId);
  if (!isOpen)
    return (
      <button type="button" className="btn btn-outline" onClick={() => setIsOpen(true)}>
        It came back …
      </button>
    );
  return (
    <form
      ref={ref}
      className="flex w-full flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        // What the owner says now comes first: it is of the machine as it is after the work.
        void post({ kind: "reopened", stage: "sign-off", payload: { why } }).then((isKept) => {
          if (isKept) goTo(`/jobs/${job.jobId}/take-in#complaint`);
        });
      }}
    >
      <Field label="Why it comes back" className="grow">
        {(ids) => (
          <input {...ids} className="input" value={why} onChange={(event) => setWhy(event.target.value)} />
        )}
      </Field>
      <button type="submit" className="btn btn-outline" disabled={isBusy}>
        Open it again
      </button>
      <Problem text={problem} />
    </form>
  );
}

function Signed({ job, shop }: { readonly job: JobView; readonly shop: Shop }) {
  if (!job.signedOff) return null;
  const signed = job.signedOff;
  const { word } = wordNow(job, signed, shop);
  const message = readyMessage(
    { jobId: job.jobId, machine: job.takenIn?.machine ?? "" },
    {
      done: job.interventions.map(({ label }) => label),
      due: signedBill(job, job.signedOff).due,
      isRepaired: word === "repaired" || word === "not-yet-proven",
      isNotToBeUsed: word === "do-not-use",
    },
    shop.settings,
  );
  return (
    <div className="move mb-3 flex flex-wrap items-center gap-5 px-5 py-4">
      <h2 className="font-bold text-[30px] leading-tight">
        {word === signed.word ? "Signed off: " : "Now: "}
        {SIGN_OFF_WORDS[word].toLowerCase()}
      </h2>
      {word === signed.word ? null : (
        <p role="alert" className="basis-full font-semibold text-oxide text-lg">
          It was signed off as “{SIGN_OFF_WORDS[signed.word].toLowerCase()}”. What was written down since does
          not allow that word any more: tell the owner, print letter and tag anew, and open the job again when
          the machine is back.
        </p>
      )}
      <a className="btn btn-primary btn-loud" href={`/jobs/${job.jobId}/sheet`}>
        The owner's sheet
      </a>
      {word === "do-not-use" ? (
        <a className="btn btn-outline btn-bench" href={`/jobs/${job.jobId}/tag`}>
          "Do not use" tag
        </a>
      ) : null}
      <Reopen job={job} />
      <Message label="To tell the owner" text={message} />
    </div>
  );
}

/** Tests taken before the last cover is on say nothing of the machine that leaves. */
function StillOff({ job, left }: { readonly job: JobView; readonly left: number }) {
  return (
    <div className="move mb-3 flex flex-wrap items-center gap-5 px-5 py-4" data-testid="still-off">
      <h2 className="font-bold text-[30px] leading-tight">First put back: {left} left</h2>
      <a className="btn btn-primary btn-loud" href={`/jobs/${job.jobId}/put-back`}>
        Put back
      </a>
    </div>
  );
}

function isPaired(figures: readonly BeforeAfter[]): boolean {
  return figures.some(({ before, after }) => before !== undefined && after !== undefined);
}

function figureWords(figures: readonly BeforeAfter[]): string {
  const whole = figures.filter(({ before, after }) => before !== undefined && after !== undefined).length;
  return `${whole} of ${figures.length} taken on both sides`;
}

function Parts({ screen, shop }: { readonly screen: JobScreen; readonly shop: Shop }) {
  const { job } = screen;
  const isPlugOut = screen.gaps("plug-out").length === 0;
  const figures = beforeAfter(job);
  const tests = finalTests(job, shop);
  const isTested = tests.every(({ reading }) => reading !== undefined && reading.verdict !== "undecided");
  const isFailed = tests.some(({ reading }) => reading?.verdict === "failed");
  const run = job.runs.findLast(({ seq }) => seq > job.lastChangeSeq);
  const left = stillOff(job).length + job.bench.opened.length;
  const open = job.followUps.filter(({ done }) => done === null);
  const today = dayIn(screen.now, shop.settings.zone);
  const isDue = job.signedOff !== null && open.some(({ onDay }) => onDay !== null && onDay <= today);
  const { word, unproven } = signOffWord(job, shop);
  const isOwed = word === "not-yet-proven" && asksLater(unproven) && open.length === 0;
  // A machine that leaves as it came is handed back: its word and its bill, whatever was not tested.
  const isClosing = screen.step.code === "now/hand-back" || screen.step.code === "now/replace";
  const step =
    job.signedOff || left > 0
      ? undefined
      : isClosing
        ? "word"
        : !isTested
          ? "tests"
          : run === undefined
            ? "run"
            : isOwed
              ? "again"
              : "word";
  return (
    <>
      <Signed job={job} shop={shop} />
      {left > 0 ? <StillOff job={job} left={left} /> : null}
      <OpenDangers screen={screen} shop={shop} stage="sign-off" />
      <Part
        title="Final tests of its class"
        at="tests"
        isNow={step === "tests"}
        isDone={isTested}
        done={isFailed ? "taken: failed" : "taken and passed"}
        mark={isFailed ? "failed" : "passed"}
      >
        {isPlugOut ? null : (
          <div className="mb-3">
            <p className="mb-2 font-semibold text-lg">The plug is out for these.</p>
            <PlugQuestion job={job} stage="sign-off" />
          </div>
        )}
        <DeadChecks
          job={job}
          shop={shop}
          isPlugOut={isPlugOut}
          stage="sign-off"
          since={(check) => finalSince(job, check)}
          isFinal
        />
        <Covers job={job} />
      </Part>
      <Part
        title="Run it as the complaint comes"
        at="run"
        isNow={step === "run"}
        isDone={run !== undefined}
        done={run ? `${RUN_WORDS[run.circumstance]}, ${run.minutes} min: ${RUN_RESULT[run.result]}` : ""}
        mark={run?.result === "gone" ? "passed" : "failed"}
      >
        <AcceptanceRun screen={screen} shop={shop} />
      </Part>
      <Part
        title="Before and after"
        isNow={false}
        isDone={isPaired(figures)}
        done={figureWords(figures)}
        mark="ticked"
      >
        <Figures rows={figures} shop={shop} />
      </Part>
      <Part
        title="To look at again"
        at="again"
        isNow={isDue || step === "again"}
        isDone={open.length > 0}
        done={open[0] ? promiseWords(open[0]) : ""}
        mark="ticked"
      >
        <Promises job={job} shop={shop} />
      </Part>
      <Part
        title="What may be said of it"
        at="word"
        isNow={step === "word"}
        isDone={job.signedOff !== null}
        done="signed"
        mark="ticked"
      >
        <Word job={job} shop={shop} />
        <Bill job={job} shop={shop} />
      </Part>
      <p className="text-soft">
        Tests are done with the instruments of this shop; they are no inspection certificate. Local codes and
        licensed practice come first.
      </p>
    </>
  );
}

/** Sign off: final tests, the run in the complaint's condition, and the one word that the log allows. */
export const SignOffScreen = withShop(function SignOffScreen({
  job,
  shop,
}: {
  readonly job: JobView;
  readonly shop: Shop;
}) {
  const screen = useJobScreen(job, shop);
  const isAwake = useAwake();
  return (
    <JobFrame screen={screen} shop={shop} stage="sign-off">
      <h1 className="sr-only">Sign off</h1>
      {isAwake ? <Parts screen={screen} shop={shop} /> : null}
    </JobFrame>
  );
});
