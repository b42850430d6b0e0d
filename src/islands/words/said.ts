import { atom } from "nanostores";
import type { Said, Verdict } from "@/core/tools/finding.input";
import { loadWords, type ToolWords } from "@/tools/registry";

/** Sentences of tools by tool: each fetched when one of its findings is shown. */
export type ToolSentences = ReadonlyMap<string, ToolWords>;

export const $toolWords = atom<ToolSentences>(new Map());
const asked = new Set<string>();

/** Fetches the sentences of tools that are about to be shown; each once. */
export function fetchWords(toolIds: readonly string[]): void {
  for (const id of toolIds) {
    if (asked.has(id)) continue;
    asked.add(id);
    void loadWords(id).then((words) => {
      if (words) $toolWords.set(new Map([...$toolWords.get(), [id, words]]));
    });
  }
}

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
