// Debian's headless Chromium, as every script here that looks at pages starts it.
import { type Browser, chromium } from "@playwright/test";

export function launchBrowser(): Promise<Browser> {
  return chromium.launch({
    executablePath: process.env["CHROMIUM_PATH"] ?? "/usr/bin/chromium",
    args: [
      "--no-sandbox",
      "--disable-gpu",
      "--disable-quic",
      "--no-first-run",
      "--disable-background-networking",
      "--disable-component-update",
      "--disable-sync",
    ],
  });
}
