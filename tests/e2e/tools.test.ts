import { expect } from "@playwright/test";
import { test } from "./demo-shop";

const PHONE = { width: 390, height: 844 };

test("by keyboard alone: leads are named, pairs read one after the other, the odd one named, and the map kept", async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.address}/tools/lead-map`);
  await page.getByLabel("Leads, as they can be told apart").focus();
  await page.keyboard.type("red white black blue");
  await page.getByLabel("red to white", { exact: true }).focus();
  // Enter goes on to the pair that is wanted next; each is named by where the focus is.
  const ohms = new Map([
    ["red to white", "14.2"],
    ["red to black", "35.8"],
    ["white to black", "21.6"],
    ["red to blue", "33.4"],
    ["white to blue", "27.6"],
    ["black to blue", "6.0"],
  ]);
  for (let step = 0; step < ohms.size; step += 1) {
    const pair = (await page.evaluate(() => document.activeElement?.getAttribute("aria-label"))) ?? "";
    await page.keyboard.type(ohms.get(pair) ?? "");
    if (step < ohms.size - 1) await page.keyboard.press("Enter");
  }
  const verdict = page.getByTestId("verdict");
  await expect(verdict).toContainText("One reading does not fit: red to blue reads");
  await expect(verdict).toContainText("white is common");
  await expect(page.getByTestId("lead-map")).toHaveAttribute("aria-label", /white to black/);
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Readings kept")).toContainText("One reading does not fit");
});

test("with fingers on a phone: colours name the leads, our own keypad types the ohms, the meter fills a pair by itself", async ({
  browser,
  shop,
}) => {
  const phone = await browser.newContext({ viewport: PHONE, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  await page.goto(`${shop.address}/tools/lead-map`);
  for (const colour of ["red", "white", "black"])
    await page.getByRole("button", { name: colour, exact: true }).tap();
  await page.getByLabel("red to white", { exact: true }).tap();
  for (const key of ["1", "4", ".", "2", "Keep"])
    await page.getByLabel("Keypad").getByRole("button", { name: key, exact: true }).tap();
  await expect(page.getByLabel("red to white", { exact: true })).toHaveValue("14.2");
  await page.getByRole("button", { name: /^From the meter/ }).tap();
  // The simulated meter lies on the demo's wool carder: it comes to rest and is taken over.
  await expect
    .poll(
      async () =>
        Promise.all(
          ["red to black", "white to black"].map((pair) =>
            page.getByLabel(pair, { exact: true }).inputValue(),
          ),
        ),
      {
        timeout: 20_000,
      },
    )
    .toEqual(expect.arrayContaining([expect.stringMatching(/^\d/)]));
  // A sheet that asks for nothing else keeps what the meter came to rest at.
  await page.goto(`${shop.address}/tools/winding-against-reference`);
  await page.getByRole("button", { name: /^From the meter/ }).tap();
  await expect(page.getByLabel("Readings kept").getByRole("listitem").first()).toContainText("Ω");
  const wide = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(wide).toBeLessThanOrEqual(0);
  await phone.close();
});
