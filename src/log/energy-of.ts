import type { Entry } from "@/core/job/log/entry";
import type { DeadCheck, Fault, Knowledge, Move } from "@/core/knowledge/types";
import type { DangerEvent, LineEvent } from "@/core/safety/energy-event";
import { STOP_TIMED } from "@/core/safety/stop-time";
import type { EntryKind, Payloads } from "./schemas";

/** What a kind's energy follows from beside its own payload. */
export interface EnergyContext {
  readonly moves: ReadonlyMap<string, Move>;
  readonly faults: ReadonlyMap<string, Fault>;
  readonly deadChecks: ReadonlyMap<string, DeadCheck>;
  readonly signs: ReadonlyMap<string, Knowledge["signs"][number]>;
  readonly stations: ReadonlyMap<string, Knowledge["stations"][number]>;
  readonly repairs: ReadonlyMap<string, Knowledge["repairs"][number]>;
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
  test: STOP_TIMED,
};

/** In a run it is seen which way it turns. */
export const TURNS = "turns";

/** Another motor, or its leads worked on: it may turn the wrong way. */
export const DIRECTION: DangerEvent = {
  event: "danger",
  kind: "direction",
  place: "motor",
  remedies: [],
  test: TURNS,
};

/** What is asked of a chosen part changed: the choice is weighed again. */
export const askedAnew = (forPart: string): DangerEvent => ({
  event: "danger",
  kind: "asked-anew",
  place: forPart,
  remedies: [],
  test: `choice:${forPart}`,
});

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
