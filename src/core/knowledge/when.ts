import { type ConditionId, isCondition } from "./conditions";

/** What a case of a move asks of the machine. */
export type When =
  | { readonly condition: ConditionId; readonly is: string }
  | { readonly sign: string }
  | { readonly otherwise: true };

/**
 * A case as its page writes it: `trips is residual`, the name of a sign, or `otherwise`.
 * A condition that does not exist is taken for a sign with a space in it, which no fault sets: cross-references.ts says so.
 */
export function whenOf(key: string): When {
  if (key === "otherwise") return { otherwise: true };
  const [condition = "", is] = key.split(" is ");
  return is !== undefined && isCondition(condition) ? { condition, is } : { sign: key };
}

/** The same as text: what the page writes. */
export function whenText(when: When): string {
  if ("otherwise" in when) return "otherwise";
  return "sign" in when ? when.sign : `${when.condition} is ${when.is}`;
}
