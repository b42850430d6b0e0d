import { describe, expect, it } from "vitest";
import { found } from "./run-tool";

const SEEN = ["climbs", "stays-low", "never"];
const STEADY = [undefined, "OL", "0.4", "9", "15k", "180k", "not taken"];

describe("laws of the climb", () => {
  it("never calls a capacitor good, and says nothing for isolation where a resistor hides it", () => {
    for (const first of SEEN)
      for (const second of SEEN)
        for (const steady of STEADY) {
          const answer = found("ohms-ramp", { first, second, ...(steady === undefined ? {} : { steady }) });
          expect(answer.verdict).not.toBe("sound");
          if (steady === "15k") expect(answer.evidence).toEqual([]);
        }
  });
});
