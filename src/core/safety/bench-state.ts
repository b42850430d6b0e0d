import { limitOf } from "../knowledge/resolve-limits";
import type { BenchNeed, Limits, StoreId } from "../knowledge/types";
import { fail, issue, ok, type Result } from "../result";
import type { BenchEvent } from "./bench-event.input";

export type Plug = "not-known" | "plugged-in" | "unplugged" | "isolated";
export type PlugEvidence = "plug-in-sight" | "plug-in-pocket" | "plug-tagged" | "cord-off-machine";

/** What was read on one part that can hold charge. A clip that stays on does not lapse. */
export interface StoredItem {
  readonly id: StoreId;
  readonly volts?: number | undefined;
  readonly clip?: boolean | undefined;
  /** Why its volts could not be read. */
  readonly cannot?: string | undefined;
  readonly at: string;
  readonly recheckAfter?: string | undefined;
}

export type Holdable = "springs" | "lifted-load" | "belt";

/** What can move by itself: `none` is the honest way out of a question that does not fit this machine. */
export interface HeldItem {
  readonly id: Holdable;
  readonly is: "held" | "free" | "none";
}

/** How the machine stands, one a job (CONTRACTS). */
export interface BenchState {
  readonly plug: Plug;
  readonly plugEvidence?: PlugEvidence | undefined;
  readonly battery?: "in" | "out" | undefined;
  readonly provenDead?: { readonly volts: number; readonly means: string; readonly at: string } | undefined;
  readonly stored: readonly StoredItem[];
  /** The repairer looked and says that nothing in this machine stores charge. */
  readonly nothingStores: boolean;
  readonly held: readonly HeldItem[];
  /** Hazards the repairer has read and seen to; they withhold nothing. */
  readonly hazardsSeenTo: readonly string[];
  readonly opened: readonly string[];
  readonly load: "coupled" | "separated" | "not-known";
  readonly temperature: "cold" | "warm" | "hot" | "not-known";
}

/** Every machine at the door: shown as dangerous as one that is plugged in. */
export const AT_THE_DOOR: BenchState = {
  plug: "not-known",
  stored: [],
  nothingStores: false,
  held: [],
  hazardsSeenTo: [],
  opened: [],
  load: "not-known",
  temperature: "not-known",
};

/** What the machine is, as far as its bench state depends on it. */
export interface BenchMachine {
  readonly connection: "plug" | "detachable-cord" | "fixed" | "battery" | "not-known";
  readonly stores: readonly StoreId[];
  /** Whether it has a battery of its own, whatever else feeds it. */
  readonly hasBattery: boolean;
  /** What in it can move by itself and must be held before hands go in. */
  readonly holds: readonly Holdable[];
}

function later(at: string, seconds: number): string {
  return new Date(Date.parse(at) + seconds * 1000).toISOString();
}

function withStored(state: BenchState, item: StoredItem): BenchState {
  return { ...state, stored: [...state.stored.filter(({ id }) => id !== item.id), item] };
}

/** Power came or may have come: nothing read before it counts any longer. */
function uncharged(state: BenchState): BenchState {
  return { ...state, provenDead: undefined, stored: [], plugEvidence: undefined };
}

/** It moved under power, or may have: what was held then must be looked at again. */
function moved(state: BenchState): BenchState {
  return { ...state, held: state.held.filter(({ is }) => is !== "held") };
}

/** Neither plug nor battery is known any more; a battery that is in stays in. */
function doubted(state: BenchState): Pick<BenchState, "plug" | "battery"> {
  return { plug: "not-known", battery: state.battery === "in" ? "in" : undefined };
}

function refuse(code: string, message: string, given?: unknown): Result<never> {
  return fail(issue("payload", `bench/${code}`, message, given));
}

function isolate(
  state: BenchState,
  event: Extract<BenchEvent, { event: "isolated" }>,
  at: string,
  limits: Limits,
): Result<BenchState> {
  const safe = limitOf(limits, "safe-to-work-volts").value;
  if (Math.abs(event.volts) > safe)
    return refuse(
      "not-dead",
      `${event.volts} V is still there: it is proven dead at ${safe} V or less. Find the other feed first.`,
      event.volts,
    );
  return ok({
    ...state,
    plug: "isolated",
    plugEvidence: undefined,
    provenDead: { volts: event.volts, means: event.means, at },
  });
}

function nothingStores(state: BenchState, machine: BenchMachine): Result<BenchState> {
  const known = machine.stores.filter((id) => id !== "any");
  if (known.length > 0)
    return refuse(
      "it-stores",
      `A motor of this kind has ${known.join(" and ")} capacitance: read its volts, leave the clip on, or say why you cannot.`,
    );
  return ok({ ...state, nothingStores: true });
}

/**
 * The one place where the bench state changes.
 * Plugging in clears what was proven dead and every stored reading; so does not knowing.
 * @param at instant of the event, ISO 8601
 */
export function applyBenchEvent(
  state: BenchState,
  event: BenchEvent,
  at: string,
  machine: BenchMachine,
  limits: Limits,
): Result<BenchState> {
  switch (event.event) {
    case "plugged-in":
      return ok({ ...moved(uncharged(state)), plug: "plugged-in" });
    case "not-known":
      return ok({ ...moved(uncharged(state)), ...doubted(state) });
    case "unplugged":
      return machine.connection === "fixed"
        ? refuse(
            "fixed-wiring",
            "This machine is wired in: isolate it, prove it dead, and enter the volts read.",
          )
        : ok({ ...state, plug: "unplugged", plugEvidence: event.evidence });
    case "isolated":
      return isolate(state, event, at, limits);
    case "battery":
      return ok(
        event.is === "in"
          ? { ...moved(uncharged(state)), plug: state.plug, battery: "in" }
          : { ...state, battery: "out" },
      );
    case "stored-volts": {
      const row = event.dielectric === "electrolytic" ? "recheck-electrolytic" : "recheck-film";
      const recheckAfter = later(at, limitOf(limits, row).value);
      return ok(withStored(state, { id: event.id, volts: event.volts, at, recheckAfter }));
    }
    case "stored-clip":
      return ok(withStored(state, { id: event.id, clip: true, at }));
    case "stored-cannot":
      return ok(withStored(state, { id: event.id, cannot: event.why, at }));
    case "nothing-stores":
      return nothingStores(state, machine);
    case "held":
      return ok({
        ...state,
        held: [...state.held.filter(({ id }) => id !== event.id), { id: event.id, is: event.is }],
      });
    case "seen-to":
      return ok({ ...state, hazardsSeenTo: [...new Set([...state.hazardsSeenTo, event.id])] });
    case "load":
      return ok({ ...state, load: event.is });
    case "temperature":
      return ok({ ...state, temperature: event.is });
  }
}

/** Whoever looks: when the screen was last touched since its plug was settled; undefined after a reload. */
export interface Watch {
  readonly settledSeq: number;
  readonly touchedAt: string;
}

/** What the log says about the plug, and whose it is. */
export interface PlugFacts {
  /** Sequence number of the last entry about the plug; 0 when there is none. */
  readonly plugSeq: number;
  /** Who made each entry after a given one matters, as another person's entry makes the plug not known. */
  readonly lastSeqBy: Readonly<Record<string, number>>;
}

/** Whether this screen still knows the plug as it was settled. */
export function isPlugFresh(
  facts: PlugFacts,
  watch: Watch | undefined,
  by: string,
  now: string,
  limits: Limits,
): boolean {
  if (!watch || facts.plugSeq === 0 || watch.settledSeq < facts.plugSeq) return false;
  const untouched = (Date.parse(now) - Date.parse(watch.touchedAt)) / 1000;
  if (!(untouched >= 0) || untouched > limitOf(limits, "bench-untouched").value) return false;
  return Object.entries(facts.lastSeqBy).every(([who, seq]) => who === by || seq <= watch.settledSeq);
}

/** The state as it may be relied on now: a plug that is no longer known counts as plugged in. */
export function asSeen(state: BenchState, isFresh: boolean): BenchState {
  return isFresh ? state : { ...state, ...doubted(state) };
}

export type ChargeState = "not-read" | "charged" | "lapsed" | "drained" | "clip" | "cannot" | "none";

/** How one item that can hold charge stands at `now`. */
export function chargeState(state: BenchState, id: StoreId, now: string, limits: Limits): ChargeState {
  if (state.nothingStores) return "none";
  const item = state.stored.find((one) => one.id === id);
  if (!item) return "not-read";
  if (item.clip) return "clip";
  if (item.volts === undefined) return "cannot";
  if (Math.abs(item.volts) > limitOf(limits, "safe-to-work-volts").value) return "charged";
  return item.recheckAfter !== undefined && now >= item.recheckAfter ? "lapsed" : "drained";
}

/** What still stands between the hands and the machine; empty when the need is met. */
export type BenchGap = "plug" | "battery" | "charge" | "springs" | "lifted-load" | "belt";

const SETTLED: ReadonlySet<ChargeState> = new Set<ChargeState>(["drained", "clip", "none"]);

/** Nothing from outside reaches it. A battery machine that is not on a charger has no plug to speak of. */
function isCutOff(state: BenchState, machine: BenchMachine): boolean {
  if (machine.connection === "battery") return state.plug !== "plugged-in";
  return state.plug === "unplugged" || (state.plug === "isolated" && state.provenDead !== undefined);
}

/** Unplugging never makes a battery machine safe: its battery must be out as well. */
function hasBatteryIn(state: BenchState, machine: BenchMachine): boolean {
  return state.battery === "in" || (hasOwnBattery(machine) && state.battery !== "out");
}

export function hasOwnBattery(machine: BenchMachine): boolean {
  return machine.hasBattery || machine.connection === "battery";
}

/** @returns the gaps between the state (already `asSeen`) and what a move needs. */
export function gapsFor(
  state: BenchState,
  need: BenchNeed,
  machine: BenchMachine,
  now: string,
  limits: Limits,
): BenchGap[] {
  if (need === "none") return [];
  const gaps: BenchGap[] = [];
  if (!isCutOff(state, machine)) gaps.push("plug");
  if (hasBatteryIn(state, machine)) gaps.push("battery");
  if (need === "plug-out") return gaps;
  const isSettled = machine.stores.every((id) => SETTLED.has(chargeState(state, id, now, limits)));
  const isCharged = state.stored.some(({ id }) => !SETTLED.has(chargeState(state, id, now, limits)));
  if (!isSettled || isCharged) gaps.push("charge");
  const loose = new Set(state.held.filter(({ is }) => is === "free").map(({ id }) => id));
  const settled = new Set(state.held.filter(({ is }) => is !== "free").map(({ id }) => id));
  for (const id of machine.holds) if (!settled.has(id)) loose.add(id);
  return [...gaps, ...loose];
}
