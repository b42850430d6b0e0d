import { fileURLToPath } from "node:url";
import node from "@astrojs/node";
import react from "@astrojs/react";
import tailwindcss from "@tailwindcss/vite";
import type { AstroIntegration } from "astro";
import { defineConfig } from "astro/config";
import { build } from "esbuild";
import { compiledOrThrow } from "./scripts/lib/compile-knowledge";

// Whatever is built, checked or served stands on the pages as they are now.
compiledOrThrow();

const THREADS = {
  isolation: "src/workers/isolation.server.ts",
  tools: "src/workers/tools.server.ts",
  "job-files": "src/server/backup/job-file.thread.ts",
  archives: "src/server/backup/archive.thread.ts",
  facts: "src/server/services/facts.thread.ts",
} as const;

/** The server's front door and its threads, bundled beside it: Vite bundles workers for the browser only. */
const serverWorkers: AstroIntegration = {
  name: "server-workers",
  hooks: {
    "astro:build:done": async () => {
      // Packages that are no modules of ECMAScript yet cannot be bundled into one: they are found where they are installed.
      const external = ["yauzl", "yazl"];
      const bundle = {
        bundle: true,
        platform: "node",
        format: "esm",
        logLevel: "warning",
        external,
      } as const;
      for (const [thread, entry] of Object.entries(THREADS))
        await build({
          ...bundle,
          entryPoints: [entry],
          outfile: `dist/server/${thread}.worker.mjs`,
        });
      await build({
        ...bundle,
        entryPoints: ["src/stand-ins/meter.ts"],
        outfile: "dist/server/meter.mjs",
      });
      await build({
        ...bundle,
        entryPoints: ["src/server/serve.ts"],
        outfile: "dist/server/serve.mjs",
      });
    },
  },
};

export default defineConfig({
  output: "server",
  adapter: node({ mode: "standalone" }),
  integrations: [react(), serverWorkers],
  // Writes are checked in src/middleware.ts, which also knows the allow-list of hosts.
  security: { checkOrigin: false },
  devToolbar: { enabled: false },
  experimental: { csp: true },
  vite: {
    plugins: [tailwindcss()],
    worker: { format: "es" },
    resolve: { alias: { "@": fileURLToPath(new URL("./src", import.meta.url)) } },
    ssr: { external: ["@electric-sql/pglite", "pg", "sharp"] },
  },
});
