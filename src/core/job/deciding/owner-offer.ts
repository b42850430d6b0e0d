import type { Route, RouteId } from "../../decision/routes";
import { isEnd } from "../../decision/schools";
import type { JobView } from "../log/view";
import { billOf } from "../sign-off/bill";

/** A step that is made more seldom than this is not in what the owner is told it may come to. */
const LEAST_MADE = 0.1;

/** Two prices and one recommendation: what an owner can say yes or no to. Minor units. */
export interface OwnerOffer {
  readonly mend: Route;
  /** The bill when the first step ends it; and what it does not pass without asking: every step that is likely enough, each at its highest. */
  readonly mendMinor: number;
  readonly mendMostMinor: number;
  /** The other way, and what it costs the owner. */
  readonly other: RouteId;
  readonly otherMinor: number;
  readonly recommends: "mend" | "other";
}

interface OfferSettings {
  readonly labourRateMinor: number;
  /** To close again what stands open, minutes. */
  readonly closingMinutes: number;
  readonly taxPercent: number;
}

/** What the owner would be charged for some steps, the time so far and that to close it included. Parts carry their mark-up; a tool stays in the shop. */
function billFor(
  view: JobView,
  steps: Route["steps"],
  at: "likely" | "high",
  { labourRateMinor, closingMinutes, taxPercent }: OfferSettings,
): number {
  const before = view.secondsSpent / 60 + closingMinutes;
  const minutes = steps.reduce((sum, { action }) => sum + action.minutes[at], before);
  const parts = steps.reduce((sum, { action }) => sum + action.cash[at] - (action.toolMinor ?? 0), 0);
  return billOf(view, {
    labourMinor: Math.round((minutes / 60) * labourRateMinor),
    partsMinor: Math.round(parts),
    discountMinor: 0,
    isFree: false,
    taxPercent,
  }).total;
}

/**
 * The offer that a decision makes to the owner: the cheapest way to mend against the cheapest end.
 * @returns undefined where nothing here would mend it
 */
export function ownerOffer(
  view: JobView,
  routes: readonly Route[],
  settings: OfferSettings,
): OwnerOffer | undefined {
  const mend = routes.find((route) => !isEnd(route) && route.steps.length > 0 && route.id !== "retest");
  const other = routes.find((route) => isEnd(route) && route.id !== "stop") ?? routes.find(isEnd);
  if (!mend || !other) return undefined;
  const [best] = routes;
  const otherMinor = Math.round(other.cash);
  const likely = mend.steps.filter(({ made }, index) => index === 0 || made >= LEAST_MADE);
  // Nobody is asked to agree beforehand to more than the other way costs: then they are asked again.
  const bills = likely.map((_, index) => billFor(view, likely.slice(0, index + 1), "high", settings));
  const most = bills.filter((bill, index) => index === 0 || bill <= otherMinor);
  return {
    mend,
    mendMinor: billFor(view, mend.steps.slice(0, 1), "likely", settings),
    mendMostMinor: Math.max(...most),
    other: other.id,
    otherMinor,
    recommends: best && isEnd(best) ? "other" : "mend",
  };
}
