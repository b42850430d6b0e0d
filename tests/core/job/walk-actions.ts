import {
  EMPTY_BILL_FACTS,
  EMPTY_FOLLOW_UP_FACTS,
  EMPTY_REFITTED_FACTS,
  EMPTY_REMOVED_FACTS,
} from "@/core/job/log/empty-facts";
import type { Complaint, Entry, EntryKind, NewEntry, Payloads, TakenIn } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { resolveLimits } from "@/core/knowledge/resolve-limits";
import type { BenchNeed, PowerUse } from "@/core/knowledge/touches";
import type { Limits } from "@/core/knowledge/types";
import type { BenchEvent } from "@/core/safety/bench-event.input";
import type { Watch } from "@/core/safety/bench-state";
import { seededRandom } from "@/core/seeded-random";
import { KNOWLEDGE, LIMITS } from "../shop-context";
import { CARDER, check, viewOf } from "./entries";

export const SEED = 20_261_126;
export const { next } = seededRandom(SEED);
const pick = <T>(from: readonly T[]): T => from[Math.floor(next() * from.length)] as T;
export const chance = (share: number): boolean => next() < share;

export const PEOPLE = ["left bench", "right bench"] as const;
const CHECKS = ["look-and-cord", "earth-continuity", "insulation", "leakage", "ohms-to-metal"] as const;

const FAMILIES = KNOWLEDGE.families.map(({ id }) => id);
/** Signs after which power waits for more than the class asks. */
const SIGNS = ["smoke", "burnt-varnish", "tingle", "trips-residual", "leaks-oil-or-water"];
const WORKS: readonly string[][] = [
  [],
  ["start-capacitor-low"],
  ["belt-slips"],
  ["fuse-open"],
  ["earth-fault"],
  ["lead-chafed"],
  ["cord-broken"],
];

export function machine(): TakenIn {
  return {
    ...CARDER,
    machine: "Apple press",
    family: chance(0.7) ? pick(["capacitor-start", "universal", "split-phase"]) : pick(FAMILIES),
    protectionClass: pick(["class-1", "class-1", "class-2", "class-3", "battery", "not-known"]),
    connection: pick(["plug", "plug", "detachable-cord", "fixed", "battery", "not-known"]),
    heater: pick(["yes", "no"]),
    hazards: chance(0.3)
      ? [pick(["springs", "belt", "blades", "battery", "second-feed", "high-voltage"])]
      : [],
  };
}

export function complaint(): Complaint {
  const circumstance = pick([
    "always",
    "cold",
    "hot",
    "loaded",
    "after-minutes",
    "sometimes",
    "not-known",
  ] as const);
  const afterMinutes = circumstance === "after-minutes" ? pick([10, 30]) : null;
  return { signs: chance(0.2) ? ["hum", pick(SIGNS)] : ["hum"], circumstance, afterMinutes, words: "" };
}

const STORES = ["start", "run", "bus", "suppressor", "any"] as const;

function benchEvent(): BenchEvent {
  return pick<() => BenchEvent>([
    () => ({
      event: "plugged-in",
      outlet: pick(["residual-current", "residual-current", "other", "not-said"]),
    }),
    () => ({ event: "not-known" }),
    () => ({ event: "unplugged", evidence: "plug-in-sight" }),
    () => ({ event: "unplugged", evidence: "plug-in-pocket" }),
    () => ({ event: "isolated", volts: pick([0, 3, 90]), means: "two-pole tester" }),
    () => ({ event: "battery", is: pick(["in", "out"]) }),
    () => ({
      event: "stored-volts",
      id: pick(STORES),
      volts: pick([0.2, 4, 90, -200]),
      dielectric: pick(["film", "electrolytic", "not-known"]),
    }),
    () => ({ event: "incident", what: pick(["trip", "residual-trip", "smoke", "smell", "tingle"]) }),
    () => ({ event: "stored-clip", id: pick(STORES) }),
    () => ({ event: "stored-none", id: pick(STORES), why: "looked, there is none" }),
    () => ({ event: "clips-off" }),
    () => ({ event: "stored-cannot", id: "start", why: "not reached" }),
    () => ({ event: "nothing-stores", why: pick(["", "a coil"]) }),
    () => ({ event: "held", id: pick(["springs", "belt", "blades"]), is: pick(["held", "free", "none"]) }),
  ])();
}

interface Action {
  readonly entry: NewEntry;
  readonly need: BenchNeed;
  readonly power: PowerUse;
}

export interface Walk {
  entries: Entry[];
  /** What a sensible repairer does next, before the walk goes astray again. */
  queue: Action[];
  clock: number;
  watches: Partial<Record<string, Watch>>;
  shop: Shop;
}

/** What the shop has set, as far as safety reads it. */
export interface Shop {
  readonly isOutletNamed: boolean;
  readonly limits: Limits;
}

/**
 * Set-up is saved in the middle of a job: the outlet is named or not, one limit is the shop's own. What SAFETY asks
 * for stays the least: what would loosen it is refused, and then the shop is as it was.
 */
export function setUp(old: Shop): Shop {
  const row = pick(KNOWLEDGE.limits.filter(({ safety }) => safety));
  const limits = resolveLimits(KNOWLEDGE, { [row.id]: row.value * pick([-1, 0, 0.5, 0.9, 1.1, 2, 1e9]) });
  return { isOutletNamed: chance(0.9), limits: limits.ok ? limits.value : old.limits };
}

export const NEW_SHOP: Shop = { isOutletNamed: true, limits: LIMITS };

export const iso = (clock: number): string => new Date(clock).toISOString();

const act = <K extends EntryKind>(
  kind: K,
  payload: Payloads[K],
  need: BenchNeed = "none",
  power: PowerUse = "off",
): Action => ({ entry: { kind, payload } as NewEntry, need, power });

type Taken = "now" | "afterwards";

/** An answer to a move, with what the knowledge says that the move needs, as the server would post it. */
function answered(moveId: string, outcomeId: string, taken: Taken): Action {
  const move = KNOWLEDGE.moves.find(({ id }) => id === moveId);
  if (!move) throw new Error(`there is no move ${moveId}`);
  const isDone = outcomeId !== "could-not";
  return act(
    "answer",
    { moveId, outcomeId, circumstance: "cold", taken, why: "" },
    isDone ? move.needs : "none",
    isDone ? move.power : "off",
  );
}

const LIVE_ANSWERS: readonly (readonly [string, readonly string[]])[] = [
  ["switch-on", ["runs", "runs", "silent", "trips-at-once", "trips-residual", "not-sure", "could-not"]],
  ["clamp-current", ["normal", "high"]],
  ["volts-at-motor", ["full", "low"]],
  ["relay-volts", ["through"]],
];
const DEAD_ANSWERS: readonly (readonly [string, readonly string[]])[] = [
  ["turn-shaft", ["free", "locked"]],
  ["turn-gears", ["free"]],
  ["look-terminals", ["sound", "loose", "not-sure"]],
  ["each-lead-insulation", ["good", "one-low", "winding-low"]],
];

function anyAnswer(from: typeof LIVE_ANSWERS, taken: Taken): Action {
  const [moveId, outcomes] = pick(from);
  return answered(moveId, pick(outcomes), taken);
}

function checked(
  id: (typeof CHECKS)[number],
  verdict: "passed" | "failed" | "undecided",
  taken: Taken,
): Action {
  const payload = { ...check(id, verdict), taken } as Payloads["reading"];
  return id === "leakage" ? act("reading", payload, "none", "leakage") : act("reading", payload, "plug-out");
}

const INSIDE = answered("turn-gears", "free", "now");

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
        : ({
            event: "stored-volts",
            id,
            volts: 0.3,
            dielectric: pick(["film", "electrolytic"] as const),
          } as const),
    ),
    ...stores.map((id) => ({ event: "stored-volts", id, volts: 0.4, dielectric: "electrolytic" }) as const),
    ...holds.map((id) => ({ event: "held", id, is: "held" }) as const),
  ];
  return [...events.filter(() => chance(0.93)).map((event) => act("bench-state", event)), INSIDE, INSIDE];
}

/** All that lets a machine leave as repaired, with one step left out now and then. */
function finish({ entries }: Walk): Action[] {
  const view = viewOf(entries);
  const when = view.complaint?.circumstance;
  const steps = [
    act("intervention", { label: "Fitted", faultIds: pick(WORKS), success: 0.97, seen: null, part: "none" }),
    ...view.removed
      .filter(({ refit }) => refit === null)
      .map(({ seq }) => act("refitted", { ...EMPTY_REFITTED_FACTS, line: seq, how: "back" })),
    ...view.bench.opened.map((access) => act("closed", { access })),
    ...CHECKS.slice(0, 3).map((id) => checked(id, "passed", "afterwards")),
    ...earned(view),
    act(
      "acceptance-run",
      {
        circumstance: when === "cold" || when === "hot" || when === "loaded" ? when : "idle",
        minutes: 30,
        result: "gone",
        words: "",
        figures: [],
        outlet: "residual-current",
        taken: "now",
      },
      "none",
      "guards-on",
    ),
  ];
  return steps.filter(() => chance(0.96));
}

/** Power as it is earned: behind the device that trips, said with the plug. */
function earned(view: JobView): Action[] {
  if (view.machine.connection === "battery") return [];
  return [act("bench-state", { event: "plugged-in", outlet: "residual-current" })];
}

/** All that live work asks for, with one step left out now and then, and then the machine is switched on. */
function makeLive({ entries }: Walk): Action[] {
  const view = viewOf(entries);
  const steps = [
    ...view.removed
      .filter(({ refit }) => refit === null)
      .map(({ seq }) => act("refitted", { ...EMPTY_REFITTED_FACTS, line: seq, how: "back" })),
    ...view.bench.opened.map((access) => act("closed", { access })),
    ...(view.live.owesLookInside ? [answered("look-terminals", "sound", "afterwards")] : []),
    ...(chance(0.7)
      ? CHECKS.slice(0, 3)
      : (["look-and-cord", "earth-continuity", "ohms-to-metal"] as const)
    ).map((id) => checked(id, "passed", "afterwards")),
    ...earned(view),
    ...(chance(0.3) ? [checked("leakage", "passed", "now")] : []),
  ];
  return [...steps.filter(() => chance(0.96)), ...[0, 1, 2].map(() => anyAnswer(LIVE_ANSWERS, "now"))];
}

export function anyEntry(walk: Walk): Action {
  if (walk.queue.length === 0 && chance(0.1)) walk.queue = pick([makeSafe, makeSafe, finish, makeLive])(walk);
  return walk.queue.shift() ?? astray(walk);
}

function astray({ entries }: Walk): Action {
  const line = 1 + Math.floor(next() * (entries.length + 1));
  const taken = pick(["now", "afterwards"] as const);
  const off = [...entries].reverse().find(({ kind }) => kind === "removed");
  return pick([
    () => act("bench-state", benchEvent()),
    () => act("bench-state", benchEvent()),
    () => act("bench-state", benchEvent()),
    () => anyAnswer(DEAD_ANSWERS, taken),
    () => anyAnswer(LIVE_ANSWERS, taken),
    () => checked(pick(CHECKS), pick(["passed", "passed", "failed", "undecided"]), taken),
    () => act("taken-in", machine()),
    () => act("reopened", { why: "x" }),
    () => act("opened", { access: "hump", is: "capacitor-cover" }),
    () => act("closed", { access: "hump" }),
    () =>
      act("removed", {
        ...pick([
          { sort: "washer", what: "wave washer" },
          { sort: "wire", what: "blue lead" },
          { sort: "cover", what: "blade guard" },
        ] as const),
        count: pick([1, 3]),
        where: "",
        ...EMPTY_REMOVED_FACTS,
      }),
    () =>
      act("refitted", {
        ...EMPTY_REFITTED_FACTS,
        line: chance(0.6) && off ? off.seq : line,
        how: pick(["back", "replaced", "left-out"]),
        why: "x",
        count: pick([null, 1, 2]),
      }),
    () =>
      act("intervention", {
        label: "Fitted",
        faultIds: pick(WORKS),
        success: 0.97,
        seen: null,
        part: "none",
      }),
    () =>
      act(
        "acceptance-run",
        {
          circumstance: pick(["cold", "hot", "loaded", "idle"]),
          minutes: pick([0.001, 5, 30]),
          result: pick(["gone", "gone", "still-there"]),
          words: "",
          figures: [],
          outlet: "residual-current",
          taken,
        },
        "none",
        "guards-on",
      ),
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
        ...EMPTY_BILL_FACTS,
      }),
  ])();
}
