import { describe, expect, test } from "vitest";
import { nextSeason, partsBetween, usualUnits } from "./answers.ts";

describe("a new trip", () => {
  test("starts in the units of the device's country", () => {
    expect(["en-US", "en-GB", "en-IE", "de-CH", "fr", "es-US"].map(usualUnits)).toEqual([
      "imperial",
      "imperial",
      "metric",
      "metric",
      "metric",
      "metric",
    ]);
  });

  test("two weeks off at least, in the season of its side of the world", () => {
    expect(nextSeason(45, new Date("2027-04-01T12:00:00Z"))).toBe("2027-05-01");
    expect(nextSeason(45, new Date("2027-04-25T12:00:00Z"))).toBe("2028-05-01");
    expect(nextSeason(-42, new Date("2027-04-25T12:00:00Z"))).toBe("2027-11-01");
    expect(nextSeason(45, new Date("2027-04-01T12:00:00Z"), "2024-02-29")).toBe("2028-02-28");
  });
});

describe("gaps that are ridden over", () => {
  const whole = { fromM: 0, toM: 100_000 };
  const shown = (parts: ReturnType<typeof partsBetween>) =>
    parts.map(({ fromM, toM, transferH }) => [fromM, toM, transferH]);

  test("part the walk; a ride takes its length and the wait for it, to half an hour", () => {
    const parts = partsBetween(
      [
        { atM: 70_000, lengthM: 4000 },
        { atM: 30_000, lengthM: 20_000 },
      ],
      whole,
    );
    expect(shown(parts).map(([from, to]) => [from, to])).toEqual([
      [0, 30_000],
      [50_000, 70_000],
      [74_000, 100_000],
    ]);
    expect(
      shown(parts)
        .slice(1)
        .map(([, , hours]) => hours),
    ).toEqual([1.5, 1]);
    expect(new Set(parts.map(({ id }) => id)).size).toBe(3);
  });

  test("outside of what is walked there is none to ride over", () => {
    const gaps = [{ atM: 90_000, lengthM: 5000 }];
    expect(partsBetween(gaps, { fromM: 10_000, toM: 80_000 })).toMatchObject([{ fromM: 10_000, toM: 80_000 }]);
    expect(partsBetween([{ atM: 99_900, lengthM: 50 }], whole)).toHaveLength(1);
  });
});
