import * as yup from "yup";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { startShop } from "@/server/services/start-shop";

/** Opens, migrates and seeds the database before it answers: the start command waits for this. */
export const GET = defineEndpoint({
  about: "Opens, migrates and seeds the database before it answers",
  response: strictObject({
    ready: yup.boolean().required(),
    engine: yup.string().required(),
    jobs: yup.number().integer().required(),
  }),
  handle: async () => ok({ ready: true, ...(await startShop()) }),
});
