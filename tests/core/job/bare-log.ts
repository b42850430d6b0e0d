import type { Complaint, Entry, TakenIn } from "@/core/job/log/entry";
import { limitOf } from "@/core/knowledge/resolve-limits";
import { KNOWLEDGE, LIMITS } from "../shop-context";

/** Lines that stand, found here anew from the bare log. */
function standing(entries: readonly Entry[]): Entry[] {
  const gone = new Set<number>();
  for (const entry of entries) {
    if (entry.kind === "struck") gone.add(entry.payload.seq);
    if (entry.kind === "restored") gone.delete(entry.payload.seq);
  }
  return entries.filter(({ seq }) => !gone.has(seq));
}

type Bench = Extract<Entry, { kind: "bench-state" }>;

/**
 * Bench lines since power last came, may have come, or was doubted; none of it is taken from the reducer.
 * A battery put in brings power, and says nothing of where the plug is; a plug put in says nothing of the battery.
 */
function sincePower(entries: readonly Entry[], source: "any" | "line" | "battery"): Bench[] {
  const stands = new Set(standing(entries).map(({ seq }) => seq));
  const isBench = (seq: number): boolean => entries.find((one) => one.seq === seq)?.kind === "bench-state";
  const doubts = entries.filter((entry) => {
    if (entry.kind === "struck" || entry.kind === "restored") return isBench(entry.payload.seq);
    if (entry.kind !== "bench-state" || !stands.has(entry.seq)) return false;
    const { payload } = entry;
    return (
      payload.event === "not-known" ||
      (source !== "battery" && payload.event === "plugged-in") ||
      (source !== "line" && payload.event === "battery" && payload.is === "in")
    );
  });
  const from = doubts.at(-1)?.seq ?? 0;
  return entries.filter(
    (entry): entry is Bench => entry.kind === "bench-state" && stands.has(entry.seq) && entry.seq > from,
  );
}

/** The evidence that SAFETY asks for before hands go in, looked for in the bare log. */
export function handsMayGoIn(entries: readonly Entry[], now: number): string[] {
  const missing: string[] = [];
  const takenIn = standing(entries).find(({ kind }) => kind === "taken-in")?.payload as TakenIn;
  const bench = sincePower(entries, "any");
  const events = bench.map(({ payload }) => payload);
  const isFixed = takenIn.connection === "fixed";
  const isBattery = takenIn.connection === "battery";
  const line = sincePower(entries, "line").map(({ payload }) => payload);
  const out = line.filter(({ event }) => event === "unplugged" || event === "isolated").at(-1);
  if (!isBattery && !out) missing.push("plug");
  if (isFixed && out?.event !== "isolated") missing.push("isolation");
  if (out?.event === "isolated" && Math.abs(out.volts) > 5) missing.push("proven dead");
  const hasBattery =
    isBattery || takenIn.protectionClass === "battery" || takenIn.hazards.some((id) => id === "battery");
  const own = sincePower(entries, "battery").map(({ payload }) => payload);
  const battery = own.filter((one) => one.event === "battery").at(-1);
  if (hasBattery && !(battery?.event === "battery" && battery.is === "out")) missing.push("battery");
  const stores = KNOWLEDGE.families.find(({ id }) => id === takenIn.family)?.stores ?? [];
  for (const id of stores) {
    const last = bench.findLast(({ payload }) => "id" in payload && payload.id === id);
    const payload = last?.payload;
    if (payload?.event === "stored-clip") continue;
    if (payload?.event !== "stored-volts" || Math.abs(payload.volts) > 5) missing.push(`charge on ${id}`);
    else {
      const row = payload.dielectric === "electrolytic" ? "recheck-electrolytic" : "recheck-film";
      const age = (now - Date.parse(last?.at ?? "")) / 1000;
      if (age >= limitOf(LIMITS, row).value) missing.push(`charge on ${id} read too long ago`);
    }
  }
  for (const id of ["springs", "belt"] as const) {
    if (!takenIn.hazards.some((said) => said === id)) continue;
    const held = events.findLast((one) => one.event === "held" && one.id === id);
    const isNone = standing(entries).some(
      ({ kind, payload }) =>
        kind === "bench-state" &&
        "is" in payload &&
        "id" in payload &&
        payload.id === id &&
        payload.is === "none",
    );
    if (!(held?.event === "held" && held.is !== "free") && !isNone) missing.push(id);
  }
  return missing;
}

const CHANGES: readonly Entry["kind"][] = [
  "intervention",
  "opened",
  "closed",
  "removed",
  "refitted",
  "reopened",
];

/** Why SAFETY would not let "repaired" be printed, looked for in the bare log. */
export function againstRepaired(entries: readonly Entry[]): string[] {
  const lines = standing(entries);
  const takenIn = lines.find(({ kind }) => kind === "taken-in")?.payload as TakenIn;
  const since = lines.findLast(({ kind }) => CHANGES.includes(kind))?.seq ?? 0;
  const isFine = (id: string): boolean => {
    const last = lines.findLast(
      ({ kind, payload }) => kind === "reading" && "checkId" in payload && payload.checkId === id,
    );
    return (
      last !== undefined && last.seq > since && (last.payload as { verdict: string }).verdict === "passed"
    );
  };
  const against: string[] = [];
  if (!isFine("look-and-cord")) against.push("look");
  if (takenIn.protectionClass === "class-1" && !isFine("earth-continuity")) against.push("earth");
  const isMains = takenIn.protectionClass === "class-1" || takenIn.protectionClass === "class-2";
  if (isMains && !isFine("insulation") && !isFine("leakage")) against.push("insulation");
  if (takenIn.protectionClass === "not-known") against.push("class");
  const said = lines.findLast(({ kind }) => kind === "complaint")?.payload as Complaint | undefined;
  const runs = lines.flatMap((entry) =>
    entry.kind === "acceptance-run" && entry.seq > since ? [entry.payload] : [],
  );
  const clean = runs.filter(({ result }) => result === "gone");
  const when = said?.circumstance;
  const isTried = clean.some(
    (run) =>
      when === "always" ||
      (when === "after-minutes" && run.minutes >= (said?.afterMinutes ?? Number.POSITIVE_INFINITY)) ||
      run.circumstance === when,
  );
  if (runs.at(-1)?.result !== "gone" || !isTried) against.push("condition");
  if (!lines.some(({ kind }) => kind === "intervention")) against.push("nothing done");
  return against;
}
