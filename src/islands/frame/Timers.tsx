import { useEffect, useState } from "react";
import type { RunningTimer } from "@/wire/jobs";
import { useAwake } from "../state/awake";
import { armBell, askForNotices, notice, noticeState, ringBell } from "../state/bell";
import { useNow } from "../state/clock";
import { useInStep } from "../state/in-step";
import { useTimers } from "../state/timers";

const RING_EVERY_MS = 2500;

const WHAT: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    "cool-down": "Cooled down",
    drain: "Drained long enough: read the volts",
    "warm-run": "Run long enough",
  }),
);
const RUNNING: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    "cool-down": "cooling",
    drain: "draining",
    "warm-run": "running",
  }),
);

/** @example "1:05", "12:00" */
function leftWords(endsAt: string, now: string): string {
  const seconds = Math.max(0, Math.ceil((Date.parse(endsAt) - Date.parse(now)) / 1000));
  const minutes = Math.floor(seconds / 60);
  return `${minutes}:${String(seconds % 60).padStart(2, "0")}`;
}

interface RingingProps {
  readonly timer: RunningTimer;
  onQuiet(): void;
}

function Ringing({ timer, onQuiet }: RingingProps) {
  const [notices, setNotices] = useState(noticeState());
  const title = `${WHAT.get(timer.what) ?? "Time is up"}: ${timer.machine}, job ${timer.jobId}`;
  useEffect(() => notice(title, `timer-${timer.jobId}-${timer.seq}`), [title, timer.jobId, timer.seq]);
  return (
    <div
      role="alert"
      className="no-print sticky top-0 z-30 flex flex-wrap items-center gap-3 border-ink border-b-2 bg-sheet px-4 py-2"
      data-testid="ringing"
    >
      <b className="min-w-0 flex-1 basis-72 text-xl">{title}</b>
      {notices === "default" ? (
        <button
          type="button"
          className="btn btn-outline"
          onClick={() => void askForNotices().then(() => setNotices(noticeState()))}
        >
          Ring outside this page too
        </button>
      ) : null}
      <a className="btn btn-outline" href={`/jobs/${timer.jobId}/make-safe`}>
        To the job
      </a>
      <button type="button" className="btn btn-primary" onClick={onQuiet}>
        Heard
      </button>
    </div>
  );
}

function Awake() {
  useInStep();
  const { timers, quiet } = useTimers();
  const now = useNow("");
  const ringing = timers.filter(({ endsAt }) => endsAt <= now);
  const running = timers.filter(({ endsAt }) => endsAt > now);
  const isRinging = ringing.length > 0;
  useEffect(armBell, []);
  useEffect(() => {
    if (!isRinging) return undefined;
    ringBell();
    const bell = setInterval(ringBell, RING_EVERY_MS);
    return () => clearInterval(bell);
  }, [isRinging]);
  return (
    <>
      {ringing.map((timer) => (
        <Ringing key={`${timer.jobId}:${timer.seq}`} timer={timer} onQuiet={() => quiet(timer)} />
      ))}
      {running.length > 0 ? (
        <p className="no-print flex flex-wrap gap-x-5 border-rule border-b px-4 py-1" data-testid="timers">
          {running.map(({ jobId, seq, machine, what, endsAt }) => (
            <a key={`${jobId}:${seq}`} href={`/jobs/${jobId}/make-safe`} className="min-h-8 py-1">
              <span className="num font-semibold">{leftWords(endsAt, now)}</span> {machine}, job {jobId},{" "}
              {RUNNING.get(what) ?? ""}
            </a>
          ))}
        </p>
      ) : null}
    </>
  );
}

/** On every screen: timers that run, and a banner with sound for those that ran out. */
export function Timers() {
  return useAwake() ? <Awake /> : null;
}
