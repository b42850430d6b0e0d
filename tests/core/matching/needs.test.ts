import { describe, expect, it } from "vitest";
import { follows, fromMark } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { chosenSchools } from "@/core/matching/family";
import { requirementOf, valuesOf } from "@/core/matching/needs";
import type { From, Source } from "@/core/matching/source";
import { mm } from "@/core/matching/specs";
import { suggestUnit } from "@/core/matching/typed";
import { loadFamily } from "@/parts/registry";
import { LIMITS } from "../shop-context";

async function familyOf(id: string): Promise<Family> {
  const family = await loadFamily(id);
  if (!family) throw new Error(`no family ${id}`);
  return family;
}

function needed(family: Family, sources: readonly Source[], settled: Readonly<Record<string, From>> = {}) {
  return requirementOf(family, sources, settled, { limits: LIMITS, schools: chosenSchools(family, {}) });
}

const stamp = (family: Family, text: string): Source[] => fromMark(family.readMark?.(text), "its mark");
const caliper = (attribute: string, millimetres: number): Source => ({
  attribute,
  value: mm(millimetres),
  from: "measured",
  said: "caliper",
});

describe("what is needed", () => {
  it("stops at a stamp that the caliper contradicts, proposes the caliper, and goes on with the one that is taken", async () => {
    const bearing = await familyOf("ball-bearing");
    const both = [...stamp(bearing, "6202-2RS"), caliper("bore", 14.6)];
    const { conflicts, needed: rows } = needed(bearing, both);
    expect(conflicts.map(({ attribute, proposed }) => [attribute, proposed.from])).toEqual([
      ["bore", "measured"],
    ]);
    expect(rows.find(({ id }) => id === "bore")?.value).toBeUndefined();
    expect(valuesOf(needed(bearing, both, { bore: "marked" }))["bore"]).toBe(mm(15));
    expect(valuesOf(needed(bearing, both, { bore: "measured" }))["bore"]).toBe(mm(14.6));
  });

  it("takes a caliper and a stamp within the tolerance of a ring for the same", async () => {
    const bearing = await familyOf("ball-bearing");
    const { conflicts } = needed(bearing, [...stamp(bearing, "6202-2RS"), caliper("bore", 14.98)]);
    expect(conflicts).toEqual([]);
  });

  it("stops where the mark says start and the place in the circuit says run; only the place can be taken", async () => {
    const run = await familyOf("run-capacitor");
    const sources: Source[] = [
      { attribute: "kind", value: "start", from: "marked", said: "its mark" },
      follows("kind", "run", "its place in the circuit"),
    ];
    expect(needed(run, sources).conflicts.map(({ proposed }) => proposed.from)).toEqual(["worked-out"]);
    expect(needed(run, sources, { kind: "marked" }).conflicts).toHaveLength(1);
    expect(valuesOf(needed(run, sources, { kind: "worked-out" }))["kind"]).toBe("run");
  });

  it("keeps the earth of a class I machine, whatever the old plug had and whoever settles it", async () => {
    const plug = await familyOf("plug");
    const old: Source = { attribute: "earth", value: "no", from: "measured", said: "typed here" };
    const earthed = follows("earth", "yes", "it has an earth");
    for (const settled of [{}, { earth: "measured" }, { earth: "worked-out" }] as const)
      expect(valuesOf(needed(plug, [old, earthed], settled))["earth"]).not.toBe("no");
  });

  it("asks for no fewer volts than the supply does, whichever source is taken", async () => {
    const run = await familyOf("run-capacitor");
    const typed: Source = { attribute: "volts", value: 100, from: "measured", said: "typed here" };
    const all = [...stamp(run, "8 μF ±5 % 450 VAC"), typed, follows("volts", 345, "least for this supply")];
    expect(needed(run, all).conflicts).toHaveLength(1);
    expect(needed(run, all).conflicts[0]?.takes).toEqual(["marked"]);
    expect(needed(run, all, { volts: "measured" }).conflicts).toHaveLength(1);
    expect(valuesOf(needed(run, all, { volts: "marked" }))["volts"]).toBe(450);
  });

  it("asks for no fewer volts than the supply does, whatever the old one was", async () => {
    const run = await familyOf("run-capacitor");
    const marked = stamp(run, "8 μF ±5 % 250 VAC");
    const floor = follows("volts", 345, "least for this supply");
    const volts = needed(run, [...marked, floor]).needed.find(({ id }) => id === "volts");
    expect(volts).toMatchObject({ value: 345, from: "worked-out" });
    const higher = needed(run, [...stamp(run, "8 μF ±5 % 450 VAC"), floor]).needed;
    expect(higher.find(({ id }) => id === "volts")).toMatchObject({ value: 450, from: "marked" });
  });

  it("keeps to the mark where a worn part measures less, and says that what was typed is not taken", async () => {
    const run = await familyOf("run-capacitor");
    const typed: Source = { attribute: "capacitance", value: 5e-6, from: "assumed", said: "typed here" };
    const row = needed(run, [...stamp(run, "8 μF ±5 % 450 VAC"), typed]).needed.find(
      ({ id }) => id === "capacitance",
    );
    expect(row).toMatchObject({ value: 8e-6, from: "marked", said: expect.stringContaining("is not taken") });
  });

  it("refuses a source that names what the family has not, or a value that cannot be one", async () => {
    const fuse = await familyOf("fuse");
    const wrong = (attribute: string, value: Source["value"]): Source => ({
      attribute,
      value,
      from: "marked",
      said: "its cap",
    });
    expect(() => needed(fuse, [wrong("bore", 1)])).toThrow(/no "bore"/);
    expect(() => needed(fuse, [wrong("speed", "lazy")])).toThrow(/cannot be the Time/);
  });
});

describe("a size far from all that is sold", () => {
  it.each([
    ["0.59", 0.00059, "0.59 in is 14.986 mm"],
    ["1.5", 0.0015, "1.5 in is 38.1 mm"],
    ["8", 0.008, undefined],
    ["0.59 in", 0.014986, undefined],
    ["900", 0.9, undefined],
  ])("%s: %s", (text, metres, meant) => {
    expect(suggestUnit(text, metres, [mm(4), mm(40)])).toBe(meant);
  });
});
