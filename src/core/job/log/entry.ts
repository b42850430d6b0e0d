import type { EntryKind, Payloads } from "@/log/schemas";
import type { Stage } from "../stages";

export type { EntryKind, Payloads } from "@/log/schemas";

export type TakenIn = Payloads["taken-in"];
export type RecallLook = TakenIn["recall"];
export type MotorPlate = Extract<Payloads["nameplate"], { plate: "motor" }>;
export type CapacitorPlate = Extract<Payloads["nameplate"], { plate: "capacitor" }>;
export type Complaint = Payloads["complaint"];
export type ToolReading = Extract<Payloads["reading"], { of: "tool" }>;
export type DeadCheckReading = Extract<Payloads["reading"], { of: "dead-check" }>;
export type MoveAnswer = Payloads["answer"];
export type InterventionDone = Payloads["intervention"];
export type Picture = Payloads["picture"];
export type PartChosen = Payloads["part-chosen"];
export type Priced = Payloads["priced"];
export type Pin = NonNullable<Removed["pin"]>;
export type RemovedSort = Removed["sort"];
export type Removed = Payloads["removed"];
export type Refitted = Payloads["refitted"];
export type FigurePair = AcceptanceRun["figures"][number];
export type AcceptanceRun = Payloads["acceptance-run"];
export type SignedOff = Payloads["signed-off"];
export type OwnerAnswer = Payloads["owner-answer"];
export type FollowUp = Payloads["follow-up"];
export type FollowedUp = Payloads["followed-up"];

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

/** What is left of a kept line that its schema does not read: shown as it is, struck out at will, never posted. */
export interface Unreadable {
  readonly kind: "unreadable";
  readonly payload: {
    /** The kind it was kept as. */
    readonly was: string;
    /** What was kept, as text. */
    readonly raw: string;
    /** What does not fit. */
    readonly why: string;
  };
}

/** The closed union: an entry is one of these kinds and no other. */
export type Entry =
  | { [K in EntryKind]: Envelope & { readonly kind: K; readonly payload: Payloads[K] } }[EntryKind]
  | (Envelope & Unreadable);

/** An entry before the server gave it a place in the log. */
export type NewEntry = { [K in EntryKind]: { readonly kind: K; readonly payload: Payloads[K] } }[EntryKind];
