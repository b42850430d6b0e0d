import * as yup from "yup";
import { readingField } from "../quantity/reading.input";
import { findingSchema } from "../tools/finding.input";
import { finiteNumber, strictObject } from "../validate";
import type { EntryKind } from "./entry";
import { money, oneOf, text, wholeNumber } from "./fields.input";
import { pinned, refitted, removed, reordered } from "./put-back.input";
import { acceptanceRun, followedUp, followUp } from "./sign-off.input";
import { STAGES } from "./stages";
import { capacitorPlate, complaint, motorPlate, picture, takenIn } from "./take-in.input";

const storeId = oneOf("What stores charge", ["start", "run", "bus", "any"]);
const measuredVolts = () => finiteNumber().label("Volts read").required().min(-100_000).max(100_000);

const BENCH_EVENTS: Readonly<Record<string, yup.Schema>> = {
  "plugged-in": strictObject({ event: oneOf("event", ["plugged-in"]) }),
  "not-known": strictObject({ event: oneOf("event", ["not-known"]) }),
  "nothing-stores": strictObject({ event: oneOf("event", ["nothing-stores"]) }),
  unplugged: strictObject({
    event: oneOf("event", ["unplugged"]),
    evidence: oneOf("Where the plug is", [
      "plug-in-sight",
      "plug-in-pocket",
      "plug-tagged",
      "cord-off-machine",
    ]),
  }),
  isolated: strictObject({
    event: oneOf("event", ["isolated"]),
    volts: measuredVolts(),
    means: yup.string().label("Read with").required().max(80),
  }),
  battery: strictObject({ event: oneOf("event", ["battery"]), is: oneOf("Battery", ["in", "out"]) }),
  "stored-volts": strictObject({
    event: oneOf("event", ["stored-volts"]),
    id: storeId,
    volts: measuredVolts(),
    dielectric: oneOf("Dielectric", ["film", "electrolytic", "not-known"]),
  }),
  "stored-clip": strictObject({ event: oneOf("event", ["stored-clip"]), id: storeId }),
  "stored-cannot": strictObject({
    event: oneOf("event", ["stored-cannot"]),
    id: storeId,
    why: yup.string().label("Why not").required().max(300),
  }),
  held: strictObject({
    event: oneOf("event", ["held"]),
    id: oneOf("Held", ["springs", "lifted-load", "belt"]),
    is: oneOf("Held", ["held", "free", "none"]),
  }),
  minded: strictObject({
    event: oneOf("event", ["minded"]),
    id: yup.string().label("Hazard").required().max(60),
  }),
  load: strictObject({ event: oneOf("event", ["load"]), is: oneOf("Load", ["coupled", "separated"]) }),
  temperature: strictObject({
    event: oneOf("event", ["temperature"]),
    is: oneOf("Temperature", ["cold", "warm", "hot"]),
  }),
};

/** One of several shapes, told apart by a tag. */
function byTag(tag: string, shapes: Readonly<Record<string, yup.Schema>>): yup.Lazy<unknown> {
  const known = Object.keys(shapes);
  return yup.lazy((value: unknown) => {
    const given =
      typeof value === "object" && value !== null ? (value as Record<string, unknown>)[tag] : undefined;
    const shape = typeof given === "string" ? shapes[given] : undefined;
    return shape ?? yup.object({ [tag]: yup.string().oneOf(known).required() }).required();
  });
}

const access = strictObject({ access: yup.string().label("What was opened").required().max(80) });
const finding = findingSchema;

const toolReading = strictObject({
  of: oneOf("of", ["tool"]),
  toolId: yup.string().label("Tool").required().max(60),
  moveId: yup.string().label("Move").nullable().defined().max(60),
  input: yup.object().label("Input").required(),
  finding: finding.required(),
  taken: oneOf("Taken", ["now", "afterwards"]),
  looseReadingId: yup.string().uuid().nullable().defined(),
});

const deadCheck = strictObject({
  of: oneOf("of", ["dead-check"]),
  checkId: yup.string().label("Check").required().max(60),
  entered: yup.string().label("Reading").required().max(60),
  reading: yup.object().nullable().defined(),
  taken: oneOf("Taken", ["now", "afterwards"]),
  verdict: oneOf("Verdict", ["passed", "failed", "undecided"]),
  limit: finiteNumber().nullable().defined(),
  limitId: yup.string().nullable().defined(),
  limitSource: yup.string().nullable().defined(),
});

const ROUTES = ["part", "motor", "replace"] as const;
/** Schema of the payload of each kind, newest version. */
export const PAYLOADS: Readonly<Record<EntryKind, yup.Schema | yup.Lazy<unknown>>> = {
  "taken-in": takenIn,
  nameplate: byTag("plate", { motor: motorPlate, capacitor: capacitorPlate }),
  complaint,
  "bench-state": byTag("event", BENCH_EVENTS),
  opened: access,
  closed: access,
  answer: strictObject({
    moveId: yup.string().label("Move").required().max(60),
    outcomeId: yup.string().label("Answer").required().max(60),
    circumstance: oneOf("Circumstance", ["cold", "hot", "loaded"]),
    taken: oneOf("Taken", ["now", "afterwards"]),
  }),
  intervention: strictObject({
    label: yup.string().label("What was done").required().max(120),
    faultIds: yup.array(yup.string().required().max(60)).label("Faults").required().max(20),
    success: finiteNumber().label("Chance that it cured").required().min(0).max(1),
    seen: strictObject({
      moveId: yup.string().label("Look").required().max(60),
      outcomeId: yup.string().label("What was seen").required().max(60),
    })
      .nullable()
      .defined(),
  }),
  reading: byTag("of", { tool: toolReading, "dead-check": deadCheck }),
  "part-chosen": strictObject({
    forPart: oneOf("For", ["start", "run"]),
    partId: yup.string().label("Part").required().max(80),
    label: yup.string().label("Part").required().max(120),
    fit: oneOf("Fit", ["fit", "note", "temporary"]),
    notes: yup.array(yup.string().required().max(300)).label("Notes").required().max(12),
    priceMinor: wholeNumber("Price").required().min(0).max(1e9),
    days: wholeNumber("Days").required().min(0).max(1000),
  }),
  built: strictObject({
    stations: yup.array(yup.string().required().max(60)).label("Stations").required().min(1).max(30),
  }),
  priced: strictObject({
    of: yup.string().label("Price of").required().max(60),
    minor: wholeNumber("Price").required().min(0).max(1e9),
  }),
  decision: strictObject({
    route: oneOf("Route", ROUTES),
    repairs: yup.array(yup.string().required().max(60)).label("Repairs").required().max(10),
    label: yup.string().label("Route").required().max(200),
    mean: money("Expected cost"),
    wrong: finiteNumber().label("Chance of being wrong").required().min(0).max(1),
    against: strictObject({ route: oneOf("Against", ROUTES), mean: money("Expected cost") }).required(),
    overrideWhy: text("Why without proof", 300),
  }),
  "signed-off": strictObject({
    word: oneOf("Word", ["repaired", "not-yet-proven", "not-repaired", "do-not-use"]),
    unproven: yup.array(yup.string().required().max(60)).label("Unproven").required().max(20),
    minutes: finiteNumber().label("Minutes charged").required().min(0).max(100_000),
    labourMinor: money("Labour"),
    partsMinor: money("Parts"),
    watch: text("What to watch", 1000),
  }),
  picture,
  removed,
  pinned,
  reordered,
  refitted,
  "acceptance-run": acceptanceRun,
  "follow-up": followUp,
  "followed-up": followedUp,
  reopened: strictObject({ why: yup.string().label("Why it comes back").required().max(300) }),
  "not-done": strictObject({
    what: yup.string().label("What").required().max(120),
    why: yup.string().label("Why").required().max(300),
  }),
  "owner-answer": strictObject({
    question: yup.string().label("Question").required().max(300),
    answer: oneOf("Answer", ["asked", "yes", "no"]),
    means: oneOf("By", ["counter", "telephone", "message", "letter"]),
  }),
  "timer-started": strictObject({
    what: oneOf("Timer for", ["cool-down", "drain", "warm-run"]),
    seconds: wholeNumber("Seconds").required().min(1).max(86_400),
  }),
  note: strictObject({ text: yup.string().label("Note").required().max(4000) }),
  struck: strictObject({ seq: wholeNumber("Line").required().min(1), why: text("Why", 300) }),
  restored: strictObject({ seq: wholeNumber("Line").required().min(1) }),
};

export const ENTRY_KINDS = Object.keys(PAYLOADS) as EntryKind[];

/** What a screen posts for a tool's reading: the server works the Finding out itself. */
const toolReadingDraft = strictObject({
  of: oneOf("of", ["tool"]),
  toolId: yup.string().label("Tool").required().max(60),
  moveId: yup.string().label("Move").nullable().defined().max(60),
  input: yup.object().label("Input").required(),
  taken: oneOf("Taken", ["now", "afterwards"]),
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
  taken: oneOf("Taken", ["now", "afterwards"]),
});

const storedVoltsDraft = strictObject({
  event: oneOf("event", ["stored-volts"]),
  id: storeId,
  volts: readingField("voltage", "Volts read").required(),
});

const isolatedDraft = strictObject({
  event: oneOf("event", ["isolated"]),
  volts: readingField("voltage", "Volts read").required(),
  means: yup.string().label("Read with").required().max(80),
});

/** A repair that was done is named: what it cures and how surely is the knowledge's. */
const interventionDraft = strictObject({
  repair: yup.string().label("Repair").required().max(60),
  seen: yup.string().label("What was seen").max(60),
});

/** The server works out what a route costs and whether it may be taken. */
const decisionDraft = strictObject({
  route: oneOf("Route", ROUTES),
  /** Another first repair than the cheapest, where one is wanted. */
  repair: yup.string().label("Repair").max(60),
  overrideWhy: text("Why without proof", 300),
});

/** The server says which word the log allows. */
const signedOffDraft = strictObject({
  minutes: finiteNumber().label("Minutes charged").required().min(0).max(100_000),
  partsMinor: wholeNumber("Parts").required().min(0).max(1e9),
  watch: text("What to watch", 1000),
});

/** Kinds whose posted form differs from what is kept. */
const DRAFTS: Readonly<Partial<Record<EntryKind, yup.Schema | yup.Lazy<unknown>>>> = {
  intervention: interventionDraft,
  decision: decisionDraft,
  "signed-off": signedOffDraft,
  reading: byTag("of", { tool: toolReadingDraft, loose: looseReadingDraft, "dead-check": deadCheckDraft }),
  "bench-state": byTag("event", {
    ...BENCH_EVENTS,
    "stored-volts": storedVoltsDraft,
    isolated: isolatedDraft,
  }),
};

const watch = strictObject({
  settledSeq: wholeNumber("settledSeq").required().min(0),
  touchedAt: yup
    .string()
    .required()
    .matches(/^\d{4}-\d\d-\d\dT[\d:.]+Z$/, "touchedAt is an instant in UTC"),
});

/** Body of POST /api/jobs/{id}/entries. */
export const entryDraftSchema = yup.lazy((value: unknown) => {
  const kind =
    typeof value === "object" && value !== null ? (value as Record<string, unknown>)["kind"] : undefined;
  const known = ENTRY_KINDS.find((one) => one === kind);
  const payload = known ? (DRAFTS[known] ?? PAYLOADS[known]) : yup.mixed();
  return strictObject({
    entryId: yup.string().uuid("entryId is a UUID").label("entryId").required(),
    expectedSeq: wholeNumber("expectedSeq").required().min(0),
    kind: oneOf("Kind of entry", ENTRY_KINDS),
    stage: oneOf("Stage", STAGES),
    payload: payload as yup.Schema,
    by: yup.string().label("By").required().max(40),
    shown: yup.mixed().nullable(),
    watch: watch.optional().default(undefined),
  }).required();
});

/** Body of POST /api/jobs. */
export const takeInDraftSchema = strictObject({
  entryId: yup.string().uuid("entryId is a UUID").label("entryId").required(),
  by: yup.string().label("By").required().max(40),
  takenIn: takenIn.omit(["ownerId"]).noUnknown().required(),
  owner: strictObject({
    name: yup.string().label("Owner's name").required().max(80),
    contact: text("Owner's contact", 200),
  })
    .nullable()
    .defined(),
  complaint: complaint.nullable().defined(),
  plate: motorPlate.nullable().defined(),
  pictures: yup.array(picture.required()).label("Pictures").required().max(20),
}).required();
