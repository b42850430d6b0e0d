import type { Incident, Protection } from "../knowledge/move-page.input";
import type { BenchEvent } from "./bench-event.input";

/** What a dead check proves, and what work can spoil. */
export type Proof = "look" | "earth" | "insulation";

/** What must be in before power because of what was told. */
export type Before = Proof | "look-inside";

/** Power, charge, covers: what changes the bench state. */
export type EnergyEvent =
  | Exclude<BenchEvent, { event: "incident" }>
  /** Power was on because of what was done: a live answer, a run, a powered check. */
  | { readonly event: "powered" }
  /** It may have been on since: live work entered late, a line nobody can read, a line of power struck out. */
  | { readonly event: "may-have-had-power" }
  | { readonly event: "opened"; readonly access: string }
  | { readonly event: "closed"; readonly access: string };

/** What is proved of the machine, and what takes a proof away. */
export type ProofEvent =
  | {
      readonly event: "checked";
      readonly checkId: string;
      readonly proves: Proof;
      readonly verdict: "passed" | "failed" | "undecided";
    }
  /** Something was done that can spoil what was proved. */
  | {
      readonly event: "worked";
      readonly spoils: readonly Proof[];
      readonly on: WorkedOn;
      /** Faults that a repair mends. */
      readonly mends?: readonly string[];
    }
  /** A finding that speaks of a protection, from whatever move or tool. */
  | {
      readonly event: "spoke";
      readonly of: Protection;
      readonly by: string;
      readonly verdict: "passed" | "failed";
    }
  | { readonly event: "told"; readonly before: readonly Before[] }
  | { readonly event: "looked-inside" }
  | { readonly event: "incident"; readonly what: Incident }
  /** Something was proved that can make power do these things: it is a reason for those that it did before. */
  | ({ readonly event: "explained"; readonly can: readonly Incident[] } & Reason)
  /** Live work written down late: it never had its grant. */
  | { readonly event: "without-grant" };

/** Why power did something: a fault that was found, or, where a dead check failed, what it proves. */
export type Reason = { readonly by: string } | { readonly failed: Proof };

/** What the machine was worked on for, as screens name it. */
export type WorkedOn = "machine" | "repair" | "wires" | "parts" | "reopened" | "told" | "incident";

/**
 * What a line of the log did. Each kind of entry states its own (`src/log/kinds/<kind>/energy.ts`); the fold sees nothing
 * else.
 */
export type LineEvent = EnergyEvent | ProofEvent;
