// How good the advice is: on sixty whole repairs as they were written down; on machines drawn from the knowledge's own chances, on small models that can be solved whole, on
// machines made by physics; and how quick it is in the browser. Writes docs/methods/isolation.md.
// npm run bench:isolation -- [machines a family] [own] [reduced] [physics] [speed]
import { spawn } from "node:child_process";
import { writeFileSync } from "node:fs";
import { parametersOf } from "@/core/knowledge/parameters";
import { shopKnowledge } from "@/server/services/knowledge";
import { browserSpeed } from "./isolation/browser-speed";
import type { FamilyReport } from "./isolation/family-report";
import { type Kept, partOf } from "./isolation/kept-part";
import { ownPart } from "./isolation/own-page";
import { physicsPart } from "./isolation/physics-page";
import { physicsReport } from "./isolation/physics-report";
import { reducedReport } from "./isolation/reduced";
import { repairsPart } from "./isolation/repairs-page";
import { speedPart } from "./isolation/speed-page";
import { playRepairs } from "./isolation/whole-repairs";
import { isSmoke, sized } from "./lib/sized.mjs";

const given = process.argv.slice(2);
const machines = Number(given.find((one) => /^\d+$/.test(one)) ?? sized(500, 1));
const only = given.filter((one) => !/^\d+$/.test(one));
const isAsked = (part: string): boolean => only.length === 0 || only.includes(part);
const AT_ONCE = 2;
const REDUCED_MODELS = sized(200, 2);

/** One family in a process of its own: two cores share the families out. */
function inOwnProcess(family: string): Promise<FamilyReport> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [
      "--expose-gc",
      "--import",
      "tsx",
      "scripts/isolation/family-report.ts",
      family,
      String(machines),
    ]);
    let [said, wrong] = ["", ""];
    child.stdout.on("data", (piece) => {
      said += piece;
    });
    child.stderr.on("data", (piece) => {
      wrong += piece;
    });
    child.once("exit", (code) => {
      if (code !== 0) return reject(new Error(`${family} ended with ${code}: ${wrong}`));
      console.log(`${family} done`);
      resolve(JSON.parse(said));
    });
  });
}

async function everyFamily(families: readonly string[]): Promise<FamilyReport[]> {
  const waiting = [...families];
  const reports: FamilyReport[] = [];
  const worker = async (): Promise<void> => {
    for (let family = waiting.shift(); family !== undefined; family = waiting.shift())
      reports.push(await inOwnProcess(family));
  };
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  return reports.sort((one, other) => families.indexOf(one.family) - families.indexOf(other.family));
}

const knowledge = shopKnowledge();
if (isSmoke) {
  // That it runs to its end: one machine of one family, and small models. Nothing is written.
  await inOwnProcess("split-phase");
  reducedReport(REDUCED_MODELS, parametersOf(knowledge.parameters));
  process.exit(0);
}
const { version } = knowledge;
const parameters = parametersOf(knowledge.parameters);
const families = knowledge.families.filter(({ stations }) => stations.length > 0).map(({ id }) => id);
const own = await partOf("own", isAsked("own"), version, () => everyFamily(families));
const reduced = await partOf("reduced", isAsked("reduced"), version, () =>
  reducedReport(REDUCED_MODELS, parameters),
);
const physics = await partOf("physics", isAsked("physics"), version, () =>
  physicsReport(Math.max(20, Math.round(machines / 5)), knowledge),
);
const speed = await partOf("speed", isAsked("speed"), version, () => browserSpeed(knowledge));
const when = (name: string, { knowledgeVersion, day }: Kept<unknown>): string =>
  `${name} on ${day} with knowledge \`${knowledgeVersion}\``;
writeFileSync(
  "docs/methods/isolation.md",
  `# How good the advice is

Written by \`npm run bench:isolation\`: change the command, not this page. Measured: ${[
    when("own generator", own),
    when("small models", reduced),
    when("physics", physics),
    when("speed", speed),
  ].join("; ")}.

${repairsPart(playRepairs(knowledge))}
${ownPart(own.found, reduced.found)}

${physicsPart(physics.found, own.found)}

${speedPart(speed.found)}
`,
);
// The thread that the shop's server would isolate in keeps this program alive.
process.exit(0);
