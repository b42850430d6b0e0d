// Debian's headless Chromium, as the tests and every script that looks at pages start it.
import { type Browser, chromium } from "@playwright/test";
import { chromiumPath } from "./chromium.mjs";

export const LAUNCH = {
  executablePath: chromiumPath(),
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};

export function launchBrowser(): Promise<Browser> {
  return chromium.launch(LAUNCH);
}
