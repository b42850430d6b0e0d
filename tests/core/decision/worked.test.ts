import { describe, expect, it } from "vitest";
import { decide } from "@/core/decision/decide";
import { decisionSentence } from "@/words/routes";
import { NAMES, WORKED } from "./worked";

describe("worked decisions", () => {
  it.each(WORKED)("$name", ({ given, around, isUnsafe, currency = "EUR", best, says, ceiling }) => {
    const decision = decide(given, around);
    expect([decision.best.id, Math.round(decision.best.mean)]).toEqual([best[0], Math.round(best[1])]);
    expect(decisionSentence(decision, NAMES, currency, isUnsafe)).toContain(says);
    if (ceiling !== undefined)
      expect(decision.underCeiling?.steps.map(({ action }) => action.id).join() ?? null).toBe(ceiling);
  });
});
