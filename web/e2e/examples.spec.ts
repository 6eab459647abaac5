/** Five made-up walks, each on its main path: planned, packed, posted, printed, walked and learned from. */
import type { Page } from "@playwright/test";
import { addHiker, expect, openDemo, openExampleOf, station, test } from "./fixtures.ts";

async function openOwn(page: Page, name: string, legs: number): Promise<void> {
  await openDemo(page);
  await openExampleOf(page, name);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(name);
  await expect(page.getByTestId("line")).toContainText(`${legs} legs`);
}

/** Two days as planned into the log, and what they teach. */
async function walkTwoDays(page: Page): Promise<void> {
  await station(page, "Log");
  await page.getByText("Catch up on several days").click();
  const several = page.getByTestId("catch-up");
  await several.getByRole("button", { name: "Fill in as planned, until" }).click();
  await several.getByRole("button", { name: /^Save th(is|ese) (\d+ )?days?/ }).click();
  await expect(page.getByTestId("log-say")).toContainText(/days? saved/);
}

test("six lights: hours in the dark, a bed at every light, lamps and banks", async ({ page }) => {
  await openOwn(page, "Six lights", 6);
  await expect(page.locator("#leg-row-0")).toContainText("Start to Sill Light");
  await station(page, "Days");
  await expect(page.getByRole("table", { name: "Days" }).getByRole("row").nth(1)).toContainText("dark");
  await station(page, "Fuel & power");
  await expect(page.getByRole("main")).toContainText("Headlamp");
  await walkTwoDays(page);
});

test("the towpath: the child’s load is its own, doors that shut are told, every night a bed", async ({ page }) => {
  await openOwn(page, "The towpath", 24);
  await page.getByRole("radio", { name: "Milo" }).click();
  await expect(page.getByTestId("line")).toContainText("comfortable load 4.0 kg");
  await station(page, "Stops");
  await expect(page.getByRole("main")).toContainText("Bargeman’s Rest");
  await station(page, "Kit");
  await page.getByRole("radio", { name: "Ines" }).click();
  await page.getByLabel("Find", { exact: true }).fill("cards");
  await expect(page.getByLabel("Weight of Cards and a book")).toBeVisible();
  await walkTwoDays(page);
});

test("pans and dunes: caches by the litre, and the way on when one of them is gone", async ({ page }) => {
  await openOwn(page, "Pans and dunes", 2);
  const before = await page.getByTestId("line").innerText();
  await station(page, "Water");
  await expect(page.getByRole("main")).toContainText("Cache 3");
  await station(page, "Legs");
  await page.getByRole("button", { name: "Odds", exact: true }).click();
  await expect(page.getByTestId("odds-finish")).toContainText("1,000 simulated hikes");
  await page.getByRole("button", { name: /^Leg 1, of water: \d+ in 100/ }).click();
  await page.getByTestId("went-wrong").getByRole("button", { name: "Open as a variant" }).first().click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("of 1000");
  await expect.poll(() => page.getByTestId("line").innerText()).not.toBe(before);
});

test("into the frost: all food in boxes, and the winter bag comes where the nights grow cold", async ({ page }) => {
  await openOwn(page, "Into the frost", 12);
  await station(page, "Boxes");
  await page.getByRole("row", { name: /^Birch Cross/ }).click();
  await expect(page.getByRole("main")).toContainText("Winter bag");
  await station(page, "Legs");
  await page.getByRole("button", { name: "Print cards" }).click();
  await expect(page.getByRole("dialog")).toContainText(/leg cards/i);
  await page.keyboard.press("Escape");
  await walkTwoDays(page);
});

test("two halves: sections in the better order, fords by the hour, a decision that waits on the snow", async ({
  page,
}) => {
  await openOwn(page, "Two halves", 4);
  await expect(page.locator("#leg-row-0")).toContainText("Saddle Lodge to Cairn Hut");
  await station(page, "Season");
  await expect(page.getByRole("main")).toContainText("Milk river");
  await station(page, "Kit");
  await page.getByText(/^Open decisions/).click();
  await expect(page.getByRole("main")).toContainText("if the hut tells of hard snow on the saddle");
  await walkTwoDays(page);
});

test("two halves: a friend joins for the second, which is planned as a variant of its own", async ({ page }) => {
  await openOwn(page, "Two halves", 4);
  await station(page, "Stops");
  await page.getByRole("row", { name: /Saddle Lodge/ }).click();
  await page.getByRole("button", { name: "Plan the rest as a variant" }).click();
  await expect(page.getByTestId("line")).toContainText("2 legs");
  await addHiker(page, "Tui");
  await station(page, "Legs");
  await expect(page.locator("#leg-row-0")).toContainText("4 Jan");
  await expect(page.locator("#leg-row-1")).toContainText("Finish");
  // The whole hike is as it was.
  await page.getByRole("button", { name: "Variants", exact: true }).click();
  await expect(page.getByRole("main")).toContainText("From Saddle Lodge on");
});
