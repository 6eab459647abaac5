/** Rules of the field, set where they stand: rides, rules in your own words, what a way to water is worth. */
import { expect, openDemo, station, test } from "./fixtures.ts";

test("a way to water is worth what one says: at nothing all of it is passed by, and told", async ({ page }) => {
  await openDemo(page, "/?leg=10&why=days");
  const why = page.getByTestId("why");
  await expect(why).toContainText("To off-trail water and back");
  await station(page, "Days");
  await page.getByText("Day rules").click();
  const worth = page.getByLabel("Detour minutes per litre-hour saved");
  await worth.fill("0");
  await worth.press("Enter");
  await expect(page.getByTestId("effect")).toContainText("detour minutes");
  await page.goto("/?leg=10&why=days");
  await why.getByText(/^Fill up at/).click();
  await expect(why.getByText("Off trail, skipped")).toBeVisible();
  await expect(why).toContainText(/min there and back; worth up to 0 min/);
});

test("a custom rule is shown before its stretch, and who keeps a rule of food storage is set", async ({ page }) => {
  await openDemo(page, "/trail/");
  await page.getByRole("radio", { name: /Stretches/ }).click();
  const keeper = page.getByRole("combobox", { name: /^Who the rule of/ }).first();
  const name = (await keeper.getAttribute("aria-label"))!.replace(/^Who the rule of | applies to$/g, "");
  await keeper.selectOption("anyone camping there");
  await expect(page.getByTestId("effect")).toContainText("applies to anyone camping there");
  await page.getByRole("combobox", { name: `Rule for ${name}`, exact: true }).selectOption("custom text");
  await expect(page.getByTestId("effect")).toContainText("custom text");
  await page.goto("/?leg=9");
  await expect(page.getByTestId("why").getByText(`“${name}” has its own rule`)).toBeVisible();
});

test("the minutes of a ride are set at the stop, and the walk the other way keeps its kit", async ({ page }) => {
  await openDemo(page, "/trail/");
  await page.getByRole("radio", { name: /Stops/ }).click();
  const ride = page.getByLabel(/^Ride to/).first();
  await expect(ride).toBeVisible();
  await ride.fill("95");
  await ride.press("Enter");
  await expect(ride).toHaveValue("95");
  await page.getByRole("button", { name: "Reverse direction" }).click();
  await expect(page.getByRole("banner")).toContainText("southbound");
  // No piece is left behind by turning round.
  await station(page, "Kit");
  await expect(page.getByText(/goes missing for a while/)).toHaveCount(0);
});
