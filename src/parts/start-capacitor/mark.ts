import { parseCapacitorMark } from "@/core/markings/capacitor";
import type { Attributes } from "@/core/matching/part";

/**
 * What is printed on a start capacitor: its range, or one figure as a range of no width, and its volts. A mark that says
 * neither start nor run is one where it stands on the start capacitor; a run capacitor's is none.
 */
export function readStartCapacitor(text: string): Attributes | undefined {
  const mark = parseCapacitorMark(text);
  if (!mark.ok) return undefined;
  const { role, band, nominal, voltsAc, others, suppressor } = mark.value;
  if (role === "run" || others !== undefined || suppressor !== undefined) return undefined;
  const span = nominal === undefined ? band : { min: nominal, max: nominal };
  return {
    kind: "start",
    ...(span ? { capacitance: { min: span.min, max: span.max } } : {}),
    ...(voltsAc === undefined ? {} : { volts: voltsAc }),
  };
}
