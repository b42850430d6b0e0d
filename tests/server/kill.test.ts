import { spawn } from "node:child_process";
import {
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { seededRandom } from "@/core/seeded-random";
import { openFolder } from "@/server/db/connect";
import { FolderInUse, lockFolder } from "@/server/db/lock";
import { entriesOf } from "@/server/repositories/entries";

/** A hundred in `npm run bench:shop`; each start of a writer takes its five seconds. */
const KILLS = Number(process.env["KILLS"] ?? 2);
const SEED = 20261125;

/** Lets a writer write for a while after its first line, then kills it hard. @returns what it had acknowledged */
function writeUntilKilled(folder: string, afterMs: number): Promise<{ from: number; last: number }> {
  return new Promise((resolve, reject) => {
    const writer = spawn(process.execPath, ["--import", "tsx", "tests/server/kill-writer.ts", folder], {
      stdio: ["ignore", "pipe", "pipe"],
    });
    let out = "";
    let trouble = "";
    writer.stdout.on("data", (piece: Buffer) => {
      const isFirst = !out.includes("kept");
      out += piece.toString();
      if (isFirst && out.includes("kept")) setTimeout(() => writer.kill("SIGKILL"), afterMs);
    });
    writer.stderr.on("data", (piece: Buffer) => {
      trouble += piece.toString();
    });
    writer.once("exit", (_, signal) => {
      if (signal !== "SIGKILL") reject(new Error(`the writer ended by itself: ${trouble}`));
      const kept = [...out.matchAll(/kept (\d+)\n/g)].map(([, seq]) => Number(seq));
      resolve({ from: Number(/from (\d+)/.exec(out)?.[1]), last: kept.at(-1) ?? 0 });
    });
  });
}

describe("a writer killed hard at random moments", () => {
  it(`loses nothing that was acknowledged and leaves nothing half written, ${KILLS} times`, {
    timeout: 60_000 + 30_000 * KILLS,
  }, async () => {
    const folder = mkdtempSync(join(tmpdir(), "spindle-kill-"));
    const random = seededRandom(SEED);
    let acknowledged = 0;
    for (let kill = 0; kill < KILLS; kill += 1) {
      const { from, last } = await writeUntilKilled(folder, Math.floor(random.next() * 700));
      expect(from, `seed ${SEED}, kill ${kill}`).toBeGreaterThanOrEqual(acknowledged);
      expect(from).toBeLessThanOrEqual(acknowledged + 1);
      acknowledged = Math.max(last, from);
    }
    const { db, close } = await openFolder(folder, "the test");
    const entries = await entriesOf(db, 101);
    await close();
    expect(entries.length).toBeGreaterThanOrEqual(acknowledged);
    expect(entries.length).toBeLessThanOrEqual(acknowledged + 1);
    expect(acknowledged).toBeGreaterThan(KILLS);
    entries.forEach((entry, index) => {
      expect(entry.seq).toBe(index + 1);
      if (entry.kind === "note") expect(entry.payload.text).toBe(`line ${entry.seq}`);
    });
    rmSync(folder, { recursive: true });
  });
});

describe("one process a data folder", () => {
  let folder: string;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), "spindle-lock-"));
  });
  afterEach(() => rmSync(folder, { recursive: true }));

  it("the second is told who has it, and may have it once the first let go", async () => {
    const first = await lockFolder(folder, "process 7 (serving 127.0.0.1:4321)");
    await expect(lockFolder(folder, "process 8", { patienceMs: 0 })).rejects.toThrow(
      /open already, by process 7 \(serving 127\.0\.0\.1:4321\).*--data DIR/,
    );
    await expect(lockFolder(folder, "process 8", { patienceMs: 0 })).rejects.toBeInstanceOf(FolderInUse);
    await first.release();
    const second = lockFolder(folder, "process 8");
    await (await second).release();
    // One that is just being stopped is waited for.
    const stopping = await lockFolder(folder, "process 9");
    const next = lockFolder(folder, "process 10");
    await new Promise((resolve) => setTimeout(resolve, 300));
    await stopping.release();
    await (await next).release();
  });

  /** A lock as a process elsewhere, or one that died, left it. */
  function leftBehind(change: object, beatAgoMs = 0): void {
    mkdirSync(join(folder, "in-use.lock"));
    const at = (Date.now() - beatAgoMs) / 1000;
    utimesSync(join(folder, "in-use.lock"), at, at);
    const holder = { who: "process 9", host: "shed", boot: "b", processes: "pid:[9]", pid: 9, began: "1" };
    writeFileSync(join(folder, "in-use-by.json"), JSON.stringify({ ...holder, ...change }));
  }

  it("where the socket of another namespace is not seen, its heartbeat keeps the folder for a minute", async () => {
    leftBehind({});
    await expect(lockFolder(folder, "process 8", { patienceMs: 0 })).rejects.toThrow(
      /by process 9\..*in a minute/,
    );
    utimesSync(join(folder, "in-use.lock"), Date.now() / 1000 - 90, Date.now() / 1000 - 90);
    await (await lockFolder(folder, "process 8")).release();
  });

  it("is taken over at once where this machine shows that the process is gone, never where it runs", async () => {
    const own = await ownNotice();
    leftBehind({ ...own, who: "process 7" });
    await expect(lockFolder(folder, "process 8", { patienceMs: 0 })).rejects.toThrow(/by process 7/);
    writeFileSync(join(folder, "in-use-by.json"), JSON.stringify({ ...own, began: "0" }));
    await (await lockFolder(folder, "process 8")).release();
    expect(readdirSync(folder)).toEqual([]);
  });

  /** What a process of this machine writes of itself. */
  async function ownNotice(): Promise<object> {
    const lock = await lockFolder(folder, "process 7");
    const [name = ""] = readdirSync(folder).filter((one) => one.startsWith("in-use-by."));
    const own: object = JSON.parse(readFileSync(join(folder, name), "utf8"));
    await lock.release();
    return own;
  }

  it.each([
    ["before it had the lock", { isLocked: false, notices: 1 }],
    ["while it had it", { isLocked: true, notices: 1 }],
    ["twice over", { isLocked: true, notices: 2 }],
    ["between the two removals", { isLocked: false, notices: 2 }],
  ])("a power cut %s keeps nobody from the next start", async (_, { isLocked, notices }) => {
    const gone = JSON.stringify({ ...(await ownNotice()), boot: "the boot before" });
    if (isLocked) mkdirSync(join(folder, "in-use.lock"));
    for (let count = 0; count < notices; count += 1)
      writeFileSync(join(folder, `in-use-by.7-${count}.json`), gone);
    await (await lockFolder(folder, "process 8", { patienceMs: 0 })).release();
    expect(readdirSync(folder)).toEqual([]);
  });

  it("a notice that says nothing is nobody known to be gone: it is waited for", async () => {
    leftBehind({});
    writeFileSync(join(folder, "in-use-by.json"), "");
    await expect(lockFolder(folder, "process 8", { patienceMs: 0 })).rejects.toThrow(/by another process/);
  });
});
