import * as yup from "yup";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { keepPicture, MAX_PICTURE_BYTES } from "@/server/services/keep-picture";
import { readShopContext } from "@/server/services/shop-context";

/** Keeps a picture: the body is the file itself. An entry then names it by its hash. */
export const POST = defineEndpoint({
  about: "Keeps a picture: the body is the file itself",
  fileUpTo: MAX_PICTURE_BYTES,
  response: strictObject({
    sha256: yup.string().length(64).required(),
    width: yup.number().integer().min(1).required(),
    height: yup.number().integer().min(1).required(),
  }),
  handle: async ({ bytes }) => keepPicture(bytes, new Date().toISOString(), (await readShopContext()).db),
});
