import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { numbered } from "@/islands/decide/numbered";

const share = fc.double({ min: 0, max: 1, noNaN: true });

describe("numbers of a slider's notches", () => {
  it("are those of the nearest and of what can be read beside it", () => {
    expect(numbered([0.2, 0.28, 0.9], 0.4)).toEqual([0.28, 0.9]);
    expect(numbered([], 0.4)).toEqual([]);
  });

  it("never lie over each other, and the nearest always has its own", () => {
    fc.assert(
      fc.property(fc.array(share, { minLength: 1 }), share, (places, stands) => {
        const kept = numbered(places, stands);
        const nearest = Math.min(...places.map((place) => Math.abs(place - stands)));
        expect(Math.min(...kept.map((place) => Math.abs(place - stands)))).toBe(nearest);
        for (const [at, place] of kept.entries())
          if (at > 0) expect(place - (kept[at - 1] ?? 0)).toBeGreaterThanOrEqual(0.27 - 1e-12);
      }),
    );
  });
});
