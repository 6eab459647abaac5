/** Sun on skin, the moon's light, wet clothes in wind: against tables worked out independently. */
import { expect, test } from "vitest";
import { dayNumber } from "../units/day.ts";
import { moonlitHours, moonLux, OPEN_TRAIL_LUX, SNOW_LUX } from "./moon.ts";
import { GROUND_ALBEDO, minutesToRedden, noonSunSine, SNOW_ALBEDO, uvIndex } from "./ultraviolet.ts";
import { heatLossW } from "./wetCold.ts";

test.each([
  [45, 172, 0, GROUND_ALBEDO, 0, 10.49, 15.89],
  [45, 172, 3000, SNOW_ALBEDO.fresh, 0, 18.6, 8.959],
  [35, 105, 1500, GROUND_ALBEDO, 0.3, 11.19, 14.9],
  [55, 264, 500, GROUND_ALBEDO, 0.9, 2.056, 81.07],
])("ultraviolet at %d° on day %d, %d m", (latDeg, yearDay, heightM, albedo, cloud, index, minutes) => {
  const uv = uvIndex({ sunSine: noonSunSine(latDeg, yearDay), heightM, albedo, cloud });
  // A day's declination more or less.
  expect(Math.abs(uv / index - 1)).toBeLessThan(0.02);
  expect(Math.abs(minutesToRedden(uv) / minutes - 1)).toBeLessThan(0.02);
});

test("the sun below the horizon burns nobody; thin ozone lets more through", () => {
  expect(noonSunSine(80, 355)).toBe(0);
  expect(minutesToRedden(uvIndex({ sunSine: 0, heightM: 0, albedo: 0.05, cloud: 0 }))).toBe(Infinity);
  const by = (ozoneDu: number): number => uvIndex({ sunSine: 0.8, heightM: 0, albedo: 0.05, cloud: 0, ozoneDu });
  expect(by(260)).toBeGreaterThan(by(300));
  expect(by(300)).toBeGreaterThan(by(340));
});

test.each([
  [0, 0.1842, 0.09108, 0.01632],
  [45, 0.06175, 0.03054, 0.005473],
  [90, 0.01676, 0.008288, 0.001485],
  [120, 0.004847, 0.002397, 0.0004295],
])("moonlight at a phase angle of %d°, 60, 30 and 10° high", (phase, at60, at30, at10) => {
  for (const [altitude, lux] of [
    [60, at60],
    [30, at30],
    [10, at10],
  ] as const)
    expect(moonLux(phase, altitude, 0) / lux).toBeCloseTo(1, 2);
});

test("full moon lights a night, new moon none; cloud and the open trail's threshold count", () => {
  const place = { lonDeg: 0, latDeg: 45 };
  const night = { sunsetH: 19, nextSunriseH: 6 };
  // Full on 22 March 2027, new on 7 April.
  const full = dayNumber("2027-03-22")!;
  const fresh = dayNumber("2027-04-06")!;
  expect(moonlitHours(full, place, night, { cloud: 0.1, leastLux: OPEN_TRAIL_LUX })).toBeGreaterThan(5);
  expect(moonlitHours(fresh, place, night, { cloud: 0.1, leastLux: OPEN_TRAIL_LUX })).toBe(0);
  expect(moonlitHours(full, place, night, { cloud: 1, leastLux: OPEN_TRAIL_LUX })).toBeLessThan(2);
  const clear = { cloud: 0.4 };
  expect(moonlitHours(full - 4, place, night, { ...clear, leastLux: SNOW_LUX })).toBeGreaterThan(
    moonlitHours(full - 4, place, night, { ...clear, leastLux: OPEN_TRAIL_LUX }),
  );
  expect(moonLux(0, -1, 0)).toBe(0);
});

test.each([
  [10, 2, 1, 214.4, 435.4],
  [10, 8, 1, 231.7, 513.1],
  [5, 5, 1.5, 195.1, 452.8],
  [0, 8, 2, 180.3, 445],
])("at %d °C, %d m/s, %d clo: watts lost dry and wet", (airC, windMps, clo, dry, wet) => {
  expect(heatLossW(airC, windMps, clo, false)).toBeCloseTo(dry, 0);
  expect(heatLossW(airC, windMps, clo, true)).toBeCloseTo(wet, 0);
});
