import * as yup from "yup";
import { reshelvedSchema } from "@/core/matching/shelf.input";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { reshelve } from "@/server/services/shelf";
import { readShopContext } from "@/server/services/shop-context";

export const PUT = defineEndpoint({
  about: "Another place, price or name of a part on the shelf, or what was tested on it",
  params: strictObject({ id: yup.string().uuid().label("Part on the shelf").required() }),
  body: reshelvedSchema.required(),
  response: strictObject({ version: yup.number().integer().required() }),
  handle: async ({ params: { id }, body }) => reshelve(id, body, await readShopContext()),
});
