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
