import type { Entry } from "@/core/job/log/entry";
import type { DeadCheck, Fault, Knowledge, Move } from "@/core/knowledge/types";
import type { DangerEvent, LineEvent } from "@/core/safety/energy-event";
import type { EntryKind, Payloads } from "./schemas";

/** What a kind's energy follows from beside its own payload. */
export interface EnergyContext {
  readonly moves: ReadonlyMap<string, Move>;
  readonly faults: ReadonlyMap<string, Fault>;
  readonly deadChecks: ReadonlyMap<string, DeadCheck>;
  readonly signs: ReadonlyMap<string, Knowledge["signs"][number]>;
  readonly stations: ReadonlyMap<string, Knowledge["stations"][number]>;
  readonly protections: ReadonlyMap<string, Knowledge["protections"][number]>;
  /** Faults that an answer proves: `move:answer`. */
  readonly proofs: ReadonlyMap<string, readonly Fault[]>;
}

/** What a line of this kind did to the energy in the machine and to what is proved of it. */
export type EnergyOf<K extends EntryKind> = (
  payload: Payloads[K],
  context: EnergyContext,
  /** Lines before this one that stand. */
  earlier: readonly Entry[],
) => readonly LineEvent[];

export const answerKey = (moveId: string, outcomeId: string): string => `${moveId}:${outcomeId}`;

/** A brake may have been worked on: its stop is timed. */
export const BRAKE: DangerEvent = {
  event: "danger",
  kind: "brake",
  place: "brake",
  remedies: [],
  test: "stop-time",
};

/** The test of its own that a protection owes once it was off. */
export function protectionTests({
  move,
  isBrake,
}: Pick<Knowledge["protections"][number], "move" | "isBrake">): readonly DangerEvent[] {
  const test = `move:${move ?? ""}`;
  return [
    ...(move === undefined
      ? []
      : [{ event: "danger", kind: "renewed", place: test, remedies: [], test } as const]),
    ...(isBrake ? [BRAKE] : []),
  ];
}
