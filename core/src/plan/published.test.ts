/** The schema that is published refuses what the reader refuses, by patterns and bounds alone. */
import { expect, test } from "vitest";
import { z } from "zod";
import { tracksSchema } from "../file/planFile.ts";
import { isoDate } from "./values.ts";

test("days: 30 February and a 29th out of leap years are none, in all years that are read", () => {
  const { pattern } = z.toJSONSchema(isoDate, { io: "input", unrepresentable: "any" }) as { pattern: string };
  const published = new RegExp(pattern);
  for (let year = 1899; year <= 2201; year++)
    for (const rest of [
      "01-01",
      "01-31",
      "02-28",
      "02-29",
      "02-30",
      "04-30",
      "04-31",
      "06-00",
      "11-31",
      "12-31",
      "12-32",
      "13-01",
      "00-10",
    ]) {
      const date = `${year}-${rest}`;
      expect([date, published.test(date)]).toEqual([date, isoDate.safeParse(date).success]);
    }
  for (const text of ["2027-4-1", "27-04-01", "2027-04-01T00:00", " 2027-04-01"])
    expect(published.test(text)).toBe(false);
});

test("positions on the globe, and two points at least", () => {
  const text = JSON.stringify(z.toJSONSchema(tracksSchema, { io: "input", unrepresentable: "any" }));
  expect(text).toContain('"minimum":-180,"maximum":180');
  expect(text).toContain('"minimum":-90,"maximum":90');
  expect(text).toContain('"anyOf":[{"minItems":2},{"contains":{"minItems":2}}]');
  const of = (...lines: number[][][]): boolean =>
    tracksSchema.safeParse([
      { type: "Feature", id: "t", properties: {}, geometry: { type: "MultiLineString", coordinates: lines } },
    ]).success;
  expect(of([[10, 50], [10.1, 50, 300]])).toBe(true); // prettier-ignore
  expect(of([[999, 50], [10, 50]])).toBe(false); // prettier-ignore
});
