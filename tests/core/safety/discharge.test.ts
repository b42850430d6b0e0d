import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { farads, ohms, volts, watts } from "@/core/quantity/units";
import {
  drainTime,
  largestCapacitance,
  planDischarge,
  startVoltage,
  wattsNeeded,
} from "@/core/safety/discharge";
import { voltsAfter } from "@/core/simulation/meter";
import { LIMITS, RUNS } from "../shop-context";

const part = (
  voltsAc: number | undefined,
  microfarads: number,
  dielectric: "film" | "electrolytic" = "film",
) => ({
  voltsAc: voltsAc === undefined ? undefined : volts(voltsAc),
  capacitance: farads(microfarads * 1e-6),
  dielectric,
  role: "start" as const,
});

/** 15 kΩ that bears all it is asked here. */
const RESISTOR = { resistance: ohms(15_000), watts: watts(20), volts: volts(1000) };

describe("draining a capacitor", () => {
  it.each([
    [450, 230, 636.4],
    [250, 230, 353.6],
    [undefined, 230, 585.5],
    [undefined, 120, 305.5],
  ])("marked %s on %d V may stand at %d V", (marked, supply, wanted) => {
    expect(startVoltage(marked, supply, 1.8)).toBeCloseTo(wanted, 1);
  });

  it("takes the time that METHODS gives: 15 kΩ, 174 μF, 354 V down to 5 V", () => {
    const plan = planDischarge(part(250, 174, "electrolytic"), RESISTOR, volts(230), LIMITS);
    expect(plan).toMatchObject({ kind: "plan", startFrom: "mark", mayShortFirst: false });
    if (plan.kind !== "plan") return;
    expect(plan.time).toBeCloseTo(11.115, 3);
    expect(plan.energy).toBeCloseTo(10.875, 3);
    expect(plan.peakPower).toBeCloseTo(8.33, 2);
    expect(plan.rebound).toBeCloseTo(53.03, 2);
  });

  it("shows no time for a part marked above 600 V AC, and does for one at 600", () => {
    expect(planDischarge(part(2100, 1), RESISTOR, volts(230), LIMITS)).toEqual({
      kind: "refer",
      because: "marked",
      volts: 2100,
      limit: 600,
    });
    expect(planDischarge(part(600, 1), RESISTOR, volts(230), LIMITS).kind).toBe("plan");
    const direct = { ...part(undefined, 1), voltsDc: volts(900) };
    expect(planDischarge(direct, RESISTOR, volts(230), LIMITS)).toMatchObject({
      kind: "refer",
      because: "marked",
    });
  });

  it("counts the larger volts unless it is said to be for starting alone", () => {
    const from = (role: "start" | "run" | "not-known", more: object = {}) => {
      const plan = planDischarge({ ...part(250, 12), role, ...more }, RESISTOR, volts(230), LIMITS);
      return plan.kind === "plan" ? [plan.startFrom, Math.round(plan.startVolts)] : plan.kind;
    };
    expect(from("start")).toEqual(["mark", 354]);
    expect(from("run")).toEqual(["lifted", 585]);
    expect(from("not-known")).toEqual(["lifted", 585]);
    expect(from("not-known", { isOnBoard: true })).toEqual(["mark", 354]);
    expect(from("start", { voltsAc: undefined, voltsDc: volts(450) })).toEqual(["mark", 450]);
  });

  it("a small film part may be shorted first, a start part never", () => {
    const small = planDischarge(part(250, 4), RESISTOR, volts(230), LIMITS);
    expect(small).toMatchObject({ mayShortFirst: true });
    expect(planDischarge(part(250, 100, "electrolytic"), RESISTOR, volts(230), LIMITS)).toMatchObject({
      mayShortFirst: false,
    });
  });

  it("after the time it says, the safe voltage is reached and not before", () => {
    const positive = (max: number) => fc.double({ min: 1, max, noNaN: true });
    fc.assert(
      fc.property(
        positive(1e6),
        positive(1000),
        fc.double({ min: 6, max: 900, noNaN: true }),
        (r, microfarads, from) => {
          const c = microfarads * 1e-6;
          const time = drainTime(ohms(r), farads(c), volts(from), volts(5));
          expect(voltsAfter(from, r, c, time)).toBeCloseTo(5, 6);
          expect(voltsAfter(from, r, c, time * 0.9)).toBeGreaterThan(5);
        },
      ),
      RUNS,
    );
  });

  it.each([
    ["not said", { watts: undefined, volts: undefined }, "rating-not-said"],
    ["its volts too few", { watts: watts(20), volts: volts(350) }, "volts"],
    ["its watts too few", { watts: watts(1), volts: volts(500) }, "power"],
  ] as const)("a resistor with %s gives no time", (_, rating, because) => {
    const resistor = { resistance: ohms(15_000), ...rating };
    const plan = planDischarge(part(250, 174, "electrolytic"), resistor, volts(230), LIMITS);
    expect(plan).toMatchObject({ kind: "refuse", because });
  });

  it("what it must bear is the mean of its hardest five seconds, or a fifth of the first instant", () => {
    expect(wattsNeeded(ohms(15_000), farads(174e-6), volts(353.6), 5)).toBeCloseTo(2.13, 2);
    // A small part is over in an instant: its peak decides.
    expect(wattsNeeded(ohms(1_000), farads(1e-6), volts(353.6), 5)).toBeCloseTo(25.0, 1);
  });

  it("an unmarked part is taken for the largest that fits the plate; with no power on it nothing is made up", () => {
    expect(largestCapacitance("start", watts(550), volts(230), LIMITS)).toBeCloseTo(520e-6, 5);
    expect(largestCapacitance("run", watts(250), volts(230), LIMITS)).toBeCloseTo(28.4e-6, 6);
    expect(largestCapacitance("bus", watts(250), volts(230), LIMITS)).toBeGreaterThan(900e-6);
    expect(largestCapacitance("start", undefined, volts(230), LIMITS)).toBeUndefined();
  });

  it("a board's capacitor stands at the peak of the supply, no higher", () => {
    const plan = planDischarge({ ...part(undefined, 100), isOnBoard: true }, RESISTOR, volts(230), LIMITS);
    expect(plan).toMatchObject({ startVolts: expect.closeTo(357.8, 1) });
  });

  it("needs no time when it starts below the safe voltage", () => {
    expect(drainTime(ohms(15_000), farads(1e-4), volts(3), volts(5))).toBe(0);
  });
});
