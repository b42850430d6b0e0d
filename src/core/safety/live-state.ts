import type { Incident, Protection } from "../knowledge/move-page.input";
import type { Proof, ProofEvent, Reason, WorkedOn } from "./energy-event";

/** What the log proves of the machine as far as live work depends on it. Lists, since it goes to screens as JSON. */
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
  /** Findings of a failed protection that nothing has answered. */
  readonly failing: readonly { readonly of: Protection; readonly by: string; readonly seq: number }[];
  /** What power did, until a reason that can do just that was found since, and was mended after it was found. */
  readonly incidents: readonly {
    readonly what: Incident;
    readonly seq: number;
    readonly reasons: readonly Reason[];
  }[];
  /** Smoke or a burnt smell was told, and nobody looked inside since. */
  readonly owesLookInside: boolean;
  /** Smoke, burnt smell, shock or water was told: leakage never stands for insulation before the first power. */
  readonly toldSeq: number;
  /** Last cover opened. */
  readonly openedSeq: number;
  /** Last thing done that can spoil a proof. */
  readonly workedSeq: number;
  /** Lines of live work that were written down late. */
  readonly withoutGrant: readonly number[];
}

export const NOTHING_PROVED: LiveState = {
  checks: [],
  spoilt: [],
  failing: [],
  incidents: [],
  owesLookInside: false,
  toldSeq: 0,
  openedSeq: 0,
  workedSeq: 0,
  withoutGrant: [],
};

function spoil(state: LiveState, proofs: readonly Proof[], on: WorkedOn, seq: number): LiveState {
  const kept = state.spoilt.filter(({ proof }) => !proofs.includes(proof));
  return { ...state, spoilt: [...kept, ...proofs.map((proof) => ({ proof, on, seq }))] };
}

/** The dead check that stands for a protection whoever found it failing, once something was done about it. */
const CANONICAL: Readonly<Partial<Record<Protection, string>>> = {
  earth: "check:earth-continuity",
  insulation: "check:insulation",
  cord: "check:look-and-cord",
};

function spoke(state: LiveState, event: Extract<ProofEvent, { event: "spoke" }>, seq: number): LiveState {
  const others = state.failing.filter(({ by }) => by !== event.by);
  if (event.verdict === "failed")
    return { ...state, failing: [...others, { of: event.of, by: event.by, seq }] };
  const isAnswered = (failed: LiveState["failing"][number]): boolean =>
    failed.of === event.of && CANONICAL[event.of] === event.by && failed.seq < state.workedSeq;
  return { ...state, failing: others.filter((failed) => !isAnswered(failed)) };
}

type Worked = Extract<ProofEvent, { event: "worked" }>;

/** Whether work mends a reason: the fault that was found, or what spoilt the proof that failed. */
function isMended(reason: Reason, { on, mends = [], spoils }: Worked): boolean {
  if (on !== "repair") return false;
  return "by" in reason ? mends.includes(reason.by) : spoils.includes(reason.failed);
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
      return {
        ...spoil(state, event.spoils, event.on, seq),
        incidents: state.incidents.filter(({ reasons }) => !reasons.some((one) => isMended(one, event))),
        workedSeq: seq,
      };
    case "spoke":
      return spoke(state, event, seq);
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
    case "incident": {
      const stopped = {
        ...state,
        incidents: [...state.incidents, { what: event.what, seq, reasons: [] }],
      };
      return event.what === "trip" ? stopped : spoil(stopped, ["insulation"], "incident", seq);
    }
    case "explained": {
      const { event: _, can, ...reason } = event;
      const incidents = state.incidents.map((one) =>
        can.includes(one.what) ? { ...one, reasons: [...one.reasons, reason] } : one,
      );
      return { ...state, incidents };
    }
    case "without-grant":
      return { ...state, withoutGrant: [...state.withoutGrant, seq] };
  }
}
