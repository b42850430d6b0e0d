import { appendFileSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { sql } from "drizzle-orm";
import { describe, expect, it } from "vitest";
import { readLineText } from "@/server/db/journal-line";
import { setDatabase } from "@/server/db/shop-database";
import { entriesOf } from "@/server/repositories/entries";
import { redactOwner } from "@/server/repositories/owners";
import { forgetOwnerOfJob } from "@/server/services/forget-owner";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";
import { allEntries, ownersById } from "./every-job";
import { at, dayFiles, eachInAFolder, job, journal, note, open } from "./folder-shop";

eachInAFolder();

describe("the journal", () => {
  it("has every row before anybody is at.told, a checksum a line, readable with an editor", async () => {
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
    rmSync(join(at.folder, "postgres"), { recursive: true });
    const again = await open();
    expect(at.told.join(" ")).toMatch(
      /damaged \(missing: the whole database\): it is built anew from the journal/,
    );
    expect(await entriesOf(again.db, id)).toEqual(before);
    expect([...(await ownersById(again.db)).values()]).toEqual([{ name: "Tansy Weavers", contact: "noon" }]);
    expect(await job(again)).toBe(id + 1);
    await note(again, id, "four");
    await again.close();
    // And once more, from a journal that a rebuilt shop went on with.
    rmSync(join(at.folder, "postgres"), { recursive: true });
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
    appendFileSync(join(at.folder, "journal", name), '{"sum":"0123456789abcdef","n":99,"at"');
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
    rmSync(join(at.folder, "journal"), { recursive: true });
    await (await open()).close();
    expect(dayFiles()[0]).toMatch(/~whole-\d+\.ndjson$/);
    const after = await open();
    await note(after, id, "three");
    const whole = await entriesOf(after.db, id);
    await after.close();
    rmSync(join(at.folder, "postgres"), { recursive: true });
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
    writeFileSync(join(at.folder, "journal", "forgetting.json"), JSON.stringify([ownerId]));
    await redactOwner(shop.db, ownerId);
    await shop.close();
    expect(journal()).toContain("Lantern Hall");
    await (await open()).close();
    expect(journal()).not.toContain("Lantern Hall");
    rmSync(join(at.folder, "postgres"), { recursive: true });
    const again = await open();
    const nobody = { name: "", contact: "" };
    expect([...(await ownersById(again.db)).values()]).toEqual([nobody, nobody]);
    await again.close();
  });
});

/** A journal of seven lines, of one job and its owner. @returns the job */
async function someLines(): Promise<number> {
  const shop = await open();
  const id = await job(shop);
  for (const text of ["one", "two", "three", "four"]) await note(shop, id, text);
  // As it is of lines that have long been written.
  await shop.db.execute(sql`delete from journal_outbox`);
  await shop.close();
  return id;
}

/** Changes the lines of the only day. */
function harmed(change: (lines: string[]) => string[]): void {
  const path = join(at.folder, "journal", dayFiles()[0] ?? "");
  const lines = readFileSync(path, "utf8").trimEnd().split("\n");
  writeFileSync(
    path,
    change(lines)
      .map((line) => `${line}\n`)
      .join(""),
  );
}
const HARMS: readonly (readonly [string, (lines: string[]) => string[], RegExp])[] = [
  [
    "a byte is flipped in the middle",
    (lines) => lines.map((one) => one.replace("two", "twa")),
    /cannot be read at .*line 5: it held a line of job \d+/,
  ],
  [
    "a line is taken out",
    (lines) => lines.filter((one) => !one.includes("two")),
    /lacks line 5, written after/,
  ],
  ["half of it is gone", (lines) => lines.slice(0, 4), /lacked lines 5 to 7, the newest/],
];

describe("a journal that lacks something", () => {
  it.each(HARMS)("while the database is whole it is said and mended: %s", async (_, change, said) => {
    const id = await someLines();
    harmed(change);
    const shop = await open();
    await shop.checked;
    expect(at.told.join(" ")).toMatch(said);
    expect(shop.lackedInJournal().join(" ")).toMatch(said);
    const before = await entriesOf(shop.db, id);
    await note(shop, id, "five");
    await shop.close();
    rmSync(join(at.folder, "postgres"), { recursive: true });
    at.told.length = 0;
    const again = await open();
    await again.checked;
    expect(await entriesOf(again.db, id)).toHaveLength(before.length + 1);
    expect(at.told.join(" ")).not.toMatch(/lack|cannot be read/);
    await again.close();
  });

  it("with the database gone it is named, with what the rest tells of it", async () => {
    const id = await someLines();
    harmed((lines) => lines.filter((one) => !one.includes("two")));
    rmSync(join(at.folder, "postgres"), { recursive: true });
    const shop = await open();
    expect(at.told.join(" ")).toMatch(/lacks line 5, written after \S+ and before/);
    expect(at.told.join(" ")).toContain(`Job ${id} lacks 1 of its 5 lines.`);
    expect(shop.lackedInJournal()).toHaveLength(2);
    await shop.close();
  });

  it("could not be told of a copy that does not say how long it is: the next start makes it anew", async () => {
    const id = await someLines();
    rmSync(join(at.folder, "journal"), { recursive: true });
    await (await open()).close();
    harmed((lines) => lines.slice(1));
    const shop = await open();
    await shop.checked;
    expect(at.told.join(" ")).not.toMatch(/lack|cannot be read/);
    const copy = readFileSync(join(at.folder, "journal", dayFiles()[0] ?? ""), "utf8").split("\n");
    expect(copy[0]).toContain('"table":"whole-copy"');
    expect(await entriesOf(shop.db, id)).toHaveLength(5);
    await shop.close();
  });

  it("is found in a whole copy too", async () => {
    await someLines();
    rmSync(join(at.folder, "journal"), { recursive: true });
    await (await open()).close();
    harmed((lines) => lines.filter((_, index) => index !== 2));
    at.told.length = 0;
    const shop = await open();
    await shop.checked;
    expect(at.told.join(" ")).toMatch(/whole copy of line 7 lacks 1 of its lines/);
    await shop.close();
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
    rmSync(join(at.folder, "postgres"), { recursive: true });
    const again = await open();
    expect(await allEntries(again.db)).toEqual(before);
    await again.close();
  });
});
