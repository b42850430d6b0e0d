import { describe, expect, it } from "vitest";
import { EMPTY_BILL_FACTS, EMPTY_OWNER_FACTS } from "@/core/job/log/empty-facts";
import { billOf, partsCost } from "@/core/job/sign-off/bill";
import { asksOwner, estimateOf } from "@/core/job/sign-off/estimate";
import { repairsOn } from "@/core/knowledge/kind-costs";
import { KNOWLEDGE } from "../shop-context";
import { CARDER, type Line, logOf, viewOf } from "./entries";

const job = (...lines: readonly Line[]) =>
  viewOf(
    logOf(["taken-in", { ...CARDER, ceilingMinor: 2000, feeMinor: 1500, depositMinor: 1000 }], ...lines),
  );
const said = (answer: "asked" | "yes" | "no", priceMinor: number | null = 3000): Line => [
  "owner-answer",
  { ...EMPTY_OWNER_FACTS, question: "May we fit it?", answer, means: "telephone", priceMinor },
];
const SIGNED: Line = [
  "signed-off",
  {
    word: "repaired",
    unproven: [],
    minutes: 20,
    labourMinor: 700,
    partsMinor: 1400,
    watch: "",
    ...EMPTY_BILL_FACTS,
  },
];
const DONE: Line = [
  "intervention",
  {
    repair: "",
    label: "Fuse changed",
    faultIds: [],
    success: 0.9,
    seen: null,
    part: "none",
    taken: "afterwards",
  },
];
const BACK: Line = ["reopened", { why: "hums again" }];
const PART: Line = [
  "part-chosen",
  {
    forPart: "start",
    partId: "x",
    label: "a capacitor",
    fit: "fit",
    notes: [],
    priceMinor: 1400,
    days: 2,
    asked: null,
    ownerNotes: [],
    fromShelf: [],
  },
];
const suspects = [
  { roots: ["start-capacitor-low"], chance: 0.4 },
  { roots: ["start-capacitor-open"], chance: 0.3 },
  { roots: ["fuse-open"], chance: 0.1 },
  { roots: ["fuse-open", "start-capacitor-low"], chance: 0.2 },
];
const settings = { labourRateMinor: 6000, partsMarkupPercent: 10, taxPercent: 20 };
const repairs = repairsOn({ family: "capacitor-start" }, KNOWLEDGE);
const estimate = (view: ReturnType<typeof job>) =>
  estimateOf(view, { suspects, faults: KNOWLEDGE.faults, repairs, closingMinutes: 5, settings });

describe("what the likeliest repair comes to", () => {
  it("is that of the repair that cures the most, its minutes, part, mark-up and tax in one figure", () => {
    const fit = repairs.find(({ id }) => id === "fit-start-capacitor");
    const found = estimate(job(["time-spent", { seconds: 600, how: "counted", why: "" }]));
    expect(found).toMatchObject({ repair: "fit-start-capacitor", isAboveCeiling: true });
    expect(found?.chance).toBeCloseTo(0.7, 9);
    const work = (10 + 5 + (fit?.minutes ?? 0)) * 100 + Math.round((fit?.partMinor ?? 0) * 1.1);
    expect(found?.priceMinor).toBe(work + Math.round(work * 0.2));
  });

  it("is nothing where no suspect stands by itself", () => {
    expect(
      estimateOf(job(), {
        suspects: suspects.slice(3),
        faults: KNOWLEDGE.faults,
        repairs,
        closingMinutes: 5,
        settings,
      }),
    ).toBeUndefined();
  });
});

describe("the owner is rung", () => {
  it.each<[string, readonly Line[], boolean]>([
    ["once it is likely and above what was said at the door", [], true],
    ["not while they are asked", [said("asked")], false],
    ["not after a no", [said("no")], false],
    ["not after a yes without a price", [said("yes", null)], false],
    ["anew on the next visit", [said("no"), SIGNED, BACK], true],
    ["anew also where something was done on the first", [DONE, SIGNED, BACK], true],
    ["not once something was done on this one", [DONE], false],
    ["again though they agreed to less than was said at the door", [said("yes", 100)], true],
  ])("%s", (_, lines, isRung) => {
    const view = job(...lines);
    expect(asksOwner(view, estimate(view), 0.5)).toBe(isRung);
  });

  it("not on a guess, and not below the ceiling", () => {
    expect(asksOwner(job(), estimate(job()), 0.71)).toBe(false);
    const wide = viewOf(logOf(["taken-in", { ...CARDER, ceilingMinor: 900_000 }]));
    expect(asksOwner(wide, estimate(wide), 0.5)).toBe(false);
  });
});

describe("what was agreed", () => {
  const bill = (view: ReturnType<typeof job>, labourMinor: number) =>
    billOf(view, { labourMinor, partsMinor: 0, discountMinor: 0, isFree: false, taxPercent: 0 });

  it("is what was said at the door, or more by a yes; a yes to less takes nothing from it", () => {
    expect(bill(job(), 2001).isAboveCeiling).toBe(true);
    expect(bill(job(said("yes", 3000)), 3000).isAboveCeiling).toBe(false);
    expect(bill(job(said("yes", 3000)), 3001).isAboveCeiling).toBe(true);
    expect(bill(job(said("yes", 100)), 2000).isAboveCeiling).toBe(false);
  });
});

describe("a machine that came back", () => {
  it("is not charged again for the parts, the minutes and the fee of its first visit", () => {
    const first = job(PART, ["time-spent", { seconds: 600, how: "counted", why: "" }], SIGNED);
    const back = job(PART, ["time-spent", { seconds: 600, how: "counted", why: "" }], SIGNED, BACK);
    expect([partsCost(first), first.secondsSpent]).toEqual([1400, 600]);
    expect([partsCost(back), back.secondsSpent]).toEqual([0, 0]);
    const nothing = { labourMinor: 0, partsMinor: 0, discountMinor: 0, isFree: false, taxPercent: 0 };
    expect(billOf(first, nothing)).toMatchObject({ total: 1500, due: 500 });
    expect(billOf(back, nothing)).toMatchObject({ total: 0, due: 0 });
  });
});
