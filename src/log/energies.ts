import type { Entry } from "@/core/job/log/entry";
import { strikesOf } from "@/core/job/log/lines";
import { isWithinSlip } from "@/core/job/log/strike-reasons";
import type { Fault, Knowledge } from "@/core/knowledge/types";
import { isNeverMistaken } from "@/core/safety/dangers/danger";
import { type EnergyLine, tellsOfPower } from "@/core/safety/energy";
import type { LineEvent } from "@/core/safety/energy-event";
import { PROOFS } from "@/core/safety/proof";
import { answerKey, type EnergyContext, type EnergyOf } from "./energy-of";
import { FOLDS } from "./folds";
import type { EntryKind } from "./schemas";

const DOUBT: readonly LineEvent[] = [{ event: "may-have-had-power" }];

function eventsOf(entry: Entry, context: EnergyContext, earlier: readonly Entry[]): readonly LineEvent[] {
  if (entry.kind === "unreadable")
    return [...DOUBT, { event: "worked", spoils: PROOFS, on: "machine", mends: [], stations: [] }];
  const energy = FOLDS[entry.kind].energy as EnergyOf<EntryKind> | "nothing";
  return energy === "nothing" ? [] : energy(entry.payload, context, earlier);
}

/** What stays of a line once it is struck out: all that it took away, nothing of what it gave. */
function leftOf(event: LineEvent): readonly LineEvent[] {
  switch (event.event) {
    case "checked":
      return event.verdict === "passed" ? [] : [event];
    case "ran":
      return event.isClean ? [] : [event];
    case "danger":
    case "worked":
    case "told":
    case "incident":
    case "stalled":
    case "opened":
    case "stopped-in":
    case "stored-volts":
    case "isolated":
    case "without-grant":
    case "seen-to-anew":
      return [event];
    case "stored-clip":
      return [{ event: "clip-struck", id: event.id }];
    default:
      return [];
  }
}

/** Struck out at once, as slips are: as if it had never been, but for what cannot have been a slip. */
function isSlip(entry: Entry, strike: Entry, own: readonly LineEvent[]): boolean {
  if (!isWithinSlip(entry.at, strike.at)) return false;
  return !own.some(
    (event) =>
      event.event === "stored-volts" ||
      event.event === "isolated" ||
      (event.event === "danger" && isNeverMistaken(event.kind)),
  );
}

/**
 * The log as the energy fold sees it. A line that was struck out keeps what it took away. One of power that was struck out
 * or restored proves nothing any more, and one that cannot be read may have told of power: from there on the plug is not
 * known and nothing read counts.
 */
export function energyLines(entries: readonly Entry[], context: EnergyContext): readonly EnergyLine[] {
  const strikes = strikesOf(entries);
  const standing: Entry[] = [];
  const ownEvents = new Map<number, readonly LineEvent[]>();
  return entries.map((entry): EnergyLine => {
    const own = eventsOf(entry, context, standing);
    ownEvents.set(entry.seq, own);
    if (!strikes.has(entry.seq)) standing.push(entry);
    const { seq, at } = entry;
    if (entry.kind === "struck" || entry.kind === "restored") {
      const undone = ownEvents.get(entry.payload.seq) ?? [];
      return { seq, at, struckBy: 0, events: tellsOfPower(undone) ? DOUBT : [] };
    }
    const strike = strikes.get(seq);
    // A line nobody can read leaves its doubt, struck or not.
    if (!strike || entry.kind === "unreadable") return { seq, at, struckBy: 0, events: own };
    const events = isSlip(entry, strike, own) ? [] : own.flatMap(leftOf);
    return { seq, at, struckBy: strike.seq, events };
  });
}

/** Every answer with the faults it proves. */
function proofsOf(faults: Knowledge["faults"]): EnergyContext["proofs"] {
  const proofs = new Map<string, Fault[]>();
  for (const fault of faults)
    for (const { moveId, outcomeId } of fault.provenBy) {
      const key = answerKey(moveId, outcomeId);
      proofs.set(key, [...(proofs.get(key) ?? []), fault]);
    }
  return proofs;
}

type EnergyKnowledge = Pick<
  Knowledge,
  "moves" | "faults" | "deadChecks" | "signs" | "stations" | "protections" | "repairs"
>;

const byId = <T extends { readonly id: string }>(rows: readonly T[]): ReadonlyMap<string, T> =>
  new Map(rows.map((row) => [row.id, row]));

const kept = new WeakMap<Knowledge["moves"], EnergyContext>();

/** The knowledge as the energy of entries needs it; made once for each state of it. */
export function energyContext({
  moves,
  faults,
  deadChecks,
  signs,
  stations,
  protections,
  repairs,
}: EnergyKnowledge): EnergyContext {
  const known = kept.get(moves);
  if (known) return known;
  const made: EnergyContext = {
    moves: byId(moves),
    faults: byId(faults),
    deadChecks: byId(deadChecks),
    signs: byId(signs),
    stations: byId(stations),
    protections: byId(protections),
    repairs: byId(repairs),
    proofs: proofsOf(faults),
  };
  kept.set(moves, made);
  return made;
}
