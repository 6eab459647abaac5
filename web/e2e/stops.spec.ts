/** Stops: the best sets are found, taken and undone; doors, rides and boxes are given and repaired; an own trail has them too. */
import type { Page } from "@playwright/test";
import { asFile, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

const row = (page: Page, id: string) => page.locator(`#stop-${id}`);
const panel = (page: Page) => page.getByRole("complementary", { name: "Stop" });
const sets = (page: Page) => page.getByTestId("set-rows").getByRole("option");

test("sets are found, one is taken in one step, and it is what was promised; undone with one key", async ({ page }) => {
  await openDemo(page, "/stops/");
  const now = await sets(page).first().innerText();
  expect(now).toContain("22 legs");
  await page.getByRole("button", { name: "Find the best set" }).click();
  await expect(page.getByTestId("search-says")).toContainText("Tried", { timeout: 60_000 });
  await expect(page.getByTestId("frontier")).toContainText("Balanced");
  const lightest = sets(page).filter({ hasText: /lightest/i });
  await lightest.click();
  const promised = /(\d+) legs/.exec(await lightest.innerText())![1]!;
  const carried = /[\d,]+ kg·km/.exec(await lightest.innerText())![0];
  expect(Number(promised)).toBeGreaterThan(22);
  // Every stop says why it is in or out.
  await expect(page.getByRole("row", { name: /^Ivory Gate used/ })).toContainText("a leg of");
  await page.getByRole("button", { name: "Use this set" }).click();
  await expect(sets(page).first()).toContainText(`Current plan: ${promised} legs`);
  await expect(sets(page).first()).toContainText(carried);
  await expect(page.getByRole("button", { name: "This is your plan" })).toBeDisabled();
  await page.keyboard.press("Control+z");
  await expect(sets(page).first()).toContainText("22 legs");
});

test("a search is stopped; what is held in or kept out stays so in the next", async ({ page }) => {
  await openDemo(page, "/stops/");
  await page.getByRole("button", { name: "Find the best set" }).click();
  await page.getByRole("button", { name: "Stop", exact: true }).click();
  await expect(page.getByRole("button", { name: "Find the best set" })).toBeEnabled();
  await row(page, "brandt-ranch").click();
  await panel(page).getByRole("button", { name: "Never stop here" }).click();
  await page.getByRole("button", { name: "Find the best set" }).click();
  await expect(page.getByTestId("search-says")).toContainText("28 stops", { timeout: 60_000 });
  await expect(page.getByTestId("set-figures")).toBeVisible();
  await expect(page.getByRole("button", { name: "Always stop here: Brandt ranch" })).toHaveCount(0);
  await expect(page.getByRole("button", { name: /: Kestrel pumps$/ })).toHaveCount(1);
});

test("a shop that is shut is said, and a night more mends it; its hours and days are typed", async ({ page }) => {
  await openDemo(page, "/stops/");
  await row(page, "lanner-rest").click();
  await expect(panel(page)).toContainText("You arrive on 2 May");
  // It is a Sunday: leaving a little later did it until now.
  await expect(page.getByText(/The shop at Lanner Rest is closed .* You wait until then/)).toBeVisible();
  const hours = panel(page).getByLabel("Opening hour of Lanner Rest");
  await hours.fill("noon");
  await hours.press("Enter");
  await expect(panel(page).getByRole("alert")).toContainText("isn’t a time");
  await hours.fill("12:30");
  await hours.press("Enter");
  await expect(row(page, "lanner-rest")).toContainText("closed");
  await page.getByRole("button", { name: "One more night at Lanner Rest" }).first().click();
  await expect(row(page, "lanner-rest")).not.toContainText("closed");
  await panel(page).getByRole("button", { name: "Lanner Rest is open on Mon", exact: true }).click();
  await expect(row(page, "lanner-rest")).toContainText("closed");
});

test("food comes in another way, with its day to send; the simulated post says how long; choices are weighed", async ({
  page,
}) => {
  await openDemo(page, "/stops/");
  await row(page, "saltgate").click();
  await page.getByLabel("How you get food at Saltgate").selectOption("mail drop");
  await expect(panel(page)).toContainText(/Mail drop\. Mail it on \d+ Mar/);
  const before = await panel(page).innerText();
  await panel(page).getByLabel("minimum transit, working days, Saltgate").fill("6");
  await panel(page).getByLabel("minimum transit, working days, Saltgate").press("Enter");
  await expect.poll(() => panel(page).innerText()).not.toBe(before);
  await panel(page)
    .getByRole("button", { name: /Look up transit time \(simulated\): 2 days/ })
    .click();
  await expect(panel(page).getByLabel("minimum transit, working days, Saltgate")).toHaveValue("2");
  await panel(page).getByRole("button", { name: "What else could you do here?" }).click();
  const instead = page.getByTestId("instead");
  await expect(instead).toContainText("+1 day");
  await expect(instead).toContainText(/Skip it.*\+[\d,]+ kg·km/s, { timeout: 30_000 });
  await instead.getByRole("button", { name: "Skip it: apply" }).click();
  await expect(row(page, "saltgate").getByRole("checkbox")).not.toBeChecked();
  // One key uses the chosen stop again.
  await row(page, "saltgate").focus();
  await page.keyboard.press("u");
  await expect(row(page, "saltgate").getByRole("checkbox")).toBeChecked();
});

test("an own trail with towns: its stops are weighed on a phone as well, and what is allowed is typed in sentences", async ({
  page,
}) => {
  const towns = [6, 14, 24, 33, 45]
    .map((km) => `<wpt lat="${(40 + km * 0.009).toFixed(4)}" lon="-150"><name>Town ${km}</name><type>town</type></wpt>`)
    .join("");
  await page.setViewportSize({ width: 390, height: 844 });
  await beginTrip(page, asFile("own.gpx", gpxOf(600, towns)));
  await station(page, "Stops");
  await page.getByText("Limits, weighting and food prices").click();
  await page.getByLabel("Days of food, at most").fill("3");
  await page.getByLabel("Days of food, at most").press("Enter");
  await page.getByRole("button", { name: "Find the best set" }).click();
  await expect(page.getByTestId("search-says")).toContainText("no better set exists by the quick estimate", {
    timeout: 30_000,
  });
  await expect(page.getByTestId("set-figures")).toContainText("kg·km carried");
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
});
