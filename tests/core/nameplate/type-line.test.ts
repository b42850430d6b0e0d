import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { parseNameplate } from "@/core/nameplate/type-line";
import { RUNS } from "../shop-context";

describe("a line of a nameplate", () => {
  it.each([
    [
      "230V~ 50Hz 3.4A 1/2 hp 1425 r/min",
      { volts: "230", hertz: "50", amps: "3.4", power: "1/2 hp", speed: "1425" },
      "output",
    ],
    ["220-240 V 50/60 Hz 1200 W max", { volts: "220", hertz: "50", power: "1200 W" }, "peak"],
    ["P1 320 W 230 V", { volts: "230", power: "320 W" }, "input"],
    ["output 0,37 kW 3,4 A", { amps: "3.4", power: "0.37 kW" }, "output"],
    ["V 230 Hz 50 A 3.4", { volts: "230", hertz: "50", amps: "3.4" }, "not-said"],
    [
      "115V 60HZ 7.4A 1/3HP 1725RPM",
      { volts: "115", hertz: "60", amps: "7.4", power: "1/3HP", speed: "1725" },
      "output",
    ],
    ["50 Hz", { hertz: "50" }, "not-said"],
    [
      "230 V 1.425 r/min 1,200 W 5.0 A",
      { volts: "230", speed: "1425", power: "1200 W", amps: "5.0" },
      "not-said",
    ],
    ["2,100 V 1.250 A 1.100 kW", { volts: "2100", amps: "1.250", power: "1.100 kW" }, "not-said"],
    ["120 V 2 800 rpm", { volts: "120", speed: "2800" }, "not-said"],
    [
      "230 V 0.9 A S2 20 min II IP44",
      { volts: "230", amps: "0.9", duty: "S2 20 min", enclosure: "IP44" },
      "not-said",
    ],
    ["KB 5 min IP X4", { duty: "KB 5 min", enclosure: "IP X4" }, "not-said"],
    ["made on an island", {}, "not-said"],
    ["", {}, "not-said"],
  ])("%s", (typed, fields, powerIs) => {
    const line = parseNameplate(typed);
    expect(line.fields).toEqual(fields);
    expect(line.powerIs).toBe(powerIs);
  });

  it("two strokes that stand alone are the protection class, in a word they are not", () => {
    expect(parseNameplate("230 V II").protectionClass).toBe("class-2");
    expect(parseNameplate("Type AII 4").protectionClass).toBeUndefined();
    expect(parseNameplate("class III 24 V").protectionClass).toBe("class-3");
  });

  it("understands class, type, capacitor, and leaves the rest as words", () => {
    const line = parseNameplate("double insulated Type HX-2 cap 12 μF 450V IP44 island made");
    expect(line).toMatchObject({ protectionClass: "class-2", typeCode: "HX-2", capacitor: "12 μF 450V" });
    expect(line.leftOver).toBe("island made");
    expect(line.understood.map(({ text }) => text)).toContain("IP44");
  });

  it("never takes the volts of a capacitor for those of the machine", () => {
    expect(parseNameplate("145 μF 250VAC 115 V").fields.volts).toBe("115");
  });

  it("law: never throws, and every value it gives stands in what was typed", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (typed) => {
        for (const value of Object.values(parseNameplate(typed).fields))
          expect(typed.replaceAll(",", ".").replace(/[\u00a0\u2009\u202f]/g, " ")).toContain(
            value.split(" ")[0],
          );
      }),
      RUNS,
    );
  });
});
