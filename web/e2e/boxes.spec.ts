/** Boxes and the leaving sheet: what is posted, where and when, and what is done at a stop. */
import { readFileSync } from "node:fs";
import { asFile, axeOn, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

test("boxes are made by the plan; one is added to, addressed, packed and sent, and undone with one key", async ({
  page,
}) => {
  await openDemo(page, "/boxes/?leg=14");
  const table = page.getByRole("table", { name: "Boxes" });
  await expect(table.getByRole("row")).toHaveCount(9);
  await expect(page.getByText("The box to Ivory Gate weighs 6.6 kg; the carrier’s limit is 6.0 kg.")).toBeVisible();
  await table.getByRole("row", { name: /^Upper Sael/ }).click();
  const panel = page.getByRole("region", { name: "Box to Upper Sael" });
  const total = panel.getByTestId("box-total");
  const before = Number((await total.innerText()).replace(/\D/g, ""));
  await panel.getByLabel("Add to the box").fill("maps");
  await panel.getByRole("button", { name: "Add" }).click();
  await expect(panel.getByRole("alert")).toContainText("Enter an item and a weight");
  await panel.getByLabel("Add to the box").fill("=SUM(maps) 120 g");
  await panel.getByRole("button", { name: "Add" }).click();
  await expect.poll(async () => Number((await total.innerText()).replace(/\D/g, ""))).toBe(before + 120);
  await panel.getByLabel("Address").fill("Post office\nUpper Sael");
  await panel.getByLabel("Address").blur();
  await expect(panel.getByText("No address yet")).toHaveCount(0);
  await panel.getByRole("button", { name: "mailed", exact: true }).click();
  await expect(panel.getByRole("button", { name: /^packed, / })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByTestId("boxes-say")).toContainText("2 sent");
  await page.keyboard.press("Control+z");
  await expect(page.getByTestId("boxes-say")).toContainText("1 sent");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Mailing calendar (ICS)" }).click(),
  ]);
  const ics = readFileSync(await download.path(), "utf8");
  expect(ics.match(/SUMMARY:(Mail the box to|The box to)/g)).toHaveLength(16);
  expect(ics).toContain("SUMMARY:Post office at ");
  expect(ics).toContain("SUMMARY:Mail the box to Ivory Gate");
  const [csv] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "CSV" }).click()]);
  expect(readFileSync(await csv.path(), "utf8")).toContain("'=SUM(maps)");
});

test("what is never carried goes in a box that is opened and mailed on, and is there after a reload", async ({
  page,
}) => {
  await openDemo(page, "/boxes/");
  await page.getByText("Bounce box", { exact: true }).click();
  await page.getByRole("button", { name: "Make a bounce box" }).click();
  await page.getByLabel("Put in").selectOption({ label: "Camera, Tamsin" });
  const says = page.getByTestId("bounce-says");
  await expect(says).toContainText("opened 16 times");
  await page.getByRole("checkbox", { name: "Saltgate" }).click();
  await expect(says).toContainText("opened 15 times");
  const table = page.getByRole("table", { name: "Boxes" });
  await expect(table.getByRole("row", { name: /^Mirror Wells, bounce box/ })).toBeVisible();
  await page.reload();
  await expect(table.getByRole("row", { name: /^Canner, bounce box, forwarded from Mirror Wells/ })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(table.getByRole("row", { name: /^Mirror Wells, bounce box, forwarded from Saltgate/ })).toBeVisible();
});

test("the list and the label of a box are one sheet of paper, alone", async ({ page }) => {
  await openDemo(page, "/boxes/");
  await page.getByRole("button", { name: "Print list and label" }).click();
  const paper = page.getByTestId("papers").getByRole("region", { name: "Preview" });
  await expect(paper).toContainText("Post office, Ivory Gate");
  await expect(paper.getByRole("list", { name: "In the box" })).toHaveCount(1);
  await expect(paper.getByRole("list", { name: "In the box" })).toContainText("Micro spikes, Jory");
  await page.emulateMedia({ media: "print" });
  await expect(page.getByTestId("line")).toBeHidden();
  await expect(paper).toBeVisible();
});

test("the leaving sheet of every stop: ticks stay, the next by a key, on a phone nothing is cut off", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page, "/?leg=9");
  await page.getByRole("button", { name: "Departure sheet" }).click();
  const sheet = page.getByTestId("leaving-sheet");
  await expect(sheet.getByRole("heading", { name: /kg to Pell Hut Road$/ })).toBeVisible();
  await expect(sheet.getByRole("region", { name: "Picked up here" })).toContainText("Ice axe");
  await expect(sheet.getByRole("region", { name: "Leaves your pack" })).toContainText("Umbrella for sun");
  await expect(sheet.getByRole("region", { name: "Ahead" })).toContainText("bear canister");
  await expect(sheet.getByRole("region", { name: "To decide" })).toContainText(/Only if more than 5 km of snow/);
  const axe = sheet.getByRole("checkbox", { name: /^Ice axe/ });
  await axe.check();
  await page.keyboard.press("ArrowRight");
  await expect(sheet.getByRole("heading", { name: /kg to Overlook$/ })).toBeVisible();
  await page.keyboard.press("ArrowLeft");
  await expect(axe).toBeChecked();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const { violations } = await axeOn(page).analyze();
  expect(violations.filter(({ impact }) => impact === "serious" || impact === "critical").map(({ id }) => id)).toEqual(
    [],
  );
});

test("a sheet is turned by a finger: left for the next, right for the one before, and not by scrolling", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page, "/?leg=9");
  await page.getByRole("button", { name: "Departure sheet" }).click();
  const sheet = page.getByTestId("leaving-sheet");
  const heading = (name: string) =>
    expect(sheet.getByRole("heading", { name: new RegExp(`kg to ${name}$`) })).toBeVisible();
  const finger = await page.context().newCDPSession(page);
  const swipe = async (from: [number, number], to: [number, number]): Promise<void> => {
    const at = ([x, y]: [number, number]) => [{ x, y }];
    await finger.send("Input.dispatchTouchEvent", { type: "touchStart", touchPoints: at(from) });
    await finger.send("Input.dispatchTouchEvent", { type: "touchMove", touchPoints: at(to) });
    await finger.send("Input.dispatchTouchEvent", { type: "touchEnd", touchPoints: [] });
  };
  await heading("Pell Hut Road");
  await swipe([300, 400], [120, 420]);
  await heading("Overlook");
  await swipe([120, 400], [300, 380]);
  await heading("Pell Hut Road");
  await swipe([200, 700], [120, 300]);
  await heading("Pell Hut Road");
});

test("refills, maps and a line that waits: put in by one click, left out until it is so", async ({ page }) => {
  await openDemo(page, "/boxes/");
  const panel = page.getByRole("region", { name: "Box to Ivory Gate", exact: true });
  const total = async (): Promise<number> =>
    Number((await panel.getByTestId("box-total").innerText()).replace(/\D/g, ""));
  const before = await total();
  await panel.getByRole("button", { name: /^maps of legs? / }).click();
  await expect.poll(total).toBeGreaterThan(before);
  const withMaps = await total();
  await panel.getByLabel("Add to the box").fill("spare bottle 40 g");
  await panel.getByRole("button", { name: "Add", exact: true }).click();
  await expect.poll(total).toBe(withMaps + 40);
  const goesIn = panel.getByLabel("Add spare bottle");
  const [waits] = (await goesIn.locator("option").allInnerTexts()).filter((text) => text.startsWith("if "));
  await goesIn.selectOption({ label: waits! });
  await station(page, "Kit");
  await page.getByText(/^Open decisions \(/).click();
  const choice = page
    .locator(`[data-held]`)
    .filter({ hasText: waits!.replace("if ", "") })
    .first();
  await choice.getByRole("button", { name: "Leave it behind" }).click();
  await station(page, "Boxes");
  await expect(panel.getByText("left out for now")).toBeVisible();
  await expect.poll(total).toBeLessThanOrEqual(withMaps);
});

test("an own trail posts nothing until it does: the empty station says how, and a box appears", async ({ page }) => {
  await beginTrip(page, asFile("north.gpx", gpxOf(900, '<wpt lat="40.4" lon="-150"><name>Mill shop</name></wpt>')));
  await station(page, "Boxes");
  await expect(page.getByText("No boxes yet.")).toBeVisible();
  await page.getByText("What can fly to the start").click();
  await expect(page.getByRole("region", { name: "Luggage for Hiker" })).toContainText(
    "All other items can go either way (23 in total)",
  );
});
