import * as yup from "yup";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { runningTimers } from "@/server/queries/timers";
import { readShopContext } from "@/server/services/shop-context";

const timer = strictObject({
  jobId: yup.number().integer().required(),
  seq: yup.number().integer().required(),
  machine: yup.string().defined(),
  what: yup.string().required(),
  endsAt: yup.string().required(),
});

/** Timers of all jobs: every screen rings for every one of them. */
export const GET = defineEndpoint({
  about: "Timers of all jobs",
  response: strictObject({ timers: yup.array(timer.required()).required() }),
  handle: async () => {
    const { db } = await readShopContext();
    return ok({ timers: await runningTimers(db, new Date().toISOString()) });
  },
});
