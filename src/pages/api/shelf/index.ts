import * as yup from "yup";
import { shelfLineSchema, shelvedSchema } from "@/core/matching/shelf.input";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { putOnShelf, shelfLines } from "@/server/services/shelf";
import { readShopContext } from "@/server/services/shop-context";

export const GET = defineEndpoint({
  about: "All that the shop's shelf has a place for, with how many lie there",
  response: strictObject({ parts: yup.array(shelfLineSchema.required()).required() }),
  handle: async () => ok({ parts: [...(await shelfLines(await readShopContext()))] }),
});

/** The same id again changes nothing. */
export const POST = defineEndpoint({
  about: "Puts a part on the shelf that has no place there yet",
  body: shelvedSchema.required(),
  response: strictObject({ id: yup.string().required() }),
  handle: async ({ body }) => putOnShelf(body, new Date().toISOString(), await readShopContext()),
});
