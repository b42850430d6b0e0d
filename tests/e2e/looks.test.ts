import AxeBuilder from "@axe-core/playwright";
import { expect, type Page, test } from "@playwright/test";
import { type RunningShop, runShop } from "./server";

const VIEWS = [
  "/",
  "/jobs/new",
  "/jobs/103/take-in",
  "/jobs/104/make-safe",
  "/jobs/106/make-safe",
  "/jobs/103/measure",
  "/jobs/102/isolate",
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
  "/jobs/103/sheet",
  "/tools",
  "/tools/capacitor-against-mark",
  "/set-up",
  "/access",
  "/nowhere",
];
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
/** Widths and targets do not depend on the theme: the phone is asked once. */
const PASSES = [
  { size: DESK, theme: "daybench" },
  { size: DESK, theme: "nightbench" },
  { size: PHONE, theme: "nightbench" },
];

/** Views built from the same pieces as another one: at a desk they are asked in one theme. */
const TWICE: ReadonlySet<string> = new Set([
  "/jobs/106/make-safe",
  "/jobs/102/isolate",
  "/jobs/105/isolate",
  "/jobs/105/match",
  "/jobs/105/decide",
  "/jobs/103/decide",
  "/jobs/103/put-back",
  "/jobs/110/sign-off",
  "/jobs/103/sheet",
  "/nowhere",
]);
const NOT_ASKED = { violations: [] };

/** Whether a reader of the screen finds everything, and in the other theme whether its colours can be read too. */
function readability(page: Page, theme: string) {
  const asked = new AxeBuilder({ page });
  return theme === "daybench"
    ? asked.withTags(["wcag2a", "wcag2aa", "wcag21aa"]).analyze()
    : asked.withRules(["color-contrast"]).analyze();
}

/** The island has taken over from the server's markup, and nothing is being worked out any more. */
async function awake(page: Page): Promise<void> {
  await page.waitForFunction(() => document.querySelector("astro-island[ssr]") === null);
  await expect(page.getByText("Working out")).toHaveCount(0);
}

let shop: RunningShop;
test.beforeAll(async () => {
  shop = await runShop();
});
test.afterAll(() => shop.stop());

for (const { size, theme } of PASSES)
  test(`every view at ${size.width}×${size.height} in ${theme}: readable by all, nothing wider than the screen, no complaint of the browser`, async ({
    browser,
  }) => {
    const context = await browser.newContext({
      viewport: size,
      hasTouch: size.width < 600,
      isMobile: size.width < 600,
    });
    await context.addCookies([{ name: "theme", value: theme, url: shop.address }]);
    const page = await context.newPage();
    const complaints: string[] = [];
    page.on("console", (message) => {
      if (message.type() === "error" && !/404/.test(message.text()))
        complaints.push(`${page.url()}: ${message.text()} (${message.location().url})`);
    });
    page.on("pageerror", (error) => complaints.push(`${page.url()}: ${error.message}`));
    for (const view of VIEWS) {
      if (size === DESK && theme === "nightbench" && TWICE.has(view)) continue;
      await page.goto(`${shop.address}${view}`);
      await awake(page);
      // What is readable depends on the theme, not on the size: the phone's pass looks at widths and targets only.
      const { violations } = size === DESK ? await readability(page, theme) : NOT_ASKED;
      expect(violations.map(({ id, nodes }) => `${view} ${id}: ${nodes[0]?.html}`)).toEqual([]);
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
    expect(complaints).toEqual([]);
    await context.close();
  });
