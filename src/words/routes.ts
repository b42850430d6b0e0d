import type { Action, ActionKind, DecisionCase } from "@/core/decision/action";
import type { Decision } from "@/core/decision/decide";
import type { Route, RouteId } from "@/core/decision/routes";
import { isEnd, LEAST_SHARE, type Opinion, type SchoolId } from "@/core/decision/schools";
import type { Knowledge, Repair } from "@/core/knowledge/types";
import { formatChance, formatMoney } from "@/core/quantity/format";
import { inSentence } from "./in-sentence";

/** What routes are named with. */
export type RouteNames = Pick<Knowledge, "repairs" | "archetypes" | "moves">;

/** Each kind of route as the other side of a comparison. */
const AGAINST: Readonly<Record<RouteId, string>> = {
  part: "repair",
  clean: "cleaning first",
  pair: "both parts at once",
  donor: "a donor's part",
  "then-motor": "repairs and then another motor",
  motor: "another motor",
  assembly: "the assembly",
  measure: "one more measurement first",
  hold: "holding it for the next order",
  retest: "giving it back to be watched",
  replace: "another machine",
  "second-hand": "a second-hand machine",
  trade: "another shop",
  stop: "stopping here",
};

const ENDS: Readonly<Partial<Record<RouteId, string>>> = {
  replace: "Another machine",
  "second-hand": "A second-hand machine",
  trade: "Another shop or a licensed trade",
  stop: "Stop and hand it back unrepaired",
};

/** Who stands for what, as a rule; local law and the seller's word come first. */
export const WARRANTY: Readonly<Record<RouteId, string>> = {
  part: "on the part, its seller’s",
  clean: "none",
  pair: "on the parts, their seller’s",
  donor: "none on a used part",
  "then-motor": "on what is bought, its seller’s",
  motor: "on the motor, its seller’s",
  assembly: "on the assembly, its seller’s",
  measure: "as what follows",
  hold: "on the part, its seller’s",
  retest: "none",
  replace: "the new machine’s",
  "second-hand": "seldom any",
  trade: "the other shop’s",
  stop: "none",
};

export const routeName = (id: RouteId): string => AGAINST[id];

/** What is done in a step; where nothing may be wrong any more, that is to run it. */
export function stepLabel(ids: readonly string[], repairs: readonly Repair[]): string {
  if (ids.length === 0) return "Run it as the complaint comes";
  return ids
    .map((id, index) => {
      const label = repairs.find((repair) => repair.id === id)?.label ?? id;
      return index === 0 ? label : inSentence(label);
    })
    .join(" and ");
}

/** What an action is, as one would say it to a helper. */
export function actionLabel({ id, kind, repairs: ids }: Action, { repairs, archetypes }: RouteNames): string {
  switch (kind) {
    case "easier":
      return repairs.find((one) => one.id === ids[0])?.easier?.label ?? id;
    case "donor":
      return `${stepLabel(ids, repairs)}, out of a donor`;
    case "motor":
      return "Fit another motor";
    case "donor-motor":
      return "Fit a motor out of a donor";
    case "assembly": {
      const own = archetypes.find(({ assembly }) => `assembly:${assembly?.id}` === id)?.assembly;
      return `Fit the assembly: ${inSentence(own?.label ?? id)}`;
    }
    case "retest":
      return "Give it back and look again on a day";
    default:
      return stepLabel(ids, repairs);
  }
}

const isMotor = (step: Route["steps"][number] | undefined): boolean => step?.action.kind === "motor";

/** That a motor comes after one repair, or after several. */
const motorLast = (steps: Route["steps"]): string =>
  isMotor(steps[1]) ? "another motor if that fails" : "another motor if the repairs fail";

/** The kinds of action that give a route its name. */
const NAMED_BY: Readonly<Partial<Record<RouteId, readonly ActionKind[]>>> = {
  clean: ["easier"],
  pair: ["pair"],
  donor: ["donor", "donor-motor"],
  assembly: ["assembly"],
};

/** What gives the route its name, where something else is done before it. */
function laterName({ id, steps }: Route, names: RouteNames): string {
  const kinds = NAMED_BY[id];
  const at = kinds ? steps.findIndex(({ action }) => kinds.includes(action.kind)) : 0;
  const step = at > 0 ? steps[at] : undefined;
  return step ? `, then ${inSentence(actionLabel(step.action, names))}` : "";
}

export function routeLabel(route: Route, names: RouteNames): string {
  const { id, steps } = route;
  const end = ENDS[id];
  if (end !== undefined) return end;
  if (id === "measure") {
    const title = names.moves.find((move) => move.id === route.look)?.title ?? "";
    return `Measure first: ${inSentence(title)}`;
  }
  const first = steps[0] ? actionLabel(steps[0].action, names) : "";
  if (id === "hold") return `Hold it ${route.holdDays} days for the next order, then ${inSentence(first)}`;
  return id === "then-motor" ? `${first}, ${motorLast(steps)}` : `${first}${laterName(route, names)}`;
}

/** A first step that fails more often than this is told with the second. */
const DOUBTFUL = 0.3;
const LEAST_SAID = 0.075;

function endSentence({ best, next }: Decision, money: (minor: number) => string, isUnsafe: boolean): string {
  const against = best.id === next.id ? "" : `, against ${money(next.mean)} for ${AGAINST[next.id]}`;
  const how = `${ENDS[best.id]}${isUnsafe && best.id === "stop" ? ", marked “do not use”" : ""}`;
  const why = best.id === "trade" ? "Nothing done here costs less." : "No repair is worth its chance.";
  return `${how}: ${money(best.mean)}${against}. ${why}`;
}

function measureSentence({ best, routes }: Decision, names: RouteNames, money: (minor: number) => string) {
  const other = routes.find(({ id }) => id !== "measure");
  const saves = other ? other.mean - best.mean : 0;
  const against = other
    ? ` against ${money(other.mean)} for ${AGAINST[other.id]} without it: looking is worth ${money(saves)}`
    : "";
  return `${routeLabel(best, names)}: ${money(best.mean)} on average${against}.`;
}

/** The decision in one sentence. */
export function decisionSentence(
  decision: Decision,
  names: RouteNames,
  currency: string,
  isUnsafe = false,
): string {
  const { best, next } = decision;
  const money = (minor: number): string => formatMoney(Math.round(minor), currency);
  if (isEnd(best)) return endSentence(decision, money, isUnsafe);
  if (best.id === "measure") return measureSentence(decision, names, money);
  const isMixed = best.id === "then-motor";
  const other = isMixed && next.id === "part" ? "repairs alone" : AGAINST[next.id];
  const against = `against ${money(next.mean)} for ${other}`;
  const second = best.wrong > DOUBTFUL ? best.steps[1] : undefined;
  const label = second ? actionLabel(second.action, names) : "";
  // The same repair again is no second step to speak of.
  const head = best.id === "hold" ? routeLabel(best, names) : "";
  const first = head || (best.steps[0] ? actionLabel(best.steps[0].action, names) : "");
  const isOther = label !== "" && label !== first;
  const isTold = second !== undefined && isMotor(second);
  const last = isMixed && !isTold ? `, ${motorLast(best.steps)}` : "";
  const then = isOther ? ` first, then ${inSentence(label)}${last}` : last;
  const sure = best.givesUp < LEAST_SAID ? "" : `, and ${formatChance(best.givesUp)} that none of it helps`;
  const alone = second ? "the first alone" : "this alone";
  return `${first}${then}: ${money(best.mean)} on average ${against}, ${formatChance(1 - best.wrong)} that ${alone} ends it${sure}.`;
}

/** What is done first, by the id of the action or of the end, inside a sentence. */
export function answerLabel(key: string, { causes, swaps }: DecisionCase, names: RouteNames): string {
  const end = ENDS[key as RouteId];
  if (end !== undefined) return inSentence(end);
  const action = [...causes.flatMap(({ ways }) => ways), ...swaps].find(({ id }) => id === key);
  return action ? inSentence(actionLabel(action, names)) : key;
}

/** Each school of judging, what it looks at, and why one would. */
export const SCHOOL_WORDS: Readonly<Record<SchoolId, { readonly label: string; readonly why: string }>> = {
  expected: {
    label: "Least cost on average",
    why: "Parts, time, waiting and what fails next, each by its chance: over many jobs nothing costs less.",
  },
  share: {
    label: "Half of what it is worth",
    why: "Mend while it costs at most half of what a like machine is worth at this age; less than a tenth is just done.",
  },
  "per-year": {
    label: "Least for each year",
    why: "The same cost spread over the years that follow: a new machine runs longer than a mended one.",
  },
  surest: {
    label: "Surest first step",
    why: "What is most likely to end it at once, of what mends this machine: for an owner who will not come twice.",
  },
  thrift: {
    label: "Least money out",
    why: "Only what is bought counts; the hours are one's own.",
  },
};

/** What a school would do, with the figure that it looks at. */
export function opinionWords(
  { school, route, figure }: Opinion,
  routes: readonly Route[],
  names: RouteNames,
  currency: string,
): string {
  const chosen = routes.find(({ id }) => id === route);
  if (!chosen) return "nothing to say here";
  const money = (minor: number): string => formatMoney(Math.round(minor), currency);
  const label = inSentence(routeLabel(chosen, names));
  switch (school) {
    case "share":
      return Number.isFinite(figure)
        ? `${label} (mending takes ${Math.round(figure * 100)} % of its worth${figure <= LEAST_SHARE ? ": just do it" : ""})`
        : label;
    case "per-year":
      return `${label} (${money(figure)} a year)`;
    case "surest":
      return `${label} (${formatChance(figure)})`;
    case "thrift":
      return `${label} (${money(figure)} out of the hand)`;
    default:
      return `${label} (${money(figure)})`;
  }
}
