/** A trip of your own, from the first click to its legs. */
import { strToU8, zipSync } from "fflate";
import { asFile, expect, gpxOf, openDemo, showPlan, station, test } from "./fixtures.ts";

const WAYPOINTS = [
  ["40.1", "Heron spring", "Drinking Water"],
  ["40.2", "Elm Creek camp", "Campground"],
  ["40.4", "Millbrook", "Town"],
  ["40.5", "Hut with a spring", ""],
  ["40.6", "Waypoint 17", ""],
  ["40.7", "Rockfall zone", ""],
]
  .map(([lat, name, sym]) => `<wpt lat="${lat}" lon="-150"><name>${name}</name>${sym ? `<sym>${sym}</sym>` : ""}</wpt>`)
  .join("");

test("three steps, nothing of the demo, and the legs stand with a season of their own", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByTestId("line")).toBeVisible();
  await page.getByRole("link", { name: "Start your own trip" }).click();
  await expect(page.getByRole("heading", { name: "Start your own trip" })).toBeVisible();
  await expect(page.getByRole("heading", { level: 2 })).toHaveText([
    /Your track/,
    /What lies on it/,
    /You and your start/,
    /Your kit, optional/,
  ]);
  await page.getByTestId("gpx-file").setInputFiles(asFile("north.gpx", gpxOf(1500, WAYPOINTS)));
  await expect(page.getByTestId("preview")).toContainText("1,500 points from track");
  const found = page.getByTestId("found");
  await expect(found.getByRole("row").filter({ hasText: "Hut with a spring" })).toHaveCount(2);
  await expect(page.getByLabel("Waypoint 17, not known: import as")).toHaveValue("out");
  await expect(found.getByRole("row").filter({ hasText: "Millbrook" })).toContainText("“town”");
  // A whole kind at once, and back.
  await page.getByLabel("All camps: import as").selectOption("skip");
  await expect(page.getByLabel("Elm Creek camp, camps: import as")).toHaveValue("out");
  await page.getByLabel("All camps: import as").selectOption("camp");
  // Without any stop it says where stops may be among what is left out.
  await page.getByLabel("All stops: import as").selectOption("skip");
  await expect(page.getByTestId("no-stops")).toContainText("No names look like resupply stops");
  await page.getByLabel("All stops: import as").selectOption("stop");
  await expect(page.getByTestId("no-stops")).toHaveCount(0);
  await expect(page.getByRole("textbox", { name: "Start date" })).toHaveValue(/1 May \d{4}/);
  await page.getByLabel("Pace").selectOption("brisk");
  await expect(page.getByTestId("pace")).toContainText("4.3 km/h");
  await page.getByLabel("Distance to the sea").selectOption("deep inland");
  await expect(page.locator("body")).not.toContainText(/Corvane|Tamsin/);
  await showPlan(page);

  await expect(page.getByRole("heading", { name: "North walk" })).toBeVisible();
  await expect(page.locator("#leg-row-0")).toContainText("Start to Millbrook");
  await expect(page.locator("#leg-row-0")).toContainText("1 May");
  await page.reload();
  await expect(page.locator("#leg-row-0")).toContainText("Start to Millbrook");
  // The weather is its own, and says what it is until your own figures take its place.
  await station(page, "Season");
  await expect(page.getByText("simulated", { exact: true }).first()).toBeVisible();
  await page.getByText("Simulated 1").click();
  await page.getByRole("button", { name: "I’ve checked these figures" }).click();
  await expect(page.getByRole("button", { name: "I’ve checked these figures" })).toHaveCount(0);
  await station(page, "Trail");
  await expect(page.getByRole("radio", { name: /Camps/ })).toContainText("1");
});

test("a file that is none begins nothing and says why; a track alone is enough", async ({ page }) => {
  await page.goto("/begin/");
  await page.getByTestId("gpx-file").setInputFiles(asFile("notes.gpx", "no track"));
  await expect(page.getByRole("alert")).toContainText("Couldn’t read notes.gpx; no trip was created.");
  await page.getByTestId("gpx-file").setInputFiles(asFile("bare.gpx", gpxOf(900)));
  await expect(page.getByText("This file has no waypoints.", { exact: false })).toBeVisible();
  await showPlan(page);
  await expect(page.locator("#leg-row-0")).toContainText("Start to Finish");
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitemradio", { name: "Corvane Traverse" }).click();
  await expect(page.locator("#leg-row-5")).toContainText("Hask Tank");
});

test("a packed KML and a table of points are tracks as well", async ({ page }) => {
  const line = Array.from({ length: 300 }, (_, i) => `-150,${40 + i / 1000},${300 + (i % 50)}`).join(" ");
  const kml = `<kml xmlns="http://www.opengis.net/kml/2.2"><Document><name>Packed walk</name><Placemark><name>Cold spring</name><Point><coordinates>-150,40.1,0</coordinates></Point></Placemark><Placemark><LineString><coordinates>${line}</coordinates></LineString></Placemark></Document></kml>`;
  await page.goto("/begin/");
  const offer = (name: string, body: Buffer): Promise<void> =>
    page.getByTestId("gpx-file").setInputFiles({ name, mimeType: "application/octet-stream", buffer: body });
  await offer("walk.kmz", Buffer.from(zipSync({ "doc.kml": strToU8(kml) })));
  await expect(page.getByTestId("preview")).toContainText("Packed walk");
  await expect(page.getByLabel("Cold spring, water: import as")).toHaveValue("water");
  await page.getByRole("button", { name: "Use another file" }).click();
  const rows = Array.from({ length: 300 }, (_, i) => `${40 + i / 1000};-150;${300 + (i % 50)}`.replaceAll(".", ","));
  await offer("punkte.csv", Buffer.from(`Breite;Länge;Höhe\n${rows.join("\n")}`));
  await expect(page.getByTestId("preview")).toContainText("300 points from track");
  await showPlan(page);
  await expect(page.locator("#leg-row-0")).toContainText("Start to Finish");
  await expect(page.getByRole("heading", { name: "punkte" })).toBeVisible();
});

test("three files of different formats become one trail, in the order of their ends", async ({ page }) => {
  const points = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => 40 + (from + i) / 1000);
  const middle = points(300, 600).reverse();
  await page.goto("/begin/");
  await page.getByTestId("gpx-file").setInputFiles([
    asFile(
      "end.geojson",
      JSON.stringify({ type: "LineString", coordinates: points(600, 900).map((lat) => [-150, lat, 300]) }),
    ),
    asFile(
      "begin.gpx",
      gpxOf(1).replace(
        /<trkpt.*<\/trkpt>/,
        points(0, 300)
          .map((lat) => `<trkpt lat="${lat}" lon="-150"/>`)
          .join(""),
      ),
    ),
    asFile("middle.csv", `lat,lon\n${middle.map((lat) => `${lat},-150`).join("\n")}`),
  ]);
  const preview = page.getByTestId("preview");
  await expect(preview).toContainText("900 points from track, 99.");
  const order = preview.getByRole("table", { name: "Tracks in the files" }).getByRole("row");
  // The first that was given keeps its direction; a trail turned round as a whole is the same trail.
  await expect(order).toContainText([/North walk|end/, /middle/, /end|North walk/]);
  await expect(preview.getByRole("button", { name: /^Reverse /, pressed: true })).toHaveCount(1);
  await page.getByRole("button", { name: "Use another file" }).click();
  await page.getByTestId("gpx-file").setInputFiles([asFile("good.gpx", gpxOf(300)), asFile("bad.gpx", "<gpx>")]);
  await expect(page.getByRole("alert")).toContainText("Couldn’t read 2 files; no trip was created.");
  await expect(page.getByRole("alert")).toContainText("bad, line 1");
});

test("the menu leads there too, and back without a loss", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitem", { name: "Start your own trip…" }).click();
  await expect(page.getByRole("heading", { name: "Start your own trip" })).toBeVisible();
  await page.getByRole("link", { name: "Back to your plan" }).click();
  await expect(page.locator("#leg-row-5")).toContainText("Hask Tank");
});
