import { describe, expect, it } from "vitest";
import { EMPTY_REFITTED_FACTS, EMPTY_REMOVED_FACTS } from "@/core/job/log/empty-facts";
import type { NewEntry, Removed } from "@/core/job/log/entry";
import { needToTouch } from "@/core/job/reassembly/touched";
import { needOf, repairTouches } from "@/core/knowledge/touches";
import type { BenchEvent } from "@/core/safety/bench-event.input";
import { guardEntry } from "@/log/guards";
import { took } from "../safety/promise-lines";
import { KNOWLEDGE, LIMITS } from "../shop-context";
import { type Line, logOf, T0, viewOf } from "./entries";

const MOWER = took({ hazards: ["blades"] });
const bench = (event: BenchEvent): Line => ["bench-state", event];
const OUT = bench({ event: "unplugged", evidence: "plug-in-sight" });
const BLOCKED = bench({ event: "held", id: "blades", is: "held" });
const READ = bench({ event: "stored-volts", id: "start", volts: 0.2, dielectric: "film" });
const off = (sort: Removed["sort"]): Line => [
  "removed",
  { sort, what: "it", count: 1, where: "", ...EMPTY_REMOVED_FACTS },
];

/** What the guard has against an entry, on a screen that settled the plug just now. */
function against(entry: NewEntry, ...lines: readonly Line[]): unknown {
  const log = logOf(...lines);
  const now = new Date(T0 + log.length * 60_000).toISOString();
  const repair = KNOWLEDGE.repairs.find(({ id }) => id === "fit-start-capacitor");
  const [issue] = guardEntry(viewOf(log), log, entry, {
    by: "left bench",
    now,
    watch: { settledSeq: log.length, touchedAt: now },
    need: entry.kind === "intervention" ? needOf(repairTouches(repair ?? {})) : "none",
    power: "off",
    live: { deadChecks: KNOWLEDGE.deadChecks, isOutletNamed: true },
    limits: LIMITS,
    today: "2026-11-25",
  });
  return issue?.given;
}

type Taken = "now" | "afterwards";
const HANDS: readonly [string, (taken: Taken) => NewEntry, readonly Line[], readonly Line[]][] = [
  [
    "a wire comes off",
    (taken) => ({
      kind: "removed",
      payload: { ...EMPTY_REMOVED_FACTS, sort: "wire", what: "blue", count: 1, where: "", taken },
    }),
    [MOWER, OUT],
    [MOWER, OUT, BLOCKED, READ],
  ],
  [
    "a wire goes back",
    (taken) => ({
      kind: "refitted",
      payload: { ...EMPTY_REFITTED_FACTS, line: 2, how: "back", taken },
    }),
    [MOWER, off("wire"), OUT],
    [MOWER, off("wire"), OUT, BLOCKED, READ],
  ],
  [
    "a repair is done",
    (taken) => ({
      kind: "intervention",
      payload: { repair: "", label: "Fitted", faultIds: [], success: 0.9, seen: null, part: "none", taken },
    }),
    [MOWER, OUT],
    [MOWER, OUT, BLOCKED, READ],
  ],
  [
    "a cover comes off",
    (taken) => ({ kind: "opened", payload: { access: "hump", is: "capacitor-cover", taken } }),
    [MOWER],
    [MOWER, OUT, BLOCKED],
  ],
  [
    "a cover goes on",
    (taken) => ({ kind: "closed", payload: { access: "hump", taken } }),
    [MOWER, OUT],
    [MOWER, OUT, BLOCKED],
  ],
];

describe("taking off, fitting and putting back go through the gate of a move", () => {
  it.each(HANDS)(
    "%s: refused as done now before its gate is open, and always taken as done before",
    (_, entry, shut, open) => {
      expect(against(entry("now"), ...shut)).toContain(shut.length === 1 ? "plug" : "blades");
      expect(against(entry("now"), ...open)).toBeUndefined();
      expect(against(entry("afterwards"), ...shut)).toBeUndefined();
      expect(against(entry("afterwards"), MOWER, ...shut.slice(1))).toBeUndefined();
    },
  );

  it("what is left out is touched by nobody", () => {
    const left = { ...EMPTY_REFITTED_FACTS, line: 2, how: "left-out", why: "lost", taken: "now" } as const;
    expect(against({ kind: "refitted", payload: left }, MOWER, off("wire"))).toBeUndefined();
  });

  it("under the covers it is drained as well", () => {
    expect(needToTouch("cover")).toBe("turning");
    expect(needToTouch("wire")).toBe("turning-inside");
  });
});
