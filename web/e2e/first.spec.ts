/** Own trails of five kinds: from the file to a first plan that a hiker nods at, at a desk and on a phone. */
import type { Page } from "@playwright/test";
import { asFile, expect, test } from "./fixtures.ts";
import { OWN_TRAILS } from "./trails.ts";

const SIZES = [
  { units: "metric", width: 1280, height: 800, kmPer: 1, mPer: 1, kgPer: 1 },
  { units: "imperial", width: 390, height: 844, kmPer: 1.609344, mPer: 0.3048, kgPer: 0.45359 },
] as const;
/** Metres of the confirmed climb against the drawn one: the profile smooths what feet do not notice. */
const CLIMB_FRACTION = 0.1;

const OF_THE_KIT = ["cold", "bottles"];

const numberIn = (text: string, pattern: RegExp): number => Number(pattern.exec(text)![1]!.replaceAll(",", ""));
const answerOf = (page: Page) => page.getByTestId("first-answer");

for (const { units, width, height, kmPer, mPer, kgPer } of SIZES)
  for (const { name, file, lengthKm, climbM, kinds, says, mostKg } of OWN_TRAILS)
    test(`${name}, ${units}`, async ({ page }) => {
      await page.setViewportSize({ width, height });
      await page.goto("/begin/");
      await page.getByLabel("Units").selectOption(units);
      await page.getByTestId("gpx-file").setInputFiles(asFile(...file));
      const preview = page.getByTestId("preview");
      await expect(preview).toContainText("of climb");
      const facts = await preview.innerText();
      expect(kmPer * numberIn(facts, /([\d,.]+) (?:km|mi),/)).toBeCloseTo(lengthKm, -0.3);
      const climb = mPer * numberIn(facts, /([\d,]+) (?:m|ft) of climb/);
      expect(Math.abs(climb - climbM) / climbM).toBeLessThan(CLIMB_FRACTION);
      const places = page.getByRole("region", { name: "What lies on it" });
      await expect(places.getByRole("listitem").first()).toBeVisible();
      for (const [kind, count] of Object.entries(kinds))
        await expect(
          places.getByRole("listitem").filter({ has: page.getByLabel(`All ${kind}: import as`) }),
        ).toContainText(new RegExp(`^${count} `));
      await page.getByRole("button", { name: "Calculate my plan" }).click();
      await expect(answerOf(page)).toBeVisible();
      const answer = await answerOf(page).innerText();
      expect(kgPer * numberIn(answer, /to ([\d.]+) (?:kg|lb)/)).toBeLessThanOrEqual(mostKg);
      const lines = page.getByTestId("assumptions");
      await expect(lines.getByRole("listitem")).toHaveCount(10);
      for (const said of says) await expect(lines).toContainText(said);
      await page.getByRole("link", { name: "Show my plan" }).click();
      await expect(page.locator("#leg-row-0")).toBeVisible();
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
      // What is red is that the usual kit does not do for this hike, never a gap of its file.
      const red = new Set(await page.locator("[data-severity=blocker]").allInnerTexts());
      expect([...red].filter((word) => !OF_THE_KIT.includes(word))).toEqual([]);
    });
