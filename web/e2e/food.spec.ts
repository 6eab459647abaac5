/** Food: menus into the bag, the bag that fills itself, lists, tables, own mixes. */
import { readFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import readXlsxFile from "read-excel-file/node";
import { asFile, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

async function openFood(page: Page, leg = 9): Promise<void> {
  await openDemo(page, `/food/?leg=${leg}`);
  await expect(page.getByTestId("bag")).toBeVisible();
}

const bagKg = async (page: Page): Promise<number> =>
  Number.parseFloat((await page.getByTestId("bag").locator("p").first().innerText()).replace(",", ""));

test("a menu's grams are in the bag at once; a food is added by its name, and goes again", async ({ page }) => {
  await openFood(page);
  const before = await bagKg(page);
  const items = page.getByRole("table", { name: "Items in the food bag" });
  await expect(items.getByRole("cell", { name: "Jam", exact: true })).toHaveCount(0);
  const add = page.getByLabel("Add to lunch and snacks");
  await add.fill("jam");
  await expect(page.getByTitle(/^Undo: Cooked day: add/)).toHaveCount(0);
  await add.press("Enter");
  await expect(items.getByText("Jam", { exact: true })).toBeVisible();
  // Less dense than the rest: the same energy weighs more.
  await page.getByLabel("Jam at lunch and snacks").fill("200");
  await page.getByLabel("Jam at lunch and snacks").press("Enter");
  await expect.poll(() => bagKg(page)).toBeGreaterThan(before + 0.2);
  await page.getByRole("button", { name: "Remove Jam from Cooked day" }).click();
  await expect(items.getByText("Jam", { exact: true })).toHaveCount(0);
  await expect.poll(() => bagKg(page)).toBeCloseTo(before, 2);
});

test("a bag fills itself within its limits, fits the canister, says what holds it back, and is undone with one key", async ({
  page,
}) => {
  await openFood(page, 10);
  const targets = page.getByRole("table", { name: "Food bag against its targets" });
  await expect(targets).toContainText("too much at the start");
  const before = await bagKg(page);
  await page.getByRole("button", { name: "Fill the food bag for leg 10" }).click();
  const says = page.getByTestId("fill-says");
  await expect(says).toContainText(/Leg 10: [\d,]+ g instead of/);
  await expect(says).toContainText("Limited by");
  await expect(targets).toContainText("fits");
  await expect.poll(() => bagKg(page)).toBeLessThan(before - 0.3);
  await page.keyboard.press("Control+z");
  await expect.poll(() => bagKg(page)).toBeCloseTo(before, 2);
});

test("what cannot be filled says which limit would have to give", async ({ page }) => {
  await openFood(page);
  await page.getByText("Limits for a filled food bag").click();
  await page.getByLabel("Protein per kg of body weight, per day").fill("4");
  await page.getByLabel("Protein per kg of body weight, per day").press("Enter");
  await page.getByLabel("Energy from fat, maximum").fill("10");
  await page.getByLabel("Energy from fat, maximum").press("Enter");
  await page.getByLabel("Portions of one food a day, maximum").fill("0.1");
  await page.getByLabel("Portions of one food a day, maximum").press("Enter");
  await page.getByRole("button", { name: "Fill the food bag for leg 9" }).click();
  await expect(page.getByTestId("fill-says")).toContainText("no bag fits all your limits");
  await expect(page.getByTestId("fill-says")).toContainText("kcal");
});

test("a mix is built from the pantry, eaten, bought by its parts, and has its own label", async ({ page }) => {
  await openFood(page, 1);
  await page.getByRole("button", { name: "Food", exact: true }).click();
  const panel = page.getByTestId("food-panel");
  await panel.getByLabel("Name").fill("Nut bread");
  await panel.getByLabel("Name").press("Enter");
  await panel.getByLabel("Add to Nut bread").fill("crispbread");
  await panel.getByLabel("Add to Nut bread").press("Enter");
  await panel.getByLabel("Add to Nut bread").fill("almond butter");
  await panel.getByLabel("Add to Nut bread").press("Enter");
  await panel.getByLabel("Almond butter in Nut bread").fill("100");
  await panel.getByLabel("Almond butter in Nut bread").press("Enter");
  // (50 g of 350 and 100 g of 625) / 150 g.
  await expect(panel).toContainText("100 g bring 533 kcal");
  await page.getByLabel("Add to breakfast").fill("nut bread");
  await page.getByLabel("Add to breakfast").press("Enter");
  await page.getByText("Shopping, packing and mixing lists").click();
  const lists = page.getByTestId("shopping");
  await expect(lists.getByRole("region", { name: "Mixing" })).toContainText("Nut bread");
  await expect(lists).toContainText(/Label: “Nut bread, \d+ g/);
  // A tick stays on the device, and the list leaves as a spreadsheet of numbers.
  await lists.getByRole("listitem").getByRole("checkbox").first().check();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    lists.getByRole("button", { name: "XLSX" }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/shopping\.xlsx$/);
  const [head, first] = (await readXlsxFile(await readFile(await download.path())))[0]!.data;
  expect(head).toContain("food");
  expect(typeof first![4]).toBe("number");
  await page.reload();
  await page.getByText("Shopping, packing and mixing lists").click();
  await expect(page.getByTestId("shopping").getByRole("listitem").getByRole("checkbox").first()).toBeChecked();
});

test("a table of foods: its lines are read, what does not is told by its line, and nothing is taken unasked", async ({
  page,
}) => {
  await openFood(page);
  const rows = "name;energy kJ;protein\nHill cake;1 841;8,5\n;400;1\nSnow;abc;0\n";
  await page.getByTestId("food-file").setInputFiles(asFile("foods.csv", rows, "text/csv"));
  const preview = page.getByTestId("food-preview");
  await expect(preview).toContainText("1 food, Hill cake 440 kcal per 100 g");
  await expect(preview).toContainText("line 3: This row has no name.");
  await expect(preview).toContainText("line 4: Snow: “abc” in column kJ isn’t a number.");
  await preview.getByRole("button", { name: "Import 1 food" }).click();
  await page.getByLabel("Find a food or a tag").fill("hill");
  await expect(page.getByRole("table", { name: "Foods" })).toContainText("Hill cake");
  await expect(page.getByLabel("Energy of Hill cake")).toHaveValue("440");
});

test("rows of a spreadsheet are pasted as foods", async ({ page }) => {
  await openFood(page);
  await page.getByRole("table", { name: "Foods" }).evaluate((table) => {
    const data = new DataTransfer();
    data.setData("text/plain", "name\tserving g\tcalories\nRiver bar\t40\t208\n");
    table.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  });
  const preview = page.getByTestId("food-preview");
  await expect(preview).toContainText("River bar 520 kcal per 100 g");
  await preview.getByLabel("Figures are").selectOption("per 100 g");
  await expect(preview).toContainText("River bar 208 kcal per 100 g");
  await preview.getByRole("button", { name: "Cancel" }).click();
  await expect(preview).toHaveCount(0);
});

test("another menu for a day, a leg, and a packed one beside a cooked one", async ({ page }) => {
  await openFood(page);
  await page.getByLabel("Menu of leg 9").selectOption("Ready-meal day");
  await expect(page.getByRole("table", { name: "Items in the food bag" })).toContainText(
    "Ready dinner, rice and curry",
  );
  await page.getByLabel("Menu of 10 May").selectOption("Soaked day");
  await expect(page.getByRole("table", { name: "Items in the food bag" })).toContainText("Overnight oats, soaked");
  await page.getByText("Compare menus").click();
  await expect(page.getByRole("table", { name: "Compare menus" })).toContainText("Ready-meal day");
  await page.getByRole("button", { name: "Compare over the whole hike" }).click();
  const hike = page.getByRole("table", { name: "Menus over the whole hike" });
  await expect(hike.getByRole("row", { name: /Soaked day/ })).toContainText(/\d kg/);
  await page.getByRole("button", { name: "Use the default menu everywhere" }).click();
  await expect(page.getByRole("table", { name: "Items in the food bag" })).not.toContainText("Ready dinner, rice");
});

test("a menu for dry camps; a reserve; a food moved to another meal by keys", async ({ page }) => {
  await openFood(page);
  const before = await bagKg(page);
  await page.getByLabel("Menu of dry camps").selectOption("Soaked day");
  await expect(page.getByRole("region", { name: "Menus by day" })).toContainText("Soaked day");
  await page.getByLabel("Menu of dry camps").selectOption("default");
  await expect.poll(() => bagKg(page)).toBeCloseTo(before, 2);
  await page.getByLabel("Reserve").selectOption("no reserve");
  await expect.poll(() => bagKg(page)).toBeLessThan(before - 0.1);
  const breakfast = page.getByRole("region", { name: "Breakfast" });
  await page.getByRole("combobox", { name: "Menu", exact: true }).selectOption("Cooked day");
  const grip = breakfast.getByRole("button", { name: "Move Oat, nut and milk mix to another meal" });
  await grip.focus();
  await page.keyboard.press("Space");
  await expect(page.getByText("Oat, nut and milk mix is over Breakfast.")).toBeAttached();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByText("Oat, nut and milk mix is over Lunch and snacks.")).toBeAttached();
  await page.keyboard.press("Space");
  await expect(
    page.getByRole("region", { name: "Lunch and snacks" }).getByLabel("Oat, nut and milk mix at lunch and snacks"),
  ).toBeVisible();
  await expect(breakfast.getByLabel("Oat, nut and milk mix at breakfast")).toHaveCount(0);
});

test("an own trail has menus from the first minute, on a phone as well", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await expect(page.getByTestId("line")).toBeVisible();
  await station(page, "Food");
  await expect(page.getByTestId("bag")).toContainText("Oat, nut and milk mix");
  await page.getByRole("button", { name: "Fill the food bag for leg 1" }).click();
  await expect(page.getByTestId("fill-says")).toContainText("instead of");
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test("foods of one trip are in the pantry of the next", async ({ page }) => {
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await expect(page.getByTestId("line")).toBeVisible();
  await station(page, "Food");
  await page.getByTestId("food-file").setInputFiles(asFile("foods.csv", "name,kcal\nHill cake,440\n", "text/csv"));
  await page.getByRole("button", { name: "Import 1 food" }).click();
  await expect(page.getByText("Saved on this device")).toBeVisible();
  await beginTrip(page, asFile("other.gpx", gpxOf(700)));
  await expect(page.getByTestId("line")).toBeVisible();
  await station(page, "Food");
  await page.getByLabel("Find a food or a tag").fill("hill");
  await expect(page.getByRole("table", { name: "Foods" })).toContainText("Hill cake");
});
