import { describe, expect, it } from "vitest";
import { parseReading } from "@/core/quantity/parse-reading";
import { checksFor, judgeDeadCheck, type ProtectionClass } from "@/core/safety/dead-checks";
import { KNOWLEDGE, LIMITS } from "../shop-context";

function judge(checkId: string, typed: string, protection: ProtectionClass, hasHeater = false) {
  const check = KNOWLEDGE.deadChecks.find(({ id }) => id === checkId);
  const parsed = parseReading(typed, checkId === "insulation" ? "insulation" : "resistance");
  if (!check || !parsed.ok) throw new Error("no such check or reading");
  return judgeDeadCheck(check, parsed.value.reading, protection, hasHeater, LIMITS);
}

describe("dead checks before the first plug-in", () => {
  it.each<[ProtectionClass, string[]]>([
    ["class-1", ["look-and-cord", "earth-continuity", "insulation"]],
    ["class-2", ["look-and-cord", "insulation"]],
    ["class-3", ["look-and-cord"]],
    ["battery", ["look-and-cord"]],
    ["not-known", ["look-and-cord", "earth-continuity", "insulation"]],
  ])("a machine of %s owes %j", (protection, owed) => {
    expect(checksFor(KNOWLEDGE.deadChecks, protection).map(({ id }) => id)).toEqual(owed);
  });

  it.each<[string, string, ProtectionClass, boolean, string, number]>([
    ["earth-continuity", "0.1", "class-1", false, "passed", 0.1],
    ["earth-continuity", "0.11", "class-1", false, "failed", 0.1],
    ["earth-continuity", "0", "class-1", false, "passed", 0.1],
    ["earth-continuity", "OL", "class-1", false, "failed", 0.1],
    ["insulation", "1", "class-1", false, "passed", 1e6],
    ["insulation", "0.99", "class-1", false, "failed", 1e6],
    ["insulation", "1.5", "class-2", false, "failed", 2e6],
    ["insulation", "0.4", "class-1", true, "passed", 3e5],
    ["insulation", "1.5", "not-known", false, "failed", 2e6],
    ["insulation", "OL", "class-2", false, "passed", 2e6],
    ["insulation", "UL", "class-1", false, "failed", 1e6],
    ["insulation", "> 200 MΩ", "class-2", false, "passed", 2e6],
    ["insulation", "more than 2", "class-2", false, "passed", 2e6],
    ["insulation", ">0.5M", "class-1", false, "undecided", 1e6],
    ["insulation", "< 0.5 MΩ", "class-1", false, "failed", 1e6],
    ["insulation", "<5", "class-1", false, "undecided", 1e6],
    ["insulation", "not taken", "class-1", false, "undecided", 1e6],
  ])("%s %s on %s (heater: %s) is %s", (checkId, typed, protection, heater, verdict, limit) => {
    expect(judge(checkId, typed, protection, heater)).toMatchObject({
      verdict,
      limit,
      limitSource: "iec-60335-1",
      limitReviewed: false,
    });
  });
});
