/** Every control that edits, on the demo, an example and an own trail: what is shown is what is stored. */
import { readPlan } from "@gepack/core";
import { ADDRESSES } from "../src/stations/registry.ts";
import { asFile, beginTrip, expect, goOn, gpxOf, openDemo, openExampleOf, test } from "./fixtures.ts";
import { leadNowhere, shownPlan, walkPage, type Walked } from "./walk.ts";

/** All of them in the attack; here a seeded fifth, the more of them the faster a trip is computed. */
const WHOLE = process.env["WALK"] === "whole";
const SHARES = { "the demo": 0.08, "an example": 0.15, "an own trail": 0.5 };
const SEED = Number(process.env["SEED"] ?? 20261201);

test.describe.configure({ timeout: WHOLE ? 7_200_000 : 900_000 });

const TRIPS = {
  "the demo": async (page) => openDemo(page),
  "an example": async (page) => {
    await openDemo(page);
    await openExampleOf(page, "Pans and dunes");
    await expect(page.getByText("Opened Pans and dunes")).toBeVisible();
  },
  "an own trail": async (page) => {
    const places = [
      [40.2, "Mill shop"],
      [40.4, "Stone spring"],
      [40.6, "Ford camp"],
      [40.7, "Lower shop and post"],
    ].map(([lat, name]) => `<wpt lat="${lat}" lon="-150"><name>${name}</name></wpt>`);
    await beginTrip(page, asFile("north.gpx", gpxOf(900, places.join(""))));
  },
} satisfies Record<string, (page: import("@playwright/test").Page) => Promise<void>>;

for (const [name, open] of Object.entries(TRIPS))
  test(`a walk over every control of ${name}`, async ({ page }) => {
    await open(page);
    const all: Walked = { found: 0, used: 0, edits: [], faults: [] };
    await leadNowhere(page);
    for (const [i, address] of ADDRESSES.entries()) {
      if (new URL(page.url()).pathname !== address.path) await goOn(page, address.path);
      const { found, used, edits, faults } = await walkPage(page, {
        seed: SEED + i,
        share: WHOLE ? 1 : SHARES[name as keyof typeof SHARES],
      });
      all.found += found;
      all.used += used;
      all.edits.push(...edits);
      all.faults.push(...faults.map((fault) => `${address.name}: ${fault}`));
    }
    // And as it is opened anew.
    const left = await page.evaluate(shownPlan);
    await page.reload();
    await expect(page.getByTestId("line")).toBeVisible();
    expect(JSON.parse(await page.evaluate(shownPlan))).toEqual(JSON.parse(left));
    for (const { control, stored } of all.edits) {
      const { value, problems } = readPlan(JSON.parse(stored));
      if (problems.some(({ severity }) => severity === "error")) all.faults.push(`${control}: cannot be opened again`);
      else expect(value, control).toEqual(JSON.parse(stored));
    }
    console.log(`${name}: ${all.found} kinds of controls, ${all.used} used, ${all.edits.length} edits`);
    expect(all.faults).toEqual([]);
    expect(all.edits.length).toBeGreaterThan(3);
  });
