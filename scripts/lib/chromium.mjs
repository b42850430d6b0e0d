// Debian's Chromium, which the end-to-end tests drive.
import { spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import { fail } from "./prepare.mjs";

const PATH = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";

/** Installs it through apt when it is missing and that is permitted; otherwise says exactly what to install. */
export function ensureChromium() {
  if (existsSync(PATH)) return;
  const mayInstall = process.getuid?.() === 0 && existsSync("/usr/bin/apt-get");
  if (!mayInstall)
    fail(
      `The end-to-end tests need Chromium at ${PATH}: install the Debian package "chromium" (sudo apt-get install chromium), or set CHROMIUM_PATH.`,
    );
  console.log("Installing Chromium (a minute, once) …");
  const apt = (...args) =>
    spawnSync("apt-get", args, {
      stdio: "pipe",
      encoding: "utf8",
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
    });
  apt("update");
  const installed = apt("install", "-y", "--no-install-recommends", "chromium");
  if (!existsSync(PATH))
    fail(
      `apt-get install chromium did not work:\n${installed.stderr}\nInstall the Debian package "chromium" by hand, or set CHROMIUM_PATH.`,
    );
}
