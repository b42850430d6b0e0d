import * as yup from "yup";
import { idNumber, oneOf, text, wholeNumber } from "@/core/fields.input";
import { KIND_QUESTION_IDS } from "@/core/safety/kind-questions";
import { strictObject } from "@/core/validate";
import { carried } from "../../carried.input";
import { inEach, type Upcaster, withFields } from "../../versions";

const PROTECTION_CLASSES = ["class-1", "class-2", "class-3", "battery", "not-known"] as const;
const CONNECTIONS = ["plug", "detachable-cord", "fixed", "battery", "not-known"] as const;

/** A machine as it came in at the door. Money in minor units. */
export const schema = strictObject({
  machine: yup.string().label("Machine").required().max(80),
  tag: text("Tag", 30),
  place: text("Place", 40),
  family: yup.string().label("Motor family").required().max(60),
  protectionClass: oneOf("Protection class", PROTECTION_CLASSES),
  connection: oneOf("Connection", CONNECTIONS),
  heater: oneOf("Heater", ["yes", "no", "not-known"]),
  ownerId: idNumber("Owner").nullable().defined(),
  ceilingMinor: wholeNumber("Owner's ceiling").nullable().defined().min(0).max(1e9),
  history: text("History", 2000),
  earlierParts: text("Earlier parts", 1000),
  hazards: yup.array(yup.string().required().max(60)).label("Hazards").required().max(20),
  /** Questions about a machine whose name is not known, to which the answer was that it has nothing of the kind. */
  hasNone: yup
    .array(oneOf("Has none of", KIND_QUESTION_IDS).required())
    .label("Has none of")
    .required()
    .max(3),
  /** Why it has none of what was said or known of it before. */
  whyWithout: text("Why it has none", 300),
  feeMinor: wholeNumber("Fee for looking").nullable().defined().min(0).max(1e9),
  feeCounts: yup.boolean().label("Fee set off").required(),
  depositMinor: wholeNumber("Deposit").nullable().defined().min(0).max(1e9),
  recall: strictObject({
    looked: oneOf("Recall", ["nothing-found", "recalled", "not-looked"]),
    where: text("Where it was looked up", 200),
  }).required(),
  from: strictObject({
    jobId: idNumber("Earlier job").required(),
    as: oneOf("Begun from", ["same", "twin"]),
  })
    .nullable()
    .defined(),
  /** What stood open on an earlier visit of the same machine. The server says it. */
  carried: carried().label("Carried on"),
});

/** What a screen posts; the server says what came in with the machine. */
export const draft = schema.omit(["carried"]).noUnknown();

export const versions: readonly Upcaster[] = [
  withFields({
    earlierParts: "",
    hazards: [],
    feeMinor: null,
    feeCounts: true,
    depositMinor: null,
    recall: { looked: "not-looked", where: "" },
    from: null,
  }),
  withFields({ carried: [] }),
  (older) => inEach("carried", { afterMinutes: 0 })(withFields({ hasNone: [], whyWithout: "" })(older)),
];
