import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { startServer } from "../../scripts/lib/prepare.mjs";
import { ANCHOR, freePort } from "./server";

/** The demo shop is seeded once a run; each server of a test begins with a copy. @returns what takes it away again */
export default async function seed(): Promise<() => void> {
  const data = mkdtempSync(join(tmpdir(), "spindle-seeded-"));
  const { child } = await startServer({
    port: await freePort(),
    data,
    seed: "demo",
    anchor: ANCHOR,
    output: "ignore",
  });
  const ended = new Promise((done) => child.once("exit", done));
  child.kill("SIGTERM");
  await ended;
  process.env["SPINDLE_SEEDED"] = data;
  return () => rmSync(data, { recursive: true, force: true });
}
