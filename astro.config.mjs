import { fileURLToPath } from "node:url";
import node from "@astrojs/node";
import react from "@astrojs/react";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "astro/config";

export default defineConfig({
  output: "server",
  adapter: node({ mode: "standalone" }),
  integrations: [react()],
  devToolbar: { enabled: false },
  build: { inlineStylesheets: "never" },
  vite: {
    plugins: [tailwindcss()],
    worker: { format: "es" },
    // Its browser build decodes with a DOM element, and a worker has no DOM.
    resolve: {
      alias: {
        "decode-named-character-reference": fileURLToPath(
          new URL("./node_modules/decode-named-character-reference/index.js", import.meta.url),
        ),
      },
    },
    build: { assetsInlineLimit: 0 },
  },
  experimental: {
    csp: {
      directives: [
        "default-src 'none'",
        "connect-src 'self'",
        "img-src 'self' data:",
        "font-src 'self'",
        "worker-src 'self'",
        "manifest-src 'self'",
        "form-action 'self'",
        "base-uri 'none'",
        "frame-ancestors 'none'",
        "object-src 'none'",
      ],
    },
  },
});
