import * as yup from "yup";
import { STAGES } from "@/core/job/stages";
import { isInstant } from "@/core/quantity/format";
import { strictObject } from "@/core/validate";

/** A line of a log as it travels from one shop to another; its payload is read by the schema of its kind. */
export const keptLineSchema = strictObject({
  entryId: yup.string().uuid().required(),
  seq: yup.number().integer().min(1).required(),
  kind: yup.string().required().max(40),
  kindVersion: yup.number().integer().min(1).required(),
  stage: yup.string().oneOf(STAGES).required(),
  payload: yup.object().required(),
  knowledgeVersion: yup.string().required().max(80),
  settingsVersion: yup.number().integer().min(0).max(2_147_483_647).required(),
  at: yup
    .string()
    .required()
    .test({
      name: "instant",
      message: "at is an instant such as 2026-11-25T09:00:00.000Z",
      test: (given) => given === undefined || isInstant(given),
    }),
  by: yup.string().required().max(40),
});
