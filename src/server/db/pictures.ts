import { randomUUID } from "node:crypto";
import { existsSync } from "node:fs";
import { mkdir, open, readFile, rename } from "node:fs/promises";
import { dirname, join } from "node:path";
import { and, eq } from "drizzle-orm";
import type { Executor } from "./executor";
import { pictureBytes } from "./schema";
import { syncFolder } from "./sync-path";

export type PictureSize = "whole" | "small";

/** Where the bytes of pictures lie, by the hash of what is kept. */
export interface Pictures {
  /** On the disk when it is over, whole or not at all: before any entry names it. */
  write(sha256: string, size: PictureSize, bytes: Uint8Array): Promise<void>;
  has(sha256: string, size: PictureSize): Promise<boolean>;
  /** @returns undefined where no such picture lies */
  read(sha256: string, size: PictureSize): Promise<Uint8Array | undefined>;
  /** The data folder that they lie in as files, where they do: a thread reads them there itself. */
  readonly folder?: string;
}

/** A picture's name below a data folder. */
export function pictureName(sha256: string, size: PictureSize): string {
  return `pictures/${sha256.slice(0, 2)}/${sha256}${size === "small" ? ".small" : ""}.jpg`;
}

/** Beside the embedded database. */
export function picturesInFolder(folder: () => string): Pictures {
  const pathOf = (sha256: string, size: PictureSize): string => join(folder(), pictureName(sha256, size));
  return {
    get folder() {
      return folder();
    },
    write: async (sha256, size, bytes) => {
      const path = pathOf(sha256, size);
      const isNewFolder = (await mkdir(dirname(path), { recursive: true, mode: 0o700 })) !== undefined;
      const aside = `${path}.${randomUUID()}`;
      const file = await open(aside, "wx", 0o600);
      await file.writeFile(bytes);
      await file.sync();
      await file.close();
      await rename(aside, path);
      syncFolder(dirname(path));
      if (isNewFolder) syncFolder(dirname(dirname(path)));
    },
    has: async (sha256, size) => existsSync(pathOf(sha256, size)),
    read: (sha256, size) =>
      readFile(pathOf(sha256, size)).catch((error: NodeJS.ErrnoException) => {
        if (error.code === "ENOENT") return undefined;
        throw error;
      }),
  };
}

/** On a PostgreSQL server, where every server of the shop finds them. */
export function picturesInTable(db: Executor): Pictures {
  return {
    write: async (sha256, size, bytes) => {
      await db
        .insert(pictureBytes)
        .values({ sha256, size, data: Buffer.from(bytes) })
        .onConflictDoNothing();
    },
    has: async (sha256, size) => {
      const rows = await db
        .select({ sha256: pictureBytes.sha256 })
        .from(pictureBytes)
        .where(and(eq(pictureBytes.sha256, sha256), eq(pictureBytes.size, size)));
      return rows.length === 1;
    },
    read: async (sha256, size) => {
      const rows = await db
        .select({ data: pictureBytes.data })
        .from(pictureBytes)
        .where(and(eq(pictureBytes.sha256, sha256), eq(pictureBytes.size, size)));
      return rows[0]?.data;
    },
  };
}
