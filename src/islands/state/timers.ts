import { useStore } from "@nanostores/react";
import { useEffect, useState } from "react";
import type { RunningTimer } from "@/wire/jobs";
import { request } from "./api";
import { WAKING } from "./awake";
import { keep, kept } from "./storage";
import { $changes } from "./tabs";

const HEARD = "good-spindle:heard-timers";
const KEEP = 50;
const WAIT_MS = 150;

function timerKey({ jobId, seq }: RunningTimer): string {
  return `${jobId}:${seq}`;
}

function heard(): readonly string[] {
  const found = typeof window === "undefined" ? undefined : kept("device", HEARD);
  return Array.isArray(found) ? found.filter((one) => typeof one === "string") : [];
}

/** The timers of the shop: loaded with the page and again with every change, so that a reload loses none. */
export function useTimers(): {
  readonly timers: readonly RunningTimer[];
  /** This device has heard it: it rings here no more. */
  quiet(timer: RunningTimer): void;
} {
  const changes = useStore($changes, WAKING);
  const [timers, setTimers] = useState<readonly RunningTimer[]>([]);
  const [quieted, setQuieted] = useState<readonly string[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: every change heard of may have started or struck a timer
  useEffect(() => {
    let isCurrent = true;
    setQuieted(heard());
    // A change is heard of twice, from here and from the shop's computer: asked once.
    const wait = setTimeout(async () => {
      const answer = await request("GET /api/timers");
      if (isCurrent && answer.ok) setTimers(answer.value.timers);
    }, WAIT_MS);
    return () => {
      isCurrent = false;
      clearTimeout(wait);
    };
  }, [changes]);
  useEffect(() => {
    const onStorage = (event: StorageEvent): void => {
      if (event.key === HEARD) setQuieted(heard());
    };
    window.addEventListener("storage", onStorage);
    return () => window.removeEventListener("storage", onStorage);
  }, []);
  const quiet = (timer: RunningTimer): void => {
    const next = [...heard(), timerKey(timer)].slice(-KEEP);
    keep("device", HEARD, next);
    setQuieted(next);
  };
  return { timers: timers.filter((timer) => !quieted.includes(timerKey(timer))), quiet };
}
