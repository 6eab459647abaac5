/**
 * The two tables of docs/models.md that code can write: the registry, and every school side by side on
 * the demo hike. `npm run report` puts them in place; a test holds that they are there as computed.
 */
import { readFileSync, writeFileSync } from "node:fs";
import { pathToFileURL } from "node:url";
import { compareSchools, models, readGpx, readPlan, Session, type Question, type SchoolFigures } from "@gepack/core";

const here = (name: string): URL => new URL(name, import.meta.url);
const DOCS = here("../docs/models.md");
const QUESTIONS = Object.keys(models) as Question[];

const row = (cells: readonly string[]): string => `| ${cells.join(" | ")} |`;
const table = (head: readonly string[], rows: readonly string[][]): string =>
  [row(head), row(head.map(() => "---")), ...rows.map(row)].join("\n");
const one = (value: number, digits = 1): string => value.toFixed(digits);

export function registryTables(): string {
  return QUESTIONS.map((question) => {
    const rows = models[question].all.map((school) => [
      `\`${school.id}\``,
      school.name,
      school.source,
      `${school.confidence === "experimental" ? "**Experimental.** " : ""}${school.validity.words}`,
    ]);
    return `**\`models.${question}\`**\n\n${table(["id", "school", "source", "where it holds"], rows)}`;
  }).join("\n\n");
}

/** What the reader needs to see move, by question. */
const COLUMNS: [string, (figures: SchoolFigures) => string][] = [
  ["walking days", (figures) => String(figures.walkDays)],
  ["finish", (figures) => figures.finishDate.slice(5)],
  ["kcal a day", (figures) => one(figures.kcalPerDay, 0)],
  ["food, kg", (figures) => one(figures.foodKg)],
  ["L an hour", (figures) => one(figures.litresPerHour, 2)],
  ["largest carry, L", (figures) => one(figures.largestCarryL)],
  ["fuel, kg", (figures) => one(figures.fuelKg, 2)],
  ["heaviest, kg (leg)", (figures) => `${one(figures.heaviestKg)} (${figures.heaviestLeg + 1})`],
  ["body at the finish, kg", (figures) => one(figures.finishBodyKg)],
];

export function comparisonTables(): string {
  const plan = readPlan(JSON.parse(readFileSync(here("corvane.gepack.json"), "utf8"))).value!;
  const session = new Session();
  session.setTracks([readGpx(readFileSync(here("corvane.gpx"), "utf8"), "corvane").value!.track]);
  const hiker = plan.hikers[0]!;
  const tables = QUESTIONS.map((question) => {
    const rows = [...compareSchools(plan, hiker.id, question, (other) => session.compute(other))].map((figures) => [
      `\`${figures.id}\``,
      ...COLUMNS.map(([, show]) => show(figures)),
    ]);
    return `**${question}**\n\n${table(["school", ...COLUMNS.map(([name]) => name)], rows)}`;
  });
  return [
    `The demo hike, ${hiker.name}; one school changed at a time, all else as the demo has it. Own pace stands at its defaults.`,
    ...tables,
  ].join("\n\n");
}

/** The document with both tables in their places. */
export function withTables(text: string): string {
  const put = (into: string, name: string, content: string): string =>
    into.replace(
      new RegExp(`<!-- ${name} -->[^]*<!-- /${name} -->`),
      () => `<!-- ${name} -->\n\n${content}\n\n<!-- /${name} -->`,
    );
  return put(put(text, "registry", registryTables()), "comparison", comparisonTables());
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? "").href)
  writeFileSync(DOCS, withTables(readFileSync(DOCS, "utf8")));
