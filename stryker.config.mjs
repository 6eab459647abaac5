/** How mutants are made and run; which, and against which tests, is said in scripts/mutants.mjs. */
export default {
  testRunner: "vitest",
  vitest: { configFile: "vitest.mutants.config.ts", related: false },
  plugins: ["@stryker-mutator/vitest-runner"],
  // Words are checked by types and by the tests of the interface.
  mutator: { excludedMutations: ["StringLiteral"] },
  ignoreStatic: true,
  coverageAnalysis: "perTest",
  concurrency: 2,
  timeoutMS: 20_000,
  reporters: ["clear-text", "progress-append-only", "json"],
  clearTextReporter: { allowColor: false, reportTests: false, reportScoreTable: true },
  jsonReporter: { fileName: ".mutants.json" },
  tempDirName: ".mutants",
  // What the tests read besides code: the sandbox needs it too.
  ignorePatterns: ["web/dist", "web/.astro", "test-results", "docs/screenshots"],
  allowConsoleColors: false,
  cleanTempDir: "always",
};
