import { useState } from "react";
import { EMPTY_FOLLOW_UP_FACTS } from "@/core/job/log/empty-facts";
import type { JobView } from "@/core/job/log/view";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { placeOf } from "@/core/matching/places";
import { toOrder } from "@/core/matching/to-order";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";
import { Chosen } from "./Chosen";
import type { About } from "./MatchSheet";

interface TakeProps extends About {
  readonly one: MatchAnswer["candidates"][number];
  readonly job: JobView;
}

/** The one tap that takes the part looked at for the job. */
export function TakeIt({ one, job, asked, isUnsettled, fitted }: TakeProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { id, label, fit, shelf, marks } = one;
  const [until, setUntil] = useState("");
  const forPart = placeOf(asked.family);
  const isUntested = marks.some(({ attribute, fit: own }) => attribute === "donor" && own === "open");
  const kept = job.parts.find((part) => part.forPart === forPart && part.partId === id);
  const choose = (): Promise<boolean> =>
    post({
      kind: "part-chosen",
      stage: "match",
      payload: { forPart, partId: id, asked },
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
  return (
    <>
      {isUnsettled ? (
        <p className="font-semibold text-brass">Settle first which source is right.</p>
      ) : fit === "open" ? (
        <p className="font-semibold text-brass">
          {isUntested ? (
            <a className="text-teal underline underline-offset-4" href="/shelf">
              Test it, and write that down on the Shelf
            </a>
          ) : (
            "What is not known yet decides: say it above first."
          )}
        </p>
      ) : kept ? (
        <Chosen part={kept} job={job} toOrder={toOrder(one, fitted)} />
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
          {shelf ? "Take it from the shelf" : "Take this one"}
        </button>
      )}
      <Problem text={problem} />
    </>
  );
}
