import type { Attributes } from "@/core/matching/part";
import { mm } from "@/core/matching/specs";

/**
 * The sizes of an O-ring as they are listed: OR 20 × 2.5, inside and cord in millimetres.
 * @example readORing("OR 20x2,5 NBR") // { inside: 0.02, cord: 0.0025, material: "nbr" }
 */
export function readORing(text: string): Attributes | undefined {
  const found =
    /^\s*(?:OR|O-?ring)\s*(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d+(?:[.,]\d+)?)\s*(NBR|EPDM|FKM)?\s*$/i.exec(text);
  if (!found) return undefined;
  const [inside = 0, cord = 0] = found.slice(1, 3).map((part) => Number((part ?? "").replace(",", ".")));
  return {
    inside: mm(inside),
    cord: mm(cord),
    ...(found[3] ? { material: found[3].toLowerCase() } : {}),
  };
}
