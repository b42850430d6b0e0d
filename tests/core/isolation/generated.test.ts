import { describe, expect, it } from "vitest";
import { inseparable } from "../../../scripts/isolation/inseparable";
import { benchFor, hide } from "../../../scripts/isolation/machine";
import { checklist, informationOurStop, ours } from "../../../scripts/isolation/policies";
import { reducedReport } from "../../../scripts/isolation/reduced";
import { mean, run, runToThresholds } from "../../../scripts/isolation/run";
import { KNOWLEDGE, LIMITS } from "../shop-ground";

const MACHINES = 20;
/** Threshold 0.8 among those that the baselines are stopped at. */
const AT = 2;

describe("faults and moves", () => {
  it("inseparable.json holds exactly the faults of one repair that no move parts", () => {
    expect(inseparable(KNOWLEDGE, LIMITS)).toEqual(
      KNOWLEDGE.inseparable.map(({ faults, repair }) => ({ faults, repair })),
    );
  });
});

describe("twenty machines a family with hidden faults", () => {
  const families = KNOWLEDGE.families.filter(({ stations }) => stations.length > 0).map(({ id }) => id);
  it.each(families)("%s", (family) => {
    const bench = benchFor(family, KNOWLEDGE, LIMITS);
    const machines = Array.from({ length: MACHINES }, (_, index) => hide(bench, 1 + index * 104_729));
    const policy = ours(1);
    const own = machines.map((hidden) => run(bench, hidden, policy));
    const cost = mean(own.map((one) => one.cost));
    expect(mean(own.map(({ cure }) => Number(cure)))).toBeGreaterThanOrEqual(0.6);
    const list = checklist(bench);
    expect(cost).toBeLessThan(
      mean(machines.map((hidden) => runToThresholds(bench, hidden, list)[AT]?.cost ?? 0)),
    );
    // Twenty machines are few: the aim of 1 % is the bench's, this only catches a broken ranking.
    const informed = machines.map((hidden) => run(bench, hidden, informationOurStop).cost);
    expect(cost).toBeLessThan(1.15 * mean(informed));
  });
});

describe("small models that can be solved whole", () => {
  it("one step is near the optimum, two steps nearer", () => {
    const { oneStep, twoSteps } = reducedReport(12, LIMITS);
    expect(oneStep.mean).toBeGreaterThanOrEqual(0);
    expect(oneStep.mean).toBeLessThan(0.03);
    expect(twoSteps.mean).toBeLessThan(0.01);
  });
});
