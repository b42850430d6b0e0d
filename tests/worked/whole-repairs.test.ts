import { describe, expect, it } from "vitest";
import { playRepairs, wholeRepairs } from "../../scripts/isolation/whole-repairs";
import { KNOWLEDGE } from "../core/shop-context";

const played = playRepairs(KNOWLEDGE);
const points = played.flatMap((one) => one.points);

describe("sixty whole repairs, written down before the engine was asked about them", () => {
  it("are what the aim is over: twenty with something awkward, ten of unknown kind, three points each", () => {
    const all = wholeRepairs();
    expect(all).toHaveLength(60);
    expect(all.filter(({ sort }) => sort !== undefined)).toHaveLength(20);
    expect(all.filter(({ unknownUntil }) => unknownUntil !== undefined)).toHaveLength(10);
    expect(points).toHaveLength(180);
    expect(all.every(({ points: own }) => own.every(({ good }) => good.length <= 3))).toBe(true);
  });

  it("every answer in them is one that the knowledge has", () => {
    expect(played.flatMap(({ story, issues }) => issues.map((one) => `${story}: ${one}`))).toEqual([]);
  });

  it("the truth is named first in nine of ten", () => {
    const missed = played.filter(({ isNamed }) => !isNamed).map(({ story, named }) => `${story}: ${named}`);
    expect(missed.length, missed.join("\n")).toBeLessThanOrEqual(6);
  });

  it("a good move stands in the first two places at four of five points", () => {
    // The aim of 85 % is the bench's: docs/methods/isolation.md says how far it is met.
    const share = points.filter(({ isGood }) => isGood).length / points.length;
    expect(share).toBeGreaterThan(0.8);
  });
});
