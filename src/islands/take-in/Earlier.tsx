import { useEffect, useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import type { JobView } from "@/core/job/log/reduce";
import type { Shop } from "@/core/shop/shop";
import { request } from "../state/api";
import { type TakeInForm as Form, formFrom } from "./form";

interface Hit {
  readonly jobId: number;
  readonly machine: string;
  readonly tag: string;
  readonly place: string;
  readonly isSignedOff: boolean;
}

const WAIT_MS = 250;
const LEAST_LETTERS = 3;
const MOST_HITS = 3;

function useEarlier(name: string): readonly Hit[] {
  const [hits, setHits] = useState<readonly Hit[]>([]);
  useEffect(() => {
    if (name.trim().length < LEAST_LETTERS) return setHits([]);
    const timer = setTimeout(async () => {
      const answer = await request<{ jobs: Hit[] }>(
        "GET",
        `/api/jobs?find=${encodeURIComponent(name.trim())}`,
      );
      setHits(answer.ok ? answer.value.jobs.slice(0, MOST_HITS) : []);
    }, WAIT_MS);
    return () => clearTimeout(timer);
  }, [name]);
  return hits;
}

interface EarlierProps {
  readonly form: UseFormReturn<Form>;
  readonly shop: Shop;
}

/** Machines of this name that were here before: the new job begins from one of them, or from its twin. */
export function Earlier({ form, shop }: EarlierProps) {
  const from = form.watch("from");
  const hits = useEarlier(form.watch("machine"));
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const begin = async (jobId: number, as: "same" | "twin"): Promise<void> => {
    const answer = await request<JobView>("GET", `/api/jobs/${jobId}`);
    if (!answer.ok) return setProblem(answer.issues.map(({ message }) => message).join(" "));
    const { pictures, signs, words, circumstance, afterMinutes, ownerName, ownerContact } = form.getValues();
    form.reset({
      ...formFrom(answer.value, as, shop.settings.currency),
      ...{ pictures, signs, words, circumstance, afterMinutes, ownerName, ownerContact },
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
      {hits.map(({ jobId, machine, place, isSignedOff }) => (
        <li
          key={jobId}
          className="flex flex-wrap items-center gap-2 border-rule border-t py-1.5 first:border-t-0"
        >
          <span className="grow">
            <b>Job {jobId}</b> {machine}
            {place ? <span className="text-soft">, {place}</span> : null}
          </span>
          {isSignedOff ? (
            <a className="btn btn-outline" href={`/jobs/${jobId}/sign-off`}>
              Our repair did not hold
            </a>
          ) : null}
          <button type="button" className="btn btn-outline" onClick={() => begin(jobId, "same")}>
            This one again
          </button>
          <button type="button" className="btn btn-outline" onClick={() => begin(jobId, "twin")}>
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
