import { describe, expect, it } from "vitest";
import { parseMoneyRange } from "@/core/quantity/money";

const read = (typed: string, currency = "EUR") => {
  const parsed = parseMoneyRange(typed, currency, "Price");
  return parsed.ok ? parsed.value : parsed.issues[0]?.code;
};

describe("an amount with its ends", () => {
  it.each([
    ["80", { minor: 8000, low: null, high: null }],
    ["60-100", { minor: 8000, low: 6000, high: 10_000 }],
    ["60 – 100,50", { minor: 8025, low: 6000, high: 10_050 }],
    ["60 / 70 / 100", { minor: 7000, low: 6000, high: 10_000 }],
    ["60 to 100", { minor: 8000, low: 6000, high: 10_000 }],
    ["100-60", "money/ends"],
    ["60 / 110 / 100", "money/ends"],
    ["-5", "money/unreadable"],
    ["1 / 2 / 3 / 4", "money/unreadable"],
    ["a few", "money/unreadable"],
    ["", "money/unreadable"],
  ])("%s", (typed, expected) => expect(read(typed)).toEqual(expected));

  it("in a currency without smaller coins", () => {
    expect(read("8000-9000", "JPY")).toEqual({ minor: 8500, low: 8000, high: 9000 });
    expect(read("80.5", "JPY")).toBe("money/unreadable");
  });
});
