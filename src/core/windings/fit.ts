import { inverse, Matrix, solve } from "ml-matrix";
import { type Graph, type Join, pairsOf } from "./graphs";

/** What the meter showed between two nodes, ohms, and how far it may be off. */
export interface Shown {
  readonly a: number;
  readonly b: number;
  readonly ohms: number;
  /** Limit of error, ohms. */
  readonly error: number;
}

/** What a network lets expect between two nodes, ohms; `halfWidth` is infinite where the readings leave it open. */
export interface Expected {
  readonly a: number;
  readonly b: number;
  readonly ohms: number;
  readonly halfWidth: number;
}

export interface Fit {
  readonly graph: Graph;
  /** Ohms of each join, in the graph's order. */
  readonly ohms: readonly number[];
  /** Half the width of what each may be, ohms. */
  readonly halfWidths: readonly number[];
  /** Largest residual as a share of its limit of error: at most one. */
  readonly worst: number;
  /** Sum of squares of residuals over their limits. */
  readonly misfit: number;
  readonly expected: readonly Expected[];
}

/**
 * Effective resistances between all nodes of a network: R(a,b) = Γaa + Γbb − 2Γab with Γ the inverse of the Laplacian
 * whose last node is grounded. Ohms. Source: physics (Klein and Randić 1993).
 */
export function potentials(nodes: number, joins: readonly Join[], ohms: readonly number[]): number[][] {
  const laplacian = Matrix.zeros(nodes - 1, nodes - 1);
  joins.forEach(([a, b], at) => {
    const siemens = 1 / (ohms[at] ?? 1);
    for (const [row, column, sign] of [
      [a, a, 1],
      [b, b, 1],
      [a, b, -1],
      [b, a, -1],
    ] as const)
      if (row < nodes - 1 && column < nodes - 1)
        laplacian.set(row, column, laplacian.get(row, column) + sign * siemens);
  });
  const inner = inverse(laplacian).to2DArray();
  return [...inner.map((row) => [...row, 0]), Array.from({ length: nodes }, () => 0)];
}

const at = (of: readonly (readonly number[])[], row: number, column: number): number =>
  of[row]?.[column] ?? 0;

/** Ohms between two nodes of a network. */
export function ohmsBetween(inner: readonly (readonly number[])[], a: number, b: number): number {
  return at(inner, a, a) + at(inner, b, b) - 2 * at(inner, a, b);
}

/** How the ohms between a pair change with the logarithm of each winding's own: (current share)² · R. */
function slopes(
  inner: readonly (readonly number[])[],
  joins: readonly Join[],
  ohms: readonly number[],
  { a, b }: Pick<Shown, "a" | "b">,
): number[] {
  return joins.map(([c, d], index) => {
    const drop = at(inner, a, c) - at(inner, a, d) - at(inner, b, c) + at(inner, b, d);
    return (drop * drop) / (ohms[index] ?? 1);
  });
}

/** Too small to tell one winding from none, as a share of the readings' own size. */
const DAMPING = 1e-9;
const STEPS = 8;
const REWEIGHTED = 14;
/** A thousand times the largest reading: nothing that a meter could tell from open. */
const WIDEST = 1000;

interface State {
  readonly ohms: readonly number[];
  readonly residuals: readonly number[];
}

function stateOf(graph: Graph, ohms: readonly number[], shown: readonly Shown[]): State {
  const inner = potentials(graph.nodes, graph.joins, ohms);
  return {
    ohms,
    residuals: shown.map((one) => (ohmsBetween(inner, one.a, one.b) - one.ohms) / one.error),
  };
}

const weighted = (residuals: readonly number[], weights: readonly number[]): number =>
  residuals.reduce((sum, one, index) => sum + (weights[index] ?? 1) * one * one, 0);

/** Normal equations JᵀWJ of a network in the logarithms of its windings, and JᵀWr. */
function normal(
  graph: Graph,
  { ohms, residuals }: State,
  shown: readonly Shown[],
  weights: readonly number[],
): { readonly square: Matrix; readonly side: Matrix } {
  const inner = potentials(graph.nodes, graph.joins, ohms);
  const count = graph.joins.length;
  const square = Matrix.zeros(count, count);
  const side = Matrix.zeros(count, 1);
  shown.forEach((one, index) => {
    const row = slopes(inner, graph.joins, ohms, one);
    const weight = weights[index] ?? 1;
    for (let i = 0; i < count; i += 1) {
      const left = ((row[i] ?? 0) / one.error) * weight;
      side.set(i, 0, side.get(i, 0) + left * (residuals[index] ?? 0));
      for (let j = 0; j < count; j += 1)
        square.set(i, j, square.get(i, j) + (left * (row[j] ?? 0)) / one.error);
    }
  });
  return { square, side };
}

/** Damped Gauss–Newton on the logarithms: windings stay above nothing by themselves. */
function leastSquares(
  graph: Graph,
  start: State,
  shown: readonly Shown[],
  weights: readonly number[],
  widest: number,
): State {
  let state = start;
  for (let step = 0; step < STEPS; step += 1) {
    const { square, side } = normal(graph, state, shown, weights);
    const most = Math.max(...square.diagonal(), 1e-30);
    for (let i = 0; i < graph.joins.length; i += 1)
      square.set(i, i, square.get(i, i) + DAMPING * most + 1e-12);
    const change = solve(square, side).to1DArray();
    const before = weighted(state.residuals, weights);
    let share = 1;
    let next = state;
    for (let halving = 0; halving < 6; halving += 1) {
      const ohms = state.ohms.map((one, index) =>
        Math.min(
          widest,
          Math.max(widest * 1e-9, one * Math.exp(Math.max(-2, Math.min(2, -share * (change[index] ?? 0))))),
        ),
      );
      const tried = stateOf(graph, ohms, shown);
      if (weighted(tried.residuals, weights) < before) {
        next = tried;
        break;
      }
      share /= 3;
    }
    if (next === state) return state;
    const gain = before - weighted(next.residuals, weights);
    state = next;
    if (gain < 1e-7 * (before + 1e-9)) return state;
  }
  return state;
}

const largest = (residuals: readonly number[]): number => Math.max(0, ...residuals.map(Math.abs));

/**
 * Readings that a network fits so that every residual is within its limit of error: least squares, then weighted anew
 * towards the smallest largest residual (Lawson) while that is still out of reach. Where even the least sum of squares is
 * above what residuals within their limits can come to, nothing fits.
 */
function within(graph: Graph, start: State, shown: readonly Shown[], widest: number): State | undefined {
  let weights = shown.map(() => 1);
  let state = leastSquares(graph, start, shown, weights, widest);
  if (largest(state.residuals) <= 1) return state;
  if (weighted(state.residuals, weights) > 1.02 * shown.length) return undefined;
  for (let round = 0; round < REWEIGHTED; round += 1) {
    const raw = weights.map((weight, index) => weight * (Math.abs(state.residuals[index] ?? 0) + 1e-3));
    const sum = raw.reduce((total, one) => total + one, 0);
    weights = raw.map((one) => (one * shown.length) / sum);
    state = leastSquares(graph, state, shown, weights, widest);
    if (largest(state.residuals) <= 1) return state;
    // The weighted mean of squares is a floor of the largest one.
    if (weighted(state.residuals, weights) > 1.02 * shown.length) return undefined;
  }
  return undefined;
}

function startOf(graph: Graph, shown: readonly Shown[]): number[] {
  const sorted = shown.map(({ ohms }) => ohms).sort((one, other) => one - other);
  const middle = sorted[Math.floor(sorted.length / 2)] ?? 1;
  return graph.joins.map(([a, b]) => {
    const direct = shown.find((one) => (one.a === a && one.b === b) || (one.a === b && one.b === a));
    const loops = graph.joins.length >= graph.nodes ? 1.5 : 1;
    return Math.max(1e-6, direct ? direct.ohms * loops : middle / 2);
  });
}

/** What each pair of leads should read, with how far the readings leave that open. */
function expectations(
  graph: Graph,
  leads: number,
  ohms: readonly number[],
  covariance: Matrix,
): readonly Expected[] {
  const inner = potentials(graph.nodes, graph.joins, ohms);
  return pairsOf(leads).map(([a, b]) => {
    const row = slopes(inner, graph.joins, ohms, { a, b });
    let variance = 0;
    for (let i = 0; i < row.length; i += 1)
      for (let j = 0; j < row.length; j += 1)
        variance += (row[i] ?? 0) * covariance.get(i, j) * (row[j] ?? 0);
    const value = ohmsBetween(inner, a, b);
    const halfWidth = Math.sqrt(Math.max(0, variance));
    return { a, b, ohms: value, halfWidth: halfWidth > value ? Number.POSITIVE_INFINITY : halfWidth };
  });
}

/**
 * The windings of a network from what was read, where it fits within the meter's error.
 * @param leads the first so many nodes are leads; one more is a point inside
 * @returns undefined where some residual stays above its limit of error
 */
export function fitNetwork(graph: Graph, leads: number, shown: readonly Shown[]): Fit | undefined {
  const widest = WIDEST * Math.max(...shown.map(({ ohms }) => ohms), 1);
  const found = within(graph, stateOf(graph, startOf(graph, shown), shown), shown, widest);
  // A winding that runs away to nothing or to open is none.
  if (!found || found.ohms.some((one) => one >= widest * 0.1 || one <= widest * 1e-8)) return undefined;
  const { square } = normal(
    graph,
    found,
    shown,
    shown.map(() => 1),
  );
  for (let i = 0; i < graph.joins.length; i += 1) square.set(i, i, square.get(i, i) + 1e-6);
  const covariance = inverse(square);
  return {
    graph,
    ohms: found.ohms,
    halfWidths: found.ohms.map((one, index) => one * Math.sqrt(Math.max(0, covariance.get(index, index)))),
    worst: largest(found.residuals),
    misfit: weighted(
      found.residuals,
      shown.map(() => 1),
    ),
    expected: expectations(graph, leads, found.ohms, covariance),
  };
}
