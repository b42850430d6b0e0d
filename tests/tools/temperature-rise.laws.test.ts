import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { kelvin, ohms } from "@/core/quantity/units";
import type { Finding } from "@/core/tools/finding.input";
import { windingTemperature } from "@/core/windings/temperature";
import { riseAtSwitchOff, tool } from "@/tools/winding/temperature-rise/tool";
import { RUNS, TOOL_CONTEXT } from "../core/shop-context";

interface Winding {
  readonly cold: number;
  readonly coldAt: number;
  readonly room: number;
  readonly rise: number;
  readonly metal: "copper" | "aluminium";
}

const aWinding = fc.record<Winding>({
  cold: fc.integer({ min: 5, max: 4000 }).map((tenths) => tenths / 10),
  coldAt: fc.integer({ min: 5, max: 35 }),
  room: fc.integer({ min: 5, max: 40 }),
  rise: fc.integer({ min: 5, max: 160 }),
  metal: fc.constantFrom("copper", "aluminium"),
});
const ZERO = { copper: 234.5, aluminium: 225 } as const;

/** Ohms of the winding at a temperature, the other way round than the tool works. */
const ohmsAt = ({ cold, coldAt, metal }: Winding, celsius: number): number =>
  (cold * (ZERO[metal] + celsius)) / (ZERO[metal] + coldAt);

function judge(one: Winding, extra: object = {}): Finding {
  const input = {
    cold: `${one.cold}`,
    coldAt: `${one.coldAt} °C`,
    hot: [{ at: "5", reading: ohmsAt(one, one.room + one.rise).toFixed(6) }],
    roomAt: `${one.room} °C`,
    meter: { percent: 1, counts: 0, resolution: "0.01" },
    metal: one.metal,
    class: "b",
    ...extra,
  };
  const finding = tool.run(input, TOOL_CONTEXT);
  if (!finding.ok) throw new Error(finding.issues[0]?.message);
  return finding.value;
}

describe("laws of the temperature rise by resistance", () => {
  it("finds the rise that a winding of known temperature has", () => {
    fc.assert(
      fc.property(aWinding, (one) => {
        expect(judge(one).figures[0]?.value).toBeCloseTo(one.rise, 3);
      }),
      RUNS,
    );
  });

  it("a winding read at the temperature it was cold at is at that temperature", () => {
    fc.assert(
      fc.property(aWinding, ({ cold, coldAt, metal }) => {
        const at = kelvin(coldAt + 273.15);
        expect(windingTemperature(ohms(cold), at, ohms(cold), metal)).toBeCloseTo(at, 9);
      }),
      RUNS,
    );
  });

  it("follows an exponential back to its start, from wherever it was read", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 150 }),
        fc.integer({ min: 60, max: 900 }),
        fc.uniqueArray(fc.integer({ min: 1, max: 200 }), { minLength: 2, maxLength: 8 }),
        (rise, constant, moments) => {
          const cooled = moments.map((at) => ({ at, rise: rise * Math.exp(-at / constant) }));
          const found = riseAtSwitchOff(cooled);
          expect(found.how).toBe("extrapolated");
          expect(found.rise).toBeCloseTo(rise, 6);
        },
      ),
      RUNS,
    );
  });

  it("the true rise lies in the limits that are told, followed back from readings that are each off by a digit", () => {
    fc.assert(
      fc.property(
        aWinding,
        fc.integer({ min: 100, max: 600 }),
        fc.uniqueArray(fc.integer({ min: 5, max: 120 }), { minLength: 2, maxLength: 6 }),
        fc.array(fc.integer({ min: -49, max: 49 }), { minLength: 6, maxLength: 6 }),
        (one, constant, moments, offs) => {
          const hot = moments.map((at, index) => {
            const read = ohmsAt(one, one.room + one.rise * Math.exp(-at / constant));
            return { at: `${at}`, reading: (read + (offs[index] ?? 0) / 10_000).toFixed(2) };
          });
          const { figures, cautions } = judge(one, {
            hot,
            meter: { percent: 1, counts: 1, resolution: "0.01" },
          });
          const [rise] = figures;
          // Where nothing fell, or nothing was hotter, the highest reading stands, and is called that.
          const wasFollowed = cautions.some(({ code }) => code === "rise/extrapolated");
          if (!wasFollowed || !rise) return;
          expect(one.rise).toBeGreaterThanOrEqual((rise.lower ?? 0) - 1e-6);
          expect(one.rise).toBeLessThanOrEqual((rise.upper ?? 0) + 1e-6);
        },
      ),
      RUNS,
    );
  });

  it("test leads in both readings change nothing once they are said", () => {
    fc.assert(
      fc.property(aWinding, fc.integer({ min: 1, max: 90 }), (one, hundredths) => {
        const leads = hundredths / 100;
        const hot = [{ at: "5", reading: (ohmsAt(one, one.room + one.rise) + leads).toFixed(6) }];
        const withLeads = judge(one, { cold: (one.cold + leads).toFixed(6), hot, leads: `${leads}` });
        expect(withLeads.figures[0]?.value).toBeCloseTo(one.rise, 2);
      }),
      RUNS,
    );
  });

  it("a better class never turns good into bad, and a late single reading never clears", () => {
    const order = ["a", "e", "b", "f", "h"] as const;
    fc.assert(
      fc.property(aWinding, fc.nat({ max: 3 }), (one, at) => {
        const [lower, higher] = [order[at], order[at + 1]].map((name) => judge(one, { class: name }).verdict);
        if (lower === "sound") expect(higher).toBe("sound");
        const hot = [{ at: "300", reading: ohmsAt(one, one.room + one.rise).toFixed(6) }];
        expect(judge(one, { hot }).verdict).not.toBe("sound");
      }),
      RUNS,
    );
  });

  it("refuses a reading that is less than the test leads alone", () => {
    const answer = tool.run(
      {
        cold: "0.10",
        coldAt: "20",
        hot: [{ at: "5", reading: "0.3" }],
        roomAt: "20",
        meter: { percent: 1, counts: 1, resolution: "0.01" },
        metal: "copper",
        class: "b",
        leads: "0.20",
      },
      TOOL_CONTEXT,
    );
    expect(answer.ok ? [] : answer.issues).toEqual([
      {
        path: "cold",
        code: "reading/below-leads",
        message: "Winding, cold 0.10 is less than the test leads alone: read both again.",
        given: "0.10",
      },
    ]);
  });
});
