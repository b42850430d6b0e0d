import { defineConfig } from "@playwright/test";
import { LAUNCH } from "./scripts/lib/browser";
import { scratchInMemory } from "./scripts/lib/fast-scratch.mjs";

scratchInMemory();

export default defineConfig({
  testDir: "tests/e2e",
  globalSetup: "tests/e2e/seed.ts",
  outputDir: "test-results",
  // A worker has one demo shop for the tests that only use it; those that restart or change it have their own.
  workers: 2,
  timeout: 180_000,
  // Two browsers, two servers and their workers share two cores: what takes a second alone has taken over five.
  expect: { timeout: 20_000 },
  forbidOnly: true,
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: LAUNCH,
    contextOptions: { reducedMotion: "reduce" },
    // A trace takes a picture of the page at every key: half of the time of a keyboard journey.
    trace: process.env["E2E_TRACE"] ? "retain-on-failure" : "off",
  },
});
