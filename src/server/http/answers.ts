import * as yup from "yup";
import { strictObject } from "@/core/validate";

const seqRow = yup.object({
  seq: yup.number().integer().min(1).required(),
  at: yup.string().required(),
  by: yup.string().required(),
});
const rows = () => yup.array(seqRow.required()).required();

const lines = () =>
  yup.array(yup.object({ seq: yup.number().integer().min(1).required() }).required()).required();

const whereItStands = {
  jobId: yup.number().integer().required(),
  seq: yup.number().integer().min(0).required(),
  machine: strictObject({
    family: yup.string().required(),
    protection: yup.string().required(),
    connection: yup.string().required(),
    stores: yup.array(yup.string().required()).required(),
    excusable: yup.array(yup.string().required()).required(),
    hasBattery: yup.boolean().required(),
    holds: yup.array(yup.string().required()).required(),
    blocks: yup.array(yup.string().required()).required(),
    hasSecondFeed: yup.boolean().required(),
    isOutOfScope: yup.boolean().required(),
  }).required(),
  bench: yup
    .object({
      plug: yup.string().oneOf(["not-known", "plugged-in", "unplugged", "isolated"]).required(),
      stored: yup
        .array(yup.object({ id: yup.string().required(), at: yup.string().required() }).required())
        .required(),
      nothingStores: yup.boolean().required(),
    })
    .required(),
  live: yup
    .object({
      checks: yup.array(yup.object({ checkId: yup.string().required() }).required()).required(),
      failing: yup.array(yup.object({ of: yup.string().required() }).required()).required(),
      incidents: yup.array(yup.object({ what: yup.string().required() }).required()).required(),
      withoutGrant: yup.array(yup.number().integer().required()).required(),
    })
    .required(),
  told: yup.array(yup.object({ circumstance: yup.string().required() }).required()).required(),
  brakeSeq: yup.number().integer().min(0).required(),
  protectionLeftOut: yup.array(yup.number().integer().required()).required(),
  plugFacts: strictObject({
    plugSeq: yup.number().integer().min(0).required(),
    lastSeqBy: yup.object().required(),
  }).required(),
  lastChangeSeq: yup.number().integer().min(0).required(),
  questions: rows(),
  timers: rows(),
  unreadable: rows(),
};

/** Schema of where a job stands, on the wire. */
export const standingAnswer = strictObject({
  ...whereItStands,
  takenIn: yup
    .object({
      machine: yup.string().required(),
      place: yup.string().defined(),
      family: yup.string().required(),
    })
    .nullable()
    .defined(),
  complaint: yup.object({ circumstance: yup.string().required() }).nullable().defined(),
  deadChecks: lines(),
  readings: lines(),
  answers: lines(),
  interventions: lines(),
  parts: yup.array(yup.object({ label: yup.string().required() }).required()).required(),
  decision: yup.object({ seq: yup.number().required(), route: yup.string().required() }).nullable().defined(),
  removed: lines(),
  runs: lines(),
  signedOff: yup.object({ seq: yup.number().required(), word: yup.string().required() }).nullable().defined(),
  followUps: lines(),
  ownerSaid: yup
    .object({ seq: yup.number().required(), answer: yup.string().required() })
    .nullable()
    .defined(),
  orders: lines(),
  reopened: yup.object({ seq: yup.number().required() }).nullable().defined(),
});

/** Schema of a JobView on the wire. */
export const jobViewAnswer = strictObject({
  ...whereItStands,
  deadChecks: rows(),
  ownerSaid: seqRow.nullable().defined(),
  orders: rows(),
  secondsSpent: yup.number().integer().required(),
  takenIn: seqRow.nullable().defined(),
  plate: seqRow.nullable().defined(),
  capacitors: rows(),
  complaint: seqRow.nullable().defined(),
  readings: rows(),
  evidence: yup
    .array(
      yup
        .object({
          moveId: yup.string().required(),
          outcomeId: yup.string().required(),
          seq: yup.number().required(),
        })
        .required(),
    )
    .required(),
  answers: yup
    .array(
      yup
        .object({
          seq: yup.number().required(),
          epoch: yup.number().required(),
          moveId: yup.string().required(),
        })
        .required(),
    )
    .required(),
  interventions: rows(),
  parts: rows(),
  stations: yup.array(yup.string().required()).nullable().defined(),
  prices: yup.object().required(),
  said: yup.object().required(),
  decision: seqRow.nullable().defined(),
  pictures: rows(),
  removed: rows(),
  order: yup.array(yup.number().integer().required()).required(),
  reopened: seqRow.nullable().defined(),
  runs: rows(),
  signedOff: seqRow.nullable().defined(),
  followUps: rows(),
  ledger: yup
    .array(
      yup
        .object({
          seq: yup.number().required(),
          kind: yup.string().required(),
          isStruck: yup.boolean().required(),
        })
        .required(),
    )
    .required(),
});

/** Path parameter that is a job's number. */
export const jobParams = strictObject({
  id: yup
    .string()
    .label("Job number")
    .required()
    .matches(
      /^[1-9]\d{0,8}$/,
      ({ value }) => `There is no job "${String(value)}": a job number is a whole number such as 118.`,
    ),
});
