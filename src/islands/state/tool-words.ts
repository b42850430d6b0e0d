import { useStore } from "@nanostores/react";
import { atom } from "nanostores";
import { useEffect } from "react";
import type { JobView, LedgerLine } from "@/core/job/log/view";
import type { Shop } from "@/core/shop/shop";
import { lineWords } from "@/log/words";
import { loadWords } from "@/tools/registry";
import type { ToolSentences } from "@/words/said";
import { WAKING } from "./awake";

/** Each tool's sentences are fetched when one of its findings is shown. */
const $toolWords = atom<ToolSentences>(new Map());
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

/** The sentences of these tools, as they arrive. */
export function useToolWords(toolIds: readonly string[]): ToolSentences {
  const words = useStore($toolWords, WAKING);
  const key = toolIds.join();
  useEffect(() => fetchWords(key === "" ? [] : key.split(",")), [key]);
  return words;
}

export type SayLine = (line: LedgerLine) => string;

/** Says any line of a job's log in words, those of its tools' findings included. */
export function useLineWords(job: Pick<JobView, "readings">, shop: Shop): SayLine {
  const words = useToolWords([...new Set(job.readings.map(({ toolId }) => toolId))]);
  return (line) => lineWords(line, { shop, sentences: words });
}
