import * as yup from "yup";
import { text, wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { forgetOwner } from "@/server/services/forget-owner";
import { renameOwner } from "@/server/services/owners";
import { readShopContext } from "@/server/services/shop-context";

const params = strictObject({
  id: yup
    .string()
    .label("Owner")
    .required()
    .matches(/^[1-9]\d{0,8}$/, "An owner is a whole number"),
});

/** Another name, or another way to reach them. */
export const PUT = defineEndpoint({
  about: "Another name of an owner, or another way to reach them",
  params,
  body: strictObject({
    name: yup.string().label("Owner's name").required().max(80),
    contact: text("Owner's contact", 200),
    version: wholeNumber("version").required().min(1),
  }).required(),
  response: strictObject({ version: yup.number().integer().required() }),
  handle: async ({ params: { id }, body }) => renameOwner(Number(id), body, await readShopContext()),
});

/** Forgets an owner: name and contact are no longer kept, their jobs are. */
export const DELETE = defineEndpoint({
  about: "Forgets an owner: name and contact are no longer kept, their jobs are",
  params,
  response: strictObject({ ownerId: yup.number().integer().required() }),
  handle: async ({ params: { id } }) => forgetOwner(Number(id), await readShopContext()),
});
