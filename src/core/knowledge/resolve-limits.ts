import { fail, type Issue, issue, ok, type Result } from "../result";
import type { Knowledge, LimitRow, Limits, ResolvedLimit } from "./types";

function loosens(row: LimitRow, value: number): boolean {
  return row.relation === "at-least" ? value < row.value : value > row.value;
}

/**
 * The one place where limit rows meet a shop's (or a request's) overrides.
 * A row marked `safety` can only be tightened.
 */
export function resolveLimits(
  knowledge: Pick<Knowledge, "limits">,
  overrides: Readonly<Record<string, number>>,
): Result<Limits> {
  const rows = new Map(knowledge.limits.map((row) => [row.id, row]));
  const issues: Issue[] = [];
  for (const [id, value] of Object.entries(overrides)) {
    const row = rows.get(id);
    if (!row) issues.push(issue(id, "limit/unknown", `There is no limit "${id}".`, value));
    else if (!Number.isFinite(value))
      issues.push(issue(id, "limit/not-finite", `${row.label} ${value} is not a number.`, value));
    else if (row.safety && loosens(row, value)) {
      const side = row.relation === "at-least" ? "at least" : "at most";
      issues.push(
        issue(
          id,
          "limit/loosened",
          `${row.label} ${value} ${row.unit} would loosen a safety limit: it must be ${side} ${row.value} ${row.unit}.`,
          value,
        ),
      );
    }
  }
  if (issues.length > 0) return fail(...issues);
  const resolved = knowledge.limits.map((row): [string, ResolvedLimit] => {
    const own = overrides[row.id];
    return [
      row.id,
      {
        id: row.id,
        value: own ?? row.value,
        unit: row.unit,
        label: row.label,
        relation: row.relation,
        appliesWhen: row.appliesWhen,
        source: own === undefined ? row.provenance.source : "shop",
        reviewed: own !== undefined || row.provenance.reviewed !== null,
      },
    ];
  });
  return ok(Object.fromEntries(resolved));
}

/** A limit that the code names; a name that no row has is a bug. */
export function limitOf(limits: Limits, id: string): ResolvedLimit {
  const found = limits[id];
  if (!found) throw new Error(`no limit row "${id}"`);
  return found;
}
