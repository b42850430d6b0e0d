import { createHash } from "node:crypto";
import pLimit from "p-limit";
import sharp, { type Sharp } from "sharp";
import { fail, issue, ok, type Result } from "@/core/result";
import type { Executor } from "@/server/db/executor";
import type { PictureSize } from "@/server/db/pictures";
import { shopDatabase } from "@/server/db/shop-database";
import { addFile, fileByHash } from "@/server/repositories/files";

const MAX_PIXELS = 60_000_000;
const KEPT_SIDE_PX = 2000;
const SMALL_SIDE_PX = 480;

/** Kinds of picture by their first bytes: the name and the type that the browser gives are not believed. */
const SIGNATURES: readonly { readonly type: string; readonly at: number; readonly bytes: string }[] = [
  { type: "jpeg", at: 0, bytes: "ffd8ff" },
  { type: "png", at: 0, bytes: "89504e470d0a1a0a" },
  { type: "webp", at: 8, bytes: "57454250" },
];

export const KEPT_TYPE = "image/jpeg";

export interface KeptPicture {
  readonly sha256: string;
  readonly width: number;
  readonly height: number;
}

function looksLike(bytes: Uint8Array): string | undefined {
  const hex = Buffer.from(bytes.subarray(0, 16)).toString("hex");
  return SIGNATURES.find(({ at, bytes: wanted }) => hex.startsWith(wanted, at * 2))?.type;
}

function refuse(code: string, message: string): Result<never> {
  return fail(issue("picture", `picture/${code}`, message));
}

/** What was sent instead, as far as its first bytes tell. */
function notAPicture(bytes: Uint8Array): Result<never> {
  const start = Buffer.from(bytes.subarray(0, 256)).toString("utf8").trimStart().toLowerCase();
  const what =
    bytes.length === 0 ? "empty" : start.startsWith("<") ? "a page or a drawing in text" : "no picture";
  return refuse("not-a-picture", `This file is ${what}: a picture is a JPEG, PNG or WebP file.`);
}

async function drawn(
  from: Sharp,
  side: number,
  quality: number,
): Promise<{ data: Buffer; width: number; height: number }> {
  const { data, info } = await from
    .clone()
    .resize({ width: side, height: side, fit: "inside", withoutEnlargement: true })
    .flatten({ background: "#ffffff" })
    .jpeg({ quality })
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

const READ = { failOn: "truncated", limitInputPixels: MAX_PIXELS } as const;
/** Drawing takes the threads that files are read with: two at a time leave the others free for everybody else. */
const drawing = pLimit(2);
const MOST_WAITING = 40;

async function drawnTwice(bytes: Uint8Array) {
  const upright = sharp(bytes, READ).rotate();
  return { whole: await drawn(upright, KEPT_SIDE_PX, 82), small: await drawn(upright, SMALL_SIDE_PX, 74) };
}

/**
 * A picture from a camera or a file: checked by its content, turned upright, drawn anew without what the camera wrote
 * beside it (place, time), and kept beside the database under the hash of what is kept.
 */
export async function keepPicture(
  bytes: Uint8Array,
  now: string,
  on: Executor,
): Promise<Result<KeptPicture>> {
  if (!looksLike(bytes)) return notAPicture(bytes);
  const size = await sharp(bytes, { ...READ, limitInputPixels: false })
    .metadata()
    .catch(() => undefined);
  if (!size)
    return refuse("unreadable", "This picture cannot be read: its beginning is damaged. Take it again.");
  const pixels = size.width * size.height;
  if (pixels > MAX_PIXELS)
    return refuse(
      "too-many-pixels",
      `This picture has ${size.width} × ${size.height}, ${Math.round(pixels / 1e6)} megapixels: up to ${MAX_PIXELS / 1e6} are taken.`,
    );
  if (drawing.pendingCount >= MOST_WAITING)
    return refuse("busy", "Many pictures are being kept just now: send this one again in a moment.");
  const made = await drawing(() => drawnTwice(bytes)).catch(() => undefined);
  if (!made)
    return refuse(
      "cut-short",
      "This picture is cut short or damaged: nothing of it was kept. Take it again.",
    );
  const { whole, small } = made;
  const sha256 = createHash("sha256").update(whole.data).digest("hex");
  const { pictures } = await shopDatabase();
  await pictures.write(sha256, "whole", whole.data);
  await pictures.write(sha256, "small", small.data);
  const { width, height } = whole;
  await addFile(on, { sha256, type: KEPT_TYPE, bytes: whole.data.length, width, height, addedAt: now });
  return ok({ sha256, width, height });
}

/** @returns undefined where no such picture lies */
export async function readPicture(sha256: string, size: PictureSize): Promise<Uint8Array | undefined> {
  const { pictures } = await shopDatabase();
  return pictures.read(sha256, size);
}

/** Whether a picture was kept here once, whatever became of its file. */
export async function isKeptPicture(sha256: string): Promise<boolean> {
  const { db } = await shopDatabase();
  return (await fileByHash(db, sha256)) !== undefined;
}
