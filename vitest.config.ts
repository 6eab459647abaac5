import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    include: ["core/src/**/*.test.ts", "web/src/**/*.test.ts", "demo/**/*.test.ts"],
    testTimeout: 60_000,
    pool: "threads",
    // Two cores, two workers: left to itself one core is kept free.
    maxWorkers: "100%",
  },
});
