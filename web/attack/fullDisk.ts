/** Every way of writing on a disk without room: what could not be kept is said, and the plan of before is whole. */
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { chromium, type BrowserContext, type Page } from "@playwright/test";
import { chromiumPath, CHROMIUM_ARGS, ROOT } from "../../scripts/lib.mjs";
import { KEPT, openKit, readMass, setMass, station } from "./kitPage.ts";
import type { Report } from "./report.ts";
import { smallDisk, type SmallDisk } from "./smallDisk.ts";

const PATIENCE_MS = 30_000;
/** So long may what cannot be kept stand on the screen as done, before it is said. */
const SETTLED_MS = 3000;

const GPX = `<gpx version="1.1"><trk><name>North walk</name><trkseg>${Array.from({ length: 900 }, (_, i) => `<trkpt lat="${40 + i * 0.0009}" lon="-150"><ele>${300 + (i % 90)}</ele></trkpt>`).join("")}</trkseg></trk></gpx>`;

/** A way of writing, and what shows that it was done. `prepare` writes nothing and has its room on the disk. */
interface Writing {
  name: string;
  prepare?: (page: Page) => Promise<void>;
  work: (page: Page) => Promise<void>;
  isDone: (page: Page) => Promise<boolean>;
}

const FIRST_G = 1111;
const SECOND_G = 1234;
const track = { name: "north.gpx", mimeType: "application/gpx+xml", buffer: Buffer.from(GPX) };

/** The track is read, and waits for the button that takes it. */
async function readTrack(page: Page, take: string): Promise<void> {
  await page.getByTestId("gpx-file").setInputFiles(track);
  await page.getByRole("button", { name: take }).waitFor();
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
    prepare: async (page) => {
      await page.goto("/begin/");
      await readTrack(page, "Calculate my plan");
    },
    work: (page) => page.getByRole("button", { name: "Calculate my plan" }).click(),
    isDone: (page) => named(page, "North walk"),
  },
  {
    name: "another track",
    prepare: async (page) => {
      await station(page, "Trail");
      await readTrack(page, "Use this track");
    },
    work: (page) => page.getByTestId("preview").getByRole("button", { name: "Use this track" }).click(),
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
      await page.getByRole("menuitem", { name: "Reset the demo…" }).click();
      await page.getByRole("button", { name: "Reset the demo" }).click();
    },
    isDone: (page) => weighs(page, 986),
  },
];

const SAID = /because it’s full|storage is full|device full/;

/**
 * Every way of writing on a disk that is full: what was said to be not kept was not shown as kept, and the plan of
 * before is whole. A browser finds room by clearing away things of its own, and then the writing is done.
 */
export async function fullDisk(url: string): Promise<Report> {
  const failures: string[] = [];
  let refused = 0;
  let real = false;
  for (const writing of WRITINGS) {
    const disk = smallDisk();
    ({ real } = disk);
    // A profile each: a browser that once met a full disk goes on in ways of its own.
    const options = { executablePath: chromiumPath(), args: CHROMIUM_ARGS, baseURL: url };
    const context = await chromium.launchPersistentContext(disk.folder, options);
    context.setDefaultTimeout(PATIENCE_MS);
    try {
      const { said, fault } = await writeOnFull(disk, await context.newPage(), url, writing);
      if (said) refused++;
      if (fault !== undefined) failures.push(`${writing.name}: ${fault}`);
    } catch (error) {
      failures.push(`${writing.name}: broke off: ${String(error)}; shown: ${await shownOn(context)}`);
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

async function shownOn(context: BrowserContext): Promise<string> {
  const texts = context.pages().map((page) => page.innerText("body").catch(() => "nothing"));
  return (await Promise.all(texts)).join(" | ").slice(0, 1000);
}

async function writeOnFull(
  disk: SmallDisk,
  page: Page,
  url: string,
  { name, prepare, work, isDone }: Writing,
): Promise<{ said: boolean; fault: string | undefined }> {
  await openKit(page, url);
  for (const grams of [FIRST_G, SECOND_G]) {
    await setMass(page, "Backpack", grams);
    await page.waitForTimeout(300);
    await page.getByText(KEPT).waitFor();
  }
  await prepare?.(page);
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

/** Whether the page says that it is not kept: asked until it does, or has long shown the work as done. */
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
