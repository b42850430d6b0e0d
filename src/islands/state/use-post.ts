import { useState } from "react";
import type { Issue } from "@/core/result";
import { type Posted, postEntry } from "./post-entry";

export interface Poster {
  readonly isBusy: boolean;
  readonly problem: string | undefined;
  /** @returns whether it was kept; why not is in `problem` */
  post(posted: Posted): Promise<boolean>;
  /** The same, for a caller that shows the issues in its own place. */
  ask(posted: Posted): Promise<readonly Issue[]>;
}

/** Posting an entry from a screen: busy while it is under way, and what was wrong if it was refused. */
export function usePost(jobId: number): Poster {
  const [isBusy, setIsBusy] = useState(false);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const ask = async (posted: Posted): Promise<readonly Issue[]> => {
    setIsBusy(true);
    const answer = await postEntry(jobId, posted);
    setIsBusy(false);
    return answer.ok ? [] : answer.issues;
  };
  const post = async (posted: Posted): Promise<boolean> => {
    const issues = await ask(posted);
    setProblem(issues.length > 0 ? issues.map(({ message }) => message).join(" ") : undefined);
    return issues.length === 0;
  };
  return { isBusy, problem, post, ask };
}
