/**
 * The application in Debian's Chromium: killed in the middle, in two tabs at once, without room on the disk, and
 * while a newer version takes its place. What it said was kept is there, and nothing is ever half there.
 */
import { spawn, type ChildProcess } from "node:child_process";
import {
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type Browser, type BrowserContext, type Page } from "@playwright/test";
import { seededRandom } from "../../demo/generate/random.ts";
import { browse, CHROMIUM, CHROMIUM_ARGS, ROOT, served } from "../../scripts/lib.mjs";
import { drawFrom, type Report, type Strength } from "./report.ts";
import { smallDisk, type SmallDisk } from "./smallDisk.ts";

const PORT = 4396;
const PATIENCE_MS = 15_000;
/** So long may what cannot be kept stand on the screen as done, before it is said. */
const SETTLED_MS = 3000;
const KEPT = "Kept on this device";

export async function* attackBrowser(strength: Strength): AsyncGenerator<Report> {
  const server = await served(PORT);
  const browser = await browse();
  try {
    yield await twoTabs(browser, server.url, strength);
    yield await fullDisk(server.url);
    yield await kills(server.url, strength);
    yield await update(browser);
  } finally {
    await browser.close();
    server.stop();
  }
}

const massOf = (page: Page, piece: string) => page.getByLabel(`Mass of ${piece}`).first();

function station(page: Page, name: string): Promise<void> {
  return page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name }).click();
}

async function openKit(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/kit/`);
  await massOf(page, "Backpack").waitFor({ timeout: 60_000 });
}

async function setMass(page: Page, piece: string, grams: number): Promise<void> {
  await massOf(page, piece).fill(String(grams));
  await massOf(page, piece).press("Enter");
}

async function readMass(page: Page, piece: string): Promise<number> {
  return Number((await massOf(page, piece).inputValue()).replaceAll(",", ""));
}

/** Two tabs change two pieces at the same moment, again and again. */
async function twoTabs(browser: Browser, url: string, { tabRounds }: Strength): Promise<Report> {
  const context = await browser.newContext();
  const tabs = [await context.newPage(), await context.newPage()] as const;
  const pieces = ["Backpack", "Ground sheet"] as const;
  const failures: string[] = [];
  await openKit(tabs[0], url);
  await tabs[0].getByText(KEPT).waitFor();
  await openKit(tabs[1], url);
  for (let round = 0; round < tabRounds; round++) {
    const wanted = [1000 + round, 2000 + round];
    await Promise.all(tabs.map((tab, i) => setMass(tab, pieces[i]!, wanted[i]!)));
    for (const tab of tabs) await tab.getByText(KEPT).waitFor();
    const check = await context.newPage();
    await openKit(check, url);
    const found = [await readMass(check, pieces[0]), await readMass(check, pieces[1])];
    if (found.join() !== wanted.join())
      failures.push(`round ${round}: ${found.join(" and ")} in place of ${wanted.join(" and ")}`);
    await check.close();
  }
  await context.close();
  return { what: "edits of two tabs at the same moment", tried: 2 * tabRounds, failures };
}

const GPX = `<gpx version="1.1"><trk><name>North walk</name><trkseg>${Array.from({ length: 900 }, (_, i) => `<trkpt lat="${40 + i * 0.0009}" lon="-150"><ele>${300 + (i % 90)}</ele></trkpt>`).join("")}</trkseg></trk></gpx>`;

/** A way of writing, and what shows that it was done. */
interface Writing {
  name: string;
  work: (page: Page) => Promise<void>;
  isDone: (page: Page) => Promise<boolean>;
}

const FIRST_G = 1111;
const SECOND_G = 1234;
const track = { name: "north.gpx", mimeType: "application/gpx+xml", buffer: Buffer.from(GPX) };

async function previewTrack(page: Page): Promise<void> {
  await station(page, "Trail");
  await page.getByTestId("gpx-file").setInputFiles(track);
}

const named = (page: Page, name: string): Promise<boolean> => page.getByRole("heading", { name }).isVisible();
const weighs = async (page: Page, grams: number): Promise<boolean> => (await readMass(page, "Backpack")) === grams;

const WRITINGS: readonly Writing[] = [
  { name: "an edit", work: (page) => setMass(page, "Backpack", 2500), isDone: (page) => weighs(page, 2500) },
  {
    name: "an undo",
    work: (page) => page.getByRole("button", { name: "Undo" }).click(),
    isDone: (page) => weighs(page, FIRST_G),
  },
  {
    name: "an own trip",
    work: async (page) => {
      await page.goto("/begin/");
      await page.getByTestId("gpx-file").setInputFiles(track);
      await page.getByRole("button", { name: "See my legs" }).click();
    },
    isDone: (page) => named(page, "North walk"),
  },
  {
    name: "another track",
    work: async (page) => {
      await previewTrack(page);
      await page.getByTestId("preview").getByRole("button", { name: "Use it for this plan" }).click();
    },
    isDone: (page) => page.getByTitle(/^Undo: Use the track/).isVisible(),
  },
  {
    name: "a plan file",
    work: async (page) => {
      const text = readFileSync(join(ROOT, "web", "dist", "client", "demo", "corvane.gepack.json"), "utf8");
      const plan = JSON.parse(text) as { trip: object };
      const line = Array.from({ length: 900 }, (_, i) => [-150, 40 + i * 0.0009, 300]);
      const geometry = { type: "MultiLineString", coordinates: [line] };
      const tracks = [{ type: "Feature", id: "other", properties: {}, geometry }];
      const trip = { ...plan.trip, name: "From a file" };
      const buffer = Buffer.from(JSON.stringify({ ...plan, id: "other", trip, trackIds: ["other"], tracks }));
      await page.getByTestId("plan-file").setInputFiles({ name: "p.json", mimeType: "application/json", buffer });
    },
    isDone: (page) => named(page, "From a file"),
  },
  {
    name: "the demo anew",
    work: async (page) => {
      await page.getByRole("button", { name: "Plan", exact: true }).click();
      await page.getByRole("menuitem", { name: "Start again from the demo…" }).click();
      await page.getByRole("button", { name: "Start again from the demo" }).click();
    },
    isDone: (page) => weighs(page, 986),
  },
];

const SAID = /because it is full|storage is full|device full/;

/**
 * Every way of writing on a disk that is full: what was said to be not kept was not shown as kept, and the plan of
 * before is whole. A browser finds room by clearing away things of its own, and then the writing is done.
 */
async function fullDisk(url: string): Promise<Report> {
  const failures: string[] = [];
  let refused = 0;
  let real = false;
  for (const writing of WRITINGS) {
    const disk = smallDisk();
    ({ real } = disk);
    // A profile each: a browser that once met a full disk goes on in ways of its own.
    const options = { executablePath: CHROMIUM, args: CHROMIUM_ARGS, baseURL: url };
    const context = await chromium.launchPersistentContext(disk.folder, options);
    context.setDefaultTimeout(PATIENCE_MS);
    try {
      const { said, fault } = await writeOnFull(disk, await context.newPage(), url, writing);
      if (said) refused++;
      if (fault !== undefined) failures.push(`${writing.name}: ${fault}`);
    } finally {
      await context.close();
      disk.remove();
    }
  }
  if (refused === 0) failures.push("nothing was ever refused");
  const how = real ? "on a disk that was full" : "made up, since no small disk could be mounted";
  return {
    what: "ways of writing, with the disk full",
    tried: WRITINGS.length,
    failures,
    figures: `${refused} refused, ${how}`,
  };
}

async function writeOnFull(
  disk: SmallDisk,
  page: Page,
  url: string,
  { name, work, isDone }: Writing,
): Promise<{ said: boolean; fault: string | undefined }> {
  await openKit(page, url);
  for (const grams of [FIRST_G, SECOND_G]) {
    await setMass(page, "Backpack", grams);
    await page.waitForTimeout(300);
    await page.getByText(KEPT).waitFor();
  }
  disk.fill();
  if (!disk.real) await refuseWrites(page);
  await page.waitForTimeout(300);
  await work(page);
  const said = await isSaid(page, isDone);
  const openedAnother = name === "an own trip" || name === "a plan file";
  const shownAsDone = said && openedAnother && (await isDone(page));
  disk.clear();
  await openKit(page, url);
  const [before, after] = [await weighs(page, SECOND_G), await isDone(page)];
  return { said, fault: faultOf({ said, shownAsDone, before, after }) };
}

/** Whether the page says that it is not kept: asked for until it does, or has long shown the work as done. */
async function isSaid(page: Page, isDone: Writing["isDone"]): Promise<boolean> {
  const said = page.getByText(SAID).first();
  const until = Date.now() + PATIENCE_MS;
  let doneSince = Infinity;
  while (Date.now() < until && Date.now() - doneSince < SETTLED_MS) {
    if (await said.isVisible()) return true;
    if (!(await isDone(page))) doneSince = Infinity;
    else doneSince = Math.min(doneSince, Date.now());
    await page.waitForTimeout(100);
  }
  return said.isVisible();
}

interface Outcome {
  said: boolean;
  shownAsDone: boolean;
  /** What was found on the next opening: the plan of before, or what was to be written. */
  before: boolean;
  after: boolean;
}

function faultOf({ said, shownAsDone, before, after }: Outcome): string | undefined {
  if (shownAsDone) return "shown as done, though it was not kept";
  if (before || after) return !said && !after ? "nothing was said, and it was not kept" : undefined;
  return "the plan of before is not whole";
}

function refuseWrites(page: Page): Promise<void> {
  return page.evaluate(() => {
    for (const method of ["put", "add", "delete"] as const)
      IDBObjectStore.prototype[method] = () => {
        throw new DOMException("full", "QuotaExceededError");
      };
  });
}

interface Started {
  page: Page;
  kill: () => Promise<void>;
}

/** A Chromium of our own making, so that it can be killed like a machine that loses its power. */
async function start(folder: string): Promise<Started> {
  const args = [
    ...CHROMIUM_ARGS,
    "--headless",
    `--user-data-dir=${folder}`,
    "--remote-debugging-port=0",
    "--no-first-run",
    "about:blank",
  ];
  rmSync(join(folder, "DevToolsActivePort"), { force: true });
  const child = spawn(CHROMIUM, args, { stdio: "ignore", detached: true });
  const gone = new Promise<void>((resolve) => child.once("exit", () => resolve()));
  const port = await debuggingPort(folder, child);
  const browser = await chromium.connectOverCDP(`http://127.0.0.1:${port}`);
  const context: BrowserContext = browser.contexts()[0]!;
  const page = context.pages()[0] ?? (await context.newPage());
  return {
    page,
    kill: async () => {
      process.kill(-child.pid!, "SIGKILL");
      await gone;
      await browser.close().catch(() => {});
    },
  };
}

async function debuggingPort(folder: string, child: ChildProcess): Promise<string> {
  const file = join(folder, "DevToolsActivePort");
  for (let tries = 0; tries < 300; tries++) {
    if (child.exitCode !== null) throw new Error(`Chromium ended with ${child.exitCode}.`);
    if (existsSync(file)) {
      const [port] = readFileSync(file, "utf8").split("\n");
      if (port) return port;
    }
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error("Chromium did not start.");
}

/** Half of them right after the page said that all is kept: nothing may be lost. Half at any moment: old or new, whole. */
async function kills(url: string, { seed, kills }: Strength): Promise<Report> {
  const draw = drawFrom(seededRandom(seed).uniform);
  const folder = mkdtempSync(join(tmpdir(), "gepack-attack-"));
  const failures: string[] = [];
  let kept = 986;
  let lost = 0;
  try {
    for (let i = 0; i < kills; i++) {
      const { page, kill } = await start(folder);
      await openKit(page, url);
      if (i === 0) await page.getByText(KEPT).waitFor();
      const found = await readMass(page, "Backpack");
      if (found !== kept) failures.push(`kill ${i}: ${found} g in place of ${kept} g`);
      const wanted = 1000 + i;
      const afterKept = i % 2 === 0;
      await setMass(page, "Backpack", wanted);
      if (afterKept) {
        await page.getByText(`Backpack: ${wanted.toLocaleString("en")} g`).waitFor();
        await page.getByText(KEPT).waitFor();
        kept = wanted;
      } else await page.waitForTimeout(draw.below(120));
      await kill();
      if (afterKept) continue;
      const again = await start(folder);
      await openKit(again.page, url);
      const now = await readMass(again.page, "Backpack");
      if (now !== kept && now !== wanted) failures.push(`kill ${i}: ${now} g, neither ${kept} g nor ${wanted} g`);
      if (now === kept) lost++;
      kept = now;
      await again.kill();
    }
  } finally {
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
  }
  const figures = `of ${Math.floor(kills / 2)} at any moment ${lost} came before the edit was down`;
  return { what: "kills of the browser, half of them after “kept”", tried: kills, failures, figures };
}

/** A newer version, with a part of another name, is put in place while a tab of the old one is open. */
async function update(browser: Browser): Promise<Report> {
  const failures: string[] = [];
  const root = mkdtempSync(join(tmpdir(), "gepack-update-"));
  for (const part of ["scripts", "web/package.json", "web/dist"])
    cpSync(join(ROOT, part), join(root, part), { recursive: true });
  symlinkSync(join(ROOT, "node_modules"), join(root, "node_modules"));
  if (existsSync(join(ROOT, "web/node_modules")))
    symlinkSync(join(ROOT, "web/node_modules"), join(root, "web/node_modules"));
  let server = await served(PORT + 100, root);
  const context = await browser.newContext();
  try {
    const page = await context.newPage();
    await page.goto(`${server.url}/?leg=5`);
    await page.getByTestId("line").waitFor();
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await page.reload();
    await page.getByTestId("line").waitFor();
    let loads = 0;
    page.on("load", () => loads++);
    page.on("pageerror", (error) => failures.push(`error: ${error.message}`));
    server.stop();
    renameParts(join(root, "web", "dist", "client"));
    server = await served(PORT + 100, root);
    await page.evaluate(() => navigator.serviceWorker.getRegistration().then((registration) => registration?.update()));
    await page.waitForEvent("load", { timeout: 20_000 }).catch(() => failures.push("the page was not loaded anew"));
    await page.getByTestId("line").waitFor();
    await station(page, "Kit");
    await page.getByRole("button", { name: "Add piece" }).click();
    await page
      .getByRole("dialog")
      .waitFor({ timeout: 20_000 })
      .catch(() => failures.push("a part of the new version did not come"));
    if (loads !== 1) failures.push(`the page was loaded ${loads} times`);
    if (!page.url().includes("leg=5")) failures.push("the selection was lost");
  } finally {
    await context.close();
    server.stop();
    rmSync(root, { recursive: true, force: true });
  }
  return { what: "updates under an open tab", tried: 1, failures };
}

/** Every script of the build gets another name, and every text that speaks of it follows. */
function renameParts(client: string): void {
  const assets = join(client, "_astro");
  const names = readdirSync(assets).filter((name) => name.endsWith(".js"));
  for (const folder of [
    client,
    ...readdirSync(client, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isDirectory())
      .map((entry) => join(entry.parentPath, entry.name)),
  ])
    for (const name of readdirSync(folder)) {
      const path = join(folder, name);
      if (/\.(br|gz)$/.test(name)) rmSync(path);
      else if (/\.(js|html|css)$/.test(name)) {
        let text = readFileSync(path, "utf8");
        for (const old of names) text = text.replaceAll(old, renamed(old));
        // Pages have a revision of their own in the list of what is kept for use without network.
        if (name === "sw.js") text = text.replace(/revision:"[0-9a-f]{4}/g, 'revision:"0000');
        writeFileSync(path, text);
      }
    }
  for (const name of names) renameSync(join(assets, name), join(assets, renamed(name)));
}

const renamed = (name: string): string => name.replace(/\.js$/, "X.js");
