import { useEffect, useState } from "react";
import { request } from "../state/api";

const WAIT_MS = 250;
const LEAST_LETTERS = 3;
const MOST_HITS = 3;

/** What the shop's book has of a name, looked for while it is typed. */
export function useFound<Hit>(name: string, path: string, list: string): readonly Hit[] {
  const [hits, setHits] = useState<readonly Hit[]>([]);
  useEffect(() => {
    if (name.trim().length < LEAST_LETTERS) return setHits([]);
    let isCurrent = true;
    const timer = setTimeout(async () => {
      const answer = await request<Record<string, readonly Hit[]>>(
        "GET",
        `${path}?find=${encodeURIComponent(name.trim())}`,
      );
      if (isCurrent) setHits(answer.ok ? (answer.value[list] ?? []).slice(0, MOST_HITS) : []);
    }, WAIT_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [name, path, list]);
  return hits;
}
