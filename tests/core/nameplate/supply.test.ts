import { describe, expect, it } from "vitest";
import { supplyOf } from "@/core/nameplate/supply";

describe("the supply that decides", () => {
  it.each([
    ["", 230, 230, undefined],
    ["240", 230, 240, undefined],
    ["220", 230, 230, undefined],
    ["120", 230, 230, 120],
    ["400", 230, 400, 400],
    ["scratched", 230, 230, undefined],
  ])("plate %s in a shop of %d V: %d V", (plate, shop, volts, plateDisagrees) => {
    expect(supplyOf(plate, shop)).toEqual({ volts, plateDisagrees });
  });
});
