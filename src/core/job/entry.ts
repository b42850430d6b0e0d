import type { Reading } from "../quantity/reading";
import type { BenchEvent, BenchMachine } from "../safety/bench-state";
import type { DeadCheckVerdict, ProtectionClass } from "../safety/dead-checks";
import type { Finding } from "../tools/finding.input";
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
  /** Who has been inside before and what was tried. */
  readonly history: string;
  /** Parts that were changed before, as far as anyone knows. */
  readonly earlierParts: string;
  /** Hazards said at the door that its kind does not tell: ids of the knowledge. */
  readonly hazards: readonly string[];
  /** Fee for looking, minor units; `feeCounts`: it is set off against the repair. */
  readonly feeMinor: number | null;
  readonly feeCounts: boolean;
  /** Paid ahead for parts, minor units. */
  readonly depositMinor: number | null;
  readonly recall: RecallLook;
  /** The job of the same machine, or of one of its kind, that this one was begun from. */
  readonly from: { readonly jobId: number; readonly as: "same" | "twin" } | null;
}

/** Whether someone looked for a recall of this machine, and where. */
export interface RecallLook {
  readonly looked: "nothing-found" | "recalled" | "not-looked";
  readonly where: string;
}

/** Plate values as they stand on the plate, each as typed. */
export interface MotorPlate {
  readonly plate: "motor";
  readonly volts: string;
  readonly hertz: string;
  readonly amps: string;
  readonly power: string;
  readonly speed: string;
  /** What the power on the plate is: taken in, given out at the shaft, or a peak for selling. */
  readonly powerIs: "input" | "output" | "peak" | "not-said";
  /** Type and serial codes. */
  readonly typeCode: string;
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
  /** The move that it was taken for; null for a reading that answers none. */
  readonly moveId: string | null;
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
  /** The limit row it was held against. */
  readonly limitId: string | null;
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
  /** The fault was plainly seen before it was mended: the look that proves it. */
  readonly seen: { readonly moveId: string; readonly outcomeId: string } | null;
}

/** A picture that was kept: its bytes lie beside the database under their hash. */
export interface Picture {
  readonly sha256: string;
  readonly of: "nameplate" | "outside" | "inside" | "wiring" | "damage";
  /** Pixels, as kept. */
  readonly width: number;
  readonly height: number;
  readonly words: string;
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

/** Where on a picture: its line, and shares of its width and height from the top left. */
export interface Pin {
  readonly picture: number;
  readonly x: number;
  readonly y: number;
}

export type RemovedSort = "cover" | "fastener" | "connector" | "wire" | "mark" | "part" | "seal" | "washer";

/** Something taken off the machine, in the order it came off. */
export interface Removed {
  readonly sort: RemovedSort;
  readonly what: string;
  readonly count: number;
  /** Where it lies. */
  readonly where: string;
  /** Drive of a fastener. */
  readonly drive: string;
  /** Colour of a wire, and the terminal it was on. */
  readonly colour: string;
  readonly terminal: string;
  /** How tight it was or shall be, as typed; and what glue or lock it had. */
  readonly torque: string;
  readonly adhesive: string;
  readonly pin: Pin | null;
}

/** A line that came off, shown on a picture taken since. */
export interface Pinned extends Pin {
  readonly line: number;
}

/** The order in which what is off goes back, first one first. */
export interface Reordered {
  readonly lines: readonly number[];
}

export interface Refitted {
  /** Line of the log that took it off. */
  readonly line: number;
  readonly how: "back" | "replaced" | "left-out";
  /** How many of it; all that is left when nothing is said. */
  readonly count: number | null;
  /** Why it was left out. */
  readonly why: string;
  /** Small parts moved over from the old one to the new. */
  readonly carried: readonly string[];
}

/** A figure of the machine before and after the repair, each as typed; empty where it was not taken. */
export interface FigurePair {
  readonly quantity: "current" | "time" | "capacitance" | "noise" | "temperature" | "speed";
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
  /** What the outlet was behind. */
  readonly outlet: "residual-current" | "other" | "not-said";
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
  readonly about: "look-again" | "temporary-part";
  readonly what: string;
  /** Calendar day in the shop's zone, or null where only the condition decides. */
  readonly onDay: string | null;
  /** Below this temperature, °C as typed at the bench; after so many hours of running. */
  readonly belowCelsius: number | null;
  readonly afterHours: number | null;
  readonly condition: string;
}

/** What became of a follow-up: how it was found when it was looked at again. */
export interface FollowedUp {
  readonly line: number;
  readonly result: "good" | "came-back" | "let-go";
  readonly words: string;
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
  picture: Picture;
  removed: Removed;
  pinned: Pinned;
  reordered: Reordered;
  refitted: Refitted;
  "acceptance-run": AcceptanceRun;
  "signed-off": SignedOff;
  "not-done": { readonly what: string; readonly why: string };
  "owner-answer": OwnerAnswer;
  "timer-started": TimerStarted;
  "follow-up": FollowUp;
  "followed-up": FollowedUp;
  reopened: { readonly why: string };
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
