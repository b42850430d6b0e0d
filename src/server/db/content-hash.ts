import { createHash } from "node:crypto";

/** The same value with the keys of every object in order, so that one content has one text. */
function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([one], [other]) => (one < other ? -1 : 1))
      .map(([key, inner]) => [key, inOrder(inner)]),
  );
}

/** One text for one content, whatever the order of its keys. */
export function canonicalJson(value: unknown): string {
  return JSON.stringify(inOrder(value));
}

/** SHA-256 of a value's content, hex. */
export function contentHash(value: unknown): string {
  return createHash("sha256").update(canonicalJson(value)).digest("hex");
}
