import { expect } from "@playwright/test";
import { test } from "./demo-shop";
import { press, typeInto } from "./keys";

const PHONE = { width: 390, height: 844 };

test("by keyboard alone: a worn stamp against the caliper, settled, the bearing taken and ordered with its small parts", async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.address}/jobs/108/match`);
  await expect(page.getByRole("list", { name: "What is needed" })).toBeVisible();
  await page.keyboard.press("/");
  await page.keyboard.type("6204-2RS");
  await expect(page.getByRole("option", { name: /Ball bearing.*on the list/ })).toBeVisible();
  await page.keyboard.press("Enter");
  await page.waitForURL("**/match?part=ball-bearing*");
  await typeInto(page, "Bore, as found", "19.6");
  const unsettled = page.getByRole("region", { name: "To be settled first" });
  await expect(unsettled).toContainText("Which of them is right?");
  await expect(page.getByRole("button", { name: "Take this one" })).toHaveCount(0);
  await press(page, /^20 mm, marked/);
  await expect(unsettled).toHaveCount(0);
  const looked = page.getByRole("complementary", { name: "The one looked at" });
  await expect(looked).toContainText("Fits");
  await expect(looked).toContainText("fitted together");
  await press(page, "Take this one");
  await expect(looked).toContainText("Chosen for this job.");
  await press(page, /^It is ordered, with its small parts/);
  await expect(page.getByRole("region", { name: "Orders" })).toContainText("Wave washer");
  await page.goto(`${shop.address}/orders`);
  await expect(page.getByRole("region", { name: "Tern Quay counter" })).toContainText(
    /Bearing 6204 2RS.*Job 108/,
  );
});

test("with fingers on a phone: a fuse by what its cap says; what is not known yet keeps it from being taken", async ({
  browser,
  shop,
}) => {
  const phone = await browser.newContext({ viewport: PHONE, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  await page.goto(`${shop.address}/jobs/104/match`);
  await page.getByLabel("Part to be matched").selectOption({ label: "Fuse" });
  await page.getByLabel("What is printed on the old one").tap();
  await page.keyboard.type("T2A L 250V");
  const looked = page.getByRole("complementary", { name: "The one looked at" });
  await expect(looked).toContainText("What is not known yet decides");
  await expect(page.getByTestId("ask-next")).toContainText("Body");
  await page.getByLabel("Body, as found").selectOption({ label: "5 × 20 mm" });
  await expect(looked).toContainText("Fits");
  await page.getByLabel("Amps, as found").tap();
  await page.keyboard.type("nought");
  await expect(page.getByRole("alert").first()).toContainText('"nought" is not a reading');
  await page.getByLabel("Amps, as found").fill("");
  await looked.getByRole("button", { name: "Take this one" }).tap();
  await expect(looked).toContainText("Chosen for this job.");
  await phone.close();
});

test("the last one on the shelf goes to one of two devices; put back, the other takes it, and the Shelf says who has it", async ({
  page,
  browser,
  shop,
}) => {
  const phone = await browser.newContext({ viewport: PHONE, hasTouch: true, isMobile: true });
  const other = await phone.newPage();
  const lookedOn = (on: typeof page) => on.getByRole("complementary", { name: "The one looked at" });
  await page.goto(`${shop.address}/jobs/101/match`);
  await other.goto(`${shop.address}/jobs/107/match`);
  await other.getByLabel("Part to be matched").selectOption({ label: "Run capacitor" });
  await other.getByLabel("What is printed on the old one").tap();
  await other.keyboard.type("20 μF ±5 % 450 VAC 25/085/21 S0");
  await expect(lookedOn(other)).toContainText("here: 1 in Drawer B1");
  await expect(lookedOn(page)).toContainText("here: 1 in Drawer B1");
  await lookedOn(page).getByRole("button", { name: "Take it from the shelf" }).click();
  await expect(lookedOn(page)).toContainText("taken from Drawer B1");
  await lookedOn(other).getByRole("button", { name: "Take it from the shelf" }).tap();
  await expect(lookedOn(other).getByRole("alert")).toContainText(/none left.*job 101/);
  await lookedOn(page).getByRole("button", { name: "Put it back on the shelf" }).click();
  await expect(lookedOn(page).getByRole("button", { name: "Take it from the shelf" })).toBeVisible();
  await lookedOn(other).getByRole("button", { name: "Take it from the shelf" }).tap();
  await expect(lookedOn(other)).toContainText("taken from Drawer B1");
  await other.goto(`${shop.address}/shelf`);
  await other.getByRole("button", { name: /Run capacitor 20 μF ±5 % 450 V, class B, S0 Drawer B1/ }).tap();
  const told = other.getByRole("list", { name: "What came and went" });
  await expect(told.getByRole("listitem").first()).toContainText("1 taken for job 107");
  await other.getByRole("button", { name: "Take out" }).tap();
  await expect(other.getByRole("alert")).toContainText("Drawer B1 has 0 of");
  await other.getByRole("button", { name: "Put in" }).tap();
  await expect(told.getByRole("listitem").first()).toContainText("1 put in");
  await told.getByRole("button", { name: "take back" }).tap();
  await expect(told.getByRole("listitem").first()).toContainText("1 taken back");
  await phone.close();
});
