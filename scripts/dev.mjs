// npm run dev: the development server, on a data folder of its own.
import { spawn } from "node:child_process";
import { ensureInstalled, ensureKnowledge, ensureSnapshot } from "./lib/prepare.mjs";

ensureInstalled();
ensureSnapshot();
ensureKnowledge();
const env = {
  ...process.env,
  GOOD_SPINDLE_DATA: process.env.GOOD_SPINDLE_DATA ?? "data/dev",
  GOOD_SPINDLE_SEED: "demo",
  HOST: "127.0.0.1",
  PORT: "4322",
};
const child = spawn("npx", ["--no-install", "astro", "dev", "--host", "127.0.0.1", "--port", "4322"], {
  env,
  stdio: "inherit",
});
child.once("exit", (code) => process.exit(code ?? 0));
setTimeout(() => fetch("http://127.0.0.1:4322/api/health").catch(() => undefined), 4000);
