/** Day and twilight against a table worked out independently, and against the suncalc package. */
import { expect, test } from "vitest";
import { daylight } from "../season/sun.ts";
import { dayNumber } from "../units/day.ts";
import { CIVIL_ZENITH_DEG, hoursAbove, NAUTICAL_ZENITH_DEG, twilightH } from "./light.ts";

const clock = (hours: number, minutes: number): number => hours + minutes / 60;
/** Of a leap year: a day earlier or later is a minute or two. */
const MINUTES = 3 / 60;

test.each([
  [35, 172, clock(14, 31), clock(0, 30), clock(1, 7)],
  [45, 80, clock(12, 11), clock(0, 29), clock(1, 4)],
  [45, 172, clock(15, 37), clock(0, 37), clock(1, 27)],
  [55, 172, clock(17, 22), clock(0, 58), undefined],
])("at %d° on day %d: sun, civil and nautical twilight", (lat, day, sun, civil, nautical) => {
  expect(Math.abs(hoursAbove(lat, day) - sun)).toBeLessThan(MINUTES);
  expect(Math.abs(twilightH(lat, day, CIVIL_ZENITH_DEG)! - civil)).toBeLessThan(MINUTES);
  const dusk = twilightH(lat, day, NAUTICAL_ZENITH_DEG);
  if (nautical === undefined) expect(dusk).toBeUndefined();
  else expect(Math.abs(dusk! - nautical)).toBeLessThan(MINUTES);
});

test("polar day and night; the south is the north half a year later", () => {
  expect([hoursAbove(75, 172), hoursAbove(75, 355)]).toEqual([24, 0]);
  expect(hoursAbove(-75, 172)).toBe(0);
  expect(twilightH(65, 172)).toBeUndefined();
});

test("every latitude up to 60°, every tenth day: as suncalc has it, within four minutes", () => {
  const first = dayNumber("2028-01-01")!;
  for (let lat = -60; lat <= 60; lat += 10)
    for (let day = 0; day < 366; day += 10)
      expect(Math.abs(hoursAbove(lat, day) - daylight(first + day, 0, lat).daylightH)).toBeLessThan(4 / 60);
});
