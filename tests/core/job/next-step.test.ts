import { describe, expect, it } from "vitest";
import { withFound } from "@/core/job/isolation/next-found";
import { EMPTY_BILL_FACTS, EMPTY_FOLLOW_UP_FACTS, EMPTY_OWNER_FACTS } from "@/core/job/log/empty-facts";
import type { Payloads } from "@/core/job/log/entry";
import { collars, nextStep } from "@/core/job/next-step";
import { KNOWLEDGE, LIMITS, TOOL_CARDS, TOOL_CONTEXT, TOOLS } from "../shop-context";
import { CARDER, check, DRAINED, type Line, logOf, OUT, viewOf } from "./entries";

const COMPLAINT: Payloads["complaint"] = {
  signs: ["hum"],
  circumstance: "always",
  afterMinutes: null,
  words: "",
};
const CHECKED = [
  ["taken-in", CARDER],
  ["complaint", COMPLAINT],
  ["bench-state", OUT],
  ["reading", check("look-and-cord")],
  ["reading", check("earth-continuity")],
  ["reading", check("insulation")],
] as const;

function step(lines: readonly Line[], isPlugFresh = true, now = "2026-11-25T09:06:00.000Z") {
  const context = {
    deadChecks: KNOWLEDGE.deadChecks,
    moves: KNOWLEDGE.moves,
    tools: TOOL_CARDS,
    limits: LIMITS,
    now,
    zone: "Atlantic/Faroe",
    isPlugFresh,
  };
  const view = viewOf(logOf(...lines));
  const { band, code, stage } = nextStep(view, context);
  return { band, code, stage, collars: collars(view, context) };
}

/** A start capacitor's reading as the log keeps it. */
function read(reading: string, dcResistance?: string): Line {
  const tool = TOOLS.find(({ id }) => id === "capacitor-against-mark");
  const input = {
    mark: "145-174 μF 250 VAC",
    reading,
    meter: { percent: 1.5, counts: 5, resolution: "0.1u" },
    bleedResistor: "none",
    temperature: "20",
    ...(dcResistance === undefined ? {} : { dcResistance }),
  };
  const finding = tool?.run(input, TOOL_CONTEXT);
  if (!finding?.ok) throw new Error("the tool did not run");
  return [
    "reading",
    {
      of: "tool",
      toolId: "capacitor-against-mark",
      moveId: "start-capacitance",
      input,
      finding: finding.value,
      taken: "now",
      looseReadingId: null,
    },
  ];
}

describe("after a reading", () => {
  it.each([
    ["OL, which tells nothing", read("OL"), "now/after-undecided", "measure"],
    ["not taken", read("not taken"), "now/after-undecided", "measure"],
    ["on the edge", read("144.9u"), "now/after-undecided", "measure"],
    ["far under its mark", read("61.8u"), "now/after-faulty", "match"],
    ["inside its mark", read("160u"), "now/measured", "isolate"],
  ] as const)("%s", (_, line, code, stage) => {
    expect(step([...CHECKED, ["bench-state", DRAINED], line])).toMatchObject({ code, stage });
  });
});

describe("what a machine on the bench waits for", () => {
  it.each<[string, readonly Line[], boolean, string, string]>([
    ["no complaint yet", [["taken-in", CARDER]], true, "now", "now/complaint"],
    [
      "nobody has said where the plug is",
      [
        ["taken-in", CARDER],
        ["complaint", COMPLAINT],
      ],
      true,
      "now",
      "now/make-safe",
    ],
    [
      "the plug is out, nothing checked",
      [
        ["taken-in", CARDER],
        ["complaint", COMPLAINT],
        ["bench-state", OUT],
      ],
      true,
      "now",
      "now/dead-checks",
    ],
    [
      "a failed check comes first",
      [
        ["taken-in", CARDER],
        ["complaint", COMPLAINT],
        ["reading", check("insulation", "failed")],
      ],
      true,
      "now",
      "now/failed-check",
    ],
    ["checked, charge not read", [...CHECKED], true, "now", "now/make-safe"],
    ["drained", [...CHECKED, ["bench-state", DRAINED]], true, "now", "now/isolate"],
    [
      "drained, but nobody knows where the plug is",
      [...CHECKED, ["bench-state", DRAINED]],
      false,
      "now",
      "now/make-safe",
    ],
    [
      "the owner was asked",
      [
        ...CHECKED,
        ["owner-answer", { question: "q", answer: "asked", means: "message", ...EMPTY_OWNER_FACTS }],
      ],
      true,
      "waiting",
      "wait/owner",
    ],
    [
      "the owner said yes",
      [
        ...CHECKED,
        ["owner-answer", { question: "q", answer: "asked", means: "message", ...EMPTY_OWNER_FACTS }],
        ["owner-answer", { question: "q", answer: "yes", means: "message", ...EMPTY_OWNER_FACTS }],
      ],
      true,
      "now",
      "now/make-safe",
    ],
    [
      "it cools down",
      [...CHECKED, ["timer-started", { what: "cool-down", seconds: 1800 }]],
      true,
      "waiting",
      "wait/cool-down",
    ],
    [
      "a look next week",
      [...CHECKED, ["follow-up", { ...EMPTY_FOLLOW_UP_FACTS, what: "look", onDay: "2026-12-03" }]],
      true,
      "due",
      "due/later",
    ],
    [
      "a look today",
      [...CHECKED, ["follow-up", { ...EMPTY_FOLLOW_UP_FACTS, what: "look", onDay: "2026-11-25" }]],
      true,
      "due",
      "due/now",
    ],
  ])("%s", (_, lines, isFresh, band, code) => {
    expect(step(lines, isFresh)).toMatchObject({ band, code });
  });

  it("a timer that ran out waits no longer", () => {
    expect(
      step([...CHECKED, ["timer-started", { what: "drain", seconds: 5 }]], true, "2026-11-25T09:07:00.000Z"),
    ).toMatchObject({
      band: "now",
    });
  });

  it("due days are the shop's own: still the day before in its zone", () => {
    const lines: readonly Line[] = [
      ...CHECKED,
      ["follow-up", { ...EMPTY_FOLLOW_UP_FACTS, what: "look", onDay: "2026-11-26" }],
    ];
    expect(step(lines, true, "2026-11-25T23:30:00.000Z").code).toBe("due/later");
    expect(step(lines, true, "2026-11-26T00:30:00.000Z").code).toBe("due/now");
  });

  it("draws a notched collar for a failed check and no link state for stages without a screen", () => {
    const drawn = step([
      ["taken-in", CARDER],
      ["complaint", COMPLAINT],
      ["reading", check("insulation", "failed")],
    ]).collars;
    expect(drawn).toMatchObject({
      "take-in": "done",
      "make-safe": "attention",
      measure: "to-come",
      isolate: "to-come",
      "sign-off": "to-come",
    });
  });

  const no = (leadsTo: Payloads["owner-answer"]["leadsTo"], byDay: string | null = null): Line => [
    "owner-answer",
    { ...EMPTY_OWNER_FACTS, question: "q", answer: "no", means: "telephone", leadsTo, byDay },
  ];
  const DECIDED: Line = [
    "decision",
    {
      route: "part",
      repairs: ["fit-start-capacitor"],
      label: "Fit a start capacitor",
      mean: 2000,
      wrong: 0.05,
      against: { route: "motor", mean: 9000 },
      overrideWhy: "",
      otherWhy: "",
    },
  ];
  const order = (state: Payloads["order-linked"]["state"], expectedOn: string | null = null): Line => [
    "order-linked",
    { part: "Start capacitor", state, from: "", expectedOn },
  ];

  it.each<[string, readonly Line[], string, string]>([
    ["a no asks what then", [no("")], "now", "now/owner-no"],
    ["a cheaper way is chosen at Decide", [no("cheaper")], "now", "now/cheaper"],
    ["handed back", [no("hand-back")], "now", "now/hand-back"],
    [
      "handed back, a clip still on a capacitor",
      [["bench-state", { event: "stored-clip", id: "start" }], no("hand-back")],
      "now",
      "now/clip",
    ],
    ["held until a day", [no("hold", "2026-12-01")], "waiting", "wait/hold"],
    ["the day is here", [no("hold", "2026-11-25")], "now", "now/owner-no"],
    ["a decision since takes the no with it", [no("cheaper"), DECIDED], "now", "now/make-safe"],
    ["a decided repair waits for Make safe, then for hands", [DECIDED], "now", "now/make-safe"],
    ["hands may go in", [DECIDED, ["bench-state", DRAINED]], "now", "now/fit"],
    ["its part is on its way", [DECIDED, order("ordered", "2026-12-02")], "waiting", "wait/part"],
    ["its part is overdue", [DECIDED, order("ordered", "2026-11-24")], "now", "now/part-late"],
    [
      "its part arrived",
      [DECIDED, order("ordered", "2026-11-24"), order("arrived"), ["bench-state", DRAINED]],
      "now",
      "now/fit",
    ],
  ])("%s", (_, lines, band, code) => {
    expect(step([...CHECKED, ...lines])).toMatchObject({ band, code });
  });

  it("a machine that came back is told of anew, then searched again: the old part's work and readings are past", () => {
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
    const fitted: Line = [
      "intervention",
      {
        repair: "",
        label: "Start capacitor fitted",
        faultIds: [],
        success: 0.9,
        seen: null,
        part: "none",
        taken: "afterwards",
      },
    ];
    const back: readonly Line[] = [
      ...CHECKED,
      ["bench-state", DRAINED],
      read("61.8u"),
      DECIDED,
      fitted,
      signed,
      ["reopened", { why: "hums again" }],
    ];
    expect(step(back).code).toBe("now/came-back");
    const told: readonly Line[] = [...back, ["complaint", COMPLAINT]];
    expect(["now/dead-checks", "now/make-safe", "now/isolate"]).toContain(step(told).code);
    expect(step([...told, DECIDED]).code).toMatch(/^now\/(fit|make-safe)$/);
  });

  it("once the search has begun with the plug out, dead checks wait for the power that asks for them", () => {
    const begun: readonly Line[] = [
      ["taken-in", CARDER],
      ["complaint", COMPLAINT],
      ["bench-state", OUT],
      ["answer", { moveId: "turn-shaft", outcomeId: "free", circumstance: "cold", taken: "now", why: "" }],
    ];
    expect(step(begun.slice(0, 3)).code).toBe("now/dead-checks");
    expect(step(begun).code).toBe("now/isolate");
  });
});

describe("with what isolation has worked out", () => {
  const searching = { band: "now", stage: "isolate", code: "now/isolate", params: {} } as const;
  const moves = [{ id: "turn-shaft", title: "Turn the shaft by hand" }];
  const found = {
    ask: undefined,
    jobId: 1,
    isStop: false,
    moveId: "turn-shaft",
    beforeOrder: [],
  };

  it("the search has a name, ends in a decision, and asks what comes before an order", () => {
    expect(withFound(searching, undefined, moves)).toBe(searching);
    expect(withFound(searching, found, moves)).toMatchObject({
      code: "now/move",
      at: "move:turn-shaft",
      params: { title: "Turn the shaft by hand" },
    });
    expect(withFound(searching, { ...found, isStop: true }, moves)).toMatchObject({ stage: "decide" });
    const bad = { ...searching, stage: "match", code: "now/after-faulty" } as const;
    expect(withFound(bad, { ...found, beforeOrder: ["turn-shaft"] }, moves).code).toBe("now/before-order");
    expect(withFound(bad, found, moves)).toBe(bad);
    const ask = {
      repair: "fit-bearings",
      label: "Fit a bearing pair",
      chance: 0.7,
      priceMinor: 5100,
      isAboveCeiling: true,
    };
    for (const step of [searching, bad])
      expect(withFound(step, { ...found, ask }, moves)).toMatchObject({
        code: "now/ask-owner",
        at: "owner",
      });
  });

  it("says nothing of what is not a search", () => {
    const fit = { ...searching, stage: "put-back", code: "now/fit" } as const;
    expect(withFound(fit, { ...found, isStop: true }, moves)).toBe(fit);
  });
});
