/** Types, lint, formatting and the walls between the rooms. Exported so that `npm test` can count them. */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { install, ROOT, run } from "./lib.mjs";

/** The import checker does not read .astro files: they may import only what a page needs. */
function astroImports() {
  const source = join(ROOT, "web", "src");
  let bad = 0;
  for (const entry of readdirSync(source, { recursive: true })) {
    if (!String(entry).endsWith(".astro")) continue;
    for (const [, from] of readFileSync(join(source, String(entry)), "utf8").matchAll(
      /^import .*?["']([^"']+)["']/gm,
    )) {
      if (/^(astro:transitions|\.\.\/(begin|frame|layouts|line|stations|styles)\/)/.test(from)) continue;
      console.error(`${entry}: imports ${from}; pages import begin, frame, layouts, line, stations and styles only.`);
      bad++;
    }
  }
  return bad === 0 ? 0 : 1;
}

const CHECKS = [
  ["types of the core, without DOM or Node", () => run("npx", ["tsc", "-p", "core/tsconfig.json"])],
  ["types of the core's tests, the demo and the bench", () => run("npx", ["tsc", "-p", "core/tsconfig.test.json"])],
  ["types of the web", () => run("npx", ["astro", "check", "--root", "web", "--minimumSeverity", "warning"])],
  ["types of the end-to-end tests", () => run("npx", ["tsc", "-p", "web/e2e/tsconfig.json"])],
  ["lint", () => run("npx", ["eslint", ".", "--max-warnings", "0"])],
  ["formatting", () => run("npx", ["prettier", "--check", "--log-level", "warn", "."])],
  ["walls", () => run("npx", ["depcruise", "--output-type", "err", "core", "web/src", "demo", "scripts"])],
  ["imports of pages", async () => astroImports()],
  ["licences", async () => (await import("./licences.mjs")).licencesHold()],
];

/** Most of them have one thread of work. */
const AT_ONCE = 2;

/** Runs all of them, two at a time; answers how many passed and failed. */
export async function check() {
  const count = { passed: 0, failed: 0 };
  const left = [...CHECKS];
  const next = async () => {
    for (let one = left.shift(); one; one = left.shift()) {
      const [name, work] = one;
      const code = await work();
      console.log(`${code === 0 ? "✓" : "✗"} ${name}`);
      count[code === 0 ? "passed" : "failed"]++;
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, next));
  return count;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await install();
  const { failed } = await check();
  process.exit(failed === 0 ? 0 : 1);
}
