/** Power: fuel by leg, ways to cook, devices, what to switch off. */
import { asFile, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

test("fuel by leg follows the stove, ways to cook stand side by side, and what to switch off is found", async ({
  page,
}) => {
  await openDemo(page, "/power/?leg=9");
  const fuel = page.getByRole("table", { name: "Fuel by leg" });
  const row = fuel.getByRole("row", { name: /9\. Ivory Gate/ });
  await expect(row).toContainText(/\d+ g/);
  await page.getByText("Compare cooking systems").click();
  await expect(page.getByTestId("system-chart")).toBeVisible();
  await expect(page.getByRole("table", { name: "Cooking systems" }).getByRole("row")).toHaveCount(7);
  await page.getByText("Stove", { exact: true }).first().click();
  await page.getByLabel("Cooking system").selectOption("no stove");
  await expect(page.getByText("No stove, so no fuel. Choose a stove below.")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(row).toContainText(/\d+ g/);

  await page.getByRole("button", { name: "What to turn off to make it" }).click();
  const steps = page.getByRole("list", { name: "Turned off" });
  await expect(steps).toContainText("Now:");
  await expect(steps).toContainText("the rest lasts.");
  await page.getByRole("button", { name: "Which legs need the power banks" }).click();
  await expect(page.getByRole("list", { name: "Power banks by leg" })).toContainText(
    "Power bank, 10 000 mAh: needed on leg",
  );
  // One that has a rank comes first, and the others stay on.
  await page.getByLabel("When Camera is turned off").selectOption("1.");
  await page.getByRole("button", { name: "What to turn off to make it" }).click();
  await expect(steps.getByRole("listitem").nth(1)).toContainText("Without Camera:");
  await expect(steps.getByRole("listitem")).toHaveCount(2);
});

test("spare sets to a certainty, on an own trail, on a phone", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await expect(page.getByTestId("line")).toBeVisible();
  await station(page, "Fuel & power");
  const bought = page.getByRole("row", { name: /^1\./ }).first();
  await expect(bought).toContainText("230 g");
  await page.getByText("Stove", { exact: true }).click();
  await page.getByLabel("100 g").click();
  await page.getByLabel("230 g").click();
  await expect(bought).toContainText(/\d × 100 g|100 g/);
  await expect(bought).not.toContainText("230 g");
  await page.getByRole("button", { name: "Add device" }).click();
  await page.getByLabel("Kind of Device", { exact: true }).last().selectOption("battery-powered device");
  await page.getByLabel("Days per set of Device", { exact: true }).last().fill("4");
  await page.getByLabel("Days per set of Device", { exact: true }).last().press("Enter");
  await page.getByLabel("How sure the spare sets of Device should be").last().selectOption("in 99 of 100 cases");
  await expect(page.getByText(/“Device” needs \d spare sets? of batteries on this leg; you have 0\./)).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
