/** `npm test`: installs what is missing, then types, lint, walls, unit tests, build and end-to-end tests. */
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { check } from "./check.mjs";
import { build, install, ROOT, run, testTools } from "./lib.mjs";

const SEED = process.env.SEED ?? "20261129";
const REPORTS = join(ROOT, "test-results");

await install();
await testTools();
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });

/** Names of the tests that passed at the second try only, from the suites of a report. */
function flakyTests(suites) {
  return suites.flatMap(({ specs = [], suites: inner = [] }) => [
    ...specs.filter((spec) => spec.tests.some((test) => test.status === "flaky")).map((spec) => spec.title),
    ...flakyTests(inner),
  ]);
}
const secondTries = [];

const total = await check();
const add = (passed, failed) => {
  total.passed += passed;
  total.failed += failed;
};

const unitReport = join(REPORTS, "unit.json");
// Every property is tried so often at most, and with the same random plans each time, so that the same code has the
// same answer. `RUNS=1000 SEED= npm test` tries each as often as it says itself, with plans never seen before.
const unit = await run(
  "npx",
  ["vitest", "run", "--reporter=dot", "--reporter=json", `--outputFile.json=${unitReport}`],
  { env: { RUNS: process.env.RUNS ?? "100", SEED } },
);
if (existsSync(unitReport)) {
  const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(unitReport, "utf8"));
  add(numPassedTests, Math.max(numFailedTests, unit === 0 ? 0 : 1));
} else add(0, 1);

await build();
const endReport = join(REPORTS, "end-to-end.json");
const end = await run("npx", ["playwright", "test", "--config", "web/e2e/playwright.config.ts"], {
  env: { PLAYWRIGHT_JSON_OUTPUT_FILE: endReport },
});
if (existsSync(endReport)) {
  const { stats } = JSON.parse(readFileSync(endReport, "utf8"));
  if (stats.flaky > 0) secondTries.push(...flakyTests(JSON.parse(readFileSync(endReport, "utf8")).suites));
  add(stats.expected + stats.flaky, Math.max(stats.unexpected, end === 0 ? 0 : 1));
} else add(0, 1);

const attackReport = join(REPORTS, "attack.json");
const attackOptions = ["--short", `--output=${attackReport}`, ...(SEED === "" ? [] : [`--seed=${SEED}`])];
const attack = await run("node", ["--import", "tsx", "web/attack/attack.ts", ...attackOptions]);
if (existsSync(attackReport)) {
  const { passed, failed } = JSON.parse(readFileSync(attackReport, "utf8"));
  add(passed, Math.max(failed, attack === 0 ? 0 : 1));
} else add(0, 1);

for (const title of secondTries) console.log(`Passed only at the second try: ${title}`);
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 ? 0 : 1);
