import { type Issue, issue } from "../result";
import { kindSign } from "./kind-sign";
import type { Knowledge, OutcomeRow } from "./types";

type Tables = Omit<Knowledge, "version">;

function duplicates(table: string, rows: readonly { readonly id: string }[]): Issue[] {
  const seen = new Set<string>();
  return rows.flatMap(({ id }, index) => {
    if (seen.has(id))
      return [
        issue(
          `${table}.${index}.id`,
          "knowledge/duplicate",
          `${table}.json row ${index + 1}: id "${id}" stands twice.`,
          id,
        ),
      ];
    seen.add(id);
    return [];
  });
}

function missing(table: string, index: number, what: string, id: string): Issue {
  return issue(
    `${table}.${index}`,
    "knowledge/dangling",
    `${table}.json row ${index + 1}: ${what} "${id}" is not in its table.`,
    id,
  );
}

function notIn(
  known: ReadonlySet<string>,
  table: string,
  index: number,
  what: string,
  wanted: readonly string[],
): Issue[] {
  return wanted.filter((id) => !known.has(id)).map((id) => missing(table, index, what, id));
}

/** Effects and outcome cases name conditions, values and signs that exist. */
function machineReferences(tables: Tables): Issue[] {
  const conditions = new Map(tables.conditions.map(({ id, values }) => [id, values]));
  const signs = new Set([
    ...tables.effects.flatMap((effect) => effect.signs),
    ...tables.families.map(({ id }) => kindSign(id)),
  ]);
  const moves = new Map(tables.moves.map((move) => [move.id, move]));
  const faults = new Set(tables.faults.map(({ id }) => id));
  const value = (table: string, index: number, condition: string, is: string): Issue[] =>
    conditions.get(condition)?.includes(is)
      ? []
      : [missing(table, index, "condition", `${condition}: ${is}`)];
  const cases = (table: string, rows: readonly { moveId: string; when: OutcomeRow["when"] }[]): Issue[] =>
    rows.flatMap(({ moveId, when }, index) => [
      ...(moves.has(moveId) ? [] : [missing(table, index, "move", moveId)]),
      ...(when.condition === undefined ? [] : value(table, index, when.condition, when.is ?? "")),
      ...(when.sign === undefined || signs.has(when.sign) ? [] : [missing(table, index, "sign", when.sign)]),
    ]);
  return [
    ...tables.effects.flatMap(({ fault, sets }, index) => [
      ...notIn(faults, "effects", index, "fault", [fault]),
      ...Object.entries(sets).flatMap(([condition, is]) => value("effects", index, condition, is)),
    ]),
    ...cases("outcomes", tables.outcomes),
    ...cases("numeric", tables.numeric),
    ...tables.outcomes.flatMap(({ moveId, outcomeId }, index) =>
      moves.get(moveId)?.outcomes.includes(outcomeId)
        ? []
        : [missing("outcomes", index, `outcome of ${moveId}`, outcomeId)],
    ),
  ];
}

/** Faults and moves name stations, families, access and each other. */
function catalogueReferences(tables: Tables): Issue[] {
  const set = (rows: readonly { readonly id: string }[]): ReadonlySet<string> =>
    new Set(rows.map(({ id }) => id));
  const [stations, families, access, faults, repairs, kit] = [
    set(tables.stations),
    set(tables.families),
    set(tables.access),
    set(tables.faults),
    set(tables.repairs),
    set(tables.kit),
  ];
  const moves = new Map(tables.moves.map((move) => [move.id, move]));
  return [
    ...tables.faults.flatMap((row, index) => [
      ...notIn(stations, "faults", index, "station", [row.station]),
      ...notIn(
        repairs,
        "faults",
        index,
        "repair",
        [row.fix, ...(row.ladder ?? [])].map(({ repair }) => repair),
      ),
      ...notIn(families, "faults", index, "family", [...row.families, ...Object.keys(row.odds)]),
      ...notIn(
        faults,
        "faults",
        index,
        "fault",
        row.leadsTo.map(({ fault }) => fault),
      ),
      ...row.provenBy
        .filter(({ moveId, outcomeId }) => !moves.get(moveId)?.outcomes.includes(outcomeId))
        .map(({ moveId, outcomeId }) => missing("faults", index, "proof", `${moveId}: ${outcomeId}`)),
    ]),
    ...tables.inseparable.flatMap((row, index) => [
      ...notIn(faults, "inseparable", index, "fault", row.faults),
      ...notIn(repairs, "inseparable", index, "repair", [row.repair]),
    ]),
    ...tables.families.flatMap((row, index) => notIn(stations, "families", index, "station", row.stations)),
    ...tables.archetypes.flatMap((row, index) => [
      ...notIn(families, "archetypes", index, "family", [row.family]),
      ...notIn(stations, "archetypes", index, "station", [...row.adds, ...row.lacks]),
    ]),
    ...tables.signs.flatMap(({ tells = [] }, index) =>
      tells
        .filter(({ moveId, outcomeId }) => !moves.get(moveId)?.outcomes.includes(outcomeId))
        .map(({ moveId, outcomeId }) => missing("signs", index, "answer", `${moveId}: ${outcomeId}`)),
    ),
    ...tables.moves.flatMap((row, index) => [
      ...notIn(families, "moves", index, "family", row.families),
      ...notIn(access, "moves", index, "access", row.access === undefined ? [] : [row.access]),
      ...notIn(stations, "moves", index, "station", row.stations),
      ...notIn(kit, "moves", index, "kit", row.kit === undefined ? [] : [row.kit]),
      ...notIn(new Set(moves.keys()), "moves", index, "move", row.instead === undefined ? [] : [row.instead]),
      ...notIn(new Set(row.outcomes), "moves", index, "outcome", Object.keys(row.words)),
      ...(row.settledBy ?? [])
        .filter(({ moveId, outcomeId }) => !moves.get(moveId)?.outcomes.includes(outcomeId))
        .map(({ moveId, outcomeId }) => missing("moves", index, "answer", `${moveId}: ${outcomeId}`)),
    ]),
  ];
}

/** Hazards and plainly seen faults name families, looks and repairs. */
function benchReferences(tables: Tables): Issue[] {
  const ids = (rows: readonly { readonly id: string }[]): ReadonlySet<string> =>
    new Set(rows.map(({ id }) => id));
  const [families, repairs, hazards] = [ids(tables.families), ids(tables.repairs), ids(tables.hazards)];
  const moves = new Map(tables.moves.map((move) => [move.id, move]));
  return [
    ...tables.hazards.flatMap((row, index) => notIn(families, "hazards", index, "family", row.families)),
    ...tables.seen.flatMap((row, index) => [
      ...notIn(repairs, "seen", index, "repair", [row.repair]),
      ...(moves.get(row.moveId)?.outcomes.includes(row.outcomeId)
        ? []
        : [missing("seen", index, "look", `${row.moveId}: ${row.outcomeId}`)]),
    ]),
    ...tables.archetypes.flatMap((row, index) => notIn(hazards, "archetypes", index, "hazard", row.hazards)),
  ];
}

/** Every reference from one table into another that leads nowhere, with file and row. */
export function crossReferences(tables: Tables): Issue[] {
  const sources = new Set(tables.sources.map(({ id }) => id));
  const limits = new Set(tables.limits.map(({ id }) => id));
  const all = Object.entries(tables) as [string, readonly { id: string; provenance: { source: string } }[]][];
  const ids = new Set(all.flatMap(([, rows]) => rows.map(({ id }) => id)));
  return [
    ...machineReferences(tables),
    ...catalogueReferences(tables),
    ...benchReferences(tables),
    ...all.flatMap(([table, rows]) => duplicates(table, rows)),
    ...all.flatMap(([table, rows]) =>
      rows.flatMap((row, index) =>
        sources.has(row.provenance.source) ? [] : [missing(table, index, "source", row.provenance.source)],
      ),
    ),
    ...tables.limits.flatMap((row, index) =>
      sources.has(row.source) ? [] : [missing("limits", index, "source", row.source)],
    ),
    ...tables.deadChecks.flatMap((row, index) =>
      row.limits.filter((id) => !limits.has(id)).map((id) => missing("deadChecks", index, "limit", id)),
    ),
    ...tables.aliases.flatMap((row, index) => [
      ...(ids.has(row.now) ? [] : [missing("aliases", index, "id", row.now)]),
    ]),
  ];
}
