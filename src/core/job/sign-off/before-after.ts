import { parseReading } from "../../quantity/parse-reading";
import { QUANTITIES } from "../../quantity/reading";
import type { FigurePair } from "../log/entry";
import type { JobView } from "../log/view";

/** A figure of the machine before and after the repair, SI. */
export interface BeforeAfter {
  /** A move of the knowledge, or the quantity of a figure noted with the run. */
  readonly id: string;
  readonly unit: string;
  readonly before: number | undefined;
  readonly after: number | undefined;
}

function typed(pair: FigurePair, side: "before" | "after"): number | undefined {
  const parsed = pair[side] === "" ? undefined : parseReading(pair[side], pair.quantity);
  return parsed?.ok && parsed.value.reading.kind === "value" ? parsed.value.reading.value : undefined;
}

/** Readings of the same move before the first and after the last repair, and the pairs noted with the last run. */
export function beforeAfter(view: JobView): readonly BeforeAfter[] {
  const [first, last] = [view.interventions.at(0)?.seq, view.interventions.at(-1)?.seq];
  const moves = [...new Set(view.readings.flatMap(({ moveId }) => moveId ?? []))];
  const measured = moves.flatMap((moveId): BeforeAfter[] => {
    const figures = view.readings
      .filter((reading) => reading.moveId === moveId)
      .flatMap(({ seq, finding }) => finding.figures.slice(0, 1).map((figure) => ({ seq, ...figure })));
    const before = figures.findLast(({ seq }) => first === undefined || seq < first);
    const after = last === undefined ? undefined : figures.findLast(({ seq }) => seq > last);
    const unit = before?.unit ?? after?.unit;
    return unit === undefined ? [] : [{ id: moveId, unit, before: before?.value, after: after?.value }];
  });
  const noted = (view.runs.at(-1)?.figures ?? []).map(
    (pair): BeforeAfter => ({
      id: pair.quantity,
      unit: QUANTITIES[pair.quantity].unit,
      before: typed(pair, "before"),
      after: typed(pair, "after"),
    }),
  );
  return [...measured, ...noted].filter(({ before, after }) => before !== undefined || after !== undefined);
}
