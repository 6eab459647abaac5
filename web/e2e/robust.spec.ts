import { ADDRESSES } from "../src/stations/registry.ts";
import { asFile, expect, gpxOf, openDemo, startingWeights, station, test } from "./fixtures.ts";

test("a worker that dies is started again, and the edit is kept", async ({ page }) => {
  await openDemo(page, "/kit/");
  const worker = page.workers().find((candidate) => candidate.url().includes("core.worker"))!;
  await worker.evaluate(() => self.close());
  const mass = page.getByLabel("Mass of Backpack").first();
  await mass.fill("2500");
  await mass.press("Enter");
  await expect(page.getByText("The calculation stopped and was started again. Your edit is kept.")).toBeVisible({
    timeout: 20_000,
  });
  await expect(page.getByTestId("effect")).toContainText("Backpack: 2,500 g");
});

test("a full disk: the sentence says so, and what was there stays", async ({ page }) => {
  await openDemo(page, "/kit/");
  await page.evaluate(() => {
    IDBObjectStore.prototype.add = function () {
      throw new DOMException("full", "QuotaExceededError");
    };
  });
  const mass = page.getByLabel("Mass of Backpack").first();
  await mass.fill("2500");
  await mass.press("Enter");
  await expect(page.getByText(/storage is full, so this change was not kept/)).toBeVisible();
  await page.reload();
  await expect(mass).toHaveValue("986");
});

test("a full disk while beginning a trip: the plan of before stays, the preview too", async ({ page }) => {
  await openDemo(page, "/trail/");
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (...given: Parameters<typeof put>) {
      if (this.name === "plans" || this.name === "tracks") throw new DOMException("full", "QuotaExceededError");
      return put.apply(this, given);
    };
  });
  await page.getByTestId("gpx-file").setInputFiles(asFile("north.gpx", gpxOf(900)));
  await page.getByTestId("preview").getByRole("button", { name: "Begin a trip on it" }).click();
  await expect(page.getByText("The trip was not begun.")).toBeVisible();
  await expect(page.getByRole("heading", { name: "Corvane Traverse" })).toBeVisible();
  await expect(page.getByRole("listbox", { name: "Legs" }).getByRole("option")).toHaveCount(22);
  await expect(page.getByTestId("preview")).toBeVisible();
  await page.reload();
  await expect(page.getByRole("heading", { name: "Corvane Traverse" })).toBeVisible();
});

test("storage that never answers: the demo opens all the same, and the page says so", async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => new EventTarget() as IDBOpenDBRequest;
  });
  await openDemo(page);
  await expect(page.getByText(/storage does not answer/)).toBeVisible();
  await expect(page.getByText("Kept in this page alone")).toBeVisible();
});

test("storage refused: the demo still opens and can be changed, and the page says so", async ({ page }) => {
  await page.addInitScript(() => Object.defineProperty(window, "indexedDB", { value: undefined }));
  await openDemo(page, "/kit/");
  await expect(page.getByText(/Export the plan before you close the page|export the plan/i).first()).toBeVisible();
  const mass = page.getByLabel("Mass of Backpack").first();
  await mass.fill("2500");
  await mass.press("Enter");
  await expect(mass).toHaveValue("2,500");
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("menuitem", { name: "Export the plan as one file" }).click(),
  ]);
  expect(download.suggestedFilename()).toContain("corvane");
});

test.describe("without a network", () => {
  test.use({ allow: [/ERR_INTERNET_DISCONNECTED|Failed to fetch|ERR_FAILED/] });

  test("after the first visit every station opens and computes", async ({ page, context }) => {
    await openDemo(page);
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
      if (!navigator.serviceWorker.controller)
        await new Promise((done) => navigator.serviceWorker.addEventListener("controllerchange", done, { once: true }));
    });
    await context.setOffline(true);
    for (const path of [...ADDRESSES.map((address) => address.path), "/kit", "/trip?part=days", "/"]) {
      await page.goto(path);
      await expect(page.getByTestId("line")).toBeVisible();
    }
    expect(await startingWeights(page)).toHaveLength(22);
    await station(page, "Kit");
    await page.getByLabel("Mass of Backpack").first().fill("1500");
    await page.getByLabel("Mass of Backpack").first().press("Enter");
    await expect(page.getByTestId("effect")).toContainText("Backpack: 1,500 g");
  });
});
