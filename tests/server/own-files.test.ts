import { randomUUID } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { FolderTrouble } from "@/server/db/folder";
import { entriesOf } from "@/server/repositories/entries";
import { at, eachInAFolder, job, open } from "./folder-shop";

eachInAFolder();

const GARBAGE = ["", "\u0000\u0001\u0002", "{", "[1, null]", '{"aside":"../elsewhere","parts":["postgres"]}'];

describe("garbage in a file of the folder's own", () => {
  it.each([
    ["switch.json", /switch\.json cannot be read.*put-back.*Nothing was changed/],
    ["journal/forgetting.json", /forgetting\.json cannot be read.*owners.*nothing was changed/],
  ])("%s is said by name in one sentence, and nothing is moved", async (name, words) => {
    const path = join(at.folder, name);
    for (const garbage of GARBAGE) {
      writeFileSync(path, garbage);
      const trouble: unknown = await open().catch((error: unknown) => error);
      expect(trouble).toBeInstanceOf(FolderTrouble);
      expect(trouble).toMatchObject({ exitCode: 4, message: expect.stringMatching(words) });
      expect(readFileSync(path, "utf8")).toBe(garbage);
      expect(existsSync(join(at.folder, "postgres", "PG_VERSION"))).toBe(true);
    }
  });

  it("folder.json is said by name and written anew: the journal and the database know whose they are", async () => {
    const first = await open();
    const id = await job(first);
    await first.close();
    const path = join(at.folder, "folder.json");
    const { identity } = JSON.parse(readFileSync(path, "utf8"));
    writeFileSync(path, "\u0000{");
    const again = await open();
    expect(at.told).toContainEqual(
      expect.stringMatching(/folder\.json could not be read: it was written anew/),
    );
    expect(await entriesOf(again.db, id)).toHaveLength(1);
    await again.close();
    expect(JSON.parse(readFileSync(path, "utf8"))).toMatchObject({ identity });
  });

  it("journal/belongs-to.txt is said by name", async () => {
    writeFileSync(join(at.folder, "journal", "belongs-to.txt"), "somebody else\n");
    await expect(open()).rejects.toThrow(/belongs-to\.txt/);
  });
});

it("what was half written when a process ended is swept at the next start, and nothing else", async () => {
  const pictures = join(at.folder, "pictures", "ab");
  mkdirSync(pictures, { recursive: true });
  const half = [
    join(pictures, `abc.jpg.${randomUUID()}`),
    join(at.folder, "journal", `2026-11-25.ndjson.${randomUUID()}`),
    join(at.folder, `folder.json.${randomUUID()}`),
  ];
  const kept = [
    join(pictures, "abc.jpg"),
    join(at.folder, `in-use-by.7-${randomUUID()}.json`),
    join(at.folder, "a.letter"),
  ];
  for (const path of [...half, ...kept]) writeFileSync(path, "x");
  const shop = await open();
  expect(half.filter((path) => existsSync(path))).toEqual([]);
  expect([kept[0], kept[2]].filter((path) => path && existsSync(path))).toHaveLength(2);
  await shop.close();
});
