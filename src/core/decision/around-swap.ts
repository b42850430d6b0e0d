import { costOf, type DecisionCase, type Swap } from "./action";
import {
  type Block,
  blocksOf,
  type Chosen,
  causeAt,
  cheapestCut,
  type Job,
  merged,
  type Ordered,
  ratioOf,
} from "./blocks";

/** Up to so many causes every set of them is weighed around a swap. */
export const FEW_CAUSES = 6;
/** Of what a swap may leave, so many of the likeliest are weighed on both sides of it. */
const MOST_LEFT = 3;
/** Up to so many blocks every set of them is weighed before the swap; beyond, the best by chance ÷ cost. */
const MOST_SETS = 6;

const byRatio = (one: Block, other: Block): number => other.ratio - one.ratio;

/** A way that a swap leaves to be done of some causes, with the chance that it cures them. */
interface LeftKey {
  readonly id: string;
  readonly ref: Job["ref"];
  readonly cost: number;
  readonly success: number;
}

/** What the swap is to the causes, worked out once. */
interface Around {
  readonly options: DecisionCase;
  readonly giveUp: number;
  readonly swap: Swap;
  readonly index: number;
  readonly cost: number;
  readonly isFirst: boolean;
  readonly keys: readonly LeftKey[];
  /** By cause: not touched, dealt with whole, or the place among the keys of what is left. */
  readonly leaves: Int32Array;
}

const UNTOUCHED = -2;
const WHOLE = -1;

function aroundOf(options: DecisionCase, giveUp: number, index: number, isFirst: boolean): Around {
  const swap = options.swaps[index];
  if (!swap) throw new Error(`no swap ${index}`);
  const sums = new Map<string, { key: LeftKey; chance: number }>();
  for (const [cause, { id, chance }] of options.causes.entries()) {
    const way = swap.leaves.get(id)?.way;
    if (!way) continue;
    const known = sums.get(way.id);
    const ref = { of: "left", swap: index, cause } as const;
    const key = known?.key ?? { id: way.id, ref, cost: costOf(way, options), success: way.success };
    sums.set(way.id, { key, chance: (known?.chance ?? 0) + chance });
  }
  const keys = [...sums.values()].sort((one, other) => other.chance - one.chance).map(({ key }) => key);
  const leaves = Int32Array.from(options.causes, ({ id }) => {
    const left = swap.leaves.get(id);
    if (left === undefined) return UNTOUCHED;
    return left === null ? WHOLE : keys.findIndex((key) => key.id === left.way.id);
  });
  return { options, giveUp, swap, index, cost: costOf(swap, options), isFirst, keys, leaves };
}

const refId = ({ causes }: DecisionCase, { ref }: Job): string =>
  ref.of === "way" ? (causes[ref.cause]?.ways[ref.way]?.id ?? "") : "";

/** One way of standing around the swap, as far as it does not depend on which of the needless ways come before it. */
interface Side {
  /** Not touched by the swap, and before it in any case. */
  readonly forced: readonly Block[];
  /** Where they cost least. */
  readonly free: readonly Block[];
  /** Causes that gain by what the swap leaves: the chain of each comes after it. */
  readonly gaining: readonly (readonly Job[])[];
  /** Keys done before the swap. */
  readonly done: ReadonlySet<number>;
}

/**
 * A way that a swap may leave to be done can come before it, and then nothing is left; or after it, with the easier ways
 * of its cause before it or after.
 */
function sidesOf({ options, keys, isFirst }: Around, free: readonly Block[]): readonly Side[] {
  return keys.reduce<readonly Side[]>(
    (all, { id }, place) => {
      const isKey = (job: Job): boolean => refId(options, job) === id;
      const owner = free.find(({ jobs }) => jobs.some(isKey));
      if (!owner) return all;
      const own = free.filter((block) => causeAt(block) === causeAt(owner));
      const jobs = own.flatMap((block) => block.jobs);
      const at = jobs.findIndex(isKey);
      return all.flatMap((side) => {
        const others = side.free.filter((block) => !own.includes(block));
        const split = (count: number): Side => ({
          forced: count > 0 ? merged(side.forced, blocksOf(jobs.slice(0, count))) : side.forced,
          free: at < count ? merged(others, blocksOf(jobs.slice(count))) : others,
          gaining: at < count ? side.gaining : [...side.gaining, jobs.slice(count)],
          done: at < count ? new Set([...side.done, place]) : side.done,
        });
        if (isFirst || place >= (options.causes.length > FEW_CAUSES ? 1 : MOST_LEFT)) return [split(0)];
        return [split(0), split(at + 1), ...(at > 0 ? [split(at)] : [])];
      });
    },
    [{ forced: [], free, gaining: [], done: new Set() }],
  );
}

/** What the swap cures after those before it, and what it leaves by key. */
function reachedBy(
  { options, swap, leaves, keys }: Around,
  { done }: Side,
  set: readonly Block[],
): { readonly p: number; readonly left: Float64Array } {
  const left = new Float64Array(keys.length);
  let p = 0;
  const add = (cause: number, chance: number): void => {
    const key = leaves[cause] ?? UNTOUCHED;
    if (key === WHOLE) p += chance;
    else if (key >= 0) left[key] = (left[key] ?? 0) + chance;
  };
  for (let cause = 0; cause < leaves.length; cause += 1) add(cause, options.causes[cause]?.chance ?? 0);
  for (const block of set) add(causeAt(block), -block.p);
  p *= swap.success;
  for (let key = 0; key < left.length; key += 1) {
    left[key] = Math.max(0, left[key] ?? 0) * swap.success * (keys[key]?.success ?? 0);
    if (!done.has(key)) continue;
    p += left[key] ?? 0;
    left[key] = 0;
  }
  return { p: Math.max(0, p), left };
}

/** The chains that come after the swap, with what it leaves in them. */
function afterIt({ options, keys }: Around, { gaining, done }: Side, left: Float64Array): Block[] {
  if (keys.length === 0) return [];
  const joined = new Set(done);
  const chains = gaining.map((jobs) =>
    jobs.map((job): Job => {
      const key = keys.findIndex(({ id }) => id === refId(options, job));
      if (key < 0) return job;
      joined.add(key);
      return { ...job, p: job.p + (left[key] ?? 0) };
    }),
  );
  for (const [key, { ref, cost }] of keys.entries())
    if (!joined.has(key) && (left[key] ?? 0) > 0) chains.push([{ ref, p: left[key] ?? 0, cost }]);
  return chains.flatMap((chain) => blocksOf(chain)).sort(byRatio);
}

function ordered(around: Around, side: Side, set: readonly Block[]): Ordered {
  const { p, left } = reachedBy(around, side, set);
  const job: Job = { ref: { of: "swap", swap: around.index }, p, cost: around.cost };
  const after = afterIt(around, side, left);
  const first = merged(set, side.forced).flatMap(({ jobs }) => jobs);
  const chain = blocksOf([...first, job, ...after.flatMap(({ jobs }) => jobs)]);
  // Nothing before the swap: what is free waits for it too.
  const blocks = around.isFirst
    ? [...blocksOf([job]), ...merged(after, side.free)]
    : merged(chain, side.free);
  const at = blocks.findIndex(({ jobs }) => jobs.includes(job));
  const { count, expected } = cheapestCut(blocks, around.giveUp, at + 1);
  return { blocks: blocks.slice(0, count), expected };
}

/** Room for the chain around a swap while it is weighed: some thousand are, for one answer. */
const room = { p: new Float64Array(0), cost: new Float64Array(0), saved: new Float64Array(0) };

function push(at: number, p: number, cost: number, saved: number): number {
  let size = at;
  let [own, price, spared] = [p, cost, saved];
  // The same as in `blocksOf`, over plain arrays.
  while (size > 0 && ratioOf(room.p[size - 1] ?? 0, room.cost[size - 1] ?? 0) <= ratioOf(own, price)) {
    size -= 1;
    spared += (room.saved[size] ?? 0) + price * (room.p[size] ?? 0);
    own += room.p[size] ?? 0;
    price += room.cost[size] ?? 0;
  }
  room.p[size] = own;
  room.cost[size] = price;
  room.saved[size] = spared;
  return size + 1;
}

/** What `ordered` comes to, without making the order. */
function expectedOf(around: Around, side: Side, set: readonly Block[]): number {
  const { p, left } = reachedBy(around, side, set);
  const after = afterIt(around, side, left);
  const { free, forced } = side;
  const most = set.length + forced.length + after.length + 1;
  if (room.p.length < most) {
    room.p = new Float64Array(2 * most);
    room.cost = new Float64Array(2 * most);
    room.saved = new Float64Array(2 * most);
  }
  let size = 0;
  const before = forced.length === 0 ? set : merged(set, forced);
  for (const block of before) size = push(size, block.p, block.cost, block.saved);
  size = push(size, p, around.cost, 0);
  // The swap is in the last block so far: it is not given up before that.
  const swapAt = size - 1;
  for (const block of after) size = push(size, block.p, block.cost, block.saved);
  const from = Math.min(swapAt, size - 1);
  let spent = 0;
  let wrong = 1;
  let best = Number.POSITIVE_INFINITY;
  let at = 0;
  let place = 0;
  const all = size + free.length;
  while (at + place < all && (place <= from || spent < best)) {
    const isFree =
      place === size ||
      (at < free.length && (free[at]?.ratio ?? 0) > ratioOf(room.p[place] ?? 0, room.cost[place] ?? 0));
    if (isFree) {
      const next = free[at];
      if (!next) break;
      spent += wrong * next.cost - next.saved;
      wrong -= next.p;
      at += 1;
    } else {
      spent += wrong * (room.cost[place] ?? 0) - (room.saved[place] ?? 0);
      wrong -= room.p[place] ?? 0;
      place += 1;
    }
    const total = spent + wrong * around.giveUp;
    if (place > from && total < best) best = total;
  }
  return best;
}

/** Which of the blocks that the swap makes needless may come before it. In falling ratio, as they came. */
function setsBefore(covered: readonly Block[], isFew: boolean): (readonly Block[])[] {
  if (!isFew || covered.length > MOST_SETS)
    return Array.from({ length: covered.length + 1 }, (_, count) => covered.slice(0, count));
  // No block without those of the same cause that come before it.
  const needs = covered.map((block, at) =>
    covered.reduce(
      (mask, other, place) => (place < at && causeAt(other) === causeAt(block) ? mask | (1 << place) : mask),
      0,
    ),
  );
  const sets: (readonly Block[])[] = [];
  for (let mask = 0; mask < 2 ** covered.length; mask += 1)
    if (needs.every((need, at) => ((mask >> at) & 1) === 0 || (mask & need) === need))
      sets.push(covered.filter((_block, at) => (mask >> at) & 1));
  return sets;
}

/**
 * Weighs the ways that are chosen around a swap: of those that it makes needless the best few come before it, of the others
 * each stands where it costs least.
 */
export function aroundSwap(
  options: DecisionCase,
  giveUp: number,
  index: number,
  { isFirst, isAlone }: { readonly isFirst: boolean; readonly isAlone: boolean },
): (chosen: Chosen) => Ordered {
  const around = aroundOf(options, giveUp, index, isFirst);
  const isFew = options.causes.length <= FEW_CAUSES;
  return (chosen) => {
    const covered: Block[] = [];
    const free: Block[] = [];
    for (const { cause, blocks } of chosen)
      (around.leaves[cause] === UNTOUCHED ? free : covered).push(...blocks);
    covered.sort(byRatio);
    free.sort(byRatio);
    const sets = isFirst || isAlone ? [[]] : setsBefore(covered, isFew);
    let best: { readonly side: Side; readonly set: readonly Block[] } | undefined;
    let least = Number.POSITIVE_INFINITY;
    for (const side of sidesOf(around, free))
      for (const set of sets) {
        const expected = isFirst ? 0 : expectedOf(around, side, set);
        if (expected >= least - 1e-9) continue;
        least = expected;
        best = { side, set };
      }
    return best ? ordered(around, best.side, best.set) : { blocks: [], expected: Number.POSITIVE_INFINITY };
  };
}
