import { proxy, wrap } from "comlink";
import { useEffect, useState } from "react";
import { fail, issue, type Result } from "@/core/result";
import type { Shop } from "@/core/shop/shop";
import type { Finding } from "@/core/tools/finding.input";
import type { Tool } from "@/core/tools/tool";
import type { ToolsWorker } from "@/workers/tools.worker";

export interface WorkedOut {
  /** What the tool says of the input; of one that takes long the last answer stands until the next has come. */
  readonly result: Result<Finding> | undefined;
  /** Share that is done, while something that takes long is worked out. */
  readonly progress: number | undefined;
  /** Ends what takes long; typing anything begins it again. */
  cancel(): void;
}

interface Long {
  readonly key: string;
  readonly result: Result<Finding> | undefined;
  readonly progress: number | undefined;
}

const BROKEN_OFF = fail(
  issue(
    "",
    "tool/broken-off",
    "This could not be worked out on this screen. Change a reading to try again, or keep it: the server works it out then.",
  ),
);

/** Time for which typing must rest before something long is begun, ms. */
const REST = 60;
const hasWorkers = (): boolean => typeof Worker !== "undefined";

/** Input that misses something is never long: it is answered where it stands. */
function isLong(tool: Tool, input: unknown): boolean {
  return tool.isLong === true && hasWorkers() && tool.input.isValidSync(input, { strict: true });
}

/** What a tool says of its input: at once, or from a worker of its own where that may take long. */
export function useWorkedOut(tool: Tool, input: Readonly<Record<string, unknown>>, shop: Shop): WorkedOut {
  const isAway = isLong(tool, input);
  const key = isAway ? JSON.stringify(input) : "";
  const [long, setLong] = useState<Long>({ key: "", result: undefined, progress: undefined });
  const [cancelled, setCancelled] = useState<string | undefined>(undefined);
  const { limits, knowledgeVersion } = shop;
  useEffect(() => {
    if (key === "" || cancelled === key) return;
    let thread: Worker | undefined;
    const begin = setTimeout(async () => {
      thread = new Worker(new URL("../../workers/tools.worker.ts", import.meta.url), { type: "module" });
      // A worker that cannot be fetched or breaks off never answers: that is said, and typing begins it again.
      thread.addEventListener("error", () => setLong({ key, result: BROKEN_OFF, progress: undefined }));
      const told = proxy((progress: number) => setLong((now) => ({ ...now, progress })));
      setLong((now) => ({ ...now, progress: 0 }));
      const context = { limits, knowledgeVersion };
      const result = await wrap<ToolsWorker>(thread)
        .run(tool.id, JSON.parse(key), context, told)
        .catch(() => BROKEN_OFF);
      setLong({ key, result, progress: undefined });
    }, REST);
    return () => {
      clearTimeout(begin);
      thread?.terminate();
    };
  }, [key, cancelled, tool.id, limits, knowledgeVersion]);
  if (!isAway) return { result: tool.run(input, shop), progress: undefined, cancel: () => undefined };
  const isStopped = cancelled === key && long.key !== key;
  return {
    // What was stopped has no answer: the one before it is of another table.
    result: isStopped ? undefined : long.result,
    progress: long.key === key || isStopped ? undefined : (long.progress ?? 0),
    cancel: () => setCancelled(key),
  };
}
