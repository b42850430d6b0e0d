import { describe, expect, it } from "vitest";
import { EMPTY_FORM, fieldOf, readForm } from "@/islands/take-in/form";

const TYPED = { ...EMPTY_FORM, machine: "Wool carder" };

describe("the take-in form", () => {
  it("is satisfied with the machine's name: partial plates and silence are fine", () => {
    const { parts, issues } = readForm(TYPED, "EUR");
    expect(issues).toEqual([]);
    expect(parts).toMatchObject({
      owner: null,
      plate: null,
      complaint: null,
      takenIn: { family: "not-known", protectionClass: "not-known" },
    });
  });

  it.each([
    [{ machine: "" }, "machine", /missing/],
    [{ ceiling: "eighty" }, "ceiling", /not an amount of EUR/],
    [{ ceiling: "-5" }, "ceiling", /not an amount/],
    [{ volts: "23O" }, "volts", /no unit of voltage/],
    [{ power: "1/0 hp" }, "power", /divides by zero/],
    [{ speed: "12..4" }, "speed", /one decimal point/],
    [
      { circumstance: "after-minutes" as const, afterMinutes: "soon", words: "stops" },
      "afterMinutes",
      /not a finite number|is not a number/,
    ],
  ])("names the field that cannot be used: %j", (change, field, words) => {
    const { issues } = readForm({ ...TYPED, ...change }, "EUR");
    expect(issues.map(({ path }) => fieldOf(path))).toContain(field);
    expect(issues.map(({ message }) => message).join(" ")).toMatch(words);
  });

  it("takes money with a comma, in the shop's own minor units", () => {
    expect(readForm({ ...TYPED, ceiling: "80,50" }, "EUR").parts.takenIn.ceilingMinor).toBe(8050);
    expect(readForm({ ...TYPED, ceiling: "8050" }, "JPY").parts.takenIn.ceilingMinor).toBe(8050);
  });
});
