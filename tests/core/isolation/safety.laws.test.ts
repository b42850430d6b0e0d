import { describe, expect, it } from "vitest";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import { seededRandom } from "@/core/seeded-random";
import { KNOWLEDGE, RUNS } from "../shop-context";
import { isolate } from "./model";

const FAMILIES = KNOWLEDGE.families.map(({ id }) => id);
const SEED = 20_261_125;
/** `npm run bench` walks the whole way. */
const STEPS = RUNS.numRuns >= 1000 ? 10_000 : 200;
/** Shorter, it goes as far as it comes in this time, ms. */
const BUDGET_MS = 5000;
const LEAST_STEPS = 40;

/** A walk over answers, bench states and settings, each step asking for advice. */
const isOut = ({ bench }: IsolateRequest): boolean =>
  bench?.plug === "unplugged" || bench?.plug === "isolated";

describe("a random walk", () => {
  it(
    "is never offered a live move against SAFETY, a move of no worth, or a figure that is none",
    () => {
      const { next } = seededRandom(SEED);
      const pick = <T>(from: readonly T[]): T => from[Math.floor(next() * from.length)] as T;
      let request: IsolateRequest | undefined;
      const until = Date.now() + BUDGET_MS;
      for (let step = 0; step < STEPS; step += 1) {
        if (STEPS < 1000 && step >= LEAST_STEPS && Date.now() > until) break;
        const family: string = request && next() > 0.1 ? request.machine.family : pick(FAMILIES);
        const moves = KNOWLEDGE.moves.filter(
          (move) => move.families.includes(family) && move.stations.length === 0,
        );
        const kept = request?.machine.family === family ? request.evidence.slice(-5) : [];
        const move = moves.length > 0 ? pick(moves) : undefined;
        const said =
          move && next() > 0.3
            ? [{ seq: step, moveId: move.id, outcomeId: pick([...move.outcomes, "not-sure", "could-not"]) }]
            : [];
        const deadChecksPassed = next() > 0.5;
        request = {
          machine: { family, value: { minor: Math.floor(next() * 60_000), currency: "EUR" } },
          bench: {
            plug: pick(["not-known", "plugged-in", "unplugged", "isolated"] as const),
            drained: next() > 0.5,
            deadChecksPassed,
            opened: [],
          },
          evidence: [...kept.filter(({ moveId }) => moveId !== move?.id), ...said],
        } as IsolateRequest;
        const answer = isolate(request);
        if (!answer.ok) {
          expect(answer.issues[0]?.message.length, "says why").toBeGreaterThan(10);
          expect(["isolation/out-of-scope", "isolation/nothing-explains"]).toContain(answer.issues[0]?.code);
          continue;
        }
        const { moves: offered, stop, suspects } = answer.value;
        const tiers = offered.map(({ tier }) => tier);
        expect(tiers).toEqual([...tiers].sort((one, other) => one - other));
        if (family === "not-known") expect(tiers.every((tier) => tier === 1)).toBe(true);
        for (const one of offered) {
          const { power, needs } = KNOWLEDGE.moves.find(({ id }) => id === one.moveId) ?? {};
          expect(power, "a cover off with power on is a note, never an offer").not.toBe("licensed");
          // A grant that the request does not mention is not held.
          if (power !== "off")
            expect(one.blockedBy).toEqual([...(deadChecksPassed ? [] : ["dead-checks"]), "outlet"]);
          else if (needs !== "none") expect(one.blockedBy.includes("plug")).toBe(!isOut(request));
          // Only the leading suspect's own proof is offered whatever it is worth.
          const leading = KNOWLEDGE.faults.filter(
            ({ id }) => suspects[0]?.roots.includes(id) || suspects[0]?.alike.includes(id),
          );
          const isProof = leading.some(({ provenBy }) =>
            provenBy.some(({ moveId }) => moveId === one.moveId),
          );
          if (!isProof) expect(one.expectedTotal).toBeLessThan(stop.trialCost);
          expect(Number.isFinite(one.savesPerMinute)).toBe(true);
        }
        expect(suspects.every(({ chance }) => chance >= 0 && chance <= 1 + 1e-9)).toBe(true);
      }
    },
    STEPS * 600,
  );
});
