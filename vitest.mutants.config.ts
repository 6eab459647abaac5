/** The tests that mutants are run against: those beside the mutated stages, and the laws of whole plans. */
import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    include: ["core/src/{solve,kit,provision,explain,checks,load}/**/*.test.ts", "core/src/session/session.test.ts"],
    testTimeout: 60_000,
  },
});
