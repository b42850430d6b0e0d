import { availableParallelism } from "node:os";
import { builtWorker } from "@/server/threads/built-worker";
import { keptThread } from "@/server/threads/kept-thread";
import { type FactsContext, factsInText, type LogText, type OwnFacts } from "./own-facts";

const WORKER_PATH = builtWorker("facts");

/** Those who work out where jobs stand. */
export interface FactsHands {
  readonly count: number;
  ask(logs: LogText): Promise<readonly OwnFacts[]>;
  end(): void;
}

/** A thread for each processor once built: only then is working out quicker than reading. In tests, in place. */
export function factsHands({ knowledge, limits }: FactsContext): FactsHands {
  const context = { knowledge, limits };
  if (WORKER_PATH === undefined)
    return { count: 1, ask: async (logs) => factsInText(logs, context), end: () => undefined };
  const path = WORKER_PATH;
  const threads = Array.from({ length: availableParallelism() }, () =>
    keptThread<LogText, readonly OwnFacts[]>(path, () => context),
  );
  let next = 0;
  return {
    count: threads.length,
    ask: (logs) => {
      next = (next + 1) % threads.length;
      return threads[next]?.ask(logs) ?? Promise.resolve([]);
    },
    end: () => {
      for (const thread of threads) thread.end();
    },
  };
}
