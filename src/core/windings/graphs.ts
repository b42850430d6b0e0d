/** Two nodes that a winding joins, by index, the lower first. */
export type Join = readonly [number, number];

/** A connected graph over nodes 0 … n−1, with what follows from its shape alone. */
export interface Graph {
  readonly nodes: number;
  readonly joins: readonly Join[];
  /** Every (x, v, y), as x·n² + v·n + y with x < y, where each way from x to y leads through v: there R(x,y) = R(x,v) + R(v,y). */
  readonly between: readonly number[];
}

function reach(nodes: number, joins: readonly Join[], from: number, without: number): boolean[] {
  const seen = Array.from({ length: nodes }, () => false);
  const stack = [from];
  seen[from] = true;
  while (stack.length > 0) {
    const at = stack.pop();
    for (const [a, b] of joins) {
      const other = a === at ? b : b === at ? a : -1;
      if (other >= 0 && other !== without && !seen[other]) {
        seen[other] = true;
        stack.push(other);
      }
    }
  }
  return seen;
}

const isConnected = (nodes: number, joins: readonly Join[]): boolean =>
  reach(nodes, joins, 0, -1).every(Boolean);

function betweenOf(nodes: number, joins: readonly Join[]): number[] {
  const found: number[] = [];
  for (let v = 0; v < nodes; v += 1)
    for (let x = 0; x < nodes; x += 1) {
      if (x === v) continue;
      const seen = reach(nodes, joins, x, v);
      for (let y = x + 1; y < nodes; y += 1)
        if (y !== v && !seen[y]) found.push(x * nodes * nodes + v * nodes + y);
    }
  return found;
}

export function graphOf(nodes: number, joins: readonly Join[]): Graph {
  return { nodes, joins, between: betweenOf(nodes, joins) };
}

/** Every pair of n things once, in order. */
export function pairsOf(count: number): Join[] {
  return Array.from({ length: count }, (_, a) => a).flatMap((a) =>
    Array.from({ length: count - a - 1 }, (_, step): Join => [a, a + 1 + step]),
  );
}

const made = new Map<string, readonly Graph[]>();

function kept(key: string, make: () => readonly Graph[]): readonly Graph[] {
  const known = made.get(key);
  if (known) return known;
  const graphs = make();
  made.set(key, graphs);
  return graphs;
}

/**
 * Every connected graph of so many joins over labelled nodes: 1296 trees and 3660 with one loop over six. Made once.
 * @example connectedGraphs(3, 2).length // 3, the paths
 */
export function connectedGraphs(nodes: number, joins: number): readonly Graph[] {
  return kept(`${nodes}:${joins}`, () => {
    const all = pairsOf(nodes);
    const graphs: Graph[] = [];
    const choose = (from: number, chosen: readonly Join[]): void => {
      if (chosen.length === joins) {
        if (isConnected(nodes, chosen)) graphs.push(graphOf(nodes, chosen));
        return;
      }
      for (let at = from; at <= all.length - (joins - chosen.length); at += 1) {
        const next = all[at];
        if (next) choose(at + 1, [...chosen, next]);
      }
    };
    choose(0, []);
    return graphs;
  });
}

/** The tree that a Prüfer sequence stands for. Source: Prüfer 1918. */
function treeOf(nodes: number, sequence: readonly number[]): Join[] {
  const degree = Array.from(
    { length: nodes },
    (_, node) => 1 + sequence.filter((one) => one === node).length,
  );
  const joins: Join[] = [];
  const join = (a: number, b: number): void => {
    joins.push(a < b ? [a, b] : [b, a]);
    degree[a] = (degree[a] ?? 0) - 1;
    degree[b] = (degree[b] ?? 0) - 1;
  };
  for (const inner of sequence) join(degree.indexOf(1), inner);
  const last = degree.flatMap((left, node) => (left === 1 ? [node] : []));
  join(last[0] ?? 0, last[1] ?? 0);
  return joins;
}

/**
 * Every tree over the leads and one point inside that no lead comes from, with four arms or more at that point. With three
 * it is a triangle from outside, and counted as that.
 */
export function hiddenStars(leads: number): readonly Graph[] {
  return kept(`hidden:${leads}`, () => {
    const nodes = leads + 1;
    const graphs: Graph[] = [];
    const extend = (sequence: readonly number[]): void => {
      if (sequence.length === nodes - 2) {
        if (sequence.filter((one) => one === leads).length >= 3)
          graphs.push(graphOf(nodes, treeOf(nodes, sequence)));
        return;
      }
      for (let node = 0; node < nodes; node += 1) extend([...sequence, node]);
    };
    if (leads >= 4) extend([]);
    return graphs;
  });
}
