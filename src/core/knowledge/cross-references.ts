import { type Issue, issue } from "../result";
import type { Knowledge } from "./types";

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

/** Every reference from one table into another that leads nowhere, with file and row. */
export function crossReferences(tables: Tables): Issue[] {
  const sources = new Set(tables.sources.map(({ id }) => id));
  const limits = new Set(tables.limits.map(({ id }) => id));
  const all = Object.entries(tables) as [string, readonly { id: string; provenance: { source: string } }[]][];
  const ids = new Set(all.flatMap(([, rows]) => rows.map(({ id }) => id)));
  return [
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
