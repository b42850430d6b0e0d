import * as yup from "yup";
import { STAGES } from "@/core/job/stages";
import { strictObject } from "@/core/validate";

const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$/;

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
    .matches(INSTANT)
    .test({ name: "instant", test: (text) => text === undefined || !Number.isNaN(Date.parse(text)) }),
  by: yup.string().required().max(40),
});
