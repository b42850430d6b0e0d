// What has to be there before the program can run: packages, an empty database to copy, the build.
// Plain Node, no packages: on a fresh clone there are none yet.
import { spawn, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const LOCK_STAMP = "node_modules/.installed-from";
const BUILD_STAMP = "dist/.built-from";
const KNOWLEDGE_STAMP = ".cache/knowledge-from";
const KNOWLEDGE_FROM = ["src/knowledge/moves", "src/knowledge/faults", "src/knowledge/tables", "src/core"];
const SNAPSHOT_STAMP = ".cache/snapshot-from";
const SNAPSHOT_FROM = ["drizzle", "package-lock.json", "scripts/make-snapshot.mjs"];
const BUILT_FROM = ["src", "drizzle", "package-lock.json", "astro.config.ts", "tsconfig.json"];

export function fail(message, code = 1) {
  console.error(message);
  process.exit(code);
}

function hashOf(paths) {
  const hash = createHash("sha256");
  const add = (path) => {
    if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) add(join(path, name));
    else hash.update(path).update(readFileSync(path));
  };
  for (const path of paths) add(path);
  return hash.digest("hex");
}

function stampIs(path, value) {
  return existsSync(path) && readFileSync(path, "utf8") === value;
}

function run(command, args, { quiet = false } = {}) {
  const result = spawnSync(command, args, {
    stdio: quiet ? "pipe" : "inherit",
    encoding: "utf8",
    // npm and npx are scripts there, which nothing but a shell starts.
    shell: process.platform === "win32",
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: "1" },
  });
  if (result.status === 0) return;
  if (quiet) console.error(`${result.stdout ?? ""}${result.stderr ?? ""}`);
  fail(`"${command} ${args.join(" ")}" failed.`);
}

/** Installs when the lock file changed since the last time. Returns whether it did. */
export function ensureInstalled() {
  const wanted = hashOf(["package-lock.json"]);
  if (stampIs(LOCK_STAMP, wanted)) return false;
  console.log("Installing packages (a minute or two, once) …");
  run("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"], { quiet: true });
  writeFileSync(LOCK_STAMP, wanted);
  return true;
}

/** An empty database, made once for this version of the engine and of the schema. */
export function ensureSnapshot() {
  const wanted = hashOf(SNAPSHOT_FROM);
  if (existsSync(".cache/empty-shop") && stampIs(SNAPSHOT_STAMP, wanted)) return;
  mkdirSync(".cache", { recursive: true });
  run(process.execPath, ["scripts/make-snapshot.mjs"], { quiet: true });
  writeFileSync(SNAPSHOT_STAMP, wanted);
}

/** Checks the knowledge's pages and compiles them, when they or what reads them changed. */
export function ensureKnowledge() {
  const wanted = hashOf(KNOWLEDGE_FROM);
  if (existsSync("src/knowledge/compiled.json") && stampIs(KNOWLEDGE_STAMP, wanted)) return;
  mkdirSync(".cache", { recursive: true });
  run("npx", ["--no-install", "tsx", "scripts/compile-knowledge.ts"], { quiet: true });
  writeFileSync(KNOWLEDGE_STAMP, wanted);
}

/** Builds when a source changed since the last build. Returns whether it did. */
export function ensureBuilt() {
  ensureKnowledge();
  const wanted = hashOf(BUILT_FROM);
  if (stampIs(BUILD_STAMP, wanted)) return false;
  console.log("Building (half a minute, when the sources changed) …");
  run("npx", ["--no-install", "astro", "build", "--silent"], { quiet: true });
  writeFileSync(BUILD_STAMP, wanted);
  return true;
}

/** Long enough to bring a shop of ten years to a new version; a server that ends says so at once. */
const LONGEST_START_MS = 30 * 60_000;

/**
 * The simulated meter that ships with it, on a socket of its own; it ends with its server.
 * @returns where it listens, and how it is ended
 */
function startMeter(port) {
  const name = `good-spindle-meter-${process.pid}-${port}`;
  const path = process.platform === "win32" ? `\\\\.\\pipe\\${name}` : join(tmpdir(), `${name}.sock`);
  const meter = spawn(process.execPath, ["dist/server/meter.mjs", path], {
    stdio: ["pipe", "ignore", "inherit"],
  });
  meter.unref();
  meter.stdin.unref?.();
  return { path, end: () => meter.kill() };
}

/**
 * Starts the built server and waits until its database is open.
 * @returns the child process and its address
 */
export async function startServer({
  host = "127.0.0.1",
  port,
  data,
  seed = "demo",
  anchor,
  hosts,
  access = false,
  output = "inherit",
  env: extra = {},
}) {
  const env = {
    ...process.env,
    ...extra,
    HOST: host,
    PORT: String(port),
    GOOD_SPINDLE_DATA: data,
    GOOD_SPINDLE_SEED: seed,
    ...(anchor ? { GOOD_SPINDLE_ANCHOR: anchor } : {}),
    ...(hosts ? { GOOD_SPINDLE_HOSTS: hosts } : {}),
    ...(access ? { GOOD_SPINDLE_ACCESS: "required" } : {}),
    ASTRO_NODE_LOGGING: "disabled",
    GOOD_SPINDLE_LAUNCHED: "yes",
  };
  const meter = process.env.GOOD_SPINDLE_METER ? undefined : startMeter(port);
  if (meter) env.GOOD_SPINDLE_METER = meter.path;
  const child = spawn(process.execPath, ["dist/server/serve.mjs"], {
    env,
    // Its stdin ends with this process, however that ends: a server never outlives what started it.
    stdio: ["pipe", output, "inherit"],
  });
  let ended;
  child.once("exit", (code) => {
    ended = code ?? 1;
    meter?.end();
  });
  const address = `http://${host === "0.0.0.0" || host === "::" ? "127.0.0.1" : host}:${port}`;
  const deadline = Date.now() + LONGEST_START_MS;
  while (Date.now() < deadline) {
    if (ended !== undefined)
      throw Object.assign(new Error(`the server ended before it was ready (code ${ended})`), {
        exitCode: ended,
      });
    const answer = await fetch(`${address}/api/health`).catch(() => undefined);
    if (answer?.ok) return { child, address };
    if (answer) {
      child.kill();
      throw new Error(`the server could not open its database (status ${answer.status})`);
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  child.kill();
  throw new Error("the server was not ready within half an hour");
}
