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
import { browse, chromiumPath, CHROMIUM_ARGS, ROOT, served } from "../../scripts/lib.mjs";
import { fullDisk } from "./fullDisk.ts";
import { KEPT, openKit, readMass, setMass, station } from "./kitPage.ts";
import { drawFrom, type Report, type Strength } from "./report.ts";

const PORT = 4396;

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
  const child = spawn(chromiumPath(), args, { stdio: "ignore", detached: true });
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
      if (found !== kept) failures.push(`kill ${i}: ${found} g instead of ${kept} g`);
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
    await page.getByRole("button", { name: "Add item" }).click();
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
