import { randomUUID } from "node:crypto";
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, afterEach, beforeAll, beforeEach } from "vitest";
import { openFolder } from "@/server/db/connect";
import { entriesOf } from "@/server/repositories/entries";
import { recordEntry } from "@/server/services/record-entry";
import { shopContextOn } from "@/server/services/shop-context";
import { takeIn } from "@/server/services/take-in";
import { CARDER } from "./shop-machine";

/** An empty shop as a first start leaves it: making one takes its three seconds. */
let made: string;
/** Where the test at hand stands, and what its starts told. */
export const at: { folder: string; told: string[] } = { folder: "", told: [] };

/** Each test of a file in a folder of its own. */
export function eachInAFolder(): void {
  beforeAll(async () => {
    made = mkdtempSync(join(tmpdir(), "spindle-made-"));
    await (await openFolder(made, "the test")).close();
  });
  afterAll(() => rmSync(made, { recursive: true }));
  beforeEach(() => {
    at.folder = mkdtempSync(join(tmpdir(), "spindle-folder-"));
    cpSync(made, at.folder, { recursive: true });
    at.told = [];
  });
  afterEach(() => rmSync(at.folder, { recursive: true, force: true }));
}

export const open = () => openFolder(at.folder, "the test", { tell: (sentence) => at.told.push(sentence) });
export type Shop = Awaited<ReturnType<typeof open>>;
const now = () => new Date().toISOString();

export async function job(shop: Shop, owner: string | null = "Tansy Weavers"): Promise<number> {
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

export async function note(shop: Shop, jobId: number, text: string): Promise<void> {
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

export const dayFiles = () =>
  readdirSync(join(at.folder, "journal"))
    .filter((name) => name.endsWith(".ndjson"))
    .sort();
export const journal = () =>
  dayFiles()
    .map((name) => readFileSync(join(at.folder, "journal", name), "utf8"))
    .join("");
