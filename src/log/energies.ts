import type { Entry } from "@/core/job/log/entry";
import { struckSeqs } from "@/core/job/log/lines";
import type { Knowledge } from "@/core/knowledge/types";
import { type EnergyLine, tellsOfPower } from "@/core/safety/energy";
import type { LineEvent } from "@/core/safety/energy-event";
import { explainsIncident } from "@/core/safety/explains";
import { answerKey, type EnergyContext, type EnergyOf } from "./energy-of";
import { energy as acceptanceRun } from "./kinds/acceptance-run/energy";
import { energy as answer } from "./kinds/answer/energy";
import { energy as benchState } from "./kinds/bench-state/energy";
import { energy as closed } from "./kinds/closed/energy";
import { energy as complaint } from "./kinds/complaint/energy";
import { energy as intervention } from "./kinds/intervention/energy";
import { energy as opened } from "./kinds/opened/energy";
import { energy as reading } from "./kinds/reading/energy";
import { energy as refitted } from "./kinds/refitted/energy";
import { energy as removed } from "./kinds/removed/energy";
import { energy as reopened } from "./kinds/reopened/energy";
import { energy as takenIn } from "./kinds/taken-in/energy";
import type { EntryKind } from "./schemas";

/** Every kind says what it does to the energy in the machine, or that it does nothing. */
const ENERGIES: { readonly [K in EntryKind]: EnergyOf<K> | "nothing" } = {
  "taken-in": takenIn,
  complaint: complaint,
  "bench-state": benchState,
  opened: opened,
  closed: closed,
  answer: answer,
  reading: reading,
  intervention: intervention,
  removed: removed,
  refitted: refitted,
  "acceptance-run": acceptanceRun,
  reopened: reopened,
  nameplate: "nothing",
  "part-chosen": "nothing",
  built: "nothing",
  priced: "nothing",
  decision: "nothing",
  picture: "nothing",
  pinned: "nothing",
  reordered: "nothing",
  "signed-off": "nothing",
  "not-done": "nothing",
  "owner-answer": "nothing",
  "order-linked": "nothing",
  "time-spent": "nothing",
  "timer-started": "nothing",
  "follow-up": "nothing",
  "followed-up": "nothing",
  note: "nothing",
  // What a strike takes away is said by the line it strikes.
  struck: "nothing",
  restored: "nothing",
};

const DOUBT: readonly LineEvent[] = [{ event: "may-have-had-power" }];

function eventsOf(entry: Entry, context: EnergyContext, earlier: readonly Entry[]): readonly LineEvent[] {
  if (entry.kind === "unreadable")
    return [...DOUBT, { event: "worked", spoils: ["look", "earth", "insulation"], on: "machine" }];
  const energy = ENERGIES[entry.kind] as EnergyOf<EntryKind> | "nothing";
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
  const reasons = faults.filter(explainsIncident);
  const made: EnergyContext = {
    moves: byId(moves),
    faults: byId(faults),
    deadChecks: byId(deadChecks),
    signs: byId(signs),
    stations: byId(stations),
    proofs: new Set(
      reasons.flatMap(({ provenBy }) =>
        provenBy.map(({ moveId, outcomeId }) => answerKey(moveId, outcomeId)),
      ),
    ),
  };
  kept.set(moves, made);
  return made;
}
