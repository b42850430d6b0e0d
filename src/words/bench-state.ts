import type { BenchSummary, DeadCode, LiveCode } from "@/core/safety/bench-summary";
import type { ChargeState } from "@/core/safety/charge-state";
import { type VoltsRead, voltsRead } from "./volts-read";

/** What it says, and one line: what to check to get further. */
interface BenchSentences {
  readonly words: string;
  readonly check: string;
}

const LIVE: Readonly<Record<LiveCode, BenchSentences>> = {
  "plugged-in": { words: "Plugged in", check: "Unplug it and keep the plug in sight." },
  "battery-in": { words: "Battery in", check: "Take the battery out." },
  "battery-not-known": {
    words: "Not known: is the battery out?",
    check: "Take the battery out and lay it aside.",
  },
  "plug-and-battery-not-known": {
    words: "Not known: are plug and battery out?",
    check: "Look at both: unplugging alone makes nothing safe here.",
  },
  "isolation-not-known": {
    words: "Not known: is it isolated?",
    check: "Isolate, lock off, and prove it dead with a proved tester.",
  },
  "plug-not-known": {
    words: "Not known: is the plug out?",
    check: "Look at the plug, then say where it is.",
  },
};

const DEAD: Readonly<Record<DeadCode, string>> = {
  "battery-out": "Battery out",
  isolated: "Isolated and proven dead",
  unplugged: "Unplugged",
  "plug-in-pocket": "Unplugged, plug in pocket",
};

const CHARGE: Readonly<Record<ChargeState, (read: VoltsRead) => BenchSentences>> = {
  charged: (read) => ({
    words: `still ${voltsRead(read)} on a capacitor`,
    check: "Drain it through the resistor and read it again.",
  }),
  cannot: () => ({ words: "charge could not be read", check: "Treat every terminal as charged." }),
  "not-read": () => ({ words: "charge not read", check: "Read the volts across each capacitor." }),
  lapsed: () => ({
    words: "charge to be read again",
    check: "Charge creeps back: read the volts once more.",
  }),
  once: (read) => ({
    words: `${voltsRead(read)}, read once`,
    check: "Wait a minute and read it again: charge creeps back.",
  }),
  drained: (read) => ({
    words: `drained to ${voltsRead(read)}`,
    check: "Read again before hands go in after a while.",
  }),
  "clip-unread": () => ({
    words: "clip on, volts not read",
    check: "Read the volts under the clip: it may not touch, or its resistor may be broken.",
  }),
  clip: () => ({ words: "clip left on", check: "Take the clip off last." }),
  none: () => ({ words: "nothing stores charge", check: "Hands may go in." }),
};

/**
 * The bench state in words.
 * @example "Unplugged, drained to 0.3 V"
 */
export function benchWords(summary: BenchSummary): BenchSentences {
  if (summary.level === "live") return LIVE[summary.code];
  const { code, isBatteryOut, charge } = summary;
  const { words, check } = CHARGE[charge](summary);
  return { words: `${DEAD[code]}${isBatteryOut ? ", battery out" : ""}, ${words}`, check };
}
