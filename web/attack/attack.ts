/** `npm run attack`: everything here on loopback, bounded, from a seed that is printed. `--short` is the form of `npm test`. */
import { writeFileSync } from "node:fs";
import { attackBrowser } from "./browser.ts";
import { attackFiles } from "./files.ts";
import { print, type Report, type Strength } from "./report.ts";
import { attackServer } from "./server.ts";
import { attackUndo } from "./undo.ts";

const option = (name: string): string | undefined =>
  process.argv.find((argument) => argument.startsWith(`--${name}=`))?.slice(name.length + 3);

const seed = Number(option("seed") ?? Date.now() % 1_000_000);
const FULL: Strength = {
  seed,
  files: 10_000,
  undoRuns: 1000,
  kills: 100,
  tabRounds: 24,
  serverRounds: 1000,
  slowBodies: true,
};
const SHORT: Strength = { seed, files: 400, undoRuns: 30, kills: 2, tabRounds: 3, serverRounds: 60, slowBodies: false };
const strength = process.argv.includes("--short") ? SHORT : FULL;

const PARTS: Readonly<Record<string, (strength: Strength) => AsyncGenerator<Report>>> = {
  files: attackFiles,
  undo: attackUndo,
  server: attackServer,
  browser: attackBrowser,
};

console.log(`Attack with seed ${seed}.`);
const only = option("only");
const reports: Report[] = [];
const add = (report: Report): void => {
  print(report);
  reports.push(report);
};
for (const [name, attack] of Object.entries(PARTS)) {
  if (only !== undefined && only !== name) continue;
  try {
    for await (const report of attack(strength)) add(report);
  } catch (error) {
    add({ what: `attack on ${name}`, tried: 1, failures: [`broke off: ${String(error)}`] });
  }
}
const failed = reports.filter(({ failures }) => failures.length > 0).length;
const output = option("output");
if (output !== undefined) writeFileSync(output, JSON.stringify({ passed: reports.length - failed, failed }));
console.log(`${reports.length - failed} held, ${failed} did not.`);
process.exit(failed === 0 ? 0 : 1);
