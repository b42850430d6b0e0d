import { expect } from "@playwright/test";
import { test } from "./demo-shop";
import { fromTheDoor } from "./door";
import { press, tabTo, typeInto } from "./keys";
import { chooseMove } from "./moves";

test("by keyboard alone: one machine from the door to the printed sheet", async ({ page, shop }) => {
  await page.addInitScript(() => {
    window.print = () => document.documentElement.setAttribute("data-printed", "yes");
  });
  const ledger = page.getByTestId("ledger");
  await fromTheDoor(page, shop.address);
  const job = /jobs\/(\d+)/.exec(page.url())?.[1];
  const stage = async (name: string, path: string): Promise<void> => {
    await tabTo(page, new RegExp(`^${name},`));
    await page.keyboard.press("Enter");
    await page.waitForURL(`**/jobs/${job}/${path}`);
  };

  await stage("Put back", "put-back");
  await typeInto(page, "What", "hump screws");
  await typeInto(page, "How many", "2");
  await typeInto(page, "Where it lies", "tray 1");
  await page.keyboard.press("Enter");
  await expect(ledger).toContainText("Off: 2 × hump screws, tray 1");

  await stage("Isolate", "isolate");
  await chooseMove(page, "Measure the start capacitor");
  await press(page, "Has none", " ");
  await typeInto(page, "Capacitance", "61.8u");
  await page.keyboard.press("Enter");
  // The reading has told: before it the same suspect leads, with less.
  await expect(page.getByTestId("suspect").first()).toContainText(
    /Start capacitor weak\s*about (85|90|95) %/,
  );
  await expect(page.getByTestId("moves")).toHaveAttribute("aria-busy", "false");
  await expect(page.getByTestId("stop-call").first()).toContainText("Try repairs now");
  const tryNow = /€[\d.]+/.exec((await page.getByTestId("stop-call").first().textContent()) ?? "")?.[0];

  await stage("Decide", "decide");
  await expect(page.getByTestId("sentence")).toContainText("Fit a start capacitor");
  await expect(page.getByTestId("mean-part")).toHaveText(tryNow ?? "no figure");

  await stage("Match", "match");
  await press(page, "Take this one");
  await expect(page.getByText("Chosen for this job.")).toBeVisible();

  await stage("Decide", "decide");
  await press(page, /^Prices and offers/);
  await typeInto(page, "Another machine, EUR", "310");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("mean-replace")).toHaveText("€310.00");
  await press(page, "Take this route");
  await page.waitForURL("**/put-back");
  await press(page, "It is done");
  await expect(ledger).toContainText("Start capacitor fitted");

  await stage("Sign off", "sign-off");
  await expect(page.getByTestId("still-off")).toContainText("First put back: 1 left");
  await stage("Put back", "put-back");
  await press(page, /^Back on: 2 × hump screws/);
  await expect(page.getByText("All is back and covered")).toBeVisible();
  await tabTo(page, "Final tests");
  await page.keyboard.press("Enter");
  await page.waitForURL("**/sign-off");

  await expect(page.getByTestId("answer-insulation")).toBeHidden();
  await press(page, "Sound");
  await expect(page.getByTestId("answer-look-and-cord")).toBeVisible();
  await typeInto(page, "Reading", "0.05");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("answer-earth-continuity")).toContainText("passed");
  await typeInto(page, "Reading", "90M");
  await page.keyboard.press("Enter");
  await expect(page.getByText("taken and passed")).toBeVisible();
  await press(page, "The clip is off");
  await expect(page.getByRole("button", { name: "The clip is off" })).toBeHidden();
  await press(page, /^Plugged in, hands off/);
  await expect(page.getByTestId("bench-state")).toContainText("Plugged in");
  await press(page, "Cold", " ");
  await typeInto(page, "For how many minutes", "10");
  await typeInto(page, "Amps before the repair", "4.9");
  await typeInto(page, "Amps now", "3.1");
  await expect(page.getByText("Even if it runs well: when the complaint shows is not known.")).toBeVisible();
  await press(page, "The complaint is gone");
  await expect(ledger).toContainText("Run, cold, 10 min: the complaint is gone");
  await expect(page.getByTestId("word")).toContainText("Runs, not yet proven");
  await typeInto(page, "Minutes charged", "45");
  await press(page, "Sign off");
  await tabTo(page, "The owner's sheet");
  await page.keyboard.press("Enter");
  await page.waitForURL("**/sheet");

  await expect(page.getByTestId("sheet-word")).toContainText("Whether the repair holds is not proven yet");
  const sheet = page.getByRole("article", { name: "Letter to the owner" });
  await expect(sheet).not.toContainText(/\brepaired\b/i);
  await expect(sheet).toContainText("57 % under its mark");
  await expect(sheet).toContainText("Start capacitor fitted");
  await expect(sheet).toContainText("4.9 A before, 3.1 A after the repair");
  await expect(sheet).toContainText("no inspection certificate");
  await press(page, "Print");
  await expect(page.locator("html")).toHaveAttribute("data-printed", "yes");
  expect((await page.pdf({ format: "A4" })).subarray(0, 5).toString()).toBe("%PDF-");
});
