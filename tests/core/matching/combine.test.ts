import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { combinationsFor, type Lists } from "@/core/matching/combine";
import { chosenSchools, type Family } from "@/core/matching/family";
import type { Attributes, Part } from "@/core/matching/part";
import { listed } from "@/core/matching/price-list";
import { loadFamily } from "@/parts/registry";
import { LIMITS, RUNS } from "../shop-context";

async function familyOf(id: string): Promise<Family> {
  const family = await loadFamily(id);
  if (!family) throw new Error(`no family ${id}`);
  return family;
}
const listOf = (family: Family) => listed(family, family.series(), "list");
const [run, dual, bush, belt, fuse] = await Promise.all(
  ["run-capacitor", "dual-capacitor", "bush", "belt", "fuse"].map(familyOf),
);
if (!run || !dual || !bush || !belt || !fuse) throw new Error("a family is missing");
const RUNS_LISTED = listOf(run);

const contextOf = (family: Family) => ({ limits: LIMITS, schools: chosenSchools(family, {}) });
const combine = (family: Family, need: Attributes, own: readonly Part[], others: readonly Family[] = []) => {
  const lists: Lists = {
    own,
    others: new Map(others.map((other) => [other.id, { family: other, parts: listOf(other) }])),
  };
  return combinationsFor(family, need, lists, contextOf(family));
};

const need = (micro: number, change: object = {}) => ({
  kind: "run",
  capacitance: Number((micro * 1e-6).toPrecision(12)),
  volts: 400,
  ...change,
});
const figureOf = ({ attributes }: Part, of: string): number => Number(attributes[of]);

describe("two run capacitors side by side", () => {
  it("come to a value that no single one has", () => {
    const [first] = combine(run, need(13), RUNS_LISTED);
    expect(first).toMatchObject({ fit: "fit", total: "13 μF" });
  });

  it("each bear the volts and the class, together lie within what a school lets stand for good, and cost their sum", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 90, noNaN: true }),
        fc.constantFrom(250, 400, 450),
        (micro, volts) => {
          const wanted = need(micro, { volts, life: "B" });
          for (const { parts, priceMinor, days, fit } of combine(run, wanted, RUNS_LISTED)) {
            for (const { attributes } of parts) {
              expect(Number(attributes["volts"])).toBeGreaterThanOrEqual(volts);
              expect(["A", "B"]).toContain(attributes["life"]);
            }
            const total = parts.reduce((sum, part) => sum + figureOf(part, "capacitance"), 0);
            expect(Math.abs(total / wanted.capacitance - 1)).toBeLessThanOrEqual(0.06 + 1e-9);
            expect(priceMinor).toBe(parts.reduce((sum, part) => sum + part.priceMinor, 0));
            expect(days).toBe(Math.max(...parts.map((part) => part.days)));
            expect(["fit", "note"]).toContain(fit);
          }
        },
      ),
      { numRuns: Math.min(RUNS.numRuns, 40) },
    );
  });

  it("are two of one only where two lie on the shelf", () => {
    const shelved = (count: number): Part[] =>
      RUNS_LISTED.filter(({ label }) => label.startsWith("Run capacitor 5 μF ±5 % 450 V, class B, S0"))
        .slice(0, 1)
        .map((part) => ({ ...part, days: 0, shelf: { place: "Drawer", count } }));
    expect(combine(run, need(10), shelved(2))).toHaveLength(1);
    expect(combine(run, need(10), shelved(1))).toEqual([]);
  });

  it("are none where values do not add up, or the value is not known", () => {
    expect(combine(fuse, { amps: 2 }, listOf(fuse))).toEqual([]);
    expect(combine(run, { ...need(8), capacitance: undefined }, RUNS_LISTED)).toEqual([]);
  });
});

describe("a can with two sections", () => {
  it("has a section for a single one, of no fewer volts", () => {
    const found = combine(run, need(55), [], [dual]);
    expect(found[0]).toMatchObject({ fit: "fit", total: "55 μF" });
    expect(found[0]?.parts[0]?.label).toContain("55+");
    for (const { parts } of found) {
      expect(parts).toHaveLength(1);
      expect(Number(parts[0]?.attributes["volts"] ?? 0)).toBeGreaterThanOrEqual(400);
    }
    expect(combine(run, need(55, { volts: 600 }), [], [dual])).toEqual([]);
  });

  it("never stands in where a class is needed that it does not state", () => {
    expect(combine(run, need(55, { protection: "S2" }), [], [dual])).toEqual([]);
  });

  it("is done with two single ones, one for each of its sections, and with none where a section is not known", () => {
    const wanted = { larger: 45e-6, smaller: 5e-6, volts: 400 };
    const [first] = combine(dual, wanted, [], [run]);
    expect(first?.parts.map((part) => figureOf(part, "capacitance"))).toEqual([45e-6, 5e-6]);
    expect(first?.parts.every(({ attributes }) => attributes["kind"] === "run")).toBe(true);
    expect(combine(dual, { ...wanted, smaller: undefined }, [], [run])).toEqual([]);
  });
});

describe("a bush pressed into another", () => {
  const wanted = { bore: 8e-3, outside: 16e-3, length: 12e-3, material: "solid", flange: "no" };
  const odd = listOf(bush).filter(
    ({ attributes: { bore, outside } }) => !(bore === wanted.bore && outside === wanted.outside),
  );

  it("has the bore of the one and the outside of the other, and both meet", () => {
    const found = combine(bush, wanted, odd);
    expect(found.length).toBeGreaterThan(0);
    for (const { parts } of found) {
      const [inner, outer] = parts;
      if (!inner || !outer) throw new Error("two were expected");
      expect(figureOf(inner, "bore")).toBeCloseTo(wanted.bore, 5);
      expect(figureOf(outer, "outside")).toBeCloseTo(wanted.outside, 5);
      expect(figureOf(inner, "outside")).toBe(figureOf(outer, "bore"));
    }
  });
});

describe("two belts for one", () => {
  const wanted = { section: "j", count: 8, length: 0.752, stretch: "fixed" };

  it("have its ribs between them, its section and its length", () => {
    const narrow = listOf(belt).filter(({ attributes: { count } }) => Number(count) < 8);
    const found = combine(belt, wanted, narrow);
    expect(found.length).toBeGreaterThan(0);
    for (const { parts } of found) {
      expect(parts.reduce((sum, part) => sum + figureOf(part, "count"), 0)).toBe(8);
      expect(parts.every(({ attributes }) => attributes["section"] === "j")).toBe(true);
    }
  });

  it("are none where teeth must run in step", () => {
    expect(combine(belt, { ...wanted, section: "t-5", count: 30 }, listOf(belt))).toEqual([]);
  });
});
