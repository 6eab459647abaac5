/** Plain Node helpers of the commands: no dependency, so that they run before anything is installed. */
import { spawn } from "node:child_process";
import { existsSync, readdirSync, statSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));

const QUIET = { ASTRO_TELEMETRY_DISABLED: "1", ASTRO_DISABLE_UPDATE_CHECK: "true" };

/** Runs a command from the root with its output shown; answers the exit code. */
export function run(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: "inherit",
      ...options,
      env: { ...process.env, ...QUIET, ...options.env },
    });
    child.on("error", (error) => {
      console.error(`Could not run ${command}: ${error.message}`);
      resolve(127);
    });
    child.on("exit", (code) => resolve(code ?? 1));
  });
}

/** Stops the process with the code of a command that failed. */
export async function must(command, args, options) {
  const code = await run(command, args, options);
  if (code !== 0) process.exit(code);
}

function newest(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  let latest = stat.mtimeMs;
  for (const name of readdirSync(path)) {
    if (name === "node_modules" || name === "dist" || name.startsWith(".")) continue;
    latest = Math.max(latest, newest(join(path, name)));
  }
  return latest;
}

/** `npm ci` when node_modules is missing or older than the lock file. */
export async function install() {
  const marker = join(ROOT, "node_modules", ".package-lock.json");
  if (existsSync(marker) && statSync(marker).mtimeMs >= statSync(join(ROOT, "package-lock.json")).mtimeMs) return;
  console.log("Installing packages (once)…");
  await must("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"]);
}

const BUILT = join(ROOT, "web", "dist", "csp.json");

/** Builds when a source is newer than the last build. */
export async function build() {
  const sources = [
    "core/src",
    "web/src",
    "web/public",
    "web/astro.config.mjs",
    "demo",
    "scripts/build.mjs",
    "package-lock.json",
  ].map((path) => join(ROOT, path));
  if (existsSync(BUILT) && sources.every((path) => newest(path) <= statSync(BUILT).mtimeMs)) return;
  console.log("Building…");
  await must("node", ["scripts/build.mjs"]);
}

export const CHROMIUM_ARGS = ["--no-sandbox", "--disable-gpu", "--disable-quic", "--disable-background-networking"];

/** By package, a file that it brings, and another that does as well where the package cannot be had. */
const BROWSER = ["chromium-headless-shell", "/usr/bin/chromium-headless-shell", "/usr/bin/chromium"];
/** Of PDF files, tracks, workbooks and calendars: what the tests hand their files to. */
const READERS = [
  ["poppler-utils", "/usr/bin/pdftotext"],
  ["gpsbabel", "/usr/bin/gpsbabel"],
  ["xlsx2csv", "/usr/bin/xlsx2csv"],
  ["python3-icalendar", "/usr/lib/python3/dist-packages/icalendar/__init__.py"],
];

/** Debian's Chromium without a window, which takes a quarter less processor time for a page; else the whole one. */
export function chromiumPath() {
  const [, shell, whole] = BROWSER;
  return existsSync(shell) ? shell : whole;
}

/** For whatever needs the real interface. */
export const chromium = () => debian([BROWSER]);

/** All that the tests need of Debian's packages. */
export const testTools = () => debian([BROWSER, ...READERS]);

/** Those packages that are missing are installed, in one go. */
async function debian(packages) {
  const missing = packages.filter(([, path]) => !existsSync(path));
  if (missing.length === 0) return;
  const names = missing.map(([name]) => name);
  console.log(`Installing ${names.join(" ")} (once)…`);
  if (await aptInstall(names)) return;
  const needed = missing.filter(([, , instead]) => instead === undefined || !existsSync(instead)).map(([name]) => name);
  if (needed.length === 0) return;
  console.error(`Install these packages of Debian (apt-get install ${needed.join(" ")}), then run this again.`);
  process.exit(1);
}

/** Answers whether all of them are there now. */
async function aptInstall(names) {
  if (process.getuid?.() !== 0 || !existsSync("/usr/bin/apt-get")) return false;
  const wait = ["-o", "DPkg::Lock::Timeout=300", "-q"];
  const options = { env: { DEBIAN_FRONTEND: "noninteractive" }, stdio: ["ignore", "ignore", "inherit"] };
  if ((await run("apt-get", ["update", ...wait], options)) !== 0) return false;
  return (await run("apt-get", ["install", "-y", "--no-install-recommends", ...wait, ...names], options)) === 0;
}

/** Serves the build, or a copy of it elsewhere, on a port of its own until `stop`. */
export async function served(port, root = ROOT) {
  const server = spawn("node", ["scripts/serve.mjs"], {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
    stdio: ["ignore", "pipe", "inherit"],
  });
  await new Promise((resolve, reject) => {
    server.stdout.once("data", resolve);
    server.once("exit", () => reject(new Error(`The server did not start on port ${port}.`)));
  });
  return { url: `http://127.0.0.1:${port}`, stop: () => server.kill() };
}

/** Headless Chromium, as the end-to-end tests start it. */
export async function browse() {
  const { chromium: playwright } = await import("@playwright/test");
  return playwright.launch({
    executablePath: chromiumPath(),
    args: CHROMIUM_ARGS,
  });
}
