/** Own trails as they come: many tracks, tables alone, later files, without network. */
import type { Page } from "@playwright/test";
import writeXlsxFile from "write-excel-file/node";
import { asFile, expect, gpxOf, showPlan, station, test } from "./fixtures.ts";

const LON_DEG = -120;
/** Degrees of latitude to a kilometre on a meridian. */
const KM_DEG = 1 / 111.195;

const offer = (page: Page, name: string, body: string | Buffer): Promise<void> =>
  page.getByTestId("gpx-file").setInputFiles(asFile(name, body, "application/octet-stream"));
const preview = (page: Page) => page.getByTestId("preview");

/** A track along a meridian, kilometre to kilometre, over hills. */
function trackOf(name: string, fromKm: number, toKm: number, stepKm = 0.05): string {
  const step = fromKm < toKm ? stepKm : -stepKm;
  const count = Math.round((toKm - fromKm) / step);
  const points = Array.from({ length: count + 1 }, (_, i) => {
    const km = fromKm + i * step;
    return `<trkpt lat="${(40 + km * KM_DEG).toFixed(6)}" lon="${LON_DEG}"><ele>${(900 + 500 * Math.sin(km / 9)).toFixed(1)}</ele></trkpt>`;
  });
  return `<trk><name>${name}</name><trkseg>${points.join("")}</trkseg></trk>`;
}
const gpxFile = (...parts: string[]): string => `<gpx version="1.1">${parts.join("")}</gpx>`;
const waypoint = (name: string, km: number, symbol = ""): string =>
  `<wpt lat="${40 + km * KM_DEG}" lon="${LON_DEG}"><name>${name}</name><sym>${symbol}</sym></wpt>`;

test("800 km and 60 waypoints stand as legs after six steps", async ({ page }) => {
  const kinds: [string, string][] = [
    ["Spring", "Drinking Water"],
    ["Meadow camp", "Campground"],
    ["Creek", "Water Source"],
    ["Market town", "City"],
    ["Junction", "Trail Head"],
  ];
  const places = Array.from({ length: 60 }, (_, i) => {
    const [word, symbol] = kinds[i % kinds.length]!;
    return waypoint(`${word} ${i + 1}`, 8 + i * 13, symbol);
  });
  const file = gpxFile(...places, trackOf("Long way", 0, 800));
  await page.goto("/");
  await expect(page.getByTestId("line")).toBeVisible();
  await page.getByRole("link", { name: "Start your own trip" }).click();
  await offer(page, "long.gpx", file);
  await expect(preview(page)).toContainText("16,001 points from track, 799");
  await page.getByLabel("Name", { exact: true }).fill("The long way");
  await page.getByLabel("Pace").selectOption("brisk");
  await page.getByLabel("Distance to the sea").selectOption("inland");
  await showPlan(page);
  await expect(page.locator("#leg-row-11")).toContainText("Market town 54");
  await expect(page.locator("#leg-row-12")).toContainText("Finish");
  // Calories a day and the longest carry of each.
  for (const row of [0, 6, 12]) await expect(page.locator(`#leg-row-${row}`)).toContainText(/\d,\d{3}.*\d L, \d+ km/);
  await station(page, "Trail");
  await expect(page.getByRole("radio", { name: /Water/ })).toContainText("24");
});

test("fourteen tracks in the wrong order and direction become the trail; one is turned, left and moved", async ({
  page,
}) => {
  const sections = Array.from({ length: 14 }, (_, i) => {
    const [a, b] = [i * 12, (i + 1) * 12];
    return i % 3 === 1 ? trackOf(`Day ${i + 1}`, b, a) : trackOf(`Day ${i + 1}`, a, b);
  });
  const shuffled = [5, 0, 11, 3, 8, 13, 1, 7, 2, 10, 4, 12, 6, 9].map((i) => sections[i]!);
  await page.goto("/begin/");
  await offer(page, "days.gpx", gpxFile(...shuffled));
  await expect(preview(page)).toContainText(/16[78]\.\d km/);
  await expect(page.getByTestId("gaps")).toHaveCount(0);
  const rows = preview(page).getByRole("table", { name: "Tracks in the files" }).getByRole("row");
  await expect(rows).toHaveCount(14);
  const names = await rows.locator("b").allInnerTexts();
  const forward = Array.from({ length: 14 }, (_, i) => `Day ${i + 1}`);
  expect([forward, [...forward].reverse()]).toContainEqual(names);
  // Without its middle the trail has a hole, which is needed.
  await page.getByLabel("Day 7: use as").selectOption({ label: "leave out" });
  await expect(page.getByTestId("gaps")).toContainText("12.0 km between Day");
  await expect(page.getByRole("button", { name: "Calculate my plan" })).toBeDisabled();
  await page.getByLabel("Bridge it with a straight line").check();
  await expect(page.getByRole("button", { name: "Calculate my plan" })).toBeEnabled();
  await page.getByLabel("Day 7: use as").selectOption({ label: "part of the trail" });
  await expect(page.getByTestId("gaps")).toHaveCount(0);
  // A section turned against the others leaves two holes.
  await page.getByRole("button", { name: "Reverse Day 3" }).click();
  await expect(page.getByTestId("gaps")).toContainText("2 gaps");
  await page.getByRole("button", { name: "Reverse Day 3" }).click();
  await expect(page.getByTestId("gaps")).toHaveCount(0);
  await page.getByRole("button", { name: "Move Day 3 down" }).click();
  await expect(page.getByTestId("gaps")).toBeVisible();
  await page.getByRole("button", { name: "Move Day 3 up" }).click();
  await expect(page.getByTestId("gaps")).toHaveCount(0);
  await showPlan(page);
  await expect(page.locator("#leg-row-0")).toContainText("Start to Finish");
});

test("a part of the track alone is walked, where the ends are cut", async ({ page }) => {
  await page.goto("/begin/");
  await offer(page, "whole.gpx", gpxFile(trackOf("Whole way", 0, 100)));
  await page.getByText("Hike only part of it").click();
  await page.getByLabel("From", { exact: true }).fill("20");
  await page.getByLabel("From", { exact: true }).press("Enter");
  await page.getByLabel("To", { exact: true }).fill("60");
  await page.getByLabel("To", { exact: true }).press("Enter");
  await showPlan(page);
  await expect(page.locator("#leg-row-0")).toContainText("Start to Finish");
  await station(page, "Trail");
  await expect(page.getByTestId("walked-length")).toContainText(/40\.\d km|39\.9 km/);
});

test("a table alone makes a coarse trail; a track found later takes its place and keeps the stops", async ({
  page,
}) => {
  const cells: (string | number)[][] = [
    ["Place", "Miles", "Elevation ft", "Kind"],
    ["Mill village", 0, 980, "town with shop"],
    ["Stone spring", 9.5, 2400, "water"],
    ["High saddle", 17, 5200, "pass"],
    ["Alder camp", 21.5, 3900, "camp"],
    ["Sawmill store", 38, 1500, "store"],
    ["no distance here", "later", 100, ""],
    ["Lake end", 55, 900, "town"],
  ];
  const xlsx = await writeXlsxFile(cells.map((row) => row.map((value) => ({ value })))).toBuffer();
  await page.goto("/begin/");
  await offer(page, "places.xlsx", xlsx);
  const mapping = page.getByTestId("mapping");
  await expect(mapping).toContainText("Stone spring");
  await expect(page.getByLabel("Column 2 means")).toHaveValue("along");
  await expect(page.getByLabel("Unit of column 2")).toHaveValue("mi");
  await expect(page.getByLabel("Unit of column 3")).toHaveValue("ft");
  await expect(page.getByRole("region", { name: "Table of places" })).toContainText("Row 7");
  await expect(preview(page)).toContainText("88.5 km");
  // A meaning told otherwise, and back.
  await page.getByLabel("Unit of column 2").selectOption("km");
  await expect(preview(page)).toContainText("55.0 km");
  await page.getByLabel("Unit of column 2").selectOption("miles");
  await page.getByLabel("Latitude of the start").fill("46");
  await page.getByLabel("Latitude of the start").press("Enter");
  await showPlan(page);
  await expect(page.locator("#leg-row-0")).toContainText("to Sawmill store");
  await station(page, "Trail");
  await expect(page.getByText(/coarse/).first()).toBeVisible();
  // The track that belongs to it.
  await offer(page, "found.gpx", gpxFile(trackOf("The real way", 0, 90)));
  await page.getByRole("button", { name: "Use this track" }).click();
  await expect(page.getByTestId("walked-length")).toContainText("89.9 km");
  await station(page, "Legs");
  await expect(page.locator("#leg-row-0")).toContainText("to Sawmill store");
});

test("a pasted water report is compared with the plan: new, changed and gone, each by choice", async ({ page }) => {
  await page.goto("/begin/");
  await offer(
    page,
    "way.gpx",
    gpxFile(waypoint("North spring", 10), waypoint("South creek", 30), trackOf("Way", 0, 60)),
  );
  await page.getByTestId("assume-water").getByRole("checkbox").uncheck();
  await showPlan(page);
  await expect(page.locator("#leg-row-0")).toContainText("Start to Finish");
  await station(page, "Trail");
  const water = page.getByRole("radio", { name: /Water/ });
  await expect(water).toContainText("2");
  await page.getByText("Or paste a table of places").click();
  await page
    .getByLabel("Table of places")
    .fill("name\tkm\tkind\nNorth spring\t10.4\twater\nBlue tarn\t41\twater, lake\nOld zoo\t44\t");
  await page.getByRole("button", { name: "Import table" }).click();
  const merge = page.getByTestId("merge");
  await expect(merge).toContainText("1 new: add (Blue tarn)");
  await expect(merge).toContainText("1 changed: update (North spring)");
  await merge.getByText(/places? in your plan/).click();
  await merge.getByLabel("remove South creek").check();
  await merge.getByRole("button", { name: "Apply these 3 changes" }).click();
  await expect(page.getByRole("slider", { name: "source Blue tarn" })).toBeVisible();
  await expect(page.getByRole("slider", { name: "source South creek" })).toHaveCount(0);
  await expect(water).toContainText("2");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("slider", { name: "source South creek" })).toBeVisible();
  await expect(page.getByRole("slider", { name: "source Blue tarn" })).toHaveCount(0);
});

test("a word of one’s own sorts places, and is remembered", async ({ page }) => {
  const file = gpxFile(waypoint("Gronk three", 5), waypoint("Gronk four", 9), trackOf("Way", 0, 30));
  await page.goto("/begin/");
  await offer(page, "way.gpx", file);
  await expect(page.getByLabel("Gronk three, not known: import as")).toHaveValue("out");
  await page.getByText("By keyword or symbol, and your own keywords").click();
  await page.getByLabel("Your own keyword").fill("gronk");
  await page.getByLabel("means").selectOption("water");
  await page.getByRole("button", { name: "Add keyword" }).click();
  await expect(page.getByLabel("Gronk four, water: import as")).toHaveValue("water");
  await page.reload();
  await offer(page, "way.gpx", file);
  await expect(page.getByLabel("Gronk three, water: import as")).toHaveValue("water");
});

test.describe("without network", () => {
  test.use({ serviceWorkers: "allow" });

  test("a trip is begun and computed all the same", async ({ page, context }) => {
    await page.goto("/");
    await expect(page.getByTestId("line")).toBeVisible();
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await context.setOffline(true);
    await page.goto("/begin/");
    await offer(page, "north.gpx", gpxOf(900));
    await showPlan(page);
    await expect(page.locator("#leg-row-0")).toContainText("Start to Finish");
  });
});
