/**
 * Breaks the code of the stages whose errors weigh most, one place after the other, and sees whether a test
 * fails. `npm run mutants`, or `npm run mutants -- kit explain`. Not part of `npm test`: it takes half an hour.
 */
import { copyFileSync } from "node:fs";
import { join } from "node:path";
import { install, ROOT, run } from "./lib.mjs";

/** A stage, and the rooms whose tests must notice. */
const TESTS = {
  kit: "kit,load",
  explain: "explain",
  provision: "provision",
  solve: "solve",
};

await install();
const asked = process.argv.slice(2);
let failed = 0;
for (const [stage, rooms] of Object.entries(TESTS)) {
  if (asked.length > 0 && !asked.includes(stage)) continue;
  const mutate = `core/src/${stage}/*.ts,!core/src/**/*.test.ts`;
  const code = await run("npx", ["stryker", "run", "--mutate", mutate], { env: { MUTANT_TESTS: rooms } });
  if (code === 0) copyFileSync(join(ROOT, ".mutants.json"), join(ROOT, "test-results", `mutants-${stage}.json`));
  else failed++;
}
process.exit(failed === 0 ? 0 : 1);
