/** Odds: a thousand hikes as a reading of Legs; what a reserve does, and taken. */
import { asFile, beginTrip, expect, finishOf, gpxOf, openDemo, test } from "./fixtures.ts";

test("the odds of each leg, the range of arrival, and a reserve that is tried and taken", async ({ page }) => {
  await openDemo(page, "/?leg=10");
  await page.getByRole("button", { name: "Odds", exact: true }).click();
  const finish = page.getByTestId("odds-finish");
  await expect(finish).toContainText(/^1,000 simulated hikes: half finish by \d+ \w+, one in ten before/);
  const table = page.getByRole("table", { name: "Risks by leg" });
  await expect(table.getByRole("row")).toHaveCount(23);
  await expect(table.getByRole("row").nth(1)).toContainText(/\d+ in 100/);
  await expect(page.getByTestId("line-fan")).toContainText(/\d+ \w+ to \d+ \w+/);
  await table.getByRole("row", { name: /^9 to Pell Hut Road/ }).click({ position: { x: 30, y: 10 } });
  const wrong = page.getByTestId("went-wrong");
  await expect(wrong.getByRole("heading", { level: 2 })).toContainText("9. Ivory Gate");
  await expect(wrong).toContainText(/Out of food\d+ in 100.*between [\d.]+ and [\d.]+ in 100/s);
  await expect(wrong.getByRole("listitem")).toHaveCount(3);
  await table.getByRole("button", { name: /^Leg 14, cold night: \d+ in 100/ }).click();
  await expect(wrong.getByRole("heading", { level: 2 })).toContainText("14. Sael");
  await expect(wrong.getByRole("listitem").first()).toContainText(/a night \d+\.\d °C too cold/);
  await page.getByRole("button", { name: "Effect of a larger reserve" }).click();
  const reserves = page.getByRole("table", { name: "Reserves" });
  await expect(reserves.getByRole("row")).toHaveCount(7);
  const inHundred = async (row: number): Promise<number> =>
    Number(/(\d+) in 100/.exec(await reserves.getByRole("row").nth(row).innerText())![1]);
  const before = await inHundred(1);
  expect(await inHundred(5)).toBeLessThan(before);
  await reserves.getByRole("button", { name: "Use 2 days" }).click();
  await expect(page.getByTestId("effect")).toContainText("2 days reserve");
  // The plan is another one: its odds are needed again.
  await page.getByRole("button", { name: "Simulate a thousand hikes again" }).click();
  await expect(finish).toContainText("1,000 simulated hikes");
  await page.getByRole("button", { name: "Weights" }).click();
  await expect(page.getByTitle("Why this weight").first()).toBeVisible();
});

test("the season shows within which dates eight hikes of ten pass; a law that is turned off is walked again", async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Odds", exact: true }).click();
  const finish = page.getByTestId("odds-finish");
  await expect(finish).toContainText("1,000 simulated hikes");
  await page.getByRole("link", { name: /^Season/ }).click();
  await expect(page.getByTestId("plane-fan")).toBeVisible();
  await page.getByRole("link", { name: /^Legs/ }).click();
  await page.getByRole("button", { name: "Odds", exact: true }).click();
  await page.getByText("What varies, and by how much").click();
  const gear = page.getByRole("checkbox", { name: "gear" });
  await gear.click();
  await expect(page.getByTestId("effect")).toContainText("gear as planned");
  await expect(finish).toContainText("1,000 simulated hikes");
  await expect(page.getByRole("columnheader", { name: "gear" })).toHaveCount(0);
});

test("changes are tried, what they would break is marked, and one is taken and undone", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: "What helps", exact: true }).click();
  await expect(page.getByTestId("lever-now")).toContainText(/Now: 17\.\d kg, leg 6/);
  const changes = page.getByRole("table", { name: "Changes" });
  const ranch = changes.getByRole("row", { name: /^Stop at Brandt ranch/ });
  await expect(ranch).toContainText("closed");
  const take = changes.getByRole("button", { name: "Apply: Leave at home: Camera" });
  await take.focus();
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("effect")).toContainText("Leave at home: Camera");
  await expect(page.getByRole("button", { name: "Run again" })).toBeFocused();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("effect")).toContainText("Undid: Leave at home: Camera");
  await page.getByLabel("Reduce").selectOption({ label: "days" });
  await page.getByRole("button", { name: "Run again" }).click({ timeout: 60_000 });
  await expect(changes.getByRole("row", { name: /^Half an hour more walking every day/ })).toContainText(/\d days/);
});

test("a hike that went wrong is opened as a variant; variants are compared, and a part is taken over and undone", async ({
  page,
}) => {
  await openDemo(page, "/?leg=9");
  await page.getByRole("button", { name: "Odds", exact: true }).click();
  await page.getByTestId("went-wrong").getByRole("button", { name: "Open as a variant" }).first().click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText(/^Corvane Traverse, Hike \d+ of 1000$/);
  await page.getByRole("button", { name: "Variants", exact: true }).click();
  const list = page.getByRole("list", { name: "Variants of this trip" });
  await expect(list.getByRole("listitem")).toHaveCount(2);
  await list.getByRole("button", { name: "Open Original plan" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Corvane Traverse");
  await list.getByRole("button", { name: /^Rename Hike/ }).click();
  await page.getByLabel("Name of the variant").fill("A bad year");
  await page.keyboard.press("Enter");
  await list.getByRole("checkbox", { name: "Compare with A bad year" }).click();
  const compared = page.getByTestId("variants-compared");
  await expect(compared.getByRole("row", { name: /^finish \d/ })).toContainText(await finishOf(page));
  await expect(compared.getByRole("row", { name: /^legs / })).toHaveCount(0);
  await page.getByRole("button", { name: "Stops from A bad year" }).click();
  await expect(page.getByTestId("effect")).toContainText("Stops from A bad year");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("effect")).toContainText("Undid: Stops from A bad year");
  await page.getByLabel("Save the current plan as").fill("As it stands");
  await page.keyboard.press("Enter");
  await expect(list.getByRole("listitem")).toHaveCount(3);
  await page.getByRole("button", { name: "Delete As it stands" }).click();
  await expect(list.getByRole("listitem")).toHaveCount(2);
  await page.getByTestId("variants").getByRole("button", { name: "Undo" }).click();
  await expect(list.getByRole("listitem")).toHaveCount(3);
});

test("a figure says how sure it is, and what that comes from", async ({ page }) => {
  await openDemo(page, "/?leg=10&why=food");
  await page.getByRole("button", { name: "How sure is this?" }).click();
  const trust = page.getByTestId("trust");
  await expect(trust).toContainText(/Likely error: ± \d\.\d kg/, { timeout: 90_000 });
  await expect(trust.getByRole("listitem").filter({ hasText: "you" })).toContainText(/\d+ %/);
});

test("an own trail has its odds on a phone as well", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await page.getByRole("button", { name: "Odds", exact: true }).click();
  await expect(page.getByTestId("odds-finish")).toContainText("1,000 simulated hikes");
  await expect(page.getByRole("table", { name: "Risks by leg" }).getByRole("row")).toHaveCount(2);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
