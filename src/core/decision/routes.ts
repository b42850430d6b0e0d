import { type DecisionCase, type End, type EndId, sureEnd } from "./action";
import { type Ending, endingsOf, quantiles, usesOf } from "./endings";
import { type Plan, type Step, type Walked, walk } from "./plan";

export type MendId =
  | "part"
  | "clean"
  | "pair"
  | "donor"
  | "then-motor"
  | "motor"
  | "assembly"
  | "measure"
  | "hold"
  | "retest";
export type RouteId = MendId | EndId;

/** What a route costs on average, by what it goes into. Minor units, unrounded. */
export interface Parts {
  /** Parts and machines, with mark-up, postage and tools. */
  readonly cash: number;
  readonly time: number;
  /** Days without the machine. */
  readonly waiting: number;
  /** What is saved, below zero, on what is likely to fail next. */
  readonly later: number;
}

export interface Route extends Parts {
  readonly id: RouteId;
  /** What is done, in order, until it runs; the end is not in it. */
  readonly steps: readonly Step[];
  /** How it ends where no step helped. */
  readonly end: End;
  /** The measurement that comes before anything is chosen. */
  readonly look?: string | undefined;
  /** Days that it waits before anything is done. */
  readonly holdDays?: number | undefined;
  /** Expected cost: all its parts together. */
  readonly mean: number;
  /** Costs that are exceeded in nine and in one of ten such cases. */
  readonly low: number;
  readonly high: number;
  /** Chance that the first step does not end it. */
  readonly wrong: number;
  /** Chance that none of its steps does. */
  readonly givesUp: number;
  /** Years of use that it buys on average. */
  readonly years: number;
  /** The same cost for each year of use, with interest; null where it buys none. */
  readonly perYear: number | null;
}

/** What a walked plan costs, by what it goes into. */
function partsOf({ steps, end, stillWrong }: Walked, options: DecisionCase): Parts {
  const { minuteMinor, dayMinor } = options;
  const rows = steps.map(({ action, made, cures }) => ({ ...action, share: made, cures }));
  const failed = stillWrong * (1 - end.success);
  const ends = [
    { ...end, share: stillWrong },
    ...(failed > 0 ? [{ ...sureEnd(options), share: failed }] : []),
  ];
  const sum = (of: (row: (typeof rows)[number] | (typeof ends)[number]) => number): number =>
    [...rows, ...ends].reduce((all, row) => all + row.share * of(row), 0);
  return {
    cash: sum(({ cash }) => cash.likely),
    time: sum(({ minutes }) => minutes.likely * minuteMinor),
    waiting: sum(({ days }) => days * dayMinor),
    later: rows.reduce((all, { cures, later }) => all + cures * (later ?? 0), 0),
  };
}

/** A plan as the route that it is, under a case. */
export function routeOf(id: RouteId, plan: Plan, options: DecisionCase): Route {
  const walked = walk(plan, options);
  const [low = 0, high = 0] = quantiles(endingsOf(walked, options), [0.1, 0.9]);
  const { years, worth } = usesOf(walked, options);
  const [first] = walked.steps;
  return {
    id,
    steps: walked.steps,
    end: walked.end,
    ...partsOf(walked, options),
    mean: walked.mean,
    low,
    high,
    wrong: first ? 1 - first.cures : 1 - walked.end.success,
    givesUp: first ? walked.stillWrong : 0,
    years,
    perYear: worth > 0 ? walked.mean / worth : null,
  };
}

/** A measurement that could be made first: its price, and for each of its answers what is then likely. */
export interface Look {
  readonly moveId: string;
  /** The move and the way to it, hazard included. Minor units. */
  readonly costMinor: number;
  /** What saves less than this is not advised, though it stands among the routes. */
  readonly leastSaved?: number | undefined;
  readonly answers: readonly { readonly chance: number; readonly options: DecisionCase }[];
}

/** A measurement first, and after each of its answers the plan that is cheapest then. */
export function lookFirst(look: Look, bestPlan: (options: DecisionCase) => Plan): Route | undefined {
  const open = look.answers.filter(({ chance }) => chance > 0);
  const [first] = open;
  if (!first) return undefined;
  const total = open.reduce((sum, { chance }) => sum + chance, 0);
  const all = open.map(({ chance, options }) => {
    const plan = bestPlan(options);
    const walked = walk(plan, options);
    return { share: chance / total, walked, options, parts: partsOf(walked, options) };
  });
  const mix = (of: (one: (typeof all)[number]) => number): number =>
    all.reduce((sum, one) => sum + one.share * of(one), 0);
  const endings = all.flatMap(({ share, walked, options }) =>
    endingsOf(walked, options).map(
      ({ cost, chance }): Ending => ({ cost: cost + look.costMinor, chance: chance * share }),
    ),
  );
  const [low = 0, high = 0] = quantiles(endings, [0.1, 0.9]);
  const uses = all.map(({ walked, options }) => usesOf(walked, options));
  const worth = all.reduce((sum, { share }, at) => sum + share * (uses[at]?.worth ?? 0), 0);
  const mean = look.costMinor + mix(({ walked }) => walked.mean);
  return {
    id: "measure",
    look: look.moveId,
    steps: [],
    end: sureEnd(first.options),
    cash: mix(({ parts }) => parts.cash),
    time: look.costMinor + mix(({ parts }) => parts.time),
    waiting: mix(({ parts }) => parts.waiting),
    later: mix(({ parts }) => parts.later),
    mean,
    low,
    high,
    wrong: 1,
    givesUp: mix(({ walked }) => (walked.steps.length > 0 ? walked.stillWrong : 0)),
    years: all.reduce((sum, { share }, at) => sum + share * (uses[at]?.years ?? 0), 0),
    perYear: worth > 0 ? mean / worth : null,
  };
}
