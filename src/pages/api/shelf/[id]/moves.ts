import * as yup from "yup";
import { stockLineSchema, stockMoveSchema } from "@/core/matching/shelf.input";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { moveStock, stockLines } from "@/server/services/shelf";
import { readShopContext } from "@/server/services/shop-context";

const params = strictObject({ id: yup.string().uuid().label("Part on the shelf").required() });

export const GET = defineEndpoint({
  about: "What came to a part of the shelf and went from it, newest first",
  params,
  response: strictObject({ moves: yup.array(stockLineSchema.required()).required() }),
  handle: async ({ params: { id } }) => ok({ moves: [...(await stockLines(id, await readShopContext()))] }),
});

/** The same id again changes nothing. */
export const POST = defineEndpoint({
  about: "Puts in or takes out by hand, and never more than lies there",
  params,
  body: stockMoveSchema.required(),
  response: strictObject({ count: yup.number().integer().required() }),
  handle: async ({ params: { id }, body }) =>
    moveStock(id, body, new Date().toISOString(), await readShopContext()),
});
