import { expect } from "@playwright/test";
import { test } from "./demo-shop";
import { press } from "./keys";
import { chooseMove } from "./moves";

const settled = (page: import("@playwright/test").Page) =>
  expect(page.getByTestId("moves")).toHaveAttribute("aria-busy", "false");

test("a motor of unknown kind: clues narrow it with the plug out, one tap settles it, then its own moves come in", async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.address}/jobs/107/isolate`);
  const kinds = page.getByRole("region", { name: "Kind of motor" });
  await expect(kinds).toContainText("no live move before it is");
  await settled(page);
  await press(page, /^Show \d+ more moves/);
  await expect(page.getByRole("list", { name: "Other moves" })).not.toContainText("live");
  await chooseMove(page, "How does it sound running, now or before?");
  await press(page, /^Loud whine or brush noise/);
  await settled(page);
  await expect(kinds.getByRole("button").first()).toContainText("Universal, brushed");
  await kinds.getByRole("button", { name: /^Universal, brushed/ }).click();
  await expect(kinds).toHaveCount(0);
  await settled(page);
  await expect(page.getByTestId("moves")).toContainText("Look at both brushes");
});

test("two answers that cannot both be are named, and asking one again takes its line back first", async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.address}/jobs/108/isolate`);
  await chooseMove(page, "Switch it on once, standing clear");
  await press(page, "It was done already: write it down");
  await press(page, /^Runs(about|unlikely|,|$)/);
  const conflict = page.getByTestId("conflict");
  await expect(conflict).toContainText("These answers do not fit together");
  await expect(conflict).toContainText("cannot both be so");
  const again = conflict.getByRole("button", { name: /^ask again/ }).first();
  const title = ((await again.textContent()) ?? "").replace("ask again: ", "");
  await again.click();
  await expect(page.getByTestId("next-move")).toContainText(new RegExp(title, "i"));
  await expect(page.getByTestId("ledger")).toContainText("asked again");
  await page.getByText("How suspicion moved").click();
  await expect(page.getByTestId("history")).toContainText("Before anything was known");
});

test("a kind that is only recognised says what can be done about it and what is passed on", async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.address}/jobs/107/isolate`);
  await settled(page);
  await page.getByRole("link", { name: "Take in" }).click();
  await page.getByRole("combobox", { name: /^Kind of motor/ }).selectOption({ label: "Sealed compressor" });
  await page.getByRole("button", { name: /Keep/ }).first().click();
  await page.goto(`${shop.address}/jobs/107/isolate`);
  await expect(page.getByRole("region", { name: "Passed on" })).toContainText("The can is never opened");
  await expect(page.getByRole("region", { name: "Can be done here" })).toContainText("outside the can");
});
