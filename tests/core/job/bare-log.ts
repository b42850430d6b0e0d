import type { Entry, Payloads, TakenIn } from "@/core/job/log/entry";

/**
 * SAFETY's words read a second time, from the bare log: nothing here is taken from the program, its knowledge or its
 * limits. What the walk's actions can say is all that it has to understand.
 */
type Kind = Entry["kind"];
type Of<K extends Kind> = Extract<Entry, { kind: K }>;

const SAFE_VOLTS = 5;
const BETWEEN_READINGS_S = 60;
const FILM_HOLDS_S = 600;
const ELECTROLYTIC_HOLDS_S = 1800;

/** Moves that have power on, and how. */
const LIVE: ReadonlyMap<string, "guards-on" | "measured" | "licensed"> = new Map([
  ["switch-on", "guards-on"],
  ["clamp-current", "guards-on"],
  ["volts-at-motor", "measured"],
  ["relay-volts", "licensed"],
]);
const TRIPS: readonly string[] = ["trips-at-once", "trips-after", "trips-residual"];
/** Answers that prove a fault which can explain a trip. */
const PROOFS: readonly string[] = ["each-lead-insulation:winding-low", "each-lead-insulation:one-low"];
const LOOKS_INSIDE: readonly string[] = ["look-terminals"];

type Proof = "look" | "earth" | "insulation";
const ALL: readonly Proof[] = ["look", "earth", "insulation"];
const CHECK_OF: Readonly<Record<Proof, string>> = {
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
const CONSEQUENCES: readonly string[] = ["fuse-open"];

/** Lines that stand, found here anew. */
export function standing(entries: readonly Entry[]): Entry[] {
  const gone = new Set<number>();
  for (const entry of entries) {
    if (entry.kind === "struck") gone.add(entry.payload.seq);
    if (entry.kind === "restored") gone.delete(entry.payload.seq);
  }
  return entries.filter(({ seq }) => !gone.has(seq));
}

function lastOf<K extends Kind>(lines: readonly Entry[], kind: K): Of<K> | undefined {
  return lines.findLast((entry): entry is Of<K> => entry.kind === kind);
}

function allOf<K extends Kind>(lines: readonly Entry[], kind: K): Of<K>[] {
  return lines.filter((entry): entry is Of<K> => entry.kind === kind);
}

function machineOf(lines: readonly Entry[]): TakenIn {
  return lastOf(lines, "taken-in")?.payload as TakenIn;
}

type Power = "line" | "battery" | "both";

/** What a line by itself says of power coming: from the line, from the battery, or nobody knows. */
function powerOf(entry: Entry): Power | undefined {
  switch (entry.kind) {
    case "bench-state":
      if (entry.payload.event === "plugged-in") return "line";
      if (entry.payload.event === "battery" && entry.payload.is === "in") return "battery";
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
function leavesDoubt(entry: Entry | undefined): boolean {
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

function benchSince(entries: readonly Entry[], source: "any" | "line" | "battery"): Of<"bench-state">[] {
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
  const nothing = allOf(lines, "bench-state").some(({ payload }) => payload.event === "nothing-stores");
  if (nothing && id === "any") return [];
  if (last?.payload.event === "stored-clip") return [];
  if (last?.payload.event !== "stored-volts") return [`charge on ${id}`];
  const { volts, dielectric } = last.payload;
  if (Math.abs(volts) > SAFE_VOLTS) return [`charge on ${id}`];
  const holds = dielectric === "electrolytic" ? ELECTROLYTIC_HOLDS_S : FILM_HOLDS_S;
  if ((now - Date.parse(last.at)) / 1000 >= holds) return [`charge on ${id} read too long ago`];
  if (dielectric === "film") return [];
  const charged = about.findLastIndex(
    ({ payload }) => payload.event !== "stored-volts" || Math.abs((payload as Stored).volts) > SAFE_VOLTS,
  );
  const first = about[charged + 1];
  const apart = (Date.parse(last.at) - Date.parse(first?.at ?? last.at)) / 1000;
  return apart >= BETWEEN_READINGS_S ? [] : [`charge on ${id} read only once`];
}

/** A part said not to be there stays so after power; any reading of it says otherwise. */
function saidNone(about: readonly Of<"bench-state">[]): boolean {
  return about.at(-1)?.payload.event === "stored-none";
}

/** The evidence that SAFETY asks for before hands go in, looked for in the bare log. */
export function handsMayGoIn(entries: readonly Entry[], now: number, isTurning: boolean): string[] {
  const missing: string[] = [];
  const lines = standing(entries);
  const takenIn = machineOf(lines);
  const isBattery = takenIn.connection === "battery";
  const line = benchSince(entries, "line").map(({ payload }) => payload);
  const out = line.findLast(({ event }) => event === "unplugged" || event === "isolated");
  if (takenIn.hazards.includes("high-voltage")) missing.push("never opened here");
  if (!isBattery && !out) missing.push("plug");
  if (takenIn.connection === "fixed" && out?.event !== "isolated") missing.push("isolation");
  if (out?.event === "isolated" && Math.abs(out.volts) > SAFE_VOLTS) missing.push("proven dead");
  const hasBattery =
    isBattery || takenIn.protectionClass === "battery" || takenIn.hazards.includes("battery");
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
  return missing;
}

/** What a line took away of what was proved. */
function spoiltBy(entry: Entry, entries: readonly Entry[]): readonly Proof[] {
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

function checksIn(lines: readonly Entry[]): { readonly seq: number; readonly payload: Check }[] {
  return lines.flatMap(({ seq, kind, payload }) =>
    kind === "reading" && payload.of === "dead-check" ? [{ seq, payload }] : [],
  );
}

function owedOf({ protectionClass }: TakenIn): readonly Proof[] {
  if (protectionClass === "class-1" || protectionClass === "not-known") return ALL;
  return protectionClass === "class-2" ? ["look", "insulation"] : ["look"];
}

/** Proofs of its class that the machine does not have as it stands. */
function unproved(entries: readonly Entry[]): Proof[] {
  const lines = standing(entries);
  return owedOf(machineOf(lines)).filter((proof) => {
    const spoilt = lines.findLast((entry) => spoiltBy(entry, entries).includes(proof))?.seq ?? 0;
    const last = checksIn(lines).findLast(({ payload }) => payload.checkId === CHECK_OF[proof]);
    return !(last && last.payload.verdict === "passed" && last.seq > spoilt);
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
function failing(entries: readonly Entry[]): string[] {
  const lines = standing(entries);
  const found: string[] = [];
  for (const id of [...Object.values(CHECK_OF), "leakage"]) {
    const last = checksIn(lines).findLast(
      ({ payload }) => payload.checkId === id && payload.verdict !== "undecided",
    );
    if (last?.payload.verdict !== "failed") continue;
    if (id !== "leakage" || !isInsulatedSince(last.seq, lines, entries)) found.push(id);
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

/** Trips that nothing explains; smoke, a smell or a tingle counts as two: there is no second try. */
function openTrips(lines: readonly Entry[]): number {
  let count = 0;
  for (const { kind, payload } of lines) {
    if (kind === "answer" && LIVE.has(payload.moveId) && TRIPS.includes(payload.outcomeId)) count += 1;
    if (kind === "bench-state" && payload.event === "incident")
      count += payload.what === "trip" || payload.what === "residual-trip" ? 1 : 2;
    if (kind === "answer" && PROOFS.includes(`${payload.moveId}:${payload.outcomeId}`)) count = 0;
    if (kind === "reading" && payload.of === "dead-check" && payload.verdict === "failed") count = 0;
  }
  return count;
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

function coversOpen(lines: readonly Entry[]): string[] {
  const open = new Set<string>();
  for (const { kind, payload } of lines) {
    if (kind === "opened") open.add(payload.access);
    if (kind === "closed") open.delete(payload.access);
  }
  return [...open];
}

function isOff(off: Of<"removed">, lines: readonly Entry[]): boolean {
  const refits = allOf(lines, "refitted").filter(({ payload }) => payload.line === off.seq);
  const back = refits.reduce((sum, { payload }) => sum + (payload.count ?? off.payload.count), 0);
  const isLeftOut = refits.some(({ payload }) => payload.how === "left-out");
  return back < off.payload.count || (isLeftOut && /guard|cover/.test(off.payload.what));
}

/** Why SAFETY would not let power come on now, used so; looked for in the bare log. */
export function powerMayComeOn(
  entries: readonly Entry[],
  use: "guards-on" | "measured" | "licensed",
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
  if (unproved(entries).length > 0) against.push("dead checks");
  if (use === "measured" && takenIn.family === "not-known") against.push("family");
  if (coversOpen(lines).length > 0) against.push("cover");
  if (allOf(lines, "removed").some((off) => isOff(off, lines))) against.push("something off");
  const stored = benchSince(entries, "any").filter(({ payload }) => payload.event.startsWith("stored"));
  const clips = stored.filter(({ payload }) => payload.event === "stored-clip");
  const isOn = clips.some(({ seq, payload }) => {
    const id = "id" in payload ? payload.id : "";
    return !stored.some((one) => one.seq > seq && "id" in one.payload && one.payload.id === id);
  });
  if (isOn) against.push("clip");
  if (takenIn.connection !== "battery" && !isBehindResidual(entries)) against.push("outlet");
  if (
    takenIn.connection !== "battery" &&
    takenIn.connection !== "fixed" &&
    !isOutletNamed &&
    !isBehindResidual(entries)
  )
    against.push("outlet not named");
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

const CHANGES: readonly Kind[] = ["intervention", "opened", "closed", "removed", "refitted", "reopened"];

/** Whether runs satisfy one condition of the complaint, with its minutes. */
function isTried(
  condition: Payloads["complaint"],
  runs: readonly Payloads["acceptance-run"][],
  minutes: number,
): boolean {
  const least = { cold: 0.5, idle: 0.5, loaded: 2, hot: 15 } as const;
  const long = runs.filter((run) => run.minutes >= least[run.circumstance]);
  switch (condition.circumstance) {
    case "always":
      return long.length > 0;
    case "after-minutes":
      return condition.afterMinutes !== null && runs.some((run) => run.minutes >= minutes);
    case "cold":
      return long.some(({ circumstance }) => circumstance === "cold");
    case "hot":
    case "loaded":
      return long.some((run) => run.circumstance === condition.circumstance && run.minutes >= minutes);
    default:
      return false;
  }
}

/** Why SAFETY would not let "repaired" be printed, looked for in the bare log. */
export function againstRepaired(entries: readonly Entry[]): string[] {
  const lines = standing(entries);
  const takenIn = machineOf(lines);
  const since = lines.findLast(({ kind }) => CHANGES.includes(kind))?.seq ?? 0;
  const isFine = (proof: Proof, id: string): boolean => {
    const spoilt = lines.findLast((entry) => spoiltBy(entry, entries).includes(proof))?.seq ?? 0;
    const last = checksIn(lines).findLast(({ payload }) => payload.checkId === id);
    const isLate = id === "leakage" && last?.payload.taken === "afterwards";
    return (
      last !== undefined && !isLate && last.seq > Math.max(since, spoilt) && last.payload.verdict === "passed"
    );
  };
  const against: string[] = [];
  for (const proof of owedOf(takenIn))
    if (!isFine(proof, CHECK_OF[proof]) && !(proof === "insulation" && isFine(proof, "leakage")))
      against.push(proof);
  if (takenIn.protectionClass === "not-known") against.push("class");
  if (failing(entries).length > 0) against.push("a failed protection");
  if (coversOpen(lines).length > 0) against.push("cover");
  if (allOf(lines, "removed").some((off) => isOff(off, lines))) against.push("something off");
  if (openTrips(lines) > 0) against.push("not explained");
  const told = allOf(lines, "complaint").map(({ payload }) => payload);
  const minutes = Math.max(0, ...told.map(({ afterMinutes }) => afterMinutes ?? 0));
  const runs = allOf(lines, "acceptance-run").filter(({ seq }) => seq > since);
  if (runs.length === 0 || runs.some(({ payload }) => payload.result !== "gone"))
    against.push("a failed run");
  const granted = runs.map(({ payload }) => payload).filter(({ taken }) => taken === "now");
  if (told.length === 0 || !told.every((one) => isTried(one, granted, minutes))) against.push("condition");
  const done = allOf(lines, "intervention");
  const isConsequence = done.every(
    ({ payload: { faultIds } }) => faultIds.length > 0 && faultIds.every((id) => CONSEQUENCES.includes(id)),
  );
  if (done.length === 0 || isConsequence) against.push("nothing done");
  return against;
}
