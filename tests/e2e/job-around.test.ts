import { readFileSync } from "node:fs";
import { expect, type Page, test } from "@playwright/test";
import { addMonths, format } from "date-fns";
import sharp from "sharp";
import { dayIn } from "../../src/core/quantity/format";
import { type RunningShop, runShop } from "./server";

/** A picture as a camera would make it, drawn here. */
async function photo(background: string): Promise<{ name: string; mimeType: string; buffer: Buffer }> {
  const buffer = await sharp({ create: { width: 800, height: 600, channels: 3, background } })
    .jpeg()
    .toBuffer();
  return { name: "photo.jpg", mimeType: "image/jpeg", buffer };
}

async function takePicture(page: Page, label: string, background: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).setInputFiles(await photo(background));
}

const tap = (page: Page, name: string | RegExp): Promise<void> =>
  page.getByRole("button", { name, exact: typeof name === "string" }).click();
const field = (page: Page, label: string | RegExp) => page.getByRole("textbox", { name: label });

async function setZone(page: Page, address: string, zone: string): Promise<void> {
  const { value, version } = await (await page.request.get(`${address}/api/settings`)).json();
  const answer = await page.request.put(`${address}/api/settings`, {
    data: { value: { ...value, zone }, version },
  });
  expect(answer.ok()).toBe(true);
}

async function takeIn(page: Page, address: string): Promise<string> {
  await page.goto(`${address}/jobs/new`);
  await takePicture(page, "Picture of the plate", "#8a8f92");
  await expect(page.getByAltText("The nameplate")).toBeVisible();
  await page.getByLabel("The plate in one line").fill("230 V 50 Hz 2.1 A 180 W 1390 r/min type HX-2");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("plate-meaning")).toContainText("4 poles");
  await field(page, "Machine").fill("Cheese press");
  // No machine that is known by its name.
  await tap(page, "A spring under load, or a lifted weight? Neither");
  await tap(page, "Blades or rollers? None");
  await tap(page, "Heat, or pressure? Neither");
  await page.getByLabel("Kind of motor").selectOption({ label: "Capacitor start" });
  await page.getByText("I, earthed", { exact: true }).click();
  await page.getByText("Cord and plug", { exact: true }).click();
  await page.getByText("Hum", { exact: true }).click();
  await page.getByText("Cold", { exact: true }).click();
  await tap(page, "Take it in");
  await page.waitForURL("**/make-safe");
  return /jobs\/(\d+)/.exec(page.url())?.[1] ?? "";
}

async function makeSafe(page: Page): Promise<void> {
  await tap(page, "Out, plug in sight");
  await tap(page, "Sound");
  await page.getByTestId("check-earth-continuity").fill("0.05");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("answer-earth-continuity")).toContainText("passed");
  await page.getByTestId("check-insulation").fill("85M");
  await page.keyboard.press("Enter");
  await page.getByTestId("volts-start").fill("0.3");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("bench-state")).toContainText("0.3 V, read once");
  await tap(page, "The clip stays on");
  await expect(page.getByTestId("bench-state")).toContainText("clip left on");
}

async function takeApart(page: Page, address: string, job: string): Promise<void> {
  await page.goto(`${address}/jobs/${job}/put-back`);
  await takePicture(page, "Picture", "#565d5c");
  const picture = page.getByTestId("pin-picture");
  await picture.click({ position: { x: 80, y: 60 } });
  await page.getByText("2", { exact: true }).click();
  await page.getByText("tray 2", { exact: true }).click();
  await tap(page, "Off: cross");
  await expect(page.getByTestId("left-bar")).toContainText("1 of 1 left");
  await tap(page, "Off: wave washer");
  await expect(page.getByTestId("left-bar")).toContainText("2 of 2 left, wave washer missing");
  await page.getByLabel("from terminal").fill("5");
  await tap(page, "Off: blue wire from 5");
  await expect(page.getByRole("img", { name: /^Wires: blue to 5$/ })).toBeVisible();
  await field(page, "What").fill("felt ring, half typed");
}

async function putBackButWasher(page: Page): Promise<void> {
  const list = page.getByRole("list", { name: "To put back" }).getByRole("listitem");
  await expect(list.first()).toContainText("wire, blue to 5");
  await tap(page, "Back on: wire, blue to 5");
  await expect(page.getByRole("img", { name: "Wires: blue to 5, back" })).toBeVisible();
  await tap(page, "Otherwise: 2 × screw, cross drive");
  await tap(page, "Some of them are back");
  await tap(page, "1");
  await expect(page.getByTestId("left-bar")).toContainText("2 of 3 left");
  await tap(page, "Back on: 2 × screw, cross drive");
  await expect(page.getByTestId("left-bar")).toContainText("1 of 3 left, wave washer missing");
}

async function refusedWithWasher(page: Page, address: string, job: string): Promise<void> {
  await expect(page.getByRole("link", { name: "Sign off, locked until all is back" })).toBeVisible();
  await page.goto(`${address}/jobs/${job}/sign-off`);
  await expect(page.getByTestId("still-off")).toContainText("1 left");
  const word = page.getByRole("region", { name: "What may be said of it" });
  await word.getByRole("button", { name: "look" }).click();
  await page.getByLabel("Minutes charged").fill("30");
  await word.getByRole("button", { name: "Sign off" }).click();
  await expect(word.getByRole("alert")).toContainText("not back: wave washer (line");
}

async function finalTestsAndRun(page: Page, address: string, job: string): Promise<void> {
  await page.goto(`${address}/jobs/${job}/sign-off`);
  const tests = page.getByRole("region", { name: "Final tests of its class" });
  await tests.getByRole("button", { name: "Sound" }).click();
  await page.getByTestId("check-earth-continuity").fill("0.05");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("answer-earth-continuity")).toContainText("passed");
  await page.getByTestId("check-insulation").fill("90M");
  await page.keyboard.press("Enter");
  await tap(page, "The clip is off");
  await page.getByRole("button", { name: /^Plugged in, hands off/ }).click();
  await expect(page.getByTestId("bench-state")).toContainText("Plugged in");
  const run = page.getByRole("region", { name: "Run it as the complaint comes" });
  await run.getByText("Hot", { exact: true }).click();
  await page.getByLabel("For how many minutes").fill("10");
  await page.getByLabel("Amps before the repair").fill("4.9");
  await page.getByLabel("Amps now").fill("3.1");
  await tap(page, "The complaint is gone");
}

async function promiseAndSign(page: Page): Promise<void> {
  const again = page.getByRole("region", { name: "To look at again" });
  await again.getByRole("button", { name: "Run it cold, as the complaint comes" }).click();
  await tap(page, "In a month");
  await tap(page, "Put it down");
  await expect(page.getByTestId("ledger")).toContainText("below 12 °C): Run it cold");
  const word = page.getByTestId("word");
  await expect(word).toContainText("Runs, not yet proven");
  await expect(word).toContainText("It was not run cold, as the complaint comes");
  await page.getByLabel("Minutes charged").fill("45");
  await page
    .getByRole("region", { name: "What may be said of it" })
    .getByRole("button", { name: "Sign off" })
    .click();
  await expect(page.getByRole("heading", { name: "Signed off: runs, not yet proven" })).toBeVisible();
}

/** The day a month from today where the shop is, whatever the clocks of server and browser say. */
function monthFromToday(zone: string): string {
  const today = new Date(`${dayIn(new Date().toISOString(), zone)}T12:00:00`);
  return format(addMonths(today, 1), "yyyyMMdd");
}

async function calendarOf(page: Page): Promise<string> {
  const again = page.getByRole("region", { name: "To look at again" });
  const open = again.getByRole("button", { name: "change" });
  if (await open.isVisible()) await open.click();
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    again.getByRole("link", { name: /^Calendar file/ }).click(),
  ]);
  return readFileSync(await file.path(), "utf8");
}

const CHATHAM = "Pacific/Chatham";

test("apart with pictures, the page lost, together in reverse, not yet proven cold, and the right day on Chatham and on the Faroes", async ({
  browser,
}) => {
  const shop: RunningShop = await runShop({ clock: CHATHAM });
  const context = await browser.newContext({ timezoneId: CHATHAM });
  const page = await context.newPage();
  await setZone(page, shop.address, CHATHAM);
  const job = await takeIn(page, shop.address);
  await makeSafe(page);
  await takeApart(page, shop.address, job);

  await page.close();
  const next = await context.newPage();
  await next.goto(`${shop.address}/jobs/${job}/put-back`);
  await expect(field(next, "What")).toHaveValue("felt ring, half typed");
  await expect(next.getByTestId("left-bar")).toContainText("3 of 3 left, wave washer missing");
  await expect(next.getByTestId("lapsed")).toContainText("Is the plug still out?");
  await tap(next, "Still out, in sight");
  await expect(next.getByTestId("lapsed")).toBeHidden();
  await tap(next, "Something was done already");
  await next.getByLabel("What was done").selectOption({ label: "Fit a start capacitor" });
  await tap(next, "Done: same rating and kind");
  // The page closes up once it is kept: nobody taps before.
  await expect(next.getByTestId("ledger")).toContainText("Start capacitor fitted");
  await putBackButWasher(next);
  await refusedWithWasher(next, shop.address, job);
  await next.goto(`${shop.address}/jobs/${job}/put-back`);
  await tap(next, "Back on: wave washer");
  await expect(next.getByText("All is back and covered")).toBeVisible();
  await finalTestsAndRun(next, shop.address, job);
  await promiseAndSign(next);

  const calendar = await calendarOf(next);
  expect(calendar).toContain(`DTSTART;VALUE=DATE:${monthFromToday(CHATHAM)}\r\n`);
  expect(calendar).toContain("Only below 12 °C.");
  // The same shop moved half round the world: the clocks of server and browser stay where they are.
  await setZone(next, shop.address, "Atlantic/Faroe");
  await next.goto(`${shop.address}/jobs/${job}/sign-off`);
  const again = next.getByRole("region", { name: "To look at again" });
  await again.getByRole("button", { name: "change" }).click();
  await again.getByRole("textbox", { name: "What to look at again" }).fill("Ask the owner");
  await again.getByRole("button", { name: "In a month" }).click();
  await again.getByRole("button", { name: "Put it down" }).click();
  await expect(next.getByTestId("ledger")).toContainText("Ask the owner");
  expect(await calendarOf(next)).toContain(`DTSTART;VALUE=DATE:${monthFromToday("Atlantic/Faroe")}\r\n`);

  await next.goto(`${shop.address}/jobs/${job}/sheet`);
  await expect(next.getByTestId("sheet-word")).toContainText("Whether the repair holds is not proven yet");
  await expect(next.getByRole("article", { name: "Letter to the owner" })).not.toContainText(/\brepaired\b/i);
  await context.close();
  await shop.stop();
});

test.describe("two devices, timers, keys", () => {
  let shop: RunningShop;
  test.beforeAll(async () => {
    shop = await runShop();
  });
  test.afterAll(() => shop.stop());

  test("a line ticked on one device is ticked on the other; a timer rings on every screen after a reload", async ({
    browser,
  }) => {
    const [left, right] = [await browser.newContext(), await browser.newContext()];
    const [one, other] = [await left.newPage(), await right.newPage()];
    await one.goto(`${shop.address}/jobs/109/put-back`);
    await other.goto(`${shop.address}/jobs/109/put-back`);
    await expect(other.getByTestId("left-bar")).toContainText("5 of 6 left");
    await tap(one, "Back on: capacitor lead, brown to 6");
    await expect(other.getByTestId("left-bar")).toContainText("4 of 6 left");
    await expect(one.getByTestId("undo")).toBeVisible();
    await one.keyboard.press("u");
    await expect(other.getByTestId("left-bar")).toContainText("5 of 6 left");

    await tap(one, "Timer");
    await one.getByLabel("Minutes", { exact: true }).fill("0.05");
    await tap(one, "Keep");
    await expect(other.getByTestId("ringing").or(other.getByTestId("timers"))).toContainText(
      "Wet grindstone",
    );
    await other.goto(`${shop.address}/set-up`);
    await other.reload();
    await expect(other.getByTestId("ringing")).toContainText("Wet grindstone, job 109");
    await expect(one.getByTestId("ringing")).toBeVisible();
    await tap(other, "Heard");
    await expect(other.getByTestId("ringing")).toBeHidden();
    await other.reload();
    await expect(other.getByRole("heading", { level: 1 })).toBeVisible();
    await expect(other.getByTestId("ringing")).toBeHidden();
    await expect(one.getByTestId("ringing"), "the other device has not heard it").toBeVisible();
    await left.close();
    await right.close();
  });

  test("a fault plainly seen is kept in three taps, mended by nobody yet, and Make safe comes first", async ({
    page,
  }) => {
    await page.goto(`${shop.address}/jobs/107/take-in`);
    await tap(page, "Fault plainly seen …");
    await tap(page, "Cord cut, frayed or burnt");
    await tap(page, "Keep the changes");
    await page.waitForURL("**/jobs/107/make-safe");
    await expect(page.getByTestId("ledger")).toContainText("Decided: ");
    await expect(page.getByTestId("ledger")).not.toContainText("mended");
  });

  test("lines are moved and keys are shown without a pointer", async ({ page }) => {
    await page.goto(`${shop.address}/jobs/109/put-back`);
    const list = page.getByRole("list", { name: "To put back" }).getByRole("listitem");
    await expect(list.nth(1)).toContainText("brown to 6");
    await page.getByRole("button", { name: "Move: fibre washer" }).focus();
    await page.keyboard.press("Space");
    await page.waitForTimeout(300);
    await page.keyboard.press("ArrowUp");
    await page.waitForTimeout(300);
    await page.keyboard.press("Space");
    await expect(list.nth(2)).toContainText("fibre washer");
    await expect(page.getByTestId("ledger")).toContainText("Order of putting back");
    await page.keyboard.press("Escape");
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await page.keyboard.press("?");
    const keys = page.getByRole("dialog", { name: "Keys" });
    await expect(keys).toContainText("Undo, while it is offered");
    await page.keyboard.press("Escape");
    await page.keyboard.press("8");
    await page.goto(`${shop.address}/jobs/109/match`);
    await expect(page.getByTestId("next-bar")).toContainText("Say where the plug is");
    await expect(page.getByTestId("clock")).toBeVisible();
    await page.keyboard.press("g");
    await page.waitForURL("**/jobs/109/make-safe#plug");
  });
});
