import { createReadStream, mkdirSync, readdirSync, renameSync, rmSync, statSync } from "node:fs";
import { join, resolve } from "node:path";
import { Readable } from "node:stream";
import { ok, type Result } from "@/core/result";
import type { OpenDatabase } from "@/server/db/connect";
import { syncTree } from "@/server/db/folder";
import { dataFolder, shopDatabase } from "@/server/db/shop-database";
import type { Backup } from "@/wire/shop";
import { writeArchive } from "./archive";
import { archiveHand } from "./archive-thread";

const NAME = /^good-spindle-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)Z\.zip$/;
/** Kept: the newest fourteen, and the first of each month. */
const NEWEST = 14;

export function backupFolder(): string {
  return resolve(process.env["GOOD_SPINDLE_BACKUPS"] ?? join(dataFolder(), "backups"));
}

/** Good backups, newest first. */
export function listBackups(folder = backupFolder()): Backup[] {
  const names = readNames(folder);
  return names
    .flatMap((name): Backup[] => {
      const [, day, hour, minute, second] = NAME.exec(name) ?? [];
      if (day === undefined) return [];
      return [
        { name, at: `${day}T${hour}:${minute}:${second}.000Z`, bytes: statSync(join(folder, name)).size },
      ];
    })
    .sort((one, other) => other.at.localeCompare(one.at));
}

function readNames(folder: string): string[] {
  try {
    return readdirSync(folder);
  } catch {
    return [];
  }
}

/** A backup as it lies there, to be sent. Only names that are listed are ever opened. */
export function openBackup(
  name: string | undefined,
): { readonly backup: Backup; readonly bytes: ReadableStream } | undefined {
  const backup = listBackups().find((one) => one.name === name);
  return (
    backup && {
      backup,
      bytes: Readable.toWeb(createReadStream(join(backupFolder(), backup.name))) as ReadableStream,
    }
  );
}

/** Which backups a plain rule no longer keeps. */
export function outdated(backups: readonly Backup[]): readonly Backup[] {
  const firstOfMonth = new Map<string, Backup>();
  for (const one of backups) firstOfMonth.set(one.at.slice(0, 7), one);
  const kept = new Set([...backups.slice(0, NEWEST), ...firstOfMonth.values()]);
  return backups.filter((one) => !kept.has(one));
}

/** What screens say of the backups. */
export interface BackupState {
  readonly last: Backup | null;
  /** Older than it may be: said on the Bench too. */
  readonly isOld: boolean;
  readonly folder: string;
}

const OLD_AFTER_MS = 3 * 24 * 3600 * 1000;
const startedAt = Date.now();

/** A shop without any backup is given a day from the start of its server: the first look makes one. */
export function backupState(now: Date): BackupState {
  const last = listBackups()[0] ?? null;
  const age = now.getTime() - (last ? Date.parse(last.at) : startedAt);
  return { last, isOld: age > (last ? OLD_AFTER_MS : OLD_AFTER_MS / 3), folder: backupFolder() };
}

/** What a backup is made of. */
type Kept = Pick<OpenDatabase, "db" | "pictures">;

let running: Promise<Result<Backup>> | undefined;

async function make({ db, pictures }: Kept, now: Date): Promise<Result<Backup>> {
  const folder = backupFolder();
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const name = `good-spindle-${now.toISOString().slice(0, 19).replaceAll(":", "-")}Z.zip`;
  const part = join(folder, `${name}.part`);
  // What a process left behind that was stopped in the middle.
  for (const old of readNames(folder))
    if (old.endsWith(".zip.part")) rmSync(join(folder, old), { force: true });
  const hand = archiveHand();
  try {
    await writeArchive(db, pictures, part, hand);
    const { verified, failed } = await hand.ask({ step: "verify", path: part });
    if (!verified) throw new Error(failed ?? "the archive was not read back");
    if (!verified.ok) return verified;
    renameSync(part, join(folder, name));
    for (const old of outdated(listBackups(folder))) rmSync(join(folder, old.name));
    syncTree(folder);
  } finally {
    hand.end();
    rmSync(part, { force: true });
  }
  return ok({ name, at: `${now.toISOString().slice(0, 19)}.000Z`, bytes: statSync(join(folder, name)).size });
}

/** Writes a backup, reads it back, and only then counts it as one. Asked twice at once, it is made once. */
export function makeBackup(shop: Kept, now: Date): Promise<Result<Backup>> {
  running ??= make(shop, now).finally(() => {
    running = undefined;
  });
  return running;
}

/** A backup of the shop that this process serves. */
export async function backUpNow(now: Date): Promise<Result<Backup>> {
  return makeBackup(await shopDatabase(), now);
}

/** Before the database is brought to a newer schema; where it cannot be made, nothing is changed. */
export async function backUpBeforeUpgrade(shop: Kept): Promise<void> {
  const made = await makeBackup(shop, new Date());
  if (!made.ok) throw new Error(made.issues.map(({ message }) => message).join(" "));
  console.log(`Before the upgrade a backup was made: ${made.value.name}.`);
}

const NIGHT_HOUR = 2;
const LOOK_EVERY_MS = 10 * 60_000;
const FIRST_LOOK_MS = 2 * 60_000;

/** Whether it is time: once a day, after two at night by the shop's clock, or at once when a night was missed. */
export function isDue(last: string | undefined, now: Date, zone: string): boolean {
  const hourOf = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", hourCycle: "h23", timeZone: zone });
  const hours =
    last === undefined ? Number.POSITIVE_INFINITY : (now.getTime() - Date.parse(last)) / 3_600_000;
  return hours >= 26 || (hours >= 20 && Number(hourOf.format(now)) >= NIGHT_HOUR);
}

/** Backups by night, as long as the process lives. */
export function backUpByNight(zoneOf: () => Promise<string>): void {
  const look = async (): Promise<void> => {
    const now = new Date();
    if (!isDue(listBackups()[0]?.at, now, await zoneOf())) return;
    const made = await backUpNow(now);
    if (!made.ok) console.error(`The backup failed: ${made.issues.map(({ message }) => message).join(" ")}`);
  };
  const tryIt = (): void =>
    void look().catch((error) => console.error(`The backup failed: ${String(error)}`));
  setTimeout(tryIt, FIRST_LOOK_MS).unref();
  setInterval(tryIt, LOOK_EVERY_MS).unref();
}
