import { fileURLToPath } from "node:url";
import node from "@astrojs/node";
import react from "@astrojs/react";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "astro/config";

export default defineConfig({
  output: "server",
  adapter: node({ mode: "standalone" }),
  integrations: [react()],
  // Writes are checked in src/middleware.ts, which also knows the allow-list of hosts.
  security: { checkOrigin: false },
  devToolbar: { enabled: false },
  experimental: { csp: true },
  vite: {
    plugins: [tailwindcss()],
    worker: { format: "es" },
    resolve: { alias: { "@": fileURLToPath(new URL("./src", import.meta.url)) } },
    ssr: { external: ["@electric-sql/pglite", "pg"] },
  },
});
