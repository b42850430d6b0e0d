import type { PageTable } from "@/core/knowledge/page-of";
import type { Knowledge, Provenance } from "@/core/knowledge/types";

export const TABLE_WORDS: Readonly<Record<PageTable, string>> = {
  moves: "Moves",
  faults: "Faults",
  limits: "Limits",
  parameters: "Tuning of the engine",
  sources: "Sources",
};

/** A page of the knowledge as the list shows it. */
export interface KnowledgeEntry {
  readonly table: PageTable;
  readonly id: string;
  readonly title: string;
  readonly about: string;
  readonly isReviewed: boolean;
}

type Row = { readonly id: string; readonly provenance: Provenance };

/** Every page that can be read. */
export function entriesOf(knowledge: Knowledge): readonly KnowledgeEntry[] {
  const stations = new Map(knowledge.stations.map(({ id, label }) => [id, label]));
  const listed = <R extends Row>(
    table: PageTable,
    rows: readonly R[],
    words: (row: R) => readonly [title: string, about: string],
  ): KnowledgeEntry[] =>
    rows.map((row) => {
      const [title, about] = words(row);
      return { table, id: row.id, title, about, isReviewed: row.provenance.reviewed !== null };
    });
  return [
    ...listed("moves", knowledge.moves, ({ title, how }) => [title, how]),
    ...listed("faults", knowledge.faults, ({ label, station }) => [label, stations.get(station) ?? station]),
    ...listed("limits", knowledge.limits, ({ label, value, unit, relation }) => [
      label,
      `${relation === "at-least" ? "at least" : "at most"} ${value} ${unit}`,
    ]),
    ...listed("parameters", knowledge.parameters, ({ label, value, unit }) => [label, `${value} ${unit}`]),
    ...listed("sources", knowledge.sources, ({ title, id }) => [title, id]),
  ];
}

/** A case as it is read aloud. */
export function caseWords(text: string): string {
  if (text === "otherwise") return "In every other case";
  const [condition = "", is] = text.split(" is ");
  const plain = (one: string): string => one.replaceAll("-", " ");
  return is === undefined ? `Where there is: ${plain(text)}` : `Where ${plain(condition)} is ${plain(is)}`;
}

export const addressOf = (table: PageTable, id: string): string => `/knowledge/${table}/${id}`;
