import type { Attributes } from "@/core/matching/part";
import { mm } from "@/core/matching/specs";

/**
 * The sizes of a brush as they are listed: 5 × 8 × 17, thickness, width, length in millimetres.
 * @example readBrush("6x9x17 mm") // { thickness: 0.006, width: 0.009, length: 0.017 }
 */
export function readBrush(text: string): Attributes | undefined {
  const found =
    /^\s*(?:brush\s*)?(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d+(?:[.,]\d+)?)\s*(?:mm)?\s*$/i.exec(
      text,
    );
  if (!found) return undefined;
  const [one = 0, other = 0, length = 0] = found.slice(1).map((part) => Number(part.replace(",", ".")));
  return { thickness: mm(Math.min(one, other)), width: mm(Math.max(one, other)), length: mm(length) };
}
