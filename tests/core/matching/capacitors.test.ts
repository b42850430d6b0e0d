import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { CapacitorPart } from "@/core/knowledge/types";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import { rankCapacitors } from "@/core/matching/rank";
import { capacitorRequirement } from "@/core/matching/requirement";
import { fitReasonWords, neededWords } from "@/islands/words/match";
import { KNOWLEDGE, LIMITS, RUNS } from "../shop-context";

function need(text: string, role: "start" | "run", hasResistor = false) {
  const mark = parseCapacitorMark(text);
  if (!mark.ok) throw new Error(mark.issues[0]?.message);
  return capacitorRequirement(mark.value, role, 230, hasResistor, LIMITS);
}

function fitOf(text: string, role: "start" | "run", partId: string, hasResistor = false): [string, string] {
  const found = rankCapacitors(need(text, role, hasResistor), KNOWLEDGE.capacitors, LIMITS).find(
    ({ part }) => part.id === partId,
  );
  const worst = found?.attributes.find(({ fit }) => fit === found.fit && fit !== "fit");
  return [found?.fit ?? "missing", worst ? fitReasonWords(worst.reason) : ""];
}

describe("a capacitor in place of another", () => {
  it.each<[string, "start" | "run", string, string, RegExp]>([
    ["145-174 μF 250 VAC", "start", "start-145-174-250", "fit", /^$/],
    ["145-174 μF 250 VAC", "start", "start-145-174-330", "fit", /^$/],
    ["145-174 μF 250 VAC", "start", "start-161-193-250", "note", /switch drops out/],
    ["145-174 μF 250 VAC", "start", "start-189-227-250", "reject", /too much current/],
    ["145-174 μF 250 VAC", "start", "start-124-149-250", "reject", /weak start/],
    ["145-174 μF 250 VAC", "start", "start-145-174-125", "reject", /125 V is under the 250 V/],
    ["145-174 μF 250 VAC", "start", "run-30-450-b-s0", "reject", /Not a start capacitor/],
    ["145-174 μF 250 VAC", "start", "dc-150-450", "reject", /Not a start|polarised|Not rated/],
    ["20 μF ±5 % 450 VAC class B S0", "run", "run-20-450-b-s0", "fit", /^$/],
    ["20 μF ±5 % 450 VAC class B S0", "run", "run-21-450-b-s0", "note", /5 % off/],
    ["20 μF ±5 % 450 VAC class B S0", "run", "run-18-450-b-s0", "temporary", /for a while only/],
    ["20 μF ±5 % 450 VAC class B S0", "run", "run-22-450-b-s0", "temporary", /for a while only/],
    ["20 μF ±5 % 450 VAC class B S0", "run", "run-25-450-b-s0", "reject", /25 % off/],
    ["20 μF ±5 % 450 VAC class B S0", "run", "run-20-450-c-s0", "reject", /Life class C is lower than B/],
    ["20 μF ±5 % 450 VAC class B S3", "run", "run-20-450-b-s0", "reject", /Protection S0 is lower than S3/],
    ["20 μF ±5 % 450 VAC class B S3", "run", "run-20-450-a-s3", "fit", /^$/],
    ["20 μF ±5 % 450 VAC", "run", "start-108-130-250", "reject", /overheats and bursts/],
  ])("%s (%s): %s is %s", (text, role, partId, fit, words) => {
    const [found, reason] = fitOf(text, role, partId);
    expect(found).toBe(fit);
    expect(reason).toMatch(words);
  });

  it("asks for the resistor that the old one had, and lets it be moved", () => {
    expect(fitOf("145-174 μF 250 VAC", "start", "start-145-174-250-r", true)[0]).toBe("fit");
    expect(fitOf("145-174 μF 250 VAC", "start", "start-145-174-250", true)).toEqual([
      "note",
      expect.stringContaining("Move the old resistor"),
    ]);
  });

  it("says where each value of the requirement comes from", () => {
    const unmarked = need("145-174 μF", "start");
    expect(unmarked.needed.find(({ id }) => id === "voltage")).toMatchObject({ from: "assumed" });
    expect(neededWords(unmarked, "voltage")).toBe("at least 249 V");
    expect(need("145-174 μF 250 VAC", "start").needed.find(({ id }) => id === "voltage")).toMatchObject({
      from: "marked",
    });
  });

  it("never lets pass what SAFETY forbids, whatever the part", () => {
    const part: fc.Arbitrary<CapacitorPart> = fc.record({
      id: fc.constant("x"),
      label: fc.constant("x"),
      role: fc.constantFrom("start" as const, "run" as const, "not-known" as const),
      minMicrofarads: fc.double({ min: 1, max: 300, noNaN: true }),
      maxMicrofarads: fc.double({ min: 1, max: 400, noNaN: true }),
      nominalMicrofarads: fc.double({ min: 1, max: 300, noNaN: true }),
      tolerance: fc.constant(0.05),
      voltsAc: fc.integer({ min: 0, max: 600 }),
      dielectric: fc.constantFrom("film" as const, "electrolytic" as const),
      polarised: fc.boolean(),
      hasResistor: fc.boolean(),
      lifeClass: fc.constantFrom("A" as const, "B" as const, "C" as const, "D" as const, undefined),
      protectionClass: fc.constantFrom("S0" as const, "S1" as const, "S2" as const, "S3" as const, undefined),
      priceMinor: fc.constant(1),
      days: fc.constant(1),
      provenance: fc.constant({ basis: "judgement" as const, source: "x", place: "", reviewed: null }),
    });
    fc.assert(
      fc.property(part, fc.constantFrom("start" as const, "run" as const), (one, role) => {
        const wanted = need(role === "start" ? "145-174 μF 250 VAC" : "20 μF ±5 % 450 VAC class B S1", role);
        const [ranked] = rankCapacitors(wanted, [one], LIMITS);
        const forbidden =
          one.polarised ||
          one.voltsAc < wanted.voltsAc ||
          one.role !== role ||
          (role === "run" &&
            (one.lifeClass === "C" || one.lifeClass === "D" || one.protectionClass === "S0"));
        if (forbidden) expect(ranked?.fit).toBe("reject");
      }),
      RUNS,
    );
  });
});
