import { describe, expect, it } from "vitest";
import { closedJobOf } from "@/core/job/isolation/closed-job";
import { EMPTY_BILL_FACTS } from "@/core/job/log/empty-facts";
import type { Payloads } from "@/core/job/log/entry";
import { KNOWLEDGE } from "../shop-context";
import { CARDER, type Line, logOf, viewOf } from "./entries";

const said = (moveId: string, outcomeId: string): Line => [
  "answer",
  { moveId, outcomeId, circumstance: "cold", taken: "now", why: "" },
];
const fitted = (...faultIds: string[]): Line => [
  "intervention",
  { repair: "", label: "Done", faultIds, success: 0.9, seen: null, part: "none", taken: "afterwards" },
];
const leaves = (word: Payloads["signed-off"]["word"]): Line => [
  "signed-off",
  { word, unproven: [], minutes: 30, labourMinor: 1400, partsMinor: 0, watch: "", ...EMPTY_BILL_FACTS },
];
const taught = (...lines: Line[]) =>
  closedJobOf(viewOf(logOf(["taken-in", CARDER], ...lines)), KNOWLEDGE.faults);

describe("what a closed job teaches", () => {
  it("nothing while it is open, and nothing where neither a proof nor a cure showed anything", () => {
    expect(taught(said("fuse-ohms", "open"))).toBeUndefined();
    expect(taught(said("turn-shaft", "free"), leaves("not-repaired"))).toBeUndefined();
  });

  it("what a direct reading proved, whatever word it left with", () => {
    const job = taught(said("start-capacitance", "open"), leaves("not-repaired"));
    expect(job?.roots).toEqual([{ fault: "start-capacitor-open", isProven: true }]);
    expect(job?.answers).toEqual([{ moveId: "start-capacitance", outcomeId: "open", circumstance: "cold" }]);
  });

  it("a proved consequence of a proved root is no root, but was there", () => {
    const job = taught(said("fuse-ohms", "open"), said("turn-shaft-load-off", "locked"), leaves("repaired"));
    expect(job?.roots).toEqual([{ fault: "bearing-seized", isProven: true }]);
    expect(job?.present).toContain("fuse-open");
  });

  it("without a proof, what the last repair cures, and only where it left repaired", () => {
    const lines = [said("owner-report", "hums-still"), fitted("capacitor-lead-off")];
    expect(taught(...lines, leaves("repaired"))?.roots).toEqual([
      { fault: "capacitor-lead-off", isProven: false },
    ]);
    expect(taught(...lines, leaves("not-yet-proven"))).toBeUndefined();
  });

  it("answers from after a repair say nothing of what was wrong before it", () => {
    const job = taught(
      said("start-capacitance", "open"),
      fitted("start-capacitor-open"),
      said("turn-shaft", "free"),
      leaves("repaired"),
    );
    expect(job?.answers.map(({ moveId }) => moveId)).toEqual(["start-capacitance"]);
  });
});
