import {
  chmodSync,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import { dirname, join } from "node:path";
import { describe, expect, it } from "vitest";
import { FolderTrouble, inspectFolder } from "@/server/db/folder";
import { countJobs } from "@/server/queries/jobs";
import { entriesOf } from "@/server/repositories/entries";
import { at, eachInAFolder, job, open } from "./folder-shop";

eachInAFolder();

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
    rmSync(join(at.folder, "postgres", "PG_VERSION"));
    const again = await open();
    expect(await entriesOf(again.db, id)).toHaveLength(1);
    expect(readdirSync(at.folder).some((name) => name.startsWith("postgres-damaged-"))).toBe(true);
    await again.close();
  });

  it("without any of what a database needs is damaged", () => {
    for (const missing of ["PG_VERSION", "global/pg_control", "pg_wal", "pg_xact", "base"]) {
      const path = join(at.folder, "postgres", missing);
      renameSync(path, `${path}-aside`);
      expect(inspectFolder(at.folder)).toEqual({ kind: "damaged", missing: [missing] });
      renameSync(`${path}-aside`, path);
    }
    expect(inspectFolder(at.folder)).toEqual({ kind: "whole", isMarked: true });
  });

  it("without a journal to build from is refused in one sentence, and left as it is", async () => {
    const first = await open();
    await job(first);
    await first.close();
    rmSync(join(at.folder, "postgres", "PG_VERSION"));
    rmSync(join(at.folder, "journal"), { recursive: true });
    const before = readdirSync(join(at.folder, "postgres")).sort();
    const trouble = await refusal();
    expect(trouble.exitCode).toBe(4);
    expect(trouble.message).toMatch(/damaged \(missing: PG_VERSION\).*nothing was changed/);
    expect(readdirSync(join(at.folder, "postgres")).sort()).toEqual(before);
  });

  it.each([
    [
      "a letter",
      { "letter.txt": "Dear Tansy" },
      /not empty \(letter\.txt\).*nothing was changed\. To begin a new shop/,
    ],
    [
      "backups and pictures",
      { "backups/shop-2026-11-01.zip": "x", "backups/shop-2026-11-02.zip": "x", "pictures/ab/x.jpg": "x" },
      /not empty \(backups, pictures\).*npm run restore -- \S+shop-2026-11-02\.zip --data NEW-FOLDER/,
    ],
    ["a mark and a backup", { "first-start-unfinished": "", "backups/a.zip": "x" }, /not empty \(backups\)/],
  ])("that holds only %s is never set up as new", async (_, files, why) => {
    for (const name of ["postgres", "journal", "folder.json"])
      rmSync(join(at.folder, name), { recursive: true, force: true });
    for (const [name, text] of Object.entries(files)) {
      mkdirSync(dirname(join(at.folder, name)), { recursive: true });
      writeFileSync(join(at.folder, name), text);
    }
    const trouble = await refusal();
    expect(trouble.exitCode).toBe(7);
    expect(trouble.message).toMatch(why);
    expect(existsSync(join(at.folder, "postgres"))).toBe(false);
    for (const name of Object.keys(files)) expect(existsSync(join(at.folder, name))).toBe(true);
  });

  it("with a mark that was left behind keeps beside what a new beginning would take its place", async () => {
    const first = await open();
    const id = await job(first);
    await first.close();
    writeFileSync(join(at.folder, "rebuild-unfinished"), "");
    const again = await open();
    expect(await entriesOf(again.db, id)).toHaveLength(1);
    await again.close();
    expect(readdirSync(at.folder).some((name) => name.startsWith("postgres-unfinished-"))).toBe(true);
  });

  it("that lost a first start begins it again; nothing was kept in it", async () => {
    rmSync(join(at.folder, "folder.json"));
    rmSync(join(at.folder, "postgres", "base"), { recursive: true });
    writeFileSync(join(at.folder, "first-start-unfinished"), "");
    const shop = await open();
    expect(await countJobs(shop.db)).toBe(0);
    expect(existsSync(join(at.folder, "first-start-unfinished"))).toBe(false);
    await shop.close();
  });

  it("with a damaged control file is built from its journal too, or refused in one sentence", async () => {
    const first = await open();
    const id = await job(first);
    await first.close();
    const damage = () =>
      writeFileSync(join(at.folder, "postgres", "global", "pg_control"), Buffer.alloc(8192, 7));
    damage();
    const again = await open();
    expect(at.told.join(" ")).toMatch(/does not open.*built anew from the journal; the old one is kept/);
    expect(await entriesOf(again.db, id)).toHaveLength(1);
    await again.close();
    damage();
    rmSync(join(at.folder, "journal"), { recursive: true });
    const trouble = await refusal();
    expect(trouble.exitCode).toBe(4);
    expect(trouble.message).toMatch(/does not open.*no journal.*nothing was changed/);
  });

  it("is closed to others whatever the umask and whatever was there", async () => {
    chmodSync(at.folder, 0o777);
    const shop = await open();
    await job(shop);
    await shop.close();
    const walk = (path: string): string[] =>
      readdirSync(path, { withFileTypes: true }).flatMap((entry) => [
        join(path, entry.name),
        ...(entry.isDirectory() ? walk(join(path, entry.name)) : []),
      ]);
    const open2 = walk(at.folder).filter((path) => (statSync(path).mode & 0o077) !== 0);
    expect(open2).toEqual([]);
    expect(statSync(at.folder).mode & 0o777).toBe(0o700);
  });

  it("with the journal of another shop is refused: nothing of one is played into the other", async () => {
    const first = await open();
    await job(first);
    await first.close();
    writeFileSync(join(at.folder, "journal", "belongs-to.txt"), "another shop\n");
    const trouble = await refusal();
    expect(trouble.exitCode).toBe(4);
    expect(trouble.message).toMatch(/not of one shop .*nothing was played in/);
  });

  it("that is a file is refused", async () => {
    rmSync(at.folder, { recursive: true });
    writeFileSync(at.folder, "no folder");
    expect((await refusal()).exitCode).toBe(5);
  });
});
