import { useState } from "react";
import { type Decision, firstBuyOf, needsProof } from "@/core/decision/decide";
import type { Route, RouteId } from "@/core/decision/routes";
import { isEnd } from "@/core/decision/schools";
import type { Isolation } from "@/core/isolation/isolate";
import type { JobView } from "@/core/job/log/view";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { type RouteNames, routeLabel } from "@/words/routes";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { useDraft } from "../state/draft";
import { goTo } from "../state/go-to";
import { usePost } from "../state/use-post";

interface TakeProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly isolation: Isolation;
  readonly names: RouteNames;
  readonly decision: Decision;
  readonly chosen: Route;
  /** The day on which it is looked at again, where the route waits for one and nobody sets another. */
  readonly lookDay: string;
  /** The figures were moved: what is taken is what stands without that. */
  readonly isMoved: boolean;
  onLeave(): void;
}

const LINK = "inline-flex min-h-11 items-center text-teal underline underline-offset-4";

function Unproven({
  isolation,
  jobId,
  why,
  onWhy,
}: {
  readonly isolation: Isolation;
  readonly jobId: number;
  readonly why: string;
  onWhy(why: string): void;
}) {
  return (
    <div className="half-hatched mb-3 max-w-2xl border border-ink p-1.5" data-testid="purchase-gate">
      <div className="bg-paper px-3 py-2">
        <p className="mb-2">
          <b>
            {isolation.purchaseGate.needs.includes("repeated-reading")
              ? "One reading proves it: none condemns a motor alone."
              : "Nothing has proved the leading suspect directly yet."}
          </b>{" "}
          <a className={LINK} href={`/jobs/${jobId}/isolate`}>
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
              maxLength={300}
              onChange={(event) => onWhy(event.target.value)}
            />
          )}
        </Field>
      </div>
    </div>
  );
}

/** What is promised with a route that waits for a day. */
function lookAgain(id: RouteId, onDay: string) {
  return {
    about: "look-again" as const,
    what: id === "hold" ? "Order the part with the rest" : "Look again whether the complaint has come back",
    onDay,
    belowCelsius: null,
    afterHours: null,
    condition: "",
  };
}

/** Taking a route: a dear one without a direct proof asks why, another than the cheapest asks for a reason to learn from. */
export function Take({
  job,
  shop,
  isolation,
  names,
  decision,
  chosen,
  lookDay,
  isMoved,
  onLeave,
}: TakeProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const [why, setWhy, clearWhy] = useDraft(`decide-why:${job.jobId}`, "");
  const [otherWhy, setOtherWhy, clearOther] = useDraft(`decide-other:${job.jobId}`, "");
  const [isAsked, setIsAsked] = useState(false);
  const [onDay, setOnDay] = useState(lookDay);
  const isDated = chosen.id === "retest" || chosen.id === "hold";
  const machine = decision.routes.find(({ id }) => id === "replace")?.mean ?? 0;
  const isUnproven =
    !isolation.purchaseGate.open &&
    needsProof(firstBuyOf(chosen), machine, shop.parameters["unproven-part-share"]);
  const isBest = chosen.id === decision.best.id;
  const take = async (): Promise<void> => {
    if (!isBest && otherWhy.trim() === "") return setIsAsked(true);
    const payload = { route: chosen.id, overrideWhy: why, otherWhy };
    if (!(await post({ kind: "decision", stage: "decide", payload }))) return;
    clearWhy();
    clearOther();
    if (
      isDated &&
      !(await post({ kind: "follow-up", stage: "decide", payload: lookAgain(chosen.id, onDay) }))
    )
      return;
    const next = isEnd(chosen) || chosen.id === "retest" ? "sign-off" : "put-back";
    goTo(chosen.id === "hold" ? "/" : `/jobs/${job.jobId}/${next}`);
  };
  if (chosen.id === "measure")
    return (
      <div className="mt-3 flex flex-wrap gap-3">
        <a className="btn btn-primary btn-loud" href={`/jobs/${job.jobId}/isolate`}>
          Measure it first
        </a>
        {isBest ? null : (
          <button type="button" className="btn btn-outline" onClick={onLeave}>
            Leave it
          </button>
        )}
      </div>
    );
  return (
    <div className="mt-3">
      {isUnproven ? <Unproven isolation={isolation} jobId={job.jobId} why={why} onWhy={setWhy} /> : null}
      {isBest ? null : (
        <div className="mb-3 max-w-2xl">
          <Field
            label="Why this one"
            hint="Kept with the decision: the shop learns from it."
            error={isAsked && otherWhy.trim() === "" ? "Say in a few words why not the cheapest." : undefined}
          >
            {(ids) => (
              <input
                {...ids}
                className="input"
                value={otherWhy}
                maxLength={300}
                onChange={(event) => setOtherWhy(event.target.value)}
              />
            )}
          </Field>
        </div>
      )}
      {isDated ? (
        <Field label={chosen.id === "hold" ? "Hold it until" : "Look again on"} className="mb-3 max-w-56">
          {(ids) => (
            <input
              {...ids}
              type="date"
              className="input"
              value={onDay}
              onChange={(event) => setOnDay(event.target.value)}
            />
          )}
        </Field>
      ) : null}
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="btn btn-primary btn-loud"
          disabled={isBusy || isMoved || (isDated && onDay === "")}
          onClick={() => void take()}
        >
          {isBest ? "Take this route" : `Take it: ${inSentence(routeLabel(chosen, names))}`}
        </button>
        {isBest ? null : (
          <button type="button" className="btn btn-outline" onClick={onLeave}>
            Leave it
          </button>
        )}
        {isMoved ? (
          <span className="text-soft">Put the figures back, or keep them, before it is taken.</span>
        ) : null}
      </div>
      <Problem text={problem} />
    </div>
  );
}
