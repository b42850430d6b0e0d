import { describe, expect, it } from "vitest";
import { highestVolts } from "@/core/markings/volts";

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
    ["1.200 V", 1200],
    ["1'200 VAC", 1200],
    ["450 WVDC", 450],
    ["AC 450 V 50 Hz", 450],
    ["220/250 V", 250],
    [".5 kV", 500],
    ["±5 % 25/085/21 450 V~", 450],
    ["CBB60 450V.AC", 450],
    ["4n7 Y2 250 VAC", 250],
    ["1000 VA", undefined],
    ["500 var", undefined],
    ["no volts here", undefined],
  ])("%s: %s", (text, volts) => {
    expect(highestVolts(text)).toBe(volts);
  });
});
