import { withholding } from "../safety/dangers/danger";
import type {
  AcceptanceRun,
  Complaint,
  DeadCheckReading,
  InterventionDone,
  TakenIn,
  ToolReading,
} from "./log/entry";
import type { Placed } from "./log/lines";
import type { JobView } from "./log/view";

type Whole =
  | "jobId"
  | "seq"
  | "machine"
  | "bench"
  | "live"
  | "plugFacts"
  | "questions"
  | "timers"
  | "unreadable"
  | "lastChangeSeq";

/**
 * As much of a job as says where it stands and what it waits for: what the Bench needs of each machine. A whole view is
 * one, too.
 */
export interface Standing extends Pick<JobView, Whole> {
  readonly takenIn: Pick<
    TakenIn,
    "machine" | "tag" | "place" | "family" | "protectionClass" | "ownerId"
  > | null;
  readonly complaint: Pick<NonNullable<JobView["complaint"]>, "circumstance" | "afterMinutes" | "seq"> | null;
  readonly deadChecks: readonly (Pick<DeadCheckReading, "checkId" | "verdict"> & { readonly seq: number })[];
  readonly readings: readonly (Pick<ToolReading, "moveId" | "toolId"> & {
    readonly seq: number;
    readonly finding: Pick<ToolReading["finding"], "verdict">;
  })[];
  readonly answers: readonly { readonly seq: number; readonly isCheck?: true | undefined }[];
  readonly interventions: readonly {
    readonly seq: number;
    readonly isConsequence: boolean;
    readonly part: InterventionDone["part"];
  }[];
  /** Every way the complaint was told, first and since. */
  readonly told: readonly Pick<Complaint, "circumstance" | "afterMinutes">[];
  readonly parts: readonly Pick<JobView["parts"][number], "label" | "fit">[];
  readonly decision:
    | (Pick<NonNullable<JobView["decision"]>, "route" | "label" | "repairs"> & { readonly seq: number })
    | null;
  readonly removed: readonly (Pick<JobView["removed"][number], "seq" | "sort"> & {
    readonly refit: Placed | null;
  })[];
  readonly runs: readonly (Pick<AcceptanceRun, "result" | "circumstance" | "minutes" | "figures"> & {
    readonly seq: number;
  })[];
  readonly signedOff: Pick<NonNullable<JobView["signedOff"]>, "word" | "seq" | "at" | "byDangers"> | null;
  /** The last time it came back after it was signed off. */
  readonly reopened: Pick<Placed, "seq"> | null;
  readonly ownerSaid: Pick<NonNullable<JobView["ownerSaid"]>, "answer" | "leadsTo" | "byDay" | "seq"> | null;
  readonly orders: readonly Pick<JobView["orders"][number], "part" | "state" | "expectedOn" | "seq" | "at">[];
  readonly followUps: readonly (Pick<
    JobView["followUps"][number],
    "seq" | "what" | "about" | "condition" | "onDay" | "belowCelsius" | "afterHours"
  > & { readonly done: Placed | null })[];
}

function placeOf({ seq, at, by }: Placed): Placed {
  return { seq, at, by };
}

type Condition = Pick<Complaint, "circumstance" | "afterMinutes">;

function conditionOf({ circumstance, afterMinutes }: Condition): Condition {
  return { circumstance, afterMinutes };
}

function doneOf({
  seq,
  isConsequence,
  part,
}: Standing["interventions"][number]): Standing["interventions"][number] {
  return { seq, isConsequence, part };
}

function offOf({ seq, sort, refit }: JobView["removed"][number]): Standing["removed"][number] {
  return { seq, sort, refit: refit && placeOf(refit) };
}

/** What is between the shop, the owner and those who sell parts. */
function awaitedOf(view: JobView): Pick<Standing, "ownerSaid" | "orders" | "reopened"> {
  const { ownerSaid, orders, reopened } = view;
  return {
    reopened: reopened && { seq: reopened.seq },
    ownerSaid: ownerSaid && {
      answer: ownerSaid.answer,
      leadsTo: ownerSaid.leadsTo,
      byDay: ownerSaid.byDay,
      seq: ownerSaid.seq,
    },
    orders: orders.map(({ part, state, expectedOn, seq, at }) => ({ part, state, expectedOn, seq, at })),
  };
}

/** The little that is kept of each job beside its log. */
export function standingOf(view: JobView): Standing {
  const { jobId, seq, machine, bench, live, plugFacts, unreadable } = view;
  const { takenIn, complaint, decision, signedOff, lastChangeSeq } = view;
  return {
    jobId,
    seq,
    machine,
    bench,
    live,
    plugFacts,
    deadChecks: view.deadChecks.map(({ seq: line, checkId, verdict }) => ({ seq: line, checkId, verdict })),
    // Only the last question and the last timer are waited for.
    questions: view.questions.slice(-1),
    timers: view.timers.slice(-1),
    unreadable,
    lastChangeSeq,
    ...awaitedOf(view),
    takenIn: takenIn && {
      machine: takenIn.machine,
      tag: takenIn.tag,
      place: takenIn.place,
      family: takenIn.family,
      protectionClass: takenIn.protectionClass,
      ownerId: takenIn.ownerId,
    },
    complaint: complaint && { ...conditionOf(complaint), seq: complaint.seq },
    readings: view.readings.map(({ seq: line, moveId, toolId, finding: { verdict } }) => ({
      seq: line,
      moveId,
      toolId,
      finding: { verdict },
    })),
    answers: view.answers.filter(({ isCheck }) => !isCheck).map(({ seq: line }) => ({ seq: line })),
    interventions: view.interventions.map(doneOf),
    told: view.told.map(conditionOf),
    parts: view.parts.map(({ label, fit }) => ({ label, fit })),
    decision: decision && {
      seq: decision.seq,
      route: decision.route,
      label: decision.label,
      repairs: decision.repairs,
    },
    removed: view.removed.map(offOf),
    runs: view.runs.map(({ seq: line, result, circumstance, minutes, figures }) => ({
      seq: line,
      result,
      circumstance,
      minutes,
      figures,
    })),
    signedOff: signedOff && {
      seq: signedOff.seq,
      at: signedOff.at,
      word: signedOff.word,
      byDangers: signedOff.byDangers,
    },
    followUps: view.followUps.map(
      ({ seq: line, what, about, condition, onDay, belowCelsius, afterHours, done }) => ({
        seq: line,
        what,
        about,
        condition,
        onDay,
        belowCelsius,
        afterHours,
        done: done && placeOf(done),
      }),
    ),
  };
}

/**
 * Whether something forbids its use that did not as the machine was signed off: opened since, or open again because a line
 * that had closed it was struck out.
 */
export function hasDangerSince(view: Pick<Standing, "signedOff" | "live">): boolean {
  const { signedOff, live } = view;
  if (signedOff === null) return false;
  const wasClean = signedOff.byDangers && signedOff.word !== "do-not-use";
  return withholding(live.dangers, "use").some(({ openedBy }) => wasClean || openedBy > signedOff.seq);
}

/**
 * Whether a machine is still on the bench: it is not signed off, something of it is still to be looked at, or what was
 * written down since says that its owner has to be told.
 */
export function isHere(view: Pick<Standing, "signedOff" | "followUps" | "live">): boolean {
  const { signedOff, followUps } = view;
  return signedOff === null || hasDangerSince(view) || followUps.some(({ done }) => done === null);
}
