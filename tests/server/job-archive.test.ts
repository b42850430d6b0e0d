import { randomUUID } from "node:crypto";
import { buffer } from "node:stream/consumers";
import type { APIContext } from "astro";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { ZipFile } from "yazl";
import type { JobView } from "@/core/job/log/view";
import { GET as archive } from "@/pages/api/jobs/[id]/archive";
import { GET as job } from "@/pages/api/jobs/[id]/index";
import { POST as importJob } from "@/pages/api/jobs/import";
import { readJobArchive, writeJobArchive } from "@/server/backup/job-archive";
import { openScratch } from "@/server/db/connect";
import { setDatabase } from "@/server/db/shop-database";
import type { Problem } from "@/server/http/problem";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";
import { allEntries } from "./every-job";
import { call } from "./shop";

type Shop = Awaited<ReturnType<typeof openScratch>>;
let [first, other]: Shop[] = [];
beforeAll(async () => {
  first = await openScratch();
  other = await openScratch();
  setDatabase(first);
  await seedDemo(await shopContextOn(first.db), new Date("2026-11-24T09:00:00Z"));
}, 60_000);
afterAll(async () => {
  await first?.close();
  await other?.close();
});

async function exported(id: number): Promise<Buffer> {
  setDatabase(first as Shop);
  const context = { params: { id: String(id) } } as unknown as APIContext;
  const answer = (await archive(context)) as Response;
  expect(answer.status).toBe(200);
  return Buffer.from(await answer.arrayBuffer());
}

async function taken(bytes: Uint8Array, into = other as Shop) {
  setDatabase(into);
  const url = new URL("http://127.0.0.1:4321/api/jobs/import?by=right%20bench");
  const request = new Request(url, { method: "POST", body: Buffer.from(bytes) });
  const answer = (await importJob({ request, params: {}, url } as unknown as APIContext)) as Response;
  return { status: answer.status, body: (await answer.json()) as { jobId: number } & Problem };
}

const lookAt = async (id: number): Promise<JobView> =>
  (await call<JobView>(job, { params: { id: String(id) } })).body;

/** The same archive with something changed in it, its sums made right again. */
async function forged(
  bytes: Uint8Array,
  change: (lines: Record<string, unknown>[]) => unknown[],
  pictures?: ReadonlyMap<string, Uint8Array>,
): Promise<Buffer> {
  const read = await readJobArchive(bytes);
  if (!read.ok) throw new Error(read.issues[0]?.message);
  const lines = change(structuredClone(read.value.lines) as Record<string, unknown>[]);
  return writeJobArchive({ ...read.value, lines, pictures: pictures ?? read.value.pictures });
}

describe("a job in another shop", () => {
  it.each([101, 103, 109, 110])(
    "job %i: every line as it was, under a number of its own, with where it came from",
    async (id) => {
      const bytes = await exported(id);
      expect(await exported(id)).toEqual(bytes);
      const before = await lookAt(id);
      const { status, body } = await taken(bytes);
      expect([status, body.issues]).toEqual([200, undefined]);
      const after = await lookAt(body.jobId);
      const told = ({ ledger }: JobView) =>
        ledger.map(({ seq, at, by, kind, stage, isStruck }) => ({ seq, at, by, kind, stage, isStruck }));
      expect(told(after).slice(0, before.seq)).toEqual(told(before));
      expect(after.readings).toEqual(before.readings);
      expect(after.pictures.map(({ words, of }) => ({ words, of }))).toEqual(
        before.pictures.map(({ words, of }) => ({ words, of })),
      );
      expect(after.takenIn).toMatchObject({ machine: before.takenIn?.machine, ownerId: null, from: null });
      expect(after.ledger.at(-1)?.payload).toEqual({
        text: `Came from Tern Quay Mending Room, where it was job ${id}. What is written above was written there.`,
      });
      // Nothing that was known of its plug and its charge is believed here.
      expect([after.bench.plug, after.bench.stored, after.bench.provenDead]).toEqual([
        "not-known",
        [],
        undefined,
      ]);
      // Tests of another shop are no final tests here: the machine has travelled since.
      if (before.signedOff === null) expect(after.lastChangeSeq).toBeGreaterThan(before.seq);
      else expect(after.signedOff?.word).toBe(before.signedOff.word);
      const again = await taken(bytes);
      expect([again.status, again.body.issues[0]?.message]).toEqual([
        409,
        `Lines of this job are here already: it is job ${body.jobId}.`,
      ]);
      expect((await taken(bytes, first)).status).toBe(409);
    },
  );

  it("carries no word of who owns it", async () => {
    const bytes = await exported(103);
    const read = await readJobArchive(bytes);
    const text = JSON.stringify(read.ok && read.value.lines);
    expect(text).toContain("Wool carder");
    expect(text).not.toContain("Tansy");
  });
});

describe("a file that somebody made up", () => {
  const fresh = (lines: Record<string, unknown>[]) =>
    lines.map((line) => ({ ...line, entryId: randomUUID() }));
  it.each<[string, (lines: Record<string, unknown>[]) => unknown[], RegExp]>([
    ["a line left out", (lines) => fresh(lines).filter((_, index) => index !== 2), /numbered 4/],
    [
      "no beginning",
      (lines) =>
        fresh(lines)
          .slice(1)
          .map((line, index) => ({ ...line, seq: index + 1 })),
      /begins with how it was taken in/,
    ],
    [
      "a kind that nobody knows",
      (lines) => [...fresh(lines).slice(0, 1), { ...lines[1], kind: "constructor" }],
      /not known here/,
    ],
    [
      "a payload that does not fit",
      (lines) => [...fresh(lines).slice(0, 1), { ...lines[1], kind: "note", payload: { text: 7 } }],
      /Line 2/,
    ],
    [
      "a version still to come",
      (lines) => fresh(lines).map((line) => ({ ...line, kindVersion: 99 })),
      /later version/,
    ],
    [
      "a line of tomorrow",
      (lines) => fresh(lines).map((line) => ({ ...line, at: "2999-01-01T00:00:00.000Z" })),
      /still to come/,
    ],
    [
      "a month of thirteen",
      (lines) => fresh(lines).map((line) => ({ ...line, at: "2026-13-01T00:00:00.000Z" })),
      /Line 1/,
    ],
    [
      "two lines of one id",
      (lines) => fresh(lines).map((line) => ({ ...line, entryId: "0a000000-0000-4000-8000-000000000001" })),
      /one id/,
    ],
    [
      "a year that no database takes",
      (lines) => fresh(lines).map((line) => ({ ...line, at: "0000-01-01T00:00:00.000Z" })),
      /Line 1/,
    ],
    [
      "the thirtieth of February",
      (lines) => fresh(lines).map((line) => ({ ...line, at: "2026-02-30T09:00:00.000Z" })),
      /Line 1/,
    ],
    ["no line at all", () => [], /0 lines/],
    ["lines that are no objects", () => [null, 4, "x"], /Line 1/],
  ])("%s is refused by its place, and nothing of it is kept", async (_, change, words) => {
    setDatabase(other as Shop);
    const before = (await allEntries((other as Shop).db)).length;
    const { status, body } = await taken(await forged(await exported(105), change));
    expect(status).toBe(422);
    expect(body.issues[0]?.message).toMatch(words);
    expect(await allEntries((other as Shop).db)).toHaveLength(before);
  });

  /** A small file that unpacks to much. */
  async function bomb(members: Readonly<Record<string, Buffer>>): Promise<Buffer> {
    const zip = new ZipFile();
    for (const [name, bytes] of Object.entries(members)) zip.addBuffer(bytes, name);
    zip.end();
    return buffer(zip.outputStream);
  }
  const PICTURE = `pictures/${"a".repeat(64)}.jpg`;
  it.each([
    ["millions of tiny lines", { "entries.ndjson": Buffer.alloc(20_000_000, "0\n") }, /more than 5000 lines/],
    ["one endless line", { "entries.ndjson": Buffer.alloc(20_000_000, "0") }, /a line of more than/],
    ["lines without end", { "entries.ndjson": Buffer.alloc(64_000_000) }, /entries\.ndjson of 64000000/],
    [
      "a manifest without end",
      { "manifest.json": Buffer.alloc(8_000_000, " ") },
      /manifest\.json of 8000000/,
    ],
    ["a picture of nothing", { [PICTURE]: Buffer.alloc(20_000_000) }, /of 20000000 bytes/],
    [
      "a thousand members",
      Object.fromEntries(
        Array.from({ length: 1_001 }, (_, n) => [
          `pictures/${String(n).padStart(64, "0")}.jpg`,
          Buffer.alloc(1),
        ]),
      ),
      /no job of a Good Spindle shop/,
    ],
  ])("a small file of %s is refused at once", async (_, members, words) => {
    const bytes = await bomb(members);
    expect(bytes.length).toBeLessThan(300_000);
    const started = performance.now();
    const { status, body } = await taken(bytes);
    expect(status).toBe(422);
    expect(body.issues[0]?.message).toMatch(words);
    expect(performance.now() - started).toBeLessThan(2_000);
  });

  it("no zip, a cut one, and one whose bytes were changed are refused", async () => {
    const good = await exported(105);
    const changed = Buffer.from(good);
    changed.writeUInt8((changed[80] ?? 0) ^ 1, 80);
    for (const bytes of [Buffer.alloc(0), Buffer.from("no zip"), good.subarray(0, good.length - 40), changed])
      expect((await taken(bytes)).status).toBe(422);
  });

  it("pictures are drawn anew: what is no picture is refused, what hides behind one is gone", async () => {
    const png = await sharp({ create: { width: 50, height: 40, channels: 3, background: "#246" } })
      .png()
      .toBuffer();
    const sha = "ab".repeat(32);
    const withPicture = (lines: Record<string, unknown>[]) => [
      ...fresh(lines),
      {
        ...lines[1],
        entryId: randomUUID(),
        seq: lines.length + 1,
        kind: "picture",
        kindVersion: 1,
        payload: { sha256: sha, of: "inside", width: 9, height: 9, words: "" },
      },
    ];
    const from = await exported(105);
    const good = await taken(
      await forged(from, withPicture, new Map([[sha, Buffer.concat([png, Buffer.from("<script>")])]])),
    );
    expect(good.status).toBe(200);
    const kept = (await lookAt(good.body.jobId)).pictures.at(-1);
    expect(kept).toMatchObject({ width: 50, height: 40 });
    expect(kept?.sha256).not.toBe(sha);
    const bad = await taken(await forged(from, withPicture, new Map([[sha, Buffer.from("<svg/>")]])));
    expect([bad.status, bad.body.issues[0]?.message]).toEqual([
      422,
      expect.stringContaining("The picture of line"),
    ]);
  });
});
