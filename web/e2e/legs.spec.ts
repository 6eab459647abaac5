import { expect, openDemo, startingWeights, station, test } from "./fixtures.ts";

test("the first visit opens the made-up trail, computed", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Corvane Traverse" })).toBeVisible();
  await expect(page.getByText("This trail is fictional.")).toBeVisible();
  await expect(page.getByRole("link", { name: "Start your own trip" })).toBeVisible();
  expect(await startingWeights(page)).toHaveLength(22);
  await expect(page.getByRole("option", { name: /^Leg 22/ })).toBeAttached();
});

test("a leg selected anywhere is selected everywhere, on the next station and in the address", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("row", { name: /Hask Tank to Dry Fork/ }).click();
  await expect(page.getByTestId("why").getByRole("heading", { level: 2 })).toHaveText("6. Hask Tank to Dry Fork");
  await expect(page.getByRole("option", { name: /^Leg 6,/ })).toHaveAttribute("aria-selected", "true");
  expect(new URL(page.url()).searchParams.get("leg")).toBe("6");
  await station(page, "Kit");
  await expect(page.getByRole("option", { name: /^Leg 6,/ })).toHaveAttribute("aria-selected", "true");
  await page.getByRole("option", { name: /^Leg 9,/ }).click();
  await page.reload();
  await station(page, "Legs");
  await expect(page.getByRole("row", { name: /Ivory Gate to Pell Hut Road/ })).toHaveAttribute("aria-selected", "true");
});

test("arrow keys move along the legs on the Line and in the table", async ({ page }) => {
  await openDemo(page, "/?leg=3");
  await page.getByRole("listbox", { name: "Legs" }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByTestId("why").getByRole("heading", { level: 2 })).toContainText("4. Red Stair");
  await page.locator("#leg-row-3").focus();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByTestId("why").getByRole("heading", { level: 2 })).toContainText("5. Canner");
  await page.getByRole("listbox", { name: "Legs" }).focus();
  await page.keyboard.press("End");
  await expect(page.getByTestId("why").getByRole("heading", { level: 2 })).toContainText("22.");
});

test("any figure answers why, and its parts add up to what is shown", async ({ page }) => {
  await openDemo(page, "/?leg=6");
  const why = page.getByTestId("why");
  const top = Number((await why.getByTestId("why-value").innerText()).replace(" kg", ""));
  const part = async (name: string): Promise<number> =>
    parseFloat(
      await why.getByRole("listitem").filter({ hasText: name }).first().locator(".figure").first().innerText(),
    );
  const parts = await Promise.all(
    ["Base weight", "Consumables", "Food", "Water to the first source", "Fuel", "Empty canisters or bottles"].map(part),
  );
  expect(parts.reduce((a, b) => a + b, 0)).toBeCloseTo(top, 1);

  await page.locator("#leg-row-5").getByTitle("Why this carry").click();
  await expect(why.getByTestId("why-value")).toContainText(" L");
  await expect(why.getByText("Water carried to camp")).toBeVisible();
  await expect(why.getByText(/Drinking far beyond thirst is dangerous/)).toBeVisible();
  await page.locator("#leg-row-5").getByTitle("Why this energy").click();
  await expect(why.getByText(/Mifflin/)).toBeVisible();
});

test("the other hiker has another pack", async ({ page }) => {
  await openDemo(page);
  const tamsin = await startingWeights(page);
  await page.getByRole("radio", { name: "Jory" }).click();
  expect(await startingWeights(page)).not.toEqual(tamsin);
});

test("what falls short stands beside the leg, with what would mend it", async ({ page }) => {
  await openDemo(page, "/?leg=6");
  await expect(page.locator("#leg-row-5").getByText("bottles")).toBeVisible();
  const check = page.getByTestId("why").getByRole("listitem").filter({ hasText: "your bottles hold" });
  await check.getByRole("button", { name: /^Add a water bag, \d+ L on leg 6/ }).click();
  await expect(page.locator("#leg-row-5").getByText("bottles")).toHaveCount(0);
  await expect(page.getByTestId("effect")).toContainText("Water bag");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.locator("#leg-row-5").getByText("bottles")).toBeVisible();
});

test("the Line zooms to a leg, follows the selection, and shows the whole trail again", async ({ page }) => {
  await openDemo(page, "/?leg=9");
  const legs = page.getByRole("listbox", { name: "Legs" }).getByRole("option");
  const width = async (): Promise<number> => (await page.getByRole("option", { name: /^Leg 9,/ }).boundingBox())!.width;
  const whole = await width();
  await page.getByRole("button", { name: "Zoom to leg" }).click();
  await expect.poll(width).toBeGreaterThan(4 * whole);
  await expect(page.getByRole("button", { name: "Whole trail" })).toBeVisible();
  await page.reload();
  await expect.poll(width).toBeGreaterThan(4 * whole);
  await page.getByRole("listbox", { name: "Legs" }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("option", { name: /^Leg 10,/ })).toHaveAttribute("aria-selected", "true");
  await page.keyboard.press("0");
  await expect.poll(width).toBeCloseTo(whole, 0);
  await expect(legs).toHaveCount(22);
});

test("faces and the look of notices stay when one goes from station to station", async ({ page }) => {
  await openDemo(page);
  const styles = (): Promise<number> =>
    page.evaluate(() => document.querySelectorAll("head style, head link[rel=stylesheet]").length);
  const faces = page.locator('head link[href*="fonts"]');
  await expect(faces).toHaveCount(1);
  const before = await styles();
  const line = await page.getByTestId("line").elementHandle();
  for (const name of ["Kit", "Log", "Legs"]) {
    await station(page, name);
    await expect(faces).toHaveCount(1);
    expect(await styles()).toBeGreaterThanOrEqual(before);
    // The Line is the very one, and what is read aloud of stations is the last of them alone.
    expect(await line!.evaluate((element) => element.isConnected)).toBe(true);
    await expect(page.locator(".astro-route-announcer")).toHaveCount(1);
  }
});
