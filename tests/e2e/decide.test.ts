import { expect } from "@playwright/test";
import { test } from "./demo-shop";
import { press, typeInto } from "./keys";

const PHONE = { width: 390, height: 844 };

test("by keyboard alone: a slider past its notch flips the answer, a price with its ends is kept, another route with its reason", async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.address}/jobs/103/decide`);
  const sentence = page.getByTestId("sentence");
  await expect(sentence).toContainText("Fit a start capacitor");
  const before = await sentence.textContent();
  const machine = page.getByTestId("slider-machine");
  await expect(machine).toContainText("The answer flips");
  await machine.getByRole("slider").focus();
  await page.keyboard.press("Home");
  await expect(sentence).toContainText("Another machine: €0.00");
  await expect(page.getByRole("button", { name: "Take this route" })).toBeDisabled();
  await press(page, "Put them back");
  await expect(sentence).toHaveText(before ?? "");

  await press(page, /^Prices and offers/);
  await typeInto(page, "Another shop or a licensed trade, EUR", "30-20");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/"30-20" does not rise/)).toBeVisible();
  await typeInto(page, "Another shop or a licensed trade, EUR", "20-30");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("ledger")).toContainText(
    "Another shop asks: €25.00, between €20.00 and €30.00",
  );

  await press(page, /^All \d+ routes/);
  const motor = page.getByRole("listitem").filter({ hasText: /^Fit another motor/ });
  await motor.getByRole("button", { name: "Take this instead" }).focus();
  await page.keyboard.press("Enter");
  await press(page, /^Take it: fit another motor/);
  await expect(page.getByText("Say in a few words why not the cheapest.")).toBeVisible();
  await typeInto(page, "Why this one", "the owner has one");
  await press(page, /^Take it: fit another motor/);
  const gate = page.getByTestId("purchase-gate");
  if (await gate.isVisible()) {
    await typeInto(page, "Why without proof", "it lies here");
    await press(page, /^Take it: fit another motor/);
  }
  await page.waitForURL("**/put-back");
  await expect(page.getByTestId("ledger")).toContainText("not the cheapest: the owner has one");
});

test("with fingers on a phone: the schools, what the owner is asked, and what a look is worth", async ({
  browser,
  shop,
}) => {
  const phone = await browser.newContext({ viewport: PHONE, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  await page.goto(`${shop.address}/jobs/108/decide`);
  await expect(page.getByTestId("sentence")).toContainText(/Measure first: .* looking is worth €/);
  await page.getByText("Surest first step", { exact: true }).first().tap();
  await expect(page.getByRole("button", { name: /^Take it:/ })).toBeVisible();
  await page.getByRole("button", { name: "Leave it" }).tap();
  await expect(page.getByRole("link", { name: "Measure it first" })).toBeVisible();
  const offer = page.getByTestId("owner-offer");
  await expect(offer).toContainText("we would do this");
  await offer.getByRole("button", { name: "The owner was asked" }).tap();
  await expect(page.getByTestId("ledger")).toContainText(/Owner asked: We would .* answer by/);
  await phone.close();
});
