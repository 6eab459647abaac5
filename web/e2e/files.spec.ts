import { readFileSync } from "node:fs";
import { asFile, beginTrip, expect, gpxOf, openDemo, startingWeights, station, test } from "./fixtures.ts";
import type { Page } from "@playwright/test";

const offer = (page: Page, name: string, text: string | Buffer) =>
  page.getByTestId("gpx-file").setInputFiles(asFile(name, text));
const importPlan = (page: Page, name: string, text: string) =>
  page.getByTestId("plan-file").setInputFiles(asFile(name, text, "application/json"));

async function exported(page: Page): Promise<Record<string, unknown>> {
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("menuitem", { name: "Export plan file" }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/\.gepack\.json$/);
  return JSON.parse(readFileSync(await download.path(), "utf8")) as Record<string, unknown>;
}

test("an own trip stands beside the demo, and is kept over a reload", async ({ page }) => {
  await openDemo(page);
  const words =
    '<wpt lat="40.2" lon="-150"><name>Cold spring</name></wpt><wpt lat="40.4" lon="-150.01"><name>Halfway store</name></wpt>';
  await beginTrip(page, asFile("north.gpx", gpxOf(900, words)));
  await expect(page.getByRole("heading", { name: "North walk" })).toBeVisible();
  await station(page, "Trail");
  await expect(page.getByRole("listbox", { name: "Legs" }).getByRole("option")).toHaveCount(2);
  await expect(page.getByRole("slider", { name: "source Cold spring" })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("heading", { name: "North walk" })).toBeVisible();
  await station(page, "Legs");
  await expect(page.locator("#leg-row-0")).toContainText("Start to Halfway store");
  // The demo is still there.
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitemradio", { name: "Corvane Traverse" }).click();
  await expect(page.locator("#leg-row-5")).toContainText("Hask Tank");
});

test("the trail and its places go out as GPX, GeoJSON and a mile table, and the GPX comes back", async ({ page }) => {
  await openDemo(page);
  const saved = async (label: string): Promise<string> => {
    await page.getByRole("button", { name: "Plan", exact: true }).click();
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("menuitem", { name: label }).click(),
    ]);
    return readFileSync(await download.path(), "utf8");
  };
  const table = (await saved("Mile table as CSV")).split("\r\n");
  expect(table.length).toBeGreaterThan(300);
  expect(table[0]).toContain("leave with L, Tamsin Okafor");
  expect(await saved("Track and places as GeoJSON")).toContain('"type":"FeatureCollection"');
  const gpx = await saved("Track and places as GPX");
  await page.goto("/begin/");
  await page.getByTestId("gpx-file").setInputFiles(asFile("out.gpx", gpx));
  await expect(page.getByTestId("preview")).toContainText("41,043 points from track");
  await expect(page.getByLabel("All stops: import as")).toHaveValue("stop");
  await expect(page.getByRole("listitem").filter({ hasText: "34 stops" })).toBeVisible();
});

test("another track for the same plan is one undoable edit", async ({ page }) => {
  await openDemo(page, "/trail/");
  await offer(page, "north.gpx", gpxOf(900));
  await page.getByRole("button", { name: "Use this track" }).click();
  await expect(page.getByText("89.8 km", { exact: false }).first()).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("2,050.6 km", { exact: false }).first()).toBeVisible();
});

test("a route dropped on the page is read", async ({ page }) => {
  await openDemo(page, "/trail/");
  const text = '<gpx version="1.0"><rte><rtept lat="40" lon="-150"/><rtept lat="40.3" lon="-150"/></rte></gpx>';
  const transfer = await page.evaluateHandle((body) => {
    const data = new DataTransfer();
    data.items.add(new File([body], "route.gpx"));
    return data;
  }, text);
  await page.getByText("Drop a track file here").dispatchEvent("drop", { dataTransfer: transfer });
  await expect(page.getByTestId("preview")).toContainText("2 points from route");
  await expect(page.getByTestId("preview")).toContainText("no elevations");
});

test("a large track is read with progress and can be stopped; the page stays awake", async ({ page }) => {
  await openDemo(page, "/trail/");
  await offer(page, "long.gpx", Buffer.from(gpxOf(250_000)));
  await page.getByRole("button", { name: "Stop reading" }).click();
  await expect(page.getByText("Drop a track file here")).toBeVisible();
  await page.getByRole("listbox", { name: "Legs" }).focus();
  await page.keyboard.press("End");
  await expect(page.getByRole("option", { name: /^Leg 22/ })).toHaveAttribute("aria-selected", "true");
});

const bomb =
  '<!DOCTYPE gpx [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><gpx><trk><name>&b;</name></trk></gpx>';
for (const [what, text, sentence] of [
  ["an empty file", "", "The file is empty"],
  ["no XML", "just words", "not an XML file"],
  ["XML that is not GPX", "<html></html>", "The root element is <html>"],
  ["a track of one point", '<gpx><trk><trkseg><trkpt lat="1" lon="1"/></trkseg></trk></gpx>', "only one track point"],
  ["an entity bomb", bomb, "document type"],
  ["an external entity", bomb.replace('"aaaaaaaaaa"', 'SYSTEM "file:///etc/passwd"'), "document type"],
  [
    "only coordinates out of range",
    '<gpx><trk><trkseg><trkpt lat="99" lon="NaN"/><trkpt lat="1" lon="1e9"/></trkseg></trk></gpx>',
    "None of the file’s 2 points",
  ],
  ["a track cut short", gpxOf(30).slice(0, -60), "cut off"],
] as const) {
  test(`refused with a sentence, nothing lost: ${what}`, async ({ page }) => {
    await openDemo(page, "/trail/");
    await offer(page, "bad.gpx", text);
    const alert = page.getByRole("alert").filter({ hasText: "Couldn’t read bad.gpx; your plan hasn’t changed." });
    await expect(alert).toContainText(sentence);
    await expect(page.getByRole("heading", { name: "Corvane Traverse" })).toBeVisible();
    await offer(page, "good.gpx", gpxOf(200));
    await expect(page.getByTestId("preview")).toContainText("200 points from track");
  });
}

test("a file too large is refused before it is read", async ({ page }) => {
  await openDemo(page, "/trail/");
  await page.evaluate(() => {
    const input = document.querySelector<HTMLInputElement>('[data-testid="gpx-file"]')!;
    const data = new DataTransfer();
    data.items.add(new File([new Uint8Array(200_000_000)], "huge.gpx"));
    input.files = data.files;
    input.dispatchEvent(new Event("change", { bubbles: true }));
  });
  await expect(page.getByRole("alert").filter({ hasText: "huge.gpx" })).toContainText(
    "This file is 200 MB; the limit is 150 MB.",
  );
});

test("export and import give the same plan, to the gram", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("radio", { name: "Jory" }).click();
  const before = await startingWeights(page);
  const file = await exported(page);
  await station(page, "Kit");
  await page.getByLabel("Weight of Backpack").first().fill("4000");
  await page.getByLabel("Weight of Backpack").first().press("Enter");
  await expect(page.getByTestId("effect")).toContainText("Backpack");
  await importPlan(page, "back.gepack.json", JSON.stringify(file));
  await expect(page.getByText("Imported Corvane Traverse.")).toBeVisible();
  await station(page, "Legs");
  expect(await startingWeights(page)).toEqual(before);
  const again = await exported(page);
  expect(again).toEqual(file);
});

test("plan files that are refused say where and why", async ({ page }) => {
  await openDemo(page);
  const file = await exported(page);
  const cases: [string, string, RegExp][] = [
    ["empty", "", /This file is empty/],
    ["no JSON", "{", /isn’t a plan file/],
    ["newer", JSON.stringify({ ...file, version: 9 }), /newer Gepack/],
    ["without hikers", JSON.stringify({ ...file, hikers: undefined }), /hikers: This part is missing/],
    ["with a span to nowhere", JSON.stringify({ ...file, stops: [] }), /which is not in stops/],
    [
      "with a negative weight",
      JSON.stringify({
        ...file,
        kit: [{ id: "x", name: "x", massG: -1, ownerId: "jory", carrierId: "jory", spans: [] }],
      }),
      /kit\[0\]\.massG/,
    ],
    ["without its track", JSON.stringify({ ...file, tracks: undefined }), /contains no track/],
  ];
  for (const [what, text, sentence] of cases) {
    await importPlan(page, "bad.gepack.json", text);
    await expect(page.getByText(sentence), what).toBeVisible();
  }
  await expect(page.getByRole("heading", { name: "Corvane Traverse" })).toBeVisible();
  expect(await startingWeights(page)).toHaveLength(22);
});

test("markup in names stays text", async ({ page }) => {
  await openDemo(page);
  const file = (await exported(page)) as { stops: { name: string }[]; trip: { name: string }; kit: { name: string }[] };
  const evil = '<img src=x onerror="window.broken=1"><script>window.broken=1</script>';
  file.trip.name = evil;
  file.stops[1]!.name = evil;
  file.kit[0]!.name = evil;
  await importPlan(page, "evil.gepack.json", JSON.stringify(file));
  await expect(page.getByRole("heading", { level: 1, name: evil })).toBeVisible();
  await station(page, "Kit");
  await expect(page.getByText("Shelter").first()).toBeVisible();
  expect(await page.evaluate(() => "broken" in window)).toBe(false);
});
