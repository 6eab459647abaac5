/** Find anything, the list of keys, how a station works: by keyboard alone. */
import { axeOn, beginTrip, asFile, gpxOf, expect, openDemo, test } from "./fixtures.ts";

test("anything is found by a part of its name and shown where it is; what was found comes first the next time", async ({
  page,
}) => {
  await openDemo(page);
  await page.keyboard.press("Control+k");
  const dialog = page.getByRole("dialog", { name: "Find anything" });
  await expect(dialog).toBeVisible();
  await page.keyboard.type("pell hut over");
  await expect(dialog.getByRole("option").first()).toContainText("10. Pell Hut Road to Overlook");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("why").getByRole("heading", { level: 2 })).toContainText("10. Pell Hut Road");
  await page.keyboard.press("Control+k");
  await expect(dialog.getByRole("option").first()).toContainText("10. Pell Hut Road to Overlook");
  await page.keyboard.type("camera");
  await dialog
    .getByRole("option", { name: /^Camera/ })
    .first()
    .click();
  await expect(page.getByLabel("Find", { exact: true })).toHaveValue("Camera");
  await expect(page.getByLabel("Weight of Camera")).toBeVisible();
  await page.keyboard.press("Control+k");
  await expect(dialog).toBeVisible();
  await page.keyboard.type("brandt");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/\/stops\//);
  await expect(page.getByRole("main").getByRole("heading", { name: /Brandt ranch/ })).toBeVisible();
  await page.keyboard.press("Control+k");
  await page.keyboard.type("zzzz");
  await expect(dialog).toContainText("No matches in this plan.");
  await page.keyboard.press("Escape");
  await expect(dialog).toHaveCount(0);
});

test("actions, keys and words of help, without a fault for who cannot see them", async ({ page }) => {
  await openDemo(page, "/water/");
  await page.keyboard.press("?");
  const keys = page.getByRole("dialog", { name: "Keyboard shortcuts" });
  await expect(keys).toContainText("Ctrl K");
  expect((await axeOn(page).include("[role=dialog]").analyze()).violations).toEqual([]);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "How this page works" }).click();
  const how = page.getByRole("dialog", { name: "How Water works" });
  await expect(how).toContainText("A source that flowed last week may be dry.");
  await how.getByRole("button", { name: "Glossary" }).click();
  const words = page.getByRole("dialog", { name: "Glossary" });
  await words.getByLabel("Search").fill("dry");
  await expect(words).toContainText("a camp without water");
  await expect(words).not.toContainText("base weight");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+k");
  await expect(page.getByRole("dialog", { name: "Find anything" })).toBeVisible();
  expect((await axeOn(page).include("[role=dialog]").analyze()).violations).toEqual([]);
  await page.keyboard.type("night theme");
  await page.keyboard.press("Enter");
  await expect(page.locator("html")).toHaveAttribute("data-theme", "night");
});

test("a question mark in a field stays there, and the palette finds on a phone what an own trip has", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await page.getByRole("button", { name: "Find" }).click();
  const dialog = page.getByRole("dialog", { name: "Find anything" });
  await dialog.getByRole("combobox").fill("what?");
  await expect(page.getByRole("dialog", { name: "Keyboard shortcuts" })).toHaveCount(0);
  await dialog.getByRole("combobox").fill("need");
  await dialog.getByRole("option", { name: /^Setup: Energy need/ }).click();
  await expect(page).toHaveURL(/\/trip\/\?part=need/);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
