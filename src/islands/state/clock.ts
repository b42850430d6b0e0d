import { useSyncExternalStore } from "react";

const TICK_MS = 1000;
const listeners = new Set<() => void>();
let current = "";
let timer: ReturnType<typeof setInterval> | undefined;

function tick(): void {
  current = new Date().toISOString();
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  timer ??= setInterval(tick, TICK_MS);
  return () => {
    listeners.delete(listener);
    if (listeners.size === 0 && timer) {
      clearInterval(timer);
      timer = undefined;
    }
  };
}

function snapshot(): string {
  if (current === "") current = new Date().toISOString();
  return current;
}

/** The present instant, UTC; the page's own on the server and while it wakes up. */
export function useNow(pageMadeAt: string): string {
  return useSyncExternalStore(subscribe, snapshot, () => pageMadeAt);
}
