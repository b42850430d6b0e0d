// docs/screenshots: one picture of each main view, from the demo data, with a fixed anchor. npm run screenshots
import { mkdirSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Page } from "@playwright/test";
import { launchBrowser } from "./lib/browser";
import { ensureBuilt, startServer } from "./lib/prepare.mjs";

const ANCHOR = "2026-11-24T09:00:00Z";
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly theme?: "daybench" | "nightbench";
  readonly size?: typeof DESK;
  readonly before?: (page: Page) => Promise<void>;
}

const type = async (page: Page, text: string): Promise<void> => {
  await page.getByText("Lifted", { exact: true }).click();
  await page.getByTestId("reading").fill(text);
};

/** Four leads of a fan's motor, one pair misread. */
const leads = async (page: Page): Promise<void> => {
  await page.getByLabel("Leads, as they can be told apart").fill("red white black blue");
  for (const [pair, ohms] of [
    ["red to white", "14.4"],
    ["red to black", "36.0"],
    ["white to black", "21.8"],
    ["red to blue", "33.6"],
    ["white to blue", "27.8"],
    ["black to blue", "6.2"],
  ] as const)
    await page.getByLabel(pair).fill(ohms);
  await page.getByText("should be").first().waitFor();
};

const settled = (page: Page): Promise<void> =>
  page.locator('[data-testid="moves"][aria-busy="false"]').waitFor();

const SHOTS: readonly Shot[] = [
  { name: "bench", path: "/" },
  { name: "jobs", path: "/jobs", before: (page) => page.getByText("10 of 10").waitFor() },
  { name: "take-in", path: "/jobs/103/take-in" },
  {
    name: "make-safe",
    path: "/jobs/104/make-safe",
    before: (page) => page.getByText("Out, plug in sight").click(),
  },
  { name: "measure", path: "/jobs/103/measure", before: (page) => type(page, "61.8u") },
  { name: "knowledge", path: "/knowledge/moves/start-capacitance" },
  { name: "isolate", path: "/jobs/104/isolate", before: settled },
  { name: "isolate-kind", path: "/jobs/107/isolate", theme: "nightbench", before: settled },
  { name: "lead-map", path: "/tools/lead-map", before: leads },
  { name: "match", path: "/jobs/103/match" },
  { name: "shelf", path: "/shelf" },
  { name: "decide", path: "/jobs/108/decide", before: (page) => page.getByTestId("sentence").waitFor() },
  { name: "take-apart", path: "/jobs/103/put-back" },
  { name: "put-back", path: "/jobs/109/put-back" },
  { name: "sign-off", path: "/jobs/110/sign-off", theme: "nightbench" },
  { name: "sheet", path: "/jobs/110/sheet" },
  { name: "set-up", path: "/set-up" },
  { name: "bench-phone", path: "/", size: PHONE },
  { name: "make-safe-phone", path: "/jobs/106/make-safe", size: PHONE, theme: "nightbench" },
];

ensureBuilt();
const data = mkdtempSync(join(tmpdir(), "spindle-shots-"));
const { child, address } = await startServer({ port: 47_301, data, anchor: ANCHOR, output: "ignore" });
const browser = await launchBrowser();
mkdirSync("docs/screenshots", { recursive: true });
for (const { name, path, theme = "daybench", size = DESK, before } of SHOTS) {
  const isPhone = size === PHONE;
  const context = await browser.newContext({
    viewport: size,
    isMobile: isPhone,
    hasTouch: isPhone,
    reducedMotion: "reduce",
  });
  await context.addCookies([{ name: "theme", value: theme, url: address }]);
  await context.addInitScript(() => localStorage.setItem("good-spindle:bench-name", "left bench"));
  const page = await context.newPage();
  await page.goto(`${address}${path}`);
  // A page that listens for changes is never idle on the network: it is awake once its island has taken over.
  await page.waitForFunction(() => document.querySelector("astro-island[ssr]") === null);
  await page.waitForTimeout(500);
  await before?.(page);
  await page.waitForTimeout(300);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await context.close();
  console.log(`docs/screenshots/${name}.png`);
}
await browser.close();
child.kill();
rmSync(data, { recursive: true, force: true });
