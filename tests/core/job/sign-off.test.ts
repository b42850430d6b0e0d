import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { EMPTY_BILL_FACTS, EMPTY_REFITTED_FACTS, EMPTY_REMOVED_FACTS } from "@/core/job/log/empty-facts";
import type { AcceptanceRun, Complaint } from "@/core/job/log/entry";
import { putBackOrder } from "@/core/job/reassembly/put-back";
import { beforeAfter } from "@/core/job/sign-off/before-after";
import { signOffWord } from "@/core/job/sign-off/sign-off";
import type { Watch } from "@/core/safety/plug-watch";
import { guardEntry } from "@/log/guards";
import { LIMITS, LIVE_SHOP, RUNS, SIGN_OFF } from "../shop-context";
import { CARDER, check, type Line, logOf, OUT, ran, viewOf } from "./entries";

const COMPLAINT: Complaint = { signs: ["hum"], circumstance: "cold", afterMinutes: null, words: "" };
const TESTS: readonly Line[] = ["look-and-cord", "earth-continuity", "insulation"].map(
  (id) => ["reading", check(id)] as const,
);
const FITTED: Line = [
  "intervention",
  {
    repair: "",
    label: "Capacitor fitted",
    faultIds: ["start-capacitor-low"],
    success: 0.97,
    seen: null,
    part: "none",
    taken: "afterwards",
  },
];
const run = (change: Partial<AcceptanceRun> = {}): Line =>
  ran({ circumstance: "cold", minutes: 10, ...change });
const SCREWS: Line = [
  "removed",
  { sort: "fastener", what: "hump screws", count: 2, where: "tray 1", ...EMPTY_REMOVED_FACTS },
];
const back = (line: number): Line => ["refitted", { line, how: "back", ...EMPTY_REFITTED_FACTS }];
const START: readonly Line[] = [
  ["taken-in", CARDER],
  ["complaint", COMPLAINT],
  ["bench-state", OUT],
];

const wordOf = (lines: readonly Line[]) => signOffWord(viewOf(logOf(...lines)), SIGN_OFF);

describe("the one word that the log allows", () => {
  it("is repaired only when all is tested since the last change and run as the complaint comes", () => {
    expect(wordOf([...START, FITTED, ...TESTS, run()])).toEqual({ word: "repaired", unproven: [] });
  });

  it.each<[string, readonly Line[], string, string]>([
    [
      "a final test left blank",
      [...START, FITTED, ...TESTS.slice(0, 2), run()],
      "not-yet-proven",
      "final-insulation",
    ],
    [
      "tests taken before the repair",
      [...START, ...TESTS, FITTED, run()],
      "not-yet-proven",
      "final-earth-continuity",
    ],
    [
      "a test that cannot tell",
      [...START, FITTED, ...TESTS, ["reading", check("insulation", "undecided")], run()],
      "not-yet-proven",
      "final-insulation",
    ],
    [
      "a failed test",
      [...START, FITTED, ...TESTS, ["reading", check("insulation", "failed")], run()],
      "do-not-use",
      "failed-check",
    ],
    [
      "run hot where it fails cold",
      [...START, FITTED, ...TESTS, run({ circumstance: "hot" })],
      "not-yet-proven",
      "condition-cold",
    ],
    ["never run", [...START, FITTED, ...TESTS], "not-yet-proven", "no-run"],
    [
      "the complaint came back",
      [...START, FITTED, ...TESTS, run(), run({ result: "still-there" })],
      "not-repaired",
      "run-failed",
    ],
    ["nothing done", [...START, ...TESTS, run()], "not-repaired", "nothing-done"],
    [
      "a cover open",
      [
        ...START,
        ["opened", { access: "capacitor hump", is: "capacitor-cover", taken: "afterwards" }],
        FITTED,
        ...TESTS,
        run(),
      ],
      "do-not-use",
      "cover-open",
    ],
    ["screws on the bench", [...START, SCREWS, FITTED, ...TESTS, run()], "do-not-use", "parts-off"],
    [
      "a part for a while",
      [
        ...START,
        [
          "part-chosen",
          {
            forPart: "start",
            partId: "x",
            label: "x",
            fit: "temporary",
            notes: [],
            priceMinor: 1,
            days: 1,
            asked: null,
            ownerNotes: [],
            fromShelf: [],
          },
        ],
        FITTED,
        ...TESTS,
        run(),
      ],
      "not-yet-proven",
      "temporary",
    ],
    [
      "nobody knows when it fails",
      [
        ["taken-in", CARDER],
        ["complaint", { ...COMPLAINT, circumstance: "not-known" }],
        FITTED,
        ...TESTS,
        run(),
      ],
      "not-yet-proven",
      "condition-not-known",
    ],
    [
      "it fails only sometimes",
      [
        ["taken-in", CARDER],
        ["complaint", { ...COMPLAINT, circumstance: "sometimes" }],
        FITTED,
        ...TESTS,
        run(),
      ],
      "not-yet-proven",
      "condition-sometimes",
    ],
    [
      "it fails after twenty minutes",
      [
        ["taken-in", CARDER],
        ["complaint", { ...COMPLAINT, circumstance: "after-minutes", afterMinutes: 20 }],
        FITTED,
        ...TESTS,
        run({ minutes: 19 }),
      ],
      "not-yet-proven",
      "condition-after-minutes",
    ],
    [
      "its class is not known",
      [
        ["taken-in", { ...CARDER, protectionClass: "not-known" }],
        ["complaint", COMPLAINT],
        FITTED,
        ...TESTS,
        run(),
      ],
      "not-yet-proven",
      "class-not-known",
    ],
  ])("%s", (_, lines, word, code) => {
    const found = wordOf(lines);
    expect(found.word).toBe(word);
    expect(found.unproven).toContain(code);
  });

  it("a class II machine is never asked for an earth test", () => {
    const lines: Line[] = [
      ["taken-in", { ...CARDER, protectionClass: "class-2" }],
      ["complaint", COMPLAINT],
      FITTED,
    ];
    expect(wordOf(lines).unproven).not.toContain("final-earth-continuity");
    expect(
      wordOf([...lines, ["reading", check("look-and-cord")], ["reading", check("insulation")], run()]).word,
    ).toBe("repaired");
  });

  it("whatever the order of lines, repaired is never said against a blank test, an untried condition or an open machine", () => {
    const anyLine = fc.constantFrom<Line>(
      FITTED,
      run(),
      run({ circumstance: "hot" }),
      run({ result: "stopped" }),
      ...TESTS,
      ["reading", check("insulation", "failed")],
      ["opened", { access: "hump", is: "capacitor-cover", taken: "afterwards" }],
      ["closed", { access: "hump", taken: "afterwards" }],
      SCREWS,
    );
    fc.assert(
      fc.property(fc.array(anyLine, { maxLength: 14 }), (lines) => {
        const log = logOf(...START, ...lines);
        const { word } = signOffWord(viewOf(log), SIGN_OFF);
        if (word !== "repaired") return;
        const lastChange = log.findLastIndex(({ kind }) =>
          ["intervention", "opened", "closed", "removed"].includes(kind),
        );
        const since = log.slice(lastChange + 1);
        for (const id of ["look-and-cord", "earth-continuity", "insulation"])
          expect(
            since.findLast(
              (one) =>
                one.kind === "reading" && one.payload.of === "dead-check" && one.payload.checkId === id,
            )?.payload,
          ).toMatchObject({ verdict: "passed" });
        expect(
          since.some((one) => one.kind === "acceptance-run" && one.payload.circumstance === "cold"),
        ).toBe(true);
        expect(lines.some(([kind]) => kind === "removed")).toBe(false);
      }),
      { numRuns: RUNS.numRuns * 20 },
    );
  });
});

describe("putting back", () => {
  const guard = (lines: readonly Line[], entry: Line, watch?: Watch) => {
    const log = logOf(...lines);
    const [kind, payload] = entry;
    return guardEntry(viewOf(log), log, { kind, payload } as never, {
      by: "left bench",
      now: "2026-11-25T10:00:00Z",
      watch,
      need: "none",
      limits: LIMITS,
      power: "off",
      live: LIVE_SHOP,
      today: "2026-11-25",
    }).map(({ code }) => code);
  };
  const WIRE: Line = [
    "removed",
    { sort: "wire", what: "blue lead", count: 1, where: "terminal 5", ...EMPTY_REMOVED_FACTS },
  ];

  it("goes in reverse, opened covers in their place", () => {
    const view = viewOf(
      logOf(
        ...START,
        ["opened", { access: "hump", is: "capacitor-cover", taken: "afterwards" }],
        SCREWS,
        WIRE,
      ),
    );
    expect(putBackOrder(view).map(({ line, access }) => access ?? line)).toEqual([6, 5, "hump"]);
  });

  it("a thing goes back once, and only if it came off; the line under it then cannot be struck", () => {
    expect(guard([...START, SCREWS], back(4))).toEqual([]);
    expect(guard([...START, SCREWS], back(3))).toEqual(["guard/not-off"]);
    expect(guard([...START, SCREWS, back(4)], back(4))).toEqual(["guard/back-already"]);
    expect(guard([...START, SCREWS, back(4)], ["struck", { seq: 4, why: "", reason: "none" }])).toEqual([
      "guard/stands-under",
    ]);
    const twice: Line[] = [
      ...START,
      SCREWS,
      back(4),
      ["struck", { seq: 5, why: "", reason: "none" }],
      back(4),
    ];
    expect(guard(twice, ["restored", { seq: 5 }])).toEqual(["guard/back-already"]);
  });

  it("covers come on before power; a run made already can still be written down", () => {
    expect(guard([...START, SCREWS], run())).toEqual(["guard/not-whole"]);
    expect(
      guard([...START, ["opened", { access: "hump", is: "capacitor-cover", taken: "afterwards" }]], run()),
    ).toEqual(["guard/not-whole"]);
    expect(guard([...START, SCREWS], run({ taken: "afterwards" }))).toEqual([]);
    const plugged: Line = ["bench-state", { event: "plugged-in", outlet: "residual-current" }];
    expect(guard([...START, SCREWS, back(4)], run())).toEqual(["guard/live-work"]);
    const ready = [...START, SCREWS, back(4), ...TESTS, plugged];
    const watch = { settledSeq: ready.length, touchedAt: "2026-11-25T10:00:00Z" };
    expect(guard(ready, run(), watch)).toEqual([]);
  });

  it("it cannot be signed off with a washer missing, and can once that is accounted for", () => {
    const signed: Line = [
      "signed-off",
      {
        word: "repaired",
        unproven: [],
        minutes: 1,
        labourMinor: 1,
        partsMinor: 1,
        watch: "",
        ...EMPTY_BILL_FACTS,
      },
    ];
    expect(guard([...START, SCREWS], signed)).toEqual(["guard/parts-off"]);
    expect(
      guard(
        [
          ...START,
          SCREWS,
          [
            "refitted",
            {
              line: 4,
              how: "left-out",
              count: null,
              carried: [],
              why: "broken before",
              taken: "afterwards",
              protects: "none",
            },
          ],
        ],
        signed,
      ),
    ).toEqual([]);
  });
});

describe("before and after", () => {
  it("pairs what was noted with the run", () => {
    const figures = [{ quantity: "current", before: "4.9", after: "3.4A" }] as const;
    const view = viewOf(logOf(...START, FITTED, run({ figures })));
    expect(beforeAfter(view)).toEqual([{ id: "current", unit: "A", before: 4.9, after: 3.4 }]);
  });
});
