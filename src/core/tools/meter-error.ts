import type { Reading } from "../quantity/reading";
import { limitOfError } from "../quantity/uncertainty";
import type { MeterSaid } from "./field.input";

/**
 * Limit of error of a reading on a meter, SI: its share and counts of the last digit. The last digit is that of the range,
 * or the coarser one that was typed; half of what was typed is the least. Source: gum.
 */
export function errorOn(
  { percent, counts, resolution }: Pick<MeterSaid, "percent" | "counts"> & { readonly resolution: Reading },
  value: number,
  typed = 0,
): number {
  const lastDigit = Math.max(resolution.kind === "value" ? resolution.value : 0, typed);
  return Math.max(limitOfError({ share: percent / 100, counts, resolution: lastDigit }, value), typed / 2);
}
