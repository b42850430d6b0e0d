import { fewestWindings, fittingTrees } from "./candidates";
import type { Expected, Fit, Shown } from "./fit";
import { pairsOf } from "./graphs";

/** What the meter showed between two leads. Pairs that were not taken are left out. */
export interface PairShown {
  readonly a: number;
  readonly b: number;
  /** `value`: ohms within `error`; `over`: over range; `joined`: no more than the meter's error, or below its range. */
  readonly kind: "value" | "over" | "joined";
  readonly ohms: number;
  readonly error: number;
}

/** A reading that alone keeps the others from fitting, with what it should have been. */
export interface Misfit {
  readonly a: number;
  readonly b: number;
  readonly had: number | undefined;
  /** What each network that the others fit lets expect: mostly one value. */
  readonly should: readonly Expected[];
  readonly networks: readonly Network[];
}

export interface Winding {
  /** Leads by index; a point inside, from which no lead comes, is −1. */
  readonly a: number;
  readonly b: number;
  readonly ohms: number;
  readonly halfWidth: number;
}

export interface Network {
  readonly windings: readonly Winding[];
  readonly expected: readonly Expected[];
  readonly misfit: number;
}

export interface LeadGroup {
  readonly leads: readonly number[];
  /** Leads that read as one, each set from its first. */
  readonly joined: readonly (readonly number[])[];
  /** The networks with the fewest windings that fit all of its readings; none where none does. */
  readonly networks: readonly Network[];
  /** Single readings without which the rest fits a network without loops. */
  readonly misfits: readonly Misfit[];
  /** Ohms in every reading that would make it fit one without loops: the test leads, not taken off. */
  readonly offset: number | undefined;
  /** A reading that no windings can give: more than the way round by another lead. */
  readonly impossible:
    | {
        readonly a: number;
        readonly b: number;
        readonly ohms: number;
        readonly most: number;
        readonly by: number;
      }
    | undefined;
  /** Over range between leads that other readings join. */
  readonly openInside: readonly {
    readonly a: number;
    readonly b: number;
    readonly should: number | undefined;
  }[];
}

export interface LeadMap {
  readonly leads: number;
  readonly groups: readonly LeadGroup[];
  /** Groups between which nothing was read: whether they are apart is not known. */
  readonly unproven: readonly (readonly [number, number])[];
}

export type Progress = (share: number) => void;

/** Sets of leads that finite readings join. */
function joinedBy(leads: number, pairs: readonly Pick<PairShown, "a" | "b">[]): number[][] {
  const root = Array.from({ length: leads }, (_, lead) => lead);
  const find = (lead: number): number => {
    let at = lead;
    while (root[at] !== at) at = root[at] ?? at;
    return at;
  };
  for (const { a, b } of pairs) root[find(b)] = find(a);
  const sets = new Map<number, number[]>();
  for (let lead = 0; lead < leads; lead += 1) sets.set(find(lead), [...(sets.get(find(lead)) ?? []), lead]);
  return [...sets.values()];
}

/** A group's nodes: leads that read as one are one node. */
interface Nodes {
  readonly of: readonly (readonly number[])[];
  indexOf(lead: number): number;
}

function nodesOf(leads: readonly number[], joins: readonly PairShown[]): Nodes {
  const most = Math.max(...leads) + 1;
  const of = joinedBy(most, joins).filter((set) => set.some((lead) => leads.includes(lead)));
  return { of, indexOf: (lead) => of.findIndex((set) => set.includes(lead)) };
}

const shownOn = (nodes: Nodes, readings: readonly PairShown[]): Shown[] =>
  readings.map(({ a, b, ohms, error }) => {
    const [one, other] = [nodes.indexOf(a), nodes.indexOf(b)];
    return { a: Math.min(one, other), b: Math.max(one, other), ohms, error };
  });

function networkOf(fit: Fit, { of }: Nodes): Network {
  const lead = (node: number): number => of[node]?.[0] ?? -1;
  return {
    windings: fit.graph.joins.map(([a, b], index) => ({
      a: lead(a),
      b: lead(b),
      ohms: fit.ohms[index] ?? 0,
      halfWidth: fit.halfWidths[index] ?? 0,
    })),
    expected: fit.expected.map((one) => ({ ...one, a: lead(one.a), b: lead(one.b) })),
    misfit: fit.misfit,
  };
}

/** What a network lets expect between two leads, whichever of those that read as one they are. */
export function expectedBetween(
  { expected }: Pick<Network, "expected">,
  one: number,
  other: number,
): Expected | undefined {
  return expected.find(({ a, b }) => (a === one && b === other) || (a === other && b === one));
}

function impossibleOf(readings: readonly PairShown[]): LeadGroup["impossible"] {
  const of = (a: number, b: number) =>
    readings.find((one) => (one.a === a && one.b === b) || (one.a === b && one.b === a));
  const leads = [...new Set(readings.flatMap(({ a, b }) => [a, b]))];
  for (const { a, b, ohms, error } of readings)
    for (const by of leads) {
      const [one, other] = [of(a, by), of(by, b)];
      if (!one || !other || by === a || by === b) continue;
      const most = one.ohms + other.ohms;
      if (ohms - error > most + one.error + other.error) return { a, b, ohms, most, by };
    }
  return undefined;
}

/** The most that test leads left in a reading come to, ohms. */
const MOST_OFFSET = 2;

/** The ohms of test leads left in every reading, where taking them off leaves a network without loops. */
function offsetOf(nodes: number, shown: readonly Shown[]): number | undefined {
  const between = (a: number, b: number) =>
    shown.find((one) => one.a === Math.min(a, b) && one.b === Math.max(a, b));
  const smallest = Math.min(...shown.map(({ ohms }) => ohms));
  const excess: number[] = [];
  for (let v = 0; v < nodes; v += 1)
    for (const [x, y] of pairsOf(nodes)) {
      if (x === v || y === v) continue;
      const [whole, one, other] = [between(x, y), between(x, v), between(v, y)];
      if (whole && one && other) excess.push(one.ohms + other.ohms - whole.ohms);
    }
  const likely = excess
    .filter((one) => one > 0 && one <= MOST_OFFSET && one < smallest / 2)
    .sort((a, b) => a - b);
  return likely.find(
    (offset) =>
      fittingTrees(
        nodes,
        shown.map((one) => ({ ...one, ohms: one.ohms - offset })),
      ).length > 0,
  );
}

/** Readings that alone keep the rest from a network without loops. Fewer than four leads have none to spare. */
function misfitsOf(nodes: Nodes, readings: readonly PairShown[], progress?: Progress): Misfit[] {
  const count = nodes.of.length;
  // Of six leads a few more: with hardly any to spare anything fits once one is left out, and it takes its time.
  const spare = count >= MOST_IN_GROUP ? 3 : 1;
  if (count < 4 || readings.length < count + spare) return [];
  return readings
    .flatMap((one, index) => {
      progress?.((index + 1) / readings.length);
      const rest = readings.filter((other) => other !== one);
      const trees = fittingTrees(count, shownOn(nodes, rest)).map((fit) => networkOf(fit, nodes));
      if (trees.length === 0) return [];
      const [a, b] = [nodes.of[nodes.indexOf(one.a)]?.[0] ?? -1, nodes.of[nodes.indexOf(one.b)]?.[0] ?? -1];
      const should = trees.flatMap((tree) => expectedBetween(tree, a, b) ?? []);
      return [{ a: one.a, b: one.b, had: one.ohms, should, networks: trees }];
    })
    .sort((one, other) => (one.networks[0]?.misfit ?? 0) - (other.networks[0]?.misfit ?? 0));
}

/** What was over range though other readings join its leads, with the most that it should have shown. */
function openInsideOf(
  open: readonly PairShown[],
  nodes: Nodes,
  networks: readonly Network[],
): LeadGroup["openInside"] {
  return open.map(({ a, b }) => {
    const [one, other] = [a, b].map((lead) => nodes.of[nodes.indexOf(lead)]?.[0] ?? -1);
    const expected = networks.flatMap((network) => expectedBetween(network, one ?? -1, other ?? -1) ?? []);
    const told = expected.filter(({ halfWidth }) => Number.isFinite(halfWidth)).map(({ ohms }) => ohms);
    return { a, b, should: told.length > 0 ? Math.max(...told) : undefined };
  });
}

/** Most leads of one group: beyond it there are too many networks to try them all. */
export const MOST_IN_GROUP = 6;
/** Networks kept of a group that hardly anything was read of. */
const MOST_KEPT = 60;

function groupOf(leads: readonly number[], shown: readonly PairShown[], progress?: Progress): LeadGroup {
  const own = shown.filter(({ a, b }) => leads.includes(a) && leads.includes(b));
  const nodes = nodesOf(
    leads,
    own.filter(({ kind }) => kind === "joined"),
  );
  const apart = own.filter(({ a, b }) => nodes.indexOf(a) !== nodes.indexOf(b));
  const readings = apart.filter(({ kind }) => kind === "value");
  const count = nodes.of.length;
  const read = shownOn(nodes, readings);
  const fits = count < 2 || count > MOST_IN_GROUP ? [] : fewestWindings(count, read);
  const networks = fits.slice(0, MOST_KEPT).map((fit) => networkOf(fit, nodes));
  const hasLoop = count > 1 && (networks[0]?.windings.length ?? count) > count - 1;
  const impossible = networks.length === 0 ? impossibleOf(readings) : undefined;
  return {
    leads,
    joined: nodes.of.filter((set) => set.length > 1),
    networks,
    misfits: hasLoop && count <= MOST_IN_GROUP ? misfitsOf(nodes, readings, progress) : [],
    offset: hasLoop && count <= MOST_IN_GROUP ? offsetOf(count, read) : undefined,
    impossible,
    openInside: openInsideOf(
      own.filter(({ kind }) => kind === "over"),
      nodes,
      networks,
    ),
  };
}

/**
 * The windings behind two to twelve leads from the ohms between pairs of them: which leads belong together, and for each
 * such group the networks with the fewest windings whose every reading lies within the meter's error, star and triangle
 * counted as one.
 *
 * Readings between two leads are effective resistances of the network. Where a group of four or more needs more windings
 * than a network without loops has, each reading is left out in turn: one without which the rest fits such a network may
 * be misread. Three leads have no reading to spare: there no single one can be blamed. Ohms. Source: physics.
 * @param progress told the share of a leave-one-out that is done
 */
export function mapLeads(leads: number, shown: readonly PairShown[], progress?: Progress): LeadMap {
  const sets = joinedBy(
    leads,
    shown.filter(({ kind }) => kind !== "over"),
  );
  const groups = sets.map((set) => groupOf(set, shown, progress));
  const isApart = (one: LeadGroup, other: LeadGroup): boolean =>
    shown.some(
      ({ a, b }) =>
        (one.leads.includes(a) && other.leads.includes(b)) ||
        (one.leads.includes(b) && other.leads.includes(a)),
    );
  const unproven = pairsOf(groups.length).filter(([a, b]) => {
    const [one, other] = [groups[a], groups[b]];
    return one && other && !isApart(one, other);
  });
  return { leads, groups, unproven };
}
