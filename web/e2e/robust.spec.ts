import type { Locator, Page } from "@playwright/test";
import { ADDRESSES } from "../src/stations/registry.ts";
import { asFile, beginTrip, expect, gpxOf, openDemo, startingWeights, station, test } from "./fixtures.ts";

test("a worker that dies is started again, and the edit is kept", async ({ page }) => {
  await openDemo(page, "/kit/");
  const worker = page.workers().find((candidate) => candidate.url().includes("core.worker"))!;
  await worker.evaluate(() => self.close());
  const mass = page.getByLabel("Weight of Backpack").first();
  await mass.fill("2500");
  await mass.press("Enter");
  await expect(page.getByText("The calculation stopped and was restarted. Your edit is saved.")).toBeVisible({
    timeout: 20_000,
  });
  await expect(page.getByTestId("effect")).toContainText("Backpack: 2,500 g");
});

/** The disk fills up, and an edit is refused: the field that made it, with what holds. */
async function refusedMass(page: Page): Promise<Locator> {
  await page.evaluate(() => {
    IDBObjectStore.prototype.add = function () {
      throw new DOMException("full", "QuotaExceededError");
    };
  });
  const mass = page.getByLabel("Weight of Backpack").first();
  await mass.fill("2500");
  await mass.press("Enter");
  await expect(page.getByText(/storage is full, so your change wasn’t saved/)).toBeVisible();
  await expect(mass).toHaveValue("986");
  return mass;
}

test("a full disk: the sentence says so, and what was there stays", async ({ page }) => {
  await openDemo(page, "/kit/");
  const mass = await refusedMass(page);
  await page.reload();
  await expect(mass).toHaveValue("986");
});

test("a full disk, refused before its figures were there: the field shows what holds", async ({ page }) => {
  await openDemo(page, "/kit/");
  await page.evaluate(() => {
    const post = Worker.prototype.postMessage as (...given: unknown[]) => void;
    Worker.prototype.postMessage = function (...given: unknown[]) {
      setTimeout(() => post.apply(this, given), 1500);
    };
  });
  const mass = await refusedMass(page);
  // Left, it takes nothing.
  await mass.blur();
  await expect(mass).toHaveValue("986");
});

test("a full disk while beginning a trip: the plan of before stays, the preview too", async ({ page }) => {
  await openDemo(page);
  await page.goto("/begin/");
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (...given: Parameters<typeof put>) {
      if (this.name === "plans" || this.name === "tracks") throw new DOMException("full", "QuotaExceededError");
      return put.apply(this, given);
    };
  });
  await page.getByTestId("gpx-file").setInputFiles(asFile("north.gpx", gpxOf(900)));
  await page.getByRole("button", { name: "Calculate my plan" }).click();
  await expect(page.getByText("Couldn’t create the trip.")).toBeVisible();
  await expect(page.getByTestId("preview")).toBeVisible();
  await page.goto("/");
  await expect(page.getByRole("listbox", { name: "Legs" }).getByRole("option")).toHaveCount(22);
  await expect(page.getByRole("heading", { name: "Corvane Traverse" })).toBeVisible();
});

/** Changes a row of the browser's storage behind the application's back. */
async function damage(page: Page, table: string, key: string, change: Record<string, unknown>): Promise<void> {
  await page.evaluate(
    ([table, key, change]) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open("gepack");
        opening.onsuccess = () => {
          const store = opening.result.transaction(table, "readwrite").objectStore(table);
          const reading = store.get(key);
          reading.onsuccess = () => {
            const row = reading.result as Record<string, unknown>;
            const doc = change["doc"];
            const merged = doc ? { doc: { ...(row["doc"] as object), ...doc } } : change;
            store.put({ ...row, ...merged });
          };
          store.transaction.oncomplete = () => {
            opening.result.close();
            resolve();
          };
          store.transaction.onerror = () => reject(new Error("not changed"));
        };
      }),
    [table, key, change] as const,
  );
}

for (const [what, table, key, change, sentence] of [
  ["a part of the wrong kind", "plans", "corvane", { doc: { kit: "x" } }, /kit: Expected a list/],
  ["no hikers", "plans", "corvane", { doc: { hikers: [] } }, /hikers: Expected at least 1/],
  ["no document at all", "plans", "corvane", { doc: null }, /file: A plan file is a JSON object/],
  ["of a newer version", "plans", "corvane", { doc: { version: 99 } }, /newer Gepack/],
  ["its track gone", "plans", "corvane", { doc: { trackIds: ["gone"] } }, /track is missing/],
] as const)
  test(`a stored plan that is damaged (${what}) is said, can be exported, and bars no other way`, async ({ page }) => {
    await openDemo(page);
    await beginTrip(page, asFile("north.gpx", gpxOf(900)));
    await expect(page.getByRole("heading", { name: "North walk" })).toBeVisible();
    await damage(page, table, key, change);
    await damage(page, "settings", "currentPlan", { value: "corvane" });
    await page.goto("/kit/");
    const alert = page.getByRole("alert");
    await expect(alert).toContainText(sentence);
    const download = page.waitForEvent("download");
    await alert.getByRole("button", { name: "Export the damaged file" }).click();
    expect((await download).suggestedFilename()).toMatch(/\.gepack\.json$/);
    await alert.getByRole("button", { name: "Open North walk" }).click();
    await expect(page.getByRole("heading", { name: "North walk" })).toBeVisible();
    await expect(page.getByTestId("line")).toBeVisible();
    await expect(alert).toHaveCount(0);
  });

test("a stored plan that can be mended is, as a step that can be undone", async ({ page }) => {
  await openDemo(page);
  await damage(page, "plans", "corvane", {
    doc: { devices: [{ id: "d", name: "Lamp", pieceId: "gone", ownerId: "tamsin", kind: "rechargeable" }] },
  });
  await page.reload();
  await expect(page.getByText(/The saved plan was repaired/)).toBeVisible();
  await expect(page.getByTestId("line")).toBeVisible();
  await expect(page.getByTitle("Undo: Repair the saved plan (Ctrl Z)")).toBeEnabled();
});

test("the plan opened last is gone: the one changed last opens, and nothing is overwritten", async ({ page }) => {
  await openDemo(page, "/kit/");
  const mass = page.getByLabel("Weight of Backpack").first();
  await mass.fill("2500");
  await mass.press("Enter");
  await expect(page.getByTestId("effect")).toContainText("2,500 g");
  await damage(page, "settings", "currentPlan", { value: "gone" });
  await page.reload();
  await expect(mass).toHaveValue("2,500");
});

test.describe("with the worker that keeps the parts", () => {
  test.use({ serviceWorkers: "allow" });

  test("a newer version that takes over loads the page anew once, between edits, with what is chosen", async ({
    page,
  }) => {
    await openDemo(page, "/kit/?leg=7");
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await page.reload();
    await expect(page.getByTestId("line")).toBeVisible();
    let loads = 0;
    page.on("load", () => loads++);
    const mass = page.getByLabel("Weight of Backpack").first();
    await mass.fill("2500");
    await page.evaluate(() => navigator.serviceWorker.dispatchEvent(new Event("controllerchange")));
    await page.waitForTimeout(1000);
    expect(loads).toBe(0);
    await mass.press("Enter");
    await mass.blur();
    await expect.poll(() => loads).toBe(1);
    await expect(mass).toHaveValue("2,500");
    expect(page.url()).toContain("leg=7");
    await page.waitForTimeout(1000);
    expect(loads).toBe(1);
  });
});

test("storage that never answers: the demo opens all the same, and the page says so", async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => new EventTarget() as IDBOpenDBRequest;
  });
  await openDemo(page);
  await expect(page.getByText(/storage isn’t responding/)).toBeVisible();
  await expect(page.getByText("Not saved: this tab only")).toBeVisible();
});

test("storage refused: the demo still opens and can be changed, and the page says so", async ({ page }) => {
  await page.addInitScript(() => Object.defineProperty(window, "indexedDB", { value: undefined }));
  await openDemo(page, "/kit/");
  await expect(page.getByText(/Export the plan before you close the page|export the plan/i).first()).toBeVisible();
  const mass = page.getByLabel("Weight of Backpack").first();
  await mass.fill("2500");
  await mass.press("Enter");
  await expect(mass).toHaveValue("2,500");
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("menuitem", { name: "Export plan file" }).click(),
  ]);
  expect(download.suggestedFilename()).toContain("corvane");
});

test.describe("without a network", () => {
  test.use({ serviceWorkers: "allow", allow: [/ERR_INTERNET_DISCONNECTED|Failed to fetch|ERR_FAILED/] });

  test("after the first visit every station opens and computes", async ({ page, context }) => {
    await openDemo(page);
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
      if (!navigator.serviceWorker.controller)
        await new Promise((done) => navigator.serviceWorker.addEventListener("controllerchange", done, { once: true }));
    });
    await context.setOffline(true);
    for (const path of [...ADDRESSES.map((address) => address.path), "/kit", "/days", "/"]) {
      await page.goto(path);
      await expect(page.getByTestId("line")).toBeVisible();
    }
    expect(await startingWeights(page)).toHaveLength(22);
    await station(page, "Kit");
    await page.getByLabel("Weight of Backpack").first().fill("1500");
    await page.getByLabel("Weight of Backpack").first().press("Enter");
    await expect(page.getByTestId("effect")).toContainText("Backpack: 1,500 g");
  });
});
