import { limitOf } from "../knowledge/resolve-limits";
import type { Limits, StoreId } from "../knowledge/types";
import { fail, issue, ok, type Result } from "../result";
import { chargeState, type StoredItem } from "./charge-state";
import type { DangerKind } from "./dangers/danger";
import type { ProtectionClass } from "./dead-checks";
import type { EnergyEvent } from "./energy-event";
import type { Holdable } from "./holdable";
import type { KindQuestionId } from "./kind-questions";

export type Plug = "not-known" | "plugged-in" | "unplugged" | "isolated";
export type PlugEvidence = "plug-in-sight" | "plug-in-pocket" | "plug-tagged" | "cord-off-machine";

/** What can move by itself: `none` is the honest way out of a question that does not fit this machine. */
export interface HeldItem {
  readonly id: Holdable;
  readonly is: "held" | "free" | "none";
}

/** How the machine stands, one a job (CONTRACTS). */
export interface BenchState {
  readonly plug: Plug;
  readonly plugEvidence?: PlugEvidence | undefined;
  /** Where it is plugged in, as it was said with the plug. */
  readonly outlet?: "residual-current" | "other" | "not-said" | undefined;
  readonly battery?: "in" | "out" | undefined;
  /** Since when power is on without a break, as far as it was said: a run is no longer than that. */
  readonly onSince?: string | undefined;
  /** Until when it was under power at the latest, as far as it was said: what heats is hot from there. */
  readonly poweredUntil?: string | undefined;
  /** When it was last said to be off. */
  readonly offAt?: string | undefined;
  readonly provenDead?: { readonly volts: number; readonly means: string; readonly at: string } | undefined;
  readonly stored: readonly StoredItem[];
  /** The repairer looked and says that nothing in this machine stores charge. */
  readonly nothingStores: boolean;
  /** Whether a charge was ever read in it. */
  readonly wasCharged: boolean;
  readonly held: readonly HeldItem[];
  /** Hazards the repairer has read and seen to; they withhold nothing. */
  readonly hazardsSeenTo: readonly string[];
  readonly opened: readonly string[];
  /** Open dangers for which nothing inside is touched, by their kind. */
  readonly keepsOut: readonly DangerKind[];
  readonly load: "coupled" | "separated" | "not-known";
  readonly temperature: "cold" | "warm" | "hot" | "not-known";
}

/** Every machine at the door: shown as dangerous as one that is plugged in. */
export const AT_THE_DOOR: BenchState = {
  plug: "not-known",
  stored: [],
  nothingStores: false,
  wasCharged: false,
  held: [],
  hazardsSeenTo: [],
  opened: [],
  keepsOut: [],
  load: "not-known",
  temperature: "not-known",
};

/** What the machine is, as far as its bench state depends on it. */
export interface BenchMachine {
  readonly family: string;
  readonly protection: ProtectionClass;
  readonly connection: "plug" | "detachable-cord" | "fixed" | "battery" | "not-known";
  readonly stores: readonly StoreId[];
  /** Those of them that may turn out not to be there. */
  readonly excusable: readonly StoreId[];
  /** Whether it has a battery of its own, whatever else feeds it. */
  readonly hasBattery: boolean;
  /** What in it can move by itself and must be held before hands go in. */
  readonly holds: readonly Holdable[];
  /** What is never done here to such a machine. */
  readonly blocks: readonly ("inside" | "power")[];
  /** Another supply feeds it beside the one it is unplugged from. */
  readonly hasSecondFeed: boolean;
  /** Its family belongs to others but for what is done unplugged. */
  readonly isOutOfScope: boolean;
  /** It runs on after the switch is off, and may have a brake. */
  readonly runsOn: boolean;
  /** The limit of the time in which it stands still. */
  readonly stop: string;
  /** What its kind has by its name, and heat where a heater was told: that it is not there needs a reason. */
  readonly kindHas: readonly string[];
  /** What is asked of a machine whose name is not known, and was not answered yet. */
  readonly asks: readonly KindQuestionId[];
  /** Hazards that must be aired before any power. */
  readonly airs: readonly string[];
}

function later(at: string, seconds: number): string {
  return new Date(Date.parse(at) + seconds * 1000).toISOString();
}

function withStored(state: BenchState, item: StoredItem): BenchState {
  return { ...state, stored: [...state.stored.filter(({ id }) => id !== item.id), item] };
}

/** Power came or may have come: nothing read before it counts any longer, and a clip is still where it was. */
function uncharged(state: BenchState): BenchState {
  const stored = state.stored.flatMap((item): StoredItem[] => {
    const { id, clip, clipStruck, at } = item;
    if (clip === true) return [{ id, clip, clipStruck, at }];
    return item.none === undefined ? [] : [item];
  });
  return { ...state, provenDead: undefined, stored, plugEvidence: undefined, outlet: undefined };
}

/** It moved under power, or may have: what was held then must be looked at again, and what runs on may be turning still. */
function moved(state: BenchState, { runsOn }: Pick<BenchMachine, "runsOn">): BenchState {
  const held = state.held.filter(({ is }) => is !== "held");
  const turns: readonly HeldItem[] =
    runsOn && !held.some(({ id }) => id === "coasting") ? [{ id: "coasting", is: "free" }] : [];
  return { ...state, held: [...held, ...turns] };
}

function withHeld(state: BenchState, { id, is }: HeldItem): BenchState {
  return { ...state, held: [...state.held.filter((one) => one.id !== id), { id, is }] };
}

/** What was under power cools for a while, whatever a hand says of its outside. */
function held(state: BenchState, event: HeldItem, at: string, limits: Limits): Result<BenchState> {
  if (event.id !== "heat" || event.is !== "held") return ok(withHeld(state, event));
  if (isPowered(state)) return refuse("still-on", "Power is on: take it away first, then let it cool.");
  const coolAt =
    state.poweredUntil === undefined ? at : later(state.poweredUntil, limitOf(limits, "heat-cools").value);
  if (at >= coolAt) return ok(withHeld(state, event));
  const minutes = Math.ceil((Date.parse(coolAt) - Date.parse(at)) / 60_000);
  return refuse(
    "still-hot",
    `It was under power not long ago, and what heats is hot inside for longer than outside: feel it again in ${minutes} min (judged).`,
  );
}

/** Said to be hot, it is not cold any more. */
function felt(state: BenchState, temperature: BenchState["temperature"]): BenchState {
  const isHot = temperature === "hot";
  return {
    ...state,
    temperature,
    held: state.held.filter(({ id, is }) => !isHot || id !== "heat" || is !== "held"),
  };
}

/** Neither plug nor battery is known any more; a battery that is in stays in. */
function doubted(state: BenchState): Pick<BenchState, "plug" | "battery" | "outlet"> {
  return { plug: "not-known", outlet: undefined, battery: state.battery === "in" ? "in" : undefined };
}

/** Power is on: the battery's own, or from outside. */
function underPower(state: BenchState, machine: BenchMachine, outlet: BenchState["outlet"]): BenchState {
  const cleared = moved(uncharged(state), machine);
  if (machine.connection === "battery") return { ...cleared, battery: "in" };
  // What it ran on nobody said: a battery of its own that was out may be in again.
  const battery = machine.hasBattery && state.battery !== "in" ? undefined : state.battery;
  return { ...cleared, battery, plug: "plugged-in", outlet };
}

function refuse(code: string, message: string, given?: unknown): Result<never> {
  return fail(issue("payload", `bench/${code}`, message, given));
}

function isolate(
  state: BenchState,
  event: Extract<EnergyEvent, { event: "isolated" }>,
  at: string,
  machine: BenchMachine,
  limits: Limits,
): Result<BenchState> {
  const safe = limitOf(limits, "safe-to-work-volts").value;
  // Volts on what was to be dead are written down, and take away what was believed of the plug.
  if (Math.abs(event.volts) > safe)
    return ok({ ...moved(uncharged(state), machine), plug: "not-known", plugEvidence: undefined });
  return ok({
    ...state,
    plug: "isolated",
    plugEvidence: undefined,
    provenDead: { volts: event.volts, means: event.means, at },
  });
}

/** Stores that a family or a board has for certain: no word takes them away. */
function nothingStores(
  state: BenchState,
  machine: BenchMachine,
  why: string,
  at: string,
  limits: Limits,
): Result<BenchState> {
  const known = machine.stores.filter((id) => id !== "any");
  if (known.length > 0)
    return refuse(
      "it-stores",
      `A motor of this kind has ${known.join(" and ")} capacitance: read its volts, leave the clip on, or say why you cannot.`,
    );
  if (!state.wasCharged) return ok({ ...state, nothingStores: true });
  if (why.trim().length < 3)
    return refuse(
      "charge-was-read",
      "A charge was read in this machine: say what it was, and read the volts there again.",
      why,
    );
  const isDrained = state.stored.some(({ id }) => chargeState(state, id, at, limits) === "drained");
  return isDrained
    ? ok({ ...state, nothingStores: true })
    : refuse("charge-was-read", "A charge was read in this machine: read the volts there again first.");
}

/** What this machine has for certain cannot be said away; a suppressor or a board's capacitor that is not there can. */
function storedNone(
  state: BenchState,
  { id, why }: { readonly id: StoreId; readonly why: string },
  at: string,
  machine: BenchMachine,
): Result<BenchState> {
  if (!machine.excusable.includes(id))
    return refuse(
      "it-stores",
      `This machine has that capacitor (${id}): read its volts, leave the clip on, or say why you cannot.`,
      id,
    );
  const read = state.stored.find((one) => one.id === id);
  if (read?.clip) return refuse("clip-is-on", `A clip is on it (${id}): take that off and say so first.`, id);
  if (read?.volts !== undefined && state.wasCharged)
    return refuse("charge-was-read", "A charge was read there: drain it and read it again.", read.volts);
  return ok(withStored(state, { id, none: why, at }));
}

/** Power is on, as far as it was said: what is read meanwhile says nothing of the time after. */
export function isPowered({ plug, battery }: BenchState): boolean {
  return plug === "plugged-in" || battery === "in";
}

/** A reading of volts on what stores; one that is dead counts from the first of its row. */
function storedVolts(
  state: BenchState,
  event: Extract<EnergyEvent, { event: "stored-volts" }>,
  at: string,
  limits: Limits,
): BenchState {
  const isDead = Math.abs(event.volts) <= limitOf(limits, "safe-to-work-volts").value;
  const before = state.stored.find(({ id }) => id === event.id);
  const row = event.dielectric === "electrolytic" ? "recheck-electrolytic" : "recheck-film";
  return {
    ...withStored(state, {
      id: event.id,
      volts: event.volts,
      over: event.over,
      at,
      recheckAfter: later(at, limitOf(limits, row).value),
      deadSince: isDead ? (before?.deadSince ?? at) : undefined,
      needsTwo: event.dielectric !== "film",
      whileOn: isPowered(state) || undefined,
      // Nobody said that the clip came off: it is asked for before power, while the hands go by the volts alone.
      clip: before?.clip,
      clipStruck: before?.clipStruck,
    }),
    // Volts come before claims.
    nothingStores: state.nothingStores && isDead,
    wasCharged: state.wasCharged || !isDead,
  };
}

/** A clip was put on, or was said to be in a line that does not count; one that counts stays what it is. */
function clipped(
  state: BenchState,
  { event, id }: Extract<EnergyEvent, { event: "stored-clip" | "clip-struck" }>,
  at: string,
): BenchState {
  const before = state.stored.find((one) => one.id === id);
  const isOn = event === "stored-clip" || (before?.clip === true && before.clipStruck !== true);
  const clipStruck = isOn ? undefined : true;
  return withStored(state, { ...before, id, clip: true, clipStruck, at, none: undefined, cannot: undefined });
}

/**
 * The one place where the bench state changes.
 * Plugging in clears what was proven dead and every stored reading; so does not knowing.
 * @param at instant of the event, ISO 8601
 */
export function applyBenchEvent(
  state: BenchState,
  event: EnergyEvent,
  at: string,
  machine: BenchMachine,
  limits: Limits,
): Result<BenchState> {
  switch (event.event) {
    case "plugged-in":
      return ok({ ...moved(uncharged(state), machine), plug: "plugged-in", outlet: event.outlet });
    case "powered":
      return ok(underPower(state, machine, state.outlet));
    case "may-have-had-power":
    case "not-known":
      return ok({ ...moved(uncharged(state), machine), ...doubted(state) });
    case "unplugged":
      return machine.connection === "fixed"
        ? refuse(
            "fixed-wiring",
            "This machine is wired in: isolate it, prove it dead, and enter the volts read.",
          )
        : ok({ ...state, plug: "unplugged", plugEvidence: event.evidence, outlet: undefined });
    case "isolated":
      return isolate(state, event, at, machine, limits);
    case "battery":
      return ok(
        event.is === "in"
          ? { ...moved(uncharged(state), machine), plug: state.plug, battery: "in" }
          : { ...state, battery: "out" },
      );
    case "stored-volts":
      return ok(storedVolts(state, event, at, limits));
    case "clips-off":
      return ok({ ...state, stored: state.stored.filter(({ clip }) => clip !== true) });
    case "stored-none":
      return storedNone(state, event, at, machine);
    case "stored-clip":
    case "clip-struck":
      return ok(clipped(state, event, at));
    case "stored-cannot": {
      const { clip, clipStruck } = state.stored.find(({ id }) => id === event.id) ?? {};
      return ok(withStored(state, { id: event.id, cannot: event.why, clip, clipStruck, at }));
    }
    case "nothing-stores":
      return nothingStores(state, machine, event.why, at, limits);
    case "held":
      return held(state, event, at, limits);
    case "seen-to":
      return ok({ ...state, hazardsSeenTo: [...new Set([...state.hazardsSeenTo, event.id])] });
    case "load":
      return ok({ ...state, load: event.is });
    case "temperature":
      return ok(felt(state, event.is));
    case "opened":
      return ok({ ...state, opened: [...new Set([...state.opened, event.access])] });
    case "closed":
      return ok({ ...state, opened: state.opened.filter((one) => one !== event.access) });
    case "seen-to-anew":
      return ok({ ...state, hazardsSeenTo: [] });
    case "left":
      return ok(state);
  }
}

/** The state as it may be relied on now: a plug that is no longer known counts as plugged in. */
export function asSeen(state: BenchState, isFresh: boolean): BenchState {
  return isFresh ? state : { ...state, ...doubted(state) };
}
