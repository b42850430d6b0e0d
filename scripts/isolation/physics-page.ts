// The second report as a page.

import type { FamilyReport } from "./family-report";
import { percent } from "./own-page";
import type { PhysicsFamily } from "./physics-report";
import { mean } from "./run";

const MANY_WRONG = 6;
/** A gap in roots named first over this has to be explained. */
const GAP = 0.1;

function familyLine(one: PhysicsFamily, own: FamilyReport | undefined): string {
  const before = own?.ways[0]?.rootFirst;
  const cells = [
    one.family,
    one.machines,
    percent(one.rootFirst),
    before === undefined ? "" : percent(before),
    percent(one.cureFirst),
    (one.cost / 100).toFixed(2),
    (one.checklistCost / 100).toFixed(2),
    one.moves.toFixed(1),
    one.faults.join(" of "),
    one.answered.join(" of "),
  ];
  return `| ${cells.join(" | ")} |`;
}

function wrongLines({ family, wrong }: PhysicsFamily): string[] {
  return wrong
    .slice(0, MANY_WRONG)
    .map(({ hidden, named, times }) => `| ${family} | ${hidden} | ${named} | ${times} |`);
}

function unnoticedLines({ family, unnoticed }: PhysicsFamily): string[] {
  return unnoticed.slice(0, MANY_WRONG).map(({ fault, times }) => `| ${family} | ${fault} | ${times} |`);
}

export function physicsPart(families: readonly PhysicsFamily[], reports: readonly FamilyReport[]): string {
  const ownOf = ({ family }: PhysicsFamily): FamilyReport | undefined =>
    reports.find((report) => report.family === family);
  const gaps = families.flatMap((one) => {
    const before = ownOf(one)?.ways[0]?.rootFirst;
    return before !== undefined && before - one.rootFirst > GAP
      ? [`${one.family} (${percent(before)} to ${percent(one.rootFirst)})`]
      : [];
  });
  return `## On machines made by physics

Machines from \`src/core/simulation\`: windings, capacitors, brushes, friction, contacts, fuses and warming worked out from their equations; each fault is a change of a part, as bad as its seed makes it. Nothing in it knows a chance of the knowledge; the answers follow from torque, current, heat and what can be seen, with a hand that errs by a sixth and a pocket meter that errs as its sheet says (\`scripts/isolation/physics-answers.ts\`). One hidden root a machine, drawn by its starting odds among the faults that physics knows, and drawn again where its owner would have noticed nothing; what it brings about (a blown fuse, an open overload) follows from the owner's tries. A move that physics does not know is answered "could not". The checklist stops at 0.6.

| family | machines | root first | on the own generator | same cure first | cost | fixed checklist | moves | faults physics knows | moves it answers |
| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |
${families.map((one) => familyLine(one, ownOf(one))).join("\n")}

Root first over all: ${percent(mean(families.map(({ rootFirst }) => rootFirst)), 1)}. ${gaps.length === 0 ? "No family falls more than 10 points behind the own generator." : `More than 10 points behind the own generator: ${gaps.join(", ")}.`} Shaded pole, electronically commutated and small synchronous motors have no physics here yet.

### Where the advice went wrong, most often first

| family | hidden | named | times |
| --- | --- | --- | --- |
${families.flatMap(wrongLines).join("\n")}

### What its owner would not have noticed

Drawn, found to show nothing in the owner's use, and drawn again; where the knowledge expects a complaint, its chances are too high or its fault is milder than it thinks.

| family | fault | times |
| --- | --- | --- |
${families.flatMap(unnoticedLines).join("\n")}`;
}
