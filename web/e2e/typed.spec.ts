/** What is typed counts: in the log without Enter, in a new trip behind no refused field; what files do not say is asked. */
import { asFile, expect, gpxOf, openDemo, test } from "./fixtures.ts";

test("twelve of the day, typed and saved by the button, and there after a reload", async ({ page }) => {
  await openDemo(page, "/log/");
  const today = page.getByTestId("today");
  await today.getByLabel("Where the day ended").fill("12");
  await expect(page.getByTestId("typed-end")).toHaveText(/^12 km today, to 12 km/);
  const save = today.getByRole("button", { name: /^Save day/ });
  await expect(save).toHaveText(/^Save day: 12 km today/);
  await save.click();
  await expect(today).toContainText("Day 2, Tue 30 Mar");
  await today.getByLabel("Where the day ended").fill("9");
  await expect(page.getByTestId("typed-end")).toHaveText(/^9 km today, to 21 km/);
  await save.click();
  await expect(page.getByTestId("log-say")).toContainText("2 days saved");
  await expect(today).toContainText("Day 3, Wed 31 Mar");
  await page.reload();
  await expect(today).toContainText("Day 3, Wed 31 Mar");
  await expect(page.getByTestId("today-say")).toContainText("21 km to");
  // Not even the start moves past logged days without a question.
  await page.goto("/trip/");
  const start = page.getByLabel("Start date", { exact: true });
  await start.fill("5 April 2027");
  await start.press("Enter");
  const asked = page.getByRole("alertdialog");
  await expect(asked).toContainText("2 logged days are before that date");
  await asked.getByRole("button", { name: "Cancel" }).click();
  await expect(start).toHaveValue("29 March 2027");
});

test("a refused field holds the new trip back; its list and what the files do not say are in the plan", async ({
  page,
}) => {
  await page.goto("/begin/");
  const towns = ["Marlow", "Tarrant"].map(
    (name, i) => `<wpt lat="${40.6 + 0.7 * i}" lon="-150"><name>${name}</name></wpt>`,
  );
  const way = gpxOf(1900, `${towns.join("")}<wpt lat="40.1" lon="-150"><name>Spring</name></wpt>`);
  await page.getByTestId("gpx-file").setInputFiles(asFile("way.gpx", way));
  const asked = page.getByRole("region", { name: "What your files don’t say" });
  await asked.getByLabel("Food at Marlow").selectOption("shop-small");
  await expect(asked.getByTestId("assume-water").getByRole("checkbox")).toBeChecked();
  const height = page.getByLabel("Height");
  await height.fill("9 ft 11");
  await height.press("Tab");
  await page.getByRole("button", { name: "Calculate my plan" }).click();
  await expect(height).toBeFocused();
  await height.fill("5 ft 11");
  await height.press("Tab");
  await expect(height).toHaveValue("180");
  await page.getByLabel("Your kit list").fill("tent 2lb 3oz\nquilt 20F 680 g\npack 900\ntrail goo");
  await page.getByRole("button", { name: "Read list" }).click();
  await page.getByLabel("Weight of trail goo").fill("250");
  await page.getByLabel("Weight of trail goo").press("Enter");
  await page.getByRole("button", { name: "Calculate my plan" }).click();
  const lines = page.getByTestId("assumptions");
  await expect(lines).toContainText("Your list");
  await expect(lines).toContainText("1 of the 1 listed");
  await expect(lines).toContainText(/1 listed source, \d+ assumed/);
  await page.getByRole("link", { name: "Show my plan" }).click();
  await expect(page.locator("#leg-row-0")).toContainText("Start to Marlow");
  await page.goto("/kit/");
  await expect(page.getByLabel("Weight of trail goo")).toHaveValue("250");
});
