import fc from "fast-check";
import { expect, test } from "vitest";
import { readReports } from "./reports.ts";

const sources = [
  { id: "a", name: "Fork spring" },
  { id: "b", name: "Überbach, Brücke" },
];

test("day, source and word in any order, with a note; a head line is none", () => {
  const { reports, problems } = readReports(
    [
      ["date", "water", "state"],
      ["2027-05-02", "fork SPRING", "flowing"],
      ["dry", "3 May 2027", "Uberbach Brucke", "asked at the hut"],
      ["Fork spring", "4. March 2027", "low"],
      ["", ""],
    ],
    sources,
  );
  expect(problems).toEqual([]);
  expect(reports).toEqual([
    { sourceId: "a", date: "2027-05-02", said: "flowing", note: "" },
    { sourceId: "b", date: "2027-05-03", said: "dry", note: "asked at the hut" },
    { sourceId: "a", date: "2027-03-04", said: "trickle", note: "" },
  ]);
});

test.each([
  [["2027-05-02", "Old well", "dry"], "No word here matches a source"],
  [["2027-05-02", "Fork spring", "perhaps"], "This line needs “flowing”"],
  [["2027-02-30", "Fork spring", "dry"], "no date"],
  [["05/06/2027", "Fork spring", "dry"], "no date"],
  [["2027-05-09", "Fork spring", "dry"], "is in the future"],
])("%o is told: %s", (row, sentence) => {
  const { reports, problems } = readReports([["2027-05-01", "Fork spring", "dry"], row], sources, "2027-05-08");
  expect(reports).toHaveLength(1);
  expect(problems).toHaveLength(1);
  expect(problems[0]!.place).toBe("line 2");
  expect(problems[0]!.sentence).toContain(sentence);
});

test("whatever the cells are, each line is a report, a problem, or empty", () => {
  const cell = fc.oneof(fc.string(), fc.constantFrom("dry", "2027-05-01", "Fork spring", "x".repeat(300)));
  fc.assert(
    fc.property(fc.array(fc.array(cell, { maxLength: 5 }), { maxLength: 8 }), (rows) => {
      const { reports, problems } = readReports(rows, sources);
      expect(reports.length + problems.length).toBeLessThanOrEqual(rows.length);
      for (const { note } of reports) expect(note.length).toBeLessThanOrEqual(80);
    }),
  );
});
