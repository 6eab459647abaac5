/** A page that watches itself: console errors, failures and requests to other hosts fail the test. */
import { AxeBuilder } from "@axe-core/playwright";
import { test as base, chromium, expect, type BrowserContext, type CDPSession, type Page } from "@playwright/test";

interface Watched {
  /** Console errors that a test provokes on purpose. */
  allow: RegExp[];
}

/** A browser that goes on from test to test: its pages are compiled once. What a site stores is cleared between them. */
interface Kept {
  context: BrowserContext;
  storage: CDPSession;
}

/** Of a country of kilometres: new trips start in metric units. */
const LOCALE = "en-IE";

const STORED = "indexeddb,local_storage,cache_storage,service_workers,file_systems,storage_buckets";

export const test = base.extend<Watched, { kept: Kept }>({
  allow: [[], { option: true }],
  kept: [
    async ({ launchOptions }, use, { project }) => {
      const { baseURL, viewport } = project.use;
      const options = {
        ...launchOptions,
        baseURL: baseURL!,
        viewport: viewport!,
        serviceWorkers: "block",
        locale: LOCALE,
      } as const;
      const context = await chromium.launchPersistentContext("", options);
      const storage = await context.newCDPSession(context.pages()[0]!);
      await use({ context, storage });
      await context.close();
    },
    { scope: "worker" },
  ],
  // Who asks for a touch screen or a worker that keeps the parts has a context of its own.
  context: async ({ kept, browser, baseURL, viewport, serviceWorkers, hasTouch, isMobile }, use) => {
    if (serviceWorkers === "allow" || hasTouch) {
      const own = await browser.newContext({
        baseURL: baseURL!,
        viewport,
        serviceWorkers,
        hasTouch,
        isMobile,
        locale: LOCALE,
      });
      await use(own);
      return own.close();
    }
    await kept.storage.send("Storage.clearDataForOrigin", { origin: baseURL!, storageTypes: STORED });
    await use(kept.context);
    for (const page of kept.context.pages().slice(1)) await page.close();
  },
  page: async ({ page, baseURL, allow }, use) => {
    const faults: string[] = [];
    const note = (text: string): void => {
      if (!allow.some((pattern) => pattern.test(text))) faults.push(text);
    };
    page.on("console", (message) => message.type() === "error" && note(`console: ${message.text()}`));
    page.on("pageerror", (error) => note(`error: ${error.message}`));
    page.on("request", (request) => {
      const url = new URL(request.url());
      if (/^https?:$/.test(url.protocol) && url.origin !== baseURL) note(`request to ${url.origin}`);
    });
    await use(page);
    expect(faults).toEqual([]);
  },
});

export { expect };

/** Opens a station with the demo computed and the welcome put away. */
export async function openDemo(page: Page, path = "/"): Promise<void> {
  await page.goto(path);
  await expect(page.getByTestId("line")).toBeVisible();
  const look = page.getByRole("button", { name: "Explore the demo" });
  if (await look.isVisible()) await look.click();
}

/** Goes to another address without loading the page again, as a link does. */
export async function goOn(page: Page, path: string): Promise<void> {
  await page.evaluate(async (href) => {
    const there = new Promise((done) => document.addEventListener("astro:page-load", done, { once: true }));
    const link = Object.assign(document.createElement("a"), { href });
    link.dataset["walksOn"] = "";
    document.body.append(link);
    link.dispatchEvent(new MouseEvent("click", { bubbles: true, cancelable: true }));
    await there;
    link.remove();
  }, path);
  await expect(page.getByTestId("line")).toBeVisible();
}

/** Goes to another station as a hiker does. */
export async function station(page: Page, name: string): Promise<void> {
  await page.getByRole("navigation", { name: "Pages" }).getByRole("link", { name }).click();
  await expect(page.getByRole("navigation", { name: "Pages" }).getByRole("link", { name })).toHaveAttribute(
    "aria-current",
    "page",
  );
}

/** Opens one of the made-up examples. */
export async function openExampleOf(page: Page, name: string): Promise<void> {
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitem", { name: "Examples…" }).click();
  await page.getByRole("button", { name: `Open ${name}`, exact: true }).click();
}

/** The day of the finish, as the bar says it. */
export async function finishOf(page: Page): Promise<string> {
  const bar = page.getByRole("banner");
  await expect(bar).toContainText(/to \d+ \w{3}/);
  return /to (\d+ \w{3})/.exec(await bar.innerText())![1]!;
}

/** All starting weights of the table, as shown. */
export async function startingWeights(page: Page): Promise<string[]> {
  await expect(page.getByRole("row").nth(2)).toBeVisible();
  return page.getByTitle("Why this weight").allInnerTexts();
}

/** From the answers of the new trip past its first plan to its legs. */
export async function showPlan(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Calculate my plan" }).click();
  await page.getByRole("link", { name: "Show my plan" }).click();
}

/** An own trip, started from a file with everything as it is proposed. */
export async function beginTrip(page: Page, file: ReturnType<typeof asFile>): Promise<void> {
  await page.goto("/begin/");
  await page.getByTestId("gpx-file").setInputFiles(file);
  await showPlan(page);
  // What is given above the Line moves all below it, once, as it comes.
  await expect(page.getByTestId("line")).toBeVisible();
}

/** A GPX text along a straight line north. */
export function gpxOf(points: number, extra = ""): string {
  const rows = Array.from(
    { length: points },
    (_, i) =>
      `<trkpt lat="${(40 + i * 0.0009).toFixed(6)}" lon="-150"><ele>${(300 + 80 * Math.sin(i / 9)).toFixed(1)}</ele></trkpt>`,
  );
  return `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${extra}<trk><name>North walk</name><trkseg>${rows.join("")}</trkseg></trk></gpx>`;
}

export const asFile = (name: string, text: string | Buffer, mimeType = "application/gpx+xml") => ({
  name,
  mimeType,
  buffer: Buffer.from(text),
});

/** Only faults are sent out of the page: the many thousands of elements that pass take most of the time otherwise. */
export const axeOn = (page: Page): AxeBuilder =>
  new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ["violations"] });

/** Somebody more walks along. */
export async function addHiker(page: Page, called: string): Promise<void> {
  await station(page, "Setup");
  await page.getByRole("button", { name: "Add hiker" }).click();
  const name = page.getByLabel("Name", { exact: true }).last();
  await expect(name).toHaveValue("Hiker 2");
  await name.fill(called);
  await name.press("Enter");
  await expect(page.getByRole("radio", { name: called })).toBeChecked();
}
