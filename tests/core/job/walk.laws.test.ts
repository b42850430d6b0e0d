import { describe, expect, it } from "vitest";
import { EMPTY_FOLLOW_UP_FACTS, EMPTY_REFITTED_FACTS, EMPTY_REMOVED_FACTS } from "@/core/job/log/empty-facts";
import type { Complaint, Entry, EntryKind, NewEntry, Payloads, TakenIn } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/reduce";
import { collars, nextStep } from "@/core/job/next-step";
import { signOffWord } from "@/core/job/sign-off/sign-off";
import { isHere, type Standing, standingOf } from "@/core/job/standing";
import type { BenchNeed } from "@/core/knowledge/types";
import type { BenchEvent } from "@/core/safety/bench-event.input";
import { applyBenchEvent, type Watch } from "@/core/safety/bench-state";
import { seededRandom } from "@/core/seeded-random";
import { guardEntry } from "@/log/guards";
import { KNOWLEDGE, LIMITS, TOOL_CARDS } from "../shop-context";
import { againstRepaired, handsMayGoIn } from "./bare-log";
import { CARDER, check, logOf, viewOf } from "./entries";

const STEPS = 10_000;
const SEED = 20_261_126;
/** A job is left and another one taken in after so many lines. */
const LINES_A_JOB = 60;

const { next } = seededRandom(SEED);
const pick = <T>(from: readonly T[]): T => from[Math.floor(next() * from.length)] as T;
const chance = (share: number): boolean => next() < share;

const PEOPLE = ["left bench", "right bench"] as const;
const CHECKS = ["look-and-cord", "earth-continuity", "insulation", "leakage"] as const;

function machine(): TakenIn {
  return {
    ...CARDER,
    family: pick(["capacitor-start", "permanent-split-capacitor", "universal", "electronically-commutated"]),
    protectionClass: pick(["class-1", "class-2", "battery", "not-known"]),
    connection: pick(["plug", "plug", "fixed", "battery"]),
    hazards: chance(0.3) ? [pick(["springs", "belt", "battery"])] : [],
  };
}

function complaint(): Complaint {
  const circumstance = pick(["always", "cold", "loaded", "after-minutes", "sometimes", "not-known"] as const);
  const afterMinutes = circumstance === "after-minutes" ? pick([10, 30]) : null;
  return { signs: ["hum"], circumstance, afterMinutes, words: "" };
}

function benchEvent(): BenchEvent {
  return pick<() => BenchEvent>([
    () => ({ event: "plugged-in" }),
    () => ({ event: "not-known" }),
    () => ({ event: "unplugged", evidence: "plug-in-sight" }),
    () => ({ event: "unplugged", evidence: "plug-in-pocket" }),
    () => ({ event: "isolated", volts: pick([0, 3, 90]), means: "two-pole tester" }),
    () => ({ event: "battery", is: pick(["in", "out"]) }),
    () => ({
      event: "stored-volts",
      id: pick(["start", "run", "bus"]),
      volts: pick([0.2, 4, 90, -200]),
      dielectric: pick(["film", "electrolytic"]),
    }),
    () => ({ event: "stored-clip", id: pick(["start", "run", "bus"]) }),
    () => ({ event: "stored-cannot", id: "start", why: "not reached" }),
    () => ({ event: "nothing-stores" }),
    () => ({ event: "held", id: pick(["springs", "belt"]), is: pick(["held", "free", "none"]) }),
  ])();
}

interface Action {
  readonly entry: NewEntry;
  readonly need: BenchNeed;
}

interface Walk {
  entries: Entry[];
  /** What a sensible repairer does next, before the walk goes astray again. */
  queue: Action[];
  clock: number;
  watches: Partial<Record<string, Watch>>;
}

const iso = (clock: number): string => new Date(clock).toISOString();

const act = <K extends EntryKind>(kind: K, payload: Payloads[K], need: BenchNeed = "none"): Action => ({
  entry: { kind, payload } as NewEntry,
  need,
});

const INSIDE = act(
  "answer",
  { moveId: "turn-shaft", outcomeId: "free", circumstance: "cold", taken: "now" },
  "hands-inside",
);

/** All that makes this machine safe, with one step left out now and then, and then hands go in. */
function makeSafe({ entries }: Walk): Action[] {
  const view = viewOf(entries);
  const { connection, stores, holds, hasBattery } = view.machine;
  const events: BenchEvent[] = [
    ...(connection === "battery"
      ? []
      : [
          connection === "fixed"
            ? ({ event: "isolated", volts: 0, means: "two-pole tester" } as const)
            : ({ event: "unplugged", evidence: "plug-in-sight" } as const),
        ]),
    ...(hasBattery ? [{ event: "battery", is: "out" } as const] : []),
    ...stores.map((id) =>
      chance(0.5)
        ? ({ event: "stored-clip", id } as const)
        : ({ event: "stored-volts", id, volts: 0.3, dielectric: "film" } as const),
    ),
    ...holds.map((id) => ({ event: "held", id, is: "held" }) as const),
  ];
  return [...events.filter(() => chance(0.93)).map((event) => act("bench-state", event)), INSIDE, INSIDE];
}

/** All that lets a machine leave as repaired, with one step left out now and then. */
function finish({ entries }: Walk): Action[] {
  const view = viewOf(entries);
  const when = view.complaint?.circumstance;
  const steps = [
    act("intervention", { label: "Fitted", faultIds: [], success: 0.97, seen: null }),
    ...view.removed
      .filter(({ refit }) => refit === null)
      .map(({ seq }) => act("refitted", { ...EMPTY_REFITTED_FACTS, line: seq, how: "back" })),
    ...view.bench.opened.map((access) => act("closed", { access })),
    ...CHECKS.slice(0, 3).map((id) => act("reading", { ...check(id), taken: "afterwards" })),
    act("acceptance-run", {
      circumstance: when === "cold" || when === "loaded" ? when : "idle",
      minutes: 30,
      result: "gone",
      words: "",
      figures: [],
      outlet: "residual-current",
      taken: "now",
    }),
  ];
  return steps.filter(() => chance(0.96));
}

function anyEntry(walk: Walk): Action {
  if (walk.queue.length === 0 && chance(0.04)) walk.queue = chance(0.6) ? makeSafe(walk) : finish(walk);
  return walk.queue.shift() ?? astray(walk);
}

function astray({ entries }: Walk): Action {
  const line = 1 + Math.floor(next() * (entries.length + 1));
  const need = pick<BenchNeed>(["none", "plug-out", "hands-inside", "hands-inside"]);
  const taken = pick(["now", "afterwards"] as const);
  const off = [...entries].reverse().find(({ kind }) => kind === "removed");
  return pick([
    () => act("bench-state", benchEvent()),
    () => act("bench-state", benchEvent()),
    () => act("bench-state", benchEvent()),
    () => act("answer", { moveId: "turn-shaft", outcomeId: "free", circumstance: "cold", taken }, need),
    () => ({
      entry: {
        kind: "reading",
        payload: { ...check(pick(CHECKS), pick(["passed", "passed", "failed", "undecided"])), taken },
      } as NewEntry,
      need,
    }),
    () => act("opened", { access: "hump", is: "capacitor-cover" }),
    () => act("closed", { access: "hump" }),
    () =>
      act("removed", {
        sort: "washer",
        what: "wave washer",
        count: pick([1, 3]),
        where: "",
        ...EMPTY_REMOVED_FACTS,
      }),
    () =>
      act("refitted", {
        ...EMPTY_REFITTED_FACTS,
        line: chance(0.6) && off ? off.seq : line,
        how: pick(["back", "replaced"]),
        count: pick([null, 1, 2]),
      }),
    () => act("intervention", { label: "Fitted", faultIds: [], success: 0.97, seen: null }),
    () =>
      act("acceptance-run", {
        circumstance: pick(["cold", "loaded", "idle"]),
        minutes: pick([5, 30]),
        result: pick(["gone", "gone", "still-there"]),
        words: "",
        figures: [],
        outlet: "residual-current",
        taken,
      }),
    () => act("complaint", complaint()),
    () => act("struck", { seq: line, why: "" }),
    () => act("restored", { seq: line }),
    () =>
      act("follow-up", {
        ...EMPTY_FOLLOW_UP_FACTS,
        what: "look",
        onDay: pick([null, "2026-11-24", "2027-01-05"]),
      }),
    () => act("note", { text: "x" }),
    () =>
      act("signed-off", {
        word: "not-yet-proven",
        unproven: [],
        minutes: 1,
        labourMinor: 0,
        partsMinor: 0,
        watch: "",
      }),
  ])();
}

function append(walk: Walk, entry: NewEntry, by: string): void {
  const [made] = logOf(["note", { text: "x" }]);
  if (!made) return;
  walk.entries = [
    ...walk.entries,
    { ...made, ...entry, seq: walk.entries.length + 1, at: iso(walk.clock), by } as Entry,
  ];
}

function newJob(clock: number): Walk {
  const walk: Walk = { entries: [], queue: [], clock, watches: {} };
  append(walk, { kind: "taken-in", payload: machine() }, PEOPLE[0]);
  append(walk, { kind: "complaint", payload: complaint() }, PEOPLE[0]);
  return walk;
}

/** The watch of a screen: settled by its own bench line, touched by whatever it does, gone with a reload. */
function touch(walk: Walk, by: string, entry: NewEntry): void {
  const settles =
    entry.kind === "bench-state" &&
    ["plugged-in", "unplugged", "isolated", "battery"].includes(entry.payload.event);
  const old = walk.watches[by];
  const settledSeq = settles ? walk.entries.length : old?.settledSeq;
  if (settledSeq !== undefined) walk.watches[by] = { settledSeq, touchedAt: iso(walk.clock) };
}

/** What the database keeps of a job for the Bench, as it comes back from there. */
const kept = (view: JobView): Standing => JSON.parse(JSON.stringify(standingOf(view)));

function bandsOf(view: Standing, clock: number) {
  const context = {
    deadChecks: KNOWLEDGE.deadChecks,
    moves: KNOWLEDGE.moves,
    tools: TOOL_CARDS,
    limits: LIMITS,
    now: iso(clock),
    zone: "Atlantic/Faroe",
  };
  const bands = [true, false].map((isPlugFresh) => ({
    step: nextStep(view, { ...context, isPlugFresh }),
    collars: collars(view, { ...context, isPlugFresh }),
  }));
  const isGone = bands.some(({ step }) => step.band === "gone");
  return { bands, word: signOffWord(view, KNOWLEDGE), isHereOrGone: isHere(view) !== isGone };
}

describe(`a walk of ${STEPS} actions over the bench state and the guards`, () => {
  const counts = { hands: 0, refused: 0, late: 0, repaired: 0 };
  it("never lets hands in without evidence, never says repaired against SAFETY, never refuses what was taken already", () => {
    let walk = newJob(Date.parse("2026-11-25T09:00:00Z"));
    for (let step = 0; step < STEPS; step += 1) {
      if (walk.entries.length > LINES_A_JOB) walk = newJob(walk.clock);
      walk.clock += chance(0.1) ? 40 * 60_000 : Math.floor(next() * 90_000);
      const by = chance(0.9) ? PEOPLE[0] : PEOPLE[1];
      if (chance(0.03)) delete walk.watches[by];
      const view = viewOf(walk.entries);
      const { entry, need } = anyEntry(walk);
      const tried =
        entry.kind === "bench-state"
          ? applyBenchEvent(view.bench, entry.payload, iso(walk.clock), view.machine, LIMITS)
          : undefined;
      const refused =
        tried && !tried.ok
          ? tried.issues
          : guardEntry(view, walk.entries, entry, {
              by,
              now: iso(walk.clock),
              watch: walk.watches[by],
              need,
              limits: LIMITS,
              today: iso(walk.clock).slice(0, 10),
            });
      const isLate = "taken" in entry.payload && entry.payload.taken === "afterwards";
      if (isLate) {
        counts.late += 1;
        expect(refused, `step ${step}: a late ${entry.kind}`).toEqual([]);
      }
      if (refused.length > 0) {
        counts.refused += 1;
        expect(refused[0]?.message.length, `step ${step} says why`).toBeGreaterThan(15);
        continue;
      }
      if ((entry.kind === "answer" || entry.kind === "reading") && !isLate && need === "hands-inside") {
        counts.hands += 1;
        expect(handsMayGoIn(walk.entries, walk.clock), `step ${step}, seed ${SEED}`).toEqual([]);
      }
      append(walk, entry, by);
      touch(walk, by, entry);
      const after = viewOf(walk.entries);
      if (step % 20 === 0) {
        const bands = bandsOf(kept(after), walk.clock);
        expect(bands).toEqual(bandsOf(after, walk.clock));
        expect(bands.isHereOrGone, `step ${step}`).toBe(true);
      }
      const { word } = signOffWord(after, KNOWLEDGE);
      if (word !== "repaired") continue;
      counts.repaired += 1;
      expect(againstRepaired(walk.entries), `step ${step}, seed ${SEED}`).toEqual([]);
    }
  }, 120_000);

  it("came past each of the things that it watches", () => {
    expect(counts.hands).toBeGreaterThan(50);
    expect(counts.refused).toBeGreaterThan(200);
    expect(counts.late).toBeGreaterThan(500);
    expect(counts.repaired).toBeGreaterThan(20);
  });
});
