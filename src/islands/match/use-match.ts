import { useEffect, useState } from "react";
import type { Asked } from "@/core/matching/asked.input";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import type { Issue } from "@/core/result";
import { request } from "../state/api";

export interface MatchNow {
  /** The last answer; it stands while the next is on its way, and while something typed cannot be read. */
  readonly answer: MatchAnswer | undefined;
  readonly issues: readonly Issue[];
  readonly isBusy: boolean;
}

/** Time for which typing must rest before it is asked, ms. */
const REST = 120;

/** What is needed of a part and what fits, as the server says it; asked anew whenever something is typed. */
export function useMatch(jobId: number | null, seq: number, asked: Asked): MatchNow {
  const key = JSON.stringify({ jobId, asked, seq });
  const [now, setNow] = useState<MatchNow & { readonly key: string }>({
    key: "",
    answer: undefined,
    issues: [],
    isBusy: true,
  });
  useEffect(() => {
    let isCurrent = true;
    const { seq: _, ...body } = JSON.parse(key);
    const begin = setTimeout(async () => {
      const found = await request("POST /api/match", { body });
      if (!isCurrent) return;
      setNow((before) => ({
        key,
        answer: found.ok ? found.value : before.answer,
        issues: found.ok ? [] : found.issues,
        isBusy: false,
      }));
    }, REST);
    return () => {
      isCurrent = false;
      clearTimeout(begin);
    };
  }, [key]);
  const isOther = now.answer !== undefined && now.answer.family.id !== asked.family;
  return {
    answer: isOther ? undefined : now.answer,
    issues: now.key === key ? now.issues : [],
    isBusy: now.key !== key,
  };
}
