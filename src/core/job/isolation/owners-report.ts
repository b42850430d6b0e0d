import type { IsolateRequest } from "../../isolation/isolate.input";
import { signMove, TOLD } from "../../knowledge/sign-move";
import type { Knowledge } from "../../knowledge/types";
import type { Complaint } from "../log/entry";
import type { JobView } from "../log/view";

type Said = IsolateRequest["evidence"];

/** Says nothing, and is not asked again. */
const NOT_ASKED = "not-sure";

/** The sign that a machine shows by being brought again. */
const CAME_BACK = signMove("came-back");

/** Of a machine that the shop itself has worked on nobody asks who was inside. */
const OWN_WORK: readonly [string, string][] = [
  ["look-earlier-work", NOT_ASKED],
  ["ask-history", NOT_ASKED],
];

const WHEN: Readonly<Record<Complaint["circumstance"], string | undefined>> = {
  always: "always",
  cold: "cold",
  hot: "hot",
  "after-minutes": "hot",
  loaded: "loaded",
  wet: "wet",
  sometimes: "sometimes",
  "not-known": undefined,
};

const pair = (moveId: string, outcomeId: string): [string, string] => [moveId, outcomeId];

/** What was complained of when the machine stood as it did in an epoch. */
interface Telling {
  readonly complaint: Complaint;
  readonly seq: number;
  readonly epoch: number;
}

/**
 * Each time the machine came in: at first, and whenever it came back after work. Where nothing new was told then, it does
 * what it did before. Corrected in between, the last words stand.
 */
function tellings({ told, ledger, interventions }: JobView): readonly Telling[] {
  const back = ledger.filter(({ kind, isStruck }) => kind === "reopened" && !isStruck).map(({ seq }) => seq);
  return [0, ...back].flatMap((from, index): Telling[] => {
    const until = back[index] ?? Number.POSITIVE_INFINITY;
    const complaint = told.findLast(({ seq }) => seq < until);
    if (!complaint) return [];
    const epoch = interventions.filter(({ seq }) => seq < from).length;
    // A machine that comes back without having been worked on is as it was.
    return from > 0 && epoch === 0 ? [] : [{ complaint, seq: Math.max(from, complaint.seq), epoch }];
  });
}

/**
 * The complaint as the owner's words: every sign by itself, none dropped for another. Questions that it settles are not
 * asked any more; a question that was asked since speaks for itself.
 */
export function ownersReport(job: JobView, signs: Knowledge["signs"]): Said {
  return tellings(job).flatMap(({ complaint, seq, epoch }) => {
    const ticked = signs.filter(({ id }) => complaint.signs.includes(id));
    const when = WHEN[complaint.circumstance];
    const said: [moveId: string, outcomeId: string][] = [
      ...(epoch > 0 ? [pair(CAME_BACK, TOLD), ...OWN_WORK] : []),
      ...ticked.map(({ id }): [string, string] => [signMove(id), TOLD]),
      ...[...new Set(ticked.flatMap(({ settles }) => settles ?? []))].map((id): [string, string] => [
        id,
        NOT_ASKED,
      ]),
      ...(when ? [pair("ask-when", when)] : []),
    ];
    const asked = new Set(job.answers.filter((one) => one.epoch === epoch).map(({ moveId }) => moveId));
    return said
      .filter(([moveId]) => !asked.has(moveId))
      .map(([moveId, outcomeId]) => ({ seq, epoch, circumstance: "cold" as const, moveId, outcomeId }));
  });
}
