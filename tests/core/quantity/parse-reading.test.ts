import { describe, expect, it } from "vitest";
import { parseReading } from "@/core/quantity/parse-reading";
import type { QuantityId } from "@/core/quantity/reading";

function readAs(text: string, quantity: QuantityId): number | string {
  const parsed = parseReading(text, quantity);
  if (!parsed.ok) return parsed.issues[0]?.code ?? "";
  const { reading } = parsed.value;
  return reading.kind === "value" ? reading.value : reading.kind;
}

describe("a reading as it is typed", () => {
  it.each([
    ["12.4", "resistance", 12.4],
    ["12k4", "resistance", 12_400],
    ["4R7", "resistance", 4.7],
    ["0.43M", "resistance", 430_000],
    ["0.43 Mohm", "resistance", 430_000],
    ["1.2 \u2126", "resistance", 1.2],
    ["0", "resistance", 0],
    ["31.2u", "capacitance", 31.2e-6],
    ["31.2 \u00b5F", "capacitance", 31.2e-6],
    ["31.2", "capacitance", 31.2e-6],
    ["5 MFD", "capacitance", 5e-6],
    ["470n", "capacitance", 470e-9],
    ["2.5", "insulation", 2.5e6],
    ["2.5G", "insulation", 2.5e9],
    ["-0.3", "voltage", -0.3],
    ["230 V", "voltage", 230],
    ["14 °C", "temperature", 287.15],
    ["32 °F", "temperature", 273.15],
    ["14°", "temperature", 287.15],
    ["14 degrees", "temperature", 287.15],
    ["57.2 deg F", "temperature", 287.15],
    ["-40", "temperature", 233.15],
    ["1425 r/min", "speed", 1425],
  ] as const)("%s as %s is %d", (text, quantity, value) => {
    expect(readAs(text, quantity)).toBeCloseTo(value, 9);
  });

  it.each([
    ["OL", "over-range"],
    ["o.l.", "over-range"],
    ["UL", "under-range"],
    ["not taken", "not-taken"],
  ])("%s is %s, never a number", (text, kind) => {
    expect(readAs(text, "resistance")).toBe(kind);
  });

  it.each([
    ["12..4", "reading/unreadable", "one decimal point, such as 12.4"],
    ["4 7", "reading/unreadable", "write the digits together"],
    ["0x10", "reading/unreadable", "ordinary digits"],
    ["1e999", "reading/too-large", "larger than any meter reads"],
    ["-3 µF", "reading/negative", "below zero"],
    ["", "reading/missing", "is empty"],
    ["3 V", "reading/unreadable", "no unit of capacitance"],
    ["two", "reading/unreadable", "is not a reading"],
    ["1,234", "reading/unreadable", "can be 1234 or 1.234"],
    ["1,200 μF", "reading/unreadable", "can be 1200 or 1.2"],
    ["> 12", "reading/unreadable", "says only that it is more"],
    ["1,23,4", "reading/unreadable", "is not a reading"],
    ["5 F", "reading/not-possible", "outside what is possible"],
  ])("%s is refused: %s", (text, code, words) => {
    const parsed = parseReading(text, "capacitance", "Capacitance");
    expect(parsed.ok).toBe(false);
    if (parsed.ok) return;
    expect(parsed.issues[0]?.code).toBe(code);
    expect(parsed.issues[0]?.message).toContain(words);
    expect(parsed.issues[0]?.message).toContain("Capacitance");
  });

  it.each([
    ["1,234.5", "resistance", 1234.5],
    ["1.234,5 Ω", "resistance", 1234.5],
    ["1'200", "voltage", 1200],
    ["1,200,000", "resistance", 1_200_000],
    ["0,300", "voltage", 0.3],
    ["12.345", "resistance", 12.345],
    ["1.204k", "resistance", 1204],
    ["1,204k", "resistance", 1204],
    ["0.5 kV", "voltage", 500],
    ["1204 mV", "voltage", 1.204],
    ["> 2M", "resistance", "over-range"],
    ["≥200", "insulation", "over-range"],
    ["less than 0.5", "insulation", "under-range"],
  ] as const)("%s as %s is %s", (text, quantity, value) => {
    const read = readAs(text, quantity);
    expect(typeof read === "number" ? read.toPrecision(9) : read).toBe(
      typeof value === "number" ? value.toPrecision(9) : value,
    );
  });

  it.each(["1,200", "1.200", "-1.200 V", "2.100", "> 50", "< 5 V", "1,200 V"])(
    "volts %s are asked, never taken for the lower",
    (text) => {
      const parsed = parseReading(text, "voltage");
      expect(parsed.ok ? parsed.value.reading : parsed.issues[0]?.code).toBe("reading/unreadable");
    },
  );

  it("understands a decimal comma and says so", () => {
    const parsed = parseReading("12,4", "capacitance");
    expect(parsed).toMatchObject({
      ok: true,
      value: { said: "The comma was read as the decimal point: 12.4." },
    });
  });

  it("keeps what was typed and the weight of its last digit", () => {
    expect(parseReading("1,234.50", "resistance")).toMatchObject({
      value: { reading: { entered: "1,234.50", resolution: 0.01, value: 1234.5 }, said: "Read as 1234.50." },
    });
    expect(parseReading("61.8u", "capacitance")).toMatchObject({
      value: { reading: { entered: "61.8u", resolution: 1e-7, value: 6.18e-5, unit: "F" } },
    });
  });
});
