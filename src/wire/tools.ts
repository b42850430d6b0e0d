import * as yup from "yup";
import { rawObject } from "@/core/fields.input";
import { limitOverrides } from "@/core/knowledge/limits.input";
import type { Knowledge } from "@/core/knowledge/types";
import { findingSchema } from "@/core/tools/finding.input";
import { type Shape, strictObject } from "@/core/validate";
import { many, whole, word } from "./fields";
import { answerOf, routes } from "./route";

const listed = strictObject({
  id: word(),
  title: word(),
  version: whole(),
  /** The kind of marking it takes from the type line. */
  takesMarking: yup.string(),
  input: yup.object().required(),
  example: yup.mixed().required().meta({ any: "Input that the tool accepts" }),
});
/** A tool by name. */
export type ListedTool = Shape<typeof listed>;

const kept = strictObject({
  id: word(),
  toolId: word(),
  input: rawObject("input", "Input of the tool, as it was sent"),
  finding: findingSchema.required(),
  at: word(),
  by: word(),
});
/** A reading of a tool that was used on its own. */
export type LooseReading = Shape<typeof kept>;

const rows = () => many(yup.object({ id: word() }));
const knowledge = answerOf<Knowledge>()({
  version: word(),
  moves: rows(),
  faults: rows(),
  sources: rows(),
  families: rows(),
  limits: rows(),
  parameters: rows(),
  archetypes: rows(),
  stations: rows(),
  repairs: rows(),
  access: rows(),
  regions: rows(),
  signs: rows(),
  deadChecks: rows(),
  hazards: rows(),
  seen: rows(),
  recalls: rows(),
  kit: rows(),
  inseparable: many(yup.object()),
  protections: many(yup.object()),
  touchWords: many(yup.object()),
  aliases: many(yup.object()),
});

export const TOOL_ROUTES = routes({
  "GET /api/tools": {
    about: "Every tool with the JSON Schema of its input and one worked example",
    answer: strictObject({ tools: many(listed) }),
  },
  "POST /api/tools/{tool}": {
    about: "Runs a tool on readings; nothing is kept",
    params: strictObject({ tool: word() }),
    body: strictObject({ input: yup.object().label("input").required(), limits: limitOverrides }).required(),
    keepsNothing: true,
    answer: strictObject({ finding: findingSchema.required() }),
  },
  "POST /api/readings": {
    about: "Keeps a reading of a tool that was used on its own",
    body: strictObject({
      id: yup.string().uuid().label("id").required(),
      toolId: yup.string().label("Tool").required(),
      input: rawObject("input", "Input of the tool, as GET /api/tools describes it"),
      by: yup.string().label("By").required().max(40),
    }).required(),
    answer: kept,
  },
  "GET /api/knowledge": {
    about: "The knowledge that answers stand on; its version is the ETag",
    answer: knowledge,
  },
  "GET /api/meter": {
    about: "Server-sent events from the meter: `reading` with the text to type, `ended` with why",
    query: {
      quantity: "What is measured, such as resistance",
      a: "Point of one probe",
      b: "Point of the other",
    },
    answers: "text/event-stream",
  },
  "POST /api/pictures": {
    about: "Keeps a picture: the body is the file itself",
    // What a telephone's camera makes, and not more.
    fileUpTo: 25 * 1024 * 1024,
    answer: strictObject({
      sha256: yup.string().length(64).required(),
      width: yup.number().integer().min(1).required(),
      height: yup.number().integer().min(1).required(),
    }),
  },
  "GET /api/pictures/{sha}": {
    about: "A kept picture, as a JPEG",
    params: strictObject({ sha: word() }),
    query: { size: "`small` for a thumbnail" },
    answers: "image/jpeg",
  },
});
