import type { Entry, Payloads, TakenIn } from "@/core/job/log/entry";
import {
  allOf,
  benchSince,
  isClipOff,
  LIVE,
  leavesDoubt,
  machineOf,
  type Of,
  powerOf,
  standing,
} from "./bare-log";

const TRIPS: readonly string[] = ["trips-at-once", "trips-after", "trips-residual"];
/** Answers that prove a leak to the frame, and the repair that mends it. */
const LEAK_PROVED: ReadonlyMap<string, string> = new Map([
  ["each-lead-insulation:winding-low", "earth-fault"],
  ["each-lead-insulation:one-low", "lead-chafed"],
]);
/** What a leak to the frame can do under power, and so can insulation that failed. */
const BY_A_LEAK: readonly string[] = ["trip", "residual-trip", "tingle"];
const LOOKS_INSIDE: readonly string[] = ["look-terminals"];

export type Proof = "look" | "earth" | "insulation";
const ALL: readonly Proof[] = ["look", "earth", "insulation"];
export const CHECK_OF: Readonly<Record<Proof, string>> = {
  look: "look-and-cord",
  earth: "earth-continuity",
  insulation: "insulation",
};

/** What a sign of the complaint asks for before power. */
const ASKS: ReadonlyMap<string, readonly (Proof | "inside")[]> = new Map([
  ["smoke", ["insulation", "inside"]],
  ["burnt-varnish", ["insulation", "inside"]],
  ["tingle", ["earth", "insulation"]],
  ["trips-residual", ["insulation"]],
  ["leaks-oil-or-water", ["insulation"]],
]);

const WORK: ReadonlyMap<string, readonly Proof[]> = new Map([
  ["start-capacitor-low", ["look", "insulation"]],
  ["belt-slips", ["look"]],
  ["fuse-open", ["look", "insulation"]],
  ["cord-broken", ALL],
]);

/** What a line took away of what was proved. */
export function spoiltBy(entry: Entry, entries: readonly Entry[]): readonly Proof[] {
  switch (entry.kind) {
    case "reopened":
      return ALL;
    case "intervention": {
      const { faultIds } = entry.payload;
      return faultIds.length === 0 ? ALL : faultIds.flatMap((id) => WORK.get(id) ?? ALL);
    }
    case "removed":
      return sortSpoils(entry.payload.sort);
    case "refitted": {
      const off = entries.find(({ seq }) => seq === entry.payload.line);
      return off?.kind === "removed" ? sortSpoils(off.payload.sort) : [];
    }
    case "complaint":
      return entry.payload.signs
        .flatMap((sign) => ASKS.get(sign) ?? [])
        .filter((one): one is Proof => one !== "inside");
    case "answer":
      return entry.payload.outcomeId === "trips-residual" ? ["insulation"] : [];
    case "bench-state":
      return entry.payload.event === "incident" && entry.payload.what !== "trip" ? ["insulation"] : [];
    case "taken-in":
      return isOtherMachine(entry, entries) ? ALL : [];
    default:
      return [];
  }
}

function sortSpoils(sort: Payloads["removed"]["sort"]): readonly Proof[] {
  if (sort === "wire" || sort === "part") return ["look", "insulation"];
  return sort === "washer" ? ["look"] : [];
}

function isOtherMachine(entry: Of<"taken-in">, entries: readonly Entry[]): boolean {
  const before = standing(entries).findLast((one) => one.kind === "taken-in" && one.seq < entry.seq);
  if (before?.kind !== "taken-in") return false;
  const [old, now] = [before.payload, entry.payload];
  return (
    old.protectionClass !== now.protectionClass ||
    old.connection !== now.connection ||
    old.heater !== now.heater
  );
}

type Check = Extract<Payloads["reading"], { of: "dead-check" }>;

export function checksIn(lines: readonly Entry[]): { readonly seq: number; readonly payload: Check }[] {
  return lines.flatMap(({ seq, kind, payload }) =>
    kind === "reading" && payload.of === "dead-check" ? [{ seq, payload }] : [],
  );
}

export function owedOf({ protectionClass }: TakenIn): readonly Proof[] {
  if (protectionClass === "class-1" || protectionClass === "not-known") return ALL;
  return protectionClass === "class-2" ? ["look", "insulation"] : ["look"];
}

/** Shock, water, smoke, a tripped residual-current device or a new visit: then only insulation itself will do. */
function asksForInsulation(entries: readonly Entry[], spoilt: number): boolean {
  const lines = standing(entries);
  const isTold = lines.some(
    ({ kind, payload }) => kind === "complaint" && payload.signs.some((sign) => ASKS.has(sign)),
  );
  const why = lines.find(({ seq }) => seq === spoilt)?.kind;
  return isTold || openTrips(lines) > 0 || why === "reopened" || why === "answer" || why === "bench-state";
}

/** Proofs of its class that the machine does not have as it stands. */
function unproved(entries: readonly Entry[], isLeakage: boolean): Proof[] {
  const lines = standing(entries);
  return owedOf(machineOf(lines)).filter((proof) => {
    const spoilt = lines.findLast((entry) => spoiltBy(entry, entries).includes(proof))?.seq ?? 0;
    const last = checksIn(lines).findLast(({ payload }) => payload.checkId === CHECK_OF[proof]);
    if (last && last.payload.verdict === "passed" && last.seq > spoilt) return false;
    if (proof !== "insulation" || asksForInsulation(entries, spoilt)) return true;
    const passed = (id: string): boolean => {
      const other = checksIn(lines).findLast(({ payload }) => payload.checkId === id);
      const isLate = id === "leakage" && other?.payload.taken === "afterwards";
      return other !== undefined && !isLate && other.payload.verdict === "passed" && other.seq > spoilt;
    };
    return !passed("ohms-to-metal") || !(isLeakage || passed("leakage"));
  });
}

/** Whether insulation was read good again after something was done about it. */
function isInsulatedSince(seq: number, lines: readonly Entry[], entries: readonly Entry[]): boolean {
  return checksIn(lines).some(
    (one) =>
      one.payload.checkId === "insulation" &&
      one.payload.verdict === "passed" &&
      lines.some((work) => work.seq > seq && work.seq < one.seq && spoiltWork(work, entries)),
  );
}

/** Findings of a failed protection that nothing has answered since: the same test good, or mended and insulation read good. */
export function failing(entries: readonly Entry[]): string[] {
  const lines = standing(entries);
  const found: string[] = [];
  for (const id of [...Object.values(CHECK_OF), "leakage", "ohms-to-metal"]) {
    const last = checksIn(lines).findLast(
      ({ payload }) => payload.checkId === id && payload.verdict !== "undecided",
    );
    if (last?.payload.verdict !== "failed") continue;
    if ((id !== "leakage" && id !== "ohms-to-metal") || !isInsulatedSince(last.seq, lines, entries))
      found.push(id);
  }
  const leads = allOf(lines, "answer").filter(({ payload }) => payload.moveId === "each-lead-insulation");
  const last = leads.findLast(({ payload }) =>
    ["good", "one-low", "winding-low"].includes(payload.outcomeId),
  );
  const isBad = last !== undefined && last.payload.outcomeId !== "good";
  if (isBad && !isInsulatedSince(last.seq, lines, entries)) found.push("each-lead-insulation");
  return found;
}

/** Something done to the machine, as against something told of it. */
function spoiltWork(entry: Entry, entries: readonly Entry[]): boolean {
  if (entry.kind === "complaint" || entry.kind === "answer" || entry.kind === "bench-state") return false;
  return entry.kind === "intervention" || spoiltBy(entry, entries).length > 0;
}

interface Happened {
  readonly what: string;
  /** What was found since that can do just that, and is not mended. */
  readonly found: string[];
}

/** What power did and nobody has found and mended since; what was found before it happened is no reason for it. */
function happened(lines: readonly Entry[]): readonly Happened[] {
  let open: Happened[] = [];
  const find = (reason: string, does: (what: string) => boolean): void => {
    for (const { what, found } of open) if (does(what)) found.push(reason);
  };
  for (const entry of lines) {
    const { kind, payload } = entry;
    if (kind === "answer" && LIVE.has(payload.moveId) && TRIPS.includes(payload.outcomeId))
      open.push({ what: payload.outcomeId === "trips-residual" ? "residual-trip" : "trip", found: [] });
    if (kind === "bench-state" && payload.event === "incident") open.push({ what: payload.what, found: [] });
    if (kind === "answer") {
      const leak = LEAK_PROVED.get(`${payload.moveId}:${payload.outcomeId}`);
      if (leak) find(leak, (what) => BY_A_LEAK.includes(what));
    }
    if (kind === "reading" && payload.of === "dead-check" && payload.verdict === "failed") {
      const proof = ALL.find((one) => CHECK_OF[one] === payload.checkId) ?? "insulation";
      if (proof === "look") find(proof, () => true);
      if (proof === "earth") find(proof, (what) => what === "tingle");
      if (proof === "insulation") find(proof, (what) => BY_A_LEAK.includes(what));
    }
    if (kind === "intervention") {
      const mended: readonly string[] = [...payload.faultIds, ...spoiltBy(entry, lines)];
      open = open.filter(({ found }) => !found.some((one) => mended.includes(one)));
    }
  }
  return open;
}

/** Trips whose reason nobody found and mended; smoke, a smell or a tingle counts as two: there is no second try. */
export function openTrips(lines: readonly Entry[]): number {
  return happened(lines).reduce(
    (count, { what }) => count + (what === "trip" || what === "residual-trip" ? 1 : 2),
    0,
  );
}

function owesInside(lines: readonly Entry[]): boolean {
  const told = lines.findLast(
    ({ kind, payload }) =>
      kind === "complaint" && payload.signs.some((sign) => ASKS.get(sign)?.includes("inside") === true),
  );
  if (!told) return false;
  return !lines.some(
    ({ seq, kind, payload }) =>
      seq > told.seq &&
      kind === "answer" &&
      LOOKS_INSIDE.includes(payload.moveId) &&
      !["not-sure", "could-not"].includes(payload.outcomeId),
  );
}

export function coversOpen(lines: readonly Entry[]): string[] {
  const open = new Set<string>();
  for (const { kind, payload } of lines) {
    if (kind === "opened") open.add(payload.access);
    if (kind === "closed") open.delete(payload.access);
  }
  return [...open];
}

export function isOff(off: Of<"removed">, lines: readonly Entry[]): boolean {
  const refits = allOf(lines, "refitted").filter(({ payload }) => payload.line === off.seq);
  const back = refits.reduce((sum, { payload }) => sum + (payload.count ?? off.payload.count), 0);
  const isLeftOut = refits.some(({ payload }) => payload.how === "left-out");
  return back < off.payload.count || (isLeftOut && /guard|cover/.test(off.payload.what));
}

/** Why SAFETY would not let power come on now, used so; looked for in the bare log. */
export function powerMayComeOn(
  entries: readonly Entry[],
  use: "guards-on" | "measured" | "leakage" | "licensed",
  isOutletNamed: boolean,
): string[] {
  const lines = standing(entries);
  const takenIn = machineOf(lines);
  const against: string[] = [];
  if (takenIn.hazards.includes("high-voltage")) against.push("high voltage");
  if (["three-phase", "vibrator", "sealed-compressor"].includes(takenIn.family)) against.push("out of scope");
  if (use === "licensed") against.push("a cover off with power on");
  if (openTrips(lines) > 1) against.push("a second trip");
  if (failing(entries).length > 0) against.push("a failed protection");
  if (owesInside(lines)) against.push("a look inside");
  if (unproved(entries, use === "leakage").length > 0) against.push("dead checks");
  if (use === "measured" && takenIn.family === "not-known") against.push("family");
  if (coversOpen(lines).length > 0) against.push("cover");
  if (allOf(lines, "removed").some((off) => isOff(off, lines))) against.push("something off");
  const stored = benchSince(entries, "any").filter(({ payload }) => payload.event.startsWith("stored"));
  const clips = stored.filter(({ payload }) => payload.event === "stored-clip");
  const isOn = clips.some(({ seq, payload }) => {
    const id = "id" in payload ? payload.id : "";
    const isReplaced = stored.some((one) => one.seq > seq && "id" in one.payload && one.payload.id === id);
    return !isReplaced && !isClipOff(lines, seq);
  });
  if (isOn) against.push("clip");
  if (takenIn.connection !== "battery" && !isBehindResidual(entries)) against.push("outlet");
  const isOnCord = takenIn.connection !== "battery" && takenIn.connection !== "fixed";
  if (isOnCord && !isOutletNamed) against.push("outlet not named");
  return against;
}

/** The last word on the plug is that it is in, behind the device that trips. */
function isBehindResidual(entries: readonly Entry[]): boolean {
  const lines = standing(entries);
  const said = allOf(lines, "bench-state").findLast(({ payload }) =>
    ["plugged-in", "unplugged", "isolated", "not-known"].includes(payload.event),
  );
  if (said?.payload.event !== "plugged-in" || said.payload.outlet !== "residual-current") return false;
  // A doubt since then takes the word away; power used since then does not.
  return !entries.some((entry) => {
    if (entry.seq <= said.seq) return false;
    if (entry.kind === "reopened") return true;
    if (entry.kind === "bench-state" && entry.payload.event === "incident" && lines.includes(entry))
      return true;
    if (entry.kind === "struck" || entry.kind === "restored")
      return leavesDoubt(entries.find(({ seq }) => seq === entry.payload.seq));
    return (
      powerOf(entry) === "both" &&
      "taken" in entry.payload &&
      entry.payload.taken === "afterwards" &&
      lines.includes(entry)
    );
  });
}
