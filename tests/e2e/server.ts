import { cpSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { basename, join } from "node:path";
import { startServer } from "../../scripts/lib/prepare.mjs";

export interface RunningShop {
  readonly address: string;
  readonly data: string;
  /** Stops it (hard, when asked) and starts it again on the same folder and port. */
  restart(signal?: NodeJS.Signals, meanwhile?: () => void): Promise<void>;
  /** The server's clock, from now on this much ahead. */
  letPass(minutes: number): void;
  stop(): Promise<void>;
}

/** The moment that the dates of the demo are counted from, in tests. */
export const ANCHOR = "2026-11-25T09:00:00Z";

export function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : 0));
    });
  });
}

interface ShopOptions {
  readonly seed?: "demo" | "none";
  readonly anchor?: string;
  readonly access?: boolean;
  /** Zone that the server's own clock is in. */
  readonly clock?: string;
}

/** The built server on a folder and a port of its own. */
export async function runShop({
  seed = "demo",
  anchor = ANCHOR,
  access = false,
  clock = "UTC",
}: ShopOptions = {}): Promise<RunningShop> {
  const data = mkdtempSync(join(tmpdir(), "spindle-e2e-"));
  const seeded = process.env["SPINDLE_SEEDED"];
  if (seeded && seed === "demo" && anchor === ANCHOR) cpSync(seeded, data, { recursive: true });
  const port = await freePort();
  const ahead = join(data, "..", `${basename(data)}-clock`);
  const start = () =>
    startServer({
      port,
      data,
      seed,
      anchor,
      access,
      output: "ignore",
      env: {
        TZ: clock,
        GOOD_SPINDLE_ANSWERS: "strict",
        NODE_OPTIONS: `--import=${join(import.meta.dirname, "clock.mjs")}`,
        SPINDLE_CLOCK_AHEAD: ahead,
      },
    });
  let running = await start();
  const end = (signal: NodeJS.Signals) =>
    new Promise<void>((resolve) => {
      running.child.once("exit", () => resolve());
      running.child.kill(signal);
    });
  return {
    address: running.address,
    data,
    restart: async (signal = "SIGTERM", meanwhile) => {
      await end(signal);
      meanwhile?.();
      running = await start();
    },
    letPass: (minutes) => writeFileSync(ahead, String(minutes * 60_000)),
    stop: async () => {
      await end("SIGTERM");
      rmSync(ahead, { force: true });
      rmSync(data, { recursive: true, force: true });
    },
  };
}
