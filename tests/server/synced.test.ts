import { cpSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { JournalFiles } from "@/server/db/journal-file";
import { lineText } from "@/server/db/journal-line";
import { SYNCED_START, SyncedFolder } from "@/server/db/synced-folder";
import { lastLine, textLines } from "@/server/db/text-lines";
import { Upkeep } from "@/server/db/upkeep";
import { isDiskFull, traceOf } from "@/server/http/fault";

const COMMITS = 50;

/** A new database, copied: setting one up takes its five seconds. */
function copied(): string {
  const root = mkdtempSync(join(tmpdir(), "spindle-sync-"));
  cpSync(".cache/empty-database", join(root, "postgres"), { recursive: true });
  return root;
}

describe("the embedded database", () => {
  it("brings every commit to the disk, and writes its log back when it is time", async () => {
    const root = copied();
    const folder = new SyncedFolder(join(root, "postgres"), (error) => {
      throw error;
    });
    const client = await PGlite.create({ fs: folder, startParams: SYNCED_START });
    await client.exec("create table t (a integer)");
    const before = folder.syncs;
    for (let commit = 0; commit < COMMITS; commit += 1)
      await client.query("insert into t values ($1)", [commit]);
    expect(folder.syncs - before).toBeGreaterThanOrEqual(COMMITS);
    let now = 0;
    const upkeep = new Upkeep(client, () => now, ["t"]);
    await upkeep.begin();
    now = 6 * 60_000;
    expect(await upkeep.look(), "nothing was written").toBe("nothing");
    await client.query("update t set a = a + 1");
    expect(await upkeep.look()).toBe("written-back");
    expect(await upkeep.look(), "just done").toBe("nothing");
    now += 31 * 60_000;
    expect(await upkeep.look(), "quiet for half an hour").toBe("swept");
    expect(await upkeep.look(), "nothing was written since").toBe("nothing");
    const { rows } = await client.query<{ live: string; swept: boolean }>(
      "select reltuples::text as live, relallvisible = relpages as swept from pg_class where relname = 't'",
    );
    expect(rows[0]).toEqual({ live: String(COMMITS), swept: true });
    await upkeep.end();
    await client.close();
    rmSync(root, { recursive: true });
  }, 60_000);

  it("is told of a sync that fails", async () => {
    const root = copied();
    let isBroken = false;
    const told: unknown[] = [];
    const folder = new SyncedFolder(
      join(root, "postgres"),
      (error) => told.push(error),
      () => {
        if (isBroken) throw Object.assign(new Error("EIO: i/o error, fsync"), { code: "EIO" });
      },
    );
    const client = await PGlite.create({ fs: folder, startParams: SYNCED_START });
    await client.exec("create table t (a integer)");
    isBroken = true;
    await expect(client.query("insert into t values (1)")).rejects.toThrow();
    expect(told[0]).toMatchObject({ code: "EIO" });
    rmSync(root, { recursive: true, force: true });
  }, 60_000);
});

describe("the journal's files", () => {
  async function* one<T>(only: T): AsyncGenerator<T> {
    yield only;
  }
  const line = (n: number, day: string) => ({ n, at: `${day}T09:00:00.000Z`, table: "jobs", row: { id: n } });

  it("keep lines in order over days, clocks set back and whole copies, and leave a damaged line out by name", async () => {
    const root = mkdtempSync(join(tmpdir(), "spindle-journal-"));
    const files = new JournalFiles(root, () => undefined);
    files.append([line(1, "2026-11-24"), line(2, "2026-11-25")]);
    files.append([line(3, "2026-11-24")]);
    await files.writeCopy("2026-11-25T00:00:00.000Z", 3, 1, one(lineText(line(3, "2026-11-25"))));
    files.append([line(4, "2026-11-25"), line(5, "2026-11-26")]);
    files.close();
    const again = new JournalFiles(root, () => undefined);
    expect(again.lastNumber()).toBe(5);
    const numbers = (from: number | "copy"): number[] => [...again.linesAfter(from)].map(({ n }) => n);
    // The copy begins with how long it is.
    expect(numbers(0)).toEqual([1, 2, 3, 3, 3, 4, 5]);
    expect(numbers("copy")).toEqual([3, 3, 4, 5]);
    expect(numbers(3)).toEqual([4, 5]);
    expect(numbers(4)).toEqual([5]);
    again.rewrite((it) => (it.n === 4 ? { ...it, row: { id: "gone" } } : it));
    expect([...again.linesAfter(3)][0]?.row).toEqual({ id: "gone" });
    const [first = ""] = again.names();
    writeFileSync(join(root, first), `no line of ours\n${readFileSync(join(root, first), "utf8")}`);
    const damage: string[] = [];
    expect([...again.linesAfter(0, (place) => damage.push(place))].map(({ n }) => n)).toContain(1);
    expect(damage).toEqual([`${first}, line 1`]);
    rmSync(root, { recursive: true });
  });

  it("are read in pieces, from the front and from the end, whatever their lines are like", () => {
    const path = join(mkdtempSync(join(tmpdir(), "spindle-lines-")), "lines");
    const text = fc.oneof(
      fc.string({ unit: "grapheme", maxLength: 40 }),
      fc.nat(1_500_000).map((length) => "µ".repeat(length)),
    );
    const oneLine = text.map((given) => given.replaceAll("\n", ""));
    fc.assert(
      fc.property(fc.array(oneLine, { maxLength: 8 }), oneLine, (lines, torn) => {
        writeFileSync(path, lines.map((given) => `${given}\n`).join("") + torn);
        expect([...textLines(path)]).toEqual(lines);
        const last = lastLine(path);
        expect(last?.text).toBe(lines.at(-1));
        expect(last?.end ?? 0).toBe(statSync(path).size - Buffer.byteLength(torn));
      }),
      { numRuns: 40 },
    );
  });

  it("tell of a sync that fails, and never answer as if it had not", () => {
    const root = mkdtempSync(join(tmpdir(), "spindle-journal-"));
    const told: unknown[] = [];
    const files = new JournalFiles(
      root,
      (error) => told.push(error),
      () => {
        throw new Error("EIO");
      },
    );
    expect(() => files.append([line(1, "2026-11-24")])).toThrow("EIO");
    expect(told).toHaveLength(1);
    rmSync(root, { recursive: true });
  });
});

describe("a fault, as the log and the screen hear of it", () => {
  it("a full disk is told from every other, however deep it lies", () => {
    const full = Object.assign(new Error("write"), { code: "ENOSPC" });
    expect(isDiskFull(new Error("Failed query", { cause: full }))).toBe(true);
    expect(isDiskFull(Object.assign(new Error("could not extend file"), { code: "53100" }))).toBe(true);
    expect(isDiskFull(new Error("could not write: No space left on device"))).toBe(true);
    expect(isDiskFull(new Error("anything else"))).toBe(false);
  });

  it("its trace holds where it came from and nothing that was typed", () => {
    const secret = "Tansy Weavers, telephone 5 55";
    const trace = traceOf(
      new Error(`Failed query: insert … params: ${secret}`, { cause: new Error(secret) }),
    );
    expect(trace).not.toContain("Tansy");
    expect(trace).toContain("synced.test.ts");
  });
});
