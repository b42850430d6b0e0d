import * as yup from "yup";
import { oneOf } from "../fields.input";
import { CIRCUMSTANCES } from "../knowledge/circumstances";
import { BENCH_GAPS } from "../safety/bench-gaps";
import { LIVE_GAPS } from "../safety/live-work";
import { finiteNumber, type Shape, strictObject } from "../validate";

const money = strictObject({
  minor: yup.number().integer().required().min(0).max(1e9),
  currency: yup.string().required().max(3),
});
/** What a machine waits for: only what is known, since anything else would hold nothing back. */
const gaps = <G extends string>(label: string, known: readonly G[]) =>
  yup.array(oneOf(label, known)).label(label).max(known.length);
const ids = (label: string) => yup.array(yup.string().required().max(60)).label(label).max(60);

const count = () => finiteNumber().required().min(0).max(1e6);
const id = () => yup.string().required().max(120);

const shopCountsInput = strictObject({
  jobs: yup
    .array(strictObject({ family: id(), count: count() }).required())
    .required()
    .max(50),
  faults: yup
    .array(strictObject({ family: id(), fault: id(), count: count() }).required())
    .required()
    .max(2000),
  answers: yup
    .array(strictObject({ moveId: id(), case: id(), outcomeId: id(), count: count() }).required())
    .required()
    .max(5000),
});

/** Body of POST /api/isolate. What is left out has the default that `isolate` states. */
export const isolateInput = strictObject({
  machine: strictObject({
    family: yup.string().label("Family").required().max(60),
    archetype: yup.string().max(60),
    stations: yup
      .array(strictObject({ id: yup.string().required(), present: yup.boolean().required() }).required())
      .max(30),
    /** Faults of parts that this machine does not have. */
    without: ids("Without"),
    nameplate: yup.object().optional().default(undefined),
    value: money.optional().default(undefined),
  })
    .label("Machine")
    .required(),
  bench: strictObject({
    plug: yup.string().oneOf(["not-known", "plugged-in", "unplugged", "isolated"] as const),
    stored: yup.array(yup.object().required()).max(10),
    drained: yup.boolean(),
    deadChecksPassed: yup.boolean(),
    /** What is not settled for hands yet; left out, plug and charge follow from the fields above. */
    unsettled: gaps("Unsettled", BENCH_GAPS),
    /** What withholds power, with the guards on and for a measurement; a grant that is not mentioned is not held. */
    withheld: strictObject({
      guardsOn: gaps("Withheld", LIVE_GAPS).required(),
      measured: gaps("Withheld", LIVE_GAPS).required(),
    })
      .optional()
      .default(undefined),
    opened: ids("Opened"),
  })
    .optional()
    .default(undefined),
  instruments: ids("Instruments"),
  evidence: yup
    .array(
      strictObject({
        seq: yup.number().integer().required().min(0),
        epoch: yup.number().integer().min(0),
        circumstance: yup.string().oneOf(CIRCUMSTANCES),
        moveId: yup.string().label("Move").required().max(60),
        outcomeId: yup.string().label("Answer").required().max(60),
        ratio: strictObject({
          value: finiteNumber().required().min(0),
          halfWidth: finiteNumber().required().min(0),
        })
          .optional()
          .default(undefined),
      }).required(),
    )
    .label("Evidence")
    .required()
    .max(200),
  interventions: yup
    .array(
      strictObject({
        epoch: yup.number().integer().required().min(1),
        faultIds: ids("Faults").required(),
        success: finiteNumber().required().min(0).max(1),
        brings: yup
          .array(strictObject({ faultId: id(), chance: finiteNumber().required().min(0).max(1) }).required())
          .max(5),
      }).required(),
    )
    .max(30),
  costs: strictObject({
    rankingRatePerHour: money.optional().default(undefined),
    partPrices: yup
      .array(
        strictObject({
          repair: yup.string().required().max(60),
          minor: yup.number().integer().required().min(0).max(1e9),
        }).required(),
      )
      .max(100),
  })
    .optional()
    .default(undefined),
  options: strictObject({
    maxRoots: yup.number().oneOf([1, 2, 3] as const),
    lookAhead: yup.number().oneOf([1, 2] as const),
    shopCounts: shopCountsInput.optional().default(undefined),
  })
    .optional()
    .default(undefined),
}).required();

export type IsolateRequest = Shape<typeof isolateInput>;
