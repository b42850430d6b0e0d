import { describe, expect, it } from "vitest";
import { inseparable } from "../../../scripts/isolation/inseparable";
import { benchFor, hide } from "../../../scripts/isolation/machine";
import { checklist, informationOurStop, ours } from "../../../scripts/isolation/policies";
import { reducedReport } from "../../../scripts/isolation/reduced";
import { mean, run, runToThresholds } from "../../../scripts/isolation/run";
import { KNOWLEDGE, PARAMETERS } from "../shop-context";

const MACHINES = 12;
/** Threshold 0.8 among those that the baselines are stopped at. */
const AT = 2;

describe("faults and moves", () => {
  it("inseparable.yaml holds exactly the faults of one repair that no move parts", () => {
    expect(inseparable(KNOWLEDGE)).toEqual(
      KNOWLEDGE.inseparable.map(({ faults, repair }) => ({ faults, repair })),
    );
  });
});

/** Machines with hidden faults of every family: what ours, the fixed list and the informed choice come to. */
function dozenOf(family: string) {
  const bench = benchFor(family, KNOWLEDGE);
  const machines = Array.from({ length: MACHINES }, (_, index) => hide(bench, 1 + index * 104_729));
  const [policy, list] = [ours(1), checklist(bench)];
  const own = machines.map((hidden) => run(bench, hidden, policy));
  return {
    family,
    cured: mean(own.map(({ cure }) => Number(cure))),
    own: mean(own.map(({ cost }) => cost)),
    listed: mean(machines.map((hidden) => runToThresholds(bench, hidden, list)[AT]?.cost ?? 0)),
    informed: mean(machines.map((hidden) => run(bench, hidden, informationOurStop).cost)),
  };
}

describe("a dozen machines a family with hidden faults", () => {
  const families = KNOWLEDGE.families.filter(({ stations }) => stations.length > 0);
  const all = families.map(({ id }) => dozenOf(id));

  it.each(all.map((one) => [one.family, one] as const))(
    "%s: the root is mostly named, for less than by the list",
    (_, one) => {
      expect(one.cured).toBeGreaterThanOrEqual(0.6);
      expect(one.own).toBeLessThan(one.listed);
    },
  );

  it("cost over all families no more than a twentieth above the informed choice", () => {
    // The aim of 1 % is the bench's, on many more machines: this only catches a broken ranking.
    expect(mean(all.map(({ own }) => own))).toBeLessThan(1.05 * mean(all.map(({ informed }) => informed)));
  });
});

describe("small models that can be solved whole", () => {
  it("one step is near the optimum, two steps nearer", () => {
    const { oneStep, twoSteps } = reducedReport(12, PARAMETERS);
    expect(oneStep.mean).toBeGreaterThanOrEqual(0);
    expect(oneStep.mean).toBeLessThan(0.03);
    expect(twoSteps.mean).toBeLessThan(0.01);
  });
});
