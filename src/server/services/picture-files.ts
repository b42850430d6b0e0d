import { createHash, randomUUID } from "node:crypto";
import { mkdir, open, readFile, rename } from "node:fs/promises";
import { dirname, join } from "node:path";
import { dataFolder } from "@/server/db/shop-database";

export type PictureSize = "whole" | "small";

export const KEPT_TYPE = "image/jpeg";

export function hashOf(bytes: Uint8Array): string {
  return createHash("sha256").update(bytes).digest("hex");
}

/** Where a picture lies: beside the database, by the hash of its bytes. */
function pathOf(sha256: string, size: PictureSize): string {
  const name = size === "small" ? `${sha256}.small.jpg` : `${sha256}.jpg`;
  return join(dataFolder(), "pictures", sha256.slice(0, 2), name);
}

async function syncFolder(path: string): Promise<void> {
  const folder = await open(path, "r");
  await folder.sync();
  await folder.close();
}

/** Whole or not at all, and on the disk before any entry names it: written under another name first. */
export async function writePicture(sha256: string, size: PictureSize, bytes: Uint8Array): Promise<void> {
  const path = pathOf(sha256, size);
  const isNewFolder = (await mkdir(dirname(path), { recursive: true })) !== undefined;
  const aside = `${path}.${randomUUID()}`;
  const file = await open(aside, "wx", 0o600);
  await file.writeFile(bytes);
  await file.sync();
  await file.close();
  await rename(aside, path);
  await syncFolder(dirname(path));
  if (isNewFolder) await syncFolder(dirname(dirname(path)));
}

/** @returns undefined where no such picture lies */
export async function readPicture(sha256: string, size: PictureSize): Promise<Uint8Array | undefined> {
  return readFile(pathOf(sha256, size)).catch((error: NodeJS.ErrnoException) => {
    if (error.code === "ENOENT") return undefined;
    throw error;
  });
}
