import { type DecisionCase, type EndId, sureEnd } from "./action";
import type { Route, RouteId } from "./routes";

export type SchoolId = "expected" | "share" | "per-year" | "surest" | "thrift";

/** Of what a like machine is worth at this age, more than this share is not spent on mending; less than that is just done. */
const MOST_SHARE = 0.5;
export const LEAST_SHARE = 0.1;
/** Shares of chance that differ by less are the same to one who wants to be sure. */
const SAME_CHANCE = 0.01;

/** What a school would do, and the figure it looks at; no route where it has nothing to say. */
export interface Opinion {
  readonly school: SchoolId;
  readonly route: RouteId | null;
  /** Money, a share or a chance, as the school has it. */
  readonly figure: number;
}

const ENDS: ReadonlySet<string> = new Set<EndId>(["replace", "second-hand", "trade", "stop"]);
export const isEnd = ({ id }: Pick<Route, "id">): boolean => ENDS.has(id);

function least(routes: readonly Route[], of: (route: Route) => number): Route | undefined {
  return routes.reduce<Route | undefined>(
    (best, route) => (!best || of(route) < of(best) - 1e-9 ? route : best),
    undefined,
  );
}

/** What a running machine like it is worth at its age: the price of another, by the years it still has. */
function worthAtAge(options: DecisionCase): number {
  const { cash, years } = sureEnd(options);
  return years > 0 ? cash.likely * Math.min(1, options.years / years) : cash.likely;
}

function byShare(routes: readonly Route[], options: DecisionCase): Opinion {
  const mend = least(
    routes.filter((route) => !isEnd(route)),
    ({ mean }) => mean,
  );
  const worth = worthAtAge(options);
  const figure = mend && worth > 0 ? mend.mean / worth : Number.POSITIVE_INFINITY;
  if (mend && figure <= MOST_SHARE) return { school: "share", route: mend.id, figure };
  const end = least(routes.filter(isEnd), ({ mean }) => mean);
  return { school: "share", route: end?.id ?? null, figure };
}

function surest(routes: readonly Route[]): Opinion {
  const mend = routes.filter((route) => !isEnd(route) && route.steps.length > 0);
  const most = Math.max(...mend.map(({ wrong }) => 1 - wrong));
  const route = least(
    mend.filter(({ wrong }) => 1 - wrong >= most - SAME_CHANCE),
    ({ mean }) => mean,
  );
  return { school: "surest", route: route?.id ?? null, figure: route ? 1 - route.wrong : 0 };
}

/**
 * What each school would do. *Expected*: least cost on average. *Share*: mend while that is at most half of what a like
 * machine is worth at this age. *Per year*: least cost for each year of use. *Surest*: the first step most likely to end
 * it, of those that mend. *Thrift*: least money out of the hand, time for nothing.
 * @param routes cheapest first
 */
export function opinions(routes: readonly Route[], options: DecisionCase): readonly Opinion[] {
  const expected = routes[0];
  const perYear = least(
    routes.filter((route) => route.perYear !== null),
    (route) => route.perYear ?? 0,
  );
  // Who stops spends nothing and has nothing: that is no thrift.
  const thrift = least(
    routes.filter(({ id }) => id !== "stop"),
    ({ cash }) => cash,
  );
  return [
    { school: "expected", route: expected?.id ?? null, figure: expected?.mean ?? 0 },
    byShare(routes, options),
    { school: "per-year", route: perYear?.id ?? null, figure: perYear?.perYear ?? 0 },
    surest(routes),
    { school: "thrift", route: thrift?.id ?? null, figure: thrift?.cash ?? 0 },
  ];
}
