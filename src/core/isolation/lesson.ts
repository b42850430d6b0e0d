import type { ShopCounts } from "./shop-counts";

/** What one job adds to the shop's counts: each name with its millionths, names in order. */
export type Lesson = readonly (readonly [name: string, micro: number])[];

const MICRO = 1e6;

/** In whole millionths, so that sums are exact however often a job is added and taken out again. */
export function lessonOf({ jobs, faults, answers }: ShopCounts): Lesson {
  const rows: [readonly string[], number][] = [
    ...jobs.map(({ family, count }): [string[], number] => [["job", family], count]),
    ...faults.map(({ family, fault, count }): [string[], number] => [["fault", family, fault], count]),
    ...answers.map((one): [string[], number] => [["answer", one.moveId, one.case, one.outcomeId], one.count]),
  ];
  return rows
    .map(([name, count]): [string, number] => [JSON.stringify(name), Math.round(count * MICRO)])
    .sort(([one], [other]) => (one < other ? -1 : 1));
}

/** Names and millionths back to counts; names that nothing is left of are gone. */
export function countsFrom(lesson: Lesson): ShopCounts {
  const rows = lesson
    .filter(([, micro]) => micro !== 0)
    .map(([name, micro]): [string[], number] => [JSON.parse(name), micro / MICRO]);
  const of = (kind: string) => rows.filter(([[first]]) => first === kind);
  return {
    jobs: of("job").map(([[, family = ""], count]) => ({ family, count })),
    faults: of("fault").map(([[, family = "", fault = ""], count]) => ({ family, fault, count })),
    answers: of("answer").map(([[, moveId = "", key = "", outcomeId = ""], count]) => ({
      moveId,
      case: key,
      outcomeId,
      count,
    })),
  };
}
