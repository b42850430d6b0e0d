import type { JudgedRepair } from "./whole-repairs";

const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
const met = (share: number, aim: number): string => (share >= aim ? "met" : "**not met**");

function row(name: string, all: readonly JudgedRepair[]): string {
  const points = all.flatMap((one) => one.points);
  const named = all.filter(({ isNamed }) => isNamed).length;
  const good = points.filter(({ isGood }) => isGood).length;
  return `| ${name} | ${all.length} | ${named} | ${good} of ${points.length} |`;
}

/** The report on the sixty whole repairs. */
export function repairsPart(all: readonly JudgedRepair[]): string {
  const points = all.flatMap((one) => one.points);
  const named = all.filter(({ isNamed }) => isNamed).length / all.length;
  const good = points.filter(({ isGood }) => isGood).length / points.length;
  const sorts = [...new Set(all.map(({ sort }) => sort))].sort();
  const missed = all.flatMap(({ story, points: own }) =>
    own.flatMap(({ offered, good: wanted, isGood }, place) =>
      isGood ? [] : [`| ${story}, ${place + 1} | ${offered.join(", ")} | ${wanted.join(", ")} |`],
    ),
  );
  return `## On sixty whole repairs

\`tests/worked/whole-repairs.yaml\`, written from what the work needs before the engine was asked about them: the truth, and at most three good next moves at each of three points. One step ahead, plug out, drained, dead checks passed, everything closed. "Good" is one of the first two places, or that testing ends with the right part first.

| aim | measured | |
| --- | --- | --- |
| root named first at the end, at least 90 % | ${percent(named)} | ${met(named, 0.9)} |
| a good move in the first two places, at least 85 % | ${percent(good)} | ${met(good, 0.85)} |

| what is awkward | repairs | named first | good moves |
| --- | --- | --- | --- |
${sorts
  .map((sort) =>
    row(
      sort,
      all.filter((one) => one.sort === sort),
    ),
  )
  .join("\n")}

Points where another move was wanted:

| repair, point | offered | wanted |
| --- | --- | --- |
${missed.join("\n")}
`;
}
