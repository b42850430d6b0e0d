import * as yup from "yup";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { findOwners } from "@/server/services/owners";
import { readShopContext } from "@/server/services/shop-context";

const hit = strictObject({
  ownerId: yup.number().integer().required(),
  name: yup.string().required(),
  jobs: yup.number().integer().required(),
  machine: yup.string().defined(),
  touchedAt: yup.string().defined(),
});

/** Owners who were here before, by name. */
export const GET = defineEndpoint({
  about: "Owners who were here before, by name",
  query: { find: "Words of the name" },
  response: strictObject({ owners: yup.array(hit.required()).required() }),
  handle: async ({ context }) => {
    const words = (context.url.searchParams.get("find") ?? "").slice(0, 100);
    return ok({ owners: await findOwners(words, await readShopContext()) });
  },
});
