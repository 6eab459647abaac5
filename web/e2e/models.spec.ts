/** Trip's parts: schools compared and chosen, measured values, the rules of a day, power; and Why for every figure. */
import type { Page } from "@playwright/test";
import { expect, finishOf, openDemo, startingWeights, station, test } from "./fixtures.ts";

const question = (page: Page, name: string) => page.getByRole("region", { name, exact: true });

test("every school says what it makes of this hike, and another one changes the plan at once", async ({ page }) => {
  await openDemo(page, "/trip/?part=models");
  await expect(page.getByText("All compared.")).toBeVisible({ timeout: 60_000 });
  const time = question(page, "Walking time");
  await expect(time.getByRole("radio")).toHaveCount(9);
  await expect(time.getByRole("radio", { name: /Tobler/ })).toBeChecked();
  const alpine = time.getByRole("row").filter({ hasText: "DIN 33466" });
  await expect(alpine).toContainText(/\d+ Aug/);
  const before = await finishOf(page);
  const foretold = /\d+ Aug/.exec(await alpine.innerText())![0];
  await time.getByRole("radio", { name: /DIN 33466/ }).click();
  await expect(page.getByTestId("effect")).toContainText(/DIN 33466/);
  // What the table foretold is what the plan is now.
  await expect(page.getByRole("banner")).toContainText(`to ${foretold}`);
  await station(page, "Legs");
  await page.locator("#leg-row-2").getByTitle("Why this many days").click();
  await page.getByTestId("why").getByRole("button", { name: "On the trail" }).click();
  await expect(page.getByTestId("why")).toContainText("Alpine clubs");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("banner")).toContainText(`to ${before}`);
});

test("a comparison can be stopped and begun again", async ({ page }) => {
  await openDemo(page, "/trip/?part=models");
  await page.getByRole("button", { name: "Stop" }).click();
  // Longer than edits in quick succession are waited out: nothing starts again by itself.
  await page.waitForTimeout(900);
  await expect(page.getByText("All compared.")).toHaveCount(0);
  await page.getByRole("button", { name: "Compare again" }).click();
  await expect(page.getByText("All compared.")).toBeVisible({ timeout: 60_000 });
});

test("a measured value replaces the schools, shows as such, and survives a reload", async ({ page }) => {
  await openDemo(page, "/trip/?part=models");
  await question(page, "Water while walking")
    .getByRole("button", { name: "Enter my measured litres per hour…" })
    .click();
  const field = page.getByLabel("Your litres per walking hour");
  await field.fill("0.9");
  await field.press("Enter");
  await expect(page.getByText("your 0.90 L per hour replace the models")).toBeVisible();
  await page.reload();
  await expect(page.getByLabel("Your litres per walking hour")).toHaveValue("0.9");
  await station(page, "Legs");
  await page.locator("#leg-row-5").getByTitle("Why this carry").click();
  await expect(page.getByTestId("why")).toContainText("Per walking hour");
  await expect(page.getByTestId("why")).toContainText("Measured by you; it replaces the model.");
});

test("the rules of a day: rest days, hours by phase, a slower surface", async ({ page }) => {
  await openDemo(page, "/days/");
  await page.getByText("Day rules").click();
  const rest = page.getByLabel("Days between rest days, 0 for none");
  await rest.fill("6");
  await rest.press("Enter");
  await expect(page.getByTestId("days-summary")).toContainText(/[12][0-9] rest days/);
  const hours = page.getByRole("region", { name: "Hours for Tamsin Okafor" });
  await hours.getByRole("button", { name: "Set hours by phase" }).click();
  await hours.getByRole("button", { name: "Add phase" }).click();
  const last = hours.getByLabel("Hours").last();
  await last.fill("3");
  await last.press("Enter");
  await expect(page.getByTestId("effect")).toContainText("hours by phase");
  const bog = page.getByLabel("Speed on bog");
  await bog.fill("500");
  await bog.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "Enter 10 to 150 %." })).toBeVisible();
});

test("power: without the bank more legs run flat, and undo brings it back", async ({ page }) => {
  await openDemo(page, "/power/");
  const legs = page.getByRole("region", { name: "Batteries by leg" }).getByRole("row");
  const flat = async (): Promise<number> => legs.filter({ hasNotText: "–" }).count();
  await expect(legs).toHaveCount(23);
  const before = await flat();
  await page.getByRole("button", { name: "Remove Power bank, 10 000 mAh" }).click();
  await expect.poll(flat).toBeGreaterThan(before + 5);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(flat).toBe(before);
});

test("every headline figure answers why, with its caution", async ({ page }) => {
  await openDemo(page, "/?leg=10");
  const why = page.getByTestId("why");
  for (const name of [
    "Pack",
    "Base",
    "Food",
    "Carry",
    "Fuel",
    "Energy",
    "Days",
    "Arrival",
    "Speed",
    "Warmth",
    "Pad",
    "Battery",
  ]) {
    await why.getByRole("button", { name, exact: true }).click();
    await expect(why.getByTestId("why-value"), name).toHaveText(/\d/);
    await expect(why.getByText(/Local rules and land managers come first/), name).toBeVisible();
  }
  await why.getByRole("button", { name: "Base", exact: true }).click();
  await why.getByRole("button", { name: "Sleep", exact: true }).click();
  await expect(why.getByText(/^(Weighed|As listed)/).first()).toBeVisible();
});

test("another carry of the leg answers why when its litres are asked", async ({ page }) => {
  await openDemo(page, "/?leg=7&why=carry");
  const why = page.getByTestId("why");
  const largest = await why.getByTestId("why-value").innerText();
  await why.getByTitle("Why this carry").first().click();
  await expect(why.getByTestId("why-value")).not.toHaveText(largest);
});

test("cooking on alcohol instead of gas changes the packs", async ({ page }) => {
  await openDemo(page, "/");
  const gas = await startingWeights(page);
  await page.goto("/trip/?part=models");
  await question(page, "Stove and fuel")
    .getByRole("radio", { name: /Alcohol/ })
    .click();
  await expect(page.getByTestId("effect")).toContainText("Alcohol");
  await station(page, "Legs");
  expect(await startingWeights(page)).not.toEqual(gas);
});
