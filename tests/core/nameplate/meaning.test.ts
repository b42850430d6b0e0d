import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { meaningOfPlate } from "@/core/nameplate/as-typed";
import { LIMITS, RUNS } from "../shop-context";

const PLATE = { volts: "230", hertz: "50", amps: "3.4", power: "", speed: "", powerIs: "not-said" } as const;
const codes = (change: Partial<Record<keyof typeof PLATE, string>>) =>
  meaningOfPlate({ ...PLATE, ...change } as typeof PLATE, LIMITS).map(({ code }) => code);

describe("what a plate means", () => {
  it.each([
    [{ power: "1/2 hp" }, "output"],
    [{ power: "700 W" }, "input"],
    [{ power: "300 W" }, "either"],
    [{ power: "300 W", powerIs: "input" }, "input"],
    [{ power: "2.5 hp" }, "more-than-taken-in"],
    [{ power: "2.5 hp", powerIs: "peak" }, "peak"],
    [{ power: "750 W", powerIs: "output" }, "output-too-high"],
    [{ power: "60 W" }, "output-low"],
    [{ power: "1200 W", amps: "", powerIs: "peak" }, "peak"],
  ])("%j is %s", (change, code) => {
    expect(codes(change).filter((one) => one !== "volt-amperes")).toEqual([code]);
  });

  it.each([
    ["1425", "50", "poles", 4],
    ["2850", "50", "poles", 2],
    ["1140", "60", "poles", 6],
    ["18000", "50", "above-two-poles", undefined],
    ["1140", "50", "poles", 4],
    ["1110", "50", "no-pole-count", undefined],
  ])("%s r/min at %s Hz: %s", (speed, hertz, code, poles) => {
    const said = meaningOfPlate({ ...PLATE, amps: "", hertz, speed }, LIMITS);
    expect(said.map((one) => one.code)).toEqual([code]);
    if (poles !== undefined) expect(said[0]?.figures["poles"]).toBe(poles);
  });

  it("says nothing of what the plate does not say, or cannot be read", () => {
    expect(codes({ amps: "", volts: "" })).toEqual([]);
    expect(codes({ amps: "3..4", power: "lots" })).toEqual([]);
  });

  it("law: power above volts times amps is never called usual", () => {
    fc.assert(
      fc.property(fc.double({ min: 1.06, max: 20, noNaN: true }), (times) => {
        const power = `${(782 * times).toFixed(1)} W`;
        expect(codes({ power })).toContain("more-than-taken-in");
      }),
      RUNS,
    );
  });
});
