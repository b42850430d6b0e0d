import { describe, expect, it } from "vitest";
import { highestVolts } from "@/core/markings/high-voltage";

describe("volts that a text speaks of", () => {
  it.each([
    ["2,100 VAC", 2100],
    ["2 100 V~", 2100],
    ["2.1 kV", 2100],
    ["3 kVDC", 3000],
    ["2100V", 2100],
    ["230 V 50 Hz", 230],
    ["145-174 μF 250 VAC", 250],
    ["HV 2.1 kV, 230 V~", 2100],
    ["0.6 kV", 600],
    ["0.230 V", 0.23],
    ["1000 VA", undefined],
    ["no volts here", undefined],
  ])("%s: %s", (text, volts) => {
    expect(highestVolts(text)).toBe(volts);
  });
});
