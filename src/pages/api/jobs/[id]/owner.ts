import * as yup from "yup";
import { strictObject } from "@/core/validate";
import { jobParams } from "@/server/http/answers";
import { defineEndpoint } from "@/server/http/endpoint";
import { forgetOwnerOfJob } from "@/server/services/forget-owner";
import { readShopContext } from "@/server/services/shop-context";

/** Forgets who owns the machine: name and contact are no longer kept, the job is. */
export const DELETE = defineEndpoint({
  about: "Forgets who owns the machine",
  params: jobParams,
  response: strictObject({ jobId: yup.number().integer().required() }),
  handle: async ({ params }) => forgetOwnerOfJob(Number(params.id), await readShopContext()),
});
