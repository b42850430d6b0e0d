import { createHmac, randomUUID } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { type Sessions, sessionsSchema } from "@/core/shop/sessions.input";
import { parseWith } from "@/core/validate";
import { writeSynced } from "@/server/db/folder";
import { dataFolder } from "@/server/db/shop-database";
import { isSame, sessionKey } from "./access";
import { announceGap } from "./changes";

const SESSION_MS = 30 * 24 * 3600 * 1000;
/** More devices than any shop has: whoever comes in beyond them puts the oldest out. */
const MOST = 100;

/** What Set-up shows of one. */
export interface SessionShown {
  readonly id: string;
  readonly beganAt: string;
  readonly address: string;
  /** When it last asked for anything, since this server was started. */
  readonly seenAt: string | null;
  readonly isThis: boolean;
}

const path = (): string => join(dataFolder(), "sessions.json");

let known: { readonly of: string; readonly sessions: Sessions } | undefined;
const seen = new Map<string, number>();

function read(): Sessions {
  if (!existsSync(path())) return [];
  try {
    const given: unknown = JSON.parse(readFileSync(path(), "utf8"));
    const kept = parseWith(sessionsSchema, given);
    if (kept.ok) return kept.value;
  } catch {
    // Told below, whatever was the matter with it.
  }
  console.error(`${path()} cannot be read: every device has to enter the access code again.`);
  return [];
}

/** Read once: nobody else writes it. */
function sessions(): Sessions {
  if (known?.of !== path()) known = { of: path(), sessions: read() };
  return known.sessions;
}

function keep(now: Sessions): void {
  writeSynced(path(), JSON.stringify(now));
  known = { of: path(), sessions: now };
}

const sign = (text: string): string => createHmac("sha256", sessionKey()).update(text).digest("base64url");

/** Lets a device in for thirty days, or until its session is ended or the code is another. */
export function newSession(
  nowMs: number,
  address: string,
): { readonly token: string; readonly maxAgeSeconds: number } {
  const [id, until] = [randomUUID(), nowMs + SESSION_MS];
  const others = sessions().filter((one) => one.until > nowMs);
  keep([...others.slice(-(MOST - 1)), { id, beganAt: new Date(nowMs).toISOString(), until, address }]);
  const text = `${id}.${until}`;
  return { token: `${text}.${sign(text)}`, maxAgeSeconds: SESSION_MS / 1000 };
}

function idOf(token: string | undefined, nowMs: number): string | undefined {
  const [id = "", until = "", signature = ""] = (token ?? "").split(".");
  if (!/^\d+$/.test(until) || Number(until) <= nowMs || !isSame(signature, sign(`${id}.${until}`)))
    return undefined;
  return sessions().some((one) => one.id === id) ? id : undefined;
}

export function isSession(token: string | undefined, nowMs: number): boolean {
  const id = idOf(token, nowMs);
  if (id === undefined) return false;
  seen.set(id, nowMs);
  return true;
}

/** Every device that is let in, the newest first. */
export function shownSessions(token: string | undefined, nowMs: number): readonly SessionShown[] {
  const own = idOf(token, nowMs);
  return sessions()
    .filter(({ until }) => until > nowMs)
    .map(({ id, beganAt, address }): SessionShown => {
      const seenMs = seen.get(id);
      const seenAt = seenMs === undefined ? null : new Date(seenMs).toISOString();
      return { id, beganAt, address, seenAt, isThis: id === own };
    })
    .reverse();
}

/** Ends sessions at once: lines that are open are closed, and asked for again in vain. @returns those that are left */
export function endSessions(ids: readonly string[]): readonly string[] {
  const left = sessions().filter(({ id }) => !ids.includes(id));
  keep(left);
  announceGap();
  return left.map(({ id }) => id);
}
