/** Every station for everybody: in all themes, on narrow and enlarged pages, in the colours that the system sets. */
import type { Page } from "@playwright/test";
import { ADDRESSES } from "../src/stations/registry.ts";
import { axeOn, expect, goOn, openDemo, test } from "./fixtures.ts";

/** What a theme does not change is looked at once. */
const AT_ONCE = 2;
for (let from = 0; from < ADDRESSES.length; from += AT_ONCE) {
  const some = ADDRESSES.slice(from, from + AT_ONCE);
  test(`no finding of axe in any theme: ${some.map(({ name }) => name).join(", ")}`, async ({ page }) => {
    const problems: string[] = [];
    await page.emulateMedia({ colorScheme: "light", reducedMotion: "reduce" });
    await openDemo(page, some[0]!.path);
    for (const { name, path } of some) {
      if (path !== some[0]!.path) await goOn(page, path);
      for (const theme of ["light", "dark", "night"]) {
        await page.evaluate((named) => (document.documentElement.dataset["theme"] = named), theme);
        const axe = axeOn(page);
        const { violations } = await (theme === "light" ? axe : axe.withRules(["color-contrast"])).analyze();
        for (const { id, nodes } of violations)
          problems.push(
            `${name}, ${theme}, ${id}: ${nodes
              .slice(0, 3)
              .map((node) => node.html.slice(0, 140))
              .join(" | ")}`,
          );
      }
    }
    expect(problems).toEqual([]);
  });
}

for (const [said, width, height] of [
  ["from 360 px wide", 360, 740],
  ["enlarged to 200 %", 640, 400],
] as const)
  test(`${said} nothing is cut off sideways`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await openDemo(page);
    for (const { path } of ADDRESSES) {
      await goOn(page, path);
      expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(width);
    }
  });

/** Every name of the stored plan as long as a name may be, without a space. */
async function lengthenNames(page: Page): Promise<number> {
  return page.evaluate(async () => {
    const asked = <T>(request: IDBRequest<T>): Promise<T> =>
      new Promise((resolve, reject) => {
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(request.error!);
      });
    const plans = (await asked(indexedDB.open("gepack"))).transaction("plans", "readwrite").objectStore("plans");
    const [row] = (await asked(plans.getAll())) as { doc: Record<string, unknown> & { trip: { name: string } } }[];
    let count = 0;
    const long = (): string => `${++count}${"abcdefghij".repeat(19)}`.slice(0, 190);
    for (const list of Object.values(row!.doc))
      if (Array.isArray(list)) for (const one of list) if (typeof one?.name === "string") one.name = long();
    row!.doc.trip.name = long();
    await asked(plans.put(row));
    return count;
  });
}

test("names of 190 letters without a space break within their column, on a phone", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page);
  await expect.poll(() => lengthenNames(page)).toBeGreaterThan(200);
  await page.reload();
  await expect(page.getByTestId("line")).toBeVisible();
  await expect(page.getByText(/^\d+(abcdefghij){10}/).first()).toBeAttached();
  for (const { path } of ADDRESSES) {
    await goOn(page, path);
    // Wide ones come with their tables.
    await expect(page.getByRole("main")).toContainText(/\w/);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390);
  }
});

test("where the system sets the colours, bars, bands and the plane keep theirs", async ({ page }) => {
  await page.emulateMedia({ colorScheme: "dark", forcedColors: "active" });
  await openDemo(page, "/kit/");
  const colour = (css: string): Promise<string> =>
    page
      .locator(css)
      .first()
      .evaluate((element) => getComputedStyle(element).backgroundColor);
  const canvas = await colour("body");
  expect(await colour(".lane-field [style*=background]")).not.toBe(canvas);
  await goOn(page, "/days/");
  expect(await colour("[data-testid=days-lane] button")).not.toBe(canvas);
  await goOn(page, "/season/");
  const plane = page.locator("main canvas");
  await expect(plane).toBeVisible();
  // All of one colour is what a plane is whose colours the system took away.
  await expect
    .poll(() =>
      plane.evaluate((canvas: HTMLCanvasElement) => {
        const { data } = canvas.getContext("2d")!.getImageData(0, 0, canvas.width, canvas.height);
        const seen = new Set<number>();
        for (let i = 0; i < data.length; i += 4 * 97) seen.add((data[i]! << 16) | (data[i + 1]! << 8) | data[i + 2]!);
        return seen.size;
      }),
    )
    .toBeGreaterThan(20);
});
