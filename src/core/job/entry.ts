import type { Reading } from "../quantity/reading";
import type { BenchEvent, BenchMachine } from "../safety/bench-state";
import type { DeadCheckVerdict, ProtectionClass } from "../safety/dead-checks";
import type { Finding } from "../tools/tool";
import type { Stage } from "./stages";

export interface TakenIn {
  readonly machine: string;
  /** A tag the shop has hung on it, beside the job number. */
  readonly tag: string;
  /** Where it stands: left bench, shelf 2. */
  readonly place: string;
  readonly family: string;
  readonly protectionClass: ProtectionClass;
  readonly connection: BenchMachine["connection"];
  readonly heater: "yes" | "no" | "not-known";
  readonly ownerId: number | null;
  /** Ring the owner above this, minor units. */
  readonly ceilingMinor: number | null;
  readonly history: string;
}

/** Plate values as they stand on the plate, each as typed. */
export interface MotorPlate {
  readonly plate: "motor";
  readonly volts: string;
  readonly hertz: string;
  readonly amps: string;
  readonly power: string;
  readonly speed: string;
  readonly text: string;
}

export interface CapacitorPlate {
  readonly plate: "capacitor";
  readonly id: "start" | "run";
  readonly mark: string;
}

export interface Complaint {
  readonly signs: readonly string[];
  readonly circumstance: "always" | "cold" | "hot" | "after-minutes" | "loaded" | "sometimes" | "not-known";
  readonly afterMinutes: number | null;
  readonly words: string;
}

export interface ToolReading {
  readonly of: "tool";
  readonly toolId: string;
  readonly moveId: string;
  readonly input: Readonly<Record<string, unknown>>;
  readonly finding: Finding;
  /** `afterwards`: taken earlier, without the bench state on record. */
  readonly taken: "now" | "afterwards";
  readonly looseReadingId: string | null;
}

export interface DeadCheckReading {
  readonly of: "dead-check";
  readonly checkId: string;
  /** For a look: what was seen. For a reading: the text as typed. */
  readonly entered: string;
  readonly reading: Reading | null;
  readonly taken: "now" | "afterwards";
  readonly verdict: DeadCheckVerdict;
  readonly limit: number | null;
  readonly limitSource: string | null;
}

/** What a move showed, or that it said nothing. */
export interface MoveAnswer {
  readonly moveId: string;
  /** An outcome of the move, `not-sure` or `could-not`. */
  readonly outcomeId: string;
  readonly circumstance: "cold" | "hot" | "loaded";
  readonly taken: "now" | "afterwards";
}

/** Something done to the machine that can change it: it begins a new epoch of evidence. */
export interface InterventionDone {
  readonly label: string;
  readonly faultIds: readonly string[];
  readonly success: number;
}

/** A part taken for the repair, with what was said about its fit when it was chosen. */
export interface PartChosen {
  readonly forPart: "start" | "run";
  readonly partId: string;
  readonly label: string;
  readonly fit: "fit" | "note" | "temporary";
  readonly notes: readonly string[];
  readonly priceMinor: number;
  readonly days: number;
}

/** Which stations of the power path this machine has, all of them named. */
export interface Built {
  readonly stations: readonly string[];
}

/** A price that holds for this job: another machine, or the part of a repair. Minor units. */
export interface Priced {
  /** `machine`, or the id of a repair. */
  readonly of: string;
  readonly minor: number;
}

/** The route taken, with what it was held against when it was taken. Minor units, unrounded. */
export interface DecisionMade {
  readonly route: "part" | "motor" | "replace";
  /** What is done first; nothing where another machine is bought. */
  readonly repairs: readonly string[];
  readonly label: string;
  readonly mean: number;
  /** Chance that the first step does not end it. */
  readonly wrong: number;
  readonly against: { readonly route: "part" | "motor" | "replace"; readonly mean: number };
  /** Why it was taken without a direct proof, where one was asked for; otherwise empty. */
  readonly overrideWhy: string;
}

/** Something taken off the machine, in the order it came off. */
export interface Removed {
  readonly sort: "cover" | "fastener" | "connector" | "wire" | "part" | "seal";
  readonly what: string;
  readonly count: number;
  /** Where it lies, or the terminal it was on. */
  readonly where: string;
}

export interface Refitted {
  /** Line of the log that took it off. */
  readonly line: number;
  readonly how: "back" | "replaced" | "left-out";
  /** Why it was left out. */
  readonly why: string;
}

/** A figure of the machine before and after the repair, each as typed; empty where it was not taken. */
export interface FigurePair {
  readonly quantity: "current" | "speed" | "temperature";
  readonly before: string;
  readonly after: string;
}

/** The run that shows whether the complaint is gone. */
export interface AcceptanceRun {
  readonly circumstance: "cold" | "hot" | "loaded" | "idle";
  readonly minutes: number;
  readonly result: "gone" | "still-there" | "stopped";
  readonly words: string;
  readonly figures: readonly FigurePair[];
  readonly taken: "now" | "afterwards";
}

/** What left the shop, and what may be said of it. Money in minor units. */
export interface SignedOff {
  readonly word: "repaired" | "not-yet-proven" | "not-repaired" | "do-not-use";
  /** Codes of what stands against "repaired". */
  readonly unproven: readonly string[];
  readonly minutes: number;
  readonly labourMinor: number;
  readonly partsMinor: number;
  /** What the owner should watch. */
  readonly watch: string;
}

export interface OwnerAnswer {
  readonly question: string;
  readonly answer: "asked" | "yes" | "no";
  readonly means: "counter" | "telephone" | "message" | "letter";
}

export interface TimerStarted {
  readonly what: "cool-down" | "drain" | "warm-run";
  readonly seconds: number;
}

export interface FollowUp {
  readonly what: string;
  /** Calendar day in the shop's zone, or null where only the condition decides. */
  readonly onDay: string | null;
  readonly condition: string;
}

/** What each kind of entry carries. */
export interface Payloads {
  "taken-in": TakenIn;
  nameplate: MotorPlate | CapacitorPlate;
  complaint: Complaint;
  "bench-state": BenchEvent;
  opened: { readonly access: string };
  closed: { readonly access: string };
  answer: MoveAnswer;
  intervention: InterventionDone;
  reading: ToolReading | DeadCheckReading;
  "part-chosen": PartChosen;
  built: Built;
  priced: Priced;
  decision: DecisionMade;
  removed: Removed;
  refitted: Refitted;
  "acceptance-run": AcceptanceRun;
  "signed-off": SignedOff;
  "not-done": { readonly what: string; readonly why: string };
  "owner-answer": OwnerAnswer;
  "timer-started": TimerStarted;
  "follow-up": FollowUp;
  note: { readonly text: string };
  struck: { readonly seq: number; readonly why: string };
  restored: { readonly seq: number };
}

export type EntryKind = keyof Payloads;

export interface Envelope {
  readonly entryId: string;
  readonly jobId: number;
  readonly seq: number;
  readonly kindVersion: number;
  readonly stage: Stage;
  readonly shown: unknown;
  readonly knowledgeVersion: string;
  readonly settingsVersion: number;
  /** UTC, ISO 8601. */
  readonly at: string;
  readonly by: string;
}

/** The closed union: an entry is one of these kinds and no other. */
export type Entry = {
  [K in EntryKind]: Envelope & { readonly kind: K; readonly payload: Payloads[K] };
}[EntryKind];

/** An entry before the server gave it a place in the log. */
export type NewEntry = { [K in EntryKind]: { readonly kind: K; readonly payload: Payloads[K] } }[EntryKind];
