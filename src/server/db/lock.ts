import { createHash, randomUUID } from "node:crypto";
import { readdirSync, readFileSync, readlinkSync, realpathSync, rmSync } from "node:fs";
import { createServer, type Server } from "node:net";
import { hostname } from "node:os";
import { join } from "node:path";
import lockfile from "proper-lockfile";
import { writeSynced } from "./folder";

/** Another process has the folder open. Two on one folder would ruin it silently. */
export class FolderInUse extends Error {
  readonly exitCode = 3;
}

export interface FolderLock {
  release(): Promise<void>;
}

/** How long a lock must have shown no sign of life before another machine may take it. */
const STALE_MS = 60_000;
const BEAT_MS = 10_000;
/** A notice for each process that has the folder or asks for it, under a name of its own. */
const NOTICE = /^in-use-by.*\.json$/;

/** Who holds a folder: enough to tell on the same machine whether it still runs. */
interface Holder {
  readonly who: string;
  readonly host: string;
  /** Changes with every boot; empty where the system does not say. */
  readonly boot: string;
  /** Numbers of processes mean nothing outside of their own namespace. */
  readonly processes: string;
  readonly pid: number;
  /** When the process began, so that a number used again is told from it. */
  readonly began: string;
}

function ofSystem(read: () => string): string {
  try {
    return read().trim();
  } catch {
    return "";
  }
}

const beganAt = (pid: number): string =>
  ofSystem(() => readFileSync(`/proc/${pid}/stat`, "utf8").split(") ").at(-1)?.split(" ")[19] ?? "");

function holderNow(who: string): Holder {
  return {
    who,
    host: hostname(),
    boot: ofSystem(() => readFileSync("/proc/sys/kernel/random/boot_id", "utf8")),
    processes: ofSystem(() => readlinkSync("/proc/self/ns/pid")),
    pid: process.pid,
    began: beganAt(process.pid),
  };
}

interface Notice {
  readonly path: string;
  /** Undefined where it cannot be read. */
  readonly holder: Holder | undefined;
}

function readNotice(path: string): Notice {
  try {
    const read: unknown = JSON.parse(readFileSync(path, "utf8"));
    const isHolder = typeof read === "object" && read !== null && "pid" in read;
    return { path, holder: isHolder ? (read as Holder) : undefined };
  } catch {
    return { path, holder: undefined };
  }
}

const noticesIn = (folder: string): readonly Notice[] =>
  readdirSync(folder)
    .filter((name) => NOTICE.test(name))
    .map((name) => readNotice(join(folder, name)));

function runs(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error instanceof Error && "code" in error && error.code === "EPERM";
  }
}

/** Whether the holder was on this machine, in this boot, and is no more: then nobody need wait. */
function isGone(holder: Holder, own: Holder): boolean {
  if (holder.host !== own.host || holder.processes !== own.processes) return false;
  if (holder.boot !== own.boot) return true;
  return !runs(holder.pid) || beganAt(holder.pid) !== holder.began;
}

function refusal(folder: string, own: Holder): FolderInUse {
  const holders = noticesIn(folder).flatMap(({ holder }) => holder ?? []);
  const who = holders.find((holder) => !isGone(holder, own))?.who ?? "another process";
  return new FolderInUse(
    `The data folder ${folder} is open already, by ${who}. Stop that one first, or start with another folder: --data DIR. If it is gone for good, start again in a minute. Nothing was changed.`,
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

/** An abstract socket is taken in one step and is free the moment its process dies. Linux, one network namespace. */
async function lockBySocket(folder: string, own: Holder): Promise<FolderLock> {
  const hash = createHash("sha256").update(realpathSync(folder)).digest("hex").slice(0, 32);
  try {
    const server = await listen(`\0good-spindle-${hash}`);
    return { release: () => new Promise((resolve) => server.close(() => resolve())) };
  } catch (error) {
    if (error instanceof Error && "code" in error && error.code === "EADDRINUSE") throw refusal(folder, own);
    throw error;
  }
}

/** A lock with a heartbeat beside the socket: it holds in other namespaces, containers and on a shared folder too. */
async function lockByFile(folder: string, own: Holder, onLost: () => void): Promise<FolderLock> {
  const lockfilePath = join(folder, "in-use.lock");
  // Whoever has the lock wrote a notice before it: where every notice is of somebody gone, so is who has the lock.
  const before = noticesIn(folder);
  if (before.length > 0 && before.every(({ holder }) => holder && isGone(holder, own)))
    rmSync(lockfilePath, { recursive: true, force: true });
  const notice = join(folder, `in-use-by.${own.pid}-${randomUUID()}.json`);
  writeSynced(notice, `${JSON.stringify(own)}\n`);
  try {
    const release = await lockfile.lock(folder, {
      lockfilePath,
      stale: STALE_MS,
      update: BEAT_MS,
      onCompromised: onLost,
    });
    // Nobody else has it: whoever these speak of is gone, or will write another one.
    for (const { path } of before) rmSync(path, { force: true });
    return {
      release: async () => {
        // Last: while the lock stands, it is known whose it is.
        await release().catch(() => undefined);
        rmSync(notice, { force: true });
      },
    };
  } catch (error) {
    rmSync(notice, { force: true });
    if (error instanceof Error && "code" in error && error.code === "ELOCKED") throw refusal(folder, own);
    throw error;
  }
}

/** Somebody else holds the folder now: not a byte more is written by this process. */
function stopWriting(): void {
  console.error("The data folder was taken by another process while this one stood still: stopping at once.");
  process.exit(3);
}

interface LockOptions {
  /** The lock is somebody else's now. */
  readonly onLost?: () => void;
  /** How long one that is just being stopped is waited for. */
  readonly patienceMs?: number;
}

const PATIENCE_MS = 4_000;
const TRY_EVERY_MS = 200;

/**
 * One process a data folder.
 * @param who what a second process is told about this one
 * @throws {FolderInUse} with the name of the process that has it
 */
export async function lockFolder(
  folder: string,
  who: string,
  { onLost = stopWriting, patienceMs = PATIENCE_MS }: LockOptions = {},
): Promise<FolderLock> {
  const until = Date.now() + patienceMs;
  for (;;) {
    try {
      return await lockOnce(folder, holderNow(who), onLost);
    } catch (error) {
      if (!(error instanceof FolderInUse) || Date.now() >= until) throw error;
      await new Promise((resolve) => setTimeout(resolve, TRY_EVERY_MS));
    }
  }
}

async function lockOnce(folder: string, own: Holder, onLost: () => void): Promise<FolderLock> {
  const socket = process.platform === "linux" ? await lockBySocket(folder, own) : undefined;
  let file: FolderLock;
  try {
    file = await lockByFile(folder, own, onLost);
  } catch (error) {
    await socket?.release();
    throw error;
  }
  return {
    release: async () => {
      await file.release();
      await socket?.release();
    },
  };
}
