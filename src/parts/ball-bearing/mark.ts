import type { Attributes } from "@/core/matching/part";
import { mm } from "@/core/matching/specs";
import { INCH, METRIC } from "./table";

const SEALS: readonly (readonly [RegExp, string])[] = [
  [/(2RS|2RSH?|RSR|LLU|DDU|EE)/i, "sealed"],
  [/(2Z|ZZ)/i, "shielded"],
];

/**
 * What is stamped on a bearing: its number and what follows it, as 6202-2RS C3 or 608 ZZ. Sizes in metres.
 * @example readBearing("6202-2RS C3") // 15 × 35 × 11 mm, sealed, clearance C3
 */
export function readBearing(text: string): Attributes | undefined {
  const found = /^\s*(R\d{1,2}|6\d{2,3})(?!\d)[\s-]*(.*)$/i.exec(text);
  if (!found) return undefined;
  const [, number = "", rest = ""] = found;
  const name = number.toUpperCase();
  const sizes = METRIC.get(name) ?? INCH.get(name);
  if (!sizes) return undefined;
  const [bore, outside, width] = sizes;
  const clearance = /\bC([2-5])\b/i.exec(rest)?.[1];
  return {
    bore: mm(bore),
    outside: mm(outside),
    width: mm(width),
    seals: SEALS.find(([pattern]) => pattern.test(rest))?.[1] ?? "open",
    clearance: clearance ? `C${clearance}` : "CN",
  };
}
