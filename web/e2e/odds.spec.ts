/** Odds: a thousand hikes as a reading of Legs; what a reserve does, and taken. */
import { asFile, beginTrip, expect, gpxOf, openDemo, test } from "./fixtures.ts";

test("the odds of each leg, the range of arrival, and a reserve that is tried and taken", async ({ page }) => {
  await openDemo(page, "/?leg=10");
  await page.getByRole("button", { name: "Odds", exact: true }).click();
  const finish = page.getByTestId("odds-finish");
  await expect(finish).toContainText(/^1000 hikes: half arrive by \d+ \w+, one in ten before/);
  const table = page.getByRole("table", { name: "Chances of each leg" });
  await expect(table.getByRole("row")).toHaveCount(23);
  await expect(table.getByRole("row").nth(1)).toContainText(/\d+ in 100/);
  await table.getByRole("row", { name: /^9\. Ivory Gate/ }).click();
  await expect(page.getByTestId("why").getByRole("heading", { level: 2 })).toContainText("9. Ivory Gate");
  await page.getByRole("button", { name: "What a larger reserve does" }).click();
  const reserves = page.getByRole("table", { name: "Reserves" });
  await expect(reserves.getByRole("row")).toHaveCount(7);
  const inHundred = async (row: number): Promise<number> =>
    Number(/(\d+) in 100/.exec(await reserves.getByRole("row").nth(row).innerText())![1]);
  const before = await inHundred(1);
  expect(await inHundred(5)).toBeLessThan(before);
  await reserves.getByRole("button", { name: "Take 2 days" }).click();
  await expect(page.getByTestId("effect")).toContainText("2 days in reserve");
  // The plan is another one: its odds are asked for again.
  await page.getByRole("button", { name: "Walk a thousand hikes again" }).click();
  await expect(finish).toContainText("1000 hikes");
  await page.getByRole("button", { name: "Weights again" }).click();
  await expect(page.getByTitle("Why this weight").first()).toBeVisible();
});

test("an own trail has its odds on a phone as well", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await page.getByRole("button", { name: "Odds", exact: true }).click();
  await expect(page.getByTestId("odds-finish")).toContainText("1000 hikes");
  await expect(page.getByRole("table", { name: "Chances of each leg" }).getByRole("row")).toHaveCount(2);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
