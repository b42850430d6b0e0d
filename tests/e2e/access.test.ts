import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { type RunningShop, runShop } from "./server";

let shop: RunningShop;
test.beforeAll(async () => {
  shop = await runShop({ access: true });
});
test.afterAll(() => shop.stop());

test("a device that is put out from Set-up, alone or with all others, is out until it has the code again", async ({
  browser,
}) => {
  const code = readFileSync(join(shop.data, "access-code"), "utf8").trim();
  const enter = async () => {
    const page = await (await browser.newContext()).newPage();
    await page.goto(`${shop.address}/access`);
    await page.getByLabel("Code", { exact: true }).fill(code);
    await page.getByRole("button", { name: "Come in" }).click();
    // Asked again and again: under load the browser may tell of the new page before anybody listens.
    await expect(page).toHaveURL(`${shop.address}/`);
    return page;
  };
  const [phone, till, tablet, here] = [await enter(), await enter(), await enter(), await enter()];
  await here.goto(`${shop.address}/set-up`);
  const devices = here.getByRole("list", { name: "Devices that are in" });
  await expect(devices).toContainText("This device");
  // The newest is this one; the next is the tablet.
  await devices
    .getByRole("button", { name: /^Put out/ })
    .first()
    .click();
  await expect
    .poll(() => tablet.request.get(`${shop.address}/api/jobs/101`).then((got) => got.status()))
    .toBe(401);
  await tablet.reload();
  await expect(tablet).toHaveURL(/\/access/);
  await here.getByRole("button", { name: "Put out all but this one" }).click();
  await expect(devices.getByRole("button")).toHaveCount(0);
  for (const other of [phone, till])
    expect((await other.request.get(`${shop.address}/api/jobs/101`)).status()).toBe(401);
  expect((await here.request.get(`${shop.address}/api/jobs/101`)).status()).toBe(200);
});

test("on the workshop's network the code is asked for, once, and five wrong tries wait a minute", async ({
  page,
  context,
}) => {
  expect((await fetch(`${shop.address}/api/jobs/101`)).status).toBe(401);
  await page.goto(`${shop.address}/jobs/103/measure`);
  await expect(page).toHaveURL(/\/access\?to=%2Fjobs%2F103%2Fmeasure/);
  const code = readFileSync(join(shop.data, "access-code"), "utf8").trim();
  await page.getByLabel("Code", { exact: true }).fill("WRONG");
  await page.getByRole("button", { name: "Come in" }).click();
  await expect(page.getByRole("alert")).toContainText("4 tries left");
  await page.getByLabel("Code", { exact: true }).fill(code.toLowerCase());
  await page.getByRole("button", { name: "Come in" }).click();
  await page.waitForURL("**/jobs/103/measure");
  const cookie = (await context.cookies()).find(({ name }) => name === "session");
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: "Strict" });
  await page.goto(`${shop.address}/set-up`);
  await expect(page.getByText(code)).toBeVisible();
  // What is scanned leads here, port and all.
  await expect(page.getByText(shop.address, { exact: true })).toBeVisible();
  for (let tries = 0; tries < 5; tries += 1)
    await fetch(`${shop.address}/api/access`, {
      method: "POST",
      // Whoever tries codes can write any address into a header: only the peer's own counts.
      headers: { "content-type": "application/json", "x-forwarded-for": `10.0.0.${tries}` },
      body: '{"code":"WRONG"}',
    });
  const locked = await fetch(`${shop.address}/api/access`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ code }),
  });
  expect(locked.status).toBe(423);
  expect(await locked.text()).toMatch(/wait \d+ s/);
});
