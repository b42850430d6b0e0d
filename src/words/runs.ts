import type { AcceptanceRun, SignedOff } from "@/core/job/log/entry";

export const RUN_WORDS: Readonly<Record<AcceptanceRun["circumstance"], string>> = {
  cold: "cold",
  hot: "hot",
  loaded: "under load",
  idle: "without load",
};

export const RUN_RESULT: Readonly<Record<AcceptanceRun["result"], string>> = {
  gone: "the complaint is gone",
  "still-there": "the complaint is still there",
  stopped: "stopped early",
};

export const SIGN_OFF_WORDS: Readonly<Record<SignedOff["word"], string>> = {
  repaired: "Repaired",
  "not-yet-proven": "Runs, not yet proven",
  "not-repaired": "Not repaired",
  "do-not-use": "Do not use",
};

/** What stands against "repaired", by code. */
export const UNPROVEN_WORDS: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    "line-unreadable": "A line of this job cannot be read: what it says is not known",
    "parts-off": "Something that came off is not back",
    "cover-open": "A cover is still open",
    "final-look": "The last look and cord check is not done since the last change",
    "final-earth-continuity": "Earth continuity is not measured since the last change",
    "final-insulation": "Insulation is not measured since the last change",
    "failed-check": "Insulation, earth or cord failed, and was not mended and tested good since",
    "protection-left-out": "A guard, cover or other protection is not fitted",
    "unsafe-untested": "It smoked, smelt, tingled or was wet, and is not tested since",
    "incident-not-explained":
      "It tripped, smoked, smelt or tingled here, and what did that was not found and mended",
    "only-consequence": "Only what blew was renewed: what made it blow is not found",
    "part-not-checked": "A part that protects was fitted, and its rating and kind were not checked",
    "run-late": "The run was written down late, made without what power asks for: it does not count",
    "run-not-explained": "It failed in a run and then ran, with nothing done in between: not explained",
    "run-clock": "It was not on for as long as the run is said to have lasted, by this log",
    "run-too-short": "No run was long enough to prove anything",
    "class-not-known": "The protection class is not known: which tests it owes cannot be said",
    "nothing-done": "Nothing was repaired",
    "no-run": "It was not run as the complaint comes",
    "run-failed": "The complaint showed again in the last run",
    "no-complaint": "No complaint is written down that a run could clear",
    "condition-not-known": "When the complaint shows is not known",
    "condition-cold": "It was not run cold, as the complaint comes",
    "condition-hot": "It was not run hot, as the complaint comes",
    "condition-loaded": "It was not run under load, as the complaint comes",
    "condition-after-minutes": "It was not run as long as the complaint takes to come",
    "condition-wet": "It comes when it is wet: no run here can prove it gone",
    "condition-sometimes": "It fails only sometimes: no single run can prove it gone",
    damp: "Damp was seen inside, and no look since found it dry",
    burnt: "Something burnt or melted was seen, and no look since found it mended",
    domed: "A capacitor was domed or leaking, and no look since found it renewed",
    "runs-on": "A switch or control was read always on, and no reading since found it mended",
    bridged: "A part that protects was bridged or does not open, and no reading since found it good",
    "told-trip": "It tripped the breaker or blew the fuse before it came in: not mended and run clean since",
    "told-residual-trip": "It tripped the RCD (GFCI) before it came in: what leaks was not found and mended",
    "told-smoke": "It smoked before it came in: what did that was not found and mended",
    "told-tingle": "It gave shocks before it came in: what did that was not found and mended",
    "told-water": "It leaked oil or water before it came in: where was not found and mended",
    "told-runs-on": "It did not stop when switched off: why was not found and mended",
    renewed: "A part that protects was worked on, and its own reading not taken since",
    "asked-anew": "The plate was read again after the part was chosen: it is not weighed again",
    "run-taken-back": "It stalled, tripped or showed its complaint again after it ran",
    "brake-not-timed": "A brake was worked on, and its stop is not timed since",
    direction: "Another motor was fitted or its leads worked on: which way it turns was not seen since",
    "runs-wrong": "It turned the wrong way or ran on too long, and no run since found it right",
    temporary: "A part is fitted for a while only",
    "temporary-no-end": "No day is set on which the temporary part comes out",
  }),
);
