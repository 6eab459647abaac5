/** The log: a day kept with one thumb, in the night theme, without network; plan against fact; what is learnt. */
import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { asFile, axeOn, beginTrip, expect, gpxOf, openDemo, openExampleOf, station, test } from "./fixtures.ts";

const thumb = { viewport: { width: 360, height: 740 }, hasTouch: true };

async function openWalked(page: Page): Promise<void> {
  await openDemo(page);
  await openExampleOf(page, "Nineteen days on the trail");
  await expect(page.getByText("This trip has 19 days in its log.")).toBeVisible();
  await station(page, "Log");
}

test.describe("on a phone, in the night theme", () => {
  test.use(thumb);

  test("a day is kept in a few touches; what is half typed is there again after the tab was killed", async ({
    page,
    context,
  }) => {
    await openDemo(page, "/log/");
    await page.getByRole("button", { name: "Night (red on black)" }).tap();
    await expect(page.locator("html")).toHaveAttribute("data-theme", "night");
    const today = page.getByTestId("today");
    await expect(today).toContainText("Day 1, Mon 29 Mar");
    await expect(today.getByRole("group", { name: "Places near the planned end" }).getByRole("button")).toHaveCount(2);
    await today.getByLabel("Where the day ended").fill("so");
    await today.getByRole("list", { name: "Places found" }).getByRole("button").first().tap();
    await today.getByLabel(/^walking/).fill("6.5");
    await today.getByLabel(/^food/).fill("1.9");
    await today.getByLabel("notes").fill("Wind off the sal");
    await expect(page.locator("[data-left=food]")).toContainText("needed to the next stop");
    await page.close();
    const again = await context.newPage();
    await again.goto("/log/");
    const card = again.getByTestId("today");
    await expect(card.getByLabel("notes")).toHaveValue("Wind off the sal");
    await expect(card.getByLabel(/^walking/)).toHaveValue("6.5");
    await card.getByRole("button", { name: "Save day" }).tap();
    await expect(again.getByTestId("log-say")).toContainText("1 day saved");
    await expect(card).toContainText("Day 2, Tue 30 Mar");
    await card.getByRole("button", { name: "Pick on the Line" }).tap();
    await again.getByTestId("point-picker").click({ position: { x: 180, y: 60 } });
    await expect(card.getByRole("heading", { level: 2 })).toHaveText(/^1,0\d\d km, /);
    await card.getByRole("button", { name: "Rest day here" }).tap();
    await expect(card.getByRole("heading", { name: /^0 km/ })).toBeVisible();
    await card.getByRole("button", { name: "Save day" }).tap();
    await expect(again.getByTestId("log-say")).toContainText("2 days saved");
    expect(await again.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
    for (const button of await card.getByRole("button").all()) {
      const box = await button.boundingBox();
      if (box && (await button.innerText()) !== "") expect(box.height).toBeGreaterThanOrEqual(24);
    }
    const { violations } = await axeOn(again).analyze();
    const grave = violations.filter(({ impact }) => impact === "serious" || impact === "critical");
    expect(grave.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id} ${html}`))).toEqual([]);
  });

  test("a position from another continent changes nothing; one by the trail is taken", async ({ page, context }) => {
    await beginTrip(page, asFile("north.gpx", gpxOf(900)));
    await station(page, "Log");
    await context.grantPermissions(["geolocation"]);
    const today = page.getByTestId("today");
    const heading = today.getByRole("heading", { level: 2 });
    const before = await heading.innerText();
    await context.setGeolocation({ latitude: -30, longitude: 20 });
    await today.getByRole("button", { name: "Use my position" }).tap();
    await expect(today.getByRole("status")).toContainText("Nothing was changed");
    await expect(heading).toHaveText(before);
    await context.setGeolocation({ latitude: 40.27, longitude: -150.001 });
    await today.getByRole("button", { name: "Use my position" }).tap();
    await expect(heading).toHaveText(/^30 km, /);
  });
});

test("nineteen days: behind the plan, slower found, taken by one step, and the past stays", async ({ page }) => {
  await openWalked(page);
  await expect(page.getByTestId("log-say")).toContainText(/19 days saved, 30\d km.*behind the original plan/);
  const table = page.getByRole("table", { name: "Saved days" });
  await expect(table.getByRole("row")).toHaveCount(20);
  const learnt = page.getByRole("table", { name: "What the log shows" });
  await expect(learnt.getByRole("row", { name: /^Your pace/ })).toContainText(/−\d+ %/);
  await page.getByRole("button", { name: "Effect on the rest of the hike" }).click();
  await expect(page.getByTestId("learnt-then")).toContainText(/Finish on \d+ \w+ instead of \d+ \w+/);
  const past = await table.getByRole("row").nth(10).innerText();
  await page.getByRole("button", { name: "Use all" }).click();
  await expect(page.getByRole("button", { name: "Use all" })).toBeDisabled();
  expect((await table.getByRole("row").nth(10).innerText()).split("\t").slice(0, 4)).toEqual(
    past.split("\t").slice(0, 4),
  );
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("button", { name: "Use all" })).toBeEnabled();
  await page.getByText("Item by item: carried, broken, never needed").click();
  await expect(page.getByRole("table", { name: "Items in the log" })).toContainText("broken on 10 Apr: left sole open");
  const [csv] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "CSV" }).click()]);
  expect(readFileSync(await csv.path(), "utf8").split("\r\n")).toHaveLength(20);
});

test("a day is opened from its row, changed, deleted and brought back", async ({ page }) => {
  await openWalked(page);
  const table = page.getByRole("table", { name: "Saved days" });
  await table.getByRole("row", { name: /8 Apr/ }).click();
  const today = page.getByTestId("today");
  await expect(today).toContainText("Day 11, Thu 8 Apr");
  await expect(today.getByRole("button", { name: /: dry$/ }).first()).toHaveAttribute("aria-pressed", "true");
  await today.getByLabel(/^walking/).fill("a lot");
  await today.getByLabel(/^walking/).blur();
  await expect(today.getByRole("alert")).toContainText("is not a number");
  await today.getByLabel(/^walking/).fill("7");
  await today.getByRole("button", { name: "Save day" }).click();
  await expect(table.getByRole("row", { name: /8 Apr/ })).toContainText("7.0 /");
  await table.getByRole("row", { name: /8 Apr/ }).click();
  await today.getByRole("button", { name: "Delete this day" }).click();
  await expect(table.getByRole("row")).toHaveCount(19);
  await page.keyboard.press("Control+z");
  await expect(table.getByRole("row")).toHaveCount(20);
});
