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

const PORT = 4396;
const KEPT = "Kept on this device";

export async function attackBrowser(strength: Strength): Promise<Report[]> {
  const server = await served(PORT);
  const browser = await browse();
  try {
    return [
      await twoTabs(browser, server.url, strength),
      await fullDisk(browser, server.url),
      await kills(server.url, strength),
      await update(browser),
    ];
  } finally {
    await browser.close();
    server.stop();
  }
}

const massOf = (page: Page, piece: string) => page.getByLabel(`Mass of ${piece}`).first();

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
  const pieces = ["Backpack", "Tent, two-person"] as const;
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

/** Every path that writes, with no room left by the browser's own quota: said, and the plan of before stays. */
async function fullDisk(browser: Browser, url: string): Promise<Report> {
  const failures: string[] = [];
  const track = { name: "north.gpx", mimeType: "application/gpx+xml", buffer: Buffer.from(GPX) };
  const paths: readonly [name: string, work: (page: Page) => Promise<void>][] = [
    ["an edit", (page) => setMass(page, "Backpack", 2500)],
    ["an undo", (page) => page.keyboard.press("Control+z")],
    [
      "an own trip",
      async (page) => {
        await page.getByRole("link", { name: "Trail", exact: true }).click();
        await page.getByTestId("gpx-file").setInputFiles(track);
        await page.getByTestId("preview").getByRole("button", { name: "Begin a trip on it" }).click();
      },
    ],
    [
      "another track",
      async (page) => {
        await page.getByRole("link", { name: "Trail", exact: true }).click();
        await page.getByTestId("gpx-file").setInputFiles(track);
        await page.getByTestId("preview").getByRole("button", { name: "Use it for this plan" }).click();
      },
    ],
    [
      "a plan file",
      async (page) => {
        const plan = JSON.parse(
          readFileSync(join(ROOT, "web", "dist", "client", "demo", "corvane.gepack.json"), "utf8"),
        ) as Record<string, unknown>;
        const line = Array.from({ length: 900 }, (_, i) => [-150, 40 + i * 0.0009, 300]);
        const feature = {
          type: "Feature",
          id: "other",
          properties: {},
          geometry: { type: "MultiLineString", coordinates: [line] },
        };
        const text = JSON.stringify({ ...plan, id: "other", trackIds: ["other"], tracks: [feature] });
        await page
          .getByTestId("plan-file")
          .setInputFiles({ name: "p.json", mimeType: "application/json", buffer: Buffer.from(text) });
      },
    ],
    [
      "the demo anew",
      async (page) => {
        await page.getByRole("button", { name: "Plan", exact: true }).click();
        await page.getByRole("menuitem", { name: "Start again from the demo…" }).click();
        await page.getByRole("button", { name: "Start again from the demo" }).click();
      },
    ],
  ];
  for (const [name, work] of paths) {
    const context = await browser.newContext();
    const page = await context.newPage();
    await openKit(page, url);
    await page.getByText(KEPT).waitFor();
    await setMass(page, "Backpack", 1234);
    await page.waitForTimeout(100);
    await page.getByText(KEPT).waitFor();
    const session = await context.newCDPSession(page);
    await session.send("Storage.overrideQuotaForOrigin", { origin: url, quotaSize: 1 });
    await work(page);
    const said = page.getByText(/storage is full/);
    await said
      .first()
      .waitFor({ timeout: 20_000 })
      .catch(() => failures.push(`${name}: nothing was said`));
    await page
      .getByRole("heading", { name: "Corvane Traverse" })
      .waitFor({ timeout: 5000 })
      .catch(() => failures.push(`${name}: another plan is shown`));
    await session.send("Storage.overrideQuotaForOrigin", { origin: url });
    await openKit(page, url);
    const found = await readMass(page, "Backpack");
    if (found !== 1234) failures.push(`${name}: the plan holds ${found} in place of 1234`);
    await context.close();
  }
  return { what: "ways of writing, with the disk full", tried: paths.length, failures };
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
  const server = await served(PORT + 100, root);
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
    renameParts(join(root, "web", "dist", "client"));
    await page.evaluate(() => navigator.serviceWorker.getRegistration().then((registration) => registration?.update()));
    await page.waitForEvent("load", { timeout: 20_000 }).catch(() => failures.push("the page was not loaded anew"));
    await page.getByTestId("line").waitFor();
    await page.getByRole("link", { name: "Kit", exact: true }).click();
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
