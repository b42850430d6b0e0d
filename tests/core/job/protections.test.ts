import { describe, expect, it } from "vitest";
import { EMPTY_REFITTED_FACTS, EMPTY_REMOVED_FACTS } from "@/core/job/log/empty-facts";
import type { Payloads, Removed } from "@/core/job/log/entry";
import { isProtective, protectionOf } from "@/core/job/reassembly/protective";
import { openDangers } from "@/core/safety/dangers/danger";
import { CHECKED, FIT, PLUGGED, told, took, wordOf } from "../safety/promise-lines";
import { KNOWLEDGE } from "../shop-context";
import { type Line, logOf, ran, viewOf } from "./entries";

const ROWS = KNOWLEDGE.protections;
const KINDS = ROWS.filter(({ id }) => id !== "none");
const SORTS: readonly Removed["sort"][] = ["part", "fastener", "connector", "wire", "seal", "washer"];

const off = (named: Partial<Removed>): Line => [
  "removed",
  { sort: "part", what: "it", count: 1, where: "", ...EMPTY_REMOVED_FACTS, ...named },
];
const refit = (how: Payloads["refitted"]["how"], protects: string): Line => [
  "refitted",
  { ...EMPTY_REFITTED_FACTS, line: 3, how, why: "lost", protects },
];
const named = (what: string, more: Partial<Removed> = {}) =>
  protectionOf({ sort: "part", what, colour: "", terminal: "", ...more }, ROWS)?.id;
const START: readonly Line[] = [took(), told()];
const done = (how: Payloads["refitted"]["how"], protects: string, what: Partial<Removed> = {}) => [
  ...START,
  off(what),
  refit(how, protects),
  FIT,
  ...CHECKED,
  PLUGGED,
  ran(),
];

describe("what protects is a row of a table, never a word that sounds like one", () => {
  it.each(KINDS.flatMap(({ id, names }) => names.map((name) => [name, id] as const)))(
    "%s is %s, in the singular, the plural and with more words around it",
    (name, id) => {
      for (const sort of SORTS) {
        expect(named(name, { sort })).toBe(id);
        expect(named(`${name.toUpperCase()}S, left side`, { sort })).toBe(id);
      }
    },
  );

  it("is known by colour and by terminal, whatever the lead is called", () => {
    expect(named("lead", { sort: "wire", colour: "green-yellow" })).toBe("earth");
    for (const colour of ["green/yellow", "Yellow and green", "green with yellow stripe"])
      expect(named("lead", { sort: "wire", colour })).toBe("earth");
    expect(named("lead", { sort: "wire", colour: "grey-green" })).toBeUndefined();
    expect(named("green/yellow lead", { sort: "fastener" })).toBe("earth");
    expect(named("PE", { sort: "wire" })).toBe("earth");
    expect(named("wire", { sort: "wire", terminal: "PE" })).toBe("earth");
    expect(named("wave washer", { sort: "washer", colour: "green-yellow" })).toBe("earth");
  });

  it("is not known by a name of one's own, and a cover is one whatever it is called", () => {
    expect(named("thingummy")).toBeUndefined();
    expect(named("earthenware pot")).toBeUndefined();
    expect(named("wave washer", { sort: "washer" })).toBe("none");
    expect(named("old wave washer", { sort: "washer" })).toBeUndefined();
    expect(named("hump", { sort: "cover" })).toBe("cover");
  });

  it.each(KINDS.map(({ id }) => id))("left out: %s withholds the word", (id) => {
    const { word, unproven } = wordOf(...done("left-out", id));
    expect(word).toBe("do-not-use");
    expect(unproven).toContain("protection-left-out");
  });

  it("what nobody named counts as protective until it is said; what keeps nobody from harm does not", () => {
    expect(wordOf(...done("left-out", "not-said")).word).toBe("do-not-use");
    expect(wordOf(...done("left-out", "none")).word).toBe("repaired");
    expect(isProtective("by-name", { sort: "part", what: "belt guard" })).toBe(true);
    expect(isProtective("by-name", { sort: "washer", what: "wave washer" })).toBe(false);
  });

  it.each(KINDS.filter(({ move, isBrake }) => move ?? isBrake).map(({ id, move }) => [id, move] as const))(
    "back on: %s owes its own test",
    (id, move) => {
      const mower = took({ hazards: ["blades"] });
      const lines = [mower, ...done("back", id).slice(1)];
      const open = openDangers(viewOf(logOf(...lines)).live.dangers).map(({ test }) => test);
      expect(open).toEqual([move === undefined ? "stop-time" : `move:${move}`]);
      expect(wordOf(...lines).word).toBe("not-yet-proven");
    },
  );

  it("back on: an earth asks earth continuity again before power", () => {
    const lines: Line[] = [
      ...START,
      FIT,
      ...CHECKED,
      off({ sort: "wire" }),
      ["refitted", { ...EMPTY_REFITTED_FACTS, line: 7, how: "back", protects: "earth" }],
    ];
    const spoilt = viewOf(logOf(...lines)).live.spoilt.filter(({ seq }) => seq === lines.length);
    expect(spoilt.map(({ proof }) => proof).sort()).toEqual(["earth", "insulation", "look"]);
  });

  it.each(["interlock-ohms", "protector-ohms", "thermal-fuse-ohms", "overload-ohms", "fuse-ohms"])(
    "%s: bridged with a wire is an answer that opens a danger",
    (moveId) => {
      const bridged: Line = [
        "answer",
        { moveId, outcomeId: "bridged", circumstance: "cold", taken: "afterwards", why: "" },
      ];
      expect(wordOf(...START, bridged, FIT, ...CHECKED, PLUGGED, ran()).word).toBe("do-not-use");
    },
  );
});
