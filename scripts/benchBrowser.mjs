/**
 * The demo in the browser, from key to paint: medians and least of 25, in milliseconds. A paint is the first
 * frame after the figures beside the trail's name tell the effect of the edit; all others come with them.
 * Not a test: machines differ, and what else this one does counts here.
 */
/* global document, window, requestAnimationFrame, MutationObserver, MessageChannel */
import { browse, build, chromium, install, served } from "./lib.mjs";

const EDITS = 25;
const OPENINGS = 7;
/** Between edits, so that storing one is not measured with the next. */
const REST_MS = 250;

/** Runs in the page: resolves with the time from the key to the frame that shows its effect. */
function watchNextEdit() {
  const effect = () => document.querySelector("[data-testid=effect]")?.textContent.split(":").at(-1);
  const before = effect();
  window.keyToPaint = new Promise((resolve) => {
    let keyMs;
    document.addEventListener("keydown", () => (keyMs = performance.now()), { capture: true, once: true });
    const watcher = new MutationObserver(() => {
      if (keyMs === undefined || effect() === before) return;
      watcher.disconnect();
      requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => resolve(performance.now() - keyMs);
        port2.postMessage(0);
      });
    });
    watcher.observe(document.body, { subtree: true, childList: true, characterData: true });
    // An edit that leaves the figures as they were is not counted.
    setTimeout(() => (watcher.disconnect(), resolve(undefined)), 3000);
  });
}

async function edits(page, label, valueOf) {
  const field = page.getByLabel(label, { exact: true }).first();
  const times = [];
  for (let i = 0; i < EDITS + 5; i++) {
    await field.fill(valueOf(i));
    await page.evaluate(watchNextEdit);
    await field.press("Enter");
    times.push(await page.evaluate(() => window.keyToPaint));
    await page.waitForTimeout(REST_MS);
  }
  return times.slice(5).filter((time) => time !== undefined);
}

/** Runs in each page before its own scripts: the time from the navigation's start to the frame with the table. */
function watchTable() {
  window.toTable = new Promise((resolve) => {
    const watcher = new MutationObserver(() => {
      if (!document.getElementById("leg-row-0")) return;
      watcher.disconnect();
      requestAnimationFrame(() => setTimeout(() => resolve(performance.now())));
    });
    watcher.observe(document, { subtree: true, childList: true });
  });
}

await install();
await build();
await chromium();
const server = await served(4397);
const browser = await browse();
const rows = [];
try {
  const firstVisits = [];
  const reloads = [];
  for (let i = 0; i < OPENINGS; i++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addInitScript(watchTable);
    const page = await context.newPage();
    await page.goto(server.url);
    firstVisits.push(await page.evaluate(() => window.toTable));
    await page.waitForTimeout(1500);
    await page.reload();
    reloads.push(await page.evaluate(() => window.toTable));
    await context.close();
  }
  rows.push(["first visit to the table", firstVisits, 1500], ["reload to the table", reloads, 500]);

  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${server.url}/kit/`);
  await page.getByTestId("line").waitFor();
  const look = page.getByRole("button", { name: "Explore the demo" });
  if (await look.isVisible()) await look.click();
  rows.push(["kit edit to paint", await edits(page, "Weight of Backpack", (i) => String(1000 + 100 * (i % 9))), 16]);
  await page.goto(`${server.url}/trip/`);
  await page.getByTestId("line").waitFor();
  rows.push(["date edit to paint", await edits(page, "Start date", (i) => `${1 + i} April 2027`), 60]);
} finally {
  await browser.close();
  server.stop();
}
console.log(`\nIn the browser, the demo${"".padEnd(26)}${"least ms".padStart(9)}${"median".padStart(10)}`);
for (const [name, times, target] of rows) {
  times.sort((a, b) => a - b);
  console.log(
    `${name.padEnd(50)}${times[0].toFixed(1).padStart(9)}${times[times.length >> 1].toFixed(1).padStart(10)}   target ${target}`,
  );
}
