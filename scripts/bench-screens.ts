// What somebody waits for on the way through a job, in Chromium: the change of a screen, and the headline of Find and Decide.
// npx tsx scripts/bench-screens.ts
import { rmSync } from "node:fs";
import type { Page } from "@playwright/test";
import { launchBrowser } from "./lib/browser";
import { ensureBuilt, ensureSnapshot, startServer } from "./lib/prepare.mjs";
import { demoFolder, sized } from "./lib/sized.mjs";

const ROUNDS = sized(30, 1);
const JOB = 103;
const AIMS = { screen: 150, same: 300, after: 700 };

const median = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[times.length >> 1] ?? 0;
const p95 = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? 0;

function tell(what: string, times: readonly number[], aim: number): void {
  const word = median(times) <= aim ? "met" : "NOT MET";
  console.log(`${what}: median ${median(times)} ms, p95 ${p95(times)} ms (aim ${aim} ms: ${word})`);
}

const settled = async (page: Page): Promise<void> => {
  await page.waitForFunction(() => document.querySelector("astro-island[ssr]") === null);
  await page.waitForFunction(
    () => !/Working out|Weighing/.test(document.querySelector("main")?.textContent ?? ""),
  );
};

/** Taps a link of the shaft. @returns ms until the screen stands there, and until its headline does */
async function tap(
  page: Page,
  stage: string,
): Promise<{ readonly screen: number; readonly headline: number }> {
  const path = `/jobs/${JOB}/${stage}`;
  const begun = Date.now();
  await page.locator(`a[href="${path}"]`).first().click();
  await page.waitForURL(`**${path}`);
  const screen = Date.now() - begun;
  await settled(page);
  return { screen, headline: Date.now() - begun };
}

ensureSnapshot();
ensureBuilt();
const data = demoFolder();
const { child, address } = await startServer({
  port: 47_231,
  data,
  seed: "demo",
  anchor: "2026-11-25T09:00:00Z",
  output: "ignore",
});
const browser = await launchBrowser();
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await page.goto(`${address}/jobs/${JOB}/isolate`);
await settled(page);
await tap(page, "decide");
const [screens, same, after]: [number[], number[], number[]] = [[], [], []];
for (let round = 0; round < ROUNDS; round += 1) {
  for (const stage of ["measure", "make-safe", "put-back"]) screens.push((await tap(page, stage)).screen);
  for (const stage of ["isolate", "decide"]) {
    const { screen, headline } = await tap(page, stage);
    screens.push(screen);
    same.push(headline);
  }
}
// A new price is a new question: what is asked of the machine has to be worked out again.
for (let round = 0; round < ROUNDS; round += 1) {
  const { seq } = (await (await fetch(`${address}/api/jobs/${JOB}`)).json()) as { seq: number };
  const payload = { of: "machine", minor: 20_000 + round, low: null, high: null };
  const body = {
    entryId: crypto.randomUUID(),
    expectedSeq: seq,
    kind: "priced",
    stage: "decide",
    by: "x",
    payload,
  };
  await fetch(`${address}/api/jobs/${JOB}/entries`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  });
  await tap(page, "measure");
  after.push((await tap(page, "isolate")).headline);
}
tell("change of screen", screens, AIMS.screen);
tell("headline of Find and Decide, nothing changed", same, AIMS.same);
tell("headline of Find after something new", after, AIMS.after);
await browser.close();
child.kill();
rmSync(data, { recursive: true, force: true });
