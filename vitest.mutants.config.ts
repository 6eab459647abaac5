/** The tests that mutants of a stage are run against: `scripts/mutants.mjs` names their folders. */
import { defineConfig } from "vitest/config";

const rooms = process.env["MUTANT_TESTS"] ?? "kit";

export default defineConfig({
  test: {
    // Fewer random plans, for speed: a mutant that only a rare plan meets may survive.
    env: { RUNS: "30" },
    include: rooms.split(",").map((room) => `core/src/${room}/**/*.test.ts`),
    testTimeout: 60_000,
  },
});
