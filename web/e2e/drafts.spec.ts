/** What is typed and not stored yet: kept when storage refuses it, by its day, and before a newer version. */
import type { Page } from "@playwright/test";
import { asFile, beginTrip, expect, gpxOf, openDemo, station, test } from "./fixtures.ts";

/** The disk fills up for whatever comes next, until it is freed again. */
async function fillDisk(page: Page): Promise<void> {
  await page.evaluate(() => {
    const add = IDBObjectStore.prototype.add;
    IDBObjectStore.prototype.add = function () {
      throw new DOMException("full", "QuotaExceededError");
    };
    Object.assign(window, { freeDisk: () => (IDBObjectStore.prototype.add = add) });
  });
}
const freeDisk = (page: Page): Promise<void> =>
  page.evaluate(() => void (window as unknown as { freeDisk: () => void }).freeDisk());

const FULL = /storage is full, so your change wasn’t saved/;

test("a dialog and a typed line stay when storage refuses them, and go when it takes them", async ({ page }) => {
  await openDemo(page, "/kit/");
  await fillDisk(page);
  await page.getByRole("button", { name: "Add item", exact: true }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Name", { exact: true }).fill("Down mitts");
  await dialog.getByRole("button", { name: "Add item" }).click();
  await expect(page.getByText(FULL)).toBeVisible();
  await expect(dialog.getByLabel("Name", { exact: true })).toHaveValue("Down mitts");
  await freeDisk(page);
  await dialog.getByRole("button", { name: "Add item" }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText("Down mitts").first()).toBeVisible();

  await fillDisk(page);
  const line = page.getByLabel("Add an item by typing a line");
  await line.fill("fleece 241 g");
  await line.press("Enter");
  await expect(page.getByText(FULL)).toBeVisible();
  await expect(line).toHaveValue("fleece 241 g");
  await freeDisk(page);
  await line.press("Enter");
  await expect(line).toHaveValue("");
});

test("cards of the log: each day keeps what is typed; a refused day stays; saved, the button rests and Undo brings it back", async ({
  page,
}) => {
  await beginTrip(page, asFile("north.gpx", gpxOf(900)));
  await station(page, "Log");
  const card = page.getByTestId("today");
  const notes = card.getByLabel("notes");
  const save = card.getByRole("button", { name: "Save day" });
  await notes.fill("first day");
  await card.getByRole("button", { name: "Next day" }).click();
  await notes.fill("second day");
  await card.getByRole("button", { name: "Previous day" }).click();
  await expect(notes).toHaveValue("first day");
  await page.reload();
  await expect(notes).toHaveValue("first day");
  await card.getByRole("button", { name: "Next day" }).click();
  await expect(notes).toHaveValue("second day");
  await card.getByRole("button", { name: "Previous day" }).click();

  await fillDisk(page);
  await save.click();
  await expect(page.getByText(FULL)).toBeVisible();
  await expect(notes).toHaveValue("first day");
  await freeDisk(page);
  await page.waitForTimeout(800);
  await save.click();
  await expect(card.getByText(/^Saved \d+ \w+/)).toBeVisible();
  await expect(save).toBeDisabled();
  await expect(notes).toHaveValue("second day");
  await card.getByRole("button", { name: "Undo" }).click();
  await expect(notes).toHaveValue("first day");
  await expect(page.getByRole("table", { name: "Saved days" })).toBeHidden();
  await expect(save).toBeEnabled();
});

for (const ms of [0, 300])
  test(`a second click after ${ms} ms does nothing twice`, async ({ page }) => {
    await openDemo(page, "/power/");
    const rows = page.getByRole("table", { name: "Devices" }).getByRole("row");
    const before = await rows.count();
    const twice = async (name: string, byKeys = false): Promise<void> => {
      const button = page.getByRole("button", { name, exact: true });
      await button.scrollIntoViewIfNeeded();
      const box = (await button.boundingBox())!;
      const press = async (): Promise<void> => {
        if (byKeys) await page.keyboard.press("Enter");
        else await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
      };
      if (byKeys) await button.focus();
      // The second does not wait for what the first makes of the page.
      const first = press();
      await page.waitForTimeout(ms);
      await Promise.all([first, press()]);
    };
    await twice("Add device");
    await expect(rows).toHaveCount(before + 1);
    await page.waitForTimeout(900);
    await expect(rows).toHaveCount(before + 1);
    await twice("Add device", true);
    await expect(rows).toHaveCount(before + 2);
    await page.waitForTimeout(900);
    await expect(rows).toHaveCount(before + 2);
    // What is taken away makes room for the next: a second click does not take that as well.
    const remove = page.getByRole("button", { name: /^Remove Device/ }).first();
    await remove.scrollIntoViewIfNeeded();
    const box = (await remove.boundingBox())!;
    const first = page.mouse.click(box.x + 4, box.y + 4);
    await page.waitForTimeout(ms);
    await Promise.all([first, page.mouse.click(box.x + 4, box.y + 4)]);
    await expect(rows).toHaveCount(before + 1);
    await page.waitForTimeout(900);
    await expect(rows).toHaveCount(before + 1);
  });

test("the address of a box follows undo and does not write itself back", async ({ page }) => {
  await openDemo(page, "/boxes/");
  const address = page.getByRole("textbox", { name: /^Address/ });
  const before = await address.inputValue();
  await address.fill("Counter 2\nHask");
  await address.blur();
  await expect(page.getByRole("button", { name: "Undo" })).toBeEnabled();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(address).toHaveValue(before);
  await address.focus();
  await address.blur();
  await page.reload();
  await expect(address).toHaveValue(before);
  await expect(page.getByTitle("Nothing to undo")).toBeVisible();
});

test("the opened variant is renamed by Enter, once, and a name that nobody sees says so", async ({ page }) => {
  await openDemo(page);
  await page.getByText("Variants", { exact: true }).click();
  const panel = page.getByTestId("variants");
  await panel.getByLabel("Save the current plan as").fill("\u200b");
  await panel.getByRole("button", { name: "Save as variant" }).click();
  await expect(panel.getByRole("alert")).toHaveText("Enter a name with letters that can be seen.");
  await panel.getByLabel("Save the current plan as").fill("Slow");
  await panel.getByRole("button", { name: "Save as variant" }).click();
  await panel.getByRole("button", { name: "Open Slow" }).click();
  await panel.getByRole("button", { name: "Rename Slow" }).click();
  await panel.getByLabel("Name of the variant").fill("Slower");
  await panel.getByLabel("Name of the variant").press("Enter");
  await expect(panel.getByText("Slower", { exact: true })).toBeVisible();
  await expect(panel.getByLabel("Name of the variant")).toBeHidden();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(panel.getByText("Slow", { exact: true })).toBeVisible();
});

test("two tabs, two plans: each stays on its own, and a reload finds it again", async ({ page, context }) => {
  await openDemo(page);
  await page.getByText("Variants", { exact: true }).click();
  const panel = page.getByTestId("variants");
  await panel.getByLabel("Save the current plan as").fill("Other");
  await panel.getByRole("button", { name: "Save as variant" }).click();
  await expect(panel.getByRole("button", { name: "Open Other" })).toBeVisible();
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByText("Variants", { exact: true }).click();
  await other.getByTestId("variants").getByRole("button", { name: "Open Other" }).click();
  await expect(other).not.toHaveURL(page.url());
  const opened = (of: Page) => of.getByTestId("variants").getByRole("listitem").filter({ hasText: "opened" });
  await expect(opened(other)).toContainText("Other");
  await expect(opened(page)).toContainText("Original plan");
  for (const tab of [page, other]) {
    await tab.reload();
    await tab.getByText("Variants", { exact: true }).click();
  }
  await expect(opened(other)).toContainText("Other");
  await expect(opened(page)).toContainText("Original plan");
});

test.describe("a newer version", () => {
  test.use({ serviceWorkers: "allow" });

  test("waits for what is half done, offers to be loaded, and comes by itself when it is dropped", async ({ page }) => {
    await openDemo(page, "/kit/");
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
      if (!navigator.serviceWorker.controller)
        await new Promise((done) => navigator.serviceWorker.addEventListener("controllerchange", done, { once: true }));
    });
    await page.reload();
    const line = page.getByLabel("Add an item by typing a line");
    await line.fill("half a li");
    await line.blur();
    await page.evaluate(() => {
      Object.assign(window, { isOld: true });
      navigator.serviceWorker.dispatchEvent(new Event("controllerchange"));
    });
    await expect(page.getByText(/^A newer Gepack is here/)).toBeVisible();
    await page.waitForTimeout(800);
    await expect(line).toHaveValue("half a li");
    await line.fill("");
    await page.waitForFunction(() => !("isOld" in window));
    await expect(page.getByTestId("line")).toBeVisible();
    await expect(page.getByText(/^A newer Gepack is here/)).toBeHidden();
  });
});
