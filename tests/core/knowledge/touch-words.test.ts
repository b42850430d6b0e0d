import { describe, expect, it } from "vitest";
import { touchIssues } from "@/core/knowledge/touch-words";
import type { Move } from "@/core/knowledge/types";
import { KNOWLEDGE } from "../shop-context";

const NOTHING = { deadChecks: [], repairs: [], touchWords: KNOWLEDGE.touchWords };

/** What is said against a page of moves once it is changed so. */
function against(id: string, change: Partial<Move>): readonly string[] {
  const moves = KNOWLEDGE.moves.filter((move) => move.id === id).map((move) => ({ ...move, ...change }));
  expect(moves).toHaveLength(1);
  return touchIssues({ ...NOTHING, moves }).map(({ code, given }) => `${code} ${String(given)}`);
}

describe("words of a page and what it touches", () => {
  it("agree on every move, dead check and repair", () => {
    expect(touchIssues(KNOWLEDGE)).toEqual([]);
  });

  it.each<[string, string, Partial<Move>, string]>([
    [
      "a test that turns the shaft and names its probes alone",
      "brush-to-brush",
      { touches: ["bare-conductors"] },
      "knowledge/touch-unsaid turning",
    ],
    [
      "a look that plugs the machine in elsewhere",
      "lamp-on-outlet",
      { how: "And the machine’s cord on a known outlet." },
      "knowledge/touch-unsaid known outlet",
    ],
    [
      "a feel from outside that is said to turn nothing",
      "earth-ohms",
      { touches: ["outside", "shaft"] },
      "knowledge/touch-needless shaft",
    ],
    [
      "a word explained that the page does not say",
      "earth-ohms",
      { otherSense: { turn: "a knob" } },
      "knowledge/touch-other-sense turn",
    ],
  ])("refuses %s", (_, id, change, said) => {
    expect(against(id, change)).toContain(said);
  });

  it("leaves a word alone whose other sense is said", () => {
    expect(against("timer-ohms", {})).toEqual([]);
    expect(against("timer-ohms", { otherSense: {} })).toEqual(["knowledge/touch-unsaid turn"]);
  });
});
