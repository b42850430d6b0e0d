import { describe, expect, it } from "vitest";
import { createIsolator } from "@/core/isolation/isolate";
import { kindByName } from "@/core/job/door/machine-kind";
import { foundByHand } from "@/core/job/isolation/found-by-hand";
import { isolationRequest } from "@/core/job/isolation/isolation-request";
import { EMPTY_BILL_FACTS } from "@/core/job/log/empty-facts";
import type { Payloads } from "@/core/job/log/entry";
import { accessOn, repairsOn } from "@/core/knowledge/kind-costs";
import { DEFAULT_SETTINGS } from "@/core/shop/settings";
import { KNOWLEDGE, PARAMETERS } from "../shop-context";
import { CARDER, type Line, logOf, viewOf } from "./entries";

const TOOL_CONTEXT = { ...KNOWLEDGE, parameters: PARAMETERS, settings: DEFAULT_SETTINGS, counts: undefined };

function request(...lines: readonly Line[]) {
  return requestWith(TOOL_CONTEXT, ["taken-in", CARDER], ...lines);
}

function requestWith(context: typeof TOOL_CONTEXT, ...lines: readonly Line[]) {
  const view = viewOf(logOf(...lines));
  return isolationRequest(
    view,
    { bench: view.bench, unsettled: ["plug"], withheld: { guardsOn: ["outlet"], measured: ["outlet"] } },
    context,
  );
}

describe("what lies open", () => {
  const opened = (access: string, is: string): Line => ["opened", { access, is, taken: "afterwards" }];
  const found = (...lines: readonly Line[]) => request(...lines).bench?.opened;

  it("is what was said, never what a name sounds like", () => {
    expect(found(opened("blender jar", "none"))).toEqual([]);
    expect(found(opened("my little door", "end-bell"))).toEqual(["end-bell"]);
    expect(found(opened("end bell", "none"))).toEqual([]);
  });

  it("is found by its exact name in lines of before it was asked", () => {
    expect(found(opened("blender jar", "not-said"))).toEqual([]);
    expect(found(opened("End bell", "not-said"))).toEqual(["end-bell"]);
  });

  it("is shut once it was closed", () => {
    expect(
      found(opened("hump", "capacitor-cover"), ["closed", { access: "hump", taken: "afterwards" }]),
    ).toEqual([]);
  });
});

describe("the request", () => {
  it("is the same for the screen's last word and for the record: two steps ahead, up to three roots", () => {
    expect(request().options).toEqual({ lookAhead: 2, maxRoots: 3 });
  });

  it("understands an id that was renamed", () => {
    const { provenance } = KNOWLEDGE.moves[0] ?? {};
    if (!provenance) throw new Error("no moves");
    const aliases = [{ id: "spin-by-hand", now: "turn-shaft", provenance }];
    const machine = { family: "capacitor-start" };
    const asked = (moveId: string) => ({ machine, evidence: [{ seq: 1, moveId, outcomeId: "free" }] });
    const isolate = createIsolator({ ...KNOWLEDGE, aliases });
    expect(isolate(asked("spin-by-hand"))).toEqual(isolate(asked("turn-shaft")));
    expect(createIsolator(KNOWLEDGE)(asked("spin-by-hand")).ok).toBe(false);
  });
});

const couldNot = (moveId: string, why: Payloads["answer"]["why"]): Line => [
  "answer",
  { moveId, outcomeId: "could-not", circumstance: "cold", taken: "now", why },
];
const asked = ({ evidence }: ReturnType<typeof request>) => evidence.map(({ moveId }) => moveId);

describe("what could not be done", () => {
  it("is open again once its reason is gone", () => {
    const noTester = couldNot("insulation", "no-instrument");
    expect(asked(request(noTester))).toEqual(["insulation"]);
    const settings = { ...DEFAULT_SETTINGS, kit: ["insulation-tester"] };
    expect(asked(requestWith({ ...TOOL_CONTEXT, settings }, ["taken-in", CARDER], noTester))).toEqual([]);
    const tooDeep = couldNot("start-switch-ohms", "cannot-reach");
    expect(asked(request(tooDeep))).toEqual(["start-switch-ohms"]);
    expect(
      asked(request(tooDeep, ["opened", { access: "end bell", is: "end-bell", taken: "afterwards" }])),
    ).toEqual([]);
  });

  it("takes out of everything what the machine does not have: a station, or the part of one", () => {
    const { machine, evidence } = request(couldNot("belt-look", "none-here"));
    expect(machine.stations).toEqual([{ id: "drive", present: false }]);
    expect(evidence).toEqual([]);
    expect(request(couldNot("fuse-ohms", "none-here")).machine.without).toEqual(["fuse-open"]);
  });

  it("never takes out what something was found at, or was worked on", () => {
    const belt: Line = [
      "answer",
      { moveId: "belt-look", outcomeId: "good", circumstance: "cold", taken: "now", why: "" },
    ];
    const noCoupling = couldNot("look-coupling", "none-here");
    expect(request(noCoupling).machine.stations).toEqual([{ id: "drive", present: false }]);
    expect(request(belt, noCoupling).machine.stations).toBeUndefined();
    const mended: Line = [
      "intervention",
      {
        repair: "",
        label: "Belt fitted",
        faultIds: ["belt-off"],
        success: 0.97,
        seen: null,
        part: "none",
        taken: "afterwards",
      },
    ];
    expect(request(mended, noCoupling).machine.stations).toBeUndefined();
  });

  it("gives way to stations that were set by hand since", () => {
    const all = KNOWLEDGE.stations.map(({ id }) => id);
    const { machine } = request(couldNot("belt-look", "none-here"), ["built", { stations: all }]);
    expect(machine.stations).toContainEqual({ id: "drive", present: true });
  });

  it("leaves no suspect of a part that is not there", () => {
    const found = createIsolator(KNOWLEDGE)(request(couldNot("fuse-ohms", "none-here")));
    if (!found.ok) throw new Error(found.issues[0]?.message);
    expect(found.value.suspects.flatMap(({ roots }) => roots)).not.toContain("fuse-open");
  });
});

describe("what was said at another bench", () => {
  const unknown: Line = ["taken-in", { ...CARDER, family: "not-known" }];
  const clues = (...lines: readonly Line[]) =>
    requestWith(TOOL_CONTEXT, unknown, ...lines).evidence.map(({ moveId, outcomeId }) => [moveId, outcomeId]);
  const noted = (id: "start" | "run"): Line => ["nameplate", { plate: "capacitor", id, mark: "40 µF 250 V" }];

  it("is a clue to the kind of motor", () => {
    expect(clues(noted("start"))).toEqual([["clue-hump", "one-big"]]);
    expect(clues(noted("start"), noted("run"))).toEqual([["clue-hump", "two"]]);
    const nothing: Line = ["bench-state", { event: "nothing-stores", why: "No capacitor anywhere" }];
    expect(clues(nothing)).toEqual([["clue-hump", "none"]]);
    expect(clues(["bench-state", { event: "nothing-stores", why: "Stood for a year" }])).toEqual([]);
  });

  it("gives way to the clue itself, once that is looked at", () => {
    const look: Line = [
      "answer",
      { moveId: "clue-hump", outcomeId: "none", circumstance: "cold", taken: "now", why: "" },
    ];
    expect(clues(noted("start"), look)).toEqual([["clue-hump", "none"]]);
  });
});

describe("the kind of machine", () => {
  const kindOf = (machine: string) => kindByName(machine, KNOWLEDGE.archetypes)?.id;

  it("is found by its name as words, the longer of two", () => {
    expect(kindOf("Garage-door opener, old")).toBe("garage-door-opener");
    expect(kindOf("Hand mixer with a cord")).toBe("hand-mixer");
    expect(kindOf("Grandfather's wool carder")).toBe("wool-carder");
    expect(kindOf("Juicers")).toBeUndefined();
  });

  it("has covers and prices of its own before those of its motor, and those before the table's", () => {
    const minutesOf = (archetype?: string) =>
      accessOn({ family: "universal", archetype }, KNOWLEDGE).find(({ id }) => id === "brush-caps")?.minutes;
    expect(minutesOf("hedge-trimmer")).toBe(8);
    expect(minutesOf()).toBe(KNOWLEDGE.access.find(({ id }) => id === "brush-caps")?.minutes);
    const motorOf = (family: string, archetype?: string) =>
      repairsOn({ family, archetype }, KNOWLEDGE).find(({ id }) => id === "fit-motor")?.partMinor;
    expect([motorOf("universal", "hedge-trimmer"), motorOf("universal"), motorOf("none")]).toEqual([
      5000, 9000, 9000,
    ]);
  });

  it("is offered no capacitor that its motor has no place for", () => {
    const capacitorsFor = (family: string) =>
      repairsOn({ family }, KNOWLEDGE)
        .flatMap(({ forPart }) => forPart ?? [])
        .filter((place) => place === "start" || place === "run");
    expect(capacitorsFor("permanent-split-capacitor")).toEqual(["run"]);
    expect(capacitorsFor("capacitor-start")).toEqual(["start"]);
    expect(capacitorsFor("universal")).toEqual([]);
    expect(capacitorsFor("not-known").sort()).toEqual(["run", "start"]);
  });
});

describe("a small defect found by hand", () => {
  const answered = (moveId: string, outcomeId: string): Line => [
    "answer",
    { moveId, outcomeId, circumstance: "cold", taken: "now", why: "" },
  ];
  const found = (...lines: readonly Line[]) =>
    foundByHand(viewOf(logOf(["taken-in", CARDER], ...lines)), KNOWLEDGE, PARAMETERS).map(
      ({ repair }) => repair.id,
    );

  it("is made good in passing; a part that protects, a dear one, or what was only measured is not", () => {
    expect(found(answered("tug-leads", "loose"))).toContain("re-terminate");
    expect(found(answered("fuse-ohms", "open"))).toEqual([]);
    expect(found(answered("lamp-on-outlet", "dark"))).toEqual([]);
    expect(found(answered("start-capacitance", "below"))).toEqual([]);
  });

  it("is no longer found once work was done since", () => {
    const done: Line = [
      "intervention",
      {
        repair: "",
        label: "Re-terminate",
        faultIds: ["loose-connection"],
        success: 0.9,
        seen: null,
        part: "none",
        taken: "afterwards",
      },
    ];
    expect(found(answered("tug-leads", "loose"), done)).toEqual([]);
  });
});

describe("a machine that came back", () => {
  const told = (...signs: string[]): Line => [
    "complaint",
    { signs, circumstance: "not-known", afterMinutes: null, words: "" },
  ];
  const fitted: Line = [
    "intervention",
    {
      repair: "",
      label: "Fitted",
      faultIds: ["start-capacitor-low"],
      success: 0.97,
      seen: null,
      part: "matched",
      taken: "afterwards",
    },
  ];
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
  const back: Line = ["reopened", { why: "Hums again" }];
  const heard = (...lines: readonly Line[]) =>
    request(...lines)
      .evidence.filter(({ moveId }) => moveId.startsWith("told-"))
      .map(({ moveId, epoch }) => [moveId, epoch]);

  it("does what it did, of the machine as it is now, unless the owner says otherwise", () => {
    expect(heard(told("hum"), fitted, signed, back)).toEqual([
      ["told-hum", 0],
      ["told-came-back", 1],
      ["told-hum", 1],
    ]);
    expect(heard(told("hum"), fitted, signed, back, told("growl"))).toEqual([
      ["told-hum", 0],
      ["told-came-back", 1],
      ["told-growl", 1],
    ]);
  });

  it("is not said to fail again by a word that is put right while it is worked on", () => {
    expect(heard(told("hum"), fitted, told("growl"))).toEqual([["told-growl", 0]]);
  });
});
