import type { Entry, Payloads, TakenIn } from "@/core/job/log/entry";
import { keptBack } from "./bare-dangers";

/**
 * SAFETY's words read a second time, from the bare log: nothing here is taken from the program, its knowledge or its
 * limits. What the walk's actions can say is all that it has to understand.
 */
export type Kind = Entry["kind"];
export type Of<K extends Kind> = Extract<Entry, { kind: K }>;

const SAFE_VOLTS = 5;
const BETWEEN_READINGS_S = 60;
const FILM_HOLDS_S = 600;
const ELECTROLYTIC_HOLDS_S = 1800;

/** Moves that have power on, and how. */
export const LIVE: ReadonlyMap<string, "guards-on" | "measured" | "licensed"> = new Map([
  ["switch-on", "guards-on"],
  ["clamp-current", "guards-on"],
  ["volts-at-motor", "measured"],
  ["relay-volts", "licensed"],
  ["other-circuit", "guards-on"],
]);
/** Lines that stand, found here anew. */
export function standing(entries: readonly Entry[]): Entry[] {
  const gone = new Set<number>();
  for (const entry of entries) {
    if (entry.kind === "struck") gone.add(entry.payload.seq);
    if (entry.kind === "restored") gone.delete(entry.payload.seq);
  }
  return entries.filter(({ seq }) => !gone.has(seq));
}

const SLIP_MS = 8_000;
/** What no tap takes back: shock, smoke, water, trips and volts. */
const NEVER_SLIPS: readonly string[] = ["smoke", "tingle", "trip", "residual-trip"];
const TOLD_NEVER: readonly string[] = [
  "smoke",
  "tingle",
  "trips-residual",
  "trips-breaker",
  "leaks-oil-or-water",
  "will-not-stop",
];

function isNeverSlip(entry: Entry): boolean {
  switch (entry.kind) {
    case "bench-state":
      return entry.payload.event === "incident"
        ? NEVER_SLIPS.includes(entry.payload.what)
        : entry.payload.event === "stored-volts" || entry.payload.event === "isolated";
    case "answer":
      return entry.payload.outcomeId.startsWith("trips");
    case "complaint":
      return entry.payload.signs.some((sign) => TOLD_NEVER.includes(sign));
    default:
      return false;
  }
}

/** Lines that stand, and struck ones that were no slip: those keep what they took away. */
export function takingAway(entries: readonly Entry[]): Entry[] {
  const struck = new Map<number, Entry>();
  for (const entry of entries) {
    if (entry.kind === "struck") struck.set(entry.payload.seq, entry);
    if (entry.kind === "restored") struck.delete(entry.payload.seq);
  }
  return entries.filter((entry) => {
    const strike = struck.get(entry.seq);
    if (!strike) return true;
    const since = Date.parse(strike.at) - Date.parse(entry.at);
    return isNeverSlip(entry) || since < 0 || since > SLIP_MS;
  });
}

export function lastOf<K extends Kind>(lines: readonly Entry[], kind: K): Of<K> | undefined {
  return lines.findLast((entry): entry is Of<K> => entry.kind === kind);
}

export function allOf<K extends Kind>(lines: readonly Entry[], kind: K): Of<K>[] {
  return lines.filter((entry): entry is Of<K> => entry.kind === kind);
}

export function machineOf(lines: readonly Entry[]): TakenIn {
  return lastOf(lines, "taken-in")?.payload as TakenIn;
}

type Power = "line" | "battery" | "both";

/** What a line by itself says of power coming: from the line, from the battery, or nobody knows. */
export function powerOf(entry: Entry): Power | undefined {
  switch (entry.kind) {
    case "bench-state":
      if (entry.payload.event === "plugged-in") return "line";
      if (entry.payload.event === "battery" && entry.payload.is === "in") return "battery";
      // What was read live is on, whatever was believed of it.
      if (entry.payload.event === "isolated" && Math.abs(entry.payload.volts) > SAFE_VOLTS) return "line";
      return ["not-known", "incident"].includes(entry.payload.event) ? "both" : undefined;
    case "answer":
      return LIVE.has(entry.payload.moveId) && entry.payload.outcomeId !== "could-not" ? "both" : undefined;
    case "acceptance-run":
    case "reopened":
      return "both";
    case "reading":
      return "checkId" in entry.payload && entry.payload.checkId === "leakage" ? "both" : undefined;
    default:
      return undefined;
  }
}

/** Whether striking this line out, or writing it in again, leaves a doubt about power and charge. */
export function leavesDoubt(entry: Entry | undefined): boolean {
  return entry !== undefined && (entry.kind === "bench-state" || powerOf(entry) !== undefined);
}

/** The last line since which no power came, of that source. */
function powerSeq(entries: readonly Entry[], source: "any" | "line" | "battery"): number {
  const stands = new Set(standing(entries).map(({ seq }) => seq));
  const came = entries.filter((entry) => {
    if (entry.kind === "struck" || entry.kind === "restored") {
      const { seq } = entry.payload;
      return leavesDoubt(entries.find((one) => one.seq === seq));
    }
    const power = stands.has(entry.seq) ? powerOf(entry) : undefined;
    return power !== undefined && (source === "any" || power === "both" || power === source);
  });
  return came.at(-1)?.seq ?? 0;
}

export function benchSince(
  entries: readonly Entry[],
  source: "any" | "line" | "battery",
): Of<"bench-state">[] {
  const from = powerSeq(entries, source);
  return allOf(standing(entries), "bench-state").filter(({ seq }) => seq > from);
}

/** What stores charge in a machine of this family and connection. */
function storesOf({ family, connection, protectionClass }: TakenIn): readonly string[] {
  const own: ReadonlyMap<string, readonly string[]> = new Map([
    ["capacitor-start", ["start"]],
    ["capacitor-start-run", ["start", "run"]],
    ["permanent-split-capacitor", ["run"]],
    ["electronically-commutated", ["bus"]],
    ["universal", ["bus"]],
    ["permanent-magnet-dc", ["bus"]],
    ["not-known", ["any"]],
    ["sealed-compressor", ["start", "run"]],
  ]);
  const isOnMains = connection !== "battery" && protectionClass !== "class-3";
  const isBrushed = family === "universal" || family === "permanent-magnet-dc";
  return [...(own.get(family) ?? []), ...(isOnMains && isBrushed ? ["suppressor"] : [])];
}

type Stored = Extract<Payloads["bench-state"], { event: "stored-volts" }>;

function chargeMissing(entries: readonly Entry[], id: string, now: number): string[] {
  const lines = standing(entries);
  const about = benchSince(entries, "any").filter(
    ({ payload }) => "id" in payload && payload.id === id && payload.event.startsWith("stored"),
  );
  const last = about.at(-1);
  // That something is not there is no reading: it outlives power, until something else is said of it.
  const everything = allOf(lines, "bench-state").filter(
    ({ payload }) => "id" in payload && payload.id === id && payload.event.startsWith("stored"),
  );
  const isNone = everything.at(-1)?.payload.event === "stored-none";
  if (isNone || (last === undefined && saidNone(everything))) return [];
  // Volts come before claims: a charge that was read since says that something does store.
  const nothing = allOf(lines, "bench-state").findLast(
    ({ payload }) =>
      payload.event === "nothing-stores" ||
      (payload.event === "stored-volts" && Math.abs(payload.volts) > SAFE_VOLTS),
  );
  if (nothing?.payload.event === "nothing-stores" && id === "any") return [];
  const reading = about.findLast(({ payload }) => payload.event !== "stored-clip");
  if (reading?.payload.event !== "stored-volts") return [`charge on ${id}`];
  const { volts, dielectric } = reading.payload;
  if (Math.abs(volts) > SAFE_VOLTS) return [`charge on ${id}`];
  if (isReadWhileOn(entries, reading.seq)) return [`charge on ${id} read under power`];
  const clip = everything.findLast(({ payload }) => payload.event === "stored-clip");
  if (clip && !isClipOff(lines, clip.seq)) return [];
  // Taken off, it may have been all that held the charge down.
  if (clip && about.some(({ seq, payload }) => payload.event === "stored-volts" && seq > clip.seq)) {
    const offSeq = allOf(lines, "bench-state").find(
      (one) => one.payload.event === "clips-off" && one.seq > clip.seq,
    )?.seq;
    if (offSeq !== undefined && offSeq > reading.seq) return [`charge on ${id} once the clip is off`];
  }
  const holds = dielectric === "electrolytic" ? ELECTROLYTIC_HOLDS_S : FILM_HOLDS_S;
  if ((now - Date.parse(reading.at)) / 1000 >= holds) return [`charge on ${id} read too long ago`];
  if (dielectric === "film") return [];
  const charged = about.findLastIndex(
    ({ payload }) => payload.event !== "stored-volts" || Math.abs((payload as Stored).volts) > SAFE_VOLTS,
  );
  // What was read under a clip says nothing of the time after it came off.
  const offSeq = allOf(lines, "bench-state").find(
    (one) => one.payload.event === "clips-off" && clip !== undefined && one.seq > clip.seq,
  )?.seq;
  const first = about.slice(charged + 1).find(({ seq }) => seq > (offSeq ?? 0));
  const apart = (Date.parse(reading.at) - Date.parse(first?.at ?? reading.at)) / 1000;
  return apart >= BETWEEN_READINGS_S ? [] : [`charge on ${id} read only once`];
}

/** Power was on as it was read: it says nothing of the time after. */
function isReadWhileOn(entries: readonly Entry[], seq: number): boolean {
  const stands = new Set(standing(entries).map((one) => one.seq));
  const { connection } = machineOf(standing(entries));
  let [plug, battery] = [false, false];
  for (const entry of entries) {
    if (entry.seq >= seq) break;
    if (entry.kind === "struck" || entry.kind === "restored") {
      const about = entry.payload.seq;
      if (leavesDoubt(entries.find((one) => one.seq === about))) plug = false;
      continue;
    }
    if (!stands.has(entry.seq)) continue;
    const said = entry.kind === "bench-state" ? entry.payload : undefined;
    const isLate = "taken" in entry.payload && entry.payload.taken === "afterwards";
    if (said?.event === "battery") battery = said.is === "in";
    else if (said?.event === "plugged-in") plug = true;
    else if (said?.event === "isolated") plug = false;
    else if (said?.event === "unplugged") plug &&= connection === "fixed";
    else if (powerOf(entry) === "both") {
      const isOn = !isLate && said === undefined && entry.kind !== "reopened";
      if (!isOn) plug = false;
      else if (connection === "battery") battery = true;
      else plug = true;
    }
  }
  return plug || battery;
}

/** The clip of a line was taken off again. */
export function isClipOff(lines: readonly Entry[], seq: number): boolean {
  return allOf(lines, "bench-state").some((one) => one.payload.event === "clips-off" && one.seq > seq);
}

/** A part said not to be there stays so after power; any reading of it says otherwise. */
function saidNone(about: readonly Of<"bench-state">[]): boolean {
  return about.at(-1)?.payload.event === "stored-none";
}

/** The evidence that SAFETY asks for before hands go in, looked for in the bare log. */
export function handsMayGoIn(entries: readonly Entry[], now: number, isTurning: boolean): string[] {
  const missing: string[] = keptBack(entries, "hands");
  const lines = standing(entries);
  const takenIn = machineOf(lines);
  const isBattery = takenIn.connection === "battery";
  const line = benchSince(entries, "line").map(({ payload }) => payload);
  const out = line.findLast(({ event }) => event === "unplugged" || event === "isolated");
  if (takenIn.hazards.includes("high-voltage")) missing.push("never opened here");
  if (!isBattery && !out) missing.push("plug");
  const needsReading = takenIn.connection === "fixed" || takenIn.hazards.includes("second-feed");
  if (needsReading && !isBattery && out?.event !== "isolated") missing.push("isolation");
  if (out?.event === "isolated" && Math.abs(out.volts) > SAFE_VOLTS) missing.push("proven dead");
  const hasBattery =
    isBattery ||
    takenIn.connection === "not-known" ||
    takenIn.protectionClass === "battery" ||
    takenIn.hazards.includes("battery");
  const battery = benchSince(entries, "battery")
    .map(({ payload }) => payload)
    .findLast(({ event }) => event === "battery");
  if (hasBattery && !(battery?.event === "battery" && battery.is === "out")) missing.push("battery");
  for (const id of storesOf(takenIn)) missing.push(...chargeMissing(entries, id, now));
  const held = benchSince(entries, "any").map(({ payload }) => payload);
  const everHeld = allOf(lines, "bench-state").map(({ payload }) => payload);
  for (const id of ["springs", "belt", ...(isTurning ? ["blades"] : [])]) {
    if (!takenIn.hazards.includes(id)) continue;
    const last = held.findLast((one) => one.event === "held" && one.id === id);
    const isNone = everHeld.findLast((one) => one.event === "held" && one.id === id);
    const isHeld = last?.event === "held" && last.is === "held";
    if (!isHeld && !(isNone?.event === "held" && isNone.is === "none")) missing.push(id);
  }
  if (mayStillTurn(entries, takenIn)) missing.push("coasting");
  return missing;
}

/** It runs on, power may have come, and nobody said since that it stands still. */
function mayStillTurn(entries: readonly Entry[], { hazards }: TakenIn): boolean {
  const last = allOf(standing(entries), "bench-state").findLast(
    ({ payload }) => payload.event === "held" && payload.id === "coasting",
  );
  const said = last?.payload.event === "held" ? last.payload.is : undefined;
  if (said === "free") return true;
  const runsOn = hazards.includes("blades") || hazards.includes("coasting");
  return runsOn && said !== "none" && powerSeq(entries, "any") > (last?.seq ?? 0);
}
