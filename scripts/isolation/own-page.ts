// The first report as a page: what was measured on machines drawn from the knowledge's own chances, and on small models.

import type { FamilyReport, Way } from "./family-report";
import { GIVE_UP, RATE } from "./machine";
import type { ReducedReport } from "./reduced";
import { mean, THRESHOLDS } from "./run";

export const percent = (share: number, digits = 0): string => `${(100 * share).toFixed(digits)} %`;
const aim = (isMet: boolean): string => (isMet ? "met" : "**not met**");

function wayLine(family: string, way: Way, own: Way): string {
  const name = way.stopsAt === undefined ? way.name : `${way.name} (stops at ${way.stopsAt})`;
  const cells = [
    family,
    name,
    way.machines,
    percent(way.rootFirst),
    percent(way.cureFirst),
    (way.cost / 100).toFixed(2),
    (way.cost / own.cost).toFixed(3),
    way.moves.toFixed(1),
    way.minutes.toFixed(0),
    way.live.toFixed(1),
  ];
  return `| ${cells.join(" | ")} |`;
}

interface Reliability {
  readonly lines: readonly string[];
  readonly error: number;
}

/** Stated chances against how often they came true, in tenths; the error is the mean gap, weighed by how many. */
export function reliability(stated: FamilyReport["stated"]): Reliability {
  const bins = Array.from({ length: 10 }, (_, bin) =>
    stated.filter(({ chance }) => Math.min(9, Math.floor(chance * 10)) === bin),
  ).map((inBin) => ({
    many: inBin.length,
    said: mean(inBin.map(({ chance }) => chance)),
    came: mean(inBin.map(({ exact }) => Number(exact))),
  }));
  return {
    lines: bins.flatMap(({ many, said, came }, bin) =>
      many === 0
        ? []
        : [`| ${bin * 10} to ${bin * 10 + 10} % | ${many} | ${percent(said)} | ${percent(came)} |`],
    ),
    error: bins.reduce(
      (sum, { many, said, came }) => sum + (Math.abs(said - came) * many) / stated.length,
      0,
    ),
  };
}

function wayNamed({ ways }: FamilyReport, start: string): Way {
  const found = ways.find(({ name }) => name.startsWith(start));
  if (!found) throw new Error(`no way ${start}`);
  return found;
}

const ownWay = (report: FamilyReport): Way => wayNamed(report, "ours");

export function ownPart(reports: readonly FamilyReport[], reduced: ReducedReport): string {
  const machines = reports[0] ? ownWay(reports[0]).machines : 0;
  const stated = reports.flatMap((report) => report.stated);
  const { lines, error } = reliability(stated);
  const over = (start: string): number =>
    mean(reports.map((report) => ownWay(report).cost / wayNamed(report, start).cost));
  const rootFirst = mean(reports.map((report) => ownWay(report).rootFirst));
  const twoFirst = mean(reports.map((report) => wayNamed(report, "ours, two").rootFirst));
  const cureFirst = mean(reports.map((report) => ownWay(report).cureFirst));
  const [overList, overStop] = [over("(a)"), over("(c) with our stop")];
  const lost = (how: "in-range" | "factor-of-two"): number => mean(reports.map(({ losses }) => losses[how]));
  const { oneStep, twoSteps } = reduced;
  const aims: [string, string, boolean][] = [
    [
      "root named first when measuring stops, at least 90 %",
      `${percent(rootFirst, 1)} one step ahead, ${percent(twoFirst, 1)} two steps ahead on a quarter of the machines (${percent(cureFirst, 1)} when a fault with the same cure counts)`,
      rootFirst >= 0.9,
    ],
    ["expected calibration error below 5 %", percent(error, 1), error < 0.05],
    ["cost at most 0.80 of the fixed checklist", overList.toFixed(3), overList <= 0.8],
    ["cost not more than 1 % above (c) with our stop rule", overStop.toFixed(3), overStop <= 1.01],
    [
      "small models: one step within 3 % of the optimum on average",
      `${percent(oneStep.mean, 2)} (${percent(oneStep.within)} of models within 5 %)`,
      oneStep.mean <= 0.03,
    ],
    ["small models: two steps within 1 % on average", percent(twoSteps.mean, 2), twoSteps.mean <= 0.01],
    [
      "small models: at least 97 % within 5 % for two steps",
      `${percent(twoSteps.within)}, worst ${percent(twoSteps.worst, 1)}`,
      twoSteps.within >= 0.97,
    ],
    [
      "every answer's chance anywhere in its range: mean loss within 5 %",
      percent(lost("in-range"), 1),
      lost("in-range") <= 0.05,
    ],
    [
      "every chance wrong by up to a factor of two: mean loss within 5 %",
      percent(lost("factor-of-two"), 1),
      lost("factor-of-two") <= 0.05,
    ],
  ];
  return `## On machines drawn from the knowledge's own chances

${machines} machines a family, faults drawn from the knowledge's own chances, each move's answer drawn once a machine and the same whoever asks. Every search begins with what the owner says, machine unplugged and closed, time at ${RATE / 100} an hour, another machine at ${GIVE_UP / 100}. It ends in repairs in the order of chance ÷ cost, another machine in the end. "Ours" is the very function that the screen asks, one step ahead; two steps ahead on a quarter of the machines. The baselines stop at the best of ${THRESHOLDS.join(", ")}, chosen on other machines.

What this cannot show: whether the chances themselves are right. They are judged, not counted. The second report, further down, shares none of them.

| aim | measured | |
| --- | --- | --- |
${aims.map(([what, measured, isMet]) => `| ${what} | ${measured} | ${aim(isMet)} |`).join("\n")}

A search stops when no move is worth its price, not when it is sure: where a part is cheap, fitting it costs less than the measurement that would name the root.

| family | way | machines | root first | same cure first | cost | against ours | moves | minutes | live |
| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |
${reports.flatMap((report) => report.ways.map((way) => wayLine(report.family, way, ownWay(report)))).join("\n")}

### Stated chances against what came true

| stated | searches | mean stated | came true |
| --- | --- | --- | --- |
${lines.join("\n")}

### Two steps, and chances that are wrong

| family | cost two steps ahead against one, same machines | loss, chances anywhere in their range | loss, chances wrong by up to two |
| --- | --- | --- | --- |
${reports.map(({ family, twoAgainstOne, losses }) => `| ${family} | ${twoAgainstOne.toFixed(3)} | ${percent(losses["in-range"], 1)} | ${percent(losses["factor-of-two"], 1)} |`).join("\n")}

The small models: ${reduced.models} of 6 faults and 6 moves with three answers, singles and pairs, half of them with covers that cost minutes to open; the optimum by dynamic programming over everything that can be heard.

### Size of each family's model

| family | faults | moves | hypotheses | sets of faults | memory of model, table and measuring, kB |
| --- | --- | --- | --- | --- | --- |
${reports.map(({ family, model }) => `| ${family} | ${model.faults} | ${model.moves} | ${model.hypotheses} | ${model.sets} | ${model.kilobytes} |`).join("\n")}`;
}
