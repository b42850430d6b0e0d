import * as yup from "yup";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { jobViewAnswer } from "@/server/http/answers";
import { defineEndpoint } from "@/server/http/endpoint";
import { benchJobs } from "@/server/queries/jobs";
import { shopGround } from "@/server/services/ground";

const standing = strictObject({ view: jobViewAnswer.required(), ownerName: yup.string().defined() });

/** Every machine standing here, as the Bench shows them. */
export const GET = defineEndpoint({
  response: strictObject({ jobs: yup.array(standing.required()).required() }),
  handle: async () => {
    const { db, knowledge, limits } = await shopGround();
    return ok({ jobs: (await benchJobs(db, { ...knowledge, limits })) as never });
  },
});
