import { spawn } from "node:child_process";
import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { freePort, type RunningShop, runShop } from "./server";

let shop: RunningShop;
test.beforeAll(async () => {
  shop = await runShop();
});
test.afterAll(() => shop.stop());

test("the built server killed hard while it writes, its database deleted: nothing acknowledged is missing", async () => {
  const jobUrl = `${shop.address}/api/jobs/104`;
  const seqOf = async (): Promise<number> => ((await (await fetch(jobUrl)).json()) as { seq: number }).seq;
  const first = await seqOf();
  let acknowledged = first;
  let isOver = false;
  const writer = (async () => {
    while (!isOver) {
      const body = {
        entryId: crypto.randomUUID(),
        expectedSeq: acknowledged,
        kind: "note",
        stage: "measure",
        by: "x",
        payload: { text: `line ${acknowledged + 1}` },
      };
      const answer = await fetch(`${jobUrl}/entries`, {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify(body),
      }).catch(() => undefined);
      if (!answer?.ok) return;
      acknowledged = ((await answer.json()) as { seq: number }).seq;
    }
  })();
  await expect.poll(() => acknowledged, { intervals: [20] }).toBeGreaterThan(first + 8);
  await shop.restart("SIGKILL", () => rmSync(join(shop.data, "postgres"), { recursive: true }));
  isOver = true;
  await writer;
  const after = (await (await fetch(jobUrl)).json()) as {
    seq: number;
    ledger: { seq: number; kind: string; payload: { text?: string } }[];
  };
  expect(acknowledged).toBeGreaterThan(first + 5);
  expect(after.seq).toBeGreaterThanOrEqual(acknowledged);
  expect(after.seq).toBeLessThanOrEqual(acknowledged + 1);
  for (const { seq, payload } of after.ledger.slice(first)) expect(payload.text).toBe(`line ${seq}`);
});

test("a second server on the same folder is refused, told who has it, and harms nothing", async () => {
  const second = spawn(process.execPath, ["scripts/start.mjs", "--port", "47113", "--data", shop.data], {
    stdio: ["ignore", "ignore", "pipe"],
  });
  const told = await new Promise<{ code: number | null; text: string }>((resolve) => {
    let text = "";
    second.stderr.on("data", (piece: Buffer) => {
      text += piece.toString();
    });
    second.once("exit", (code) => resolve({ code, text }));
  });
  expect(told.code).toBe(3);
  expect(told.text).toMatch(/open already, by process \d+ \(serving 127\.0\.0\.1:\d+\)/);
  expect((await fetch(`${shop.address}/api/jobs/104`)).status).toBe(200);
});

test("a stop said twice over is one stop, leaves no mark in the folder, and the launcher ends as the server did", async () => {
  const data = mkdtempSync(join(tmpdir(), "spindle-stop-"));
  const port = await freePort();
  const begin = () =>
    spawn(process.execPath, ["scripts/start.mjs", "--empty", "--port", String(port), "--data", data], {
      stdio: ["ignore", "pipe", "ignore"],
      // A group of its own, as a terminal or a service manager stops it.
      detached: true,
    });
  const ready = (child: ReturnType<typeof begin>) =>
    new Promise<void>((resolve) => {
      child.stdout.on("data", (piece: Buffer) => {
        if (piece.toString().includes("is ready")) resolve();
      });
    });
  const ended = (child: ReturnType<typeof begin>) =>
    new Promise<number | null>((resolve) => child.once("exit", resolve));
  for (let stop = 0; stop < 2; stop += 1) {
    const child = begin();
    await ready(child);
    const end = ended(child);
    for (let said = 0; said < 3; said += 1) process.kill(-(child.pid ?? 0), "SIGTERM");
    expect(await end).toBe(0);
    expect(readdirSync(data).filter((name) => name.startsWith("in-use"))).toEqual([]);
  }
  rmSync(data, { recursive: true });
});

test("a screen that heard nothing: the later of two is told what changed and keeps what it typed", async ({
  context,
}) => {
  const [one, other] = [await context.newPage(), await context.newPage()];
  // Cut off from the other tab and from the shop's events, as a tablet at the edge of the network is.
  await other.route("**/api/events", (route) => route.abort());
  await other.addInitScript(() => {
    (window as { BroadcastChannel?: unknown }).BroadcastChannel = undefined;
  });
  for (const page of [one, other]) await page.goto(`${shop.address}/jobs/105/make-safe`);
  const write = async (page: typeof one, text: string): Promise<void> => {
    await page.getByRole("button", { name: "Note" }).click();
    await page.getByLabel("Note", { exact: true }).fill(text);
    await page.getByRole("button", { name: "Keep", exact: true }).click();
  };
  await write(one, "Brushes ordered by telephone");
  await expect(one.getByTestId("ledger")).toContainText("Brushes ordered by telephone");
  await write(other, "Owner rang");
  await expect(other.getByRole("alert")).toContainText("went on while you typed: line 9 (note)");
  await expect(other.getByLabel("Note", { exact: true })).toHaveValue("Owner rang");
  await expect(other.getByTestId("ledger")).toContainText("Brushes ordered by telephone");
  await other.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(other.getByTestId("ledger")).toContainText("Owner rang");
});
