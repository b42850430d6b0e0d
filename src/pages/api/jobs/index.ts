import * as yup from "yup";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { takeInDraftSchema } from "@/log/entry-draft.input";
import { defineEndpoint } from "@/server/http/endpoint";
import { findJobs } from "@/server/services/bench";
import { readShopContext } from "@/server/services/shop-context";
import { takeIn } from "@/server/services/take-in";

const hit = strictObject({
  jobId: yup.number().integer().required(),
  machine: yup.string().defined(),
  tag: yup.string().defined(),
  place: yup.string().defined(),
  ownerName: yup.string().defined(),
  touchedAt: yup.string().required(),
  decided: yup.string().defined(),
  word: yup.string().nullable().defined(),
  isSignedOff: yup.boolean().required(),
});

/** Jobs found by number, tag, machine, place or owner. */
export const GET = defineEndpoint({
  about: "Jobs found by number, tag, machine, place or owner",
  query: { find: "Words to find" },
  response: strictObject({ jobs: yup.array(hit.required()).required() }),
  handle: async ({ context }) => {
    const words = (context.url.searchParams.get("find") ?? "").slice(0, 100);
    return ok({ jobs: await findJobs(words, await readShopContext()) });
  },
});

/** Takes a machine in: a job with its first entries. */
export const POST = defineEndpoint({
  about: "Takes a machine in: a job with its first entries",
  body: takeInDraftSchema,
  response: strictObject({ jobId: yup.number().integer().required() }),
  handle: async ({ body }) => {
    const made = await takeIn(body, new Date().toISOString(), await readShopContext());
    return made.ok ? ok({ jobId: made.value }) : made;
  },
});
