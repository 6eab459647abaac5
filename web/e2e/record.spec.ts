/** The log from records: a phone without network, files with times, the simulated tracker, a trip before, verdicts. */
import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { asFile, beginTrip, expect, gpxOf, openDemo, openExampleOf, station, test } from "./fixtures.ts";

const thumb = { viewport: { width: 360, height: 740 }, hasTouch: true };

interface Walk {
  date: string;
  fromKm: number;
  toKm: number;
  /** Where the record ends, so far east of the trail. */
  offKm?: number;
}

/** A record along the trail of `gpxOf`, three kilometres an hour from eight in the morning of its sun, a point every ten minutes. */
function recordOf(walks: readonly Walk[], lonDeg = -150): string {
  const rows = walks.flatMap(({ date, fromKm, toKm, offKm = 0 }) => {
    const steps = Math.round((toKm - fromKm) * 2);
    const leaves = Date.parse(`${date}T08:00:00Z`) - (lonDeg / 15) * 3_600_000;
    return Array.from({ length: steps + 1 }, (_, i) => {
      const km = fromKm + (i / steps) * (toKm - fromKm);
      // It leaves the trail on the last eight legs of ten minutes.
      const lon = lonDeg + (Math.max(0, i - steps + 8) / 8) * (offKm / 85);
      return `<trkpt lat="${(40 + km * 0.009).toFixed(6)}" lon="${lon.toFixed(6)}"><time>${new Date(leaves + i * 600_000).toISOString()}</time></trkpt>`;
    });
  });
  return `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${rows.join("")}</trkseg></trk></gpx>`;
}

/** An own trip with its log open; the ISO date of its first day. */
async function beginLog(page: Page, trail = gpxOf(900)): Promise<(day: number) => string> {
  await beginTrip(page, asFile("north.gpx", trail));
  await station(page, "Log");
  const text = await page.getByTestId("today").getByLabel("Date", { exact: true }).inputValue();
  const first = Date.parse(`${text} UTC`);
  return (day) => new Date(first + day * 86_400_000).toISOString().slice(0, 10);
}

async function openSeveral(page: Page) {
  await page.getByText("Catch up on several days").click();
  return page.getByTestId("catch-up");
}

test.describe("on a phone without network", () => {
  test.use({ ...thumb, serviceWorkers: "allow" });

  test("in the night theme three days are caught up in one step, and are there when the page is opened anew", async ({
    page,
    context,
  }) => {
    await beginLog(page);
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
      if (!navigator.serviceWorker.controller)
        await new Promise((done) => navigator.serviceWorker.addEventListener("controllerchange", done, { once: true }));
    });
    await page.getByRole("button", { name: "Night (red on black)" }).tap();
    await context.setOffline(true);
    const several = await openSeveral(page);
    await several.getByRole("button", { name: "Fill in as planned, until" }).tap();
    const rows = several.getByRole("list", { name: "Days to save" }).getByRole("listitem");
    await expect(rows).toHaveCount(3);
    await rows.nth(0).getByRole("textbox").first().fill("11 km");
    await rows.nth(0).getByRole("textbox").first().press("Enter");
    await expect(rows.nth(0)).toContainText("total 11 km");
    await rows.nth(1).getByRole("button", { name: "Rest day" }).tap();
    await expect(rows.nth(1)).toContainText("0 km, total 11 km");
    await rows.nth(0).getByRole("textbox").first().fill("9000 km");
    await rows.nth(0).getByRole("textbox").first().press("Enter");
    await expect(rows.nth(0)).toContainText("The hike is 89.8 km long.");
    await rows.nth(0).getByRole("textbox").first().press("Escape");
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
    await several.getByRole("button", { name: "Save these 3 days" }).tap();
    await expect(page.getByTestId("log-say")).toContainText("3 days saved");
    await page.reload();
    await expect(page.getByTestId("log-say")).toContainText("3 days saved");
    await expect(page.locator("html")).toHaveAttribute("data-theme", "night");
    await expect(page.getByTestId("today")).toContainText("Day 4");
    await page.getByRole("button", { name: /^Undo/ }).click();
    await expect(page.getByTestId("log-say")).toBeHidden();
  });
});

test("a record with times becomes days: kept, told where it left the trail, and out again as GPX", async ({ page }) => {
  const on = await beginLog(page);
  const several = await openSeveral(page);
  const files = several.getByLabel("Tracks of days you walked");
  const record = recordOf([
    { date: on(0), fromKm: 0, toKm: 18 },
    { date: on(1), fromKm: 18, toKm: 35, offKm: 4 },
    { date: on(2), fromKm: 35, toKm: 50 },
  ]);
  await files.setInputFiles(asFile("days.gpx", record));
  const rows = several.getByRole("list", { name: "Days to save" }).getByRole("listitem");
  await expect(rows).toHaveCount(3);
  await expect(rows.nth(0)).toContainText("18 km, total 18 km");
  await expect(rows.nth(1)).toContainText("ends off the trail");
  await expect(rows.nth(0).getByLabel(/^walked/)).toHaveValue("6.0");
  await several.getByRole("button", { name: "Save these 3 days" }).click();
  await expect(page.getByTestId("log-say")).toContainText("3 days saved, 50 km");
  // The same file again changes nothing unasked.
  await files.setInputFiles(asFile("days.gpx", record));
  await expect(rows.nth(0)).toContainText("already saved");
  await expect(several.getByRole("button", { name: "Save these 0 days" })).toBeDisabled();
  await several.getByRole("button", { name: "Cancel" }).click();
  const [gpx] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "GPX by day" }).click(),
  ]);
  const text = readFileSync(await gpx.path(), "utf8");
  expect(text.match(/<wpt /g)).toHaveLength(3);
  expect(text.match(/<trk>/g)).toHaveLength(3);
  await expect(page.getByTestId("line-today")).toBeVisible();
});

test("somebody else’s record is asked about and kept apart; one without times says so", async ({ page }) => {
  const on = await beginLog(page);
  const several = await openSeveral(page);
  const files = several.getByLabel("Tracks of days you walked");
  await files.setInputFiles(asFile("other.gpx", recordOf([{ date: on(0), fromKm: 0, toKm: 20 }], 20)));
  const question = several.getByRole("alert");
  await expect(question).toContainText(/10 of 10 points are away from this trail; the nearest is [\d,]+ km away/);
  await question.getByRole("button", { name: "Yes, show its days" }).click();
  await expect(several).toContainText("None of these days ends near this trail. Nothing was changed.");
  await files.setInputFiles(asFile("untimed.gpx", gpxOf(50)));
  await expect(several).toContainText("No point in this file has a time");
  await files.setInputFiles(asFile("noise.gpx", "not a track at all"));
  await expect(several).toContainText("noise.gpx");
  await expect(page.getByTestId("log-say")).toBeHidden();
});

test("over the date line days follow each other; a day kept twice is one day", async ({ page }) => {
  // From 179.97° east to 179.97° west, northward.
  const trail = gpxOf(900).replace(/lat="([\d.]+)" lon="-150"/g, (_, lat: string) => {
    const east = 179.97 + (Number(lat) - 40) * 0.074;
    return `lat="${lat}" lon="${(east > 180 ? east - 360 : east).toFixed(6)}"`;
  });
  const on = await beginLog(page, trail);
  const several = await openSeveral(page);
  const walked = [0, 1, 2, 3].map((day) => ({ date: on(day), fromKm: day * 20, toKm: day * 20 + 20 }));
  // The record has the same line, its clock that of the first day's sun.
  const record = recordOf(walked, 179.97).replace(/lat="([\d.]+)" lon="179.970000"/g, (_, lat: string) => {
    const east = 179.97 + (Number(lat) - 40) * 0.074;
    return `lat="${lat}" lon="${(east > 180 ? east - 360 : east).toFixed(6)}"`;
  });
  await several.getByLabel("Tracks of days you walked").setInputFiles(asFile("line.gpx", record));
  const rows = several.getByRole("list", { name: "Days to save" }).getByRole("listitem");
  await expect(rows).toHaveCount(4);
  await several.getByRole("button", { name: "Save these 4 days" }).click();
  const table = page.getByRole("table", { name: "Saved days" });
  await expect(table.getByRole("row")).toHaveCount(5);
  await table.getByRole("row").nth(1).click();
  const today = page.getByTestId("today");
  await expect(today).toContainText("Day 4");
  const save = today.getByRole("button", { name: "Save day" });
  for (const hours of ["5", "6.5"]) {
    // What is typed before the day is there is of the card before.
    await expect(async () => {
      await table.getByRole("row").nth(1).click();
      await today.getByLabel(/^walking/).fill(hours);
      await expect(save).toBeEnabled({ timeout: 3000 });
    }).toPass();
    await save.click();
    await expect(table.getByRole("row").nth(1)).toContainText(`${Number(hours).toFixed(1)} /`);
  }
  await expect(table.getByRole("row")).toHaveCount(5);
});

test("the simulated tracker fills in days; on a trail that is not its own it says so", async ({ page }) => {
  await openDemo(page, "/log/");
  const several = await openSeveral(page);
  await several.getByLabel("Tracker speed").selectOption("21600");
  await several.getByRole("button", { name: "Follow the tracker (simulated)" }).click();
  const rows = several.getByRole("list", { name: "Days to save" }).getByRole("listitem");
  await expect.poll(() => rows.count(), { timeout: 60_000 }).toBeGreaterThanOrEqual(2);
  await several.getByRole("button", { name: "Stop" }).click();
  await expect(several.getByTestId("tracker-says")).toContainText("Simulated");
  await expect(rows.last()).toContainText("not over yet");
  await expect(rows.last().getByRole("checkbox")).not.toBeChecked();
  await several.getByRole("button", { name: /^Save th/ }).click();
  await expect(page.getByTestId("log-say")).toContainText(/\d days? saved, \d+ km/);
  await beginLog(page);
  await openSeveral(page);
  await several.getByRole("button", { name: "Follow the tracker (simulated)" }).click();
  await expect(several).toContainText(/points are away from this trail/, { timeout: 60_000 });
  await expect(rows).toHaveCount(0);
});

test("a shakedown of four days teaches the long walk, which names it; verdicts go to the shelf", async ({ page }) => {
  await openDemo(page);
  await openExampleOf(page, "Four-day shakedown");
  await expect(page.getByRole("banner")).toContainText("Sallow Round");
  await station(page, "Log");
  await expect(page.getByTestId("log-say")).toContainText("4 days saved");
  await page.getByText("Item by item: carried, broken, never needed").click();
  const pieces = page.getByRole("table", { name: "Items in the log" });
  await pieces.getByLabel("Verdict on Wind shirt").selectOption("home");
  await pieces.getByLabel("Lesson for Wind shirt").fill("Too warm to walk in.");
  await pieces.getByLabel("Lesson for Wind shirt").press("Enter");
  await expect(page.getByTestId("effect")).toContainText("Lesson for Wind shirt");
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitemradio", { name: "Corvane Traverse" }).click();
  const from = page.getByTestId("from-trip");
  await from.getByLabel("Learn from an earlier trip").selectOption({ label: "Sallow Round, four days of shakedown" });
  await expect(from).toContainText(/Your pace, 4 days: \d+ % there, 77 % here/);
  await from.getByRole("button", { name: /^Use these figures from Sallow Round/ }).click();
  await expect(from).toContainText("Learnt from Sallow Round, four days of shakedown, 4 days from 26 Feb.");
  await page.keyboard.press("Control+z");
  await expect(from).not.toContainText("Learnt from");
});
