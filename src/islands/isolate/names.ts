import type { Knowledge } from "@/core/knowledge/types";

export function faultLabel(knowledge: Knowledge, id: string): string {
  return id === "more-than-one"
    ? "More than one root"
    : (knowledge.faults.find((fault) => fault.id === id)?.label ?? id);
}

/** A label inside a sentence: only its first letter goes small, since units keep their capitals. */
export function inSentence(label: string): string {
  return `${label.charAt(0).toLowerCase()}${label.slice(1)}`;
}
