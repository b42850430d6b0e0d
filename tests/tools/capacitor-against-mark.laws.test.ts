import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { farads, hertz, ohms } from "@/core/quantity/units";
import type { Finding } from "@/core/tools/finding.input";
import { effectOf } from "@/tools/capacitor/capacitor-against-mark/effect";
import { liesOf, raisedByBleed } from "@/tools/capacitor/capacitor-against-mark/lies";
import { tool } from "@/tools/capacitor/capacitor-against-mark/tool";
import { RUNS, TOOL_CONTEXT } from "../core/shop-context";
import { found } from "./run-tool";

interface Case {
  readonly min: number;
  readonly width: number;
  readonly reading: number;
  readonly percent: number;
  readonly counts: number;
}

const aCase = fc.record<Case>({
  min: fc.integer({ min: 20, max: 600 }),
  width: fc.integer({ min: 5, max: 120 }),
  reading: fc.integer({ min: 0, max: 9000 }).map((tenths) => tenths / 10),
  percent: fc.integer({ min: 1, max: 50 }).map((tenths) => tenths / 10),
  counts: fc.integer({ min: 0, max: 20 }),
});

function judge({ min, width, reading, percent, counts }: Case, extra: object = {}): Finding {
  const input = {
    mark: `${min}-${min + width} μF 250 VAC`,
    reading: `${reading}u`,
    meter: { percent, counts, resolution: "0.1u" },
    bleedResistor: "none",
    temperature: "20",
    ...extra,
  };
  const finding = tool.run(input, TOOL_CONTEXT);
  if (!finding.ok) throw new Error(finding.issues[0]?.message);
  return finding.value;
}

const WORSE = { faulty: 0, undecided: 1, suspect: 1, sound: 2 } as const;

describe("laws of the capacitor against its mark", () => {
  it("the verdict is what comparing the two intervals says", () => {
    fc.assert(
      fc.property(aCase, (one) => {
        const { verdict, reasons } = judge(one);
        const half = (one.percent / 100) * one.reading + one.counts * 0.1;
        const [lower, upper] = [one.reading - half, one.reading + half];
        const close = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
        const top = 1.2 * (one.min + one.width);
        fc.pre(![lower, upper].some((end) => close(end, one.min) || close(end, top)));
        if (one.reading < 0.05 * one.min) expect(reasons[0]?.code).toBe("capacitor/open");
        else if (upper < one.min) expect(verdict).toBe("faulty");
        else if (lower > top) expect(verdict).toBe("suspect");
        else expect(verdict).toBe(lower >= one.min && upper <= top ? "sound" : "undecided");
      }),
      RUNS,
    );
  });

  it("below the upper mark, more capacitance never makes the verdict worse", () => {
    fc.assert(
      fc.property(aCase, fc.integer({ min: 1, max: 50 }), (one, more) => {
        const higher = { ...one, reading: one.reading + more / 10, percent: 1e-6, counts: 0 };
        const lower = { ...one, percent: 1e-6, counts: 0 };
        fc.pre(higher.reading <= one.min + one.width);
        expect(WORSE[judge(higher).verdict]).toBeGreaterThanOrEqual(WORSE[judge(lower).verdict]);
      }),
      RUNS,
    );
  });

  it("a worse meter never turns cannot-tell into a verdict, nor good into bad", () => {
    fc.assert(
      fc.property(aCase, (one) => {
        const coarse = judge({ ...one, percent: one.percent + 5, counts: one.counts + 5 }).verdict;
        const fine = judge(one).verdict;
        if (coarse !== "undecided") expect(fine).toBe(coarse);
      }),
      RUNS,
    );
  });

  it("a resistor left across never proves a part good", () => {
    fc.assert(
      fc.property(aCase, (one) => {
        expect(judge(one, { bleedResistor: "across" }).verdict).not.toBe("sound");
      }),
      RUNS,
    );
  });

  it("the same value typed in another unit gives the same figures", () => {
    fc.assert(
      fc.property(aCase, (one) => {
        const nano = judge(one, { reading: `${Math.round(one.reading * 1000)}n` });
        expect(nano.verdict).toBe(judge(one).verdict);
        expect(nano.figures[0]?.value).toBeCloseTo(judge(one).figures[0]?.value ?? -1, 12);
      }),
      RUNS,
    );
  });

  it("a bleed resistor raises the shown value, the less the larger it is", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-6, max: 1e-3, noNaN: true }),
        fc.double({ min: 100, max: 1e6, noNaN: true }),
        (c, r) => {
          const small = raisedByBleed(farads(c), ohms(r), hertz(100));
          const large = raisedByBleed(farads(c), ohms(2 * r), hertz(100));
          expect(small).toBeGreaterThan(0);
          expect(large).toBeCloseTo(small / 4, 12);
        },
      ),
      RUNS,
    );
  });

  it("every interval stands somewhere, and in one place", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (a, b) => {
          const measured = { lower: Math.min(a, b), upper: Math.max(a, b) };
          const standing = liesOf(measured, { min: 0.3, max: 0.6 });
          expect(standing === "below").toBe(measured.upper < 0.3);
          expect(standing === "above").toBe(measured.lower > 0.6);
        },
      ),
      RUNS,
    );
  });
});

describe("what stands beside the verdict", () => {
  const said = (input: object): string[] =>
    found("capacitor-against-mark", {
      meter: { percent: 2.5, counts: 5, resolution: "0.1u" },
      bleedResistor: "none",
      ...input,
    }).cautions.map(({ code }) => code);

  it("says which meter would decide on an edge, what a part against noise is, and what a low part does", () => {
    expect(said({ mark: "30 μF ±5 % 450 VAC", reading: "28.6u" })).toContain("capacitor/finer-meter");
    expect(said({ mark: "100 nF ±10 % 275 VAC X2", reading: "0.1u" })).toContain("capacitor/suppressor");
    expect(said({ mark: "30 μF ±5 % 450 VAC", reading: "15u" })).toContain("capacitor/effect-run");
    expect(said({ mark: "145-174 μF 250 VAC", reading: "60u" })).toContain("capacitor/effect-start");
  });

  it("less of its mark never gives a motor more pull", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("start" as const, "run" as const),
        fc.double({ min: 0.05, max: 0.98, noNaN: true }),
        (role, share) => {
          const [less, more] = [effectOf(role, share), effectOf(role, share + 0.02)];
          expect(less.startTorque).toBeLessThanOrEqual(more.startTorque);
          expect(less.loadedTorque ?? 0).toBeLessThanOrEqual(more.loadedTorque ?? 0);
          expect(effectOf(role, 1).startTorque).toBe(1);
        },
      ),
      RUNS,
    );
  });
});
