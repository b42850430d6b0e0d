import { expect } from "@playwright/test";
import { test } from "./demo-shop";
import { fromTheDoor } from "./door";
import { press, tabTo, typeInto } from "./keys";
import { chooseMove } from "./moves";
import { runShop } from "./server";

test("by keyboard alone: take in, make safe, measure, lose power in the middle, find everything again, strike out and restore", async ({
  page,
}) => {
  const shop = await runShop();
  await fromTheDoor(page, shop.address);
  const bench = page.getByTestId("bench-state");

  await tabTo(page, "Measure");
  await page.keyboard.press("Enter");
  await page.waitForURL("**/measure");
  await press(page, "Has none", "ArrowRight");
  await expect(page.getByRole("radio", { name: "Lifted" })).toBeChecked();
  await typeInto(page, "Capacitance", "61.8u");
  await expect(page.getByTestId("verdict")).toContainText("57 % under its mark, 145 to 174 μF");

  await shop.restart();
  await page.reload();
  await expect(page.getByTestId("reading")).toHaveValue("61.8u");
  // The tab still holds the moment of the last touch.
  await expect(bench).toContainText("Unplugged, clip left on");
  // Another tab of the same device holds nothing of it.
  await page.evaluate(() => sessionStorage.clear());
  await page.reload();
  await expect(page.getByTestId("reading")).toHaveValue("61.8u");
  await expect(bench).toContainText("Not known: is the plug out?");
  await expect(page.getByTestId("ledger")).toContainText(
    "Marking of the start capacitor: 145-174 uF 250 VAC",
  );

  await press(page, "Capacitance");
  await expect(page.getByTestId("gate")).toContainText("You were about to keep 61.8u");
  await press(page, "Out, plug in sight");
  await expect(bench).toContainText("Unplugged, clip left on");
  await press(page, "Capacitance");
  await expect(page.getByTestId("kept")).toContainText("61.8 μF");
  await expect(page.getByTestId("ledger")).toContainText("Start capacitor 61.8 μF: 57 % under its mark");

  await press(page, /^strike line \d+: Start capacitor/);
  await expect(page.getByTestId("kept")).toBeHidden();
  await press(page, /^restore line \d+: Start capacitor/);
  await expect(page.getByTestId("kept")).toContainText("57 % under its mark");
  await shop.stop();
});

test("the type line: a job by name, a part by its marking, one key away", async ({ page, shop }) => {
  await page.goto(shop.address);
  await page.waitForLoadState("networkidle");
  await page.keyboard.press("/");
  await page.keyboard.type("30 uF 5% 450V S0");
  await expect(page.getByText("protection class: a run capacitor")).toBeVisible();
  await page.keyboard.press("Enter");
  await page.waitForURL("**/tools/capacitor-against-mark?mark=*");
  await expect(page.getByTestId("mark")).toHaveValue("30 uF 5% 450V S0");
  await page.locator("body").click({ position: { x: 5, y: 400 } });
  await page.keyboard.press("/");
  await page.keyboard.type("churn");
  await expect(page.getByText("Job 101")).toBeVisible();
  await page.keyboard.press("Enter");
  await page.waitForURL("**/jobs/101/take-in");
});

test("with fingers: our own keypad types a reading, and the tablet's keyboard stays away", async ({
  browser,
  shop,
}) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    isMobile: true,
    hasTouch: true,
  });
  const page = await context.newPage();
  await page.goto(`${shop.address}/tools/capacitor-against-mark`);
  await page.getByTestId("mark").fill("145-174 μF 250 VAC");
  await page.getByText("Has none").tap();
  for (const key of ["6", "1", ".", "8", "μF"])
    await page.getByRole("button", { name: key, exact: true }).tap();
  await expect(page.getByTestId("reading")).toHaveAttribute("inputmode", "none");
  await expect(page.getByTestId("verdict")).toHaveAttribute("data-verdict", "faulty");
  await page.getByRole("button", { name: "Keep", exact: true }).tap();
  await expect(page.getByRole("region", { name: "Readings kept" })).toContainText("61.8 μF");
  await context.close();
});

test("isolate by keyboard: an answer closes the path in, a reading ends the search, a strike opens it again", async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.address}/jobs/104/isolate`);
  const move = page.getByTestId("next-move");
  await expect(move).toContainText("Make it safe for this");
  await expect(page.getByTestId("suspect").first()).toContainText("Load jammed");
  await chooseMove(page, "Turn the shaft by hand");
  await expect(page.getByTestId("make-ready")).toContainText("First: is the plug out?");
  await press(page, "Out, plug in sight");
  await expect(page.getByTestId("make-ready")).toContainText("First: block the blades");
  await press(page, "The blades are blocked");
  await press(page, /^Turns freely/);
  await expect(page.getByTestId("ledger")).toContainText("Turn the shaft by hand: Turns freely");
  await expect(page.getByTestId("suspect").first()).not.toContainText("Load jammed");
  await chooseMove(page, "Measure the start capacitor");
  await expect(page.getByTestId("make-ready")).toContainText("First: is anything charged?");
  await press(page, "It was done already: write it down");
  await press(page, "Has none", " ");
  await typeInto(page, "Capacitance", "44u");
  await expect(page.getByTestId("verdict")).toContainText("56 % under its mark");
  await page.keyboard.press("Enter");
  await expect(page.getByText("No move left is worth its price").first()).toBeVisible();
  await expect(page.getByTestId("suspect").first()).toContainText(
    /Start capacitor weak\s*about (85|90|95) %/,
  );
  await press(page, /^strike line \d+: Start capacitor/);
  await expect(page.getByTestId("suspect").first()).not.toContainText(/about (85|90|95) %/);
});
