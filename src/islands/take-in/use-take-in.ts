import { useEffect, useState } from "react";
import { type FieldErrors, type Resolver, useForm } from "react-hook-form";
import type { JobView } from "@/core/job/log/view";
import type { SeenFault } from "@/core/knowledge/types";
import type { Issue } from "@/core/result";
import type { Shop } from "@/core/shop/shop";
import { request } from "../state/api";
import { dropDraft, keepDraft, readDraft } from "../state/draft";
import { goTo } from "../state/go-to";
import { benchName, newId } from "../state/person";
import { loadJob, type Posted, postEntry } from "../state/post-entry";
import { EMPTY_FORM, fieldOf, formOf, plateFields, readForm, type TakeInForm } from "./form";

function resolverFor(currency: string): Resolver<TakeInForm> {
  return (values) => {
    const { issues } = readForm(values, currency);
    const errors: FieldErrors<TakeInForm> = {};
    for (const one of issues) {
      const field = fieldOf(one.path);
      if (field) errors[field] ??= { type: one.code, message: one.message };
    }
    return Object.keys(errors).length > 0 ? { values: {}, errors } : { values, errors: {} };
  };
}

/** Entries for what differs from the job as it stands. */
function changes(form: TakeInForm, before: TakeInForm, job: JobView, currency: string): Posted[] {
  const next = readForm(form, currency).parts;
  const old = readForm(before, currency).parts;
  const differs = (one: unknown, other: unknown): boolean => JSON.stringify(one) !== JSON.stringify(other);
  const posted: Posted[] = [];
  const stage = "take-in";
  if (differs(next.takenIn, old.takenIn))
    posted.push({
      kind: "taken-in",
      stage,
      payload: { ...next.takenIn, ownerId: job.takenIn?.ownerId ?? null },
    });
  if (next.plate && differs(next.plate, old.plate))
    posted.push({ kind: "nameplate", stage, payload: { ...next.plate } });
  // A machine that came back is told of anew, also where it does the same.
  const isToldAgain = (job.reopened?.seq ?? 0) > (job.complaint?.seq ?? 0);
  if (next.complaint && (isToldAgain || differs(next.complaint, old.complaint)))
    posted.push({ kind: "complaint", stage, payload: { ...next.complaint } });
  return posted;
}

/** What a new job begins with, and what tells its draft from others. */
export interface Begun {
  readonly key: string;
  readonly form: TakeInForm;
}

/** Take in: a new job, or corrections to one. What is typed is put aside on the device as it is typed. */
export function useTakeIn(
  job: JobView | undefined,
  ownerName: string,
  { settings: { currency }, seen: seenFaults }: Pick<Shop, "settings" | "seen">,
  { begun, plate }: { readonly begun?: Begun | undefined; readonly plate?: string | undefined } = {},
) {
  const key = job ? `take-in:${job.jobId}` : `take-in:new${begun ? `:${begun.key}` : ""}`;
  const asKept = job ? formOf(job, ownerName, currency) : (begun?.form ?? EMPTY_FORM);
  const form = useForm<TakeInForm>({
    defaultValues: { ...asKept, ...readDraft<TakeInForm>(key), ...(job && plate ? plateFields(plate) : {}) },
    resolver: resolverFor(currency),
    mode: "onBlur",
  });
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const [kept, setKept] = useState<string | undefined>(undefined);
  useEffect(() => {
    const subscription = form.watch((values) => {
      keepDraft(key, values);
      setKept(undefined);
    });
    return () => subscription.unsubscribe();
  }, [form, key]);
  const show = (issues: readonly Issue[]): void => {
    for (const one of issues) {
      const field = fieldOf(one.path.replace(/^payload/, "takenIn"));
      if (field) form.setError(field, { type: one.code, message: one.message });
    }
    setProblem(issues.map(({ message }) => message).join(" "));
  };
  const makeJob = async (values: TakeInForm): Promise<number | undefined> => {
    const entryId = readDraft<string>(`${key}:id`) ?? newId();
    keepDraft(`${key}:id`, entryId);
    const made = await request("POST /api/jobs", {
      body: { entryId, by: benchName(), ...readForm(values, currency).parts },
    });
    if (!made.ok) {
      show(made.issues);
      return undefined;
    }
    dropDraft(key);
    dropDraft(`${key}:id`);
    return made.value.jobId;
  };
  const correctJob = async (values: TakeInForm, current: JobView): Promise<number | undefined> => {
    const posted = changes(values, asKept, current, currency);
    for (const one of posted) {
      const answer = await postEntry(current.jobId, one);
      if (!answer.ok) {
        show(answer.issues);
        return undefined;
      }
    }
    dropDraft(key);
    setKept(posted.length === 0 ? "Nothing was changed." : "Kept.");
    return current.jobId;
  };
  const keepValues = (values: TakeInForm): Promise<number | undefined> => {
    setProblem(undefined);
    return job ? correctJob(values, job) : makeJob(values);
  };
  /** What was plainly seen is a look, and its repair is decided by it; where that is refused the search begins with the look. */
  const keepSeen = async (jobId: number, { moveId, outcomeId, repair }: SeenFault): Promise<void> => {
    if (!job) await loadJob(jobId);
    const look = { moveId, outcomeId, circumstance: "cold", taken: "afterwards" };
    const kept = await postEntry(jobId, { kind: "answer", stage: "take-in", payload: look });
    if (!kept.ok) return;
    const decided = { route: "part", repair, overrideWhy: "plainly seen" };
    await postEntry(jobId, { kind: "decision", stage: "take-in", payload: decided });
  };
  const keep = form.handleSubmit(async (values) => {
    const jobId = await keepValues(values);
    if (jobId === undefined) return;
    const seen = seenFaults.find(({ id }) => id === values.seen);
    if (seen) await keepSeen(jobId, seen);
    if (!job || seen) goTo(`/jobs/${jobId}/make-safe`);
    else form.reset({ ...values, whyWithout: "" });
  });
  return { form, keep, problem, kept };
}
