import { fail, type Issue, issue, ok, type Result } from "../result";
import { parseWith } from "../validate";
import { crossReferences } from "./cross-references";
import { TABLES, type TableName } from "./tables.input";
import type { Knowledge } from "./types";

/** Raw file contents by table name, as the caller read them. */
export type RawKnowledge = Readonly<Record<TableName, unknown>>;

const FNV_OFFSET = 0xcbf29ce484222325n;
const FNV_PRIME = 0x100000001b3n;
const MASK = 0xffffffffffffffffn;

/** FNV-1a, 64 bit: enough to tell two states of the knowledge apart, and pure. */
function contentHash(text: string): string {
  let hash = FNV_OFFSET;
  for (const byte of new TextEncoder().encode(text)) hash = ((hash ^ BigInt(byte)) * FNV_PRIME) & MASK;
  return hash.toString(16).padStart(16, "0");
}

function withFileAndRow(table: string, { path, message, code, given }: Issue): Issue {
  const row = /^(\d+)/.exec(path)?.[1];
  const where = row === undefined ? `${table}.json` : `${table}.json row ${Number(row) + 1}`;
  return issue(path === "" ? table : `${table}.${path}`, code, `${where}: ${message}`, given);
}

/**
 * Raw tables to checked knowledge.
 * @returns every problem, not the first, each with its file and row.
 */
export function loadKnowledge(raw: RawKnowledge): Result<Knowledge> {
  const issues: Issue[] = [];
  const tables: Record<string, unknown> = {};
  for (const name of Object.keys(TABLES) as TableName[]) {
    const parsed = parseWith<unknown>(TABLES[name], raw[name]);
    if (parsed.ok) tables[name] = parsed.value;
    else issues.push(...parsed.issues.map((one) => withFileAndRow(name, one)));
  }
  if (issues.length > 0) return fail(...issues);
  const checked = tables as unknown as Omit<Knowledge, "version">;
  const dangling = crossReferences(checked);
  if (dangling.length > 0) return fail(...dangling);
  return ok({ ...checked, version: contentHash(JSON.stringify(tables)) });
}
