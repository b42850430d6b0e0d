import { parseCapacitorMark } from "@/core/markings/capacitor";
import type { Attributes } from "@/core/matching/part";

/** What is printed on a can with two sections, as 35+5 μF 450 V. */
export function readDual(text: string): Attributes | undefined {
  const mark = parseCapacitorMark(text);
  if (!mark.ok || mark.value.nominal === undefined || mark.value.others?.length !== 1) return undefined;
  const sections = [mark.value.nominal, ...mark.value.others];
  return {
    larger: Math.max(...sections),
    smaller: Math.min(...sections),
    ...(mark.value.voltsAc === undefined ? {} : { volts: mark.value.voltsAc }),
  };
}
