import * as yup from "yup";
import { text, wholeNumber } from "@/core/fields.input";
import { type Shape, strictObject } from "@/core/validate";
import { many, numberIn, whole, word, words } from "./fields";
import { routes } from "./route";

const byNumber = strictObject({ id: numberIn("Owner", "owner") });

export const OWNER_ROUTES = routes({
  "GET /api/owners": {
    about: "Owners who were here before, by name",
    query: { find: "Words of the name" },
    answer: strictObject({
      owners: many(
        strictObject({ ownerId: whole(), name: word(), jobs: whole(), machine: words(), touchedAt: words() }),
      ),
    }),
  },
  "PUT /api/owners/{id}": {
    about: "Another name of an owner, or another way to reach them",
    params: byNumber,
    body: strictObject({
      name: yup.string().label("Owner's name").required().max(80),
      contact: text("Owner's contact", 200),
      version: wholeNumber("version").required().min(1),
    }).required(),
    answer: strictObject({ version: whole() }),
  },
  "DELETE /api/owners/{id}": {
    about: "Forgets an owner: name and contact are no longer kept, their jobs are",
    params: byNumber,
    answer: strictObject({ ownerId: whole() }),
  },
});

type Owners = Shape<(typeof OWNER_ROUTES)["GET /api/owners"]["answer"]>;

/** An owner found by name, with what they brought last and when it was last touched. */
export type OwnerHit = Owners["owners"][number];
