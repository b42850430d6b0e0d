import { useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import type { JobHit } from "@/core/job/job-hit";
import type { Shop } from "@/core/shop/shop";
import { hitWords } from "@/words/job-hit";
import { request } from "../state/api";
import { type TakeInForm as Form, formFrom } from "./form";
import { useFound } from "./use-found";

const findJobs = async (find: string) => {
  const found = await request("GET /api/jobs", { query: { find } });
  return found.ok ? found.value.jobs : [];
};

interface EarlierProps {
  readonly form: UseFormReturn<Form>;
  readonly shop: Shop;
}

/** Machines of this name that were here before: the new job begins from one of them, or from its twin. */
export function Earlier({ form, shop }: EarlierProps) {
  const from = form.watch("from");
  const hits = useFound(form.watch("machine"), findJobs);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const begin = async ({ jobId, ownerName }: JobHit, as: "same" | "twin"): Promise<void> => {
    const answer = await request("GET /api/jobs/{id}", { params: { id: String(jobId) } });
    if (!answer.ok) return setProblem(answer.issues.map(({ message }) => message).join(" "));
    const { pictures, signs, words, circumstance, afterMinutes, seen, ...typed } = form.getValues();
    const theirs = as === "same" && typed.ownerName.trim() === "";
    form.reset({
      ...formFrom(answer.value, as, shop.settings.currency),
      ...{ pictures, signs, words, circumstance, afterMinutes, seen },
      ownerId: theirs ? (answer.value.takenIn?.ownerId ?? null) : typed.ownerId,
      ownerName: theirs ? ownerName : typed.ownerName,
      ownerContact: typed.ownerContact,
    });
    setProblem(undefined);
  };
  if (from)
    return (
      <p className="flex flex-wrap items-center gap-3">
        Begun from job {from.jobId}, {from.as === "same" ? "the same machine" : "its twin"}.
        <button type="button" className="btn btn-outline" onClick={() => form.setValue("from", null)}>
          It is another one
        </button>
      </p>
    );
  if (hits.length === 0) return null;
  return (
    <ul aria-label="Was here before" className="sheet px-4">
      {hits.map((hit) => (
        <li
          key={hit.jobId}
          className="flex flex-wrap items-center gap-2 border-rule border-t py-1.5 first:border-t-0"
        >
          <span className="grow">
            <b>Job {hit.jobId}</b> {hit.machine}
            <span className="block text-soft">{hitWords(hit)}</span>
          </span>
          {hit.isSignedOff ? (
            <a className="btn btn-outline" href={`/jobs/${hit.jobId}/sign-off#came-back`}>
              Our repair did not hold
            </a>
          ) : null}
          <button type="button" className="btn btn-outline" onClick={() => void begin(hit, "same")}>
            This one again
          </button>
          <button type="button" className="btn btn-outline" onClick={() => void begin(hit, "twin")}>
            Its twin
          </button>
        </li>
      ))}
      {problem ? (
        <li role="alert" className="font-semibold text-oxide">
          {problem}
        </li>
      ) : null}
    </ul>
  );
}
