import { existsSync, rmSync } from "node:fs";
import { join } from "node:path";
import { crc32, deflateSync } from "node:zlib";
import type { APIContext } from "astro";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { JobView } from "@/core/job/log/view";
import { POST as postEntry } from "@/pages/api/jobs/[id]/entries";
import { POST as takeIn } from "@/pages/api/jobs/index";
import { GET as getPicture } from "@/pages/api/pictures/[sha]";
import { POST as postPicture } from "@/pages/api/pictures/index";
import { dataFolder } from "@/server/db/shop-database";
import type { Problem } from "@/server/http/problem";
import { call, draft, openShop, takeInBody } from "./shop";

let shop: Awaited<ReturnType<typeof openShop>>;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

interface Kept {
  readonly sha256: string;
  readonly width: number;
  readonly height: number;
}

async function send(bytes: Uint8Array): Promise<{ readonly status: number; readonly body: Kept & Problem }> {
  const url = new URL("http://127.0.0.1:4321/api/pictures");
  const request = new Request(url, { method: "POST", body: Buffer.from(bytes) });
  const response = (await postPicture({ request, params: {}, url } as unknown as APIContext)) as Response;
  return { status: response.status, body: await response.json() };
}

async function served(sha: string, query = ""): Promise<Response> {
  const url = new URL(`http://127.0.0.1:4321/api/pictures/${sha}${query}`);
  return (await getPicture({ params: { sha }, url } as unknown as APIContext)) as Response;
}

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: "#a05a2c" } });

function chunk(name: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(name, "latin1"), data]);
  const [length, check] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(data.length);
  check.writeUInt32BE(crc32(body));
  return Buffer.concat([length, body, check]);
}

/** A PNG of a few bytes whose header claims a size. */
function claims(width: number, height: number): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from("89504e470d0a1a0a", "hex"),
    chunk("IHDR", head),
    chunk("IDAT", deflateSync(Buffer.alloc(64))),
    chunk("IEND", Buffer.alloc(0)),
  ]);
}

describe("a picture that is one", () => {
  it("is turned upright, drawn anew without what the camera wrote beside it, and kept small as well", async () => {
    const camera = await plain(3000, 1000)
      .withMetadata({ orientation: 6 })
      .withExifMerge({ IFD3: { GPSLatitudeRef: "N", GPSLatitude: "62/1 0/1 0/1" } })
      .jpeg()
      .toBuffer();
    expect((await sharp(camera).metadata()).exif, "the camera wrote something").toBeDefined();
    const { status, body } = await send(camera);
    expect(status).toBe(200);
    expect([body.width, body.height]).toEqual([667, 2000]);
    const whole = Buffer.from(await (await served(body.sha256)).arrayBuffer());
    const meta = await sharp(whole).metadata();
    expect(meta).toMatchObject({ format: "jpeg", width: 667, height: 2000 });
    expect(meta.exif).toBeUndefined();
    const small = Buffer.from(await (await served(body.sha256, "?size=small")).arrayBuffer());
    expect((await sharp(small).metadata()).height).toBe(480);
    expect(small.length).toBeLessThan(whole.length);
  });

  it.each(["png", "webp"] as const)("is taken as %s too, and always served as a JPEG", async (format) => {
    const { body } = await send(await plain(300, 200).toFormat(format).toBuffer());
    const answer = await served(body.sha256);
    expect(answer.headers.get("content-type")).toBe("image/jpeg");
    expect(answer.headers.get("content-disposition")).toMatch(/^inline; filename="[0-9a-f]{12}\.jpg"$/);
  });

  it("sent twice is one picture", async () => {
    const bytes = await plain(120, 90).png().toBuffer();
    expect((await send(bytes)).body.sha256).toBe((await send(bytes)).body.sha256);
  });
});

describe("what is no picture", () => {
  const script = "<script>alert(1)</script>";
  const svg = `<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>`;
  it.each<[string, () => Promise<Uint8Array> | Uint8Array, string, RegExp]>([
    ["a script", () => Buffer.from(script), "picture/not-a-picture", /JPEG, PNG or WebP/],
    ["an SVG with a script", () => Buffer.from(svg), "picture/not-a-picture", /drawing in text/],
    ["nothing at all", () => new Uint8Array(), "picture/not-a-picture", /empty/],
    [
      "200 megapixels",
      () => claims(20_000, 10_000),
      "picture/too-many-pixels",
      /20000 × 10000, 200 megapixels/,
    ],
    [
      "a JPEG cut short",
      async () => (await plain(800, 600).jpeg().toBuffer()).subarray(0, 900),
      "picture/cut-short",
      /nothing of it was kept/,
    ],
    [
      "a script behind the first bytes of a JPEG",
      () => Buffer.concat([Buffer.from("ffd8ffe0", "hex"), Buffer.from(script)]),
      "picture/unreadable",
      /Take it again/,
    ],
  ])("%s is refused with its reason", async (_, bytes, code, words) => {
    const { status, body } = await send(await bytes());
    expect(status).toBe(422);
    expect(body.issues[0]?.code).toBe(code);
    expect(body.issues[0]?.message).toMatch(words);
  });

  it("a file larger than any camera's is not read to its end", async () => {
    const { status, body } = await send(Buffer.alloc(26 * 1024 * 1024));
    expect(status).toBe(413);
    expect(body.issues[0]?.message).toContain("25 MB");
  });

  it("a polyglot is drawn anew: what followed the picture is gone", async () => {
    const bytes = Buffer.concat([await plain(90, 60).png().toBuffer(), Buffer.from(script)]);
    const { body } = await send(bytes);
    const kept = Buffer.from(await (await served(body.sha256)).arrayBuffer());
    expect(kept.includes(script)).toBe(false);
  });

  it("one whose file is gone is told from one that never was", async () => {
    const { body } = await send(await plain(91, 61).png().toBuffer());
    rmSync(join(dataFolder(), "pictures", body.sha256.slice(0, 2), `${body.sha256}.jpg`));
    const answer = await served(body.sha256);
    expect(answer.status).toBe(404);
    expect(((await answer.json()) as Problem).issues[0]?.message).toContain("its file is gone");
  });

  it.each(["../../etc/passwd", "a".repeat(63), "A".repeat(64), ""])("no picture lies at %j", async (sha) => {
    expect((await served(sha)).status).toBe(404);
  });
});

describe("pictures in a job", () => {
  it("are named by an entry only once their bytes lie here, in their own size", async () => {
    const made = await call<{ jobId: number }>(takeIn, { body: takeInBody() });
    const id = String(made.body.jobId);
    const post = (body: unknown) => call<JobView>(postEntry, { params: { id }, body });
    const missing = await post(
      draft(2, "picture", { sha256: "b".repeat(64), of: "inside", width: 1, height: 1, words: "" }),
    );
    expect(missing.problem.issues[0]?.code).toBe("unknown/picture");
    const { body } = await send(await plain(640, 480).jpeg().toBuffer());
    const kept = await post(
      draft(2, "picture", { sha256: body.sha256, of: "inside", width: 9, height: 9, words: "" }),
    );
    expect(kept.body.pictures[0]).toMatchObject({ seq: 3, width: 640, height: 480 });
    expect(existsSync(`.cache/test-data/pictures/${body.sha256.slice(0, 2)}/${body.sha256}.jpg`)).toBe(true);
  });

  it("come with the machine at the door, all or nothing", async () => {
    const { body } = await send(await plain(200, 100).jpeg().toBuffer());
    const picture = { sha256: body.sha256, of: "nameplate", width: 200, height: 100, words: "" };
    const made = await call<{ jobId: number }>(takeIn, { body: takeInBody({ pictures: [picture] }) });
    expect(made.status).toBe(200);
    const wrong = await call(takeIn, {
      body: takeInBody({ pictures: [picture, { ...picture, sha256: "c".repeat(64) }] }),
    });
    expect(wrong.status).toBe(422);
    expect(wrong.problem.issues[0]?.path).toBe("pictures.1.sha256");
  });
});
