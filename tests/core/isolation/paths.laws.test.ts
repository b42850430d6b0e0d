import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { courseOf, growingLikelihoods, likelihood, likelihoods } from "@/core/isolation/belief";
import type { Answer, Intervention } from "@/core/isolation/evidence";
import { buildHypotheses, faultsFor } from "@/core/isolation/hypotheses";
import { movesFor } from "@/core/isolation/machine-model";
import { modelFrom } from "@/core/isolation/model";
import { buildOutcomeTable } from "@/core/isolation/outcome-table";
import { keptPaths, planOf } from "@/core/isolation/paths";
import { stationsOf } from "@/core/knowledge/machine-kind";
import { KNOWLEDGE, PARAMETERS } from "../shop-context";

const FAMILY = "capacitor-start";
const stations = stationsOf({ family: FAMILY }, KNOWLEDGE);
const faults = faultsFor(KNOWLEDGE.faults, FAMILY, stations);
const moves = movesFor(KNOWLEDGE.moves, FAMILY, stations);
const model = modelFrom(
  buildHypotheses(faults, FAMILY, 1, PARAMETERS),
  moves,
  buildOutcomeTable(faults, moves, KNOWLEDGE, PARAMETERS),
  PARAMETERS,
);
const { all } = model.hypotheses;
const faultIds = [...new Set(faults.map(({ id }) => id))];
const RUNS = { numRuns: 15 };

const anyWork: fc.Arbitrary<Intervention[]> = fc
  .array(
    fc.record({
      faultIds: fc.uniqueArray(fc.constantFrom(...faultIds), { minLength: 1, maxLength: 3 }),
      success: fc.constantFrom(0, 0.5, 0.95, 1),
      brings: fc.array(
        fc.record({ faultId: fc.constantFrom(...faultIds), chance: fc.constantFrom(0.01, 0.2) }),
        { maxLength: 2 },
      ),
    }),
    { minLength: 1, maxLength: 2 },
  )
  .map((works) => works.map((work, index) => ({ ...work, epoch: index + 1 })));

const anyAnswers = (last: number): fc.Arbitrary<Answer[]> =>
  fc
    .array(
      fc.constantFrom(...moves).chain((move) =>
        fc.record({
          moveId: fc.constant(move.id),
          outcomeId: fc.constantFrom(...move.outcomes),
          epoch: fc.integer({ min: 0, max: last }),
          circumstance: fc.constant("cold" as const),
        }),
      ),
      { maxLength: 6 },
    )
    .map((said) =>
      said
        .sort((one, other) => one.epoch - other.epoch)
        .map((answer, index): Answer => ({ ...answer, seq: index + 1 })),
    );

const anyCourse = anyWork.chain((works) => fc.tuple(fc.constant(works), anyAnswers(works.length)));

describe("the ways a machine may have come", () => {
  it("have chances that sum to one, whatever was done and whether it ran", () => {
    fc.assert(
      fc.property(anyWork, fc.boolean(), (works, isPowered) => {
        const epochs = [false, ...works.map(() => isPowered)];
        const { begins, weights } = keptPaths(model, planOf(model, works, epochs));
        all.forEach((_, index) => {
          const own = weights.slice(begins[index], begins[index + 1]);
          expect(own.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
        });
      }),
      RUNS,
    );
  });

  it("say of all hypotheses at once what each says by itself", () => {
    fc.assert(
      fc.property(anyCourse, ([works, answers]) => {
        const found = answers.filter(
          ({ epoch, moveId }) => epoch > 0 || moves.find(({ id }) => id === moveId)?.kind !== "question",
        );
        const course = courseOf(model, found, works);
        const together = likelihoods(model, found, works);
        all.forEach((hypothesis, index) => {
          expect(together[index]).toBeCloseTo(likelihood(model, hypothesis, course), 9);
        });
      }),
      RUNS,
    );
  });

  it("weigh an answer that is added as if all had been there from the first", () => {
    fc.assert(
      fc.property(anyCourse, ([works, answers]) => {
        const grow = growingLikelihoods(model);
        answers.forEach((_, index) => {
          const upTo = answers.slice(0, index + 1);
          const grown = grow(upTo, works);
          likelihoods(model, upTo, works).forEach((one, place) => {
            expect(grown[place]).toBeCloseTo(one, 9);
          });
        });
      }),
      RUNS,
    );
  });
});
