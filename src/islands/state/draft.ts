import { useState } from "react";
import { forget, keep, kept } from "./storage";

const PREFIX = "good-spindle:draft:";

function isFields(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

/**
 * What was typed, where it is still of the kind that is asked for now. A draft of an older page keeps what it has, and gets
 * what came since.
 */
function read<T>(key: string, fallback: T): T {
  if (typeof window === "undefined") return fallback;
  const found = kept("device", PREFIX + key);
  if (found === undefined) return fallback;
  if (isFields(fallback)) return isFields(found) ? { ...fallback, ...(found as Partial<T>) } : fallback;
  const isOther =
    fallback !== undefined &&
    fallback !== null &&
    (typeof found !== typeof fallback || Array.isArray(found) !== Array.isArray(fallback));
  return isOther ? fallback : (found as T);
}

/** Puts what is typed aside on the device as it is typed; a reload or a lost server loses nothing. */
export function keepDraft(key: string, value: unknown): void {
  keep("device", PREFIX + key, value);
}

export function dropDraft(key: string): void {
  forget("device", PREFIX + key);
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
