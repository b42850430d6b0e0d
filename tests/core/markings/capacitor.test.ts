import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { parseCapacitorMark, wholeCapacitance } from "@/core/markings/capacitor";
import { RUNS } from "../shop-context";

function read(text: string) {
  const parsed = parseCapacitorMark(text);
  if (!parsed.ok) throw new Error(parsed.issues[0]?.message);
  return parsed.value;
}

describe("a motor capacitor's marking", () => {
  it.each([
    ["145-174 µF 250 VAC", 145e-6, 174e-6, 250, "start", "range"],
    ["161-193 MFD 220/250V 60Hz", 161e-6, 193e-6, 250, "start", "range"],
    ["200 uF -0/+20% 125VAC", 200e-6, 240e-6, 125, "start", "wide-tolerance"],
    ["200 uF +20/-0 % 125VAC", 200e-6, 240e-6, 125, "start", "wide-tolerance"],
    ["30 µF ±5% 450V~ 50/60Hz 25/085/21 S0 class B", 28.5e-6, 31.5e-6, 450, "run", "life-class"],
    ["30uF 5% 450V", 28.5e-6, 31.5e-6, 450, "run", "tolerance-and-volts"],
    ["12 µF K 450 V P2", 10.8e-6, 13.2e-6, 450, "run", "protection-class"],
    ["106J 400V", 9.5e-6, 10.5e-6, 400, "run", "tolerance-and-volts"],
    ["80 μF ±10 % 250 V~ 1.7 % ED", 72e-6, 88e-6, 250, "start", "duty-mark"],
    ["60 μF ±10 % 320 V~ 20 starts/h", 54e-6, 66e-6, 320, "start", "starts-per-hour"],
    ["400/450/475 V C/B/A 12 μF ±5 %", 11.4e-6, 12.6e-6, 475, "run", "life-class"],
    ["CBB60 16 μF ±5 % 450 VAC", 15.2e-6, 16.8e-6, 450, "run", "type-film"],
    ["CD60 100 uF +20/-0 % 125VAC", 100e-6, 120e-6, 125, "start", "type-electrolytic"],
    ["2u2 ±10 % 275 VAC", 1.98e-6, 2.42e-6, 275, "run", "tolerance-and-volts"],
    ["8,5 μF ±6 % 475 VAC IEC 60252-1", 7.99e-6, 9.01e-6, 475, "run", "run-standard"],
  ] as const)("%s", (text, min, max, voltsAc, role, because) => {
    const mark = read(text);
    expect(mark.band?.min).toBeCloseTo(min, 12);
    expect(mark.band?.max).toBeCloseTo(max, 12);
    expect(mark).toMatchObject({ voltsAc, role, roleBecause: because });
  });

  it("reads both sections of a dual can and claims no band without a tolerance", () => {
    const mark = read("45/5 MFD 440 VAC");
    expect(mark).toMatchObject({ nominal: 45e-6, others: [5e-6], role: "run" });
    expect(mark.band).toBeUndefined();
  });

  it("reads three sections, small units, the unit in the place of the point, and parts against noise", () => {
    expect(read("35+5+1,5 uF 450 VAC")).toMatchObject({
      nominal: 35e-6,
      others: [5e-6, 1.5e-6],
      role: "run",
    });
    expect(wholeCapacitance(read("35+5+1.5 uF 450 VAC"))).toBeCloseTo(41.5e-6, 12);
    expect(read("100 nF K 275 V~ X2")).toMatchObject({
      nominal: 100e-9,
      suppressor: "X2",
      tolerance: { plus: 0.1 },
    });
    expect(read("4n7 Y2 250 VAC")).toMatchObject({ nominal: 4.7e-9, suppressor: "Y2" });
    expect(read("470 pF 250 VAC").nominal).toBeCloseTo(470e-12, 15);
    expect(read("400/450/475 V C/B/A 12 μF").byClass).toEqual([
      { volts: 400, lifeClass: "C" },
      { volts: 450, lifeClass: "B" },
      { volts: 475, lifeClass: "A" },
    ]);
  });

  it.each([
    ["8 μF 1,200 VAC", 1200, undefined],
    ["8 μF 1.200 V", 1200, undefined],
    ["1 μF 2.1 kV AC", 2100, undefined],
    ["8 μF 450 VAC 600 VDC", 450, 600],
    ["8 μF 600 V DC / 450 V AC", 450, 600],
    [".47 μF 630 WVDC", undefined, 630],
    ["1 200 μF 125 VAC", 125, undefined],
  ])("%s: %s V AC, %s V DC", (text, ac, dc) => {
    const { voltsAc, voltsDc } = read(text);
    expect([voltsAc, voltsDc]).toEqual([ac, dc]);
  });

  it("reads a leading point and thousands set apart by a space", () => {
    expect(read(".47 μF 275 VAC").nominal).toBeCloseTo(0.47e-6, 12);
    expect(read("1 200 μF 125 VAC").nominal).toBeCloseTo(1200e-6, 12);
    expect(read("0.470 μF 275 VAC").nominal).toBeCloseTo(0.47e-6, 12);
  });

  it("does not guess a part that says too little", () => {
    expect(read("8uF")).toMatchObject({ role: "not-known", roleBecause: "no-clue", dielectric: "not-known" });
  });

  it("says what it understood of each piece and leaves the rest over", () => {
    const mark = read("TQ-77 30 μF ±5 % 450 VAC");
    expect(mark.understood.map(({ field }) => field)).toEqual(["capacitance", "tolerance", "voltage"]);
    expect(mark.leftOver).toEqual(["TQ-77"]);
  });

  it.each([
    ["-3 µF", "mark/negative"],
    ["30 uF ±600%", "mark/tolerance-impossible"],
    ["174-145 μF 250 VAC", "mark/range-reversed"],
    ["250 VAC", "mark/no-capacitance"],
    ["0 μF 250 V", "mark/no-capacitance"],
    ["900000 μF", "mark/too-large"],
    ["1,500 μF 250 VAC", "mark/thousands"],
    ["1.500 μF 250 VAC", "mark/thousands"],
    ["1,200 V 8,5 μF", "mark/two-ways"],
    ["8.5 μF ±2,5 % 450 V", "mark/two-ways"],
    ["8 μF 0 V", "mark/no-volts"],
    ["", "mark/no-capacitance"],
  ])("%s is refused: %s", (text, code) => {
    const parsed = parseCapacitorMark(text);
    expect(parsed.ok ? undefined : parsed.issues[0]?.code).toBe(code);
  });

  it("the order of the pieces does not matter", () => {
    const pieces = ["30 μF ±5 %", "450 VAC", "50 Hz", "S0", "25/085/21"];
    fc.assert(
      fc.property(fc.shuffledSubarray(pieces, { minLength: 5 }), (shuffled) => {
        expect(read(shuffled.join(" "))).toMatchObject({
          band: read(pieces.join(" ")).band,
          voltsAc: 450,
          role: "run",
        });
      }),
      RUNS,
    );
  });

  it("never throws, whatever is typed", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), (text) => {
        expect(typeof parseCapacitorMark(text).ok).toBe("boolean");
      }),
      RUNS,
    );
  });
});
