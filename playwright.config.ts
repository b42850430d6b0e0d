import { defineConfig } from "@playwright/test";
import { LAUNCH } from "./scripts/lib/browser";

export default defineConfig({
  testDir: "tests/e2e",
  outputDir: "test-results",
  // Each file runs a server of its own, on a folder and a port of its own.
  workers: 2,
  timeout: 180_000,
  forbidOnly: true,
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: LAUNCH,
    trace: "retain-on-failure",
  },
});
