/**
 * `npm run licences`: writes docs/licences.md, every package that is shipped with its licence, from the lock file and
 * the packages themselves. With `--check` it only says whether the list is true.
 */
import { existsSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { format, resolveConfig } from "prettier";
import { ROOT } from "./lib.mjs";

const LIST = join(ROOT, "docs", "licences.md");

/** Licences under which anything may be shipped with this program, text and name kept. */
const ALLOWED =
  /^\(?(MIT|MIT-0|ISC|0BSD|BSD-[23]-Clause|Apache-2\.0|BlueOak-1\.0\.0|CC0-1\.0|CC-BY-4\.0|OFL-1\.1|Python-2\.0|Unlicense|WTFPL)\b/;

/**
 * Packages of the lock file that come with the program; tools for building and testing it do not, nor the helpers
 * of one processor or another that a tool may fetch.
 */
function shipped() {
  const { packages } = JSON.parse(readFileSync(join(ROOT, "package-lock.json"), "utf8"));
  const rows = new Map();
  for (const [path, { version, license, dev, link, optional }] of Object.entries(packages)) {
    const name = path.split("node_modules/").at(-1);
    if (!path.includes("node_modules/") || dev || link || optional) continue;
    rows.set(`${name} ${version}`, { name, version, licence: license ?? licenceOf(path) });
  }
  return [...rows.values()].sort((a, b) => a.name.localeCompare(b.name, "en"));
}

/** Some lock rows do not say; the text that comes with the package does. */
function licenceOf(path) {
  const folder = join(ROOT, path);
  const file = existsSync(folder) && readdirSync(folder).find((name) => /^licen[cs]e/i.test(name));
  const text = file ? readFileSync(join(folder, file), "utf8") : "";
  if (/Permission is hereby granted, free of charge/.test(text)) return "MIT (by its text)";
  if (/Redistribution and use in source and binary forms/.test(text))
    return /Neither the name/.test(text) ? "BSD-3-Clause (by its text)" : "BSD-2-Clause (by its text)";
  return "not said";
}

function directNames() {
  const named = ["core", "web"].flatMap((part) =>
    Object.keys(JSON.parse(readFileSync(join(ROOT, part, "package.json"), "utf8")).dependencies ?? {}),
  );
  return new Set(named.filter((name) => !name.startsWith("@gepack/")));
}

const table = (rows) => [
  "| package | version | licence |",
  "|---|---|---|",
  ...rows.map(({ name, version, licence }) => `| ${name} | ${version} | ${licence} |`),
];

async function written() {
  const rows = shipped();
  const direct = directNames();
  const text = [
    "# Licences",
    "",
    "Gepack itself is under the MIT licence. What is shipped with it, in the pages or beside the server, is listed here by",
    "`npm run licences`; the text of each licence lies in its package. The two typefaces are under the SIL Open Font",
    "License. No map, picture or data of others is shipped: the demo is made up.",
    "",
    "## Chosen by this project",
    "",
    ...table(rows.filter(({ name }) => direct.has(name))),
    "",
    "## What those bring along",
    "",
    ...table(rows.filter(({ name }) => !direct.has(name))),
    "",
  ].join("\n");
  return {
    rows,
    text: await format(text, { ...(await resolveConfig(LIST)), parser: "markdown" }),
  };
}

/** 0 when the list is true and everything on it may be shipped. */
export async function licencesHold() {
  const { rows, text } = await written();
  const strange = rows.filter(({ licence }) => !ALLOWED.test(licence));
  for (const { name, version, licence } of strange)
    console.error(`${name} ${version} is under ${licence}, which is not known to be fit for shipping.`);
  const isTrue = existsSync(LIST) && readFileSync(LIST, "utf8") === text;
  if (!isTrue) console.error("docs/licences.md is not what the lock file says; npm run licences writes it.");
  return strange.length === 0 && isTrue ? 0 : 1;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  writeFileSync(LIST, (await written()).text);
  process.exit(await licencesHold());
}
