import { limitOfError, type MeterAccuracy } from "@/core/quantity/uncertainty";
import type { SeededRandom } from "@/core/seeded-random";
import { ohmsBetween, potentials } from "@/core/windings/fit";
import { connectedGraphs, type Graph, pairsOf } from "@/core/windings/graphs";
import type { PairShown } from "@/core/windings/lead-map";

/** A meter on its 600 Ω range, as pocket meters state it. */
export const POCKET: MeterAccuracy = { share: 0.005, counts: 2, resolution: 0.1 };
/** Windings of small motors, ohms. */
const [LEAST, MOST] = [4, 80];

export interface RandomNetwork {
  readonly graph: Graph;
  readonly ohms: readonly number[];
  readonly isTree: boolean;
  readonly shown: readonly PairShown[];
}

const pick = <T>(of: readonly T[], random: SeededRandom): T => {
  const one = of[Math.floor(random.next() * of.length)];
  if (one === undefined) throw new Error("nothing to pick from");
  return one;
};

export const errorOf = (ohms: number): number => limitOfError(POCKET, ohms);

/** What the meter shows between two leads of a network: within its limit of error, to its last digit. */
export function reading(a: number, b: number, ohms: number, random: SeededRandom): PairShown {
  const { resolution } = POCKET;
  // The last digit's own half is part of the limit that the maker states.
  const off = (2 * random.next() - 1) * Math.max(0, errorOf(ohms) - resolution / 2) * 0.98;
  const read = Math.round((ohms + off) / resolution) * resolution;
  const error = errorOf(read);
  return { a, b, kind: read <= error ? "joined" : "value", ohms: read, error };
}

/** A network of three to six leads without loops or with one, and all of its pairs as the meter shows them. */
export function randomNetwork(
  random: SeededRandom,
  leads = 3 + Math.floor(random.next() * 4),
  isTree = random.next() < 0.6,
): RandomNetwork {
  const graph = pick(connectedGraphs(leads, isTree ? leads - 1 : leads), random);
  const ohms = graph.joins.map(() => LEAST * (MOST / LEAST) ** random.next());
  const inner = potentials(leads, graph.joins, ohms);
  const shown = pairsOf(leads).map(([a, b]) => reading(a, b, ohmsBetween(inner, a, b), random));
  return { graph, ohms, isTree, shown };
}
