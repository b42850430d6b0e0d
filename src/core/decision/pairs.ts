import { totalOf, workMinutes } from "../knowledge/kind-costs";
import type { Cause, Swap } from "./action";
import { cashAround, type Making, minutesAround, repairIn, stagesOf } from "./making";

/** Minutes of taking a machine in once more. */
const INTAKE_MINUTES = 15;
/** Pairs are weighed for so many of the likeliest causes. */
const MOST_PAIRS = 2;

/** What is expected to be spent on the neighbour that is left in: its part and work, with the machine taken in once more. */
function laterOf(making: Making, id: string): number {
  const { facts, parameters } = making;
  const next = repairIn(making, id)?.neighbour;
  const neighbour = next && making.closed.get(next.repair);
  if (!next || !neighbour) return 0;
  const minutes = INTAKE_MINUTES + parameters["trial-run-minutes"] + neighbour.minutes;
  return next.fails * ((facts.parts.get(next.repair)?.cashMinor ?? 0) + minutes * facts.minuteMinor);
}

/** A part and the one that is likely next, with the cover off once, one test and one postage. */
export function pairsOf(making: Making, causes: readonly Cause[]): Swap[] {
  const { facts, parameters } = making;
  const single = [...causes]
    .filter(({ ways }) => ways.at(-1)?.repairs.length === 1)
    .sort((one, other) => other.chance - one.chance);
  return single.slice(0, MOST_PAIRS).flatMap(({ id, ways }): Swap[] => {
    const part = ways.at(-1);
    const own = repairIn(making, id);
    const next = own?.neighbour;
    const neighbour = next && repairIn(making, next.repair);
    if (!part || !next || !neighbour) return [];
    const together = totalOf(workMinutes([own, neighbour])) - own.minutes;
    const minutes = part.minutes.likely + Math.max(0, Math.min(together, neighbour.minutes - next.saves));
    const landed = facts.parts.get(next.repair);
    const shared = (landed?.days ?? 0) > 0 && part.days > 0 ? facts.postageMinor : 0;
    const more = Math.max(0, (landed?.cashMinor ?? 0) - shared);
    const added = cashAround(more, facts.settled.has(next.repair) ? more : 0, parameters);
    const isNamed = causes.some((cause) => cause.id === next.repair);
    return [
      {
        ...part,
        id: `${id}+${next.repair}`,
        kind: "pair",
        repairs: [id, next.repair],
        cash: {
          low: part.cash.low + added.low,
          likely: part.cash.likely + added.likely,
          high: part.cash.high + added.high,
        },
        minutes: minutesAround(minutes, parameters),
        stages: stagesOf(making, [id, next.repair], minutes),
        toolMinor: (part.toolMinor ?? 0) + (landed?.toolMinor ?? 0),
        days: Math.max(part.days, landed?.days ?? 0),
        later: -laterOf(making, id),
        buys: [id, next.repair],
        leaves: new Map([[id, null], ...(isNamed ? [[next.repair, null] as const] : [])]),
      },
    ];
  });
}
