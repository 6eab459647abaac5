import { expect, openDemo, startingWeights, station, test } from "./fixtures.ts";

test("a heavier piece shows at once, old beside new, and undo survives a reload", async ({ page }) => {
  await openDemo(page);
  const before = await startingWeights(page);
  await station(page, "Kit");
  const mass = page.getByLabel("Weight of Backpack").first();
  await expect(mass).toHaveValue("986");
  await mass.fill("1.986kg");
  await mass.press("Enter");
  await expect(page.getByTestId("effect")).toContainText("Backpack: 1,986 g");
  await expect(page.getByTestId("effect").locator("s").first()).toBeVisible();
  await station(page, "Legs");
  const after = await startingWeights(page);
  expect(Number(after[0]) - Number(before[0])).toBeCloseTo(1, 0);

  await page.reload();
  await expect(page.getByTestId("line")).toBeVisible();
  expect(await startingWeights(page)).toEqual(after);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(() => startingWeights(page)).toEqual(before);
  await page.getByRole("button", { name: "Redo" }).click();
  await expect.poll(() => startingWeights(page)).toEqual(after);
  await page.keyboard.press("Control+z");
  await expect.poll(() => startingWeights(page)).toEqual(before);
});

test("a span's end moves from stop to stop by key and by pointer", async ({ page }) => {
  await openDemo(page, "/kit/?leg=9");
  const end = page.getByRole("slider", { name: "Ice axe: carried until" });
  const base = (leg: number) => page.getByRole("button", { name: new RegExp(`^Base weight leg ${leg}:`) });
  await expect(end).toHaveAttribute("aria-valuetext", "Tarn Junction");
  const before = await base(13).innerText();
  await end.press("ArrowRight");
  await expect(end).toHaveAttribute("aria-valuetext", "Sael");
  await expect(base(13)).not.toHaveText(before);
  await end.press("ArrowLeft");
  await expect(base(13)).toHaveText(before);

  await end.scrollIntoViewIfNeeded();
  const box = (await end.boundingBox())!;
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + 5, y);
  await page.mouse.down();
  await page.mouse.move(box.x + 30, y, { steps: 4 });
  await page.mouse.move(box.x + 5 + 81, y, { steps: 6 });
  await page.mouse.up();
  await expect(end).toHaveAttribute("aria-valuetext", "Upper Sael");
});

test("a piece is added, edited and removed", async ({ page }) => {
  await openDemo(page, "/kit/");
  const count = page.getByText(/items\. Drag the end/);
  const pieces = parseInt((await count.innerText()).split(": ")[1]!);
  await page.getByRole("button", { name: "Add item" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByRole("button", { name: "Add item" }).click();
  await expect(dialog.getByText("Enter a name.")).toBeVisible();
  await dialog.getByLabel("Name").fill("Folding stool");
  await dialog.getByLabel("Weight of one").fill("1 lb 2 oz");
  await dialog.getByLabel("Weight of one").press("Tab");
  await dialog.getByRole("button", { name: "Add item" }).click();
  await expect(page.getByLabel("Weight of Folding stool")).toHaveValue("510");
  await expect(count).toContainText(`${pieces + 1} items`);
  await page.getByRole("button", { name: "Folding stool" }).click();
  await page.getByRole("button", { name: "Remove Folding stool" }).click();
  await expect(count).toContainText(`${pieces} items`);
});

test("wrong text says why and changes nothing", async ({ page }) => {
  await openDemo(page, "/kit/");
  const mass = page.getByLabel("Weight of Backpack").first();
  await mass.fill("heavy");
  await mass.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "isn’t clear" })).toBeVisible();
  await mass.press("Escape");
  await expect(mass).toHaveValue("986");
  await mass.fill("-5");
  await mass.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "Enter 0 to" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Undo" })).toBeDisabled();
});

test("a number that can be read in two ways is asked about, unless the field knows", async ({ page }) => {
  await openDemo(page, "/trail/");
  const at = page.getByLabel("Place of Flats Landing");
  await at.fill("1,500");
  await at.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "can be read in two ways" })).toBeVisible();
  await page.getByRole("button", { name: "1.5 km" }).click();
  await expect(at).toHaveValue("1.5");
  await page.goto("/power/");
  const cells = page.getByLabel(/^Cell capacity, mAh/).first();
  await cells.fill("10,000 mAh");
  await cells.press("Enter");
  await expect(cells).toHaveValue("10000");
  await page.goto("/trip/");
  const body = page.getByLabel("Body weight");
  await body.fill("61,500");
  await body.press("Enter");
  await expect(body).toHaveValue("61.5");
});

test("a later start makes warmer nights, dates and finish follow", async ({ page }) => {
  await openDemo(page, "/trip/");
  const start = page.getByLabel("Start date", { exact: true });
  await start.fill("10/5/2027");
  await start.press("Enter");
  const asked = page.getByRole("alert").filter({ hasText: "can be read in two ways" });
  await expect(asked.getByRole("button")).toHaveText(["5 October 2027", "10 May 2027"]);
  await asked.getByRole("button", { name: "10 May 2027" }).click();
  await expect(start).toHaveValue("10 May 2027");
  await expect(page.getByTestId("effect")).toContainText("Start on 10 May");
  await expect(page.getByText(/As planned, it ends on/)).toContainText(/Aug|Sep/);
  await expect(page.getByText(/after your target/)).toBeVisible();
  await station(page, "Legs");
  await expect(page.locator("#leg-row-0")).toContainText("10 May");
});

test("a day is picked from a month as well", async ({ page }) => {
  await openDemo(page, "/trip/");
  await page.getByRole("button", { name: "Start date: pick a day" }).click();
  await page.getByRole("button", { name: /Next Month/ }).click();
  await page.getByRole("button", { name: /April 12th, 2027/ }).click();
  await expect(page.getByLabel("Start date", { exact: true })).toHaveValue("12 April 2027");
  await expect(page.getByTestId("effect")).toContainText("Start on 12 Apr");
});

test("units: imperial shows pounds and miles, and typed metric is still understood", async ({ page }) => {
  await openDemo(page, "/trip/?part=units");
  await page.getByLabel("Set all").selectOption("imperial");
  await page.getByRole("tab", { name: "Trip and people" }).click();
  await expect(page.getByLabel("Body weight")).toHaveValue("136.7");
  await page.getByLabel("Body weight").fill("60 kg");
  await page.getByLabel("Body weight").press("Enter");
  await expect(page.getByLabel("Body weight")).toHaveValue("132.3");
  await station(page, "Legs");
  await expect(page.getByRole("columnheader", { name: "mi", exact: true })).toBeVisible();
  await expect(page.locator("#leg-row-0")).toContainText("60");
});

test("an edit that a closing tab did not get to store is there on the next opening", async ({ page }) => {
  await openDemo(page, "/kit/");
  // Somebody else writes without end: storage never gets round to the edit before the tab is gone.
  await page.evaluate(
    () =>
      new Promise<void>((begun) => {
        const opening = indexedDB.open("gepack");
        opening.onsuccess = () => {
          const busy = opening.result.transaction("plans", "readwrite").objectStore("plans");
          const again = (): void => void (busy.count().onsuccess = again);
          again();
          begun();
        };
      }),
  );
  const mass = page.getByLabel("Weight of Backpack").first();
  await mass.fill("2,345");
  await mass.press("Enter");
  await expect(page.getByTestId("effect")).toContainText("Backpack: 2,345 g");
  await page.reload();
  await expect(mass).toHaveValue("2,345");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(mass).toHaveValue("986");
});

test("an edit followed at once by a reload is kept", async ({ page }) => {
  await openDemo(page, "/kit/");
  const mass = page.getByLabel("Weight of Backpack").first();
  await mass.fill("1,234");
  await mass.press("Enter");
  await page.reload();
  await expect(mass).toHaveValue("1,234");
});

test("who types on while an answer is coming keeps what is typed", async ({ page }) => {
  await openDemo(page, "/kit/");
  const mass = page.getByLabel("Weight of Backpack").first();
  await mass.fill("1100");
  await mass.press("Enter");
  await mass.fill("2200");
  await expect(page.getByTestId("effect")).toContainText("Backpack: 1,100 g");
  await expect(mass).toHaveValue("2200");
  await mass.press("Escape");
  await expect(mass).toHaveValue("1,100");
  // Undone in another way, a field at rest follows.
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(mass).toHaveValue("986");
});

test("what is typed in a field and not left is taken when the page goes", async ({ page }) => {
  await openDemo(page, "/kit/");
  const mass = page.getByLabel("Weight of Backpack").first();
  await mass.fill("1234");
  await page.reload();
  await expect(mass).toHaveValue("1,234");
  await page.goto("/trip/");
  const name = page.getByLabel("Name").first();
  await name.fill("The long way");
  await page.reload();
  await expect(page.getByRole("heading", { name: "The long way" })).toBeVisible();
});

test("two tabs agree", async ({ page, context }) => {
  await openDemo(page);
  const other = await context.newPage();
  await openDemo(other, "/kit/");
  const mass = other.getByLabel("Weight of Backpack").first();
  const before = await startingWeights(page);
  await mass.fill("3000");
  await mass.press("Enter");
  await expect.poll(() => startingWeights(page)).not.toEqual(before);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(mass).toHaveValue("986");
});

test("two tabs that are edited at the same moment hold both edits", async ({ page, context }) => {
  await openDemo(page, "/kit/");
  const other = await context.newPage();
  await openDemo(other, "/kit/");
  const edit = async (tab: typeof page, piece: string, massG: string): Promise<void> => {
    const field = tab.getByLabel(`Weight of ${piece}`).first();
    await field.fill(massG);
    await field.press("Enter");
  };
  await Promise.all([edit(page, "Backpack", "1500"), edit(other, "Stakes", "111")]);
  for (const tab of [page, other]) {
    await expect(tab.getByLabel("Weight of Backpack").first()).toHaveValue("1,500");
    await expect(tab.getByLabel("Weight of Stakes").first()).toHaveValue("111");
  }
});

test("stops are added, moved and removed by key; a stop passed by joins its legs", async ({ page }) => {
  await openDemo(page, "/trail/");
  const legs = page.getByRole("listbox", { name: "Legs" }).getByRole("option");
  await expect(legs).toHaveCount(22);
  await page.getByRole("button", { name: "Add stop" }).click();
  await expect(legs).toHaveCount(23);
  await page.getByRole("checkbox", { name: "Use Stop 35" }).click();
  await expect(legs).toHaveCount(22);
  const mark = page.getByRole("slider", { name: "stop Stop 35" });
  const place = Number(await mark.getAttribute("aria-valuenow"));
  await mark.press("Shift+ArrowRight");
  await expect.poll(async () => Number(await mark.getAttribute("aria-valuenow"))).toBeCloseTo(place + 1, 0);
  await mark.press("Delete");
  await expect(mark).toHaveCount(0);
});

test("a source is dragged along the Line, and the way can be walked backwards", async ({ page }) => {
  await openDemo(page, "/trail/");
  const mark = page.getByRole("slider", { name: "source Hask trough" });
  const place = Number(await mark.getAttribute("aria-valuenow"));
  const box = (await mark.boundingBox())!;
  await page.mouse.move(box.x + 3, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 30, box.y + 8, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => Number(await mark.getAttribute("aria-valuenow"))).toBeGreaterThan(place + 30);
  await page.getByRole("button", { name: "Reverse direction" }).click();
  await expect(page.getByRole("option", { name: "Leg 1, Cape Ferrin to Skerry Pass" })).toBeAttached();
});

test("starting again from the demo asks first", async ({ page }) => {
  await openDemo(page, "/kit/");
  const mass = page.getByLabel("Weight of Backpack").first();
  await mass.fill("2222");
  await mass.press("Enter");
  await expect(page.getByRole("button", { name: "Undo" })).toBeEnabled();
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitem", { name: "Reset the demo…" }).click();
  await page.getByRole("button", { name: "Cancel" }).click();
  await expect(mass).toHaveValue("2,222");
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitem", { name: "Reset the demo…" }).click();
  await page.getByRole("button", { name: "Reset the demo" }).click();
  await expect(mass).toHaveValue("986");
  await expect(page.getByRole("button", { name: "Undo" })).toBeDisabled();
});

test("weather is typed in, and the plan follows", async ({ page }) => {
  await openDemo(page, "/season/?leg=6");
  const weather = page.getByRole("region", { name: "Weather" });
  await weather.locator("summary", { hasText: "Hask Plateau middle" }).click();
  await weather.getByLabel("Hask Plateau middle, Apr, low").fill("-20");
  await weather.getByLabel("Hask Plateau middle, Apr, low").press("Enter");
  await expect(page.getByTestId("effect")).toContainText("Apr low");
  await station(page, "Legs");
  const nights = page.locator("#leg-row-5 td", { hasText: / \/ / });
  const colder = await nights.innerText();
  expect(colder).toMatch(/^−/);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(nights).not.toHaveText(colder);
});

test("a hiker joins and leaves; what the party shares stays", async ({ page }) => {
  await openDemo(page, "/trip/");
  await page.getByRole("button", { name: "Add hiker" }).click();
  // The page turns to who was added.
  await expect(page.getByRole("radio", { name: "Hiker" })).toBeChecked();
  await page.getByRole("radio", { name: "Tamsin" }).click();
  await page.getByRole("button", { name: "Remove Tamsin Okafor" }).click();
  await expect(page.getByRole("radio", { name: "Tamsin" })).toHaveCount(0);
  await station(page, "Kit");
  await expect(page.getByLabel("Weight of Stakes, 8")).toBeVisible();
  await expect(page.getByRole("button", { name: "Gas burner", exact: true })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("radio", { name: "Tamsin" })).toBeVisible();
});

test("places are found, sorted, chosen with keys and pointer, and removed several at once", async ({ page }) => {
  await openDemo(page, "/trail/");
  await page.getByRole("radio", { name: /Water/ }).click();
  const table = page.getByRole("table", { name: "Water" });
  const names = table.getByLabel(/^Name of/);
  // Of 269 sources only those in sight are rows of the page.
  expect(await names.count()).toBeLessThan(120);
  await page.getByRole("searchbox", { name: "Find a source" }).fill("tank");
  const found = await names.count();
  expect(found).toBeGreaterThan(2);
  expect(found).toBeLessThan(30);
  await table.getByRole("button", { name: "Name" }).click();
  const sorted = await names.evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value));
  expect(sorted).toEqual([...sorted].sort((a, b) => a.toLowerCase().localeCompare(b.toLowerCase())));
  const rows = table.locator("tbody tr");
  await rows.nth(0).click({ position: { x: 4, y: 4 } });
  await rows.nth(2).click({ position: { x: 4, y: 4 }, modifiers: ["Shift"] });
  await page.getByRole("button", { name: "Remove 3 selected" }).click();
  await expect(names).toHaveCount(found - 3);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(names).toHaveCount(found);
});

test("rows of a spreadsheet are pasted as places; what does not read is said", async ({ page }) => {
  await openDemo(page, "/trail/");
  await page.getByRole("radio", { name: /Camps/ }).click();
  await page.getByRole("table", { name: "Camps" }).evaluate((table) => {
    const data = new DataTransfer();
    data.setData("text/plain", "Pine flat\t12.5\nBeyond the end\t99999\nOak bench\t20 mi");
    table.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(page.getByLabel("Place of Pine flat")).toHaveValue("12.5");
  await expect(page.getByLabel("Place of Oak bench")).toHaveValue("32.2");
  await expect(page.getByText(/Beyond the end/)).toBeVisible();
});

test("a camp is listed in a hollow, and a stop comes to offer a bed", async ({ page }) => {
  await openDemo(page, "/trail/");
  await page.getByRole("radio", { name: /Camps/ }).click();
  await page.getByRole("button", { name: "Add camp" }).click();
  const hollow = page.getByLabel("Camp 12 is in a hollow");
  await hollow.click();
  await expect(hollow).toBeChecked();
  await expect(page.getByRole("slider", { name: "camp Camp 12" })).toBeVisible();
  await expect(page.getByTestId("effect")).toContainText("in a hollow");
  await page.getByRole("radio", { name: /Stops/ }).click();
  const offers = page.getByRole("button", { name: "What Hask Tank offers" });
  await offers.click();
  await page.getByRole("menuitemcheckbox", { name: "bed" }).click();
  await page.keyboard.press("Escape");
  await expect(offers).toHaveText("small shop, bed, socket");
  const closes = page.getByLabel("Closing hour of Hask Tank, 24 if never");
  await closes.fill("17");
  await closes.press("Enter");
  await page.reload();
  await expect(page.getByLabel("Closing hour of Hask Tank, 24 if never")).toHaveValue("17");
});
