import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  isSteady,
  type MeterLine,
  meterLine,
  parseMeterLine,
  type Sample,
  typedOf,
} from "@/core/quantity/meter-line";
import { parseReading } from "@/core/quantity/parse-reading";
import { QUANTITIES, type QuantityId } from "@/core/quantity/reading";
import { seededRandom } from "@/core/seeded-random";
import { benchMeterShows } from "@/core/simulation/bench-meter";
import { RUNS } from "../shop-context";

const quantity = fc.constantFrom(...(Object.keys(QUANTITIES) as QuantityId[]));
const line: fc.Arbitrary<MeterLine> = fc
  .record({
    quantity,
    kind: fc.constantFrom("value" as const, "over-range" as const, "under-range" as const),
    counts: fc.integer({ min: 0, max: 60_000 }),
    power: fc.integer({ min: -7, max: 3 }),
  })
  .map(({ kind, counts, power, ...rest }) => ({
    ...rest,
    kind,
    value: kind === "value" ? Number((counts * 10 ** power).toPrecision(9)) : 0,
    resolution: 10 ** power,
  }));

describe("a line of the meter's protocol", () => {
  it("is read as it was written", () => {
    fc.assert(
      fc.property(line, (given) => {
        const read = parseMeterLine(meterLine(given));
        expect(read.ok && read.value).toEqual(given);
      }),
      RUNS,
    );
  });

  it("is typed so that reading it gives the value to its last digit", () => {
    const shown: MeterLine = { quantity: "capacitance", kind: "value", value: 61.8e-6, resolution: 1e-7 };
    expect(typedOf(shown)).toBe("61.8");
    const typed = parseReading(typedOf(shown), "capacitance");
    expect(typed.ok && typed.value.reading).toMatchObject({
      kind: "value",
      value: 61.8e-6,
      resolution: 1e-7,
    });
    expect(typedOf({ ...shown, kind: "over-range" })).toBe("OL");
    const volts = typedOf({ quantity: "voltage", kind: "value", value: 1.204, resolution: 0.001 });
    expect(volts).toBe("1204 mV");
    expect(parseReading(volts, "voltage")).toMatchObject({ value: { reading: { value: 1.204 } } });
  });

  it("that is none is refused and named, whatever it is", () => {
    expect(parseMeterLine("READ resistance 14.2 0")).toMatchObject({ ok: false });
    expect(parseMeterLine("READ weight 14.2 0.1")).toMatchObject({ ok: false });
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(typeof parseMeterLine(text).ok).toBe("boolean");
      }),
      RUNS,
    );
  });
});

describe("standing still", () => {
  const at = (ms: number, value: number, kind: MeterLine["kind"] = "value"): Sample => ({
    at: ms,
    line: { quantity: "resistance", kind, value, resolution: 0.1 },
  });

  it("is two seconds within two counts, of one kind", () => {
    const still = [0, 500, 1000, 1500, 2000, 2100].map((ms) => at(ms, 14.2 + (ms % 1000 === 0 ? 0.1 : 0)));
    expect(isSteady(still, 2100)).toBe(true);
    expect(isSteady(still.slice(0, 4), 1500)).toBe(false);
    expect(isSteady([...still, at(2200, 14.9)], 2200)).toBe(false);
    expect(isSteady([...still, at(2200, 0, "over-range")], 2200)).toBe(false);
  });

  it("comes to the simulated meter a while after its probes were placed", () => {
    const random = seededRandom(5);
    const samples: Sample[] = [];
    for (let ms = 0; ms <= 6000; ms += 250) {
      const shown = benchMeterShows({ quantity: "capacitance", a: "", b: "" }, ms / 1000, random);
      if (shown) samples.push({ at: ms, line: shown });
    }
    expect(
      isSteady(
        samples.filter((one) => one.at <= 2250),
        2250,
      ),
    ).toBe(false);
    expect(isSteady(samples, 6000)).toBe(true);
    expect(samples.at(-1)?.line.value).toBeCloseTo(61.8e-6, 6);
    expect(benchMeterShows({ quantity: "resistance", a: "red", b: "green" }, 9, random)?.kind).toBe(
      "over-range",
    );
    expect(benchMeterShows({ quantity: "speed", a: "", b: "" }, 9, random)).toBeUndefined();
  });
});
