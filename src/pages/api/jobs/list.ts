import * as yup from "yup";
import type { JobListPage } from "@/core/job/job-list";
import { fail, issue, ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { readCursor } from "@/server/services/bench";
import { jobList } from "@/server/services/job-list";
import { readShopContext } from "@/server/services/shop-context";

const job = strictObject({
  jobId: yup.number().integer().required(),
  machine: yup.string().defined(),
  family: yup.string().defined(),
  place: yup.string().defined(),
  ownerId: yup.number().integer().nullable().defined(),
  ownerName: yup.string().defined(),
  takenInAt: yup.string().required(),
  touchedAt: yup.string().required(),
  step: yup.object({ band: yup.string().required(), code: yup.string().required() }).required(),
  word: yup.string().nullable().defined(),
});

/** All jobs, here and gone, last touched first. */
export const GET = defineEndpoint({
  about:
    "All jobs, here and gone, last touched first, a page at a time; `next` is where the next page begins",
  query: { after: "`next` of the page before" },
  response: strictObject({
    jobs: yup.array(job.required()).required(),
    all: yup.number().integer().min(0).required(),
    next: yup.string().nullable().defined(),
  }),
  handle: async ({ context }) => {
    const given = context.url.searchParams.get("after");
    const after = readCursor(given);
    if (given !== null && !after)
      return fail(
        issue("after", "page/unreadable", "This page begins nowhere: take `next` of the page before.", given),
      );
    return ok<JobListPage>(await jobList(after, new Date().toISOString(), await readShopContext()));
  },
});
