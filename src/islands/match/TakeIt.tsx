import { useState } from "react";
import { EMPTY_FOLLOW_UP_FACTS } from "@/core/job/log/empty-facts";
import type { JobView } from "@/core/job/log/reduce";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { placeOf } from "@/core/matching/places";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";
import type { About } from "./MatchSheet";

interface TakeProps extends About {
  readonly one: MatchAnswer["candidates"][number];
  readonly job: JobView;
}

const counted = (count: number, label: string): string => (count > 1 ? `${count} × ${label}` : label);

/** The one tap that takes the part looked at for the job, and the one that orders it with its small parts. */
export function TakeIt({ one, job, asked, isUnsettled, fitted }: TakeProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { id, label, fit, priceMinor, days, supplier, goesWith } = one;
  const [until, setUntil] = useState("");
  const own = counted(fitted, label);
  const forPart = placeOf(asked.family);
  const isKept = job.parts.some((part) => part.forPart === forPart && part.partId === id);
  const choose = (): Promise<boolean> =>
    post({
      kind: "part-chosen",
      stage: "match",
      payload: {
        forPart,
        partId: id,
        label,
        fit: fit === "open" || fit === "reject" ? "note" : fit,
        notes: [],
        priceMinor,
        days,
        asked,
      },
    });
  const takeUntil = async (): Promise<void> => {
    if (!(await choose())) return;
    const payload = {
      ...EMPTY_FOLLOW_UP_FACTS,
      about: "temporary-part",
      what: `Out again: ${label}`,
      onDay: until,
    };
    await post({ kind: "follow-up", stage: "match", payload });
  };
  const order = async (): Promise<void> => {
    const lines = [own, ...goesWith.map((small) => counted(small.count, small.label))];
    for (const part of lines) {
      const payload = { part, state: "ordered", from: supplier, expectedOn: null };
      if (!(await post({ kind: "order-linked", stage: "match", payload }))) return;
    }
  };
  const isOrdered = job.orders.some(({ part, state }) => part === own && state !== "cancelled");
  return (
    <>
      {isUnsettled ? (
        <p className="font-semibold text-brass">Settle first which source is right.</p>
      ) : fit === "open" ? (
        <p className="font-semibold text-brass">What is not known yet decides: say it above first.</p>
      ) : isKept ? (
        <>
          <p role="status" className="font-semibold text-verdigris">
            Chosen for this job.
          </p>
          {isOrdered ? null : (
            <button type="button" className="btn btn-outline mt-2" disabled={isBusy} onClick={order}>
              It is ordered{goesWith.length > 0 ? ", with its small parts" : ""}
            </button>
          )}
        </>
      ) : fit === "temporary" ? (
        <form
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void takeUntil();
          }}
        >
          <Field label="Out again on">
            {(ids) => (
              <input
                {...ids}
                type="date"
                className="input"
                value={until}
                onChange={(event) => setUntil(event.target.value)}
              />
            )}
          </Field>
          <button type="submit" className="btn btn-primary btn-loud" disabled={isBusy || until === ""}>
            Take it until then
          </button>
        </form>
      ) : (
        <button type="button" className="btn btn-primary btn-loud" disabled={isBusy} onClick={choose}>
          Take this one
        </button>
      )}
      <Problem text={problem} />
    </>
  );
}
