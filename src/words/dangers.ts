import { type Danger, type DangerKind, isItsOwnRemedy, RUN } from "@/core/safety/dangers/danger";

interface DangerWords {
  /** What stands open. */
  readonly what: string;
  /** What closes it. */
  readonly how: string;
}

const FOUND_AND_MENDED =
  "Find, unplugged, what can do just that; mend it and write it down as that repair. Then all dead checks, and one clean run.";

/** Open dangers, as the repairer reads them. */
export const DANGER_WORDS: Readonly<Record<DangerKind, DangerWords>> = {
  earth: { what: "The earth failed.", how: "Mend it, then the same earth test again." },
  insulation: {
    what: "Insulation failed.",
    how: "Dry it, or find the leak and mend it; then the same test again. What cannot be found goes to a licensed electrical workshop; local rules come first.",
  },
  cord: {
    what: "The cord, plug or casing failed its look.",
    how: "Mend it, then the same look or test again.",
  },
  damp: {
    what: "Damp was seen inside.",
    how: "Dry it and mend where it comes in; then the same look again.",
  },
  burnt: { what: "Something burnt or melted was seen.", how: "Mend it there, then the same look again." },
  domed: {
    what: "A capacitor was domed or leaking.",
    how: "Renew it, then the same look again.",
  },
  "runs-on": {
    what: "A switch or control is always on.",
    how: "Renew it, then the same reading again.",
  },
  trip: { what: "It tripped the breaker here.", how: FOUND_AND_MENDED },
  "residual-trip": { what: "It tripped the RCD (GFCI) here.", how: FOUND_AND_MENDED },
  smoke: { what: "It smoked here.", how: FOUND_AND_MENDED },
  smell: { what: "It smelt burnt here.", how: FOUND_AND_MENDED },
  tingle: { what: "It gave a shock here.", how: FOUND_AND_MENDED },
  "told-trip": {
    what: "It is said to trip the breaker or blow the fuse.",
    how: "Mend what does it, or read a cause outside: another circuit, the outlet. Then one clean run.",
  },
  "told-residual-trip": {
    what: "It is said to trip the RCD (GFCI).",
    how: "Find what leaks and mend it, or read a cause outside: another circuit. Then one clean run.",
  },
  bridged: {
    what: "A part that protects was bridged, or does not open.",
    how: "Fit one of the same rating and kind; then the same reading again.",
  },
  "told-smoke": { what: "It is said to have smoked.", how: FOUND_AND_MENDED },
  "told-tingle": { what: "It is said to give shocks.", how: FOUND_AND_MENDED },
  "told-water": {
    what: "It is said to leak oil or water.",
    how: "Find the seal or the damp and mend it. Then all dead checks, and one clean run.",
  },
  "told-runs-on": {
    what: "It is said not to stop when switched off.",
    how: "Find the switch or control that stays on and renew it. Then all dead checks, and one clean run.",
  },
  "left-out": {
    what: "A guard, cover or other protection was left out.",
    how: "Fit it, and write it down as back on in Put back.",
  },
  renewed: {
    what: "A part that protects was worked on, and not tried since.",
    how: "Take its own reading again, unplugged.",
  },
  direction: {
    what: "Another motor, or its leads worked on: nobody saw which way it turns.",
    how: "See in a run that it turns the right way, and say so there.",
  },
  "runs-wrong": {
    what: "It turns the wrong way, or runs on longer than its kind may.",
    how: "Set its leads or its brake, then see or time it again in a run.",
  },
  brake: { what: "A brake may have been worked on.", how: "Time its stop in a run." },
  root: {
    what: "Only what blew was renewed: what made it blow is not found and mended.",
    how: "Find it, mend it, and run it clean.",
  },
  temporary: { what: "A part is in for a while only.", how: "Choose and fit the part that stays." },
  "asked-anew": {
    what: "The plate was read again after the part was chosen.",
    how: "Weigh the part again in Match.",
  },
  live: {
    what: "Volts were read on what was to be dead.",
    how: "Find the other feed, isolate it, and read the volts again.",
  },
  charged: {
    what: "A charge was read.",
    how: "Drain it through its resistor and read the volts there again.",
  },
  "clip-under-power": {
    what: "Power came while a clip was on.",
    how: "Plug out, take the clip off, and say so.",
  },
  "left-plugged-in": { what: "It was signed off while plugged in.", how: "Take the plug out and say so." },
  contradiction: {
    what: "Class or connection do not go with the plate’s volts.",
    how: "Look at both again and correct the one that is wrong, in Take in.",
  },
};

/** What is still owed of a danger that was mended. */
function owedWords(test: string): string {
  if (test === RUN) return "Mended. Now all dead checks, then one clean run.";
  return test.startsWith("check:")
    ? "Mended. Now the same dead check again."
    : "Mended. Now the same look or reading again.";
}

/** An open danger in one line, as it stands in a list: what it is, and what closes it. */
export function dangerWords({ kind, struckBy, remediedBy, test }: Danger): string {
  const { what, how } = DANGER_WORDS[kind];
  const struck = struckBy > 0 ? " Its line is struck out, not disproved." : "";
  return `${what}${struck} ${remediedBy > 0 && !isItsOwnRemedy(kind) ? owedWords(test) : how}`;
}

const FEW = 3;

/** Open dangers in one breath, the first few by name. */
export function dangersInShort(dangers: readonly Danger[]): string {
  const named = dangers.slice(0, FEW).map(({ kind }) => DANGER_WORDS[kind].what);
  const more = dangers.length - named.length;
  return `${[...new Set(named)].join(" ")}${more > 0 ? ` And ${more} more.` : ""}`;
}
