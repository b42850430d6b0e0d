import { describe, expect, it } from "vitest";
import { recallsFor } from "@/core/job/door/recall";
import {
  EMPTY_BILL_FACTS,
  EMPTY_FOLLOW_UP_FACTS,
  EMPTY_REFITTED_FACTS,
  EMPTY_REMOVED_FACTS,
} from "@/core/job/log/empty-facts";
import type { Removed } from "@/core/job/log/entry";
import { collars, nextStep } from "@/core/job/next-step";
import { putBackOrder, stillOff, wireMap } from "@/core/job/reassembly/put-back";
import { beforeAfter } from "@/core/job/sign-off/before-after";
import { signOffWord } from "@/core/job/sign-off/sign-off";
import { KNOWLEDGE, LIMITS, SIGN_OFF, TOOL_CARDS } from "../shop-context";
import { CARDER, check, type Line, logOf, OUT, ran, viewOf } from "./entries";

const off = (what: string, change: Partial<Removed> = {}): Line => [
  "removed",
  { sort: "part", what, count: 1, where: "", ...EMPTY_REMOVED_FACTS, ...change },
];
const back = (line: number, count: number | null = null): Line => [
  "refitted",
  { ...EMPTY_REFITTED_FACTS, line, how: "back", count },
];
const START: readonly Line[] = [["taken-in", CARDER]];
const view = (...lines: readonly Line[]) => viewOf(logOf(...START, ...lines));
const order = (...lines: readonly Line[]) =>
  putBackOrder(view(...lines)).map(({ line, access }) => access ?? line);

describe("the order of putting back", () => {
  it("is the order of coming off, reversed; an open cover closes where it was opened", () => {
    expect(
      order(
        ["opened", { access: "hump", is: "capacitor-cover", taken: "afterwards" }],
        off("screw"),
        off("capacitor"),
      ),
    ).toEqual([4, 3, "hump"]);
    expect(
      order(
        off("screw"),
        ["opened", { access: "hump", is: "capacitor-cover", taken: "afterwards" }],
        off("capacitor"),
      ),
    ).toEqual([4, "hump", 2]);
  });

  it("set by hand it holds, and what comes off after that goes back before all of it", () => {
    const lines = [off("screw"), off("fan"), off("rotor"), ["reordered", { lines: [3, 4, 2] }] as Line];
    expect(order(...lines)).toEqual([3, 4, 2]);
    expect(order(...lines, off("washer"))).toEqual([6, 3, 4, 2]);
  });

  it("is no order at all once it is struck out", () => {
    expect(
      order(
        off("screw"),
        off("fan"),
        ["reordered", { lines: [2, 3] }],
        ["struck", { seq: 4, why: "", reason: "none" }],
      ),
    ).toEqual([3, 2]);
  });
});

describe("what is still off", () => {
  it("a line of four screws is off until all four are back", () => {
    const screws = off("screw", { sort: "fastener", count: 4 });
    expect(stillOff(view(screws))).toEqual([2]);
    expect(stillOff(view(screws, back(2, 3)))).toEqual([2]);
    expect(view(screws, back(2, 3)).removed[0]?.left).toBe(1);
    expect(stillOff(view(screws, back(2, 3), back(2)))).toEqual([]);
    expect(
      stillOff(view(screws, back(2, 3), back(2), ["struck", { seq: 4, why: "", reason: "none" }])),
    ).toEqual([2]);
  });

  it("bars the Sign off collar, and a job opened again is to be signed off again", () => {
    const context = {
      deadChecks: KNOWLEDGE.deadChecks,
      moves: KNOWLEDGE.moves,
      tools: TOOL_CARDS,
      limits: LIMITS,
      now: "2026-11-25T10:00:00Z",
      zone: "UTC",
      isPlugFresh: true,
    };
    const collar = (...lines: readonly Line[]) => collars(view(...lines), context)["sign-off"];
    expect(collar(off("washer"))).toBe("locked");
    expect(collar(off("washer"), back(2))).toBe("to-come");
    const signed: Line = [
      "signed-off",
      {
        word: "not-yet-proven",
        unproven: [],
        minutes: 1,
        labourMinor: 0,
        partsMinor: 0,
        watch: "",
        ...EMPTY_BILL_FACTS,
      },
    ];
    expect(collar(signed)).toBe("done");
    expect(collar(signed, ["reopened", { why: "hums again" }])).toBe("to-come");
    expect(nextStep(view(signed), context).band).toBe("gone");
    expect(nextStep(view(signed, ["reopened", { why: "hums again" }]), context).band).toBe("now");
  });
});

describe("pins and wires", () => {
  it("the last pin of a line counts; without one it has the pin it came off with", () => {
    const picture: Line = [
      "picture",
      { sha256: "a".repeat(64), of: "inside", width: 10, height: 10, words: "" },
    ];
    const pinned = view(picture, off("screw", { pin: { picture: 2, x: 0.1, y: 0.2 } }));
    expect(pinned.removed[0]?.pin).toEqual({ picture: 2, x: 0.1, y: 0.2 });
    const moved = view(picture, off("screw"), ["pinned", { line: 3, picture: 2, x: 0.5, y: 0.5 }]);
    expect(moved.removed[0]?.pin).toEqual({ picture: 2, x: 0.5, y: 0.5 });
  });

  it("the wire map stands by terminal, numbers as numbers, and says what is back", () => {
    const wire = (colour: string, terminal: string) => off("wire", { sort: "wire", colour, terminal });
    const map = wireMap(view(wire("brown", "10"), wire("blue", "2"), off("fan"), back(2)));
    expect(map.map(({ colour, terminal, isBack }) => [colour, terminal, isBack])).toEqual([
      ["blue", "2", false],
      ["brown", "10", true],
    ]);
  });
});

const FITTED: Line = [
  "intervention",
  { repair: "", label: "Fitted", faultIds: [], success: 0.9, seen: null, part: "none", taken: "afterwards" },
];
const ALWAYS: Line = ["complaint", { signs: [], circumstance: "always", afterMinutes: null, words: "Hums." }];
const TESTS: readonly Line[] = ["look-and-cord", "earth-continuity"].map((id) => ["reading", check(id)]);
const said = (...lines: readonly Line[]) => signOffWord(view(ALWAYS, OUT_LINE, ...lines), SIGN_OFF);
const OUT_LINE: Line = ["bench-state", OUT];

describe("leakage in place of insulation", () => {
  const leakage = (verdict: "passed" | "failed" | "undecided"): Line => [
    "reading",
    check("leakage", verdict),
  ];
  it.each<[string, readonly Line[], string, readonly string[]]>([
    ["neither", [], "not-yet-proven", ["final-insulation"]],
    ["leakage alone", [leakage("passed")], "repaired", []],
    ["leakage that cannot tell", [leakage("undecided")], "not-yet-proven", ["final-insulation"]],
    [
      "insulation untold, leakage good",
      [["reading", check("insulation", "undecided")], leakage("passed")],
      "repaired",
      [],
    ],
    [
      "good insulation, failed leakage",
      [["reading", check("insulation")], leakage("failed")],
      "do-not-use",
      ["failed-check"],
    ],
  ])("%s", (_, lines, word, unproven) => {
    expect(said(FITTED, ...TESTS, ...lines, ran())).toEqual({ word, unproven });
  });

  it("says nothing of the machine that was changed since", () => {
    expect(said(leakage("passed"), FITTED, ...TESTS, ran()).unproven).toEqual(["final-insulation"]);
  });
});

describe("a part fitted for a while", () => {
  const part: Line = [
    "part-chosen",
    {
      forPart: "run",
      partId: "x",
      label: "X",
      fit: "temporary",
      notes: [],
      priceMinor: 0,
      days: 0,
      asked: null,
      ownerNotes: [],
      fromShelf: [],
    },
  ];
  const ends = (onDay: string | null): Line => [
    "follow-up",
    { ...EMPTY_FOLLOW_UP_FACTS, about: "temporary-part", what: "Take it out", onDay },
  ];
  const rest = [FITTED, ...TESTS, ["reading", check("insulation")] as Line, ran()];
  it("never leaves as repaired, and asks for the day on which it comes out", () => {
    expect(said(part, ...rest).unproven).toEqual(["temporary", "temporary-no-end"]);
    expect(said(part, ends(null), ...rest).unproven).toEqual(["temporary", "temporary-no-end"]);
    expect(said(part, ends("2027-01-05"), ...rest).unproven).toEqual(["temporary"]);
  });
});

describe("before and after", () => {
  it("pairs every figure of the run in its own unit, and leaves out what was not taken", () => {
    const figures = [
      { quantity: "time", before: "21", after: "4.2 s" },
      { quantity: "noise", before: "71", after: "62 dB" },
      { quantity: "capacitance", before: "61.8", after: "" },
      { quantity: "temperature", before: "", after: "" },
    ] as const;
    const pairs = beforeAfter(view(FITTED, ran({ figures })));
    expect(pairs).toEqual([
      { id: "time", unit: "s", before: 21, after: 4.2 },
      { id: "noise", unit: "dB", before: 71, after: 62 },
      { id: "capacitance", unit: "F", before: 61.8e-6, after: undefined },
    ]);
  });
});

describe("recall notices", () => {
  it("are found by all their words, in any case and order, and by no fewer", () => {
    const ids = (text: string) => recallsFor(text, KNOWLEDGE.recalls).map(({ id }) => id);
    expect(ids("Weaving WINDER Series A 1987")).toEqual(["island-notice-7"]);
    expect(ids("Weaving winder series B")).toEqual([]);
    expect(ids("")).toEqual([]);
  });
});
