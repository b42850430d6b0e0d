import { kindSign } from "../knowledge/kind-sign";
import { type MachineKind, NOT_KNOWN, stationsOf } from "../knowledge/machine-kind";
import type { Parameters } from "../knowledge/parameters";
import type { Knowledge, Move } from "../knowledge/types";
import { fail, issue, ok, type Result } from "../result";
import { buildHypotheses, buildKinds, faultsFor } from "./hypotheses";
import { type Model, modelFrom } from "./model";
import { buildOutcomeTable } from "./outcome-table";
import type { PathKnowledge } from "./power-path";
import { type ShopCounts, withCounts } from "./shop-counts";

/** The tables that isolation reads: what a worker is handed. */
export type IsolationKnowledge = Pick<
  Knowledge,
  | "families"
  | "archetypes"
  | "faults"
  | "moves"
  | "repairs"
  | "stations"
  | "access"
  | "inseparable"
  | "parameters"
  | "aliases"
  | "version"
>;

/** How much likelier its usual family is for a machine whose kind is known by name. */
const USUAL_FAMILY = 4;

/** Moves that can be made on a machine of this family with these stations. */
export function movesFor(moves: readonly Move[], family: string, stations: ReadonlySet<string>): Move[] {
  return moves.filter(
    (move) => move.families.includes(family) && move.stations.every((station) => stations.has(station)),
  );
}

/** Why a move does not apply to this machine, in words. */
export function whyNoMove(moveId: string, machine: MachineKind, knowledge: IsolationKnowledge): string {
  const move = knowledge.moves.find(({ id }) => id === moveId);
  if (!move) return `There is no move "${moveId}".`;
  const family = knowledge.families.find(({ id }) => id === machine.family)?.label ?? machine.family;
  if (!move.families.includes(machine.family))
    return `"${move.title}" is no move for this kind of motor (${family}): strike its line out, or change the kind.`;
  const present = stationsOf(machine, knowledge);
  const missing = knowledge.stations.filter(({ id }) => move.stations.includes(id) && !present.has(id));
  return `"${move.title}" needs what this machine does not have: ${missing.map(({ label }) => label.toLowerCase()).join(", ")}. Strike its line out, or add it to the machine.`;
}

/** The families a motor of unknown kind may be of, with their shares. */
export function kindsOf(
  machine: MachineKind,
  knowledge: Pick<Knowledge, "families" | "archetypes">,
): { readonly family: string; readonly share: number }[] {
  const usual = knowledge.archetypes.find(({ id }) => id === machine.archetype)?.family;
  return knowledge.families.flatMap(({ id, share }) =>
    share === undefined ? [] : [{ family: id, share: share * (id === usual ? USUAL_FAMILY : 1) }],
  );
}

function notCovered(family: string, knowledge: IsolationKnowledge): Result<Model> {
  const known = knowledge.families.find(({ id }) => id === family);
  if (known?.scope)
    return fail(
      issue(
        "machine.family",
        "isolation/out-of-scope",
        `${known.label}: isolation does not work this kind out. Within scope here: ${known.scope.within.join("; ")}. Not: ${known.scope.outside.join("; ")}.`,
        family,
      ),
    );
  const covered = knowledge.families.filter(({ stations }) => stations.length > 0).map(({ id }) => id);
  return fail(
    issue(
      "machine.family",
      "isolation/family-not-covered",
      `Isolation knows no family "${family}": it knows ${covered.join(", ")}, and ${NOT_KNOWN} while nobody has settled it.`,
      family,
    ),
  );
}

function baseOf(family: string, { families }: Pick<Knowledge, "families">): PathKnowledge["base"] {
  return families.find(({ id }) => id === family)?.sets;
}

/** What composes the faults of a motor of this family. */
export function pathOf(family: string, knowledge: Pick<Knowledge, "families" | "faults">): PathKnowledge {
  return { faults: knowledge.faults, base: baseOf(family, knowledge) };
}

/** Faults that the parts of this machine can have. */
function faultsWith({ without = [] }: MachineKind, { faults }: Pick<Knowledge, "faults">) {
  return without.length === 0 ? faults : faults.filter(({ id }) => !without.includes(id));
}

/** All kinds at once, one root each: no set of two is worth its number while not even the kind is settled. */
function unknownKind(machine: MachineKind, knowledge: IsolationKnowledge, parameters: Parameters): Model {
  const own = faultsWith(machine, knowledge);
  const kinds = kindsOf(machine, knowledge).map(({ family, share }) => ({
    family,
    share,
    faults: faultsFor(own, family, stationsOf({ ...machine, family }, knowledge)),
  }));
  const faults = [...new Map(kinds.flatMap((kind) => kind.faults.map((one) => [one.key, one]))).values()];
  const moves = movesFor(knowledge.moves, NOT_KNOWN, stationsOf(machine, knowledge));
  const signs = kinds.map(({ family }) => ({ key: kindSign(family), shows: 1 }));
  const asFaults = kinds.map(({ family }) => ({
    id: kindSign(family),
    modes: [],
    does: [
      { circumstance: "any" as const, sets: baseOf(family, knowledge) ?? {}, signs: [kindSign(family)] },
    ],
  }));
  const table = buildOutcomeTable(
    [...faults, ...signs],
    moves,
    { faults: [...knowledge.faults, ...asFaults] },
    parameters,
  );
  return modelFrom(buildKinds(faults, kinds, parameters), moves, table, parameters);
}

function modelOf(
  machine: MachineKind,
  maxRoots: 1 | 2,
  knowledge: IsolationKnowledge,
  parameters: Parameters,
  isWide: boolean,
): Result<Model> {
  const { family } = machine;
  if (family === NOT_KNOWN) return ok(unknownKind(machine, knowledge, parameters));
  const stations = stationsOf(machine, knowledge);
  const faults = faultsFor(faultsWith(machine, knowledge), family, stations);
  if (faults.length === 0) return notCovered(family, knowledge);
  const moves = movesFor(knowledge.moves, family, stations);
  const least = parameters[isWide ? "rarest-set-wide" : "rarest-set"];
  const hypotheses = buildHypotheses(faults, family, maxRoots, parameters, least);
  const table = buildOutcomeTable(faults, moves, pathOf(family, knowledge), parameters);
  return ok(modelFrom(hypotheses, moves, table, parameters));
}

/**
 * Builds the model of a machine, or finds the one that was built for the same before; `isWide` takes in the sets of
 * faults that are so rare that they are left out at first.
 */
export type Models = (
  machine: MachineKind,
  maxRoots: 1 | 2,
  counts: ShopCounts | undefined,
  isWide?: boolean,
) => Result<Model>;

const MOST_KEPT = 12;

export function keptModels(knowledge: IsolationKnowledge, parameters: Parameters): Models {
  const kept = new Map<string, Result<Model>>();
  return (machine, maxRoots, counts, isWide = false) => {
    const { family, archetype, stations, without } = machine;
    const key = JSON.stringify([family, archetype, stations, without, maxRoots, counts, isWide]);
    const known = kept.get(key);
    if (known) return known;
    const used = counts ? withCounts(knowledge, counts, parameters) : knowledge;
    const made = modelOf(machine, maxRoots, used, parameters, isWide);
    // Counts change with each closed job, and a model takes some ten megabytes: the oldest goes.
    const [oldest] = kept.keys();
    if (kept.size >= MOST_KEPT && oldest !== undefined) kept.delete(oldest);
    kept.set(key, made);
    return made;
  };
}
