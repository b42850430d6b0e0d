import { type Fit, fitNetwork, type Shown } from "./fit";
import { connectedGraphs, type Graph, hiddenStars } from "./graphs";

/** Which triples of nodes the readings rule out: (x, v, y) whose readings do not add up by way of v. */
function ruledOut(nodes: number, shown: readonly Shown[]): Uint8Array {
  const read = new Map<number, Shown>();
  for (const one of shown) {
    read.set(one.a * nodes + one.b, one);
    read.set(one.b * nodes + one.a, one);
  }
  const out = new Uint8Array(nodes * nodes * nodes);
  for (let x = 0; x < nodes; x += 1)
    for (let v = 0; v < nodes; v += 1)
      for (let y = x + 1; y < nodes; y += 1) {
        const [whole, one, other] = [
          read.get(x * nodes + y),
          read.get(x * nodes + v),
          read.get(v * nodes + y),
        ];
        if (!whole || !one || !other) continue;
        const off = Math.abs(whole.ohms - one.ohms - other.ohms);
        if (off > whole.error + one.error + other.error) out[x * nodes * nodes + v * nodes + y] = 1;
      }
  return out;
}

const order = (one: Fit, other: Fit): number => one.misfit - other.misfit;

/** Every network of these graphs that fits, best first. */
function fitting(graphs: readonly Graph[], leads: number, shown: readonly Shown[]): Fit[] {
  const found: Fit[] = [];
  const ruled = new Map<number, Uint8Array>();
  for (const graph of graphs) {
    const out = ruled.get(graph.nodes) ?? ruledOut(graph.nodes, shown);
    ruled.set(graph.nodes, out);
    if (graph.between.some((triple) => out[triple] === 1)) continue;
    const fit = fitNetwork(graph, leads, shown);
    if (fit) found.push(fit);
  }
  return found.sort(order);
}

/** Trees over the leads that fit. Source: physics; Kirchhoff's enumeration. */
export function fittingTrees(leads: number, shown: readonly Shown[]): Fit[] {
  return fitting(connectedGraphs(leads, leads - 1), leads, shown);
}

/** How many windings more than a tree has are tried; of six leads one, since there are too many with two. */
const mostLoops = (leads: number): number => (leads >= 6 ? 1 : 2);

/**
 * The networks with the fewest windings that fit: trees, else one loop or a star round a point inside, else (up to five
 * leads) two loops.
 * Never more windings than readings, but for trees.
 */
export function fewestWindings(leads: number, shown: readonly Shown[]): Fit[] {
  const pairs = (leads * (leads - 1)) / 2;
  for (let loops = 0; loops <= mostLoops(leads); loops += 1) {
    const windings = leads - 1 + loops;
    if (windings > pairs || (loops > 0 && windings > shown.length)) return [];
    const stars = loops === 1 ? hiddenStars(leads) : [];
    const found = fitting([...connectedGraphs(leads, windings), ...stars], leads, shown);
    if (found.length > 0) return found;
  }
  return [];
}
