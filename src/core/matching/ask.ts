import type { Family } from "./family";
import { judgeAttribute, type MatchContext } from "./judge";
import type { Ranked } from "./match";
import type { Attributes } from "./part";

/** Something that is not known yet of what is needed, and what knowing it is worth. */
export interface Ask {
  readonly attribute: string;
  readonly how: string;
  readonly minutes: number;
  /** Candidates that it would rule out, on average over what it may turn out to be. */
  readonly removes: number;
}

/** As many values as are tried for what an attribute may turn out to be. */
const MOST_TRUTHS = 40;

/** All of them, or as many spread evenly over the list. */
function spread<T>(rows: readonly T[]): readonly T[] {
  if (rows.length <= MOST_TRUTHS) return rows;
  const step = rows.length / MOST_TRUTHS;
  return Array.from({ length: MOST_TRUTHS }, (_, index) => rows[Math.floor(index * step)]).filter(
    (row) => row !== undefined,
  );
}

/**
 * What to read or measure next: what rules out most candidates for each minute. What it may turn out to be is taken from the
 * candidates themselves, each as likely as the next; worked out by counting, over forty values where there are more.
 */
export function whatToAsk(
  family: Family,
  need: Attributes,
  candidates: readonly Pick<Ranked, "part">[],
  context: MatchContext,
): readonly Ask[] {
  const unknown = Object.entries(family.attributes).filter(
    ([id, { isHard }]) => isHard === true && need[id] === undefined,
  );
  return unknown
    .map(([attribute, spec]): Ask => {
      const counts = new Map<string, { readonly value: Attributes[string]; count: number }>();
      for (const { part } of candidates) {
        const value = part.attributes[attribute];
        const key = JSON.stringify(value) ?? "";
        const row = counts.get(key) ?? { value, count: 0 };
        row.count += 1;
        counts.set(key, row);
      }
      const rows = [...counts.values()];
      const truths = spread(rows);
      const removed = truths.map(({ value, count }) => {
        const failing = rows.filter(
          (other) => judgeAttribute(attribute, spec, value, other.value, context).fit === "reject",
        );
        return count * failing.reduce((sum, other) => sum + other.count, 0);
      });
      const weight = truths.reduce((sum, { count }) => sum + count, 0);
      return {
        attribute,
        how: spec.how,
        minutes: spec.minutes,
        removes: weight === 0 ? 0 : removed.reduce((sum, one) => sum + one, 0) / weight,
      };
    })
    .sort(
      (one, other) =>
        other.removes / other.minutes - one.removes / one.minutes ||
        (one.attribute < other.attribute ? -1 : 1),
    );
}
