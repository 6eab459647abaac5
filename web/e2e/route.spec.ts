/** Which ground is walked: alternates, closures, halves, as a hiker changes them in Trail. */
import { asFile, expect, gpxOf, openDemo, openExampleOf, showPlan, station, test } from "./fixtures.ts";
import type { Page } from "@playwright/test";

const route = (page: Page) => page.getByRole("region", { name: "Route" });
/** What the whole is long, as the panel says. */
async function lengthKm(page: Page): Promise<number> {
  const text = await page.getByTestId("walked-length").innerText();
  return Number(/[\d,]+\.\d/.exec(text)![0].replaceAll(",", ""));
}

test("the demo’s alternate is walked with one click, its places with it, and undone", async ({ page }) => {
  await openDemo(page, "/trail/");
  const before = await lengthKm(page);
  await expect(page.getByRole("slider", { name: "camp Corrie meadow" })).toHaveCount(0);
  await page.getByRole("checkbox", { name: "Use Corrie valley way" }).click();
  await expect(page.getByRole("slider", { name: "camp Corrie meadow" })).toBeVisible();
  await expect.poll(() => lengthKm(page)).toBeGreaterThan(before + 1);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("slider", { name: "camp Corrie meadow" })).toHaveCount(0);
  await expect.poll(() => lengthKm(page)).toBe(before);
});

test("a closure is gone round by its alternate, or past by a ride, which is a leg’s end", async ({ page }) => {
  await openDemo(page, "/trail/");
  await page.getByRole("checkbox", { name: "Rockfall on the Red Stair is in force" }).click();
  await expect(page.getByRole("slider", { name: "camp Corrie meadow" })).toBeVisible();
  await expect(route(page).getByText(/the land manager can say/)).toBeVisible();
  await page.getByLabel("How to bypass Rockfall on the Red Stair").selectOption("by a ride");
  await expect(page.getByRole("slider", { name: "camp Corrie meadow" })).toHaveCount(0);
  await station(page, "Legs");
  await expect(page.getByRole("row", { name: /Ride past Rockfall on the Red Stair/ }).first()).toBeVisible();
});

test("a trail in two halves: opened as an example, its transfer, turned and cut", async ({ page }) => {
  await openDemo(page);
  await openExampleOf(page, "Tarrow Ridge in two halves");
  await expect(page.getByRole("heading", { name: "Tarrow Ridge in two halves" })).toBeVisible();
  await expect(page.locator("#leg-row-0")).toContainText("Marlow Cross to High Fold");
  await expect(page.locator("#leg-row-3")).toContainText("Kiln Bridge to Tarrow Foot");
  await station(page, "Trail");
  await expect(route(page)).toContainText("Transfers take 9 h and cost 46");
  await route(page).getByRole("group", { name: "South half" }).getByRole("button", { name: "Reverse" }).click();
  await station(page, "Legs");
  await expect(page.locator("#leg-row-3")).toContainText("Kiln Bridge to Marlow Cross");
  await station(page, "Trail");
  await page.getByRole("button", { name: "Remove South half" }).click();
  await expect.poll(() => lengthKm(page)).toBeLessThan(120);
});

test("an own alternate from a file, walked, turned round twice, and gone again with its places", async ({ page }) => {
  await openDemo(page);
  await page.goto("/begin/");
  await page.getByTestId("gpx-file").setInputFiles(asFile("north.gpx", gpxOf(900)));
  await showPlan(page);
  await expect(page.locator("#leg-row-0")).toContainText("Start to Finish");
  await station(page, "Trail");
  const plain = await lengthKm(page);
  const bow = Array.from({ length: 200 }, (_, i) => {
    const t = i / 199;
    return `<trkpt lat="${40.2 + 0.2 * t}" lon="${-150 + 0.1 * Math.sin(Math.PI * t)}"><ele>350</ele></trkpt>`;
  });
  const gpx = `<gpx version="1.1"><wpt lat="40.3" lon="-149.9"><name>High store</name></wpt><trk><name>High way</name><trkseg>${bow.join("")}</trkseg></trk></gpx>`;
  await page.getByTestId("gpx-file").setInputFiles(asFile("high.gpx", gpx));
  await page.getByRole("button", { name: "Add as an alternate" }).click();
  await expect(page.getByLabel("High way leaves at")).toHaveValue("22.2");
  expect(await lengthKm(page)).toBe(plain);
  await page.getByRole("checkbox", { name: "Use High way" }).click();
  await expect(page.getByRole("slider", { name: "stop High store" })).toBeVisible();
  const longer = await lengthKm(page);
  expect(longer).toBeGreaterThan(plain + 3);
  for (let i = 0; i < 2; i++) await page.getByRole("button", { name: "Reverse direction" }).click();
  await expect.poll(() => lengthKm(page)).toBe(longer);
  await page.reload();
  await expect(page.getByRole("slider", { name: "stop High store" })).toBeVisible();
  await page.getByRole("button", { name: "Remove High way" }).click();
  await expect(page.getByRole("slider", { name: "stop High store" })).toHaveCount(0);
  await expect.poll(() => lengthKm(page)).toBe(plain);
});
