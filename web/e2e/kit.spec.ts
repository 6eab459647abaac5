/** Kit: what is asked of it, swaps found by search, a piece typed in a line, where everything is. */
import { asFile, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

test("demands stand over the pieces; one is waived and required again; swaps are found, applied and undone", async ({
  page,
}) => {
  await openDemo(page, "/kit/?leg=11");
  const demands = page.getByTestId("demands");
  await expect(demands.getByText("Snow underfoot")).toBeVisible();
  await demands.getByRole("button", { name: /Soft snow/ }).click();
  const panel = page.getByTestId("demand");
  await expect(panel).toContainText("Not covered: nothing in the kit. You need snowshoes");
  await panel.getByRole("button", { name: "Waive it on this leg" }).click();
  await expect(panel).toContainText("Waived by you");
  await panel.getByRole("button", { name: "Use the plan’s figures" }).click();
  await expect(panel).toContainText("Not covered");

  await page.getByText("Find swaps", { exact: true }).click();
  await page.getByRole("button", { name: "Find swaps" }).click();
  await expect(page.getByTestId("swaps-say")).toContainText("instead of", { timeout: 60_000 });
  const found = page.getByRole("list", { name: "Swaps by item" });
  const spikes = found.getByRole("listitem").filter({ hasText: "Ice axe" }).first();
  await expect(spikes).toContainText("first needed for");
  await page.getByRole("button", { name: /^Apply all/ }).click();
  await expect(page.getByTestId("swaps-say")).toHaveCount(0);
  // They are what the search would find: asked again, it finds nothing to change.
  await page.getByRole("button", { name: "Find swaps" }).click();
  await expect(page.getByText("No better arrangement exists")).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press("Control+z");
  await page.getByText("Where everything is on a given day").click();
  await expect(page.getByLabel("Where everything is")).toContainText("At home");
});

test("an own trail on a phone: a piece typed in a line is weighed, found, and meets what it is for", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await station(page, "Kit");
  const line = page.getByLabel("Add an item by typing a line");
  await line.fill("rain cape");
  await line.press("Enter");
  await expect(page.getByRole("alert")).toContainText("Enter a name and a weight");
  await line.fill("Rain cape 7 oz");
  await line.press("Enter");
  await expect(page.getByLabel("Weight of Rain cape")).toHaveValue("198");
  const rain = page.getByTestId("demands").getByRole("button", { name: /^Rain/ });
  await expect(rain).not.toContainText("open");
  await line.fill("2 x Anvil 3 kg");
  await line.press("Enter");
  await expect(page.getByText("Anvil ×2")).toBeVisible();
  await page.getByLabel("Show").selectOption("500 g and more");
  await expect(page.getByText("Anvil ×2")).toBeVisible();
  await expect(page.getByLabel("Weight of Rain cape")).toHaveCount(0);
  await page.getByRole("searchbox", { name: "Find" }).fill("spoon");
  await expect(page.getByText("No items match. Clear the search or the filter.")).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test("a list pasted into the line is read line by line, shown as it was understood, and stored", async ({ page }) => {
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await station(page, "Kit");
  const lines = [
    "SLEEP",
    "quilt 20F 680 g",
    "pad R 4.2 410g",
    "",
    "2x bottle 1 L 38g",
    "poles (worn) 16 oz",
    "map",
    "Total 1.2 kg",
  ];
  await page.getByLabel("Add an item by typing a line").evaluate((input, text) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData("text", text);
    input.dispatchEvent(new ClipboardEvent("paste", { clipboardData, bubbles: true, cancelable: true }));
  }, lines.join("\n"));
  const preview = page.getByTestId("kit-preview");
  const read = preview.getByRole("list", { name: "How each line was read" }).getByRole("listitem");
  await expect(read).toHaveCount(5);
  // What has no weight comes first; each is corrected where it stands.
  await expect(preview).toContainText("1 line has no weight: it comes first.");
  await expect(read.first().getByLabel("Weight of map")).toHaveValue("0");
  await expect(read.nth(1).getByLabel("quilt 20F is")).toHaveValue("bag");
  await expect(read.nth(1)).toContainText("comfort −7 °C");
  await read.first().getByLabel("Weight of map").fill("62");
  await read.first().getByLabel("Weight of map").press("Enter");
  await read
    .filter({ has: page.getByLabel("Weight of pad R 4.2") })
    .getByLabel("Name of pad R 4.2")
    .fill("Thick pad");
  await page.keyboard.press("Enter");
  await expect(preview).toContainText("line 7: “map” has no weight; imported with 0. Weigh it.");
  await preview.getByRole("button", { name: "Import 5 items" }).click();
  await expect(preview).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel("Weight of quilt 20F")).toHaveValue("680");
  await expect(page.getByLabel("Weight of bottle 1 L")).toHaveValue("38");
  await expect(page.getByLabel("Weight of map")).toHaveValue("62");
  await expect(page.getByLabel("Weight of Thick pad")).toHaveValue("410");
});

test("a kit list of any columns is read with what is wrong said, shared out fairly, and ticked while packing", async ({
  page,
}) => {
  await openDemo(page, "/kit/?leg=1");
  const rows = "Item,Category,Weight (oz),Qty\nWool hat,Layers,1.6,1\nTotal,,1.6,\nRock,Odd,9 stone,1\n";
  await page.getByTestId("kit-file").setInputFiles(asFile("list.csv", rows, "text/csv"));
  const preview = page.getByTestId("kit-preview");
  await expect(preview).toContainText("1 item, Wool hat 45 g");
  await expect(preview).toContainText("line 3: “Total” looks like a total and was skipped.");
  await expect(preview).toContainText("line 4: “stone” isn’t a weight unit. Use g, kg, oz or lb.");
  await preview.getByRole("button", { name: "Import 1 item" }).click();
  await expect(page.getByLabel("Weight of Wool hat")).toHaveValue("45");
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel("Weight of Wool hat")).toHaveCount(0);

  await page.getByText("Share the load fairly", { exact: true }).click();
  const changes = page.getByRole("list", { name: "Items that change carrier" });
  await expect(changes.getByRole("listitem").first()).toBeVisible();
  await page.getByRole("button", { name: "Apply to the whole hike" }).click();
  await expect(page.getByText("This is already as fair as it gets.")).toBeVisible();

  await page.getByText("Weight by group", { exact: true }).click();
  await expect(page.getByText("Skin-out weight: everything worn and carried")).toBeVisible();
  await page.getByText("Packing list", { exact: true }).click();
  const shelter = page.getByRole("region", { name: "To pack: Sleep" });
  await shelter.getByRole("checkbox").first().check();
  await expect(page.getByText(/^1 of \d+ packed for leg 1/)).toBeVisible();
  await page.reload();
  await page.getByText("Packing list", { exact: true }).click();
  await expect(page.getByText(/^1 of \d+ packed for leg 1/)).toBeVisible();
});

test("a piece is laid on the simulated scale, settles, and what is told of it stays known", async ({ page }) => {
  await openDemo(page, "/kit/");
  await page
    .getByRole("button", { name: "Edit Ground sheet" })
    .or(page.getByTitle("Edit Ground sheet"))
    .first()
    .click();
  const dialog = page.getByRole("dialog");
  await dialog.getByRole("button", { name: "Weigh" }).click();
  await expect(dialog.getByText("simulated scale")).toBeVisible();
  await dialog.getByRole("button", { name: "Use this weight" }).click();
  const mass = dialog.getByLabel("Weight of one");
  await expect(mass).not.toHaveValue("88");
  await expect(dialog.getByLabel("I weighed it")).toBeChecked();
  const weighed = await mass.inputValue();
  await dialog.getByRole("button", { name: "Save changes" }).click();
  await expect(page.getByLabel("Weight of Ground sheet")).toHaveValue(weighed);
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel("Weight of Ground sheet")).toHaveValue("88");
});
