import { describe, expect, it } from "vitest";
import type { Limits } from "@/core/knowledge/types";
import { gapsFor } from "@/core/safety/bench-gaps";
import {
  AT_THE_DOOR,
  applyBenchEvent,
  asSeen,
  type BenchMachine,
  type BenchState,
} from "@/core/safety/bench-state";
import { benchSummary } from "@/core/safety/bench-summary";
import { chargeState } from "@/core/safety/charge-state";
import type { EnergyEvent as BenchEvent } from "@/core/safety/energy-event";
import { isPlugFresh } from "@/core/safety/plug-watch";
import { benchWords } from "@/words/bench-state";
import { LIMITS } from "../shop-context";
import { benchMachine } from "./bench-machine";

const T0 = "2026-11-25T09:00:00.000Z";
const CARDER: BenchMachine = benchMachine({ stores: ["start"] });
const minutes = (count: number): string => new Date(Date.parse(T0) + count * 60_000).toISOString();

function stateAfter(machine: BenchMachine, ...events: BenchEvent[]): BenchState {
  return events.reduce((state, event) => {
    const next = applyBenchEvent(state, event, T0, machine, LIMITS);
    if (!next.ok) throw new Error(next.issues[0]?.message);
    return next.value;
  }, AT_THE_DOOR);
}

const OUT: BenchEvent = { event: "unplugged", evidence: "plug-in-sight" };
const volts = (read: number, dielectric: "film" | "electrolytic" = "film"): BenchEvent => ({
  event: "stored-volts",
  id: "start",
  volts: read,
  dielectric,
});
const DRAINED = volts(0.3);

describe("every transition of the bench state", () => {
  const FIXED: BenchMachine = benchMachine({
    connection: "fixed",
    stores: ["start"],
    hasBattery: false,
    holds: [],
  });
  const DRILL: BenchMachine = benchMachine({
    connection: "battery",
    stores: ["bus"],
    hasBattery: true,
    holds: [],
  });
  const CLOCK: BenchMachine = benchMachine({ connection: "plug", stores: [], hasBattery: false, holds: [] });
  const UNKNOWN: BenchMachine = benchMachine({
    connection: "plug",
    stores: ["any"],
    hasBattery: false,
    holds: [],
  });
  it.each<[string, BenchMachine, BenchEvent[], string, string[]]>([
    ["at the door", CARDER, [], "not-known", ["plug", "charge"]],
    ["unplugged", CARDER, [OUT], "unplugged", ["charge"]],
    ["unplugged and drained", CARDER, [OUT, DRAINED], "unplugged", []],
    ["still charged", CARDER, [OUT, volts(205)], "unplugged", ["charge"]],
    ["charged the other way round", CARDER, [OUT, volts(-205)], "unplugged", ["charge"]],
    ["exactly at the safe voltage", CARDER, [OUT, volts(5)], "unplugged", []],
    [
      "a clip, and no volts read",
      CARDER,
      [OUT, { event: "stored-clip", id: "start" }],
      "unplugged",
      ["charge"],
    ],
    [
      "read dead, and the clip stays on",
      CARDER,
      [OUT, DRAINED, { event: "stored-clip", id: "start" }],
      "unplugged",
      [],
    ],
    [
      "volts read while it was plugged in",
      CARDER,
      [{ event: "plugged-in", outlet: "other" }, DRAINED, OUT],
      "unplugged",
      ["charge"],
    ],
    [
      "cannot be read",
      CARDER,
      [OUT, { event: "stored-cannot", id: "start", why: "riveted" }],
      "unplugged",
      ["charge"],
    ],
    [
      "drained, then plugged in",
      CARDER,
      [OUT, DRAINED, { event: "plugged-in", outlet: "not-said" }],
      "plugged-in",
      ["plug", "charge"],
    ],
    [
      "plugged in and out again: the charge is asked anew",
      CARDER,
      [OUT, DRAINED, { event: "plugged-in", outlet: "not-said" }, OUT],
      "unplugged",
      ["charge"],
    ],
    [
      "not known: nothing read counts",
      CARDER,
      [OUT, DRAINED, { event: "not-known" }],
      "not-known",
      ["plug", "charge"],
    ],
    ["a family without capacitor", CLOCK, [OUT], "unplugged", []],
    [
      "family not known, looked: nothing stores",
      UNKNOWN,
      [OUT, { event: "nothing-stores", why: "" }],
      "unplugged",
      [],
    ],
    ["family not known, nothing said", UNKNOWN, [OUT], "unplugged", ["charge"]],
    [
      "wired in, isolated and proven dead",
      FIXED,
      [{ event: "isolated", volts: 0.1, means: "two-pole tester" }, DRAINED],
      "isolated",
      [],
    ],
    [
      "isolated, then power again",
      FIXED,
      [
        { event: "isolated", volts: 0.1, means: "tester" },
        { event: "plugged-in", outlet: "not-said" },
      ],
      "plugged-in",
      ["plug", "charge"],
    ],
    [
      "battery machine, battery in",
      DRILL,
      [{ event: "battery", is: "in" }],
      "not-known",
      ["battery", "charge"],
    ],
    ["battery machine is not safe by unplugging", DRILL, [OUT], "unplugged", ["battery", "charge"]],
    [
      "battery out and the board's charge read",
      DRILL,
      [
        { event: "battery", is: "out" },
        { event: "stored-volts", id: "bus", volts: 1, dielectric: "film" },
      ],
      "not-known",
      [],
    ],
    [
      "battery in again clears what was read",
      DRILL,
      [
        { event: "battery", is: "out" },
        { event: "stored-volts", id: "bus", volts: 1, dielectric: "film" },
        { event: "battery", is: "in" },
      ],
      "not-known",
      ["battery", "charge"],
    ],
    [
      "a free spring",
      CARDER,
      [OUT, DRAINED, { event: "held", id: "springs", is: "free" }],
      "unplugged",
      ["springs"],
    ],
    [
      "a held spring",
      CARDER,
      [
        OUT,
        DRAINED,
        { event: "held", id: "springs", is: "free" },
        { event: "held", id: "springs", is: "held" },
      ],
      "unplugged",
      [],
    ],
    [
      "load and temperature settle nothing",
      CARDER,
      [OUT, { event: "load", is: "separated" }, { event: "temperature", is: "hot" }],
      "unplugged",
      ["charge"],
    ],
  ])("%s", (_, machine, events, plug, gaps) => {
    const state = stateAfter(machine, ...events);
    expect(state.plug).toBe(plug);
    expect(gapsFor(state, "hands-inside", machine, T0, LIMITS)).toEqual(gaps);
  });

  it.each<[string, BenchMachine, BenchEvent, string]>([
    ["a wired-in machine has no plug", FIXED, OUT, "bench/fixed-wiring"],
    ["a capacitor motor has a capacitor", CARDER, { event: "nothing-stores", why: "" }, "bench/it-stores"],
  ])("refuses: %s", (_, machine, event, code) => {
    const tried = applyBenchEvent(AT_THE_DOOR, event, T0, machine, LIMITS);
    expect(tried.ok ? undefined : tried.issues[0]?.code).toBe(code);
  });
});

describe("what lapses", () => {
  it.each([
    ["film", 9, "drained"],
    ["film", 10, "lapsed"],
    ["electrolytic", 30, "drained"],
    ["electrolytic", 31, "lapsed"],
  ] as const)("%s, read twice, after %d minutes is %s", (dielectric, later, standing) => {
    const once = stateAfter(CARDER, OUT, volts(0.3, dielectric));
    const at = minutes(dielectric === "film" ? 0 : 1);
    const twice = applyBenchEvent(once, volts(0.3, dielectric), at, CARDER, LIMITS);
    if (!twice.ok) throw new Error(twice.issues[0]?.message);
    expect(chargeState(twice.value, "start", minutes(later), LIMITS)).toBe(standing);
  });

  it.each([
    ["once", [[0.3, 0]], "once"],
    [
      "twice within the minute",
      [
        [0.3, 0],
        [0.3, 0.5],
      ],
      "once",
    ],
    [
      "twice, a minute apart",
      [
        [0.3, 0],
        [0.4, 1],
      ],
      "drained",
    ],
    [
      "charged in between: counted anew",
      [
        [0.3, 0],
        [9, 1],
        [0.3, 2],
      ],
      "once",
    ],
  ] as const)("an electrolytic read %s is %s", (_, reads, standing) => {
    const state = reads.reduce(
      (before, [read, minute]) => {
        const next = applyBenchEvent(before, volts(read, "electrolytic"), minutes(minute), CARDER, LIMITS);
        if (!next.ok) throw new Error(next.issues[0]?.message);
        return next.value;
      },
      stateAfter(CARDER, OUT),
    );
    expect(chargeState(state, "start", minutes(3), LIMITS)).toBe(standing);
    expect(gapsFor(state, "hands-inside", CARDER, minutes(3), LIMITS)).toEqual(
      standing === "drained" ? [] : ["charge"],
    );
  });

  it("volts read under a clip count by themselves, and the clip still comes off before power", () => {
    const clip = { event: "stored-clip", id: "start" } as const;
    const read = volts(0.3, "electrolytic");
    const item = (...events: BenchEvent[]) =>
      stateAfter(CARDER, OUT, ...events).stored.find(({ id }) => id === "start");
    expect(item(clip, read)).toMatchObject({ clip: true, volts: 0.3 });
    expect(item(read, clip)).toMatchObject({ clip: true });
    expect(chargeState(stateAfter(CARDER, OUT, clip), "start", T0, LIMITS)).toBe("clip-unread");
    expect(chargeState(stateAfter(CARDER, OUT, clip, read), "start", T0, LIMITS)).toBe("clip");
    expect(chargeState(stateAfter(CARDER, OUT, read, clip), "start", T0, LIMITS)).toBe("clip");
    expect(chargeState(stateAfter(CARDER, OUT, clip, volts(90)), "start", T0, LIMITS)).toBe("charged");
    expect(stateAfter(CARDER, OUT, clip, read, { event: "clips-off" }).stored).toEqual([]);
    // Whatever is said of the plug.
    const plugged = stateAfter(CARDER, OUT, read, clip, { event: "plugged-in", outlet: "not-said" }, OUT);
    expect(plugged.stored).toEqual([{ id: "start", clip: true, at: T0 }]);
  });

  it("volts come before claims: a charge that was read takes back that nothing stores", () => {
    const unknown = benchMachine({ family: "not-known", stores: ["any"] });
    const any = (read: number): BenchEvent => ({
      event: "stored-volts",
      id: "any",
      volts: read,
      dielectric: "not-known",
    });
    const claimed = stateAfter(unknown, OUT, { event: "nothing-stores", why: "a coil" });
    expect(chargeState(claimed, "any", T0, LIMITS)).toBe("none");
    const read = stateAfter(unknown, OUT, { event: "nothing-stores", why: "a coil" }, any(90), any(0.2));
    expect(chargeState(read, "any", T0, LIMITS)).toBe("once");
  });

  it("a clip left on does not lapse", () => {
    const state = stateAfter(CARDER, OUT, DRAINED, { event: "stored-clip", id: "start" });
    expect(gapsFor(state, "hands-inside", CARDER, minutes(600), LIMITS)).toEqual([]);
  });

  const facts = { plugSeq: 4, lastSeqBy: { left: 6 } };
  it.each([
    ["touched a minute ago", { settledSeq: 4, touchedAt: T0 }, "left", minutes(1), facts, true],
    ["touched fifteen minutes ago", { settledSeq: 4, touchedAt: T0 }, "left", minutes(15), facts, true],
    ["untouched for longer", { settledSeq: 4, touchedAt: T0 }, "left", minutes(15.1), facts, false],
    ["after a reload nothing is watched", undefined, "left", T0, facts, false],
    [
      "settled before the last word about the plug",
      { settledSeq: 3, touchedAt: T0 },
      "left",
      T0,
      facts,
      false,
    ],
    [
      "another person's entry since",
      { settledSeq: 4, touchedAt: T0 },
      "left",
      T0,
      { plugSeq: 4, lastSeqBy: { left: 6, right: 5 } },
      false,
    ],
    [
      "another person's entry before",
      { settledSeq: 4, touchedAt: T0 },
      "left",
      T0,
      { plugSeq: 4, lastSeqBy: { left: 6, right: 2 } },
      true,
    ],
    [
      "never said anything",
      { settledSeq: 0, touchedAt: T0 },
      "left",
      T0,
      { plugSeq: 0, lastSeqBy: {} },
      false,
    ],
    ["a clock that runs ahead", { settledSeq: 4, touchedAt: minutes(5) }, "left", T0, facts, false],
  ] as const)("%s", (_, watch, by, now, plugFacts, isFresh) => {
    expect(isPlugFresh(plugFacts, watch, by, now, LIMITS)).toBe(isFresh);
    expect(asSeen(stateAfter(CARDER, OUT), isFresh).plug).toBe(isFresh ? "unplugged" : "not-known");
    const battery = asSeen(
      stateAfter(benchMachine({ connection: "battery", stores: [], hasBattery: true, holds: [] }), {
        event: "battery",
        is: "out",
      }),
      isFresh,
    );
    expect(battery.battery).toBe(isFresh ? "out" : undefined);
  });
});

describe("the state in words", () => {
  const words = (state: BenchState, machine: BenchMachine = CARDER, limits: Limits = LIMITS) =>
    benchWords(benchSummary(state, machine, T0, limits)).words;
  it.each<[BenchEvent[], string, string]>([
    [[], "Not known: is the plug out?", "live"],
    [[{ event: "plugged-in", outlet: "not-said" }], "Plugged in", "live"],
    [[OUT], "Unplugged, charge not read", "charge"],
    [[OUT, volts(205)], "Unplugged, still 205 V on a capacitor", "charge"],
    [[OUT, DRAINED], "Unplugged, drained to 0.3 V", "hands"],
    [[OUT, DRAINED, { event: "stored-clip", id: "start" }], "Unplugged, clip left on", "hands"],
    [[OUT, { event: "stored-clip", id: "start" }], "Unplugged, clip on, volts not read", "charge"],
  ])("%j: %s", (events, said, level) => {
    const state = stateAfter(CARDER, ...events);
    expect(words(state)).toBe(said);
    expect(benchSummary(state, CARDER, T0, LIMITS).level).toBe(level);
  });

  it("the worst of two stored items counts", () => {
    const both: BenchMachine = benchMachine({
      connection: "plug",
      stores: ["start", "run"],
      hasBattery: false,
      holds: [],
    });
    expect(words(stateAfter(both, OUT, DRAINED), both)).toBe("Unplugged, charge not read");
  });
});
