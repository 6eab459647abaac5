import { expect, test } from "vitest";
import { fileName } from "./files.ts";

test.each([
  ["Über den Grat", "über-den-grat.gpx"],
  ["北の道 2027", "北の道-2027.gpx"],
  ["U\u0308ber", "über.gpx"],
  ["  ../..\\ ?*", "plan.gpx"],
  ["a".repeat(200), `${"a".repeat(80)}.gpx`],
])("%s is kept in the name of its file", (name, file) => expect(fileName(name, "gpx")).toBe(file));
