import type { Knowledge } from "@/core/knowledge/types";

export function faultLabel(knowledge: Knowledge, id: string): string {
  return id === "more-than-one"
    ? "More than one root"
    : (knowledge.faults.find((fault) => fault.id === id)?.label ?? id);
}

export function repairLabel(knowledge: Pick<Knowledge, "repairs">, id: string): string {
  return knowledge.repairs.find((repair) => repair.id === id)?.label ?? id;
}
