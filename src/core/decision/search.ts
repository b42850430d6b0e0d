import { type ActionKind, cheapestEnd, costOf, type DecisionCase, endCost } from "./action";
import { aroundSwap, FEW_CAUSES } from "./around-swap";
import {
  type Block,
  blocksOf,
  type Chosen,
  causeAt,
  cheapestCut,
  type Job,
  merged,
  type Ordered,
  Pool,
  ratioOf,
} from "./blocks";
import type { Plan } from "./plan";

/** What a search may use. */
export interface Allowed {
  /** Kinds of ways to deal with a single cause. */
  readonly ways: ReadonlySet<ActionKind>;
  /** The one swap that the plan must contain; none where it may not contain any. */
  readonly swap?: number | undefined;
  /** The swap is made before anything else. */
  readonly isFirst?: boolean | undefined;
  /** What the swap deals with is not tried before it: it is made in its place. */
  readonly isAlone?: boolean | undefined;
}

/** Below this many choices of ways every one is weighed; above, one cause at a time until none is better. */
const ALL_CHOICES = 100;
const MOST_ROUNDS = 4;
/** Of many causes so many of the likeliest are tried around a swap: what is left of the rest is told by the plan's cost. */
const MOST_AROUND = 12;

/** A cause with every choice of its ways as blocks, all of them first. */
interface Choices {
  readonly cause: number;
  readonly blocks: readonly (readonly Block[])[];
}

/** The choices of all causes that are worth trying, and those of them that are weighed. */
interface Open {
  readonly choices: readonly Choices[];
  readonly chosen: readonly Chosen[];
}

/** What the ways of a cause cost and cure, and which of them may be used. */
interface Ways {
  readonly cause: number;
  readonly chance: number;
  readonly open: readonly number[];
  readonly cost: readonly number[];
  readonly success: readonly number[];
}

/**
 * The ways of a set, by bits, in their order: each with the chance that those before it leave.
 * @param onlySteep nothing where a way is worth less for its cost than the next
 */
function chainOf(
  { cause, chance, open, cost, success }: Ways,
  bits: number,
  onlySteep: boolean,
): Job[] | undefined {
  const jobs: Job[] = [];
  let left = chance;
  let ratio = Number.POSITIVE_INFINITY;
  for (let bit = 0; bit < open.length; bit += 1) {
    if (((bits >> bit) & 1) === 0) continue;
    const way = open[bit] ?? 0;
    const p = left * (success[way] ?? 0);
    const own = cost[way] ?? 0;
    left -= p;
    const next = ratioOf(p, own);
    if (onlySteep && next >= ratio) return undefined;
    ratio = next;
    jobs.push({ ref: { of: "way", cause, way }, p, cost: own });
  }
  return jobs;
}

/**
 * The choices of the ways of each cause, all of them first.
 * @param onlySteep without those in which a way is worth less for its cost than the next: it hardly ever pays to make it first
 */
function choicesOf(all: readonly Ways[], onlySteep: boolean): Choices[] {
  const choices: Choices[] = [];
  for (const ways of all) {
    if (ways.open.length === 0) continue;
    const blocks: Block[][] = [];
    for (let bits = 2 ** ways.open.length - 1; bits > 0; bits -= 1) {
      const chain = chainOf(ways, bits, onlySteep);
      if (chain) blocks.push(blocksOf(chain));
    }
    choices.push({ cause: ways.cause, blocks });
  }
  return choices;
}

const first = ({ cause, blocks }: Choices) => ({ cause, blocks: blocks[0] ?? [] });

/** Every choice of one set of ways for each cause. */
function everyChoice(all: readonly Choices[]): Chosen[] {
  return all.reduce<Chosen[]>(
    (lists, { cause, blocks }) =>
      lists.flatMap((list) => blocks.map((own) => [...list, { cause, blocks: own }])),
    [[]],
  );
}

const byRatio = (one: Block, other: Block): number => other.ratio - one.ratio;

const blocksIn = (chosen: Chosen): Block[] => chosen.flatMap(({ blocks }) => blocks).sort(byRatio);

function waysAlone(chosen: Chosen, giveUp: number): Ordered {
  const blocks = blocksIn(chosen);
  const { count, expected } = cheapestCut(blocks, giveUp);
  return { blocks: blocks.slice(0, count), expected };
}

/** One cause after another takes the choice that costs least while the others stay, until none changes. */
function byRounds(all: readonly Choices[], giveUp: number): Chosen {
  const chosen = all.map(first);
  let sorted = blocksIn(chosen);
  let { expected: least } = cheapestCut(sorted, giveUp);
  const pool = new Pool(
    all.reduce((sum, { blocks }) => sum + Math.max(...blocks.map(({ length }) => length)), 0),
  );
  // Until all causes have been gone through without a change.
  let unchanged = 0;
  for (let turn = 0; turn < MOST_ROUNDS * all.length && unchanged < all.length; turn += 1) {
    const at = turn % all.length;
    const { cause, blocks } = all[at] ?? { cause: -1, blocks: [] };
    unchanged += 1;
    if (blocks.length === 1) continue;
    pool.fill(sorted, cause);
    let kept: readonly Block[] | undefined;
    for (const own of blocks) {
      const expected = pool.leastWith(own, giveUp);
      if (expected >= least - 1e-9) continue;
      least = expected;
      kept = own;
    }
    if (!kept) continue;
    chosen[at] = { cause, blocks: kept };
    sorted = merged(
      sorted.filter((block) => causeAt(block) !== cause),
      kept,
    );
    unchanged = 0;
  }
  return chosen;
}

type Weigh = (chosen: Chosen) => Ordered;

function cheapest(all: readonly Chosen[], weigh: Weigh): Ordered | undefined {
  let best: Ordered | undefined;
  for (const chosen of all) {
    const found = weigh(chosen);
    if (!best || found.expected < best.expected - 1e-9) best = found;
  }
  return best;
}

/** Every choice of ways that differs from one in one cause or in two. */
function* nearTo(choices: readonly Choices[], chosen: Chosen): Generator<Chosen> {
  const others = choices.map(({ cause, blocks }) => blocks.map((own) => ({ cause, blocks: own })));
  for (const [at, ones] of others.entries())
    for (const one of ones) {
      const changed = chosen.with(at, one);
      yield changed;
      for (const [later, more] of others.entries())
        if (later > at) for (const other of more) yield changed.with(later, other);
    }
}

/**
 * From one choice of ways to cheaper ones, until none that differs in one cause or two costs less. Around a swap other ways
 * are worth their cost than those that are best without it.
 */
function improved(choices: readonly Choices[], from: Chosen, weigh: Weigh): Ordered {
  let chosen = from;
  let best = weigh(chosen);
  for (let isBetter = true; isBetter; ) {
    isBetter = false;
    for (const near of nearTo(choices, chosen)) {
      const found = weigh(near);
      if (found.expected >= best.expected - 1e-9) continue;
      best = found;
      chosen = near;
      isBetter = true;
      break;
    }
  }
  return best;
}

/** Chance that nothing of all this cures. */
function leastWrong(all: readonly Ways[]): number {
  return all.reduce(
    (wrong, { chance, open, success }) =>
      wrong - chance * (1 - open.reduce((left, at) => left * (1 - (success[at] ?? 0)), 1)),
    1,
  );
}

/** Whether any of the ways could ever pay: what is worth less for its cost than giving up at the very end never does. */
function isWorthTrying({ chance, open, cost, success }: Ways, from: number): boolean {
  return open.some((at) => ratioOf(chance * (success[at] ?? 0), cost[at] ?? 0) > Math.max(0, from));
}

/** A search in one case: what several plans have in common is worked out once. */
export type Search = (allowed: Allowed) => Plan;

/**
 * Searches for the cheapest plan with what is allowed: which ways, in which order, when to give up. The order is exact for
 * the ways chosen. The choice of ways is exact up to 100 choices; beyond, no other way of a single cause is cheaper, around a swap of two. Of
 * more than six causes the ways around a swap are those that are best without it.
 */
export function searchIn(options: DecisionCase, allChoices = ALL_CHOICES): Search {
  const end = cheapestEnd(options);
  const giveUp = endCost(end, options);
  const isFew = options.causes.length <= FEW_CAUSES;
  const kept = new Map<string, Open>();
  const openFor = (kinds: Allowed["ways"]): Open => {
    const key = [...kinds].join();
    const known = kept.get(key);
    if (known) return known;
    const open = options.causes.map(({ chance, ways }, cause): Ways => {
      const places: number[] = [];
      const cost: number[] = [];
      const success: number[] = [];
      for (const [at, way] of ways.entries()) {
        if (kinds.has(way.kind)) places.push(at);
        cost.push(costOf(way, options));
        success.push(way.success);
      }
      return { cause, chance, open: places, cost, success };
    });
    const least = isFew ? allChoices : Math.min(allChoices, 1);
    const count = open.reduce((product, ways) => product * Math.max(1, 2 ** ways.open.length - 1), 1);
    const from = giveUp > 0 && !isFew ? leastWrong(open) / giveUp : 0;
    const all = choicesOf(
      open.filter((ways) => isWorthTrying(ways, from)),
      count > least,
    );
    const found = { choices: all, chosen: count <= least ? everyChoice(all) : [byRounds(all, giveUp)] };
    kept.set(key, found);
    return found;
  };
  const isLikely = likeliest(options, MOST_AROUND);
  return ({ ways, swap, isFirst, isAlone }) => {
    const { choices, chosen } = openFor(ways);
    let best: Ordered | undefined;
    if (swap === undefined) best = cheapest(chosen, (all) => waysAlone(all, giveUp));
    else {
      const weigh = aroundSwap(options, giveUp, swap, {
        isFirst: isFirst === true,
        isAlone: isAlone === true,
      });
      const here = chosen.map((all) => all.filter(({ cause }) => isLikely.has(cause)));
      const [only, ...more] = here;
      best = isFew && only && more.length === 0 ? improved(choices, only, weigh) : cheapest(here, weigh);
    }
    return { refs: (best?.blocks ?? []).flatMap(({ jobs }) => jobs.map(({ ref }) => ref)), end: end.id };
  };
}

/** The likeliest causes by their places. */
function likeliest({ causes }: DecisionCase, most: number): ReadonlySet<number> {
  const places = causes.map((_, place) => place);
  if (places.length <= most) return new Set(places);
  const chance = (place: number): number => causes[place]?.chance ?? 0;
  return new Set(places.sort((one, other) => chance(other) - chance(one)).slice(0, most));
}
