import { useState } from "react";
import { type Decision, decide, needsProof } from "@/core/decision/decide";
import { decisionCase, machinePrice } from "@/core/decision/decision-case";
import type { Route } from "@/core/decision/routes";
import type { Isolation } from "@/core/isolation/isolate";
import { kindOfMachine } from "@/core/job/isolation/isolation-request";
import type { JobView } from "@/core/job/log/reduce";
import type { Knowledge } from "@/core/knowledge/types";
import { formatMoney } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { NotCovered } from "../engine/NotCovered";
import { faultLabel, repairLabel } from "../engine/names";
import { useIsolation } from "../engine/use-isolation";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { JobFrame } from "../frame/JobFrame";
import { type JobScreen, useJobScreen } from "../frame/use-job-screen";
import { withShop } from "../frame/with-shop";
import { usePost } from "../state/use-post";
import { inSentence } from "../words/in-sentence";
import { decisionSentence, routeLabel } from "../words/routes";
import { Price } from "./Prices";
import { RouteShafts } from "./RouteShafts";

interface ReadyProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly isolation: Isolation;
  readonly knowledge: Knowledge;
}

/** What would only change the consequence: named, with its reason, and without a button. */
function Refused({ decision, knowledge }: { readonly decision: Decision; readonly knowledge: Knowledge }) {
  if (decision.refused.length === 0) return null;
  return (
    <ul aria-label="Refused" className="mt-3 border-[1.5px] border-ink px-4 py-2" data-testid="refused">
      {decision.refused.map(({ repair, fault, root }) => (
        <li key={repair}>
          <b>Not this one: {inSentence(repairLabel(knowledge, repair))}.</b> It changes only the consequence:{" "}
          {inSentence(faultLabel(knowledge, root))} brought about {inSentence(faultLabel(knowledge, fault))},
          and would again. It is done together with the cure.
        </li>
      ))}
    </ul>
  );
}

interface TakeProps extends ReadyProps {
  readonly decision: Decision;
  readonly chosen: Route;
  onLeave(): void;
}

/** Taking a route; a dear one without a direct proof asks why. */
function Take({ job, shop, isolation, knowledge, decision, chosen, onLeave }: TakeProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const [why, setWhy] = useState("");
  const isUnproven =
    !isolation.purchaseGate.open &&
    needsProof(
      chosen.id,
      chosen.steps[0],
      machinePrice(job.prices, shop.parameters),
      shop.parameters["unproven-part-share"],
    );
  const take = async (): Promise<void> => {
    const payload = { route: chosen.id, overrideWhy: why };
    if (await post({ kind: "decision", stage: "decide", payload }))
      window.location.assign(`/jobs/${job.jobId}/${chosen.id === "replace" ? "sign-off" : "put-back"}`);
  };
  const isBest = chosen.id === decision.best.id;
  return (
    <div className="mt-3">
      {isUnproven ? (
        <div className="half-hatched mb-3 max-w-2xl border border-ink p-1.5" data-testid="purchase-gate">
          <div className="bg-paper px-3 py-2">
            <p className="mb-2">
              <b>
                {isolation.purchaseGate.needs.includes("repeated-reading")
                  ? "One reading proves it: none condemns a motor alone."
                  : "Nothing has proved the leading suspect directly yet."}
              </b>{" "}
              <a
                className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
                href={`/jobs/${job.jobId}/isolate`}
              >
                Measure it first
              </a>
              , or say why it is bought without.
            </p>
            <Field label="Why without proof">
              {(ids) => (
                <input
                  {...ids}
                  className="input"
                  value={why}
                  onChange={(event) => setWhy(event.target.value)}
                />
              )}
            </Field>
          </div>
        </div>
      ) : null}
      <div className="flex flex-wrap gap-3">
        <button type="button" className="btn btn-primary btn-loud" disabled={isBusy} onClick={take}>
          {isBest ? "Take this route" : `Take it: ${inSentence(routeLabel(chosen, knowledge.repairs))}`}
        </button>
        {isBest ? null : (
          <button type="button" className="btn btn-outline" onClick={onLeave}>
            Leave it
          </button>
        )}
      </div>
      <Problem text={problem} />
    </div>
  );
}

/** What is still to be looked at before a part is ordered. */
function Before({
  isolation,
  knowledge,
  jobId,
}: Pick<ReadyProps, "isolation" | "knowledge"> & { readonly jobId: number }) {
  if (isolation.beforeOrder.length === 0) return null;
  return (
    <div className="mt-2" data-testid="before-order">
      <b>Before the order</b>
      <ul>
        {isolation.beforeOrder.map(({ moveId, why }) => (
          <li key={moveId}>
            {knowledge.moves.find(({ id }) => id === moveId)?.title}: <span className="text-soft">{why}</span>
          </li>
        ))}
      </ul>
      <a
        className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
        href={`/jobs/${jobId}/isolate`}
      >
        Look at these first
      </a>
    </div>
  );
}

function Ready({ job, shop, isolation, knowledge }: ReadyProps) {
  const { currency } = shop.settings;
  const options = decisionCase(
    isolation.trials,
    job.prices,
    kindOfMachine(job, knowledge.archetypes),
    knowledge,
    shop.parameters,
  );
  const decision = decide(options, isolation.suspects[0], knowledge.faults);
  const [ownId, setOwnId] = useState<Route["id"] | undefined>(undefined);
  const chosen = (ownId && decision.routes[ownId]) ?? decision.best;
  const money = (minor: number): string => formatMoney(Math.round(minor), currency);
  const isTaken = job.decision !== null && job.decision.label !== "";
  return (
    <>
      <section aria-label="The decision" className="move px-5 py-4">
        <h1 className="font-bold text-2xl leading-tight tracking-tight md:text-[28px]" data-testid="sentence">
          {decisionSentence(decision, knowledge.repairs, currency)}
        </h1>
        <Before isolation={isolation} knowledge={knowledge} jobId={job.jobId} />
        {isTaken ? (
          <p className="mt-2 text-soft">
            Decided before: <b className="text-ink">{job.decision?.label}</b>.{" "}
            <a
              className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
              href={`/jobs/${job.jobId}/put-back`}
            >
              Go on with it
            </a>
          </p>
        ) : null}
        <Take
          key={chosen.id}
          job={job}
          shop={shop}
          isolation={isolation}
          knowledge={knowledge}
          decision={decision}
          chosen={chosen}
          onLeave={() => setOwnId(undefined)}
        />
      </section>
      <Refused decision={decision} knowledge={knowledge} />
      <RouteShafts
        decision={decision}
        currency={currency}
        repairs={knowledge.repairs}
        isBusy={false}
        onTake={({ id }) => setOwnId(id)}
      />
      <section
        aria-label="What decides it"
        className="mt-4 grid gap-x-7 gap-y-3 md:grid-cols-2 xl:grid-cols-3"
      >
        <Price
          key={`machine:${job.prices["machine"] ?? ""}`}
          job={job}
          currency={currency}
          of="machine"
          label="Another machine costs"
          minor={options.machineMinor}
          isAssumed={job.prices["machine"] === undefined}
          flips={
            decision.machineFlip === null
              ? undefined
              : `Under ${money(decision.machineFlip)} no repair is worth trying.`
          }
        />
        <Price
          key={`motor:${job.prices["fit-motor"] ?? ""}`}
          job={job}
          currency={currency}
          of="fit-motor"
          label="Another motor costs"
          minor={options.motor.partMinor}
          isAssumed={job.prices["fit-motor"] === undefined}
          flips={undefined}
        />
        <p className="text-soft">
          {decision.firstRepairFlip === null
            ? ""
            : `The first repair stays the right one up to ${money(decision.firstRepairFlip)} for it, time and part together. `}
          Time counts at {money(options.minuteMinor * 60)} an hour, whatever is charged; parts from{" "}
          <a
            className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
            href={`/jobs/${job.jobId}/match`}
          >
            Match
          </a>{" "}
          where one is chosen.
        </p>
      </section>
    </>
  );
}

function Body({ screen, shop }: { readonly screen: JobScreen; readonly shop: Shop }) {
  const state = useIsolation(screen, shop);
  if (state.kind === "working")
    return (
      <p role="status" className="py-6 text-lg text-soft">
        Working out what each route costs …
      </p>
    );
  if (state.kind === "failed") return <NotCovered job={screen.job} shop={shop} issues={state.issues} />;
  return <Ready job={screen.job} shop={shop} isolation={state.isolation} knowledge={state.knowledge} />;
}

/** Decide: what to do about the machine, what it costs on average, and where the answer flips. */
export const DecideScreen = withShop(function DecideScreen({
  job,
  shop,
}: {
  readonly job: JobView;
  readonly shop: Shop;
}) {
  const screen = useJobScreen(job, shop);
  return (
    <JobFrame screen={screen} shop={shop} stage="decide">
      <Body screen={screen} shop={shop} />
    </JobFrame>
  );
});
