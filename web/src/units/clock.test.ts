import { expect, test } from "vitest";
import { clocksWords, clockWords, parseClock, parseClocks, parseMaybeClock } from "./clock.ts";

test.each([
  ["9", 9, "9:00"],
  ["9:30", 9.5, "9:30"],
  ["17.5", 17.5, "17:30"],
  ["17,25", 17.25, "17:15"],
  ["24:00", 24, "24:00"],
  [" 8 h ", 8, "8:00"],
  ["6 o’clock", 6, "6:00"],
])("%s is %f, told as %s", (text, value, words) => {
  expect(parseClock(text)).toEqual({ value });
  expect(clockWords(value)).toBe(words);
});

test.each(["25", "9:60", "24:01", "noon", "-1", ""])("“%s” is no hour", (text) => {
  expect(parseClock(text)).toHaveProperty("error");
});

test("an hour may be missing, and several stand in order, each once", () => {
  expect(parseMaybeClock("  ")).toEqual({ value: undefined });
  expect(parseMaybeClock("12")).toEqual({ value: 12 });
  expect(parseClocks("17:00, 8:15;12 8:15")).toEqual({ value: [8.25, 12, 17] });
  expect(parseClocks("")).toEqual({ value: [] });
  expect(parseClocks("8, late")).toHaveProperty("error");
  expect(clocksWords([8.25, 17])).toBe("8:15, 17:00");
});
