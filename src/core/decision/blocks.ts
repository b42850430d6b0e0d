import type { StepRef } from "./plan";

/** A step as the search orders it: its cost, and the chance that it ends it. */
export interface Job {
  readonly ref: StepRef;
  readonly p: number;
  readonly cost: number;
}

/** Steps that are best made one after the other without anything between. */
export interface Block {
  readonly jobs: readonly Job[];
  readonly p: number;
  readonly cost: number;
  /** What is saved of the cost because steps within it may end it: made with chance `w`, it costs `w × cost − saved`. */
  readonly saved: number;
  readonly ratio: number;
}

/** Blocks of the way or ways that are chosen for each cause. */
export type Chosen = readonly { readonly cause: number; readonly blocks: readonly Block[] }[];

/** Blocks that are made, in order, and what they come to with giving up after them. */
export interface Ordered {
  readonly blocks: readonly Block[];
  readonly expected: number;
}

export const ratioOf = (p: number, cost: number): number =>
  cost > 0 ? p / cost : p > 0 ? Number.MAX_VALUE : 0;

const blockOf = (jobs: readonly Job[], p: number, cost: number, saved: number): Block => ({
  jobs,
  p,
  cost,
  saved,
  ratio: ratioOf(p, cost),
});

/**
 * A chain of steps that must come in this order, as blocks of falling chance ÷ cost. Blocks of several chains merged by
 * that ratio are the cheapest order of all that keep to the chains (Horn 1972, Sidney 1975).
 */
export function blocksOf(chain: readonly Job[]): Block[] {
  const stack: Block[] = [];
  for (const job of chain) {
    let block = blockOf([job], job.p, job.cost, 0);
    for (let last = stack.at(-1); last && last.ratio <= block.ratio; last = stack.at(-1)) {
      stack.pop();
      block = blockOf(
        [...last.jobs, ...block.jobs],
        last.p + block.p,
        last.cost + block.cost,
        last.saved + block.saved + block.cost * last.p,
      );
    }
    stack.push(block);
  }
  return stack;
}

/** Blocks with those of another chain put where they belong. Both in falling ratio. */
export function merged(one: readonly Block[], other: readonly Block[]): Block[] {
  const all: Block[] = [];
  let at = 0;
  for (const block of one) {
    for (let next = other[at]; next && next.ratio > block.ratio; next = other[at]) {
      all.push(next);
      at += 1;
    }
    all.push(block);
  }
  for (; at < other.length; at += 1) {
    const block = other[at];
    if (block) all.push(block);
  }
  return all;
}

export interface Cut {
  /** How many of the blocks are made. */
  readonly count: number;
  readonly expected: number;
}

/**
 * The cheapest place to give up among blocks in order.
 * @param giveUp what giving up costs
 * @param from it is given up no earlier than after so many blocks
 */
export function cheapestCut(blocks: readonly Block[], giveUp: number, from = 0): Cut {
  let spent = 0;
  let wrong = 1;
  let count = 0;
  let expected = from === 0 ? giveUp : Number.POSITIVE_INFINITY;
  for (let at = 0; at < blocks.length; at += 1) {
    const block = blocks[at];
    if (!block) break;
    spent += wrong * block.cost - block.saved;
    wrong -= block.p;
    const total = spent + wrong * giveUp;
    if (at + 1 >= from && total < expected) {
      expected = total;
      count = at + 1;
    }
  }
  return { count, expected };
}

/** The cause whose ways a block is made of; -1 for what is not a way. */
export const causeAt = ({ jobs }: Block): number => (jobs[0]?.ref.of === "way" ? jobs[0].ref.cause : -1);

/** Blocks in falling ratio as plain arrays: some ten thousand orders are weighed for one answer. */
export class Pool {
  private size = 0;
  private readonly ratio: Float64Array;
  private readonly p: Float64Array;
  private readonly cost: Float64Array;
  private readonly saved: Float64Array;

  constructor(most: number) {
    this.ratio = new Float64Array(most);
    this.p = new Float64Array(most);
    this.cost = new Float64Array(most);
    this.saved = new Float64Array(most);
  }

  /** All blocks but those of one cause. */
  fill(blocks: readonly Block[], cause: number): void {
    let size = 0;
    for (const block of blocks) {
      if (causeAt(block) === cause) continue;
      this.ratio[size] = block.ratio;
      this.p[size] = block.p;
      this.cost[size] = block.cost;
      this.saved[size] = block.saved;
      size += 1;
    }
    this.size = size;
  }

  /** What they come to together with a few more, also in falling ratio, at the cheapest place to give up. */
  leastWith(own: readonly Block[], giveUp: number): number {
    const { size, ratio, p, cost, saved } = this;
    let spent = 0;
    let wrong = 1;
    let least = giveUp;
    let at = 0;
    for (let place = 0; place <= own.length; place += 1) {
      const block = place < own.length ? own[place] : undefined;
      const from = block ? block.ratio : -1;
      for (; at < size && (ratio[at] ?? 0) > from && spent < least; at += 1) {
        spent += wrong * (cost[at] ?? 0) - (saved[at] ?? 0);
        wrong -= p[at] ?? 0;
        const total = spent + wrong * giveUp;
        if (total < least) least = total;
      }
      if (!block || spent >= least) break;
      spent += wrong * block.cost - block.saved;
      wrong -= block.p;
      const total = spent + wrong * giveUp;
      if (total < least) least = total;
    }
    return least;
  }
}
