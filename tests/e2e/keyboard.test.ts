import { expect, test } from "@playwright/test";
import { press, tabTo, typeInto } from "./keys";
import { type RunningShop, runShop } from "./server";

let shop: RunningShop;
test.beforeAll(async () => {
  shop = await runShop();
});
test.afterAll(() => shop.stop());

test("by keyboard alone: take in, make safe, measure, lose power in the middle, find everything again, strike out and restore", async ({
  page,
}) => {
  const bench = page.getByTestId("bench-state");
  await page.goto(shop.address);
  await press(page, "Take in a machine");
  await page.waitForURL("**/jobs/new");

  await typeInto(page, "Machine", "Wool carder");
  await typeInto(page, "Stands at", "left bench");
  await typeInto(page, "Owner", "Tansy Weavers");
  await typeInto(page, /^Ring the owner above/, "80");
  await typeInto(page, "Volts", "230");
  await typeInto(page, "Power", "1/2 hp");
  await tabTo(page, /^Kind of motor/);
  await page.keyboard.type("Capacitor start");
  await press(page, "Not known", "ArrowRight");
  await expect(page.getByRole("radio", { name: "I, earthed" })).toBeChecked();
  await press(page, "Not known", "ArrowRight");
  await expect(page.getByRole("radio", { name: "Cord and plug" })).toBeChecked();
  await press(page, "Does not turn", " ");
  await press(page, "Hum", " ");
  await typeInto(page, "In the owner's words", "It hums. If I spin the drum it goes.");
  await press(page, "Take it in");
  await page.waitForURL("**/make-safe");
  await expect(bench).toContainText("Not known: is the plug out?");

  await press(page, "Out, plug in sight");
  await expect(bench).toContainText("Unplugged, charge not read");
  await press(page, "Sound");
  await expect(page.getByTestId("answer-look-and-cord")).toContainText("passed");
  await typeInto(page, "Reading", "0.05");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("answer-earth-continuity")).toContainText("passed");
  await typeInto(page, "Reading", "85M");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Is anything charged?" })).toBeVisible();
  await typeInto(page, /^What is printed on the start capacitor/, "145-174 uF 250 VAC");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("drain-time")).toContainText("12 s");
  await typeInto(page, "Volts read across it, direct", "0.3");
  await page.keyboard.press("Enter");
  await expect(bench).toContainText("Unplugged, drained to 0.3 V");

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
  await expect(bench).toContainText("Not known: is the plug out?");
  await expect(page.getByTestId("ledger")).toContainText(
    "Marking of the start capacitor: 145-174 uF 250 VAC",
  );

  await press(page, "Capacitance");
  await expect(page.getByTestId("gate")).toContainText("You were about to keep 61.8u");
  await press(page, "Out, plug in sight");
  await expect(bench).toContainText("Unplugged, drained to 0.3 V");
  await press(page, "Capacitance");
  await expect(page.getByTestId("kept")).toContainText("61.8u");
  await expect(page.getByTestId("ledger")).toContainText("Start capacitor 61.8u: 57 % under its mark");

  await press(page, /^strike line \d+: Start capacitor/);
  await expect(page.getByTestId("kept")).toBeHidden();
  await press(page, /^restore line \d+: Start capacitor/);
  await expect(page.getByTestId("kept")).toContainText("57 % under its mark");
});

test("the type line: a job by name, a part by its marking, one key away", async ({ page }) => {
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
  await expect(page.getByRole("region", { name: "Readings kept" })).toContainText("61.8μF");
  await context.close();
});

test("isolate by keyboard: an answer closes the path in, a reading ends the search, a strike opens it again", async ({
  page,
}) => {
  await page.goto(`${shop.address}/jobs/104/isolate`);
  const move = page.getByTestId("next-move");
  await expect(move).toContainText("Measure the start capacitor");
  await expect(page.getByTestId("suspect").first()).toContainText("Start capacitor weak");
  await press(page, /^Turn the shaft by hand/);
  await expect(move).toContainText("Your choice");
  await press(page, /^Turns freely/);
  await expect(page.getByTestId("gate")).toContainText('You were about to keep "Turns freely"');
  await press(page, "Out, plug in sight");
  await press(page, /^Turns freely/);
  await expect(page.getByTestId("ledger")).toContainText("Turn the shaft by hand: Turns freely");
  await expect(move).toContainText("Measure the start capacitor");
  await press(page, "Has none", " ");
  await typeInto(page, "Capacitance", "44u");
  await expect(page.getByTestId("verdict")).toContainText("56 % under its mark");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("gate")).toContainText("Nothing says that the charge is off it");
  await press(page, "It was read before: keep it as entered afterwards");
  await expect(page.getByText("No move left is worth its price").first()).toBeVisible();
  await expect(page.getByTestId("suspect").first()).toContainText(
    /Start capacitor weak\s*about (85|90|95) %/,
  );
  await press(page, /^strike line \d+: Start capacitor/);
  await expect(move).toContainText("Measure the start capacitor");
});
