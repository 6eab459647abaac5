import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    include: ["core/src/**/*.test.ts", "web/src/**/*.test.ts", "demo/**/*.test.ts"],
    testTimeout: 60_000,
    pool: "threads",
  },
});
