import { randomBytes, randomInt, timingSafeEqual } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { EXIT, FolderTrouble } from "@/server/db/folder";
import { dataFolder } from "@/server/db/shop-database";

/** Letters and digits that nobody confuses when reading them off a screen. */
const ALPHABET = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";
const CODE_LENGTH = 8;
/** What can be typed, long enough to be no guess. */
const SECRET = /^[\x21-\x7e]{8,200}$/;
const TRIES = 5;
const LOCK_MS = 60_000;

/** Served beyond this machine: every visitor needs the code. */
export function needsAccess(): boolean {
  return process.env["GOOD_SPINDLE_ACCESS"] === "required";
}

function keptSecret(name: string, make: () => string): string {
  const path = join(dataFolder(), name);
  if (!existsSync(path)) {
    mkdirSync(dataFolder(), { recursive: true });
    writeFileSync(path, make(), { mode: 0o600 });
  }
  const secret = readFileSync(path, "utf8").trim();
  if (!SECRET.test(secret))
    throw new FolderTrouble(
      EXIT.damaged,
      `${path} cannot be read, or is too short to keep anybody out: put it elsewhere, and a new one is made.`,
    );
  return secret;
}

/** The access code, made at the first start that needs one; kept in the data folder, readable by its owner only. */
export function accessCode(): string {
  return keptSecret("access-code", () =>
    Array.from({ length: CODE_LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join(""),
  );
}

/** What signs sessions: another code makes all of them worthless. */
export function sessionKey(): string {
  return `${keptSecret("session-key", () => randomBytes(32).toString("hex"))}:${accessCode()}`;
}

/** Whether two texts are the same, in a time that does not tell how much of them is. */
export function isSame(one: string, other: string): boolean {
  const [a, b] = [Buffer.from(one), Buffer.from(other)];
  return a.length === b.length && timingSafeEqual(a, b);
}

interface Tries {
  readonly wrong: number;
  readonly lockedUntil: number;
}
const triesBy = new Map<string, Tries>();

export type CodeAnswer =
  | { readonly kind: "right" }
  | { readonly kind: "wrong"; readonly left: number }
  | { readonly kind: "locked"; readonly seconds: number };

/** Five wrong tries from one address lock it for a minute. */
export function tryCode(code: string, address: string, nowMs: number): CodeAnswer {
  const before = triesBy.get(address) ?? { wrong: 0, lockedUntil: 0 };
  if (nowMs < before.lockedUntil)
    return { kind: "locked", seconds: Math.ceil((before.lockedUntil - nowMs) / 1000) };
  if (isSame(code.trim().toUpperCase(), accessCode())) {
    triesBy.delete(address);
    return { kind: "right" };
  }
  const wrong = before.wrong + 1;
  if (wrong >= TRIES) {
    triesBy.set(address, { wrong: 0, lockedUntil: nowMs + LOCK_MS });
    return { kind: "locked", seconds: LOCK_MS / 1000 };
  }
  triesBy.set(address, { wrong, lockedUntil: 0 });
  return { kind: "wrong", left: TRIES - wrong };
}
