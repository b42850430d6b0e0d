import { randomUUID } from "node:crypto";
import {
  chmodSync,
  existsSync,
  lstatSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import { join } from "node:path";
import { syncFile, syncFolder } from "./sync-path";
import { SyncedFile } from "./synced-file";

/** A data folder that cannot be used: one sentence, and an exit code of its own. Nothing in it was changed. */
export class FolderTrouble extends Error {
  constructor(
    readonly exitCode: number,
    message: string,
  ) {
    super(message);
  }
}

/** Exit codes of a start that failed, by what is the matter with the data folder. 3 is a folder in use. */
export const EXIT = { damaged: 4, notWritable: 5, full: 6, notEmpty: 7 } as const;

const MARKER = "folder.json";
const UNFINISHED = "first-start-unfinished";
const REBUILDING = "rebuild-unfinished";
/** What a database of the embedded engine cannot be without. */
const NEEDED = ["PG_VERSION", "postgresql.conf", "global/pg_control", "base", "pg_wal", "pg_xact"] as const;

/** What lies in a data folder, before anything opens it. */
export type FolderState =
  | { readonly kind: "new" }
  /** No shop, and things that no first start puts there. */
  | { readonly kind: "foreign"; readonly found: readonly string[] }
  | { readonly kind: "whole"; readonly isMarked: boolean }
  | { readonly kind: "damaged"; readonly missing: readonly string[] };

/** Who a data folder is: told from every other, copies of it included once they went ways of their own. */
export interface FolderMarker {
  readonly identity: string;
  readonly madeAt: string;
}

const isEmpty = (folder: string): boolean => !existsSync(folder) || readdirSync(folder).length === 0;

const hasLines = (journal: string): boolean =>
  existsSync(journal) && readdirSync(journal).some((name) => name.endsWith(".ndjson"));

function codeOf(error: unknown): string {
  return error instanceof Error && "code" in error ? String(error.code) : "";
}

/** What an error of the file system means for this folder, in one sentence; undefined where it is something else. */
export function troubleOf(error: unknown, folder: string): FolderTrouble | undefined {
  const code = codeOf(error);
  const text = error instanceof Error ? error.message : String(error);
  if (code === "ENOSPC" || code === "EDQUOT" || /no space left/i.test(text))
    return new FolderTrouble(EXIT.full, `The disk of ${folder} is full: make room, then start again.`);
  if (code === "EACCES" || code === "EPERM" || code === "EROFS")
    return new FolderTrouble(
      EXIT.notWritable,
      `The data folder ${folder} cannot be written (${code}): give this user the right to, or choose another with --data DIR.`,
    );
  if (code === "ENOTDIR" || code === "EEXIST")
    return new FolderTrouble(EXIT.notWritable, `${folder} is no folder: choose another with --data DIR.`);
  return undefined;
}

/** Brings every file and folder below a path to the disk. */
export function syncTree(path: string): void {
  for (const entry of readdirSync(path, { withFileTypes: true }))
    if (entry.isDirectory()) syncTree(join(path, entry.name));
    else if (entry.isFile()) syncFile(join(path, entry.name));
  syncFolder(path);
}

/** Writes a file whole or not at all, on the disk when this returns. Readable by its owner only. */
export function writeSynced(path: string, content: string): void {
  const file = new SyncedFile(path);
  try {
    file.add(content);
    file.finish();
  } finally {
    file.drop();
  }
}

/** Files 600, folders 700, whatever was there before: the engine gives its files rights of its own. */
export function closeToOthers(path: string): void {
  const found = lstatSync(path, { throwIfNoEntry: false });
  // What was there a moment ago and is not any more needs no rights.
  if (!found) return;
  if ((found.mode & 0o077) !== 0) chmodSync(path, found.isDirectory() ? 0o700 : 0o600);
  if (!found.isDirectory()) return;
  for (const entry of readdirSync(path, { withFileTypes: true }))
    if (entry.isDirectory() || entry.isFile()) closeToOthers(join(path, entry.name));
}

/**
 * Makes a folder ready to be looked at: there, ours, writable, closed to others.
 * @throws {FolderTrouble}
 */
export function prepareFolder(folder: string): void {
  process.umask(0o077);
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const own = process.getuid?.();
    const { uid } = statSync(folder);
    if (own !== undefined && uid !== own)
      throw new FolderTrouble(
        EXIT.notWritable,
        `The data folder ${folder} belongs to another user (${uid}, this is ${own}): start as that user, or choose another with --data DIR.`,
      );
    const probe = join(folder, `.probe-${randomUUID()}`);
    writeFileSync(probe, "x".repeat(8192));
    syncFile(probe);
    rmSync(probe);
    closeToOthers(folder);
  } catch (error) {
    throw troubleOf(error, folder) ?? error;
  }
}

/** What a start puts into a folder before there is a shop in it, and what file systems put there. */
const OF_A_START =
  /^(in-use.*|.*-unfinished.*|postgres|journal|access-code|session-key|sessions\.json|lost\+found|\..*)$/;

/** What else lies in a folder whose journal has no line. */
function foreignIn(folder: string): readonly string[] {
  const isBare = (name: string): boolean => name === "pictures" && isEmpty(join(folder, name));
  return readdirSync(folder).filter((name) => !OF_A_START.test(name) && !isBare(name));
}

/** Why no shop is set up in a folder, and the ways on. */
export function notEmpty(folder: string, found: readonly string[]): FolderTrouble {
  const backups = join(folder, "backups");
  const newest = existsSync(backups)
    ? readdirSync(backups)
        .filter((name) => name.endsWith(".zip"))
        .sort()
        .at(-1)
    : undefined;
  const named =
    found.length > 4 ? `${found.slice(0, 4).join(", ")} and ${found.length - 4} more` : found.join(", ");
  const back =
    newest === undefined
      ? ""
      : ` Its newest backup is put into a new folder by: npm run restore -- ${join(backups, newest)} --data NEW-FOLDER.`;
  return new FolderTrouble(
    EXIT.notEmpty,
    `${folder} holds no shop, but it is not empty (${named}): no new shop is set up in it, and nothing was changed.${back} To begin a new shop start with another folder: --data DIR.`,
  );
}

/** A database that is to be made anew goes aside first: a mark that was left behind takes nothing with it. */
function setUnfinishedAside(folder: string, postgres: string): void {
  if (isEmpty(postgres)) return;
  renameSync(postgres, join(folder, `postgres-unfinished-${new Date().toISOString().replace(/[:.]/g, "-")}`));
}

/**
 * What a folder holds. A first start that was cut short left nothing that anybody was told is kept, and a rebuild left
 * all of it in the journal: either begins again.
 */
export function inspectFolder(folder: string): FolderState {
  const postgres = join(folder, "postgres");
  const isMarked = hasMarker(folder);
  const isCutShort =
    (!isMarked && existsSync(join(folder, UNFINISHED))) || existsSync(join(folder, REBUILDING));
  const hasHistory = isMarked || hasLines(join(folder, "journal"));
  if (isCutShort || isEmpty(postgres)) {
    const found = hasHistory ? [] : foreignIn(folder);
    if (found.length > 0) return { kind: "foreign", found };
    if (isCutShort) setUnfinishedAside(folder, postgres);
    return hasHistory ? { kind: "damaged", missing: ["the whole database"] } : { kind: "new" };
  }
  const missing = NEEDED.filter((name) => !existsSync(join(postgres, name)));
  return missing.length > 0 ? { kind: "damaged", missing } : { kind: "whole", isMarked };
}

/** Says that a database is being made: until it is marked finished, it holds nothing that is not elsewhere. */
export function beginMaking(folder: string, why: "first-start" | "rebuild"): void {
  writeSynced(join(folder, why === "rebuild" ? REBUILDING : UNFINISHED), "A database is being made.\n");
}

/** Whether the folder still has to be marked: made, built anew, or of before folders were marked. */
export function isUnfinished(folder: string): boolean {
  return !hasMarker(folder) || existsSync(join(folder, REBUILDING));
}

/** The folder is synced whole, then marked: from now on its database is never made anew. */
export function markFinished(folder: string, marker: FolderMarker): void {
  syncTree(folder);
  writeSynced(join(folder, MARKER), `${JSON.stringify(marker)}\n`);
  for (const name of [UNFINISHED, REBUILDING]) rmSync(join(folder, name), { force: true });
}

export const hasMarker = (folder: string): boolean => existsSync(join(folder, MARKER));

export function readMarker(folder: string): FolderMarker | undefined {
  try {
    const read: unknown = JSON.parse(readFileSync(join(folder, MARKER), "utf8"));
    if (typeof read !== "object" || read === null || !("identity" in read) || !("madeAt" in read))
      return undefined;
    const { identity, madeAt } = read;
    return typeof identity === "string" && typeof madeAt === "string" ? { identity, madeAt } : undefined;
  } catch {
    return undefined;
  }
}
