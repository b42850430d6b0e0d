import * as yup from "yup";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { jobViewAnswer } from "@/server/http/answers";
import { defineEndpoint } from "@/server/http/endpoint";
import { benchJobs, jobView } from "@/server/queries/jobs";
import { readShopContext } from "@/server/services/shop-context";

const standing = strictObject({ view: jobViewAnswer.required(), ownerName: yup.string().defined() });

/** Every machine standing here as the Bench shows it, or the one asked for by `job`. */
export const GET = defineEndpoint({
  about: "Every machine standing here as the Bench shows it",
  query: { job: "Only this job" },
  response: strictObject({ jobs: yup.array(standing.required()).required() }),
  handle: async ({ context }) => {
    const { db, knowledge, limits } = await readShopContext();
    const shopContext = { ...knowledge, limits };
    const asked = context.url.searchParams.get("job");
    if (asked === null) return ok({ jobs: await benchJobs(db, shopContext) });
    const found = /^[1-9]\d{0,8}$/.test(asked) ? await jobView(db, Number(asked), shopContext) : undefined;
    const jobs = found ? [{ view: found.view, ownerName: found.ownerName }] : [];
    return ok({ jobs: jobs });
  },
});
