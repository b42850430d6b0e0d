import * as yup from "yup";
import type { BenchPage } from "@/core/job/bench-page";
import { fail, issue, ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { standingAnswer } from "@/server/http/answers";
import { defineEndpoint } from "@/server/http/endpoint";
import { benchPage, readCursor } from "@/server/services/bench";
import { readShopContext } from "@/server/services/shop-context";

const benchJob = strictObject({ standing: standingAnswer.required(), ownerName: yup.string().defined() });
const count = () => yup.number().integer().min(0).required();

/** Machines as the Bench shows them, a page at a time. */
export const GET = defineEndpoint({
  about:
    "Machines as the Bench shows them, last touched first, a page at a time; `next` is where the next page begins",
  query: {
    job: "Only this job",
    list: "`gone` for the machines that have left; otherwise those that are here",
    after: "`next` of the page before",
  },
  response: strictObject({
    jobs: yup.array(benchJob.required()).required(),
    here: count(),
    gone: count(),
    next: yup.string().nullable().defined(),
  }),
  handle: async ({ context }) => {
    const { searchParams } = context.url;
    const shopContext = await readShopContext();
    const asked = searchParams.get("job");
    if (asked !== null)
      return ok<BenchPage>(
        await benchPage({ jobId: /^[1-9]\d{0,8}$/.test(asked) ? Number(asked) : 0 }, shopContext),
      );
    const given = searchParams.get("after");
    const after = readCursor(given);
    if (given !== null && !after)
      return fail(
        issue("after", "page/unreadable", "This page begins nowhere: take `next` of the page before.", given),
      );
    const list = searchParams.get("list") === "gone" ? "gone" : "here";
    return ok<BenchPage>(await benchPage({ list, after }, shopContext));
  },
});
