import type { Knowledge } from "@/core/knowledge/types";

/** Rows of the suspects that are no fault. */
const OTHER_ROWS: ReadonlyMap<string, string> = new Map([
  ["more-than-one", "Other faults together"],
  ["mended", "Nothing wrong any more"],
]);

export function faultLabel(knowledge: Knowledge, id: string): string {
  return OTHER_ROWS.get(id) ?? knowledge.faults.find((fault) => fault.id === id)?.label ?? id;
}

export function repairLabel(knowledge: Pick<Knowledge, "repairs">, id: string): string {
  return knowledge.repairs.find((repair) => repair.id === id)?.label ?? id;
}
