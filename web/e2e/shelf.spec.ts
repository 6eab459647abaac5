/** Kit across trips: the shelf, alternatives, decisions that wait, two lists compared, the pack, several at once. */
import type { Page } from "@playwright/test";
import { asFile, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

const open = (page: Page, title: string | RegExp) => page.locator("summary", { hasText: title }).click();

test("alternatives are weighed on the whole hike, one is taken, and the other lies on the shelf", async ({ page }) => {
  await openDemo(page, "/kit/");
  await open(page, "Alternatives");
  await page.getByRole("button", { name: "Compare over the whole hike" }).click();
  const table = page.getByRole("table", { name: "Alternatives" });
  const tarp = table.getByRole("row", { name: /^Tarp with net/ });
  await expect(tarp).toContainText("kg·km", { timeout: 60_000 });
  await expect(table.getByRole("row")).toHaveText([/^shelter/, /^Tarp/, /^Double-wall/, /^Trekking-pole/]);
  await page.getByLabel("Importance of comfort").fill("3");
  await page.getByLabel("Importance of weight").fill("0");
  await page.getByLabel("Importance of cost").fill("0");
  await expect(table.getByRole("row")).toHaveText([/^shelter/, /^Double-wall/, /^Trekking-pole/, /^Tarp/]);
  await tarp.getByRole("button", { name: /^Use Tarp with net/ }).click();
  await open(page, "Shelf and starter lists");
  const shelf = page.getByRole("table", { name: "Shelf" });
  await expect(shelf.getByRole("row", { name: /^Trekking-pole tent/ })).toContainText("540 crowns");
  await expect(shelf.getByRole("row", { name: /^Tarp/ })).toHaveCount(0);
  await open(page, /^Open decisions/);
  await expect(page.getByRole("region", { name: "Gear change log" })).toContainText("688 g instead of 842 g");
  await page.keyboard.press("Control+z");
  await expect(shelf.getByRole("row", { name: /^Tarp/ })).toHaveCount(1);
});

test("a decision waits with its day and both weights, is decided with a reason, and opened again", async ({ page }) => {
  await openDemo(page, "/kit/?leg=10&hiker=2");
  await open(page, /^Open decisions/);
  const list = page.getByRole("list", { name: "Open decisions" });
  const stakes = list.locator('[data-held^="more than 5 km"]');
  await expect(stakes).toContainText(/\+76 g from Ivory Gate; decide by \d+ \w+/);
  await expect(stakes).toContainText("By the plan’s figures this applies");
  const row = page.getByTestId("base-weights").getByRole("button", { name: /leg 10/ });
  const before = await row.innerText();
  await stakes.getByLabel("Why").fill("nights on bare ground");
  await stakes.getByRole("button", { name: "Leave it behind" }).click();
  await expect(stakes).toContainText(/Left behind, decided on .*: nights on bare ground/);
  await expect(row).not.toHaveText(before);
  await stakes.getByRole("button", { name: "Reopen" }).click();
  await expect(row).toHaveText(before);
  await page.getByLabel("Only if").fill("the cache at the well is empty");
  await page.getByRole("combobox", { name: /^take/ }).selectOption({ label: "Water bag, 3 L" });
  await page.getByLabel("Check against").selectOption("a water carry over");
  await page.getByRole("textbox", { name: "L", exact: true }).fill("5");
  await page.getByRole("button", { name: "Add decision" }).click();
  const cache = list.getByRole("listitem").filter({ hasText: "the cache at the well is empty" });
  await expect(cache).toContainText("a water carry over 5.0 L");
  await cache.getByRole("button", { name: "Delete" }).click();
  await expect(cache).toHaveCount(0);
});

test("two lists are compared: before a shakedown and now, start and finish; one is kept and forgotten", async ({
  page,
}) => {
  await openDemo(page, "/kit/");
  await open(page, "Compare two lists");
  await expect(page.getByTestId("lists-say")).toContainText("“before the shakedown”");
  await expect(page.getByRole("region", { name: "Removed" })).toContainText("Camp chair");
  await expect(page.getByRole("region", { name: "Changed" })).toContainText("First-aid kit");
  await page.getByRole("combobox", { name: /^From/ }).selectOption("at the start");
  await page.getByRole("combobox", { name: /^To/ }).selectOption("at the finish");
  await expect(page.getByRole("region", { name: "Added" })).toContainText("Quilt, comfort 4 °C");
  await page.getByPlaceholder("before the shakedown").fill("today");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await page.getByRole("combobox", { name: /^From/ }).selectOption("“today”");
  await page.getByRole("combobox", { name: /^To/ }).selectOption("everything on the hike");
  await expect(page.getByText("The two lists are identical.")).toBeVisible();
  await page.getByRole("button", { name: "Delete “today”" }).click();
  await expect(page.getByRole("combobox", { name: /^From/ })).not.toContainText("“today”");
});

test("several pieces are chosen with keys held, carried elsewhere, left at home in one step, and the pack is drawn", async ({
  page,
}) => {
  await openDemo(page, "/kit/");
  await page.getByLabel("Select Stakes, 8").click();
  await page.getByLabel("Select Backpack").click({ modifiers: ["Shift"] });
  const bar = page.getByRole("region", { name: "Selected items" });
  await expect(bar).toContainText("3 items, 1,170 g");
  await bar.getByRole("button", { name: "Leave at home" }).click();
  await expect(page.getByLabel("Select Backpack")).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel("Select Backpack")).toBeVisible();
  await expect(bar).toContainText("3 items");
  await bar.getByLabel("Packing place").selectOption("in the lid");
  await bar.getByRole("button", { name: "Clear selection" }).click();
  await open(page, "How the pack is packed");
  await expect(page.getByRole("list", { name: "Packing order" }).getByText("In the lid").locator("..")).toContainText(
    "Ground sheet",
  );
  await expect(page.getByTestId("pack-say")).toContainText(/in a pack of 50\.0 L/);
});

test("an own trip begins with a starter list, weighed on the scale; the next trip begins with what is owned", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await station(page, "Kit");
  await open(page, "Shelf and starter lists");
  const starter = page.getByRole("region", { name: "Starter list" });
  await starter.getByLabel("Start with").selectOption("light");
  await starter.getByRole("checkbox", { name: "with a stove" }).click();
  await starter.getByRole("button", { name: /^Add \d+ items/ }).click();
  await expect(page.getByLabel("Weight of Tarp with net")).toHaveValue("620");
  await page.getByLabel("Select Tent").click();
  await page.getByRole("button", { name: "Leave at home" }).click();
  await expect(page.getByRole("table", { name: "Shelf" }).getByRole("row", { name: /^Tent/ })).toContainText("typical");

  await open(page, "Weigh several items in a row");
  const scale = page.getByRole("region", { name: "On the scale" });
  await expect(scale).toContainText("listed");
  const first = await scale.getByRole("button").first().innerText();
  await scale.getByRole("button", { name: "Weigh" }).click();
  await scale.getByRole("button", { name: "Use this weight" }).click();
  await expect(scale.getByRole("button").first()).not.toHaveText(first);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

  await beginTrip(page, asFile("south.gpx", gpxOf(600)));
  await station(page, "Kit");
  await expect(page.getByLabel("Weight of Tarp with net")).toHaveValue("620");
  await open(page, "Shelf and starter lists");
  await expect(page.getByRole("table", { name: "Shelf" }).getByRole("row", { name: /^Tent/ })).toBeVisible();
});

test("columns that heads do not name are told what they are, and the pieces go on the shelf", async ({ page }) => {
  await openDemo(page, "/kit/");
  const rows = "what it is;heavy;spent\nHammock;1.640;120\nBivvy;410;95\n";
  await page.getByTestId("kit-file").setInputFiles(asFile("list.csv", rows, "text/csv"));
  const preview = page.getByTestId("kit-preview");
  await expect(preview).toContainText("nothing to import");
  await preview.getByLabel("heavy").selectOption("mass");
  // Nothing in the table tells what its point parts: it is asked.
  await preview.getByLabel("How this table writes decimals").selectOption("comma");
  await expect(preview).toContainText("2 items, Hammock 1,640 g, Bivvy 410 g");
  await preview.getByLabel("spent").selectOption("price");
  await preview.getByLabel("Imported items go").selectOption("on the shelf");
  await preview.getByRole("button", { name: "Import 2 items" }).click();
  await open(page, "Shelf and starter lists");
  await expect(page.getByRole("table", { name: "Shelf" }).getByRole("row", { name: /^Hammock/ })).toContainText(
    "120 crowns",
  );
});

test("a change that was thought of is made: the piece weighs less by it, and wants weighing again", async ({
  page,
}) => {
  await openDemo(page, "/kit/");
  await page.getByTitle("Edit Backpack").first().click();
  const dialog = page.getByRole("dialog");
  await dialog.locator("summary", { hasText: "Packing place" }).click();
  await expect(dialog.getByRole("textbox", { name: "What" }).first()).toHaveValue("Lid and spare straps cut off");
  await dialog.getByRole("checkbox", { name: "done" }).nth(1).click();
  await expect(dialog.getByLabel("Weight of one")).toHaveValue("868");
  await dialog.getByRole("button", { name: "Save changes" }).click();
  await expect(page.getByLabel("Weight of Backpack").first()).toHaveValue("868");
  await expect(dialog).toHaveCount(0);
  await page.getByLabel("Show").selectOption("not weighed");
  await expect(page.getByLabel("Weight of Backpack")).toHaveValue("868");
});
