import * as yup from "yup";
import { type Shape, strictObject } from "../validate";
import { FITS } from "./judge";
import { FROMS } from "./source";

const said = () => yup.string().defined();
const many = <T extends yup.AnyObject>(row: yup.ObjectSchema<T>) => yup.array(row.required()).required();
const howWell = () =>
  yup
    .string()
    .oneOf([...FITS])
    .required();
const from = () =>
  yup
    .string()
    .oneOf([...FROMS])
    .nullable()
    .defined();

const LOOKS = ["body", "dark", "hole", "line", "hidden"] as const;
const point = () => yup.array(yup.number().required()).length(2).required();

/** Small parts on the same order. */
const smallParts = () =>
  many(
    strictObject({
      label: said(),
      why: said(),
      count: yup.number().required(),
      priceMinor: yup.number().integer().required(),
    }),
  );

/** What a screen gets of a match: all of it in words. */
export const matchAnswerSchema = strictObject({
  family: strictObject({ id: said(), title: said(), hasMark: yup.boolean().required() }).required(),
  schools: many(
    strictObject({
      id: said(),
      label: said(),
      chosen: said(),
      choices: many(strictObject({ value: said(), label: said(), why: said() })),
    }),
  ),
  drawing: strictObject({
    told: said(),
    /** Shorter words for labels that are too long for it. */
    words: many(strictObject({ of: said(), words: said() })),
    shapes: many(strictObject({ d: said(), look: yup.string().oneOf(LOOKS).required() })),
    marks: many(
      strictObject({
        of: said(),
        kind: yup
          .string()
          .oneOf(["size", "point"] as const)
          .required(),
        from: point(),
        to: point(),
        label: point(),
        anchor: yup
          .string()
          .oneOf(["start", "middle", "end"] as const)
          .required(),
      }),
    ),
  }).required(),
  /** How many are fitted together as a rule. */
  fitted: yup.number().integer().required(),
  needed: many(
    strictObject({
      id: said(),
      label: said(),
      value: yup.string().nullable().defined(),
      from: from(),
      said: said(),
      sure: yup.number().required(),
      isHard: yup.boolean().required(),
      choices: many(strictObject({ value: said(), label: said() })),
      how: said(),
      minutes: yup.number().required(),
    }),
  ),
  /** Said with all that fits. */
  notes: yup.array(said()).required(),
  conflicts: many(
    strictObject({
      attribute: said(),
      label: said(),
      sources: many(
        strictObject({ from: from(), value: said(), said: said(), canBeTaken: yup.boolean().required() }),
      ),
      proposed: from(),
    }),
  ),
  asks: many(
    strictObject({
      attribute: said(),
      label: said(),
      how: said(),
      minutes: yup.number().required(),
      removes: yup.number().required(),
    }),
  ),
  candidates: many(
    strictObject({
      id: said(),
      label: said(),
      fit: howWell(),
      priceMinor: yup.number().integer().required(),
      days: yup.number().required(),
      supplier: said(),
      /** Where it lies and how many, for one that is here. */
      shelf: strictObject({ place: said(), count: yup.number().integer().required() }).nullable().defined(),
      marks: many(strictObject({ attribute: said(), fit: howWell(), said: said() })),
      goesWith: smallParts(),
    }),
  ),
  found: yup.number().integer().required(),
  /** Several parts in the place of one, or a part of another kind, where that beats the best single one. */
  together: many(
    strictObject({
      id: said(),
      parts: many(
        strictObject({ label: said(), supplier: said(), place: yup.string().nullable().defined() }),
      ),
      /** What they come to; empty where that is nothing of its own. */
      total: said(),
      goesWith: smallParts(),
      /** How it is fitted. */
      said: said(),
      fit: howWell(),
      priceMinor: yup.number().integer().required(),
      days: yup.number().required(),
    }),
  ),
  nearMisses: many(strictObject({ id: said(), label: said(), said: said() })),
  rejected: many(strictObject({ label: said(), count: yup.number().integer().required() })),
});

export type MatchAnswer = Shape<typeof matchAnswerSchema>;
