import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import { EMPTY_BILL_FACTS } from "@/core/job/log/empty-facts";
import type { Payloads } from "@/core/job/log/entry";
import { nextStep } from "@/core/job/next-step";
import { isHere, standingOf } from "@/core/job/standing";
import { SignOffScreen } from "@/islands/sign-off/SignOffScreen";
import { $job } from "@/islands/state/job";
import { TagScreen } from "@/islands/take-in/TagScreen";
import { letterOf } from "@/letter/letter";
import { check, type Line, mended, OUT, ran } from "../core/job/entries";
import { KNOWLEDGE } from "../core/shop-context";
import { jobOf, SHOP } from "./job-fixture";

const signed = (word: Payloads["signed-off"]["word"]): Line => [
  "signed-off",
  { word, unproven: [], minutes: 30, labourMinor: 1000, partsMinor: 1200, watch: "", ...EMPTY_BILL_FACTS },
];
const REPAIRED: readonly Line[] = [
  ["complaint", { signs: ["hum"], circumstance: "cold", afterMinutes: null, words: "Hums." }],
  ["bench-state", OUT],
  mended(),
  ...["look-and-cord", "earth-continuity", "insulation"].map((id): Line => ["reading", check(id)]),
  ran({ circumstance: "cold", minutes: 10 }),
  signed("repaired"),
];
const FAILED: Line = ["reading", check("insulation", "failed")];
const TINGLE: Line = ["bench-state", { event: "incident", what: "tingle" }];
const STEP = { ...SHOP, zone: "UTC", isPlugFresh: true };
const step = (...lines: readonly Line[]) => nextStep(standingOf(jobOf("capacitor-start", lines)), STEP);
const here = (...lines: readonly Line[]) => isHere(standingOf(jobOf("capacitor-start", lines)));

afterEach(() => {
  cleanup();
  $job.set(null);
});

describe("what is written down after a machine was signed off", () => {
  it("that is no danger leaves its word and its place alone", () => {
    const note: Line = ["note", { text: "Fetched." }];
    expect(step(...REPAIRED, note)).toMatchObject({ code: "gone", params: { word: "repaired" } });
    expect(here(...REPAIRED, note)).toBe(false);
  });

  it.each([
    ["a failed test", FAILED],
    ["a tingle", TINGLE],
  ])(
    "%s takes the word everywhere, and puts the machine on the Bench until its owner is told",
    (_, since) => {
      const lines = [...REPAIRED, since];
      expect(here(...lines)).toBe(true);
      expect(step(...lines)).toMatchObject({ band: "now", code: "now/tell-owner" });
      const job = jobOf("capacitor-start", lines);
      const letter = letterOf(job, {
        shop: SHOP,
        ownerName: "Tansy Weavers",
        faults: KNOWLEDGE.faults,
        sentences: new Map(),
      });
      expect(letter?.word).toBe("do-not-use");
      expect(letter?.card).toContain("Do not use");
      const screenText = render(<SignOffScreen job={job} shop={SHOP} />).container.textContent ?? "";
      expect(screenText).toContain("Now: do not use");
      expect(screenText).toContain("It was signed off as “repaired”");
      expect(screenText).toContain("must not be used: do not plug it in");
      expect(screenText).not.toContain("is ready to be fetched");
      cleanup();
      render(<TagScreen job={job} ownerName="" shop={SHOP} code="data:," />);
      expect(screen.getByTestId("do-not-use")).toBeTruthy();
    },
  );

  it("on a machine that was opened again is its next visit's, and is asked there", () => {
    const again: Line = ["reopened", { why: "came back" }];
    expect(step(...REPAIRED, FAILED, again).code).not.toBe("now/tell-owner");
  });
});
