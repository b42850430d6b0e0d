import { defineConfig } from "@playwright/test";

const ARGS = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];

export default defineConfig({
  testDir: "tests/e2e",
  outputDir: "test-results",
  // Each file runs a server of its own, on a folder and a port of its own.
  workers: 2,
  timeout: 180_000,
  forbidOnly: true,
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: process.env["CHROMIUM_PATH"] ?? "/usr/bin/chromium", args: ARGS },
    trace: "retain-on-failure",
  },
});
