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
  await page.keyboard.type("6202-2RS");
  await expect(page.getByRole("option", { name: /Ball bearing.*on the list/ })).toBeVisible();
  await page.keyboard.press("Enter");
  await page.waitForURL("**/match?part=ball-bearing*");
  await typeInto(page, "Bore, as found", "14.6");
  const unsettled = page.getByRole("region", { name: "To be settled first" });
  await expect(unsettled).toContainText("Which of them is right?");
  await expect(page.getByRole("button", { name: "Take this one" })).toHaveCount(0);
  await press(page, /^15 mm, marked/);
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
    /Bearing 6202 2RS.*Job 108/,
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
