import * as yup from "yup";
import { idNumber, oneOf, text, wholeNumber } from "@/core/fields.input";
import { STAGES } from "@/core/job/stages";
import { strictObject } from "@/core/validate";
import { schema as complaint } from "./kinds/complaint/schema.input";
import { motorPlate } from "./kinds/nameplate/schema.input";
import { schema as picture } from "./kinds/picture/schema.input";
import { draft as takenIn } from "./kinds/taken-in/schema.input";
import { ENTRY_KINDS, type EntryKind, SCHEMAS } from "./schemas";

const watch = strictObject({
  settledSeq: wholeNumber("settledSeq").required().min(0),
  touchedAt: yup
    .string()
    .required()
    .matches(/^\d{4}-\d\d-\d\dT[\d:.]+Z$/, "touchedAt is an instant in UTC"),
});

/** The form in which a screen posts a kind. */
export function draftSchema(kind: EntryKind): yup.ISchema<unknown> {
  const room = SCHEMAS[kind];
  return "draft" in room ? room.draft : room.schema;
}

const envelope = (kinds: readonly EntryKind[], payload: yup.ISchema<unknown>) =>
  strictObject({
    entryId: yup.string().uuid("entryId is a UUID").label("entryId").required(),
    expectedSeq: wholeNumber("expectedSeq").required().min(0),
    kind: oneOf("Kind of entry", kinds),
    stage: oneOf("Stage", STAGES),
    payload,
    by: yup.string().label("By").required().max(40),
    /** What the screen showed when it was posted: for calibration and replay only. */
    shown: yup.mixed().nullable().meta({ any: "What the screen showed" }),
    watch: watch.optional().default(undefined),
  }).required();

/** Body of POST /api/jobs/{id}/entries: its payload is that of its kind. */
export const entryDraftSchema = yup
  .lazy((value: unknown) => {
    const given: { kind?: unknown; payload?: unknown } =
      typeof value === "object" && value !== null ? value : {};
    const known = ENTRY_KINDS.find((one) => one === given.kind);
    if (!known) return envelope(ENTRY_KINDS, yup.mixed());
    // A schema that is chosen by the value cannot itself be required.
    const isMissing = given.payload === undefined || given.payload === null;
    return envelope([known], isMissing ? yup.mixed().label("Payload").required() : draftSchema(known));
  })
  .meta({ oneOf: ENTRY_KINDS.map((kind) => envelope([kind], draftSchema(kind))) });

/** Body of POST /api/jobs. */
export const takeInDraftSchema = strictObject({
  entryId: yup.string().uuid("entryId is a UUID").label("entryId").required(),
  by: yup.string().label("By").required().max(40),
  takenIn: takenIn.omit(["ownerId"]).noUnknown().required(),
  owner: strictObject({
    /** An owner who was here before, as found by name. */
    ownerId: idNumber("Owner").nullable().optional().default(null),
    name: yup.string().label("Owner's name").required().max(80),
    contact: text("Owner's contact", 200),
  })
    .nullable()
    .defined(),
  complaint: complaint.nullable().defined(),
  plate: motorPlate.nullable().defined(),
  pictures: yup.array(picture.required()).label("Pictures").required().max(20),
}).required();
