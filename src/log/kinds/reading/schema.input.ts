import * as yup from "yup";
import { byTag, oneOf, rawObject, taken } from "@/core/fields.input";
import type { Reading } from "@/core/quantity/reading";
import { findingSchema } from "@/core/tools/finding.input";
import { upcastFinding } from "@/core/tools/upcast-finding";
import { finiteNumber, strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

const input = () => rawObject("Input", "Input of the tool, as GET /api/tools describes it");

/** A tool's reading, as it was typed, with the Finding that the server worked out. */
const toolReading = strictObject({
  of: oneOf("of", ["tool"]),
  toolId: yup.string().label("Tool").required().max(60),
  moveId: yup.string().label("Move").nullable().defined().max(60),
  input: input(),
  finding: findingSchema.required(),
  taken: taken(),
  looseReadingId: yup.string().uuid().nullable().defined(),
});

/** A dead check's answer. */
const deadCheck = strictObject({
  of: oneOf("of", ["dead-check"]),
  checkId: yup.string().label("Check").required().max(60),
  entered: yup.string().label("Reading").required().max(60),
  /** What it was read as; null for a look. */
  reading: yup
    .mixed<Reading>(
      (given): given is Reading => typeof given === "object" && given !== null && "kind" in given,
    )
    .nullable()
    .defined()
    .meta({ any: "A Reading in SI, or null" }),
  taken: taken(),
  verdict: oneOf("Verdict", ["passed", "failed", "undecided"]),
  limit: finiteNumber().nullable().defined(),
  limitId: yup.string().nullable().defined(),
  limitSource: yup.string().nullable().defined(),
});

/** What a screen posts for a tool's reading: the server works the Finding out itself. */
const toolReadingDraft = strictObject({
  of: oneOf("of", ["tool"]),
  toolId: yup.string().label("Tool").required().max(60),
  moveId: yup.string().label("Move").nullable().defined().max(60),
  input: input(),
  taken: taken(),
});

/** A loose reading put into a job: it is named, not copied. */
const looseReadingDraft = strictObject({
  of: oneOf("of", ["loose"]),
  looseReadingId: yup.string().uuid().label("Loose reading").required(),
  moveId: yup.string().label("Move").nullable().defined().max(60),
});

const deadCheckDraft = strictObject({
  of: oneOf("of", ["dead-check"]),
  checkId: yup.string().label("Check").required().max(60),
  entered: yup.string().label("Reading").required().max(60),
  taken: taken(),
});

/** Readings say how the machine stood, what the number is a ratio to, and which limit row held. */
const readingV2: Upcaster = (payload) => {
  const old: Readonly<Record<string, unknown>> = Object.assign({}, payload);
  if (old["of"] === "dead-check") return { ...old, limitId: null };
  return { ...old, finding: upcastFinding(old["finding"], old["input"]) };
};

export const schema = byTag("of", { tool: toolReading, "dead-check": deadCheck });

/** What a screen posts; the server completes it. */
export const draft = byTag("of", {
  tool: toolReadingDraft,
  loose: looseReadingDraft,
  "dead-check": deadCheckDraft,
});

export const versions: readonly Upcaster[] = [readingV2];
