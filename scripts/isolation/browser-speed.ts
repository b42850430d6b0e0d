// How quick the isolation worker is in the browser that this program is used in: the built worker, asked as the page asks it.

import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { NOT_KNOWN } from "@/core/knowledge/machine-kind";
import type { Knowledge } from "@/core/knowledge/types";
import { seededRandom } from "@/core/seeded-random";
import { launchBrowser } from "../lib/browser";
import { ensureBuilt, startServer } from "../lib/prepare.mjs";

export interface SpeedRow {
  readonly family: string;
  readonly hypotheses: number;
  /** First answer in a fresh worker, its table included: the median of a few fresh workers, ms. */
  readonly table: number;
  readonly oneMedian: number;
  readonly oneP95: number;
  readonly twoMedian: number;
  readonly twoP95: number;
}

const PORT = 47_260;
const PATHS = 30;
const LONGEST = 5;
const FRESH = 5;

interface Asked {
  readonly machine: { readonly family: string };
  readonly evidence: readonly { readonly seq: number; readonly moveId: string; readonly outcomeId: string }[];
  readonly options: { readonly lookAhead: 1 | 2; readonly maxRoots: 2 | 3 };
}

/** Answers to moves at random, as they might stand when the next one is asked for. */
function pathsFor(family: string, { moves }: Knowledge): Asked["evidence"][] {
  const random = seededRandom(20_261);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random.next() * from.length)] as T;
  const own = moves.filter((move) => move.families.includes(family) && move.stations.length === 0);
  return Array.from({ length: PATHS }, (_, index) =>
    Array.from({ length: 1 + (index % LONGEST) }, (__, at) => {
      const move = at === 0 ? own.find(({ id }) => id === "owner-report") : pick(own);
      return { seq: at + 1, moveId: move?.id ?? "", outcomeId: pick(move?.outcomes ?? [""]) };
    }),
  );
}

/** Runs in the page: a fresh worker, spoken to as Comlink speaks, timed from message to answer. */
async function timeInPage([worker, knowledge, requests]: [string, unknown, unknown[]]) {
  const thread = new Worker(worker, { type: "module" });
  let number = 0;
  const ask = (path: string, args: unknown[]): Promise<{ value: unknown }> =>
    new Promise((resolve) => {
      number += 1;
      const id = `${number}`;
      const hear = ({ data }: MessageEvent): void => {
        if (data?.id !== id) return;
        thread.removeEventListener("message", hear);
        resolve(data);
      };
      thread.addEventListener("message", hear);
      thread.postMessage({
        id,
        type: "APPLY",
        path: [path],
        argumentList: args.map((value) => ({ type: "RAW", value })),
      });
    });
  await ask("prepare", [knowledge]);
  const times: number[] = [];
  let hypotheses = 0;
  for (const request of requests) {
    const started = performance.now();
    const { value } = await ask("isolate", [request]);
    times.push(performance.now() - started);
    const found = value as { ok: boolean; value?: { basis: { hypotheses: number } } };
    if (found.ok && found.value && hypotheses === 0) hypotheses = found.value.basis.hypotheses;
  }
  thread.terminate();
  return { times, hypotheses };
}

const at = (times: readonly number[], share: number): number =>
  [...times].sort((one, other) => one - other)[Math.floor(share * (times.length - 1))] ?? 0;

/** Each family in a worker of its own, so that its table is built anew. */
export async function browserSpeed(knowledge: Knowledge): Promise<SpeedRow[]> {
  ensureBuilt();
  const data = mkdtempSync(join(tmpdir(), "spindle-speed-"));
  const rows: SpeedRow[] = [];
  const { child, address } = await startServer({ port: PORT, data, output: "ignore" });
  const browser = await launchBrowser();
  try {
    const page = await browser.newPage();
    await page.goto(`${address}/set-up`);
    // The compiler marks functions with their names by a helper that the page does not have.
    await page.evaluate("globalThis.__name = (named) => named");
    const file = readdirSync("dist/client/_astro").find((name) => name.startsWith("isolation.worker"));
    if (!file) throw new Error("the build has no isolation worker");
    const covered = knowledge.families.filter(({ stations }) => stations.length > 0).map(({ id }) => id);
    for (const family of [...covered, NOT_KNOWN]) {
      const asked = (options: Asked["options"]): Asked[] =>
        pathsFor(family, knowledge).map((evidence) => ({ machine: { family }, evidence, options }));
      const one = asked({ lookAhead: 1, maxRoots: 2 });
      const two = asked({ lookAhead: 2, maxRoots: 3 });
      const { times, hypotheses } = await page.evaluate(timeInPage, [
        `/_astro/${file}`,
        knowledge,
        [...one, ...two],
      ] as [string, unknown, unknown[]]);
      const [first = 0, ...quick] = times.slice(0, one.length);
      const firsts = [first];
      while (firsts.length < FRESH) {
        const again = await page.evaluate(timeInPage, [`/_astro/${file}`, knowledge, one.slice(0, 1)] as [
          string,
          unknown,
          unknown[],
        ]);
        firsts.push(...again.times);
      }
      const refined = times.slice(one.length);
      rows.push({
        family,
        hypotheses,
        table: at(firsts, 0.5),
        oneMedian: at(quick, 0.5),
        oneP95: at(quick, 0.95),
        twoMedian: at(refined, 0.5),
        twoP95: at(refined, 0.95),
      });
    }
  } finally {
    await browser.close();
    child.kill();
    rmSync(data, { recursive: true, force: true });
  }
  return rows;
}
