/** A newcomer with files of an own walk alone, on a phone and at a desk: from the first click to posted, powered and packed. */
import type { Page } from "@playwright/test";
import { addHiker, asFile, expect, gpxOf, showPlan, station, test } from "./fixtures.ts";

const HUTS = ["Alder Hut", "Birch Cross", "Long Bar Light", "Last Lock"]
  .map((name, i) => `<wpt lat="${40.3 + i * 0.3}" lon="-150"><name>${name}</name><sym>Lodging</sym></wpt>`)
  .join("");
const CACHE = `<wpt lat="40.15" lon="-150"><name>Cache 1</name><sym>Drinking Water</sym></wpt>`;
const KIT = "piece,group,grams,owner\nDay pack,Pack,520,Milo\nQuilt,Sleep,640,Ines\nFleece,Layers,190,Milo\n";

async function begin(page: Page): Promise<void> {
  await page.goto("/begin/");
  await page.getByTestId("gpx-file").setInputFiles(asFile("way.gpx", gpxOf(1370, HUTS + CACHE)));
  await expect(page.getByTestId("preview")).toContainText("No gaps; nothing to repair.");
  await page.getByLabel("Your name").fill("Ines");
  await page.getByLabel("Pace").selectOption("brisk");
  await showPlan(page);
  await expect(page.locator("#leg-row-0")).toContainText("Start to Finish");
}

test("on a phone: all huts take boxes and are used in one step, devices in another, and both are undone", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await begin(page);
  await station(page, "Trail");
  await page.getByRole("radio", { name: /Water/ }).click();
  await expect(page.getByLabel("Kind of Cache 1")).toHaveValue("cache");
  await station(page, "Stops");
  await page.getByText("Edit several stops at once").click();
  const change = page.getByRole("button", { name: "Change 4 stops" });
  await expect(change).toBeDisabled();
  await page.getByLabel("and also offer").selectOption("post");
  await page.getByLabel("and set to").selectOption("used");
  await change.click();
  const legs = page.getByRole("listbox", { name: "Legs" }).getByRole("option");
  await expect(legs).toHaveCount(5);
  await station(page, "Boxes");
  await expect(page.getByRole("row", { name: /^Long Bar Light/ })).toContainText("not packed yet");
  await station(page, "Fuel & power");
  await page.getByRole("button", { name: /^Add phone, headlamp and power bank/ }).click();
  await expect(page.getByRole("table", { name: "Devices" }).getByRole("row")).toHaveCount(4);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("table", { name: "Devices" })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(legs).toHaveCount(1);
  // Nothing is wider than the phone.
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test("at a desk: a second walker, and a kit list that tells whose each piece is", async ({ page }) => {
  await begin(page);
  await station(page, "Setup");
  await expect(page.getByText("Everyone walks together")).toHaveCount(0);
  await addHiker(page, "Milo");
  // Whoever comes along eats what the first does, and carries nothing yet.
  await station(page, "Food");
  await expect(page.getByRole("region", { name: "Menus", exact: true })).toContainText("Cooked day");
  await station(page, "Kit");
  await expect(page.getByText("Milo carries nothing yet.")).toBeVisible();
  await page.getByRole("button", { name: /^Add \d+ standard items/ }).click();
  await expect(page.getByLabel("Weight of Backpack")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByText("Milo carries nothing yet.")).toBeVisible();
  await page.getByTestId("kit-file").setInputFiles(asFile("kit.csv", KIT, "text/csv"));
  const preview = page.getByTestId("kit-preview");
  await expect(preview).toContainText("3 items");
  await expect(preview.getByRole("combobox", { name: /^owner/ })).toHaveValue("owner");
  await preview.getByLabel("Current kit").selectOption("goes");
  await preview.getByRole("button", { name: "Import 3 items" }).click();
  await expect(preview).toHaveCount(0);
  await expect(page.getByLabel("Weight of Day pack")).toHaveValue("520");
  await page.getByRole("radio", { name: "Ines" }).click();
  await expect(page.getByLabel("Weight of Quilt")).toHaveValue("640");
  await expect(page.getByLabel("Weight of Tent")).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByLabel("Weight of Tent")).toBeVisible();
});

test("a stop reached early in the day is walked on from with one click", async ({ page }) => {
  await begin(page);
  await station(page, "Stops");
  await page.getByRole("checkbox", { name: "Use Alder Hut" }).click();
  await page.getByRole("row", { name: /Alder Hut/ }).click();
  const stop = page.getByRole("complementary", { name: "Stop" });
  await expect(stop).toContainText("You arrive early and stay the night.");
  await stop.getByRole("button", { name: "Walk on the same day" }).click();
  await expect(stop).not.toContainText("You arrive early");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(stop).toContainText("You arrive early");
});
