import type { Reading } from "../quantity/reading";
import { fail, type Issue, issue, ok, type Result } from "../result";
import type { Fields, TimedReading } from "./field.input";
import type { LeadPairs } from "./pairs.input";

/** The field that asks for the ohms of the test leads, where a tool's readings have them in. */
export const LEADS_FIELD = "leads";

const isObject = (value: unknown): value is object => typeof value === "object" && value !== null;
const isReading = (value: unknown): value is Reading => isObject(value) && "kind" in value;
const isTimed = (value: unknown): value is TimedReading =>
  isObject(value) && "at" in value && "reading" in value;

const isPairs = (value: unknown): value is LeadPairs =>
  isObject(value) && "pairs" in value && Array.isArray(value.pairs);

/** The reading less the leads; an issue, and the reading as it was, where it is less than the leads alone. */
function less(reading: Reading, leads: number, path: string, label: string, issues: Issue[]): Reading {
  if (reading.kind !== "value") return reading;
  if (reading.value >= leads) return { ...reading, value: reading.value - leads };
  // The last digit of either may waver: a joint that reads a count less than the leads is nothing.
  if (leads - reading.value <= 2 * (reading.resolution ?? 0) * (1 + 1e-9)) return { ...reading, value: 0 };
  issues.push(
    issue(
      path,
      "reading/below-leads",
      `${label} ${reading.entered} is less than the test leads alone: read both again.`,
      reading.entered,
    ),
  );
  return reading;
}

/**
 * Readings with the ohms of the test leads taken off, where they were said.
 * @returns an issue at each reading that is less than the leads alone
 */
export function withoutLeads<I extends object>(fields: Fields, input: I): Result<I> {
  const values = new Map<string, unknown>(Object.entries(input));
  const said = values.get(LEADS_FIELD);
  if (!isReading(said) || said.kind !== "value") return ok(input);
  const leads = said.value;
  const issues: Issue[] = [];
  for (const [id, field] of Object.entries(fields)) {
    const value = values.get(id);
    if (field.kind === "reading" && field.hasLeads && isReading(value))
      values.set(id, less(value, leads, id, field.label, issues));
    if (field.kind === "pairs" && field.hasLeads && isPairs(value))
      values.set(id, {
        ...value,
        pairs: value.pairs.map(({ reading, ...pair }, index) => ({
          ...pair,
          reading: less(reading, leads, `${id}.pairs.${index}.reading`, `${pair.a} to ${pair.b}`, issues),
        })),
      });
    if (field.kind === "series" && field.hasLeads && Array.isArray(value))
      values.set(
        id,
        value.filter(isTimed).map(({ at, reading }, index) => ({
          at,
          reading: less(reading, leads, `${id}.${index}.reading`, field.label, issues),
        })),
      );
  }
  return issues.length > 0 ? fail(...issues) : ok({ ...input, ...Object.fromEntries(values) });
}
