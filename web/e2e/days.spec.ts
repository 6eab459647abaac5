/** Days: nights moved and pinned, dates held and missed, what it takes to be there by a day, and the days as files. */
import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { asFile, axeOn, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

const row = (page: Page, date: string) => page.locator(`#day-${date}`);
const panel = (page: Page) => page.getByRole("complementary", { name: "Day" });
const summary = (page: Page) => page.getByTestId("days-summary");

test("a night is moved by keys and by pointer, pinned there, and the days after it follow", async ({ page }) => {
  await openDemo(page, "/days/?leg=2");
  const night = page.getByRole("slider", { name: "Night of 4 Apr" });
  const before = await row(page, "2027-04-05").innerText();
  await night.focus();
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(row(page, "2027-04-04")).toContainText("pinned");
  await expect.poll(() => row(page, "2027-04-05").innerText()).not.toBe(before);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(() => row(page, "2027-04-05").innerText()).toBe(before);
  const box = (await night.boundingBox())!;
  await page.mouse.move(box.x + 4, box.y + 4);
  await page.mouse.down();
  await page.mouse.move(box.x - 3, box.y + 4, { steps: 3 });
  await page.mouse.up();
  await expect(row(page, "2027-04-04")).toContainText("pinned");
  await row(page, "2027-04-04").click();
  await expect(page).toHaveURL(/day=2027-04-04/);
  await panel(page).getByRole("button", { name: "Unpin" }).click();
  // The demo's own bed stays booked.
  await expect(page.getByText("pinned", { exact: true })).toHaveCount(1);
});

test("a booked bed holds its date when the hike starts a day later; what cannot hold says by how much", async ({
  page,
}) => {
  await openDemo(page, "/days/?day=2027-04-09");
  await expect(panel(page)).toContainText("9 Apr, day 12");
  await panel(page).getByRole("button", { name: "Bed booked here" }).click();
  await expect(row(page, "2027-04-09")).toContainText("bed");
  await expect(row(page, "2027-04-09")).toContainText("pinned");
  await station(page, "Season");
  const start = page.getByRole("slider", { name: /^Start date/ });
  await start.focus();
  for (let days = 0; days < 3; days++) await page.keyboard.press("Shift+ArrowDown");
  await expect(start).toHaveAttribute("aria-valuetext", "19 Apr");
  await station(page, "Days");
  await expect(page.getByText(/The pin (“.+” )?of 9 Apr is before the start date/).first()).toBeVisible();
  await page.getByRole("button", { name: "Unpin" }).first().click();
  await expect(page.getByText(/The pin .* of 9 Apr/)).toHaveCount(0);
});

test("rest days and own hours of a day are given and taken", async ({ page }) => {
  await openDemo(page, "/days/?day=2027-04-02");
  await expect(summary(page)).toContainText("4 rest days");
  await panel(page).getByRole("button", { name: "Add a rest day here" }).click();
  await expect(summary(page)).toContainText("5 rest days");
  await row(page, "2027-04-03").click();
  await expect(panel(page)).toContainText("A rest day.");
  await panel(page).getByRole("button", { name: "Remove this rest day" }).click();
  await expect(summary(page)).toContainText("4 rest days");
  await row(page, "2027-04-03").click();
  await panel(page).getByRole("button", { name: "Set hours for this day…" }).click();
  const hours = panel(page).getByLabel("Hours of 3 Apr");
  await hours.fill("3");
  await hours.press("Enter");
  await expect(row(page, "2027-04-03").getByRole("cell").nth(5)).toHaveText(/^(2\.\d|3\.0)$/);
});

test("what it takes to be at a stop by a day: ways are told, one is taken, and it does", async ({ page }) => {
  await openDemo(page, "/days/");
  await page.getByRole("combobox", { name: "Where" }).selectOption({ label: "Red Stair" });
  await expect(page.getByText("As planned, you arrive on 11 Apr, in time.")).toBeVisible();
  const by = page.getByLabel("by", { exact: true });
  await by.fill("9 April 2027");
  await by.press("Enter");
  await page.getByRole("button", { name: "Show what it takes" }).click();
  const options = page.getByTestId("ways").getByRole("listitem");
  await expect(options).toHaveCount(3);
  await expect(options.nth(2)).toContainText("rest day");
  await options.filter({ hasText: "h more a day" }).getByRole("button", { name: "Apply" }).click();
  await expect(page.getByText(/As planned, you arrive on [89] Apr, in time\./)).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("As planned, you arrive on 11 Apr.")).toBeVisible();
});

test("the days as a calendar by week, as an iCalendar file and as CSV", async ({ page }) => {
  await openDemo(page, "/days/");
  await page.getByRole("radio", { name: "Calendar" }).click();
  const weeks = page.getByRole("table", { name: "Calendar by week" });
  await expect(weeks.getByRole("button", { name: /^29 Mar/ })).toBeVisible();
  await weeks.getByRole("button", { name: /^1 Apr/ }).click();
  await expect(panel(page)).toContainText("1 Apr, day 4");
  const saved = async (name: string): Promise<string> => {
    const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name }).click()]);
    return readFileSync(await download.path(), "utf8");
  };
  const ics = await saved("Calendar file");
  // A day an event, and two decisions that wait.
  expect(ics.match(/BEGIN:VEVENT/g)).toHaveLength(111);
  expect(ics).toContain("SUMMARY:Decide: take it only if the rangers");
  expect(ics).toContain("DTSTART;VALUE=DATE:20270329");
  expect(ics).toMatch(/^BEGIN:VCALENDAR\r?\n/);
  const csv = await saved("CSV");
  expect(csv.trim().split("\n")).toHaveLength(110);
  expect(csv).toContain("2027-03-29,1,1,0.0,");
});

test("the hours over the hike are a curve whose corners move by keys and pointer", async ({ page }) => {
  await openDemo(page, "/days/");
  await page.getByText("Day rules").click();
  const curve = page.getByRole("group", { name: "Hours for Tamsin Okafor" });
  const first = curve.getByRole("slider", { name: /first day/ });
  await expect(first).toHaveAttribute("aria-valuetext", "5.5 h");
  await first.focus();
  await page.keyboard.press("Shift+ArrowUp");
  await expect(first).toHaveAttribute("aria-valuetext", "6.0 h");
  const fit = curve.getByRole("slider", { name: /day 21/ });
  const box = (await fit.boundingBox())!;
  await page.mouse.move(box.x + 5, box.y + 5);
  await page.mouse.down();
  await page.mouse.move(box.x + 5, box.y - 10, { steps: 3 });
  await page.mouse.up();
  await expect(curve.getByRole("slider").last()).not.toHaveAttribute("aria-valuetext", "7.2 h");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(curve.getByRole("slider").last()).toHaveAttribute("aria-valuetext", "7.2 h");
});

test("past walks with times tell one's own pace, which is taken; too little is said so", async ({ page }) => {
  await openDemo(page, "/days/");
  await page.getByText("Day rules").click();
  const own = page.getByRole("region", { name: "Tamsin Okafor’s pace from past hikes" });
  const walk = (points: number, untimed = false) =>
    gpxOf(points).replace(/<\/ele>/g, (_, at: number, text: string) => {
      const n = (text.slice(0, at).match(/<trkpt/g) ?? []).length;
      return `</ele>${untimed ? "" : `<time>${new Date(Date.UTC(2026, 5, 1, 7) + n * 90_000).toISOString()}</time>`}`;
    });
  const input = page.getByLabel("Past hikes of Tamsin Okafor");
  await input.setInputFiles(asFile("short.gpx", walk(40)));
  await expect(own).toContainText("Too little to say");
  await input.setInputFiles([asFile("one.gpx", walk(240)), asFile("table.csv", "lat,lon\n40,-150\n40.1,-150\n")]);
  await expect(own.getByRole("alert")).toContainText("table: this kind of file tells no times");
  // 100 m in 90 s are 4 km an hour, and nobody stood.
  await expect(own.getByRole("row", { name: /^level/ })).toContainText("4.0");
  await own.getByRole("button", { name: /^Use \d+ %$/ }).click();
  await expect(page.getByTestId("effect")).toContainText("speed from past hikes");
  await page.getByRole("button", { name: "Undo" }).click();
  await input.setInputFiles(asFile("none.gpx", walk(100, true)));
  await expect(own).toContainText("have no times");
});

test("an own trail’s days, at a phone’s width too, and without faults for assistive tools", async ({ page }) => {
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await expect(page.locator("#leg-row-0")).toContainText("Start to Finish");
  await station(page, "Days");
  await expect(page.getByRole("table", { name: "Days" }).getByRole("row").nth(1)).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(panel(page)).toBeVisible();
  // What was drawn for the wider page is drawn again first.
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const { violations } = await axeOn(page).analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
});
