import { useEffect, useState } from "react";
import { request } from "../state/api";

const WAIT_MS = 150;

/** What the server says to the words typed, a moment after the last key; nothing while there are none. */
export function useAsked<T>(typed: string, pathOf: (words: string) => string): T | undefined {
  const [answer, setAnswer] = useState<T | undefined>(undefined);
  const words = typed.trim();
  const path = words === "" ? undefined : pathOf(encodeURIComponent(words));
  useEffect(() => {
    let isCurrent = true;
    const timer = setTimeout(async () => {
      const found = path === undefined ? undefined : await request<T>("GET", path);
      if (isCurrent) setAnswer(found?.ok ? found.value : undefined);
    }, WAIT_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [path]);
  return answer;
}
