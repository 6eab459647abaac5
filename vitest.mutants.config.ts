/** The tests that mutants of a stage are run against: `scripts/mutants.mjs` names their folders. */
import { defineConfig } from "vitest/config";

const rooms = process.env["MUTANT_TESTS"] ?? "kit";

export default defineConfig({
  // Fewer random plans: a mutant is met by one of the first, or is none.
  test: {
    env: { RUNS: "30" },
    include: rooms.split(",").map((room) => `core/src/${room}/**/*.test.ts`),
    testTimeout: 60_000,
  },
});
