import { useEffect, useState } from "react";
import type { Result } from "@/core/result";

const WAIT_MS = 150;

/**
 * What the server says to the words typed, a moment after the last key; nothing while there are none.
 * @param ask always the same function: it is asked again when the words change
 */
export function useAsked<T>(typed: string, ask: (words: string) => Promise<Result<T>>): T | undefined {
  const [answer, setAnswer] = useState<T | undefined>(undefined);
  const words = typed.trim();
  useEffect(() => {
    let isCurrent = true;
    const timer = setTimeout(async () => {
      const found = words === "" ? undefined : await ask(words);
      if (isCurrent) setAnswer(found?.ok ? found.value : undefined);
    }, WAIT_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [words, ask]);
  return answer;
}
