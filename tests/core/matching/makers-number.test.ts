import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { compareNumbers, formatNumber, MAKERS_NUMBER, parseNumber } from "@/core/matching/makers-number";
import { formatValue, parseValue } from "@/core/matching/typed";
import { loadFamily } from "@/parts/registry";
import { RUNS } from "../shop-context";

const parsed = (text: string) => {
  const read = parseNumber(text, "Number");
  return read.ok ? read.value : read.issues[0]?.code;
};

describe("a maker's number", () => {
  it.each([
    ["41-220", "41-220"],
    [" 41–220 replaces 41-200,  41-118 ", "41-220<41-200<41-118"],
    ["tq 9a", "TQ 9A"],
    ["41-220 replaces 41-220", "number/own-substitute"],
    ["41-220 replaces", "number/unreadable"],
    ["none", "number/unreadable"],
    ["41<22", "number/unreadable"],
    ["", "number/unreadable"],
  ])("%j is read as %s", (text, value) => {
    expect(parsed(text)).toBe(value);
  });

  const number = fc
    .uniqueArray(fc.stringMatching(/^[A-Z]{0,2}[0-9]{2,4}(-[0-9A-Z]{1,3})?$/), { minLength: 1, maxLength: 4 })
    .map((all) => all.join("<"));

  it("is typed back as it is printed", () => {
    fc.assert(
      fc.property(number, (value) => {
        expect(parseValue(MAKERS_NUMBER, formatValue(MAKERS_NUMBER, value))).toEqual({ ok: true, value });
        expect(formatNumber(value).startsWith(value.split("<")[0] ?? "")).toBe(true);
      }),
      RUNS,
    );
  });

  it("that replaces another is its newer one, and that one its older; itself it is the same", () => {
    fc.assert(
      fc.property(number, (value) => {
        expect(compareNumbers(value, value)).toBe("same");
        const [newest = "", ...older] = value.split("<");
        for (const old of older) {
          expect(compareNumbers(old, value)).toBe("newer");
          expect(compareNumbers(value, old)).toBe("older");
          expect(compareNumbers(old, newest)).toBe("other");
        }
      }),
      RUNS,
    );
  });

  it("is read as a mark only where the list has it", async () => {
    const assembly = await loadFamily("assembly");
    expect(assembly?.readMark?.("21-12ae")).toEqual({ number: "21-12AE" });
    expect(assembly?.readMark?.("21-12BE")).toEqual({ number: "21-12BE" });
    expect(assembly?.readMark?.("6202-2RS")).toBeUndefined();
  });
});
