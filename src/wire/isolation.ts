import * as yup from "yup";
import type { Isolation } from "@/core/isolation/isolate";
import { isolateInput } from "@/core/isolation/isolate.input";
import { strictObject } from "@/core/validate";
import { answerOf, routes } from "./route";

const weights = () =>
  yup
    .array(strictObject({ seq: yup.number().required(), bits: yup.number().required() }).required())
    .required();
const ids = () => yup.array(yup.string().required()).required();

const trials = () =>
  yup
    .array(
      strictObject({
        repairs: ids(),
        chance: yup.number().required(),
        cures: yup.number().required(),
        cost: yup.number().required(),
        minutes: yup.number().required(),
        partMinor: yup.number().required(),
      }).required(),
    )
    .required();

const isolation = answerOf<Isolation>()({
  suspects: yup
    .array(
      strictObject({
        roots: ids(),
        alike: ids(),
        consequences: ids(),
        chance: yup.number().required(),
        for: weights(),
        against: weights(),
      }).required(),
    )
    .required(),
  stations: yup
    .array(
      strictObject({
        id: yup.string().required(),
        chance: yup.number().required(),
        provedGoodBy: yup.number().nullable().defined(),
      }).required(),
    )
    .required(),
  moves: yup
    .array(
      yup
        .object({
          moveId: yup.string().required(),
          tier: yup.number().required(),
          expectedTotal: yup.number().required(),
        })
        .required(),
    )
    .required(),
  trials: trials(),
  next: strictObject({
    moveId: yup.string().required(),
    costMinor: yup.number().required(),
    expected: yup.number().required(),
    answers: yup
      .array(
        strictObject({
          outcomeId: yup.string().required(),
          chance: yup.number().required(),
          trials: trials(),
        }).required(),
      )
      .required(),
  })
    .nullable()
    .defined(),
  stop: strictObject({ advised: yup.boolean().required(), trialCost: yup.number().required() }).required(),
  isTierRaised: yup.boolean().required(),
  conflicts: yup
    .array(
      strictObject({
        share: yup.number().required(),
        doubted: yup.array(yup.number().required()).required(),
        impossible: yup.object().nullable().defined(),
      }).required(),
    )
    .required(),
  history: yup
    .array(
      strictObject({
        seq: yup.number().required(),
        leading: yup
          .array(strictObject({ root: yup.string().required(), chance: yup.number().required() }).required())
          .required(),
      }).required(),
    )
    .required(),
  kinds: yup
    .array(strictObject({ family: yup.string().required(), chance: yup.number().required() }).required())
    .required(),
  beforeOrder: yup
    .array(strictObject({ moveId: yup.string().required(), why: yup.string().required() }).required())
    .required(),
  purchaseGate: strictObject({ open: yup.boolean().required(), needs: ids() }).required(),
  basis: strictObject({
    knowledgeVersion: yup.string().required(),
    hypotheses: yup.number().required(),
    maxRoots: yup.number().required(),
    states: yup.number().required(),
  }).required(),
});

export const ISOLATION_ROUTES = routes({
  "POST /api/isolate": {
    about: "Where the fault sits and what to do next, from the answers so far",
    body: isolateInput,
    keepsNothing: true,
    answer: isolation,
  },
});
