import * as yup from "yup";
import { CIRCUMSTANCES } from "../knowledge/circumstances";
import { finiteNumber, type Shape, strictObject } from "../validate";

/** Values that a sentence is filled with: numbers in SI, words, and whether something holds. */
const params = yup
  .mixed<Record<string, number | string | boolean>>(
    (given): given is Record<string, number | string | boolean> =>
      typeof given === "object" &&
      given !== null &&
      Object.values(given).every((one) => ["number", "string", "boolean"].includes(typeof one)),
  )
  .required()
  .meta({ any: "Values that the sentence is filled with, by name" });

const said = strictObject({ code: yup.string().required(), params }).required();

/** A value worked out, SI, with the limit it was held against and where that limit comes from. */
const figure = strictObject({
  id: yup.string().required(),
  label: yup.string().required(),
  value: yup.number().required(),
  unit: yup.string().required(),
  lower: yup.number(),
  upper: yup.number(),
  limit: yup.number(),
  /** The limit row, where it was one. */
  limitId: yup.string(),
  /** A source id, or `mark`, `nameplate`, `twin`, `earlier`, `shop`. */
  limitSource: yup.string(),
}).required();

/** What isolation may learn from a reading. */
const evidence = strictObject({
  moveId: yup.string().required(),
  outcomeId: yup.string().required(),
  /** How the machine stood when it was read. */
  circumstance: yup.string().oneOf(CIRCUMSTANCES).required(),
  /** Holds whatever the reading was taken for, such as a clue to the kind of motor. */
  always: yup.boolean().optional(),
  /** The number itself, SI, with the meter's error; `mark` is what the knowledge's distribution is a ratio to. */
  likelihood: strictObject({
    quantity: yup.string().required(),
    value: yup.number().required(),
    halfWidth: yup.number().required(),
    mark: finiteNumber().positive(),
  })
    .optional()
    .default(undefined),
}).required();

/** Schema of a Finding on the wire and in the log. */
export const findingSchema = strictObject({
  verdict: yup
    .string()
    .oneOf(["sound", "suspect", "faulty", "undecided"] as const)
    .required(),
  figures: yup.array(figure).required(),
  reasons: yup.array(said).required(),
  cautions: yup.array(said).required(),
  sources: yup.array(yup.string().required()).required(),
  evidence: yup.array(evidence).required(),
  /** What it tells of the part itself, for matching: such as that it had a resistor. */
  tells: params.optional().default(undefined),
  basis: strictObject({
    toolId: yup.string().required(),
    toolVersion: yup.number().required(),
    knowledgeVersion: yup.string().required(),
  }).required(),
});

/** What a tool answers. */
export type Finding = Shape<typeof findingSchema>;
export type Verdict = Finding["verdict"];
export type Figure = Finding["figures"][number];
export type Evidence = Finding["evidence"][number];
/** Words live in the interface; core says which sentence and with which values. */
export type Said = Finding["reasons"][number];
