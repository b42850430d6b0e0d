import type { KindParts } from "@/log/folds";
import type { EntryKind, Payloads } from "@/log/schemas";
import type { SaidPrices } from "../../decision/figures";
import type { Knowledge, Limits } from "../../knowledge/types";
import type { BenchMachine, BenchState } from "../../safety/bench-state";
import type { LiveState } from "../../safety/live-state";
import type { PlugFacts } from "../../safety/plug-watch";
import type { Reassembly } from "../reassembly/reassembly";
import type { Stage } from "../stages";
import type { Unreadable } from "./entry";
import type { Placed } from "./lines";
import type { JobAnswer } from "./told-answers";

interface LineFacts extends Placed {
  readonly stage: Stage;
  readonly isStruck: boolean;
}

/** One line of the job's log as the ledger shows it. */
export type LedgerLine =
  | { [K in EntryKind]: LineFacts & { readonly kind: K; readonly payload: Payloads[K] } }[EntryKind]
  | (LineFacts & Unreadable);

/** All that the log says about a job, worked out from its entries: what each kind brings, and what concerns several. */
export interface JobView extends KindParts, Reassembly {
  readonly jobId: number;
  /** Sequence number of the last entry: the next one is posted with it as `expectedSeq`. */
  readonly seq: number;
  readonly machine: BenchMachine;
  readonly bench: BenchState;
  /** What is proved of it, as far as live work is earned by it. */
  readonly live: LiveState;
  readonly plugFacts: PlugFacts;
  /** What isolation works on: answers to moves and what readings told, each in its epoch. */
  readonly answers: readonly JobAnswer[];
  /** Prices that hold for this job, minor units, by repair; `machine` is another machine. */
  readonly prices: Readonly<Record<string, number>>;
  /** The same with the ends within which they lie, where those were said. */
  readonly said: SaidPrices;
  /** Lines that stand and cannot be read any more. */
  readonly unreadable: readonly Placed[];
  readonly ledger: readonly LedgerLine[];
}

/** What the reducer needs to know beside the entries. */
export interface JobContext {
  readonly families: Knowledge["families"];
  readonly archetypes: Knowledge["archetypes"];
  readonly hazards: Knowledge["hazards"];
  readonly repairs: Knowledge["repairs"];
  readonly moves: Knowledge["moves"];
  readonly faults: Knowledge["faults"];
  readonly deadChecks: Knowledge["deadChecks"];
  readonly signs: Knowledge["signs"];
  readonly stations: Knowledge["stations"];
  readonly protections: Knowledge["protections"];
  readonly limits: Limits;
}
