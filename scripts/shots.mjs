/**
 * Pictures of the main views from the demo data, 1280×800, for the README. The addresses come from the
 * station registry; what is said here is only what a picture shows beyond the bare address.
 * `npm run shots -- FOLDER` puts them elsewhere.
 */
import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { browse, build, chromium, install, ROOT, served } from "./lib.mjs";

/** Added to the address, and waited for before the picture. */
const SHOWING = {
  legs: { query: "leg=9&why=start" },
  kit: { query: "leg=9" },
  trail: { query: "leg=6" },
  season: { query: "leg=10" },
  days: { query: "leg=10&day=2027-05-19" },
  food: { query: "leg=10", press: "Fill the food bag for leg 10", wait: /instead of/ },
  water: { query: "leg=6" },
  stops: { query: "leg=10", press: "Find the best set", wait: /Tried [\d,]+ combinations/ },
  models: { wait: "All compared." },
};

/** Fields alone, and no view of their own. */
const WITHOUT = ["units", "need"];

await install();
await build();
await chromium();
const { tsImport } = await import("tsx/esm/api");
const { ADDRESSES } = await tsImport("../web/src/stations/registry.ts", import.meta.url);
const into = process.argv[2] ?? join(ROOT, "docs", "screenshots");
const server = await served(4399);
const browser = await browse();
try {
  for (const { name, path } of ADDRESSES) {
    if (WITHOUT.includes(name)) continue;
    const { query, press, wait } = SHOWING[name] ?? {};
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: "en-IE" });
    page.on("console", (message) => message.type() === "error" && console.error(`${name}: ${message.text()}`));
    page.on("pageerror", (error) => console.error(`${name}: ${error.message}`));
    await page.goto(server.url + path + (query ? (path.includes("?") ? "&" : "?") + query : ""));
    await page.getByTestId("line").waitFor();
    const look = page.getByRole("button", { name: "Explore the demo" });
    if (name !== "legs" && (await look.isVisible())) await look.click();
    if (press) await page.getByRole("button", { name: press }).click();
    if (wait) await page.getByText(wait).waitFor({ timeout: 60_000 });
    await page.getByText("Calculating the season…").waitFor({ state: "hidden" });
    await page.waitForTimeout(600);
    await page.screenshot({ path: join(into, `${name}.png`) });
    await page.close();
  }
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: "en-IE" });
  await page.goto(`${server.url}/trail/?leg=6`);
  await page.getByRole("button", { name: "Explore the demo" }).click();
  await page.getByRole("button", { name: "Show map" }).click();
  const map = page.getByRole("region", { name: "Map" });
  await map.getByRole("button", { name: "Leg 6" }).click();
  await map.evaluate((element) => element.scrollIntoView());
  await page.waitForTimeout(1500);
  await page.screenshot({ path: join(into, "map.png") });
  await page.goto(`${server.url}/?leg=9`);
  await page.getByRole("button", { name: "Odds", exact: true }).click();
  await page.getByText(/1,000 simulated hikes: half/).waitFor({ timeout: 60_000 });
  await page.getByTestId("went-wrong").getByRole("listitem").first().waitFor();
  await page.waitForTimeout(400);
  await page.screenshot({ path: join(into, "odds.png") });
  await page.goto(`${server.url}/?leg=9`);
  await page.getByRole("button", { name: "Print cards" }).click();
  await page.getByRole("region", { name: "Preview" }).getByText("Leg 9").first().waitFor();
  await page.waitForTimeout(400);
  await page.screenshot({ path: join(into, "papers.png") });
  await page.goto(`${server.url}/`);
  await page.getByTestId("line").waitFor();
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitem", { name: "Examples…" }).click();
  await page.getByRole("button", { name: "Open Nineteen days on the trail" }).click();
  await page.getByText("19 days in its log").waitFor();
  await page.goto(`${server.url}/log/`);
  await page.getByTestId("log-say").waitFor();
  await page.waitForTimeout(1200);
  await page.screenshot({ path: join(into, "log.png") });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole("button", { name: "Night (red on black)" }).click();
  await page.getByTestId("today").evaluate((element) => element.scrollIntoView());
  await page.waitForTimeout(600);
  await page.screenshot({ path: join(into, "night.png") });
  await page.getByRole("button", { name: "Day colours" }).click();
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitem", { name: "Reset the demo…" }).click();
  await page.getByRole("button", { name: "Reset the demo" }).click();
  await page.waitForTimeout(1500);
  await page.goto(`${server.url}/?leg=9`);
  await page.getByRole("button", { name: "Departure sheet" }).click();
  await page.waitForTimeout(800);
  await page.screenshot({ path: join(into, "leaving-sheet.png") });
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${server.url}/`);
  await page.getByTestId("line").waitFor();
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  const [places] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("menuitem", { name: "Track and places as GPX" }).click(),
  ]);
  await page.goto(`${server.url}/begin/`);
  await page.getByTestId("gpx-file").setInputFiles({
    name: "corvane.gpx",
    mimeType: "application/gpx+xml",
    buffer: await readFile(await places.path()),
  });
  await page.getByRole("button", { name: "Calculate my plan" }).click();
  await page.getByTestId("first-answer").waitFor();
  await page.waitForTimeout(1000);
  await page.getByText("Trying choices").waitFor({ state: "hidden", timeout: 60_000 });
  await page.screenshot({ path: join(into, "first.png") });
} finally {
  await browser.close();
  server.stop();
}
