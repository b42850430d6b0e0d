import type { Fault, Knowledge, LimitRow, Move, ParameterRow, Source } from "./types";

/** The parts of the knowledge that can be read as pages, in the order they are listed. */
export const PAGE_TABLES = ["moves", "faults", "limits", "parameters", "sources"] as const;
export type PageTable = (typeof PAGE_TABLES)[number];

export function isPageTable(id: string | undefined): id is PageTable {
  return PAGE_TABLES.some((table) => table === id);
}

/** What a fault names, in words: labels by id. */
export interface Names {
  readonly faults: Readonly<Record<string, string>>;
  readonly moves: Readonly<Record<string, Pick<Move, "title" | "answers">>>;
  readonly repairs: Readonly<Record<string, string>>;
  readonly families: Readonly<Record<string, string>>;
  readonly stations: Readonly<Record<string, string>>;
}

/** One page of the knowledge, with what it needs of the others to be read. */
export type KnowledgePage =
  | { readonly table: "moves"; readonly row: Move; readonly families: readonly string[] }
  | {
      readonly table: "faults";
      readonly row: Fault;
      readonly names: Names;
      /** Moves with a case that asks for one of its signs. */
      readonly askedBy: readonly string[];
    }
  | { readonly table: "limits"; readonly row: LimitRow }
  | { readonly table: "parameters"; readonly row: ParameterRow }
  | { readonly table: "sources"; readonly row: Source };

const labels = (rows: readonly { readonly id: string; readonly label: string }[]): Record<string, string> =>
  Object.fromEntries(rows.map(({ id, label }) => [id, label]));

function namesOf(knowledge: Knowledge): Names {
  return {
    faults: labels(knowledge.faults),
    repairs: labels(knowledge.repairs),
    families: labels(knowledge.families),
    stations: labels(knowledge.stations),
    moves: Object.fromEntries(knowledge.moves.map(({ id, title, answers }) => [id, { title, answers }])),
  };
}

function askedBy({ does }: Fault, moves: readonly Move[]): string[] {
  const signs = new Set(does.flatMap((effect) => effect.signs));
  return moves
    .filter(({ cases }) => cases.some(({ when }) => "sign" in when && signs.has(when.sign)))
    .map(({ id }) => id);
}

/** A page of the knowledge by its table and id; undefined where there is none. */
export function pageOf(
  table: string | undefined,
  id: string | undefined,
  knowledge: Knowledge,
): KnowledgePage | undefined {
  if (!isPageTable(table)) return undefined;
  const by = <R extends { readonly id: string }>(rows: readonly R[]): R | undefined =>
    rows.find((row) => row.id === id);
  switch (table) {
    case "moves": {
      const row = by(knowledge.moves);
      const families = knowledge.families.filter((one) => row?.families.includes(one.id));
      return row && { table, row, families: families.map(({ label }) => label) };
    }
    case "faults": {
      const row = by(knowledge.faults);
      return row && { table, row, names: namesOf(knowledge), askedBy: askedBy(row, knowledge.moves) };
    }
    case "limits": {
      const row = by(knowledge.limits);
      return row && { table, row };
    }
    case "parameters": {
      const row = by(knowledge.parameters);
      return row && { table, row };
    }
    case "sources": {
      const row = by(knowledge.sources);
      return row && { table, row };
    }
  }
}
