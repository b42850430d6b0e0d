import type { Incident } from "../knowledge/move-page.input";
import type { StoreId } from "../knowledge/types";
import type { BenchEvent } from "./bench-event.input";
import type { DangerKind, Remedy } from "./dangers/danger";
import type { Proof } from "./proof";

/** What must be in before power because of what was told. */
export type Before = Proof | "look-inside";

/** Power, charge, covers: what changes the bench state. */
export type EnergyEvent =
  | Exclude<BenchEvent, { event: "incident" }>
  /** Power was on because of what was done: a live answer, a run, a powered check. */
  | { readonly event: "powered" }
  /** It may have been on since: live work entered late, a line nobody can read, a line of power struck out. */
  | { readonly event: "may-have-had-power" }
  /** What is left of a clip whose line was struck out: it may be on. */
  | { readonly event: "clip-struck"; readonly id: StoreId }
  | { readonly event: "opened"; readonly access: string }
  | { readonly event: "closed"; readonly access: string }
  /** Another visit, or other hazards were said: what was seen to before says nothing of it. */
  | { readonly event: "seen-to-anew" }
  /** It was signed off and left. */
  | { readonly event: "left" };

/** Something was done that can spoil what was proved. */
export interface Worked {
  readonly event: "worked";
  readonly spoils: readonly Proof[];
  readonly on: WorkedOn;
  /** Faults that a repair mends, more than consequences, and the stations it was done at. */
  readonly mends: readonly string[];
  readonly stations: readonly string[];
}

/** What opens a danger, and what closes one. */
export type DangerEvent =
  | {
      readonly event: "danger";
      readonly kind: DangerKind;
      readonly place: string;
      readonly remedies: readonly Remedy[];
      readonly test: string;
      /** It was mended already as it was opened here, on an earlier visit; its test is owed. */
      readonly isMended?: boolean;
      /** Minutes after which it comes, as it was told. */
      readonly afterMinutes?: number;
    }
  | Worked
  /** Tests that were passed, each by every name it goes by. */
  | { readonly event: "tested"; readonly tests: readonly string[] }
  /** A run with its grant came to its end, after these minutes. */
  | { readonly event: "ran"; readonly isClean: boolean; readonly minutes: number }
  /** Something was found that can make power do these things: a reason for those that it did before. */
  | {
      readonly event: "explained";
      readonly can: readonly string[];
      readonly remedy: Remedy;
      /** It lies outside the machine: finding it is enough. */
      readonly isOutside: boolean;
    };

/** What turns stood still so many seconds after the switch was off. */
export interface Stopped {
  readonly event: "stopped-in";
  readonly seconds: number;
  /** Timed in a clean run with its grant: within the limit it is the test of a brake. */
  readonly isTest: boolean;
}

/** What is proved of the machine, and what takes a proof away. */
export type ProofEvent =
  | {
      readonly event: "checked";
      readonly checkId: string;
      readonly proves: Proof;
      readonly verdict: "passed" | "failed" | "undecided";
    }
  | Worked
  | { readonly event: "told"; readonly before: readonly Before[] }
  | { readonly event: "looked-inside" }
  /** Power did something that hurts: insulation is read anew. */
  | { readonly event: "incident"; readonly what: Incident }
  /** It did not run as it should, or did what it came for, after whatever was read before. */
  | { readonly event: "stalled" }
  /** Live work written down late: it never had its grant. */
  | { readonly event: "without-grant" };

/** What the machine was worked on for, as screens name it. */
export type WorkedOn = "machine" | "repair" | "wires" | "parts" | "reopened" | "told" | "incident";

/**
 * What a line of the log did. Each kind of entry states its own (`src/log/kinds/<kind>/energy.ts`); the fold sees nothing
 * else.
 */
export type LineEvent = EnergyEvent | ProofEvent | DangerEvent | Stopped;
