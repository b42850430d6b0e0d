import { parseCapacitorMark } from "@/core/markings/capacitor";
import type { Attributes } from "@/core/matching/part";

/** What is printed on a start capacitor: its range and volts. A run capacitor's mark is none. */
export function readStartCapacitor(text: string): Attributes | undefined {
  const mark = parseCapacitorMark(text);
  if (!mark.ok || mark.value.role !== "start") return undefined;
  const { band, voltsAc } = mark.value;
  return {
    kind: "start",
    ...(band ? { capacitance: { min: band.min, max: band.max } } : {}),
    ...(voltsAc === undefined ? {} : { volts: voltsAc }),
  };
}
