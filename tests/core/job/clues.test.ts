import { describe, expect, it } from "vitest";
import { found } from "../../tools/run-tool";
import { CARDER, logOf, viewOf } from "./entries";

const INPUT = { entering: "three", brushes: "none", mains: "50", turn: "smooth" };
const reading = {
  of: "tool",
  toolId: "motor-identity",
  moveId: null,
  input: INPUT,
  finding: found("motor-identity", INPUT),
  taken: "now",
  looseReadingId: null,
} as const;
const UNKNOWN = { ...CARDER, machine: "Something", family: "not-known" };
const said = (view: ReturnType<typeof viewOf>) =>
  view.answers.map(({ moveId, outcomeId }) => `${moveId} ${outcomeId}`).sort();

describe("clues that a reading gave beside what it was taken for", () => {
  it("count once, however often it was read", () => {
    const once = viewOf(logOf(["taken-in", UNKNOWN], ["reading", reading]));
    expect(said(once)).toEqual(["clue-detents smooth", "clue-leads three"]);
    expect(said(viewOf(logOf(["taken-in", UNKNOWN], ["reading", reading], ["reading", reading])))).toEqual(
      said(once),
    );
  });

  it("give way to an answer to the same question", () => {
    const answer = {
      moveId: "clue-leads",
      outcomeId: "more",
      circumstance: "cold",
      why: "",
      taken: "now",
    } as const;
    const view = viewOf(logOf(["taken-in", UNKNOWN], ["reading", reading], ["answer", answer]));
    expect(said(view)).toEqual(["clue-detents smooth", "clue-leads more"]);
  });
});
