import { expect, type Page } from "@playwright/test";
import { test } from "./demo-shop";

const SUSPECTS = (page: Page) => page.getByTestId("suspect").first();
const WORKER = /isolation\.worker.*\.js/;

test("from Find to Decide and back the page is not loaded anew, and nothing is worked out twice", async ({
  page,
  shop,
}) => {
  let threads = 0;
  page.on("worker", () => {
    threads += 1;
  });
  await page.goto(`${shop.address}/jobs/103/isolate`);
  await expect(SUSPECTS(page)).toBeVisible();
  await page.evaluate(() => Object.assign(window, { isSamePage: true }));
  await page.locator('a[href="/jobs/103/decide"]').first().click();
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  await page.locator('a[href="/jobs/103/isolate"]').first().click();
  await expect(SUSPECTS(page)).toBeVisible();
  await page.locator('a[href="/jobs/103/make-safe"]').first().click();
  await page.waitForURL("**/make-safe");
  await page.goBack();
  await expect(SUSPECTS(page)).toBeVisible();
  expect(await page.evaluate(() => "isSamePage" in window)).toBe(true);
  expect(threads).toBeLessThanOrEqual(1);
});

test("what was worked out on this device is shown after a reload although no thread can begin; what was not, is told", async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.address}/jobs/105/isolate`);
  await expect(page.getByTestId("moves")).toHaveAttribute("aria-busy", "false");
  const lead = await SUSPECTS(page).textContent();
  await page.route(WORKER, (route) => route.abort());
  await page.reload();
  await expect(SUSPECTS(page)).toHaveText(lead ?? "");
  await expect(page.getByTestId("moves")).toHaveAttribute("aria-busy", "false");
  await page.goto(`${shop.address}/jobs/107/isolate`);
  await expect(page.getByText("The working out broke off.")).toBeVisible();
});

test("a browser that keeps nothing is passed over", async ({ page, shop }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, "indexedDB", {
      get: () => {
        throw new Error("refused");
      },
    });
  });
  await page.goto(`${shop.address}/jobs/103/isolate`);
  await expect(SUSPECTS(page)).toBeVisible();
});

test("the plug is known after a reload, and not any more once another tab wrote in the job", async ({
  context,
  page,
  shop,
}) => {
  await page.goto(`${shop.address}/jobs/104/make-safe`);
  const badge = page.getByTestId("bench-state").first();
  await page
    .getByRole("button", { name: "Out, plug in sight" })
    .or(page.getByText("Out, plug in sight"))
    .first()
    .click();
  await expect(badge).toContainText("Unplugged");
  const known = (await badge.textContent()) ?? "";
  await page.reload();
  await expect(badge).toHaveText(known);
  const other = await context.newPage();
  await other.goto(`${shop.address}/jobs/104/measure`);
  await other.getByRole("button", { name: "Note", exact: true }).first().click();
  await other.getByRole("textbox").last().fill("seen from the other tab");
  await other.getByRole("button", { name: "Keep", exact: true }).last().click();
  await expect(page.getByTestId("ledger")).toContainText("seen from the other tab");
  await expect(badge).not.toHaveText(known);
});

test("a button that is pressed before its page has woken up is pressed once it has, and once only", async ({
  page,
  shop,
}) => {
  let wake = (): void => undefined;
  const awake = new Promise<void>((resolve) => {
    wake = resolve;
  });
  await page.route(/_astro\/ShelfScreen.*\.js/, async (route) => {
    await awake;
    await route.continue();
  });
  await page.goto(`${shop.address}/shelf`, { waitUntil: "domcontentloaded" });
  const part = page.getByRole("button", { name: /Run capacitor 20 μF ±5 % 450 V, class B, S0 Drawer B1/ });
  await part.click();
  await part.click();
  const told = page.getByRole("list", { name: "What came and went" });
  await expect(told).toHaveCount(0);
  wake();
  await expect(told).toBeVisible();
  await part.click();
  await expect(told).toHaveCount(0);
});
