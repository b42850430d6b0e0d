import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { plateLine } from "@/core/nameplate/plate-line";
import { parseNameplate } from "@/core/nameplate/type-line";
import { RUNS } from "../shop-context";

const number = (min: number, max: number): fc.Arbitrary<string> => fc.integer({ min, max }).map(String);
const maybe = (value: fc.Arbitrary<string>): fc.Arbitrary<string> =>
  fc.oneof({ weight: 1, arbitrary: fc.constant("") }, { weight: 4, arbitrary: value });

const plate = fc.record({
  volts: maybe(number(12, 480)),
  hertz: maybe(fc.constantFrom("50", "60")),
  amps: maybe(fc.integer({ min: 1, max: 200 }).map((tenths) => String(tenths / 10))),
  power: maybe(
    fc.oneof(
      number(5, 3000).map((watts) => `${watts} W`),
      fc.constantFrom("1/4 hp", "0.37 kW"),
    ),
  ),
  speed: maybe(number(60, 30_000)),
  duty: maybe(fc.constantFrom("S1", "S3 25%", "KB 15 min")),
  enclosure: maybe(fc.constantFrom("IP44", "IPX4")),
  powerIs: fc.constantFrom("input", "output", "peak", "not-said" as const),
});

describe("a plate as one line", () => {
  it("is read again as it was taken down", () => {
    fc.assert(
      fc.property(plate, ({ powerIs, ...fields }) => {
        const isHp = fields.power.includes("hp");
        // No plate gives horsepower as taken in; alone it is what the shaft gives.
        fc.pre(!(isHp && powerIs === "input"));
        const line = parseNameplate(plateLine({ ...fields, powerIs }));
        const said = Object.fromEntries(Object.entries(fields).filter(([, text]) => text !== ""));
        expect(line.fields).toEqual(said);
        expect(line.leftOver).toBe("");
        const isSaid = fields.power !== "";
        expect(line.powerIs).toBe(!isSaid ? "not-said" : isHp && powerIs === "not-said" ? "output" : powerIs);
      }),
      RUNS,
    );
  });

  it("is empty where nothing was taken down", () => {
    expect(plateLine({ powerIs: "output" })).toBe("");
  });
});
