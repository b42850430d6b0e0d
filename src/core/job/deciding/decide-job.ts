import type { DecisionCase } from "../../decision/action";
import {
  type Decision,
  decide,
  firstAction,
  type Leading,
  type Moved,
  type RefusedRepair,
  refusedRepairs,
  withMoved,
} from "../../decision/decide";
import { type DecisionTrial, decisionCase } from "../../decision/decision-case";
import type { CaseFacts } from "../../decision/making";
import type { Knowledge } from "../../knowledge/types";
import { machineOnBench } from "../isolation/isolation-request";
import type { JobView } from "../log/view";
import { type CostContext, caseFacts, jobCosts } from "./job-costs";

/** What a decision needs to know beside the job. */
export interface DecidingContext extends CostContext {
  readonly faults: Knowledge["faults"];
  readonly stations: Knowledge["stations"];
  readonly settings: CostContext["settings"] & { readonly labourRateMinor: number };
}

/** What isolation found, as far as a decision stands on it. */
export interface Found {
  readonly trials: readonly DecisionTrial[];
  readonly suspects: readonly Leading[];
  readonly next: {
    readonly moveId: string;
    readonly costMinor: number;
    readonly answers: readonly { readonly chance: number; readonly trials: readonly DecisionTrial[] }[];
  } | null;
}

/** What a job's decision stands on. */
export interface JobCase {
  readonly facts: CaseFacts;
  readonly options: DecisionCase;
}

export function jobCase(view: JobView, { trials }: Pick<Found, "trials">, context: DecidingContext): JobCase {
  const machine = machineOnBench(view, context);
  const facts = caseFacts(view, machine, jobCosts(view, machine, context));
  return { facts, options: decisionCase(trials, facts, context, context.parameters) };
}

export interface JobDecision extends Decision {
  readonly refused: readonly RefusedRepair[];
}

/** The same with postage saved: held until the shop orders anyway. Only where somebody said what a day costs. */
function heldCase(
  view: JobView,
  { trials }: Found,
  facts: CaseFacts,
  context: DecidingContext,
): DecisionCase | undefined {
  if (view.said["day"] === undefined || facts.isUnsafe || facts.postageMinor === 0) return undefined;
  const said = { ...view.said, postage: { minor: 0, low: null, high: null } };
  const free = jobCosts({ ...view, said }, facts.machine, context);
  return decisionCase(trials, caseFacts(view, facts.machine, free), context, context.parameters);
}

/** What to do about a job's machine, by an isolation of it; with figures moved, what it would be then. */
export function decideJob(
  view: JobView,
  found: Found,
  context: DecidingContext,
  moved: Moved = {},
  { facts, options }: JobCase = jobCase(view, found, context),
): JobDecision {
  const { next } = found;
  const first = firstAction(options);
  const { chance: _chance, ...prices } = moved;
  const ceilingMinor = view.takenIn?.ceilingMinor ?? null;
  const held = heldCase(view, found, facts, context);
  const hours = facts.minuteMinor * 60;
  const decision = decide(withMoved(options, moved, first), {
    look: next
      ? {
          moveId: next.moveId,
          leastSaved: context.parameters["near-tie-minutes"] * facts.minuteMinor,
          costMinor: next.costMinor * (moved.rate !== undefined && hours > 0 ? moved.rate / hours : 1),
          answers: next.answers.map(({ chance, trials }) => ({
            chance,
            options: withMoved(decisionCase(trials, facts, context, context.parameters), prices, first),
          })),
        }
      : undefined,
    hold: held && { days: context.parameters["hold-days"], options: withMoved(held, moved, first) },
    ceiling:
      ceilingMinor === null
        ? undefined
        : { minor: ceilingMinor, minuteMinor: context.settings.labourRateMinor / 60 },
  });
  return { ...decision, refused: refusedRepairs(found.suspects[0], found.trials, context.faults) };
}
