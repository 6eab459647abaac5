import { describe, expect, test } from "vitest";
import { longDate, parseDate, parseSeason, seasonWords, spanWords } from "./date.ts";

const iso = (text: string): string => {
  const parsed = parseDate(text, "2027-03-29");
  return "iso" in parsed ? parsed.iso : parsed.error;
};

describe("days as hikers type them", () => {
  test.each([
    ["3 May", "2027-05-03"],
    ["3. 5.", "2027-05-03"],
    ["3.5.", "2027-05-03"],
    ["3.5.2028", "2028-05-03"],
    ["3 May 2027", "2027-05-03"],
    ["May 3", "2027-05-03"],
    ["May 3, 2028", "2028-05-03"],
    ["3 september", "2027-09-03"],
    ["2027-05-03", "2027-05-03"],
    ["  3   May  ", "2027-05-03"],
    ["29 Feb 2028", "2028-02-29"],
  ])("“%s” is %s", (text, want) => expect(iso(text)).toBe(want));

  test("day and month that cannot be told apart are both offered, one that can is read", () => {
    expect(parseDate("3/5/2027", "2027-03-29")).toEqual({ iso: "2027-03-05", or: "2027-05-03" });
    expect(parseDate("05/03", "2028-03-29")).toEqual({ iso: "2028-05-03", or: "2028-03-05" });
    expect(parseDate("4/15/2027", "2027-03-29")).toEqual({ iso: "2027-04-15" });
    expect(parseDate("15/4/27", "2027-03-29")).toEqual({ iso: "2027-04-15" });
    expect(parseDate("5/5", "2027-03-29")).toEqual({ iso: "2027-05-05" });
    expect(iso("13/32/2027")).toMatch(/isn’t a date/);
    expect(iso("4/15/2900")).toMatch(/1970 to 2199/);
    expect(parseSeason("3/5 to 6/7")).toHaveProperty("error");
  });

  test.each(["", "soon", "31 April", "30 Feb", "29 Feb", "2027-13-01", "3"])("“%s” is no day", (text) =>
    expect(iso(text)).toMatch(/isn’t a date.*3 May/),
  );

  test.each(["3 May 1950", "3 May 2900"])("“%s” is out of reach", (text) => expect(iso(text)).toMatch(/1970 to 2199/));

  test("what is shown can be typed back", () => {
    for (const day of ["2027-01-01", "2028-02-29", "2027-12-31", "2027-05-03"]) {
      expect(iso(longDate(day))).toBe(day);
    }
  });
});

describe("seasons", () => {
  test.each([
    ["1 Jun to 15 Oct", ["06-01", "10-15"], "1 Jun to 15 Oct"],
    ["1.6. – 15.10.", ["06-01", "10-15"], "1 Jun to 15 Oct"],
    ["15 Nov until 29 Feb", ["11-15", "02-29"], "15 Nov to 29 Feb"],
    ["all year", [undefined, undefined], "all year"],
    [" ", [undefined, undefined], "all year"],
  ])("%s", (text, season, words) => {
    expect(parseSeason(text)).toEqual({ value: season });
    expect(seasonWords(season as [string?, string?] as never)).toBe(words);
  });
  test.each(["summer", "1 Jun", "1 Jun to 40 Oct", "1 Jun to 15 Oct to 3 Nov"])("%s is none", (text) => {
    const read = parseSeason(text);
    expect("error" in read ? read.error : "").toMatch(/isn’t a season. Type it as 1 Jun to 15 Oct/);
  });
  test("an open end is the year's", () => {
    expect([seasonWords(["06-01", undefined]), seasonWords([undefined, "03-31"])]).toEqual([
      "1 Jun to 31 Dec",
      "1 Jan to 31 Mar",
    ]);
  });
});

test.each([
  ["2027-03-29", "2027-08-02", 2027, "29 Mar to 2 Aug"],
  ["2027-03-29", "2027-08-02", 2026, "29 Mar to 2 Aug 2027"],
  ["2026-11-29", "2027-02-03", 2026, "29 Nov 2026 to 3 Feb 2027"],
])("from %s to %s, read in %d: %s", (from, to, yearNow, words) => {
  expect(spanWords(from, to, yearNow)).toBe(words);
});
