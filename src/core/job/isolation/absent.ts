import { SILENT_ANSWERS } from "../../knowledge/silent-answers";
import type { Knowledge, Move } from "../../knowledge/types";
import type { JobView } from "../log/view";

/** What was said and found of a machine, and when it was last put together from its stations. */
export type Spoken = Pick<JobView, "answers" | "ledger">;

/** Every motor has these, or they say what kind it is: "it has none" speaks of the part, never of the station. */
const KEPT: ReadonlySet<string> = new Set([
  "supply",
  "connections",
  "start-circuit",
  "windings",
  "brushes",
  "rotor",
  "bearings",
]);

/** The station that goes when a machine has nothing for this move; undefined where only a part of one does. */
function stationOf({ stations, mayLack }: Pick<Move, "stations" | "mayLack">): string | undefined {
  return mayLack === undefined ? stations.find((id) => !KEPT.has(id)) : undefined;
}

/** Moves that there was nothing to make on, said since the stations were last set by hand. */
function withoutPart({ answers, ledger }: Spoken, moves: Knowledge["moves"]): Move[] {
  const built = ledger.findLast(({ kind, isStruck }) => kind === "built" && !isStruck)?.seq ?? 0;
  const said = answers.filter(({ why, seq }) => why === "none-here" && seq > built);
  return moves.filter(({ id }) => said.some(({ moveId }) => moveId === id));
}

/** Stations at which something was found: they are there, whatever else was said. */
export function foundStations(
  { answers }: Pick<Spoken, "answers">,
  moves: Knowledge["moves"],
): ReadonlySet<string> {
  const found = new Set(
    answers.filter(({ outcomeId }) => !SILENT_ANSWERS.has(outcomeId)).map(({ moveId }) => moveId),
  );
  return new Set(moves.flatMap(({ id, stations }) => (found.has(id) ? stations : [])));
}

/**
 * Stations that the machine was said not to have: "it has no belt" takes them out of everything at once. Where something
 * was found at one it stays.
 */
export function absentStations(spoken: Spoken, moves: Knowledge["moves"]): readonly string[] {
  const found = foundStations(spoken, moves);
  const said = withoutPart(spoken, moves).flatMap((move) => stationOf(move) ?? []);
  return [...new Set(said)].filter((id) => !found.has(id));
}

/** Faults of what is only a part of a station, and was said not to be there: its fuse, its suppressor. */
export function absentFaults(
  spoken: Spoken,
  { moves, faults }: Pick<Knowledge, "moves" | "faults">,
): readonly string[] {
  const parts = withoutPart(spoken, moves).filter(({ mayLack }) => mayLack !== undefined);
  return faults
    .filter(({ provenBy }) => provenBy.some(({ moveId }) => parts.some(({ id }) => id === moveId)))
    .map(({ id }) => id);
}

/** What this machine may not have of what a move is made on, in words: a part of it, or a whole station. */
export function lackable(
  move: Pick<Move, "stations" | "mayLack">,
  spoken: Spoken,
  { moves, stations }: Pick<Knowledge, "moves" | "stations">,
): string | undefined {
  const station = stationOf(move);
  if (station !== undefined && foundStations(spoken, moves).has(station)) return undefined;
  return move.mayLack ?? stations.find(({ id }) => id === station)?.label;
}

/** What "it has none" says of the kind of motor, where it says anything: then the kind is open again. */
const KIND_CLUES = {
  brushes: { moveId: "clue-brush-caps", outcomeId: "none", words: "no brushes" },
  capacitor: { moveId: "clue-hump", outcomeId: "none", words: "no capacitor" },
} as const;

export function kindClue(
  move: Pick<Move, "stations" | "part">,
): (typeof KIND_CLUES)["brushes" | "capacitor"] | undefined {
  if (move.stations.includes("brushes")) return KIND_CLUES.brushes;
  return move.stations.includes("start-circuit") && move.part?.family === "capacitor"
    ? KIND_CLUES.capacitor
    : undefined;
}
