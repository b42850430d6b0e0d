import { resolve } from "node:path";
import { type BeforeUpgrade, type OpenDatabase, openFolder, openServer } from "./connect";

/** On globalThis, since `astro dev` loads modules again and two openings of one folder would ruin it. */
const holder = globalThis as { goodSpindleDatabase?: Promise<OpenDatabase> };

export function dataFolder(): string {
  return resolve(process.env["GOOD_SPINDLE_DATA"] ?? "data");
}

function open(beforeUpgrade: BeforeUpgrade | undefined): Promise<OpenDatabase> {
  const url = process.env["DATABASE_URL"];
  if (url) return openServer(url);
  const address = `${process.env["HOST"] ?? "127.0.0.1"}:${process.env["PORT"] ?? "4321"}`;
  return openFolder(dataFolder(), `process ${process.pid} (serving ${address})`, { beforeUpgrade });
}

/**
 * The one database of this process; opened at the first call.
 * @param beforeUpgrade called before its schema is changed; a start that fails in it changes nothing
 */
export function shopDatabase(beforeUpgrade?: BeforeUpgrade): Promise<OpenDatabase> {
  if (!holder.goodSpindleDatabase) {
    holder.goodSpindleDatabase = open(beforeUpgrade);
    // Said again, as a stop of a whole group says it, it is the same stop.
    for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, () => void closeAndExit());
    if (process.env["GOOD_SPINDLE_LAUNCHED"]) endWithLauncher();
  }
  return holder.goodSpindleDatabase;
}

/** The database of this process where it is open already: telling of a change opens none. */
export function openDatabase(): Promise<OpenDatabase> | undefined {
  return holder.goodSpindleDatabase;
}

/**
 * Puts another database in the place of the one that is open: whoever asks from now on waits for it.
 */
export function reopenDatabase(): Promise<OpenDatabase> {
  const last = holder.goodSpindleDatabase;
  holder.goodSpindleDatabase = (async () => {
    const old = await last;
    await new Promise((resolve) => setTimeout(resolve, LONGEST_REQUEST_MS));
    await old?.close();
    return open(undefined);
  })();
  holder.goodSpindleDatabase.catch((error: unknown) => {
    console.error(
      `The shop could not be opened again: ${error instanceof Error ? error.message : String(error)}`,
    );
    process.exit(1);
  });
  return holder.goodSpindleDatabase;
}

/** Tests hand in their own. */
export function setDatabase(database: OpenDatabase): void {
  holder.goodSpindleDatabase = Promise.resolve(database);
}

/** Requests that had the old database in hand are over by then, or fail. */
const LONGEST_REQUEST_MS = 500;
const LONGEST_CLOSING_MS = 4_000;

/** The launcher holds the other end of stdin: when it is gone, however it went, nobody would stop this process. */
function endWithLauncher(): void {
  process.stdin.once("close", () => void closeAndExit());
  process.stdin.resume();
  process.stdin.unref();
}

let isClosing = false;

async function closeAndExit(): Promise<void> {
  // A signal and the launcher's end often come together.
  if (isClosing) return;
  isClosing = true;
  setTimeout(() => process.exit(1), LONGEST_CLOSING_MS).unref();
  const database = await holder.goodSpindleDatabase;
  await database?.close();
  process.exit(0);
}
