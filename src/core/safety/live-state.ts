import type { Danger } from "./dangers/danger";
import type { ProofEvent, WorkedOn } from "./energy-event";
import type { RunSpan } from "./power-clock";
import type { Proof } from "./proof";

/** What the log proves of the machine, and what about it can hurt. Lists, since it goes to screens as JSON. */
export interface LiveState {
  /** The last of each dead check. */
  readonly checks: readonly {
    readonly checkId: string;
    readonly proves: Proof;
    readonly verdict: "passed" | "failed" | "undecided";
    readonly seq: number;
  }[];
  /** The last thing that took each proof away. */
  readonly spoilt: readonly { readonly proof: Proof; readonly on: WorkedOn; readonly seq: number }[];
  /** Everything about the machine that can hurt, open and closed, in the order it was opened. */
  readonly dangers: readonly Danger[];
  /** Smoke or a burnt smell was told, and nobody looked inside since. */
  readonly owesLookInside: boolean;
  /** Smoke, burnt smell, shock or water was told: leakage never stands for insulation before the first power. */
  readonly toldSeq: number;
  /** Last cover opened. */
  readonly openedSeq: number;
  /** Last time it did not run as it should, or was told to do what it came for. */
  readonly stalledSeq: number;
  /** Lines of live work that were written down late. */
  readonly withoutGrant: readonly number[];
  /** Runs that were made now, with the time that power was on for them. */
  readonly runs: readonly RunSpan[];
}

export const NOTHING_PROVED: LiveState = {
  checks: [],
  spoilt: [],
  dangers: [],
  owesLookInside: false,
  toldSeq: 0,
  openedSeq: 0,
  stalledSeq: 0,
  withoutGrant: [],
  runs: [],
};

function spoil(state: LiveState, proofs: readonly Proof[], on: WorkedOn, seq: number): LiveState {
  const kept = state.spoilt.filter(({ proof }) => !proofs.includes(proof));
  return { ...state, spoilt: [...kept, ...proofs.map((proof) => ({ proof, on, seq }))] };
}

/** The one place where what is proved of a machine changes. */
export function applyProofEvent(state: LiveState, event: ProofEvent, seq: number): LiveState {
  switch (event.event) {
    case "checked": {
      const { checkId, proves, verdict } = event;
      const others = state.checks.filter((one) => one.checkId !== checkId);
      return { ...state, checks: [...others, { checkId, proves, verdict, seq }] };
    }
    case "worked":
      return spoil(state, event.spoils, event.on, seq);
    case "told": {
      const proofs = event.before.filter((one): one is Proof => one !== "look-inside");
      const owesLookInside = state.owesLookInside || event.before.includes("look-inside");
      return {
        ...spoil(state, proofs, "told", seq),
        owesLookInside,
        toldSeq: event.before.length > 0 ? seq : state.toldSeq,
      };
    }
    case "looked-inside":
      return { ...state, owesLookInside: false };
    case "incident":
      return event.what === "trip" ? state : spoil(state, ["insulation"], "incident", seq);
    case "stalled":
      return { ...state, stalledSeq: seq };
    case "without-grant":
      return { ...state, withoutGrant: [...state.withoutGrant, seq] };
  }
}
