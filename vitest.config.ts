import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";
import { compiledOrThrow } from "./scripts/lib/compile-knowledge";
import { scratchInMemory } from "./scripts/lib/fast-scratch.mjs";

// Tests always see the pages as they stand.
compiledOrThrow();
scratchInMemory();

const alias = { "@": fileURLToPath(new URL("./src", import.meta.url)) };

export default defineConfig({
  resolve: { alias },
  test: {
    // Two cores here: the default would leave one of them idle.
    maxWorkers: 2,
    projects: [
      {
        resolve: { alias },
        test: {
          name: "node",
          // The knowledge is read and checked once a worker, not once a file.
          isolate: false,
          environment: "node",
          setupFiles: ["tests/laws.ts"],
          // Pictures lie beside the database: those of tests never in the shop's own folder.
          // An answer that does not fit its declaration throws.
          env: { GOOD_SPINDLE_DATA: ".cache/test-data", GOOD_SPINDLE_ANSWERS: "strict" },
          include: ["tests/{core,knowledge,server,rules,tools,worked}/**/*.test.ts"],
          // Laws at full size (npm run bench) take their minutes.
          testTimeout: process.env["LAW_RUNS"] ? 900_000 : 30_000,
          hookTimeout: 60_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: "islands",
          // Libraries are loaded once a worker: half of the time went into that.
          isolate: false,
          environment: "happy-dom",
          include: ["tests/islands/**/*.test.tsx"],
          setupFiles: ["tests/islands/browser.ts"],
        },
      },
    ],
  },
});
