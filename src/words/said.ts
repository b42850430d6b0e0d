import type { Said, Verdict } from "@/core/tools/finding.input";
import type { ToolWords } from "@/core/tools/tool";

/** Sentences of tools by tool. */
export type ToolSentences = ReadonlyMap<string, ToolWords>;

/** What a tool says by a code; nothing while its sentences are on their way. */
export function saidWords(sentences: ToolSentences, toolId: string, { code, params }: Said): string {
  const own = sentences.get(toolId);
  return own && Object.hasOwn(own, code) ? (own[code]?.(params) ?? code) : "";
}

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  sound: "Good",
  suspect: "Doubtful",
  faulty: "Bad",
  undecided: "Cannot tell",
};
