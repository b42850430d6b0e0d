import type { InferType, Schema } from "yup";
import { fail, type Issue, issue, ok, type Result } from "../result";
import { parseWith } from "../validate";
import { crossReferences } from "./cross-references";
import { faultOf, faultPage } from "./fault-page.input";
import { moveOf, movePage } from "./move-page.input";
import { ROWS, type TableName, tableFile } from "./tables.input";
import type { Knowledge, Row } from "./types";

/** Raw contents of the files by name, as the caller read them. */
export interface RawKnowledge {
  /** knowledge/moves: pages by move id. */
  readonly moves: Readonly<Record<string, unknown>>;
  /** knowledge/faults: pages by fault id. */
  readonly faults: Readonly<Record<string, unknown>>;
  /** knowledge/tables: files by table name. */
  readonly tables: Readonly<Record<string, unknown>>;
}

const FNV_OFFSET = 0xcbf29ce484222325n;
const FNV_PRIME = 0x100000001b3n;
const MASK = 0xffffffffffffffffn;

/** FNV-1a, 64 bit: enough to tell two states of the knowledge apart, and pure. */
function contentHash(text: string): string {
  let hash = FNV_OFFSET;
  for (const byte of new TextEncoder().encode(text)) hash = ((hash ^ BigInt(byte)) * FNV_PRIME) & MASK;
  return hash.toString(16).padStart(16, "0");
}

interface Parsed<T> {
  readonly values: readonly T[];
  readonly issues: readonly Issue[];
}

function inFile(file: string, issues: readonly Issue[]): Issue[] {
  return issues.map(({ path, code, message, given }) =>
    issue(
      path === "" ? file : `${file}.${path}`,
      code,
      `${file}.yaml${path === "" ? "" : `, ${path}`}: ${message}`,
      given,
    ),
  );
}

/** Every page of a folder, in the order of their ids. */
function pages<S extends Schema, T>(
  folder: string,
  raw: Readonly<Record<string, unknown>>,
  schema: S,
  make: (id: string, page: InferType<S>) => T,
): Parsed<T> {
  const values: T[] = [];
  const issues: Issue[] = [];
  for (const id of Object.keys(raw).sort()) {
    const parsed = parseWith<InferType<S>>(schema, raw[id]);
    if (parsed.ok) values.push(make(id, parsed.value));
    else issues.push(...inFile(`${folder}/${id}`, parsed.issues));
  }
  return { values, issues };
}

/** A table's rows with their ids, and the provenance of the file where a row says nothing else. */
function rowsOf<T extends TableName>(name: T, raw: RawKnowledge): Parsed<Row<T>> {
  const parsed = parseWith(tableFile(ROWS[name]), raw.tables[name]);
  if (!parsed.ok) return { values: [], issues: inFile(`tables/${name}`, parsed.issues) };
  const { provenance, rows } = parsed.value;
  const values = Object.entries(rows).map(([id, row]) => ({
    ...row,
    id,
    provenance: row.provenance ?? provenance,
  }));
  return { values: values as Row<T>[], issues: [] };
}

/**
 * Raw pages and tables to checked knowledge.
 * @returns every problem, not the first, each with its file and place.
 */
export function loadKnowledge(raw: RawKnowledge): Result<Knowledge> {
  const issues: Issue[] = Object.keys(raw.tables)
    .filter((name) => !Object.hasOwn(ROWS, name))
    .map((name) =>
      issue(
        `tables/${name}`,
        "knowledge/no-such-table",
        `tables/${name}.yaml: there is no table "${name}".`,
        name,
      ),
    );
  const kept = <T>({ values, issues: found }: Parsed<T>): readonly T[] => {
    issues.push(...found);
    return values;
  };
  const table = <T extends TableName>(name: T): readonly Row<T>[] => kept(rowsOf(name, raw));
  const families = table("families");
  const covered = families.filter(({ stations }) => stations.length > 0).map(({ id }) => id);
  const tables: Omit<Knowledge, "version"> = {
    families,
    moves: kept(pages("moves", raw.moves, movePage, (id, page) => moveOf(id, page, covered))),
    faults: kept(pages("faults", raw.faults, faultPage, (id, page) => faultOf(id, page, covered))),
    sources: table("sources"),
    limits: table("limits"),
    parameters: table("parameters"),
    archetypes: table("archetypes"),
    stations: table("stations"),
    repairs: table("repairs"),
    access: table("access"),
    regions: table("regions"),
    signs: table("signs"),
    deadChecks: table("deadChecks"),
    hazards: table("hazards"),
    seen: table("seen"),
    recalls: table("recalls"),
    kit: table("kit"),
    inseparable: table("inseparable"),
    protections: table("protections"),
    touchWords: table("touchWords"),
    aliases: table("aliases"),
  };
  if (issues.length > 0) return fail(...issues);
  const wrong = crossReferences(tables);
  return wrong.length > 0 ? fail(...wrong) : ok({ ...tables, version: contentHash(JSON.stringify(raw)) });
}
