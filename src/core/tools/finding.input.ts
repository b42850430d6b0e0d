import * as yup from "yup";
import { strictObject } from "../validate";

const code = strictObject({ code: yup.string().required(), params: yup.object().required() });

/** Schema of a Finding on the wire and in the log. */
export const findingSchema = strictObject({
  verdict: yup
    .string()
    .oneOf(["sound", "suspect", "faulty", "undecided"] as const)
    .required(),
  figures: yup
    .array(
      strictObject({
        id: yup.string().required(),
        label: yup.string().required(),
        value: yup.number().required(),
        unit: yup.string().required(),
        lower: yup.number(),
        upper: yup.number(),
        limit: yup.number(),
        limitSource: yup.string(),
      }),
    )
    .required(),
  reasons: yup.array(code).required(),
  cautions: yup.array(code).required(),
  sources: yup.array(yup.string().required()).required(),
  evidence: yup
    .array(
      strictObject({
        moveId: yup.string().required(),
        outcomeId: yup.string().required(),
        likelihood: strictObject({
          quantity: yup.string().required(),
          value: yup.number().required(),
          halfWidth: yup.number().required(),
        })
          .optional()
          .default(undefined),
      }),
    )
    .required(),
  basis: strictObject({
    toolId: yup.string().required(),
    toolVersion: yup.number().required(),
    knowledgeVersion: yup.string().required(),
  }).required(),
});
