/** Paper and files that others can open: printed, and read again by readers that are not ours. */
import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Page } from "@playwright/test";
import { asFile, axeOn, beginTrip, expect, gpxOf, openDemo, test } from "./fixtures.ts";

interface Printed {
  pages: number;
  text: string;
  /** Words that reach over the edge of their page. */
  over: string[];
}

/** A PDF as Poppler reads it. */
function readPdf(pdf: Buffer): Printed {
  const file = join(mkdtempSync(join(tmpdir(), "gepack-paper-")), "paper.pdf");
  writeFileSync(file, pdf);
  const boxes = execFileSync("pdftotext", ["-bbox", file, "-"], { encoding: "utf8", maxBuffer: 1 << 28 });
  const pages = boxes.split("<page ").slice(1);
  const over = pages.flatMap((page) => {
    const [, width, height] = /^width="([\d.]+)" height="([\d.]+)"/.exec(page)!.map(Number);
    return [...page.matchAll(/<word xMin="([\d.-]+)" yMin="([\d.-]+)" xMax="([\d.-]+)" yMax="([\d.-]+)">(.*?)</g)]
      .filter(([, x0, y0, x1, y1]) => Number(x0) < 0 || Number(y0) < 0 || Number(x1) > width! || Number(y1) > height!)
      .map(([, , , , , word]) => word!);
  });
  const text = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8", maxBuffer: 1 << 28 });
  return { pages: pages.length, text, over };
}

/** Words of letters: what is left of them when one is broken is no word of the whole. */
const wordsOf = (text: string): Set<string> => new Set(text.match(/\p{L}{2,}/gu));

/** The last line of each page above its number. */
const feetOf = (text: string): string[] =>
  text
    .split("\f")
    .flatMap((page) =>
      page
        .split("\n")
        .filter((line) => /\D/.test(line.trim()))
        .slice(-1),
    )
    .map((line) => line.trim());

async function savedPage(page: Page): Promise<{ name: string; html: string }> {
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByTestId("papers").getByRole("button", { name: "Save as web page" }).click(),
  ]);
  return { name: download.suggestedFilename(), html: readFileSync(await download.path(), "utf8") };
}

/** The page stands alone, and fits a phone. */
async function expectNarrow(page: Page, html: string, head: string): Promise<void> {
  const alone = await page.context().newPage();
  await alone.setContent(html);
  await expect(alone.getByRole("heading", { name: head }).first()).toBeVisible();
  await alone.setViewportSize({ width: 390, height: 844 });
  expect(await alone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await alone.close();
}

async function printed(page: Page): Promise<Printed> {
  const papers = page.getByTestId("papers");
  await expect(papers.getByRole("button", { name: "Print" })).toBeEnabled();
  await expect(papers.getByRole("progressbar")).toHaveCount(0);
  return readPdf(await page.pdf({ preferCSSPageSize: true, printBackground: true }));
}

test("cards for the pocket are printed as the interface shows them, nothing cut off, on A4 and on Letter", async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Print cards" }).click();
  const papers = page.getByTestId("papers");
  await papers.getByLabel(/^Day cards/).check();
  const preview = papers.getByRole("region", { name: "Preview" });
  await expect(preview.getByText("Day 109", { exact: true })).toBeVisible();
  const a4 = await printed(page);
  // 22 cards of legs and over a hundred of days, at most nine a page.
  expect(a4.pages).toBeGreaterThanOrEqual(14);
  expect(a4.pages).toBeLessThanOrEqual(18);
  expect(a4.over).toEqual([]);
  for (const word of ["Leg 1,", "Leg 22,", "Day 1 ", "Day 109", "Cape Ferrin"]) expect(a4.text).toContain(word);
  expect(a4.text).not.toContain("Zoom to leg");
  await papers.getByLabel("Size").selectOption("letter");
  await papers.getByRole("combobox", { name: "Legs" }).selectOption("leg");
  await expect(preview.getByText("Day 109", { exact: true })).toHaveCount(0);
  const letter = await printed(page);
  expect(letter.pages).toBe(2);
  expect(letter.over).toEqual([]);
  const { violations } = await axeOn(page).analyze();
  expect(violations.filter(({ impact }) => impact === "serious" || impact === "critical").map(({ id }) => id)).toEqual(
    [],
  );
  // The size is remembered for the next time.
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Print cards" }).click();
  await expect(papers.getByLabel("Size")).toHaveValue("letter");
});

test("the whole booklet: every paper is in it; the page for home stands alone", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Print cards" }).click();
  const papers = page.getByTestId("papers");
  await papers.getByRole("button", { name: "Whole booklet" }).click();
  await expect(papers.getByRole("region", { name: "Preview" })).toContainText("Departure day");
  const booklet = await printed(page);
  expect(booklet.over).toEqual([]);
  for (const head of [
    "Corvane Traverse",
    "Where you are by date",
    "Leaving Port Osk",
    "Camps and water.",
    "Mile table",
    "Box to Ivory Gate",
    "What to do by when",
    "Shopping: ",
    "To pack: ",
    "Departure day",
  ])
    expect(booklet.text).toContain(head);
  // On paper of half the size no word is broken, and no head stands alone at the foot of a page.
  await papers.getByLabel("Size").selectOption("a5");
  const small = await printed(page);
  expect(small.over).toEqual([]);
  const whole = wordsOf(booklet.text);
  expect([...wordsOf(small.text)].filter((word) => !whole.has(word))).toEqual([]);
  const heads = new Set(await papers.getByRole("region", { name: "Preview" }).locator("h2, h3").allInnerTexts());
  expect(feetOf(small.text).filter((line) => heads.has(line))).toEqual([]);
  const saved = await savedPage(page);
  expect(saved.name).toBe("corvane-traverse-paper.html");
  await expectNarrow(page, saved.html, "Departure day");
  await papers.getByRole("button", { name: "For someone at home" }).click();
  await expect(papers.getByRole("region", { name: "Preview" })).not.toContainText("Departure day");
  await expectNarrow(page, (await savedPage(page)).html, "Where you are by date");
});

test("an own trail of long and strange names, on the smallest paper: nothing is cut off", async ({ page }) => {
  const name = `Мост, عبور &amp; ${"Veryverylong".repeat(12)}`;
  const town = `<wpt lat="40.4" lon="-150"><name>${name} shop</name></wpt>`;
  await beginTrip(page, asFile("north.gpx", gpxOf(900, town)));
  await page.getByRole("button", { name: "Print cards" }).click();
  const papers = page.getByTestId("papers");
  await papers.getByRole("button", { name: "Whole booklet" }).click();
  await papers.getByLabel("Size").selectOption("a5");
  const small = await printed(page);
  expect(small.over).toEqual([]);
  expect(small.text).toContain("Мост");
  await papers.getByRole("button", { name: "None" }).click();
  await expect(papers.getByText("Nothing to print. Choose a document or other legs.")).toBeVisible();
  await expect(papers.getByRole("button", { name: "Print" })).toBeDisabled();
});

test("files for others: a workbook, a calendar, tables; and a packed plan that is read again", async ({ page }) => {
  await openDemo(page);
  const saved = async (item: string | RegExp): Promise<{ name: string; bytes: Buffer }> => {
    await page.getByRole("button", { name: "Plan", exact: true }).click();
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("menuitem", { name: item }).click(),
    ]);
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
  };
  const book = await saved(/^Workbook of all tables/);
  expect(book.name).toBe("corvane-traverse.xlsx");
  expect(book.bytes.subarray(0, 2).toString()).toBe("PK");
  const tables = await saved(/^All tables as CSV/);
  expect(tables.bytes.includes("shopping.csv")).toBe(true);
  const calendar = await saved(/^Calendar of days/);
  expect(calendar.bytes.toString().match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(113 + 16);
  const packed = await saved("Export compressed plan file (gzip)");
  expect(packed.name).toBe("corvane-traverse.gepack.json.gz");
  expect(packed.bytes.length).toBeLessThan(1_500_000);
  const file = page.getByTestId("plan-file");
  await file.setInputFiles({ name: "damaged.gz", mimeType: "application/gzip", buffer: packed.bytes.subarray(0, 900) });
  await expect(page.getByText("Import failed; your plan hasn’t changed.")).toBeVisible();
  await file.setInputFiles({ name: packed.name, mimeType: "application/gzip", buffer: packed.bytes });
  await expect(page.getByText("Imported Corvane Traverse.")).toBeVisible();
});

test("the endpoint gives the same paper as a page, and says what it does not have", async ({ page, request }) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("menuitem", { name: "Export plan file" }).click(),
  ]);
  const data = readFileSync(await download.path());
  const ask = (query: string) =>
    request.post(`/api/cards?${query}`, { data, headers: { "content-type": "application/json" } });
  const cards = await ask("papers=day-cards&size=a5&leg=9&hiker=2");
  expect(cards.status()).toBe(200);
  expect(cards.headers()["content-type"]).toBe("text/html; charset=utf-8");
  const alone = await page.context().newPage();
  await alone.setContent(await cards.text());
  const { pages, text, over } = readPdf(await alone.pdf({ preferCSSPageSize: true }));
  expect(pages).toBe(2);
  expect(over).toEqual([]);
  expect(text).toContain("9, to Pell Hut Road");
  const bad = await ask("papers=poster");
  expect(bad.status()).toBe(400);
  expect(await bad.text()).toContain("papers holds “poster”");
  expect((await request.get("/api/cards")).status()).toBe(405);
});

test("where the device can share, the page goes to its share sheet as a file, and nowhere else", async ({ page }) => {
  await page.addInitScript(() => {
    const shared: string[] = [];
    Object.assign(window, { shared });
    Object.defineProperty(navigator, "canShare", { value: () => true });
    Object.defineProperty(navigator, "share", {
      value: ({ files }: { files: File[] }) => {
        shared.push(...files.map(({ name, type, size }) => `${name} ${type} ${size > 1000}`));
        return Promise.reject(new DOMException("closed", "AbortError"));
      },
    });
  });
  await openDemo(page);
  await page.getByRole("button", { name: "Print cards" }).click();
  await page.getByTestId("papers").getByRole("button", { name: "Share" }).click();
  await expect
    .poll(() => page.evaluate(() => (window as unknown as { shared: string[] }).shared))
    .toEqual(["corvane-traverse-paper.html text/html true"]);
});
