import * as yup from "yup";
import type { JobView } from "@/core/job/log/view";
import type { Standing } from "@/core/job/standing";
import { KIND_QUESTION_IDS } from "@/core/safety/kind-questions";
import { strictObject } from "@/core/validate";
import { count, figure, many, whole, word, yes } from "./fields";
import { answerOf } from "./route";

const line = () => yup.object({ seq: yup.number().integer().min(1).required() });
const placed = () => yup.object({ seq: yup.number().integer().min(1).required(), at: word(), by: word() });
const lines = () => many(line());
const rows = () => many(placed());
const maybe = <S extends yup.Schema>(one: S) => one.nullable().defined();

const standsAt = {
  jobId: whole(),
  seq: count(),
  machine: strictObject({
    family: word(),
    protection: word(),
    connection: word(),
    stores: many(yup.string()),
    excusable: many(yup.string()),
    hasBattery: yes(),
    holds: many(yup.string()),
    blocks: many(yup.string()),
    hasSecondFeed: yes(),
    isOutOfScope: yes(),
    runsOn: yes(),
    stop: word(),
    kindHas: many(yup.string().defined()),
    asks: many(yup.string().oneOf(KIND_QUESTION_IDS).defined()),
    airs: many(yup.string().defined()),
  }).required(),
  bench: yup
    .object({
      plug: yup.string().oneOf(["not-known", "plugged-in", "unplugged", "isolated"]).required(),
      stored: many(yup.object({ id: word(), at: word() })),
      nothingStores: yes(),
      keepsOut: many(yup.string()),
    })
    .required(),
  live: yup
    .object({
      checks: many(yup.object({ checkId: word() })),
      dangers: many(yup.object({ kind: word(), place: word(), openedBy: count() })),
      withoutGrant: many(yup.number().integer()),
    })
    .required(),
  told: many(yup.object({ circumstance: word() })),
  plugFacts: strictObject({
    plugSeq: count(),
    powerSeq: count(),
    lastSeqBy: yup.object().required(),
  }).required(),
  lastChangeSeq: count(),
  questions: rows(),
  timers: rows(),
  unreadable: rows(),
};

/** Where a job stands, on the wire. */
export const standingAnswer = answerOf<Standing>()({
  ...standsAt,
  takenIn: maybe(yup.object({ machine: word(), place: yup.string().defined(), family: word() })),
  complaint: maybe(yup.object({ circumstance: word() })),
  deadChecks: lines(),
  readings: lines(),
  answers: lines(),
  interventions: lines(),
  parts: many(yup.object({ label: word() })),
  decision: maybe(yup.object({ seq: figure(), route: word() })),
  removed: lines(),
  runs: lines(),
  signedOff: maybe(yup.object({ seq: figure(), word: word() })),
  followUps: lines(),
  ownerSaid: maybe(yup.object({ seq: figure(), answer: word() })),
  orders: lines(),
  reopened: maybe(yup.object({ seq: figure() })),
});

/** A job as its log says it, on the wire. */
export const jobViewAnswer = answerOf<JobView>()({
  ...standsAt,
  deadChecks: rows(),
  ownerSaid: maybe(placed()),
  orders: rows(),
  secondsSpent: whole(),
  takenIn: maybe(placed()),
  plate: maybe(placed()),
  capacitors: rows(),
  complaint: maybe(placed()),
  readings: rows(),
  evidence: many(yup.object({ moveId: word(), outcomeId: word(), seq: figure() })),
  answers: many(yup.object({ seq: figure(), epoch: figure(), moveId: word() })),
  interventions: rows(),
  parts: rows(),
  stations: maybe(yup.array(yup.string().required())),
  prices: yup.object().required(),
  said: yup.object().required(),
  decision: maybe(placed()),
  pictures: rows(),
  removed: rows(),
  order: many(yup.number().integer()),
  reopened: maybe(placed()),
  runs: rows(),
  signedOff: maybe(placed()),
  followUps: rows(),
  ledger: many(yup.object({ seq: figure(), kind: word(), isStruck: yes() })),
});
