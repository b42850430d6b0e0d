import { useState } from "react";

const PREFIX = "good-spindle:draft:";

function read<T>(key: string, fallback: T): T {
  if (typeof window === "undefined") return fallback;
  const kept = localStorage.getItem(PREFIX + key);
  return kept === null ? fallback : (JSON.parse(kept) as T);
}

/** Puts what is typed aside on the device as it is typed; a reload or a lost server loses nothing. */
export function keepDraft(key: string, value: unknown): void {
  localStorage.setItem(PREFIX + key, JSON.stringify(value));
}

export function dropDraft(key: string): void {
  localStorage.removeItem(PREFIX + key);
}

export function readDraft<T>(key: string): T | undefined {
  return read<T | undefined>(key, undefined);
}

/** State that survives on the device under a key. Client-only islands: the first render already has it. */
export function useDraft<T>(key: string, initial: T): readonly [T, (value: T) => void, () => void] {
  const [value, setValue] = useState<T>(() => read(key, initial));
  const set = (next: T): void => {
    setValue(next);
    keepDraft(key, next);
  };
  const clear = (): void => {
    setValue(initial);
    dropDraft(key);
  };
  return [value, set, clear];
}
