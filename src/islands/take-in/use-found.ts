import { useEffect, useState } from "react";

const WAIT_MS = 250;
const LEAST_LETTERS = 3;
const MOST_HITS = 3;

/**
 * What the shop's book has of a name, looked for while it is typed.
 * @param find always the same function: it is asked again when the name changes
 */
export function useFound<Hit>(
  name: string,
  find: (words: string) => Promise<readonly Hit[]>,
): readonly Hit[] {
  const [hits, setHits] = useState<readonly Hit[]>([]);
  useEffect(() => {
    if (name.trim().length < LEAST_LETTERS) return setHits([]);
    let isCurrent = true;
    const timer = setTimeout(async () => {
      const found = await find(name.trim());
      if (isCurrent) setHits(found.slice(0, MOST_HITS));
    }, WAIT_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [name, find]);
  return hits;
}
