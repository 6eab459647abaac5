import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

const common = {
  setupFiles: [fileURLToPath(new URL("core/test/seed.ts", import.meta.url))],
  testTimeout: 60_000,
  // The demo is computed before its tests begin.
  hookTimeout: 60_000,
  pool: "threads",
} as const;

export default defineConfig({
  test: {
    // Two cores, two workers: left to itself one core is kept free.
    maxWorkers: "100%",
    projects: [
      // The core keeps nothing between its files: it is loaded once for all of them, which spares half of the time.
      { test: { ...common, name: "core", include: ["core/src/**/*.test.ts", "demo/**/*.test.ts"], isolate: false } },
      { test: { ...common, name: "web", include: ["web/src/**/*.test.ts"] } },
    ],
  },
});
