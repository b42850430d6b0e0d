import type { Entry, Payloads, TakenIn } from "@/core/job/log/entry";
import { bareDangers } from "./bare-danger-reader";
import { againstPower } from "./bare-dangers";
import { allOf, isClipOff, leavesDoubt, machineOf, type Of, powerOf, standing, takingAway } from "./bare-log";

const LOOKS_INSIDE: readonly string[] = ["look-terminals", "look-damp", "look-capacitor"];

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
  ["will-not-stop", ["inside"]],
]);

const WORK: ReadonlyMap<string, readonly Proof[]> = new Map([
  ["start-capacitor-low", ["look", "insulation"]],
  ["belt-slips", ["look"]],
  ["fuse-open", ["look", "insulation"]],
  ["cord-broken", ALL],
  ["damp", ALL],
  ["contact-welded", ["look", "insulation"]],
  ["brake-drags", ["look"]],
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
      const { line, protects, how } = entry.payload;
      const off = entries.find(({ seq }) => seq === line);
      if (off?.kind === "removed" && protects === "earth" && how !== "left-out") return ALL;
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
  const lines = takingAway(entries);
  const isTold = lines.some(
    ({ kind, payload }) => kind === "complaint" && payload.signs.some((sign) => ASKS.has(sign)),
  );
  const why = lines.find(({ seq }) => seq === spoilt)?.kind;
  return (
    isTold ||
    bareDangers(entries).some(({ open, place }) => open && place === "here") ||
    why === "reopened" ||
    why === "answer" ||
    why === "bench-state"
  );
}

/** The last word of a check: a pass that was struck out says nothing, a failure that was struck out still does. */
export function lastCheck(entries: readonly Entry[], id: string) {
  const stands = new Set(standing(entries).map(({ seq }) => seq));
  return checksIn(takingAway(entries)).findLast(
    ({ seq, payload }) => payload.checkId === id && (stands.has(seq) || payload.verdict !== "passed"),
  );
}

/** Proofs of its class that the machine does not have as it stands. */
function unproved(entries: readonly Entry[], isLeakage: boolean): Proof[] {
  const lines = standing(entries);
  return owedOf(machineOf(lines)).filter((proof) => {
    const spoilt =
      takingAway(entries).findLast((entry) => spoiltBy(entry, entries).includes(proof))?.seq ?? 0;
    const last = lastCheck(entries, CHECK_OF[proof]);
    if (last && last.payload.verdict === "passed" && last.seq > spoilt) return false;
    if (proof !== "insulation" || asksForInsulation(entries, spoilt)) return true;
    const passed = (id: string): boolean => {
      const other = lastCheck(entries, id);
      const isLate = id === "leakage" && other?.payload.taken === "afterwards";
      return other !== undefined && !isLate && other.payload.verdict === "passed" && other.seq > spoilt;
    };
    return !passed("ohms-to-metal") || !(isLeakage || passed("leakage"));
  });
}

function owesInside(entries: readonly Entry[]): boolean {
  const lines = standing(entries);
  const told = takingAway(entries).findLast(
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

export function coversOpen(entries: readonly Entry[]): string[] {
  const open = new Set<string>();
  const stands = new Set(standing(entries).map(({ seq }) => seq));
  for (const { seq, kind, payload } of takingAway(entries)) {
    if (kind === "opened") open.add(payload.access);
    if (kind === "closed" && stands.has(seq)) open.delete(payload.access);
  }
  return [...open];
}

export function isOff(off: Of<"removed">, lines: readonly Entry[]): boolean {
  const refits = allOf(lines, "refitted").filter(({ payload }) => payload.line === off.seq);
  const back = refits.reduce((sum, { payload }) => sum + (payload.count ?? off.payload.count), 0);
  return back < off.payload.count;
}

/** Aired, and said so after the machine came back, or after anything more that can hurt was said of it. */
function isAired(entries: readonly Entry[]): boolean {
  const lines = standing(entries);
  const saysMore = (entry: Entry): boolean => {
    if (entry.kind !== "taken-in") return entry.kind === "reopened";
    const before = allOf(lines, "taken-in").findLast(({ seq }) => seq < entry.seq);
    return before !== undefined && entry.payload.hazards.some((id) => !before.payload.hazards.includes(id));
  };
  const anew = takingAway(entries).findLast(saysMore)?.seq ?? 0;
  return allOf(lines, "bench-state").some(
    ({ seq, payload }) => seq > anew && payload.event === "seen-to" && payload.id === "vapour",
  );
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
  if (takenIn.hazards.includes("vapour") && !isAired(entries)) against.push("vapour");
  if (use === "licensed") against.push("a cover off with power on");
  against.push(...againstPower(entries, use));
  if (owesInside(entries)) against.push("a look inside");
  if (unproved(entries, use === "leakage").length > 0) against.push("dead checks");
  if (use === "measured" && takenIn.family === "not-known") against.push("family");
  if (coversOpen(entries).length > 0) against.push("cover");
  if (allOf(lines, "removed").some((off) => isOff(off, lines))) against.push("something off");
  // A clip is on from its line until all are off; no statement about the plug forgets it.
  const isOn = allOf(lines, "bench-state").some(
    ({ seq, payload }) => payload.event === "stored-clip" && !isClipOff(lines, seq),
  );
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
