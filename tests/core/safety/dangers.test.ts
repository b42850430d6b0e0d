import { describe, expect, it } from "vitest";
import { EMPTY_REFITTED_FACTS } from "@/core/job/log/empty-facts";
import type { Payloads } from "@/core/job/log/entry";
import { openDangers } from "@/core/safety/dangers/danger";
import { carriedOf } from "@/log/carried-of";
import { check, type Line, logOf, OUT, ran, viewOf } from "../job/entries";
import {
  answer,
  CHECKED,
  FIT,
  missing,
  off,
  PLUGGED,
  READY,
  RUN,
  read,
  SIGNED,
  START,
  told,
  took,
  wordOf,
} from "./promise-lines";

const mended = (...faultIds: string[]): Line => [
  "intervention",
  { repair: "", label: "Mended", faultIds, success: 0.9, seen: null, part: "none", taken: "afterwards" },
];
const failed = (id: string): Line => ["reading", check(id, "failed")];
const passed = (id: string): Line => ["reading", check(id)];
const struck = (seq: number, reason: Payloads["struck"]["reason"] = "typed-wrongly"): Line => [
  "struck",
  { seq, why: "", reason },
];
const happened = (what: "smoke" | "tingle" | "smell"): Line => ["bench-state", { event: "incident", what }];
const open = (...lines: readonly Line[]): string[] =>
  openDangers(viewOf(logOf(...lines)).live.dangers).map(
    ({ kind, remediedBy, struckBy }) =>
      `${kind}${remediedBy > 0 ? ", mended" : ""}${struckBy > 0 ? ", struck" : ""}`,
  );

describe("a failed test", () => {
  it.each<[string, readonly Line[], readonly string[]]>([
    ["a second reading without work", [failed("insulation"), passed("insulation")], ["insulation"]],
    [
      "twice read good, nothing said of the first",
      [failed("insulation"), passed("insulation"), passed("insulation")],
      ["insulation"],
    ],
    [
      "work that cannot mend it",
      [failed("earth-continuity"), mended("belt-slips"), passed("earth-continuity")],
      ["earth"],
    ],
    ["mended, not tried", [failed("earth-continuity"), mended("earth-lost")], ["earth, mended"]],
    [
      "another test than the one that failed",
      [answer("each-lead-insulation", "one-low"), mended("lead-chafed"), passed("insulation")],
      ["insulation, mended"],
    ],
    [
      "read good twice, and only then struck",
      [failed("insulation"), passed("insulation"), passed("insulation"), struck(3)],
      ["insulation, struck"],
    ],
    [
      "failed twice, each struck, read good twice in between",
      [
        failed("insulation"),
        failed("insulation"),
        struck(3),
        passed("insulation"),
        passed("insulation"),
        struck(4),
      ],
      ["insulation, struck"],
    ],
    [
      "mended, failed again, passed, and only then the second failure struck",
      [failed("insulation"), mended("damp"), failed("insulation"), passed("insulation"), struck(5)],
      ["insulation, struck"],
    ],
    [
      "struck, and read good once",
      [failed("insulation"), struck(3), passed("insulation")],
      ["insulation, struck"],
    ],
    [
      "struck, read good twice, with work between",
      [failed("insulation"), struck(3), passed("insulation"), mended("belt-slips"), passed("insulation")],
      ["insulation, struck"],
    ],
    [
      "a repair that is struck out",
      [failed("earth-continuity"), mended("earth-lost"), struck(4, "not-done"), passed("earth-continuity")],
      ["earth"],
    ],
  ])("stays open after %s", (_, lines, kinds) => {
    expect(open(...START, ...lines)).toEqual(kinds);
  });

  it.each<[string, readonly Line[]]>([
    [
      "mended, and the same test passed",
      [failed("earth-continuity"), mended("earth-lost"), passed("earth-continuity")],
    ],
    [
      "mended, and the move that is the same test passed",
      [failed("earth-continuity"), mended("earth-lost"), answer("earth-ohms", "good")],
    ],
    ["leakage mended, and read small with its grant", [failed("leakage"), mended("damp"), passed("leakage")]],
    ["plain ohms by an insulation tester", [failed("ohms-to-metal"), mended("damp"), passed("insulation")]],
    [
      "struck as misread, and the same test passed twice",
      [failed("insulation"), struck(3), passed("insulation"), passed("insulation")],
    ],
  ])("is closed: %s", (_, lines) => {
    expect(open(...START, ...lines)).toEqual([]);
  });
});

describe("a leakage that was large", () => {
  const leakage = (taken: "now" | "afterwards"): Line => [
    "reading",
    { ...check("leakage"), taken } as Payloads["reading"],
  ];

  it("is closed by the same current read with its grant, never by one that was read without", () => {
    const lines = [...START, failed("leakage"), mended("damp")];
    expect(open(...lines, leakage("afterwards"))).toEqual(["insulation, mended"]);
    expect(open(...lines, leakage("now"))).toEqual([]);
  });
});

describe("what was told or seen", () => {
  it.each<[string, Line, string]>([
    ["smoke", told({ signs: ["smoke"] }), "told-smoke"],
    ["a shock", told({ signs: ["tingle"] }), "told-tingle"],
    ["water", told({ signs: ["leaks-oil-or-water"] }), "told-water"],
    ["that it does not stop", told({ signs: ["will-not-stop"] }), "told-runs-on"],
    ["damp", answer("look-damp", "damp"), "damp"],
    ["something melted", answer("look-terminals", "brown"), "burnt"],
    ["a domed capacitor", answer("look-capacitor", "bulged"), "domed"],
    ["a switch that is always on", answer("switch-ohms", "always-closed"), "runs-on"],
    ["a heater that leaks", answer("heater-insulation", "low"), "insulation"],
    ["a cord that breaks inside", answer("cord-flex", "breaks"), "cord"],
  ])("%s keeps power off, and the word is “do not use”", (_, line, kind) => {
    const lines = [...START, line, answer("look-terminals", "bright", "afterwards"), ...CHECKED, PLUGGED];
    expect(open(...lines)).toContain(kind);
    expect(missing(lines, RUN)).toContain("danger");
    expect(wordOf(...lines).word).toBe("do-not-use");
  });

  it("goes with the machine into its next visit, mended or not, and through a reopening", () => {
    const next = (...lines: readonly Line[]): Line =>
      took({ carried: [...carriedOf(viewOf(logOf(...lines)))] });
    const smoked = next(took(), told({ signs: ["smoke"] }), answer("turn-shaft-load-off", "locked"));
    expect(open(smoked, told())).toEqual(["told-smoke"]);
    expect(open(smoked, told(), mended("bearing-seized"))).toEqual(["told-smoke, mended"]);
    const earth = next(...START, failed("earth-continuity"), mended("earth-lost"));
    expect(open(earth, told())).toEqual(["earth, mended"]);
    expect(open(earth, told(), passed("earth-continuity"))).toEqual([]);
    const bare = next(...START, off("cover", "Blade guard"), [
      "refitted",
      { ...EMPTY_REFITTED_FACTS, line: 3, how: "left-out", why: "lost" },
    ]);
    // Another part has the line of the guard on this visit.
    const other: Line = ["refitted", { ...EMPTY_REFITTED_FACTS, line: 3, how: "back" }];
    expect(open(bare, told(), off("wire", "blue"), other)).toEqual(["left-out, mended"]);
    expect(open(bare, told(), off("cover", "blade guard"), other)).toEqual([]);
    expect(open(...START, failed("insulation"), SIGNED, ["reopened", { why: "back" }])).toEqual([
      "insulation",
    ]);
  });

  it("a control that only a licensed person can read is shown by a clean run", () => {
    const lines = [...START, answer("board-output", "always", "afterwards"), mended("control-shorted")];
    expect(open(...lines)).toEqual(["runs-on, mended"]);
    expect(open(...lines, ...CHECKED, PLUGGED, ran())).toEqual([]);
  });

  it("smoke is closed by its cause found and mended, and then a clean run; anything but clean takes the remedy back", () => {
    const found = [took(), told({ signs: ["smoke"] }), answer("turn-shaft-load-off", "locked", "afterwards")];
    const done = [...found, mended("bearing-seized"), ...CHECKED, PLUGGED];
    expect(open(...done)).toEqual(["told-smoke, mended"]);
    expect(open(...done, ran())).toEqual([]);
    expect(open(...done, ran({ taken: "afterwards" }))).toEqual(["told-smoke, mended"]);
    expect(open(...done, ran({ result: "stopped" }), ran())).toEqual(["told-smoke"]);
    expect(open(...done, happened("smoke"), ran())).toEqual(["told-smoke", "smoke"]);
    // The unclean one struck out: a run made before that answers nothing, one made after it does.
    const unclean = [...done, ran({ result: "stopped" })];
    const late: Line = struck(unclean.length);
    expect(open(...unclean, ran(), late)).toEqual(["told-smoke, mended"]);
    expect(open(...unclean, ran(), late, ran())).toEqual([]);
  });

  it("what was told to come after twenty minutes is closed by no run of five, and no run of a moment closes anything", () => {
    const smokes = told({ signs: ["smoke"], circumstance: "after-minutes", afterMinutes: 20 });
    const found = [took(), smokes, answer("turn-shaft-load-off", "locked", "afterwards")];
    const done = [...found, mended("bearing-seized"), ...CHECKED, PLUGGED];
    expect(open(...done, ran({ minutes: 5 }))).toEqual(["told-smoke, mended"]);
    const early = [took(), told({ signs: ["smoke"] }), ...done.slice(2)];
    expect(open(...early, ran({ minutes: 0.1 }))).toEqual(["told-smoke, mended"]);
    expect(open(...early, ran({ minutes: 5 }))).toEqual([]);
  });

  it("told once more in other words is as it was; come back, what was mended before is to be seen again", () => {
    const mendedSmoke = [
      took(),
      told({ signs: ["smoke"] }),
      answer("turn-shaft-load-off", "locked", "afterwards"),
      mended("bearing-seized"),
    ];
    expect(open(...mendedSmoke, told({ signs: ["smoke"], words: "from the vents" }))).toEqual([
      "told-smoke, mended",
    ]);
    expect(open(...mendedSmoke, SIGNED, ["reopened", { why: "back" }])).toEqual(["told-smoke"]);
  });

  it("a mended danger grants the one run that closes it, and nothing measured live", () => {
    const lines: readonly Line[] = [
      took(),
      told({ signs: ["tingle"] }),
      answer("each-lead-insulation", "winding-low", "afterwards"),
      mended("earth-fault"),
      answer("each-lead-insulation", "good", "afterwards"),
      ...CHECKED,
      PLUGGED,
    ];
    expect(missing(lines, RUN)).toBeUndefined();
    expect(missing(lines, answer("volts-at-motor", "full"))).toEqual(["danger"]);
  });

  it("a trip whose cause outside was read is closed by a clean run", () => {
    const lines = [took(), told({ signs: ["trips-residual"] }), ...CHECKED, PLUGGED];
    expect(open(...lines, answer("other-circuit", "holds"), ran())).toEqual([]);
    expect(open(...lines, ran())).toEqual(["told-residual-trip"]);
  });
});

describe("what was plainly seen as it was mended", () => {
  it("is a finding: its look is owed again, and it is a reason for what happened", () => {
    const line: Line = [
      "intervention",
      {
        repair: "",
        label: "Cord fitted",
        faultIds: ["cord-broken"],
        success: 0.9,
        seen: { moveId: "look-cord", outcomeId: "damaged" },
        part: "same",
        taken: "afterwards",
      },
    ];
    expect(open(took(), told({ signs: ["tingle"] }), line)).toEqual(["told-tingle, mended", "cord, mended"]);
    expect(open(...START, line, passed("look-and-cord"))).toEqual([]);
  });
});

describe("volts read while power was on", () => {
  it("are the end of no charge", () => {
    const charged = [...START, ["bench-state", OUT] as const, read(90)];
    expect(open(...charged, read(0.2))).toEqual([]);
    expect(open(...charged, PLUGGED, read(0.2))).toEqual(["charged, mended"]);
  });
});

describe("a strike", () => {
  const at = (seconds: number, ...lines: readonly Line[]): string[] => {
    const log = logOf(...START, ...lines);
    const last = log.at(-1);
    const before = log.at(-2);
    if (!last || !before) return [];
    const late = { ...last, at: new Date(Date.parse(before.at) + seconds * 1000).toISOString() };
    return openDangers(viewOf([...log.slice(0, -1), late]).live.dangers).map(({ kind }) => kind);
  };

  it("of a slip within eight seconds is as if it had never been; never of smoke or a shock", () => {
    expect(at(7, failed("insulation"), struck(3, "slip"))).toEqual([]);
    expect(at(9, failed("insulation"), struck(3, "slip"))).toEqual(["insulation"]);
    expect(at(-3600, failed("insulation"), struck(3, "slip"))).toEqual(["insulation"]);
    expect(at(7, happened("smell"), struck(3, "slip"))).toEqual([]);
    expect(at(7, happened("smoke"), struck(3, "slip"))).toEqual(["smoke"]);
    expect(at(7, told({ signs: ["tingle"] }), struck(3, "slip"))).toEqual(["told-tingle"]);
    expect(at(7, read(90), struck(3, "slip"))).toEqual(["charged"]);
  });

  it.each<[string, Line]>([
    ["a complaint", told()],
    ["a cover that was opened", ["opened", { access: "hump", is: "none", taken: "afterwards" }]],
    ["an incident", happened("smell")],
    ["a repair", FIT],
  ])("of %s asks for a reason from the list", (_, line) => {
    expect(missing([...START, line], struck(3, "none"))).toBe("none");
    expect(missing([...START, line], struck(3))).toBeUndefined();
  });

  it("of volts that were read takes no plug out: signed off, it was left plugged in", () => {
    const volts: Line = ["bench-state", { event: "isolated", volts: 90, means: "two-pole tester" }];
    expect(open(...START, PLUGGED, volts, SIGNED, struck(4))).toEqual([
      "live, mended, struck",
      "left-plugged-in, mended",
    ]);
    expect(open(...START, PLUGGED, volts, SIGNED)).toEqual(["live, mended"]);
  });

  it("of a shock is no slip, however soon", () => {
    const log = [...START, happened("tingle")];
    expect(missing(log, struck(3, "slip"))).toBe("slip");
    expect(
      open(...log, struck(3, "told-wrongly"), passed("earth-continuity"), passed("earth-continuity")),
    ).toEqual(["tingle, struck"]);
  });

  it("leaves a cover open, and proofs that work spoilt", () => {
    expect(
      viewOf(logOf(...READY, ["opened", { access: "hump", is: "none", taken: "afterwards" }], struck(7)))
        .bench.opened,
    ).toEqual(["hump"]);
    expect(missing([...READY, mended("cord-broken"), struck(7, "not-done"), PLUGGED], RUN)).toEqual([
      "dead-checks",
    ]);
  });
});

describe("a dangerous truth is never refused", () => {
  it.each<[string, Line]>([
    ["a trip without its grant", answer("switch-on", "trips-at-once", "afterwards")],
    ["a run that failed without its grant", ran({ result: "stopped" })],
    ["volts on what was isolated", ["bench-state", { event: "isolated", volts: 230, means: "tester" }]],
    ["a charge where nothing stores", read(90, "bus")],
  ])("%s", (_, line) => {
    expect(missing([took({ family: "split-phase" }), told()], line)).toBeUndefined();
  });

  it("volts on what was proven dead take the proof away, and hands stay out until they are read gone", () => {
    const isolated = (volts: number): Line => ["bench-state", { event: "isolated", volts, means: "tester" }];
    const fixed = took({ connection: "fixed", family: "split-phase" });
    expect(viewOf(logOf(fixed, isolated(0), isolated(230))).bench).toMatchObject({
      plug: "not-known",
      keepsOut: ["live"],
      provenDead: undefined,
    });
    expect(viewOf(logOf(fixed, isolated(230), isolated(0.2))).bench.keepsOut).toEqual([]);
  });

  it("signed off while plugged in, and a clip under power, stay until each is undone", () => {
    expect(open(...READY, SIGNED)).toEqual(["left-plugged-in, mended"]);
    expect(open(...READY, SIGNED, ["bench-state", OUT])).toEqual([]);
    const clip: Line = ["bench-state", { event: "stored-clip", id: "start" }];
    expect(open(...START, ["bench-state", OUT], clip, PLUGGED)).toEqual(["clip-under-power, mended"]);
    expect(
      open(...START, ["bench-state", OUT], clip, PLUGGED, ["bench-state", { event: "clips-off" }]),
    ).toEqual([]);
  });
});

describe("work that asks for its own test", () => {
  const FUSE = mended("fuse-open");

  it("a fuse: its own reading, and what blew it", () => {
    expect(open(...START, FUSE)).toEqual(["root", "renewed, mended"]);
    expect(open(...START, FUSE, answer("fuse-ohms", "whole"))).toEqual(["root"]);
    expect(open(...START, mended("bearing-seized"), FUSE, answer("fuse-ohms", "whole"))).toEqual([]);
    expect(open(...START, FUSE, mended("belt-slips"), answer("fuse-ohms", "whole"))).toEqual(["root"]);
  });

  it("a plate that is read after the part was chosen: the choice again", () => {
    const chosen = (fit: "fit" | "temporary"): Line => [
      "part-chosen",
      {
        forPart: "start",
        partId: "x",
        label: "x",
        fit,
        notes: [],
        priceMinor: 0,
        days: 0,
        asked: null,
        ownerNotes: [],
        fromShelf: [],
      },
    ];
    const mark: Line = ["nameplate", { plate: "capacitor", id: "start", mark: "145-174 μF" }];
    expect(open(...START, mark, chosen("fit"))).toEqual([]);
    expect(open(...START, chosen("fit"), mark)).toEqual(["asked-anew, mended"]);
    expect(open(...START, chosen("fit"), mark, chosen("fit"))).toEqual([]);
    expect(open(...START, chosen("temporary"))).toEqual(["temporary, mended"]);
    expect(open(...START, chosen("temporary"), chosen("fit"))).toEqual([]);
  });
});
