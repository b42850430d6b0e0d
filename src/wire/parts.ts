import * as yup from "yup";
import { idNumber } from "@/core/fields.input";
import { askedSchema } from "@/core/matching/asked.input";
import { matchAnswerSchema } from "@/core/matching/match-answer.input";
import {
  reshelvedSchema,
  type Shelved,
  shelfLineSchema,
  shelvedSchema,
  stockLineSchema,
  stockMoveSchema,
} from "@/core/matching/shelf.input";
import { type Shape, strictObject } from "@/core/validate";
import { many, whole, word, words } from "./fields";
import { routes, sentAs } from "./route";

const onShelf = strictObject({ id: yup.string().uuid().label("Part on the shelf").required() });

/** A part to be put there: how many as it was typed, so that what is no number is refused by its name. */
type PuttingThere = Omit<Shelved, "count"> & { readonly count: number | string };

export const PART_ROUTES = routes({
  "POST /api/match": {
    about: "What is needed of a part, and what of the price list may be fitted in its place; nothing is kept",
    body: strictObject({
      jobId: idNumber("Job").nullable().defined(),
      asked: askedSchema.required(),
    }).required(),
    keepsNothing: true,
    answer: matchAnswerSchema,
  },
  "GET /api/parts": {
    about: "Families of parts whose marking a text is, and how many of the list it leaves",
    query: { mark: "What is printed on the part" },
    answer: strictObject({
      parts: many(strictObject({ family: word(), title: word(), said: words(), found: whole() })),
    }),
  },
  "GET /api/shelf": {
    about: "All that the shop's shelf has a place for, with how many lie there",
    answer: strictObject({ parts: many(shelfLineSchema) }),
  },
  // The same id again changes nothing, here and for a move by hand.
  "POST /api/shelf": {
    about: "Puts a part on the shelf that has no place there yet",
    body: shelvedSchema.required(),
    sent: sentAs<PuttingThere>(),
    answer: strictObject({ id: word() }),
  },
  "PUT /api/shelf/{id}": {
    about: "Another place, price or name of a part on the shelf, or what was tested on it",
    params: onShelf,
    body: reshelvedSchema.required(),
    answer: strictObject({ version: whole() }),
  },
  "GET /api/shelf/{id}/moves": {
    about: "What came to a part of the shelf and went from it, newest first",
    params: onShelf,
    answer: strictObject({ moves: many(stockLineSchema) }),
  },
  "POST /api/shelf/{id}/moves": {
    about: "Puts in or takes out by hand, and never more than lies there",
    params: onShelf,
    body: stockMoveSchema.required(),
    answer: strictObject({ count: whole() }),
  },
});

type Parts = Shape<(typeof PART_ROUTES)["GET /api/parts"]["answer"]>;

/** A family whose marking a text is, and how many of the list it leaves. */
export type PartHit = Parts["parts"][number];
