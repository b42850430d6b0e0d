import { randomUUID } from "node:crypto";
import {
  appendFileSync,
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { sql } from "drizzle-orm";
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { openFolder } from "@/server/db/connect";
import { FolderTrouble, inspectFolder } from "@/server/db/folder";
import { readLineText } from "@/server/db/journal-line";
import { setDatabase } from "@/server/db/shop-database";
import { countJobs } from "@/server/queries/jobs";
import { entriesOf } from "@/server/repositories/entries";
import { redactOwner } from "@/server/repositories/owners";
import { forgetOwnerOfJob } from "@/server/services/forget-owner";
import { recordEntry } from "@/server/services/record-entry";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";
import { takeIn } from "@/server/services/take-in";
import { allEntries, ownersById } from "./every-job";
import { CARDER } from "./shop-machine";

/** An empty shop as a first start leaves it: making one takes its three seconds. */
let made: string;
let folder: string;
let told: string[];
beforeAll(async () => {
  made = mkdtempSync(join(tmpdir(), "spindle-made-"));
  await (await openFolder(made, "the test")).close();
});
afterAll(() => rmSync(made, { recursive: true }));
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "spindle-folder-"));
  cpSync(made, folder, { recursive: true });
  told = [];
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const open = () => openFolder(folder, "the test", { tell: (sentence) => told.push(sentence) });
type Shop = Awaited<ReturnType<typeof open>>;
const now = () => new Date().toISOString();

async function job(shop: Shop, owner: string | null = "Tansy Weavers"): Promise<number> {
  const made = await takeIn(
    {
      entryId: randomUUID(),
      by: "left bench",
      takenIn: CARDER,
      owner: owner === null ? null : { ownerId: null, name: owner, contact: "noon" },
      complaint: null,
      plate: null,
      pictures: [],
    },
    now(),
    await shopContextOn(shop.db),
  );
  if (!made.ok) throw new Error(made.issues[0]?.message);
  return made.value;
}

async function note(shop: Shop, jobId: number, text: string): Promise<void> {
  const expectedSeq = (await entriesOf(shop.db, jobId)).length;
  const kept = await recordEntry(
    jobId,
    {
      entryId: randomUUID(),
      expectedSeq,
      kind: "note",
      stage: "measure",
      by: "left bench",
      payload: { text },
    },
    now(),
    await shopContextOn(shop.db),
  );
  if (!kept.ok) throw new Error(kept.issues[0]?.message);
}

const dayFiles = () =>
  readdirSync(join(folder, "journal"))
    .filter((name) => name.endsWith(".ndjson"))
    .sort();
const journal = () =>
  dayFiles()
    .map((name) => readFileSync(join(folder, "journal", name), "utf8"))
    .join("");

describe("the journal", () => {
  it("has every row before anybody is told, a checksum a line, readable with an editor", async () => {
    const shop = await open();
    const id = await job(shop);
    await note(shop, id, "brushes at 7 mm");
    const texts = journal().trimEnd().split("\n");
    const lines = texts.map((text) => readLineText(text));
    expect(lines.map((line) => line?.table)).toEqual(["jobs", "owners", "entries", "entries"]);
    expect(lines.map((line) => line?.n)).toEqual([1, 2, 3, 4]);
    expect(texts.at(-1)).toContain("brushes at 7 mm");
    expect(readLineText((texts.at(-1) ?? "").replace("7 mm", "8 mm"))).toBeUndefined();
    await shop.close();
  });

  it("puts everything back when the database is gone, the old numbers and the next one included", async () => {
    const first = await open();
    const id = await job(first);
    for (const text of ["one", "two", "three"]) await note(first, id, text);
    const before = await entriesOf(first.db, id);
    await first.close();
    rmSync(join(folder, "postgres"), { recursive: true });
    const again = await open();
    expect(told.join(" ")).toMatch(
      /damaged \(missing: the whole database\): it is built anew from the journal/,
    );
    expect(await entriesOf(again.db, id)).toEqual(before);
    expect([...(await ownersById(again.db)).values()]).toEqual([{ name: "Tansy Weavers", contact: "noon" }]);
    expect(await job(again)).toBe(id + 1);
    await note(again, id, "four");
    await again.close();
    // And once more, from a journal that a rebuilt shop went on with.
    rmSync(join(folder, "postgres"), { recursive: true });
    const third = await open();
    expect((await entriesOf(third.db, id)).length).toBe(before.length + 1);
    await third.close();
  });

  it("is caught up where it is the shorter: a torn end, lost lines, a lost file", async () => {
    const first = await open();
    const id = await job(first);
    await note(first, id, "one");
    await first.close();
    const name = dayFiles()[0] ?? "";
    appendFileSync(join(folder, "journal", name), '{"sum":"0123456789abcdef","n":99,"at"');
    const torn = await open();
    await note(torn, id, "two");
    await torn.db.execute(sql`delete from journal_outbox`);
    await torn.close();
    expect(
      journal()
        .trimEnd()
        .split("\n")
        .every((text) => readLineText(text)),
    ).toBe(true);
    rmSync(join(folder, "journal"), { recursive: true });
    await (await open()).close();
    expect(dayFiles()[0]).toMatch(/~whole-\d+\.ndjson$/);
    const after = await open();
    await note(after, id, "three");
    const whole = await entriesOf(after.db, id);
    await after.close();
    rmSync(join(folder, "postgres"), { recursive: true });
    const rebuilt = await open();
    expect(await entriesOf(rebuilt.db, id)).toEqual(whole);
    await rebuilt.close();
  });

  it("forgets an owner on every day that names them, and the forgetting is played in too", async () => {
    const shop = await open();
    setDatabase(shop);
    const id = await job(shop, "Orchard Cooperative");
    expect(journal()).toContain("Orchard Cooperative");
    const forgot = await forgetOwnerOfJob(id, await shopContextOn(shop.db));
    expect(forgot.ok).toBe(true);
    expect(journal()).not.toContain("Orchard Cooperative");
    // Cut off between the database and the journal: the next start finishes it.
    const other = await job(shop, "Lantern Hall");
    const owner = (await entriesOf(shop.db, other))[0];
    const ownerId = owner?.kind === "taken-in" ? Number(owner.payload.ownerId) : 0;
    writeFileSync(join(folder, "journal", "forgetting.json"), JSON.stringify([ownerId]));
    await redactOwner(shop.db, ownerId);
    await shop.close();
    expect(journal()).toContain("Lantern Hall");
    await (await open()).close();
    expect(journal()).not.toContain("Lantern Hall");
    rmSync(join(folder, "postgres"), { recursive: true });
    const again = await open();
    const nobody = { name: "", contact: "" };
    expect([...(await ownersById(again.db)).values()]).toEqual([nobody, nobody]);
    await again.close();
  });
});

describe("a shop of some size, killed in the middle", () => {
  it("has every acknowledged entry back from its journal alone, the demo's and those since", async () => {
    const shop = await open();
    setDatabase(shop);
    await seedDemo(await shopContextOn(shop.db), new Date("2026-11-24T09:00:00Z"));
    for (let line = 0; line < 20; line += 1) await note(shop, 104, `line ${line}`);
    const numbers = journal()
      .trimEnd()
      .split("\n")
      .map((text) => readLineText(text)?.n);
    expect(numbers).toEqual(numbers.map((_, index) => index + 1));
    expect(numbers.length).toBeGreaterThan(110);
    const before = await allEntries(shop.db);
    await shop.close();
    rmSync(join(folder, "postgres"), { recursive: true });
    const again = await open();
    expect(await allEntries(again.db)).toEqual(before);
    await again.close();
  });
});

describe("the folder", () => {
  const refusal = async (): Promise<FolderTrouble> => {
    const trouble: unknown = await open().catch((error: unknown) => error);
    expect(trouble).toBeInstanceOf(FolderTrouble);
    return trouble as FolderTrouble;
  };

  it("without one small file is never made new: built from its journal, the old one kept beside it", async () => {
    const first = await open();
    const id = await job(first);
    await first.close();
    rmSync(join(folder, "postgres", "PG_VERSION"));
    const again = await open();
    expect(await entriesOf(again.db, id)).toHaveLength(1);
    expect(readdirSync(folder).some((name) => name.startsWith("postgres-damaged-"))).toBe(true);
    await again.close();
  });

  it("without any of what a database needs is damaged", () => {
    for (const missing of ["PG_VERSION", "global/pg_control", "pg_wal", "pg_xact", "base"]) {
      const path = join(folder, "postgres", missing);
      renameSync(path, `${path}-aside`);
      expect(inspectFolder(folder)).toEqual({ kind: "damaged", missing: [missing] });
      renameSync(`${path}-aside`, path);
    }
    expect(inspectFolder(folder)).toEqual({ kind: "whole", isMarked: true });
  });

  it("without a journal to build from is refused in one sentence, and left as it is", async () => {
    const first = await open();
    await job(first);
    await first.close();
    rmSync(join(folder, "postgres", "PG_VERSION"));
    rmSync(join(folder, "journal"), { recursive: true });
    const before = readdirSync(join(folder, "postgres")).sort();
    const trouble = await refusal();
    expect(trouble.exitCode).toBe(4);
    expect(trouble.message).toMatch(/damaged \(missing: PG_VERSION\).*nothing was changed/);
    expect(readdirSync(join(folder, "postgres")).sort()).toEqual(before);
  });

  it.each([
    [
      "a letter",
      { "letter.txt": "Dear Tansy" },
      /not empty \(letter\.txt\).*nothing was changed\. Start with/,
    ],
    [
      "backups and pictures",
      { "backups/shop-2026-11-01.zip": "x", "backups/shop-2026-11-02.zip": "x", "pictures/ab/x.jpg": "x" },
      /not empty \(backups, pictures\).*npm run restore -- \S+shop-2026-11-02\.zip --data NEW-FOLDER/,
    ],
  ])("that holds only %s is never set up as new", async (_, files, why) => {
    for (const name of ["postgres", "journal", "folder.json"])
      rmSync(join(folder, name), { recursive: true, force: true });
    for (const [name, text] of Object.entries(files)) {
      mkdirSync(dirname(join(folder, name)), { recursive: true });
      writeFileSync(join(folder, name), text);
    }
    const trouble = await refusal();
    expect(trouble.exitCode).toBe(7);
    expect(trouble.message).toMatch(why);
    expect(existsSync(join(folder, "postgres"))).toBe(false);
    for (const name of Object.keys(files)) expect(existsSync(join(folder, name))).toBe(true);
  });

  it("with a mark that was left behind keeps beside what a new beginning would take its place", async () => {
    const first = await open();
    const id = await job(first);
    await first.close();
    writeFileSync(join(folder, "rebuild-unfinished"), "");
    const again = await open();
    expect(await entriesOf(again.db, id)).toHaveLength(1);
    await again.close();
    expect(readdirSync(folder).some((name) => name.startsWith("postgres-unfinished-"))).toBe(true);
  });

  it("that lost a first start begins it again; nothing was kept in it", async () => {
    rmSync(join(folder, "folder.json"));
    rmSync(join(folder, "postgres", "base"), { recursive: true });
    writeFileSync(join(folder, "first-start-unfinished"), "");
    const shop = await open();
    expect(await countJobs(shop.db)).toBe(0);
    expect(existsSync(join(folder, "first-start-unfinished"))).toBe(false);
    await shop.close();
  });

  it("with a damaged control file is built from its journal too, or refused in one sentence", async () => {
    const first = await open();
    const id = await job(first);
    await first.close();
    const damage = () =>
      writeFileSync(join(folder, "postgres", "global", "pg_control"), Buffer.alloc(8192, 7));
    damage();
    const again = await open();
    expect(told.join(" ")).toMatch(/does not open.*built anew from the journal; the old one is kept/);
    expect(await entriesOf(again.db, id)).toHaveLength(1);
    await again.close();
    damage();
    rmSync(join(folder, "journal"), { recursive: true });
    const trouble = await refusal();
    expect(trouble.exitCode).toBe(4);
    expect(trouble.message).toMatch(/does not open.*no journal.*nothing was changed/);
  });

  it("is closed to others whatever the umask and whatever was there", async () => {
    chmodSync(folder, 0o777);
    const shop = await open();
    await job(shop);
    await shop.close();
    const walk = (path: string): string[] =>
      readdirSync(path, { withFileTypes: true }).flatMap((entry) => [
        join(path, entry.name),
        ...(entry.isDirectory() ? walk(join(path, entry.name)) : []),
      ]);
    const open2 = walk(folder).filter((path) => (statSync(path).mode & 0o077) !== 0);
    expect(open2).toEqual([]);
    expect(statSync(folder).mode & 0o777).toBe(0o700);
  });

  it("with the journal of another shop is refused: nothing of one is played into the other", async () => {
    const first = await open();
    await job(first);
    await first.close();
    writeFileSync(join(folder, "journal", "belongs-to.txt"), "another shop\n");
    const trouble = await refusal();
    expect(trouble.exitCode).toBe(4);
    expect(trouble.message).toMatch(/not of one shop: nothing was played in/);
  });

  it("that is a file is refused", async () => {
    rmSync(folder, { recursive: true });
    writeFileSync(folder, "no folder");
    expect((await refusal()).exitCode).toBe(5);
  });
});
