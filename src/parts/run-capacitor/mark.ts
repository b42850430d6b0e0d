import { parseCapacitorMark } from "@/core/markings/capacitor";
import type { Attributes } from "@/core/matching/part";

/** What is printed on a run capacitor. A start capacitor's mark is none. */
export function readRunCapacitor(text: string): Attributes | undefined {
  const mark = parseCapacitorMark(text);
  if (!mark.ok || mark.value.role === "start" || mark.value.nominal === undefined) return undefined;
  const { nominal, voltsAc, understood, others, suppressor } = mark.value;
  if (others !== undefined || suppressor !== undefined) return undefined;
  const life = understood.find(({ field }) => field === "class")?.text;
  const protection = understood.find(({ field }) => field === "protection")?.text;
  const classOf = life ? /[ABCD]$/i.exec(life)?.[0]?.toUpperCase() : undefined;
  return {
    kind: "run",
    capacitance: nominal,
    ...(voltsAc === undefined ? {} : { volts: voltsAc }),
    ...(classOf ? { life: classOf } : {}),
    ...(protection ? { protection: `S${protection.slice(-1)}` } : {}),
  };
}

/** Whether a mark is that of a start capacitor. */
export function isStartMark(text: string): boolean {
  const mark = parseCapacitorMark(text);
  return mark.ok && mark.value.role === "start";
}
