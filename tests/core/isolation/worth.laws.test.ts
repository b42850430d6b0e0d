import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { trialCost } from "@/core/cost/trial-cost";
import { answersOf } from "@/core/isolation/answers";
import { after, type Field, fieldOf, trialsOf, type Weights } from "@/core/isolation/field";
import { type Bench, benchFor, GIVE_UP } from "../../../scripts/isolation/machine";
import { reducedBench } from "../../../scripts/isolation/reduced";
import { KNOWLEDGE, PARAMETERS, RUNS } from "../shop-context";

interface Laid {
  readonly field: Field;
  readonly now: Weights;
}

/** A bench as it stands before any answer. */
function laidOut({ model, groups }: Bench): Laid {
  const belief = Float64Array.from(model.hypotheses.all, ({ prior }) => prior);
  return fieldOf(model, belief, groups, "cold");
}

/** The same field when a share of the answers is given blindly, each as likely as the other. */
function blurred(field: Field, share: number): Field {
  const blur = (row: Float64Array): Float64Array => row.map((p) => (1 - share) * p + share / row.length);
  return { ...field, rows: field.rows.map((ofMove) => ofMove.map(blur)) };
}

function bits({ of, total }: Weights): number {
  return of.reduce((sum, one) => (one > 0 ? sum - (one / total) * Math.log2(one / total) : sum), 0);
}

/** What is learnt about the set of faults from a move, in bits. */
function information({ field, now }: Laid, move: number): number {
  const { chance } = answersOf(field, now, move, GIVE_UP);
  return chance.reduce(
    (left, share, outcome) => (share > 0 ? left - share * bits(after(field, now, move, outcome)) : left),
    bits(now),
  );
}

/** What a move saves on trying repairs, its own price left out. */
function worth({ field, now }: Laid, move: number): number {
  const { tryAfter } = answersOf(field, now, move, GIVE_UP);
  return trialCost(trialsOf(field, now), GIVE_UP) - tryAfter.reduce((sum, one) => sum + one, 0);
}

const FAMILIES = KNOWLEDGE.families.filter(({ stations }) => stations.length > 0).map(({ id }) => id);
const seed = fc.integer({ min: 1, max: 1e6 });
const share = fc.double({ min: 0, max: 1, noNaN: true });

describe("what a move tells", () => {
  it.each(FAMILIES)("%s: no move of the knowledge takes information away, and noise adds none", (family) => {
    const laid = laidOut(benchFor(family, KNOWLEDGE));
    const noisy: Laid = { ...laid, field: blurred(laid.field, 0.3) };
    for (const move of laid.field.rows.keys()) {
      const plain = information(laid, move);
      expect(plain).toBeGreaterThan(-1e-9);
      expect(information(noisy, move)).toBeLessThan(plain + 1e-9);
    }
  });

  it("made-up models, singles and pairs: the same", () => {
    fc.assert(
      fc.property(seed, share, (from, noise) => {
        const laid = laidOut(reducedBench(from, false, PARAMETERS));
        const noisy: Laid = { ...laid, field: blurred(laid.field, noise) };
        for (const move of laid.field.rows.keys()) {
          expect(information(laid, move)).toBeGreaterThan(-1e-9);
          expect(information(noisy, move)).toBeLessThan(information(laid, move) + 1e-9);
        }
      }),
      RUNS,
    );
  });
});

describe("what a move is worth, for single faults", () => {
  it("is never negative, and never raised by noise", () => {
    fc.assert(
      fc.property(seed, share, (from, noise) => {
        const laid = laidOut(reducedBench(from, false, PARAMETERS, 1));
        const noisy: Laid = { ...laid, field: blurred(laid.field, noise) };
        for (const move of laid.field.rows.keys()) {
          expect(worth(laid, move)).toBeGreaterThan(-1e-6);
          expect(worth(noisy, move)).toBeLessThan(worth(laid, move) + 1e-6);
        }
      }),
      RUNS,
    );
  });
});
