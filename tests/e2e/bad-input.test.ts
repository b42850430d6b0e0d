import { connect } from "node:net";
import { expect } from "@playwright/test";
import { test } from "./demo-shop";

test("bad input is named on the screen, and what was typed stays", async ({ page, shop }) => {
  await page.goto(`${shop.address}/tools/capacitor-against-mark`);
  const reading = page.getByTestId("reading");
  const mark = page.getByTestId("mark");
  await mark.fill("30 uF ±600%");
  await expect(page.getByRole("alert")).toContainText("±600%");
  await mark.fill("-3 µF");
  await expect(page.getByRole("alert")).toContainText("below zero");
  await mark.fill("145-174 μF 250 VAC");
  await page.getByText("Has none").click();
  for (const [text, words] of [
    ["12..4", "one decimal point, such as 12.4"],
    ["4 7", "write the digits together"],
    ["0x10", "ordinary digits"],
    ["1e999", "larger than any meter reads"],
    ["-3 µF", "below zero"],
  ] as const) {
    await reading.fill(text);
    await reading.press("Enter");
    await expect(page.getByRole("alert")).toContainText(words);
    await expect(reading).toHaveValue(text);
  }
  await reading.fill("12,4");
  await expect(page.getByText("The comma was read as the decimal point: 12.4.")).toBeVisible();
  await reading.press("Enter");
  await expect(page.getByRole("region", { name: "Readings kept" })).toContainText("12.4 μF");

  await page.goto(`${shop.address}/jobs/104/measure`);
  await page.getByRole("button", { name: "Note" }).click();
  await page.getByLabel("Note", { exact: true }).evaluate((field: HTMLTextAreaElement) => {
    const set = Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, "value")?.set;
    set?.call(field, "left\0right");
    field.dispatchEvent(new Event("input", { bubbles: true }));
  });
  await page.getByRole("button", { name: "Keep", exact: true }).last().click();
  await expect(page.getByRole("alert").first()).toContainText("cannot be kept");
});

test("what is no request at all gets the same headers as any other", async ({ shop }) => {
  const { hostname, port } = new URL(shop.address);
  const told = await new Promise<string>((resolve, reject) => {
    let text = "";
    const socket = connect(Number(port), hostname, () => socket.write("GARBAGE\r\n\r\n"));
    socket.on("data", (piece) => {
      text += piece.toString();
    });
    socket.once("end", () => resolve(text));
    socket.once("error", reject);
  });
  expect(told).toMatch(/^HTTP\/1\.1 400 /);
  expect(told).toContain("x-content-type-options: nosniff");
  expect(await (await fetch(`${shop.address}/api/health`)).json()).toMatchObject({ ready: true });
});

test("a file of a job is read on the server's own thread for it: one that is here already, and one that is none", async ({
  shop,
}) => {
  const file = await (await fetch(`${shop.address}/api/jobs/110/archive`)).arrayBuffer();
  const post = (body: ArrayBuffer | string) =>
    fetch(`${shop.address}/api/jobs/import?by=bench`, { method: "POST", body });
  const here = await post(file);
  expect(here.status).toBe(409);
  expect(await here.text()).toContain("it is job 110");
  const none = await post("no job at all");
  expect(none.status).toBe(422);
  expect(await none.text()).toContain("choose one that ends in .job.zip");
});

test("bad requests are refused one by one, and the server goes on", async ({ shop }) => {
  const send = (path: string, init: RequestInit) => fetch(`${shop.address}${path}`, init);
  const json = { "content-type": "application/json" };
  const tool = "/api/tools/capacitor-against-mark";
  const answers = [
    await send("/api/tools/ouija", { method: "POST", headers: json, body: '{"input":{}}' }),
    await send(tool, { method: "POST", headers: json, body: '{"input":' }),
    await send(tool, {
      method: "POST",
      headers: json,
      body: JSON.stringify({ input: { mark: "x".repeat(12_000_000) } }),
    }),
    await send(tool, {
      method: "POST",
      headers: { ...json, origin: "http://elsewhere.example" },
      body: "{}",
    }),
    await send("/api/jobs/4711/entries", {
      method: "POST",
      headers: json,
      body: JSON.stringify({
        entryId: crypto.randomUUID(),
        expectedSeq: 0,
        kind: "note",
        stage: "measure",
        by: "x",
        payload: { text: "x" },
      }),
    }),
    await send("/api/jobs/104/entries", {
      method: "POST",
      headers: json,
      body: JSON.stringify({
        entryId: crypto.randomUUID(),
        expectedSeq: 1,
        kind: "note",
        stage: "measure",
        by: "x",
        payload: { text: "x" },
      }),
    }),
    await send("/api/jobs/104/entries", {
      method: "POST",
      headers: json,
      body: JSON.stringify({
        entryId: crypto.randomUUID(),
        expectedSeq: 1,
        kind: "note",
        stage: "measure",
        by: "x",
        payload: { text: "a\0b" },
      }),
    }),
    await send(tool, { method: "POST", headers: { ...json, host: "evil.example" }, body: "{}" }),
  ];
  expect(answers.map(({ status }) => status)).toEqual([
    404,
    400,
    413,
    403,
    404,
    409,
    422,
    expect.any(Number),
  ]);
  for (const answer of answers.slice(0, 7)) {
    expect(answer.headers.get("content-type")).toContain("application/problem+json");
    const { issues } = (await answer.json()) as { issues: { message: string }[] };
    expect(issues[0]?.message).toMatch(/^[A-Z].{15,}\.$/s);
  }
  const page = await send("/jobs/4711/take-in", {});
  expect(page.status).toBe(404);
  expect(await page.text()).toContain("There is nothing at");
  const health = await send("/api/health", {});
  expect(await health.json()).toMatchObject({ ready: true });
  const policy = (await send("/", {})).headers.get("content-security-policy") ?? "";
  expect(policy.match(/script-src[^;]*/)?.[0]).toMatch(/'sha256-/);
  expect(policy.match(/script-src[^;]*/)?.[0]).not.toContain("unsafe");
});
