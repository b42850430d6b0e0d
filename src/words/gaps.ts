import type { BenchGap } from "@/core/safety/bench-gaps";
import type { LiveGap, LiveWarning } from "@/core/safety/live-work";

/** What is still to be done before hands go in. */
export const BENCH_GAP_WORDS: Readonly<Record<BenchGap, string>> = {
  stop: "this machine is not opened here: pass it to someone who works on high voltage",
  plug: "say where the plug is",
  battery: "take the battery out",
  charge: "read the volts on each capacitor, or leave the clip on",
  coasting: "see that it stands still: it may be running on",
  kind: "say what can hurt in it: its name is not known here",
  springs: "hold the springs",
  "lifted-load": "prop the lifted load",
  pressure: "let the pressure off",
  heat: "let it cool, and feel that it is cold",
  belt: "hold the belt",
  blades: "block the blades",
};

/** Where what is missing for power is done; null where it is not done here. */
export type GapStage = "take-in" | "make-safe" | "isolate" | "put-back" | "set-up" | null;

interface LiveGapWords {
  /** What stands in the way. */
  readonly what: string;
  /** How to get there. */
  readonly how: string;
  readonly where: GapStage;
}

export const LIVE_GAP_WORDS: Readonly<Record<LiveGap, LiveGapWords>> = {
  stop: {
    what: "No power here: high voltage.",
    how: "Pass it to someone who works on high voltage.",
    where: null,
  },
  scope: {
    what: "Live work on this kind of motor is not done here.",
    how: "Note it for whoever is licensed for it where you are.",
    where: null,
  },
  air: {
    what: "No power: vapour or dust here goes off at a spark.",
    how: "Air it until nothing is left of it, and say so under what else can hurt.",
    where: "make-safe",
  },
  licensed: {
    what: "Power with a cover off is for a licensed person.",
    how: "Note it for them; what they read can be written down here afterwards.",
    where: null,
  },
  danger: {
    what: "No power: something that can hurt stands open.",
    how: "Mend what was found to do it, then take the same test again; the list says which.",
    where: "isolate",
  },
  "look-inside": {
    what: "No power before a look inside: it smoked or smelt burnt.",
    how: "Open it, unplugged and drained, and look it over.",
    where: "isolate",
  },
  "dead-checks": {
    what: "No power before the dead checks.",
    how: "Take those that are owed as the machine stands now.",
    where: "make-safe",
  },
  family: {
    what: "Nothing is measured live while the kind of motor is not known.",
    how: "Settle the kind first; a run with the guards on is no measurement.",
    where: "isolate",
  },
  "cover-open": { what: "Covers on before power.", how: "Close what is open.", where: "put-back" },
  "parts-off": {
    what: "Everything back before power.",
    how: "Put back what is off, or say that it was replaced.",
    where: "put-back",
  },
  clip: {
    what: "The clip is still on a capacitor.",
    how: "Take it off, hands away from the terminals, and say so.",
    where: "make-safe",
  },
  "fixed-outlet": {
    what: "Wired in, and no RCD (GFCI) behind it was confirmed.",
    how: "Without one, a live run is a note for a licensed person; with one, say so as you switch it on.",
    where: "make-safe",
  },
  "outlet-not-named": {
    what: "The shop has named no outlet behind an RCD (GFCI).",
    how: "Name it once in Set-up; a plug-in one does.",
    where: "set-up",
  },
  outlet: {
    what: "Plug it in behind the RCD (GFCI).",
    how: "Hands off, guards on, then say so: one tap.",
    where: "make-safe",
  },
};

export const LIVE_WARNING_WORDS: Readonly<Record<LiveWarning, string>> = {
  "cover-was-opened":
    "A cover was open since the last look: a look, and the earth of that cover, before power.",
  "burnt-was-told": "Smoke, smell, shock or water was told: stand clear, 3 s, and no second try.",
};
