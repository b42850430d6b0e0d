import { INCIDENTS, PROTECTIONS } from "../../knowledge/move-page.input";
import { TOLD } from "../../knowledge/told";
import type { Proof } from "../proof";

/** What an open danger keeps back: hands inside, power, use by anybody, the word "repaired". */
export type Withheld = "hands" | "power" | "use" | "repaired";

/** Work that is its own remedy, and what follows from power and plates: only the test is owed. */
const ITS_OWN_REMEDY = [
  "left-out",
  "renewed",
  "brake",
  "direction",
  "temporary",
  "asked-anew",
  "live",
  "charged",
  "clip-under-power",
  "left-plugged-in",
  "contradiction",
] as const;

export const DANGER_KINDS = [
  ...PROTECTIONS,
  ...INCIDENTS,
  ...TOLD,
  "root",
  "runs-wrong",
  ...ITS_OWN_REMEDY,
] as const;
export type DangerKind = (typeof DANGER_KINDS)[number];

/** What was done to mend it: a repair of one of these faults, of anything at these stations, or of what can spoil this proof. */
export type Remedy =
  | { readonly faults: readonly string[] }
  | { readonly stations: readonly string[] }
  | { readonly spoils: Proof }
  /** Any repair that mends more than a consequence. */
  | "any-repair";

/** The place of what power did under our hands. */
export const HERE = "here";

/** The clean run that closes what power did. */
export const RUN = "run";

/** One danger of a machine, open or closed. */
export interface Danger {
  readonly kind: DangerKind;
  /** Where in the machine: a test, a part, a line of what came off. */
  readonly place: string;
  /** Line that opened it. */
  readonly openedBy: number;
  /** What mends it. Empty for what power did while nothing was found that can do just that. */
  readonly remedies: readonly Remedy[];
  /** The test that closes it: an id of a dead check, a move or a line, or the run. */
  readonly test: string;
  /** Line from which its remedy counts: of the work, or of a strike that gave it back. 0 while it is not made. */
  readonly remediedBy: number;
  /** Minutes that the run which closes it lasts at least: it was told to come after those. */
  readonly runMinutes: number;
  /** Passes of the test since it was opened, with nothing worked on between. */
  readonly passes: number;
  /** Line that struck out the one that opened it, which disproves nothing; 0 while that one stands. */
  readonly struckBy: number;
  /** Line that closed it; null while it is open. */
  readonly closedBy: number | null;
}

const EVERYTHING: readonly Withheld[] = ["power", "use"];
const WORD: readonly Withheld[] = ["repaired"];

/** What each kind withholds while it is open (docs/methods/safety.md); a second trip withholds more. */
export const WITHHOLDS: Readonly<Record<DangerKind, readonly Withheld[]>> = {
  earth: EVERYTHING,
  insulation: EVERYTHING,
  cord: EVERYTHING,
  damp: EVERYTHING,
  burnt: EVERYTHING,
  domed: EVERYTHING,
  "runs-on": EVERYTHING,
  bridged: EVERYTHING,
  trip: WORD,
  "residual-trip": ["use"],
  smoke: EVERYTHING,
  smell: EVERYTHING,
  tingle: EVERYTHING,
  "told-trip": WORD,
  "told-residual-trip": ["use"],
  "told-smoke": EVERYTHING,
  "told-tingle": EVERYTHING,
  "told-water": EVERYTHING,
  "told-runs-on": EVERYTHING,
  "left-out": EVERYTHING,
  renewed: WORD,
  brake: WORD,
  direction: WORD,
  "runs-wrong": ["use"],
  root: WORD,
  temporary: WORD,
  "asked-anew": WORD,
  live: ["hands"],
  charged: ["hands"],
  "clip-under-power": ["power"],
  "left-plugged-in": ["hands"],
  contradiction: ["power"],
};

export function isItsOwnRemedy(kind: DangerKind): boolean {
  return ITS_OWN_REMEDY.some((one) => one === kind);
}

/** What was misread can be read again; these happened, or were told to have. */
const NEVER_A_MISTAKE: ReadonlySet<DangerKind> = new Set<DangerKind>([
  ...TOLD,
  "trip",
  "residual-trip",
  "smoke",
  "tingle",
  "live",
  "charged",
]);

/** Whether no strike and no second reading says that it never was. */
export function isNeverMistaken(kind: DangerKind): boolean {
  return NEVER_A_MISTAKE.has(kind);
}

const TRIPS: ReadonlySet<DangerKind> = new Set<DangerKind>(["trip", "residual-trip"]);
/** A stalled start has two tries; the second trip is one too many. */
const TRIPS_TOO_MANY = 2;

/** Dangers that stand open, in the order they were opened. */
export function openDangers(dangers: readonly Danger[]): readonly Danger[] {
  return dangers.filter(({ closedBy }) => closedBy === null);
}

/** Open dangers that withhold something now: by their kind, and trips as soon as there are two. */
export function withholding(dangers: readonly Danger[], what: Withheld): readonly Danger[] {
  const open = openDangers(dangers);
  const isTwice = open.filter(({ kind }) => TRIPS.has(kind)).length >= TRIPS_TOO_MANY;
  return open.filter(
    ({ kind }) =>
      WITHHOLDS[kind].includes(what) ||
      (isTwice && TRIPS.has(kind) && (what === "power" || what === "use")) ||
      // Who may not use it cannot be told that it is repaired.
      (what === "repaired" && WITHHOLDS[kind].includes("use")),
  );
}
