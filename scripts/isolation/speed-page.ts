// How quick the advice is, as a page.

import type { SpeedRow } from "./browser-speed";

const ms = (value: number): string => value.toFixed(0);
const met = (isMet: boolean): string => (isMet ? "met" : "**not met**");

export function speedPart(rows: readonly SpeedRow[]): string {
  const most = (pick: (one: SpeedRow) => number): number => Math.max(...rows.map(pick));
  const [one, table, two] = [
    most(({ oneP95 }) => oneP95),
    most((row) => row.table),
    most(({ twoP95 }) => twoP95),
  ];
  return `## How quick it is in the browser

The built worker in headless Chromium, asked as the page asks it, message to answer, on this machine; each family in a worker of its own (the first answer is the median of five such), thirty states of evidence of one to five answers drawn at random. Random answers contradict each other more often than real ones, so that three roots are tried more often in the second step.

| aim, in the slowest family | measured | |
| --- | --- | --- |
| answer to re-ranked moves, 95th percentile below 60 ms (50 once) | ${ms(one)} ms | ${met(one < 60)} |
| first answer of a kind of machine, its table included, below 500 ms (400 once) | ${ms(table)} ms | ${met(table < 500)} |
| second step, 95th percentile below 1 s | ${ms(two)} ms | ${met(two < 1000)} |

| family | hypotheses | first answer, ms | one step, median and 95th percentile, ms | second step, median and 95th percentile, ms |
| --- | --- | --- | --- | --- |
${rows.map((row) => `| ${row.family} | ${row.hypotheses} | ${ms(row.table)} | ${ms(row.oneMedian)} / ${ms(row.oneP95)} | ${ms(row.twoMedian)} / ${ms(row.twoP95)} |`).join("\n")}`;
}
