import * as yup from "yup";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { partsByMark } from "@/server/services/parts-by-mark";
import { readShopContext } from "@/server/services/shop-context";

/** No stamp is longer. */
const LONGEST = 80;

const hit = strictObject({
  family: yup.string().required(),
  title: yup.string().required(),
  said: yup.string().defined(),
  found: yup.number().integer().required(),
});

export const GET = defineEndpoint({
  about: "Families of parts whose marking a text is, and how many of the list it leaves",
  query: { mark: "What is printed on the part" },
  response: strictObject({ parts: yup.array(hit.required()).required() }),
  handle: async ({ context }) => {
    const mark = (context.url.searchParams.get("mark") ?? "").slice(0, LONGEST);
    return ok({ parts: [...(await partsByMark(mark, await readShopContext()))] });
  },
});
