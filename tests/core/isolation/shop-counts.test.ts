import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type ClosedJob, countsOf, type ShopCounts, withCounts } from "@/core/isolation/shop-counts";
import { whenText } from "@/core/knowledge/when";
import { KNOWLEDGE, PARAMETERS, RUNS } from "../shop-context";
import { chanceOf, isolated } from "./model";

const job = (fault: string, isProven = true, family = "capacitor-start"): ClosedJob => ({
  family,
  roots: [{ fault, isProven }],
  present: [fault],
  answers: [{ moveId: "turn-shaft", outcomeId: "free", circumstance: "cold" }],
});
const times = (count: number, one: ClosedJob): ClosedJob[] => Array.from({ length: count }, () => one);
const plain = ({ jobs, faults, answers }: ShopCounts) => ({
  jobs: [...jobs],
  faults: [...faults],
  answers: [...answers],
});
const isolatedWith = (jobs: readonly ClosedJob[]) =>
  isolated([["owner-report", "nothing"]], { options: { shopCounts: plain(countsOf(jobs, KNOWLEDGE)) } });
const oddsShare = (faults: typeof KNOWLEDGE.faults, id: string, family: string): number => {
  const total = faults.reduce((sum, { odds }) => sum + (odds[family] ?? 0), 0);
  return (faults.find((fault) => fault.id === id)?.odds[family] ?? 0) / total;
};

describe("what the shop's closed jobs add", () => {
  it("nothing closed changes nothing", () => {
    const [plainly, counted] = [isolated([["owner-report", "nothing"]]), isolatedWith([])];
    expect(chanceOf(counted, "switch-open")).toBeCloseTo(chanceOf(plainly, "switch-open"), 12);
  });

  it("what the shop keeps finding becomes likelier, the rest less", () => {
    const before = isolated([["owner-report", "nothing"]]);
    const after = isolatedWith(times(15, job("switch-open")));
    expect(chanceOf(after, "switch-open")).toBeGreaterThan(1.5 * chanceOf(before, "switch-open"));
    expect(chanceOf(after, "supply-dead")).toBeLessThan(chanceOf(before, "supply-dead"));
  });

  it("another kind of motor learns nothing from it", () => {
    const before = isolated([["owner-report", "nothing"]]);
    const after = isolatedWith(
      times(15, job("switch-open", true, "universal")).map((one) => ({ ...one, answers: [] })),
    );
    expect(chanceOf(after, "switch-open")).toBeCloseTo(chanceOf(before, "switch-open"), 9);
  });

  it("a repair that held without a proof counts half, two roots of one job share it", () => {
    expect(countsOf([job("belt-off", false)], KNOWLEDGE).faults[0]?.count).toBe(0.5);
    const two = {
      ...job("belt-off"),
      roots: ["belt-off", "vents-blocked"].map((fault) => ({ fault, isProven: true })),
    };
    expect(countsOf([two], KNOWLEDGE)).toMatchObject({
      jobs: [{ count: 1 }],
      faults: [{ count: 0.5 }, { count: 0.5 }],
    });
  });

  it("answers are counted in the case that held, and move its chance towards what was seen", () => {
    const counts = countsOf(
      times(20, {
        ...job("bearing-seized"),
        answers: [{ moveId: "turn-shaft", outcomeId: "stiff", circumstance: "cold" }],
      }),
      KNOWLEDGE,
    );
    expect(counts.answers).toEqual([
      { moveId: "turn-shaft", case: "shaft is locked", outcomeId: "stiff", count: 20 },
    ]);
    const stiff = ({ moves }: Pick<typeof KNOWLEDGE, "moves">): number =>
      moves
        .find(({ id }) => id === "turn-shaft")
        ?.cases.find(({ when }) => whenText(when) === "shaft is locked")?.chances["stiff"]?.p ?? -1;
    const moved = stiff(withCounts(KNOWLEDGE, counts, PARAMETERS));
    expect(moved).toBeGreaterThan(stiff(KNOWLEDGE));
    expect(moved).toBeLessThan(1);
  });

  it("chances stay chances whatever is counted, and the shares of a family still sum to one", () => {
    const family = "capacitor-start";
    const own = KNOWLEDGE.faults.filter(({ families }) => families.includes(family)).map(({ id }) => id);
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...own), { maxLength: 40 }), (found) => {
        const { faults, moves } = withCounts(
          KNOWLEDGE,
          countsOf(
            found.map((id) => job(id)),
            KNOWLEDGE,
          ),
          PARAMETERS,
        );
        expect(own.reduce((sum, id) => sum + oddsShare(faults, id, family), 0)).toBeCloseTo(1, 9);
        const chances = moves.flatMap(({ cases }) => cases.flatMap((one) => Object.values(one.chances)));
        expect(chances.every(({ p }) => p >= 0 && p <= 1)).toBe(true);
      }),
      { numRuns: Math.min(RUNS.numRuns, 40) },
    );
  });
});
