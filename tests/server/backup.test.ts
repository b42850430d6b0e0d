import { createHash, randomUUID } from "node:crypto";
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { writeArchive } from "@/server/backup/archive";
import { isDue, makeBackup, outdated } from "@/server/backup/backups";
import { verifyArchive } from "@/server/backup/read-archive";
import { restoreArchive } from "@/server/backup/restore";
import { openFolder } from "@/server/db/connect";
import { setDatabase } from "@/server/db/shop-database";
import { keepPicture } from "@/server/services/keep-picture";
import { recordEntry } from "@/server/services/record-entry";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";
import type { Backup } from "@/wire/shop";
import { allEntries } from "./every-job";

let root: string;
let shop: Awaited<ReturnType<typeof openFolder>>;
const quiet = (): void => undefined;
beforeAll(async () => {
  root = mkdtempSync(join(tmpdir(), "spindle-backup-"));
  process.env["GOOD_SPINDLE_DATA"] = join(root, "shop");
  shop = await openFolder(join(root, "shop"), "the test", { tell: quiet });
  setDatabase(shop);
  await seedDemo(await shopContextOn(shop.db), new Date("2026-11-24T09:00:00Z"));
}, 60_000);
afterAll(async () => {
  process.env["GOOD_SPINDLE_DATA"] = ".cache/test-data";
  await shop.close();
  rmSync(root, { recursive: true });
});

const bytesOf = (path: string): string => createHash("sha256").update(readFileSync(path)).digest("hex");

describe("an archive of the shop", () => {
  it("restored into a new folder exports the same bytes, pictures and numbers included", async () => {
    const png = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#246" } })
      .png()
      .toBuffer();
    expect((await keepPicture(png, "2026-11-24T10:00:00Z", shop.db)).ok).toBe(true);
    const first = join(root, "first.zip");
    const manifest = await writeArchive(shop.db, shop.pictures, first);
    expect(manifest.counts).toMatchObject({ jobs: 10, settings: 1 });
    expect(
      Object.keys(manifest.members).filter((name) => name.startsWith("pictures/")).length,
    ).toBeGreaterThan(1);
    const again = join(root, "again.zip");
    await writeArchive(shop.db, shop.pictures, again);
    expect(bytesOf(again)).toBe(bytesOf(first));

    const restored = await restoreArchive(first, join(root, "restored"), quiet);
    expect(restored.ok ? [] : restored.issues).toEqual([]);
    const other = await openFolder(join(root, "restored"), "the test", { tell: quiet });
    const second = join(root, "second.zip");
    await writeArchive(other.db, other.pictures, second);
    expect(bytesOf(second)).toBe(bytesOf(first));
    expect(await allEntries(other.db)).toEqual(await allEntries(shop.db));
    await other.close();
    // The restored shop has a journal of its own, from its first line.
    rmSync(join(root, "restored", "postgres"), { recursive: true });
    const rebuilt = await openFolder(join(root, "restored"), "the test", { tell: quiet });
    expect(await allEntries(rebuilt.db)).toEqual(await allEntries(shop.db));
    await rebuilt.close();
  }, 60_000);

  it("is a whole moment of the shop although it is written to meanwhile", async () => {
    const before = (await allEntries(shop.db)).filter(({ jobId }) => jobId === 101).length;
    let isOver = false;
    const writing = (async () => {
      const context = await shopContextOn(shop.db);
      for (let seq = before; !isOver; seq += 1) {
        const kept = await recordEntry(
          101,
          {
            entryId: randomUUID(),
            expectedSeq: seq,
            kind: "note",
            stage: "measure",
            by: "left bench",
            payload: { text: `line ${seq + 1}` },
          },
          new Date().toISOString(),
          context,
        );
        if (!kept.ok) throw new Error(kept.issues[0]?.message);
        // As between two requests: without, nothing but this loop would ever run.
        await new Promise(setImmediate);
      }
    })();
    const path = join(root, "under-load.zip");
    const made = await writeArchive(shop.db, shop.pictures, path);
    isOver = true;
    await writing;
    const restored = await restoreArchive(path, join(root, "under-load"), quiet);
    expect(restored.ok ? [] : restored.issues).toEqual([]);
    const other = await openFolder(join(root, "under-load"), "the test", { tell: quiet });
    const entries = await allEntries(other.db);
    expect(entries.length).toBe(made.counts["entries"]);
    const log = entries.filter(({ jobId }) => jobId === 101);
    expect(log.map(({ seq }) => seq)).toEqual(log.map((_, index) => index + 1));
    await other.close();
  }, 60_000);

  it.each<[string, (bytes: Buffer) => Buffer, RegExp]>([
    ["cut short", (bytes) => bytes.subarray(0, bytes.length / 2), /cannot be read/],
    ["that is none", () => Buffer.from("a letter"), /cannot be read/],
    [
      "with one byte changed",
      (bytes) => {
        const changed = Buffer.from(bytes);
        changed[120] = (changed[120] ?? 0) ^ 1;
        return changed;
      },
      /damaged|cannot be read/,
    ],
  ])("%s is refused before anything is made", async (_, change, words) => {
    const path = join(root, "good.zip");
    if (!existsSync(path)) await writeArchive(shop.db, shop.pictures, path);
    const bad = join(root, "bad.zip");
    writeFileSync(bad, change(readFileSync(path)));
    const refused = await restoreArchive(bad, join(root, "never"), quiet);
    expect(refused.ok ? "" : refused.issues[0]?.message).toMatch(words);
    expect([join(root, "never"), join(root, "never.part")].filter((path) => existsSync(path))).toEqual([]);
  });

  it("is never restored over what is there", async () => {
    const refused = await restoreArchive(join(root, "good.zip"), join(root, "shop"), quiet);
    expect(refused.ok ? "" : refused.issues[0]?.code).toBe("archive/folder-not-empty");
  });
});

describe("backups", () => {
  it("count once they were read back", async () => {
    const made = await makeBackup(shop, new Date("2026-11-24T12:30:05Z"));
    expect(made).toMatchObject({ ok: true, value: { name: "good-spindle-2026-11-24T12-30-05Z.zip" } });
    expect(
      (await verifyArchive(join(root, "shop", "backups", "good-spindle-2026-11-24T12-30-05Z.zip"))).ok,
    ).toBe(true);
  });

  it("keep the newest fourteen and the first of each month", () => {
    const days = Array.from({ length: 100 }, (_, index) => new Date(Date.UTC(2026, 10, 28 - index)));
    const all = days.map((day): Backup => ({ name: day.toISOString(), at: day.toISOString(), bytes: 1 }));
    const gone = new Set(outdated(all).map(({ at }) => at.slice(0, 10)));
    const kept = all.map(({ at }) => at.slice(0, 10)).filter((day) => !gone.has(day));
    expect(kept.slice(0, 14)).toEqual(all.slice(0, 14).map(({ at }) => at.slice(0, 10)));
    expect(kept.slice(14)).toEqual(["2026-11-01", "2026-10-01", "2026-09-01", "2026-08-21"]);
  });

  it.each<[string, string | undefined, boolean]>([
    ["none yet", undefined, true],
    ["last night's, at three at night", "2026-11-23T03:00:00Z", true],
    ["an hour ago", "2026-11-24T02:05:00Z", false],
    ["a day and a half ago", "2026-11-22T15:00:00Z", true],
  ])("%s: due %s", (_, last, due) => {
    expect(isDue(last, new Date("2026-11-24T03:05:00Z"), "UTC")).toBe(due);
  });

  it("wait for the night where the last is not a day old", () => {
    expect(isDue("2026-11-24T03:00:00Z", new Date("2026-11-25T00:30:00Z"), "UTC")).toBe(false);
  });
});
