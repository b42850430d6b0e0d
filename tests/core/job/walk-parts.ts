import { EMPTY_PLATE_FACTS } from "@/core/job/log/empty-facts";
import type { Complaint, Entry, EntryKind, NewEntry, Payloads, TakenIn } from "@/core/job/log/entry";
import { resolveLimits } from "@/core/knowledge/resolve-limits";
import type { BenchNeed, PowerUse } from "@/core/knowledge/touches";
import type { Limits } from "@/core/knowledge/types";
import type { BenchEvent } from "@/core/safety/bench-event.input";
import type { Watch } from "@/core/safety/plug-watch";
import { seededRandom } from "@/core/seeded-random";
import { tellsDanger } from "@/log/tells-danger";
import { KNOWLEDGE, LIMITS } from "../shop-context";
import { CARDER, check } from "./entries";

export const SEED = 20_261_126;
export const { next } = seededRandom(SEED);
export const pick = <T>(from: readonly T[]): T => from[Math.floor(next() * from.length)] as T;
export const chance = (share: number): boolean => next() < share;

export const PEOPLE = ["left bench", "right bench"] as const;
export const CHECKS = [
  "look-and-cord",
  "earth-continuity",
  "insulation",
  "leakage",
  "ohms-to-metal",
] as const;

const FAMILIES = KNOWLEDGE.families.map(({ id }) => id);
/** Signs after which power waits for more than the class asks. */
const SIGNS = [
  "smoke",
  "burnt-varnish",
  "tingle",
  "trips-breaker",
  "trips-residual",
  "leaks-oil-or-water",
  "will-not-stop",
];
export const WORKS: readonly string[][] = [
  [],
  ["start-capacitor-low"],
  ["belt-slips"],
  ["fuse-open"],
  ["earth-fault"],
  ["lead-chafed"],
  ["cord-broken"],
  ["bearing-seized"],
  ["damp"],
  ["contact-welded"],
  ["brake-drags"],
];

const CARRIED: TakenIn["carried"] = [
  {
    kind: "told-smoke",
    place: "door",
    test: "run",
    faults: ["bearing-seized"],
    stations: [],
    spoils: [],
    isMended: false,
    afterMinutes: 20,
  },
  {
    kind: "earth",
    place: "check:earth-continuity",
    test: "check:earth-continuity",
    faults: ["earth-lost"],
    stations: ["supply", "connections"],
    spoils: [],
    isMended: true,
    afterMinutes: 0,
  },
  {
    kind: "left-out",
    place: "fitted:blade guard",
    test: "fitted:blade guard",
    faults: [],
    stations: [],
    spoils: [],
    isMended: true,
    afterMinutes: 0,
  },
];

export function machine(): TakenIn {
  return {
    ...CARDER,
    carried: chance(0.1) ? [pick(CARRIED)] : [],
    machine: "Apple press",
    hasNone: ["springs-or-weight", "blades-or-rollers", "heat-or-pressure"],
    family: chance(0.7) ? pick(["capacitor-start", "universal", "split-phase"]) : pick(FAMILIES),
    protectionClass: pick(["class-1", "class-1", "class-2", "class-3", "battery", "not-known"]),
    connection: pick(["plug", "plug", "detachable-cord", "fixed", "battery", "not-known"]),
    heater: pick(["yes", "no"]),
    hazards: chance(0.3)
      ? [pick(["springs", "belt", "blades", "coasting", "vapour", "battery", "second-feed", "high-voltage"])]
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

export const CHOSEN: Payloads["part-chosen"] = {
  forPart: "start",
  partId: "x",
  label: "Part",
  fit: "fit",
  notes: [],
  priceMinor: 100,
  days: 1,
  asked: null,
  ownerNotes: [],
  fromShelf: [],
};
export const CAPACITOR_PLATE: Payloads["nameplate"] = { plate: "capacitor", id: "start", mark: "145-174 μF" };

export function plateOf(volts: string): Payloads["nameplate"] {
  const unread = { hertz: "", amps: "", power: "", speed: "", text: "" };
  return { plate: "motor", volts, ...unread, ...EMPTY_PLATE_FACTS };
}

const STORES = ["start", "run", "bus", "suppressor", "any"] as const;

export function benchEvent(): BenchEvent {
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
    () => ({ event: "seen-to", id: "vapour" }),
    () => ({
      event: "held",
      id: pick(["springs", "belt", "blades", "coasting"]),
      is: pick(["held", "free", "none"]),
    }),
  ])();
}

export interface Action {
  readonly entry: NewEntry;
  readonly need: BenchNeed;
  readonly power: PowerUse;
  /** Minutes that pass before it. */
  readonly wait?: number;
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
  // A shop that asks for longer runs closes less by them than SAFETY read a second time does.
  const row = pick(KNOWLEDGE.limits.filter(({ safety, id }) => safety && id !== "run-least"));
  const limits = resolveLimits(KNOWLEDGE, { [row.id]: row.value * pick([-1, 0, 0.5, 0.9, 1.1, 2, 1e9]) });
  return { isOutletNamed: chance(0.9), limits: limits.ok ? limits.value : old.limits };
}

export const NEW_SHOP: Shop = { isOutletNamed: true, limits: LIMITS };

export const iso = (clock: number): string => new Date(clock).toISOString();

export const act = <K extends EntryKind>(
  kind: K,
  payload: Payloads[K],
  need: BenchNeed = "none",
  power: PowerUse = "off",
): Action => ({ entry: { kind, payload } as NewEntry, need, power });

type Taken = "now" | "afterwards";

/** An answer to a move, with what the knowledge says that the move needs, as the server would post it. */
export function answered(moveId: string, outcomeId: string, taken: Taken): Action {
  const move = KNOWLEDGE.moves.find(({ id }) => id === moveId);
  if (!move) throw new Error(`there is no move ${moveId}`);
  // What says danger is kept in any state.
  const isDone = outcomeId !== "could-not" && !tellsDanger(move, outcomeId);
  return act(
    "answer",
    { moveId, outcomeId, circumstance: "cold", taken, why: "" },
    isDone ? move.needs : "none",
    isDone ? move.power : "off",
  );
}

export const LIVE_ANSWERS: readonly (readonly [string, readonly string[]])[] = [
  ["switch-on", ["runs", "runs", "silent", "trips-at-once", "trips-residual", "not-sure", "could-not"]],
  ["clamp-current", ["normal", "high"]],
  ["volts-at-motor", ["full", "low"]],
  ["relay-volts", ["through"]],
  ["other-circuit", ["holds", "same"]],
];
export const DEAD_ANSWERS: readonly (readonly [string, readonly string[]])[] = [
  ["turn-shaft", ["free", "locked"]],
  ["turn-gears", ["free"]],
  ["turn-shaft-load-off", ["free", "locked"]],
  ["look-terminals", ["bright", "bright", "brown", "not-sure"]],
  ["look-damp", ["dry", "damp"]],
  ["look-capacitor", ["flat", "bulged"]],
  ["switch-ohms", ["closed", "always-closed"]],
  ["fuse-ohms", ["whole", "open"]],
  ["each-lead-insulation", ["good", "one-low", "winding-low"]],
];

export function anyAnswer(from: typeof LIVE_ANSWERS, taken: Taken): Action {
  const [moveId, outcomes] = pick(from);
  return answered(moveId, pick(outcomes), taken);
}

export function checked(
  id: (typeof CHECKS)[number],
  verdict: "passed" | "failed" | "undecided",
  taken: Taken,
): Action {
  const payload = { ...check(id, verdict), taken } as Payloads["reading"];
  if (verdict === "failed") return act("reading", payload);
  return id === "leakage" ? act("reading", payload, "none", "leakage") : act("reading", payload, "plug-out");
}
