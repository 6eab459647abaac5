/** Every station for everybody: in all themes, on narrow and enlarged pages, in the colours and with the motion that somebody asks for. */
import { ADDRESSES } from "../src/stations/registry.ts";
import { axeOn, expect, goOn, openDemo, test } from "./fixtures.ts";

/** What a theme does not change is looked at once. */
const AT_ONCE = 2;
for (let from = 0; from < ADDRESSES.length; from += AT_ONCE) {
  const some = ADDRESSES.slice(from, from + AT_ONCE);
  test(`no finding of axe in any theme: ${some.map(({ name }) => name).join(", ")}`, async ({ page }) => {
    const told: string[] = [];
    await page.emulateMedia({ colorScheme: "light", reducedMotion: "reduce" });
    await openDemo(page, some[0]!.path);
    for (const { name, path } of some) {
      if (path !== some[0]!.path) await goOn(page, path);
      for (const theme of ["light", "dark", "night"]) {
        await page.evaluate((named) => (document.documentElement.dataset["theme"] = named), theme);
        const axe = axeOn(page);
        const { violations } = await (theme === "light" ? axe : axe.withRules(["color-contrast"])).analyze();
        for (const { id, nodes } of violations)
          told.push(
            `${name}, ${theme}, ${id}: ${nodes
              .slice(0, 3)
              .map((node) => node.html.slice(0, 140))
              .join(" | ")}`,
          );
      }
    }
    expect(told).toEqual([]);
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
