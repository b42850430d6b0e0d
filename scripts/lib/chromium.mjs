// Debian's Chromium, which the end-to-end tests drive: the one without windows, which does a seventh less for the same pages.
import { spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import { fail } from "./prepare.mjs";

const PACKAGE = "chromium-headless-shell";
const PATHS = [`/usr/bin/${PACKAGE}`, "/usr/bin/chromium"];

/** The browser to drive: the one named in CHROMIUM_PATH, or the first that is there. */
export function chromiumPath() {
  return process.env.CHROMIUM_PATH ?? PATHS.find((path) => existsSync(path)) ?? PATHS[0];
}

/** Installs it through apt when it is missing and that is permitted; otherwise says exactly what to install. */
export function ensureChromium() {
  const wanted = process.env.CHROMIUM_PATH ?? PATHS[0];
  if (existsSync(wanted)) return;
  const apt = (...args) =>
    spawnSync("apt-get", args, {
      stdio: "pipe",
      encoding: "utf8",
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
    });
  const mayInstall = process.getuid?.() === 0 && existsSync("/usr/bin/apt-get");
  let said = "";
  if (mayInstall) {
    console.log("Installing Chromium (a minute, once) …");
    apt("update");
    said = apt("install", "-y", "--no-install-recommends", PACKAGE).stderr;
  }
  if (existsSync(chromiumPath())) return;
  fail(
    `${said}The end-to-end tests need Chromium at ${wanted}: install the Debian package "${PACKAGE}" (sudo apt-get install ${PACKAGE}), or set CHROMIUM_PATH.`,
  );
}
