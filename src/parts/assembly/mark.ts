import { parseNumber } from "@/core/matching/makers-number";
import type { Attributes } from "@/core/matching/part";
import { assemblies } from "./series";

let known: ReadonlySet<string> | undefined;

/** Every number of the list, those that were replaced too. */
function numbers(): ReadonlySet<string> {
  known ??= new Set(
    [...assemblies()].flatMap(({ attributes }) => String(attributes["number"] ?? "").split("<")),
  );
  return known;
}

/** A number that the list has; any other says nothing, since every word with a figure may be one. */
export function readNumber(text: string): Attributes | undefined {
  const parsed = parseNumber(text, "Number");
  return parsed.ok && numbers().has(parsed.value) ? { number: parsed.value } : undefined;
}
