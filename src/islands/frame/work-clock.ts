import { useCallback, useEffect, useRef, useState } from "react";
import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import { keepDraft, readDraft } from "../state/draft";
import { postEntry } from "../state/post-entry";

const TICK_MS = 1000;
/** Without a touch or a key for so long nobody is taken to work on it. */
const IDLE_MS = 5 * 60_000;
/** So much is kept as a line of the log at once; less waits on the device. */
const LINE_S = 15 * 60;
/** Less than this is no line of its own. */
const LEAST_S = 60;

interface Kept {
  readonly seconds: number;
  readonly isPaused: boolean;
}

const NOTHING: Kept = { seconds: 0, isPaused: false };

export interface WorkClock {
  /** Counted on every device, with what this one has not handed in yet. */
  readonly seconds: number;
  readonly isRunning: boolean;
  readonly isPaused: boolean;
  setPaused(isPaused: boolean): void;
}

/**
 * Minutes at the bench: they run while this job's page is in sight and somebody works on it, by a clock that no change of
 * hour moves, and stop when it is paused or left alone. What is counted is kept on the device until it is a line.
 */
export function useWorkClock(job: JobView, stage: Stage): WorkClock {
  const key = `clock:${job.jobId}`;
  const [kept, setKept] = useState<Kept>(() => readDraft<Kept>(key) ?? NOTHING);
  const [isIdle, setIsIdle] = useState(false);
  const state = useRef(kept);
  const isPosting = useRef(false);
  const isClosed = job.signedOff !== null;
  // Two windows on one device count into one store: it is read before it is written, and no minute is handed in twice.
  const put = useCallback(
    (change: (now: Kept) => Kept): void => {
      const next = change(readDraft<Kept>(key) ?? NOTHING);
      state.current = next;
      keepDraft(key, next);
      setKept(next);
    },
    [key],
  );
  const handIn = useRef(async (_least: number): Promise<void> => undefined);
  handIn.current = async (least) => {
    const whole = Math.floor((readDraft<Kept>(key) ?? NOTHING).seconds);
    if (isPosting.current || whole < least) return;
    isPosting.current = true;
    const add = (seconds: number) => put((now) => ({ ...now, seconds: Math.max(0, now.seconds + seconds) }));
    add(-whole);
    const payload = { seconds: whole, how: "counted", why: "" };
    const answer = await postEntry(job.jobId, { kind: "time-spent", stage, payload });
    isPosting.current = false;
    if (!answer.ok) add(whole);
  };
  useEffect(() => {
    if (isClosed) return undefined;
    let touched = performance.now();
    let last = touched;
    const touch = (): void => {
      touched = performance.now();
    };
    const timer = setInterval(() => {
      const now = performance.now();
      const passed = now - last;
      last = now;
      const isAlone = now - touched > IDLE_MS;
      setIsIdle(isAlone);
      // One window has the focus: two side by side count once. A machine that slept has a gap, not work, behind it.
      if (!document.hasFocus() || isAlone || state.current.isPaused || passed > 5 * TICK_MS) return;
      put((now) => ({ ...now, seconds: now.seconds + passed / 1000 }));
      if (state.current.seconds >= LINE_S) void handIn.current(LINE_S);
    }, TICK_MS);
    for (const what of ["pointerdown", "keydown", "scroll"])
      window.addEventListener(what, touch, { passive: true });
    return () => {
      clearInterval(timer);
      for (const what of ["pointerdown", "keydown", "scroll"]) window.removeEventListener(what, touch);
    };
  }, [isClosed, put]);
  // The bill is made with all that was counted here.
  useEffect(() => {
    if (stage === "sign-off" && !isClosed) void handIn.current(LEAST_S);
  }, [stage, isClosed]);
  return {
    seconds: job.secondsSpent + kept.seconds,
    isRunning: !isClosed && !kept.isPaused && !isIdle,
    isPaused: kept.isPaused,
    setPaused: (isPaused) => {
      put((now) => ({ ...now, isPaused }));
      if (isPaused) void handIn.current(LEAST_S);
    },
  };
}
