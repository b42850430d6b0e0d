import { useStore } from "@nanostores/react";
import { useEffect } from "react";
import type { JobView, LedgerLine } from "@/core/job/log/reduce";
import type { Shop } from "@/core/shop/shop";
import { lineWords } from "@/log/words";
import { $toolWords, fetchWords, type ToolSentences } from "./said";

/** The sentences of these tools, as they arrive. */
export function useToolWords(toolIds: readonly string[]): ToolSentences {
  const words = useStore($toolWords);
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
