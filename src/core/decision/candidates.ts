import { type ActionKind, cheapestEnd, type DecisionCase, type Swap } from "./action";
import { type Plan, walk } from "./plan";
import type { MendId, RouteId } from "./routes";
import { type Search, searchIn } from "./search";

/** A plan with the name of the route that it is. */
export interface Candidate {
  readonly id: RouteId;
  readonly plan: Plan;
  readonly mean: number;
}

const REPAIRS: ReadonlySet<ActionKind> = new Set(["repair"]);
const ALL_WAYS: ReadonlySet<ActionKind> = new Set(["repair", "easier", "donor"]);
const SWAP_ROUTES: Readonly<Partial<Record<ActionKind, MendId>>> = {
  pair: "pair",
  motor: "motor",
  "donor-motor": "donor",
  assembly: "assembly",
  retest: "retest",
};
/** A route that saves less than this on another of the same kind is no other route. Minor units. */
const LEAST_GAIN = 1;

const candidate = (id: RouteId, plan: Plan, options: DecisionCase): Candidate => ({
  id,
  plan,
  mean: walk(plan, options).mean,
});

function kindsIn({ refs }: Plan, { causes }: DecisionCase): ReadonlySet<ActionKind> {
  return new Set(
    refs.flatMap((ref) => (ref.of === "way" ? (causes[ref.cause]?.ways[ref.way]?.kind ?? []) : [])),
  );
}

/** Repairs with easier tries and with parts out of donors, each where it makes a difference. */
function byWays(options: DecisionCase, search: Search): Candidate[] {
  const kinds = new Set(options.causes.flatMap(({ ways }) => ways.map(({ kind }) => kind)));
  const part = candidate("part", search({ ways: REPAIRS }), options);
  const found = part.plan.refs.length > 0 ? [part] : [];
  for (const [id, kind] of [
    ["clean", "easier"],
    ["donor", "donor"],
  ] as const) {
    if (!kinds.has(kind)) continue;
    const plan = search({ ways: new Set<ActionKind>(["repair", kind]) });
    if (kindsIn(plan, options).has(kind)) found.push(candidate(id, plan, options));
  }
  if (kinds.has("easier") && kinds.has("donor")) {
    const plan = search({ ways: ALL_WAYS });
    const used = kindsIn(plan, options);
    if (used.has("easier") && used.has("donor")) found.push(candidate("clean", plan, options));
  }
  return found;
}

/** A pair is fitted in the place of the part alone; what is given back to be watched is given back first. */
const placeOf = (kind: ActionKind) => ({ isAlone: kind === "pair", isFirst: kind === "retest" });

/**
 * A motor first, or an assembly, or a pair, each with repairs before it where that costs less.
 * @param alone what repairs without any swap cost
 */
function bySwap(
  options: DecisionCase,
  search: Search,
  swap: Swap,
  index: number,
  alone: number,
): Candidate[] {
  const id = SWAP_ROUTES[swap.kind];
  if (!id) return [];
  const free = candidate(id, search({ ways: ALL_WAYS, swap: index, ...placeOf(swap.kind) }), options);
  if (id !== "motor") return [free];
  const first = candidate(id, search({ ways: ALL_WAYS, swap: index, isFirst: true }), options);
  const isLater = free.plan.refs[0]?.of !== "swap" && free.mean < Math.min(first.mean, alone) - LEAST_GAIN;
  return isLater ? [{ ...free, id: "then-motor" }, first] : [first];
}

/** The cheapest plan of each kind: what could be done about the machine. */
export function candidates(options: DecisionCase): readonly Candidate[] {
  const search = searchIn(options);
  const ways = byWays(options, search);
  const alone = Math.min(...ways.map(({ mean }) => mean));
  const all = [
    ...ways,
    ...options.swaps.flatMap((swap, index) =>
      swap.leaves.size === 0 ? [] : bySwap(options, search, swap, index, alone),
    ),
    ...options.ends.map((end) => candidate(end.id, { refs: [], end: end.id }, options)),
  ];
  const best = new Map<RouteId, Candidate>();
  for (const one of all) {
    const known = best.get(one.id);
    if (!known || one.mean < known.mean) best.set(one.id, one);
  }
  return [...best.values()].sort((one, other) => one.mean - other.mean);
}

/** The cheapest plan of all, without the names: what the break-evens ask some dozen times. */
export function bestPlan(options: DecisionCase): Plan {
  const search = searchIn(options);
  const plans = [
    search({ ways: ALL_WAYS }),
    ...options.swaps.flatMap(({ kind, leaves }, swap) =>
      leaves.size === 0 ? [] : [search({ ways: ALL_WAYS, swap, ...placeOf(kind) })],
    ),
  ];
  let best: Plan = { refs: [], end: cheapestEnd(options).id };
  let least = walk(best, options).mean;
  for (const plan of plans) {
    const { mean } = walk(plan, options);
    if (mean >= least - 1e-9) continue;
    least = mean;
    best = plan;
  }
  return best;
}
