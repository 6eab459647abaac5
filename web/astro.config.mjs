import node from "@astrojs/node";
import react from "@astrojs/react";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig, passthroughImageService } from "astro/config";

export default defineConfig({
  output: "static",
  trailingSlash: "ignore",
  adapter: node({ mode: "middleware" }),
  integrations: [react()],
  // The one endpoint that takes anything looks at the origin itself, and answers with a problem.
  security: { checkOrigin: false },
  image: { service: passthroughImageService() },
  devToolbar: { enabled: false },
  vite: {
    plugins: [tailwindcss()],
    worker: { format: "es" },
    build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  },
});
