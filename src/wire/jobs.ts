import * as yup from "yup";
import type { BenchJob } from "@/core/job/bench-page";
import type { JobHit } from "@/core/job/job-hit";
import type { JobListPage } from "@/core/job/job-list";
import type { EntryKind } from "@/core/job/log/entry";
import type { Stage } from "@/core/job/stages";
import type { Watch } from "@/core/safety/plug-watch";
import { type Shape, strictObject } from "@/core/validate";
import { entryDraftSchema, takeInDraftSchema } from "@/log/entry-draft.input";
import { count, many, numberIn, whole, word, words, yes } from "./fields";
import { jobViewAnswer, standingAnswer } from "./job-view";
import { answerOf, routes, sentAs } from "./route";

const byNumber = strictObject({ id: numberIn("Job number", "job") });
const begun = strictObject({ jobId: whole() });

const hit = answerOf<JobHit>()({
  jobId: whole(),
  machine: words(),
  tag: words(),
  place: words(),
  ownerName: words(),
  touchedAt: word(),
  decided: words(),
  word: yup.string().nullable().defined(),
  isSignedOff: yes(),
});

const listed = answerOf<JobListPage["jobs"][number]>()({
  jobId: whole(),
  machine: words(),
  family: words(),
  place: words(),
  ownerId: yup.number().integer().nullable().defined(),
  ownerName: words(),
  takenInAt: word(),
  touchedAt: word(),
  step: yup.object({ band: word(), code: word() }).required(),
  word: yup.string().nullable().defined(),
});

const benchJob = answerOf<BenchJob>()({ standing: standingAnswer.required(), ownerName: words() });

/** An entry as a screen posts it: its payload as it was typed. */
export interface Posting {
  readonly entryId: string;
  readonly expectedSeq: number;
  readonly kind: EntryKind;
  readonly stage: Stage;
  readonly payload: Readonly<Record<string, unknown>>;
  readonly by: string;
  readonly shown?: unknown;
  readonly watch?: Watch | undefined;
}

/** A machine at the door as its form posts it. */
export interface TakingIn {
  readonly entryId: string;
  readonly by: string;
  readonly takenIn: unknown;
  readonly owner: unknown;
  readonly complaint: unknown;
  readonly plate: unknown;
  readonly pictures: unknown;
}

export const JOB_ROUTES = routes({
  "GET /api/jobs": {
    about: "Jobs found by number, tag, machine, place or owner",
    query: { find: "Words to find" },
    answer: strictObject({ jobs: many(hit) }),
  },
  "POST /api/jobs": {
    about: "Takes a machine in: a job with its first entries",
    body: takeInDraftSchema,
    sent: sentAs<TakingIn>(),
    answer: begun,
  },
  "GET /api/jobs/list": {
    about:
      "All jobs, here and gone, last touched first, a page at a time; `next` is where the next page begins",
    query: { after: "`next` of the page before" },
    answer: strictObject({ jobs: many(listed), all: count(), next: yup.string().nullable().defined() }),
  },
  "POST /api/jobs/import": {
    about: "Takes in a job that another shop exported: the body is the file itself",
    query: { by: "Who takes it in" },
    fileUpTo: 100 * 1024 * 1024,
    answer: begun,
  },
  "GET /api/jobs/{id}": { about: "A job as its log says it", params: byNumber, answer: jobViewAnswer },
  "GET /api/jobs/{id}/archive": {
    about: "A job as a file that another shop can take in; who owns the machine is not in it",
    params: byNumber,
    answers: "application/zip",
  },
  "POST /api/jobs/{id}/entries": {
    about: "Appends one entry to a job's log and answers with the job as it stands then",
    params: byNumber,
    body: entryDraftSchema,
    sent: sentAs<Posting>(),
    answer: jobViewAnswer,
  },
  "DELETE /api/jobs/{id}/owner": { about: "Forgets who owns the machine", params: byNumber, answer: begun },
  "GET /api/bench": {
    about:
      "Machines as the Bench shows them, last touched first, a page at a time; `next` is where the next page begins",
    query: {
      job: "Only this job",
      list: "`gone` for the machines that have left; otherwise those that are here",
      after: "`next` of the page before",
    },
    answer: strictObject({
      jobs: many(benchJob),
      here: count(),
      gone: count(),
      next: yup.string().nullable().defined(),
    }),
  },
  "GET /api/timers": {
    about: "Timers of all jobs",
    answer: strictObject({
      timers: many(
        strictObject({ jobId: whole(), seq: whole(), machine: words(), what: word(), endsAt: word() }),
      ),
    }),
  },
  "GET /api/events": {
    about: "Server-sent events: one `job` for each log that grew",
    answers: "text/event-stream",
  },
});

type Timers = Shape<(typeof JOB_ROUTES)["GET /api/timers"]["answer"]>;

/** A timer that runs, or ran out a while ago, with the machine it is for; its end is an instant in UTC. */
export type RunningTimer = Timers["timers"][number];
