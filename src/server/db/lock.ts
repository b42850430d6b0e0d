import { createHash } from "node:crypto";
import { mkdirSync, readFileSync, realpathSync, rmSync, writeFileSync } from "node:fs";
import { createServer, type Server } from "node:net";
import { join } from "node:path";
import lockfile from "proper-lockfile";

/** Another process has the folder open. Two on one folder would ruin it silently. */
export class FolderInUse extends Error {
  readonly exitCode = 3;
}

export interface FolderLock {
  release(): Promise<void>;
}

const STALE_MS = 15_000;

function whoHasIt(folder: string): string {
  try {
    return readFileSync(join(folder, "in-use-by.txt"), "utf8").trim();
  } catch {
    return "another process";
  }
}

function refusal(folder: string): FolderInUse {
  return new FolderInUse(
    `The data folder ${folder} is open already, by ${whoHasIt(folder)}. Stop that one first, or start with another folder: --data DIR. Nothing was changed.`,
  );
}

function listen(name: string): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = createServer((socket) => socket.destroy());
    server.once("error", reject);
    server.listen(name, () => resolve(server));
    server.unref();
  });
}

/** An abstract socket is taken in one step and is free the moment its process dies. Linux only. */
async function lockBySocket(folder: string): Promise<FolderLock> {
  const hash = createHash("sha256").update(realpathSync(folder)).digest("hex").slice(0, 32);
  try {
    const server = await listen(`\0good-spindle-${hash}`);
    return { release: () => new Promise((resolve) => server.close(() => resolve())) };
  } catch (error) {
    if (error instanceof Error && "code" in error && error.code === "EADDRINUSE") throw refusal(folder);
    throw error;
  }
}

async function lockByFile(folder: string): Promise<FolderLock> {
  try {
    const release = await lockfile.lock(folder, {
      stale: STALE_MS,
      retries: { retries: 8, minTimeout: 500, maxTimeout: 4000 },
    });
    return { release };
  } catch (error) {
    if (error instanceof Error && "code" in error && error.code === "ELOCKED") throw refusal(folder);
    throw error;
  }
}

/**
 * One process a data folder.
 * @param who what a second process is told about this one
 * @throws {FolderInUse} with the name of the process that has it
 */
export async function lockFolder(folder: string, who: string): Promise<FolderLock> {
  mkdirSync(folder, { recursive: true });
  const lock = process.platform === "linux" ? await lockBySocket(folder) : await lockByFile(folder);
  const notice = join(folder, "in-use-by.txt");
  writeFileSync(notice, `${who}\n`);
  return {
    release: async () => {
      rmSync(notice, { force: true });
      await lock.release();
    },
  };
}
