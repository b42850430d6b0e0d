import type { Entry } from "@/core/job/log/entry";
import { struckSeqs } from "@/core/job/log/lines";
import type { Knowledge } from "@/core/knowledge/types";
import { type EnergyLine, tellsOfPower } from "@/core/safety/energy";
import type { LineEvent } from "@/core/safety/energy-event";
import { incidentsOf } from "@/core/safety/explains";
import { answerKey, type EnergyContext, type EnergyOf } from "./energy-of";
import { FOLDS } from "./folds";
import type { EntryKind } from "./schemas";

const DOUBT: readonly LineEvent[] = [{ event: "may-have-had-power" }];

function eventsOf(entry: Entry, context: EnergyContext, earlier: readonly Entry[]): readonly LineEvent[] {
  if (entry.kind === "unreadable")
    return [...DOUBT, { event: "worked", spoils: ["look", "earth", "insulation"], on: "machine" }];
  const energy = FOLDS[entry.kind].energy as EnergyOf<EntryKind> | "nothing";
  return energy === "nothing" ? [] : energy(entry.payload, context, earlier);
}

/**
 * The log as the energy fold sees it. A line of power that was struck out or restored proves nothing any more, and one that
 * cannot be read may have told of power: from there on the plug is not known and nothing read counts.
 */
export function energyLines(entries: readonly Entry[], context: EnergyContext): readonly EnergyLine[] {
  const struck = struckSeqs(entries);
  const standing: Entry[] = [];
  const ownEvents = new Map<number, readonly LineEvent[]>();
  return entries.map((entry): EnergyLine => {
    const own = eventsOf(entry, context, standing);
    ownEvents.set(entry.seq, own);
    if (!struck.has(entry.seq)) standing.push(entry);
    const { seq, at } = entry;
    if (entry.kind === "struck" || entry.kind === "restored") {
      const undone = ownEvents.get(entry.payload.seq) ?? [];
      return { seq, at, events: tellsOfPower(undone) ? DOUBT : [] };
    }
    // A line nobody can read leaves its doubt, struck or not.
    return { seq, at, events: struck.has(seq) && entry.kind !== "unreadable" ? [] : own };
  });
}

type Explained = Extract<LineEvent, { event: "explained" }>;

/** Every answer that proves a reason. One that proves several says each by itself: mending one of them closes only what that one can do. */
function proofsOf(faults: Knowledge["faults"]): ReadonlyMap<string, readonly Explained[]> {
  const proofs = new Map<string, Explained[]>();
  for (const fault of faults) {
    const can = incidentsOf(fault);
    if (can.length === 0) continue;
    for (const { moveId, outcomeId } of fault.provenBy) {
      const key = answerKey(moveId, outcomeId);
      proofs.set(key, [...(proofs.get(key) ?? []), { event: "explained", by: fault.id, can }]);
    }
  }
  return proofs;
}

type EnergyKnowledge = Pick<Knowledge, "moves" | "faults" | "deadChecks" | "signs" | "stations">;

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
}: EnergyKnowledge): EnergyContext {
  const known = kept.get(moves);
  if (known) return known;
  const made: EnergyContext = {
    moves: byId(moves),
    faults: byId(faults),
    deadChecks: byId(deadChecks),
    signs: byId(signs),
    stations: byId(stations),
    proofs: proofsOf(faults),
  };
  kept.set(moves, made);
  return made;
}
