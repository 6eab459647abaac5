import node from "@astrojs/node";
import react from "@astrojs/react";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "astro/config";

export default defineConfig({
  output: "static",
  trailingSlash: "ignore",
  adapter: node({ mode: "middleware" }),
  integrations: [react()],
  devToolbar: { enabled: false },
  vite: {
    plugins: [tailwindcss()],
    worker: { format: "es" },
    build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  },
});
