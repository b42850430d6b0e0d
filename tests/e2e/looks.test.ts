import { readdirSync } from "node:fs";
import { join } from "node:path";
import { expect, type Page } from "@playwright/test";
import { test } from "./demo-shop";
import { COLOURS, EVERYTHING, expectReadable } from "./readable";

/** A page a tool, whatever tools there are. */
function toolPages(): string[] {
  return readdirSync("src/tools", { withFileTypes: true })
    .filter((topic) => topic.isDirectory())
    .flatMap(({ name }) => readdirSync(join("src/tools", name)))
    .map((id) => `/tools/${id}`);
}

const VIEWS = [
  "/",
  "/jobs/new",
  "/jobs/103/take-in",
  "/jobs/104/make-safe",
  "/jobs/106/make-safe",
  "/jobs/103/measure",
  "/jobs/102/isolate",
  "/jobs/103/isolate",
  "/jobs/104/isolate",
  "/jobs/105/isolate",
  "/jobs/107/isolate",
  "/jobs/103/match",
  "/jobs/105/match",
  "/jobs/103/decide",
  "/jobs/105/decide",
  "/jobs/108/decide",
  "/jobs/109/put-back",
  "/jobs/103/put-back",
  "/jobs/109/sign-off",
  "/jobs/109/tag",
  "/jobs/110/sign-off",
  "/jobs/110/sheet",
  "/jobs/110/sheet?copy=shop",
  "/jobs/103/sheet",
  "/jobs",
  "/owners/1",
  "/tools",
  ...toolPages(),
  "/parts",
  "/orders",
  "/shelf",
  "/knowledge",
  "/knowledge/moves/start-capacitance",
  "/knowledge/faults/start-capacitor-low",
  "/knowledge/limits/earth-continuity",
  "/set-up",
  "/access",
  "/nowhere",
];
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
/** In parts, so that both workers have something to do until the end. */
const PARTS = [0, 1, 2, 3].map((part) => VIEWS.filter((_, index) => index % 4 === part));

test.describe.configure({ mode: "parallel" });

/** The island has taken over from the server's markup, and nothing is being worked out any more. */
async function awake(page: Page): Promise<void> {
  await page.waitForFunction(() => document.querySelector("astro-island[ssr]") === null);
  await expect(page.getByText(/^(Working out|Weighing)/)).toHaveCount(0);
}

/** Nothing is wider than the screen, and nothing to press is too small for a thumb. */
async function expectFits(page: Page, view: string): Promise<void> {
  const overflow = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(overflow, `${view} scrolls sideways`).toBeLessThanOrEqual(0);
  const small = await page.evaluate(() =>
    [...document.querySelectorAll("a, button, select, input:not(.sr-only)")]
      .filter(
        (element) =>
          element.getClientRects().length > 0 &&
          element.getBoundingClientRect().height < 44 &&
          !element.closest("[cmdk-root]") &&
          !element.closest(".min-h-12, .min-h-\\[68px\\]"),
      )
      .map((element) => element.outerHTML.slice(0, 120)),
  );
  expect(small, `${view}: targets under 44 px`).toEqual([]);
}

/** Complaints of the browser while views are looked at; a page that is not there may say so. */
function listen(page: Page): string[] {
  const complaints: string[] = [];
  page.on("console", (message) => {
    if (message.type() === "error" && !/404/.test(message.text()))
      complaints.push(`${page.url()}: ${message.text()} (${message.location().url})`);
  });
  page.on("pageerror", (error) => complaints.push(`${page.url()}: ${error.message}`));
  return complaints;
}

PARTS.forEach((views, part) => {
  test(`every view, once: readable by all in both themes, nothing wider than a desk or a phone, no complaint of the browser (part ${part + 1})`, async ({
    browser,
    shop,
  }) => {
    const desk = await browser.newContext({ viewport: DESK });
    const phone = await browser.newContext({ viewport: PHONE, hasTouch: true, isMobile: true });
    const complaints: string[] = [];
    const [page, small] = [await desk.newPage(), await phone.newPage()];
    const heard = [listen(page), listen(small)];
    for (const view of views) {
      await Promise.all([page.goto(`${shop.address}${view}`), small.goto(`${shop.address}${view}`)]);
      await Promise.all([awake(page), awake(small)]);
      await expectReadable(page, EVERYTHING, view);
      await expectFits(page, view);
      // In the other theme only the colours differ: the page is not loaded again for it.
      await page.evaluate(async () => {
        const { dataset } = document.documentElement;
        dataset["theme"] = dataset["theme"] === "nightbench" ? "daybench" : "nightbench";
        // A button's colours fade over; read half way they are neither theme's.
        await new Promise(requestAnimationFrame);
        await Promise.allSettled(document.getAnimations().map(({ finished }) => finished));
      });
      await expectReadable(page, COLOURS, `${view}, other theme`);
      await expectFits(small, `${view} on a phone`);
    }
    complaints.push(...heard.flat());
    expect(complaints).toEqual([]);
    await desk.close();
    await phone.close();
  });
});
