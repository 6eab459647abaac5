/** Water: fill-ups, what if the next is dry, reports, treating. */
import type { Page } from "@playwright/test";
import { asFile, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

const fills = (page: Page) => page.getByRole("table", { name: "Fill-ups" });
const source = (page: Page) => page.getByTestId("source");

test("a source is ignored with one key, and the carry is what “if dry” said", async ({ page }) => {
  await openDemo(page, "/water/?leg=6");
  await expect(source(page)).toContainText("Hask trough to Fork spring");
  const ifDry = await source(page).getByTestId("if-dry").innerText();
  const litres = Number(/you need ([\d.]+) L for/.exec(ifDry)![1]);
  await fills(page)
    .getByRole("row", { name: /Fork spring/ })
    .click();
  await page.keyboard.press("x");
  await expect(fills(page).getByRole("row", { name: /Fork spring/ })).toContainText("not counted");
  await fills(page)
    .getByRole("row", { name: /Hask trough/ })
    .click();
  // The weight of it moves the hours a little, and a camp with them: its breakfast and dinner.
  await expect
    .poll(async () => Math.abs(Number.parseFloat(await source(page).locator("p").first().innerText()) - litres))
    .toBeLessThan(1.5);
  await page.keyboard.press("Control+z");
  await expect(fills(page).getByRole("row", { name: /Fork spring/ })).not.toContainText("not counted");
});

test("what was seen changes what is counted on; carrying past, treating, and reports of many lines", async ({
  page,
}) => {
  await openDemo(page, "/water/?leg=6");
  await fills(page)
    .getByRole("row", { name: /Raven tank/ })
    .click();
  await page.getByLabel("It was").selectOption("dry");
  await page.getByRole("button", { name: "Add report" }).click();
  await expect(fills(page).getByRole("row", { name: /Raven tank/ })).toContainText(/dry, 2\d Apr, not counted/);
  await page.getByRole("button", { name: /^Remove the report of/ }).click();
  await expect(fills(page).getByRole("row", { name: /Raven tank/ })).not.toContainText("not counted");

  await page.getByText("Add many water reports").click();
  await page
    .getByLabel("Reports, one per line")
    .fill("2027-04-25, raven TANK, trickle, thin\n2027-04-25, No such well, dry\n");
  await expect(page.getByTestId("reports-read")).toContainText("line 2: No word here matches a source");
  await page.getByRole("button", { name: "Add 1 report" }).click();
  await expect(fills(page).getByRole("row", { name: /Raven tank/ })).toContainText("trickling, 25 Apr");

  const litres = async (): Promise<number> =>
    Number.parseFloat(
      await fills(page)
        .getByRole("row", { name: /Hask trough/ })
        .getByRole("cell")
        .nth(1)
        .innerText(),
    );
  const before = await litres();
  await page.getByLabel("and carries enough to get").selectOption("past one that may be dry");
  await expect.poll(litres).toBeGreaterThan(before);

  await page.getByText("Water treatment").click();
  const treated = page.getByRole("table", { name: "Treatment by leg" });
  await expect(treated.getByRole("row", { name: /6\. Hask Tank/ })).toContainText("of 1,000 L");
  await page.getByLabel("Lasts for").fill("40");
  await page.getByLabel("Lasts for").press("Enter");
  await expect(treated).toContainText("new:");
});

test("an own trail: a cache is laid, its day and litres are typed, on a phone as well", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await expect(page.getByTestId("line")).toBeVisible();
  await station(page, "Water");
  await expect(fills(page)).toContainText("the stop’s tap");
  await page.getByRole("button", { name: "Add a cache mid-leg" }).click();
  await fills(page).getByRole("row", { name: /Cache/ }).click();
  await expect(fills(page).getByRole("row", { name: /Cache/ })).toContainText(/80/);
  await page.getByLabel("Litres stored").fill("0.1");
  await page.getByLabel("Litres stored").press("Enter");
  await expect(page.getByText(/Cache at .* holds 0.1 L/)).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
