/** Season: the plane, the start moved on it, the years, other first days. */
import type { Page } from "@playwright/test";
import { asFile, axeOn, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

const line = (page: Page) => page.getByRole("slider", { name: /^Start date/ });
const table = (page: Page) => page.getByRole("table", { name: "Conditions by leg" });
const snowKm = async (page: Page): Promise<number> => {
  const text = await page.getByTestId("extremes").innerText();
  return Number(/snow underfoot for ([\d,]+) km/.exec(text)?.[1] ?? 0);
};
/** Is the plane painted? Some of it differs from the paper. */
const painted = (page: Page): Promise<boolean> =>
  page
    .locator("canvas")
    .last()
    .evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext("2d")!.getImageData(canvas.width / 2, 20, 40, 40);
      return data.some((value, i) => i % 4 === 3 && value > 0);
    });

test("the start moves by keys and by dragging, everything follows, and is undone step by step", async ({ page }) => {
  await openDemo(page, "/season/?leg=10");
  await expect(table(page).getByRole("row").nth(10)).toContainText("Pell Hut Road to Overlook");
  await expect.poll(() => painted(page)).toBe(true);
  const before = await snowKm(page);
  expect(before).toBeGreaterThan(50);
  await line(page).focus();
  await page.keyboard.press("Shift+ArrowDown");
  await expect(line(page)).toHaveAttribute("aria-valuetext", "5 Apr");
  await expect(page.getByText("5 Apr, was 29 Mar")).toBeVisible();
  // Later there is less snow.
  await expect.poll(() => snowKm(page)).toBeLessThan(before);
  await page.keyboard.press("ArrowDown");
  await expect(line(page)).toHaveAttribute("aria-valuetext", "6 Apr");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(line(page)).toHaveAttribute("aria-valuetext", "5 Apr");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(line(page)).toHaveAttribute("aria-valuetext", "29 Mar");
  await expect.poll(() => snowKm(page)).toBe(before);
  const box = (await line(page).boundingBox())!;
  await page.mouse.move(box.x + 700, box.y + 100);
  await page.mouse.down();
  await page.mouse.move(box.x + 700, box.y + 160, { steps: 4 });
  await expect(page.getByText(/, was 29 Mar/)).toBeVisible();
  // All else follows while the line is in the hand.
  await expect(table(page).getByRole("row").nth(1)).not.toContainText("29 Mar");
  await expect(page.getByRole("button", { name: "Redo" })).toBeEnabled();
  await page.mouse.up();
  await expect(line(page)).toHaveAttribute("aria-valuetext", /^\d+ (Apr|May)$/);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(line(page)).toHaveAttribute("aria-valuetext", "29 Mar");
});

test("quantities, what the pointer reads out, and the years", async ({ page }) => {
  await openDemo(page, "/season/");
  await expect.poll(() => painted(page)).toBe(true);
  for (const [name, words] of [
    ["Night low", /°C at [\d,]+ km on/],
    ["Snow", /snow/],
    ["Wet days", /% wet days/],
    ["Daylight", /h of daylight/],
    ["Insects", /insects/],
    ["Streams", /streams/],
    ["Water", /flowing|water/],
  ] as const) {
    await page.getByRole("radio", { name }).click();
    const box = (await line(page).boundingBox())!;
    await page.mouse.move(box.x + 740, box.y + 30);
    await expect(page.getByTestId("readout")).toHaveText(words);
    await expect(page.getByTestId("plane-legend")).toBeVisible();
  }
  // What was looked at last is looked at first.
  await page.reload();
  await expect(page.getByRole("radio", { name: "Water" })).toBeChecked();
  await expect.poll(() => snowKm(page)).toBeGreaterThan(50);
  const usual = await snowKm(page);
  await page.getByLabel("Snow year").selectOption("high snow");
  await expect.poll(() => snowKm(page)).toBeGreaterThan(usual);
  await page.getByLabel("Snow year").selectOption("low snow");
  await expect.poll(() => snowKm(page)).toBeLessThan(usual);
  await page.getByLabel("Snow cover from").selectOption("only your stretches");
  await expect.poll(() => snowKm(page)).toBeLessThan(20);
});

test("other start dates are tried, stopped, and one is taken", async ({ page }) => {
  await openDemo(page, "/season/");
  await page.getByRole("button", { name: "Compare start dates" }).click();
  const weeks = page.getByRole("table", { name: "Start dates by week" });
  await expect(weeks.getByRole("row").nth(3)).toBeVisible();
  await expect(page.getByTestId("start-chart")).toBeVisible();
  await page.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByRole("button", { name: "Compare again" })).toBeEnabled();
  await weeks.getByRole("button", { name: "Start on 5 Apr" }).click();
  await expect(line(page)).toHaveAttribute("aria-valuetext", "5 Apr");
});

test("months of a station are pasted: what is wrong is said, Fahrenheit is asked about", async ({ page }) => {
  await openDemo(page, "/season/");
  await page.getByText("Ivory Range middle").click();
  await page.getByText("Paste monthly values").locator("visible=true").click();
  const months = page.getByLabel("Monthly values for Ivory Range middle");
  const take = page.getByRole("button", { name: "Use these months" }).locator("visible=true");
  await months.fill("1 2 3 4 5 6 7 8 9 10 11".replaceAll(" ", "\t"));
  await take.click();
  await expect(page.getByRole("alert").filter({ hasText: "has 11 months; enter twelve" })).toBeVisible();
  const low = [10, 12, 20, 28, 36, 44, 50, 50, 42, 32, 22, 14];
  await months.fill(`${low.join("\t")}\n${low.map((f) => f + 30).join("\t")}`);
  await take.click();
  await page.getByRole("button", { name: "Yes, °F" }).click();
  await expect(page.getByLabel("Ivory Range middle, Jul, high")).toHaveValue("27");
  await expect(page.getByLabel("Ivory Range middle, Jan, low")).toHaveValue(/^[-−]12$/);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByLabel("Ivory Range middle, Jul, high")).not.toHaveValue("27");
});

test("an own trail has a season of its own, at a phone’s width too, and without faults for assistive tools", async ({
  page,
}) => {
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await expect(page.locator("#leg-row-0")).toContainText("Start to Finish");
  await station(page, "Season");
  await expect(table(page).getByRole("row")).toHaveCount(2);
  await expect(page.getByText(/is simulated from latitude/).first()).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => painted(page)).toBe(true);
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const { violations } = await axeOn(page).analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
});

test("a start too early finds a stop closed: hatched on the plane, told, and mended by a later start", async ({
  page,
}) => {
  await openDemo(page, "/season/");
  await expect(page.getByTestId("closed").nth(3)).toBeVisible();
  const closed = page.getByText(/Pell Hut Road is closed on/);
  await expect(closed).toBeHidden();
  await line(page).focus();
  for (let week = 0; week < 3; week++) await page.keyboard.press("Shift+ArrowUp");
  await expect(line(page)).toHaveAttribute("aria-valuetext", "8 Mar");
  await expect(closed).toBeVisible();
  await page
    .getByRole("button", { name: /^Start on \d+ (Mar|Apr)$/ })
    .first()
    .click();
  await expect(closed).toBeHidden();
});

test("lanes at the dates of passage; the kit judged by the coldest of all nights is judged harder", async ({
  page,
}) => {
  await openDemo(page, "/season/?leg=10");
  const lanes = page.getByTestId("passage-lanes");
  await expect(lanes.getByRole("img", { name: /^Coldest night in ten: −\d+ °C at least$/ })).toBeVisible();
  await expect(lanes.getByRole("img", { name: /^On snow: \d+ % at most$/ })).toBeVisible();
  const tooCold = page.getByTestId("season-why").getByText("Night your kit is judged by");
  await expect(page.getByTestId("season-why").getByText("Coldest night in ten")).toBeVisible();
  await page.getByLabel("Night your kit must handle").selectOption({ index: 1 });
  await expect(tooCold).toBeVisible();
  await tooCold.click();
  await expect(page.getByText("Extra for clear, cold nights")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(tooCold).toBeHidden();
});

test("a forecast is pasted and stands over the normals; what is wrong in it is said; a reading corrects them", async ({
  page,
}) => {
  await openDemo(page, "/season/?leg=1");
  await expect(table(page).getByRole("row").nth(1)).toContainText("2 °C at");
  await page.getByRole("button", { name: "Add forecast for leg 1" }).click();
  await page.locator("summary", { hasText: "Forecast for leg 1" }).click();
  const days = page.getByLabel("Days of Forecast for leg 1 from a table");
  const take = page.getByRole("button", { name: "Use these days" }).locator("visible=true");
  await days.fill("30 Mar\t9\t3");
  await take.click();
  await expect(page.getByRole("alert").filter({ hasText: "Row 1: the low is above the high." })).toBeVisible();
  await days.fill("date\tlow\thigh\train %\n29 Mar\t-6\t4\t80\n30 Mar\t-9\t3\t80");
  await take.click();
  await expect(page.getByLabel("Forecast for leg 1, 30 Mar, chance of rain, %")).toHaveValue("80");
  await expect(table(page).getByRole("row").nth(1)).toContainText(/−\d+ °C at/);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(table(page).getByRole("row").nth(1)).toContainText("2 °C at");
  await page.getByRole("button", { name: "Add reading on leg 1" }).click();
  const low = page.getByLabel("Low of 29 Mar");
  await low.fill("much");
  await low.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "isn’t clear" })).toBeVisible();
  await low.fill("-12");
  await low.press("Enter");
  await expect(table(page).getByRole("row").nth(1)).toContainText(/−\d °C at/);
});

test("a ford is told what was measured, and its hour counts", async ({ page }) => {
  await openDemo(page, "/trail/");
  await page.getByRole("radio", { name: /Stretches/ }).click();
  await page.getByRole("button", { name: "About Long beck" }).click();
  await page.getByRole("button", { name: "I measured its depth and speed" }).click();
  await expect(page.getByLabel("Depth")).toHaveValue("0.5");
  await page.getByLabel("Depth").fill("0.1");
  await page.getByLabel("Depth").press("Enter");
  await page.keyboard.press("Escape");
  await station(page, "Season");
  await expect(page.getByText(/“Forefield water” at \d\d:\d\d/)).toBeVisible();
  await expect(page.getByText(/“Long beck” at/)).toBeHidden();
});
