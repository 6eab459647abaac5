import { cardsOf, computePlan } from "@gepack/core";
import { expect, test } from "vitest";
import { planWith, straightTrack } from "../../test/plans.ts";
import { logPage, logSheet } from "./logFiles.ts";
import { csvOf } from "./sheets.ts";

const plan = planWith({
  trip: { name: "North & <back>", startDate: "2027-05-01" },
  sources: [{ id: "w", name: "Pond", trackM: 12_000 }],
  kit: [{ id: "s", name: "Shoes", massG: 600, ownerId: "a", carrierId: "a", spans: [] }],
  log: [
    {
      id: "1", date: "2027-05-01", trackM: 20_000, walkedH: 6.5, weather: "=wind", notes: "First line\n<script>alert(1)</script>",
      water: [{ sourceId: "w", said: "dry" }], pieces: [{ pieceId: "s", what: "broken", note: "sole" }],
    },
    { id: "2", date: "2027-05-02", trackM: 35_000 },
  ],
}); // prettier-ignore
const cards = cardsOf(plan, computePlan(plan, [straightTrack()]));

test("the log as a table: a row a day, its ways join up, what looks like a formula is text", () => {
  const sheet = logSheet(plan, cards);
  const at = (name: string): number => sheet.heads.indexOf(name);
  const [first, second] = sheet.rows.map((row) => ["from km", "to km"].map((head) => Number(row[at(head)])));
  expect(first![0]).toBe(0);
  expect(first![1]).toBeCloseTo(20, 1);
  expect(second![0]).toBe(first![1]);
  expect(second![1]).toBeCloseTo(35, 1);
  expect(sheet.rows[0]![at("water")]).toBe("Pond: dry");
  expect(sheet.rows[0]![at("pieces")]).toBe("Shoes broken: sole");
  for (const row of sheet.rows) expect(row).toHaveLength(sheet.heads.length);
  expect(csvOf(sheet)).toContain("'=wind");
});

test("the log as a page: a paragraph a day, markup as text, nothing fetched", () => {
  const html = logPage(plan, cards);
  expect(html).toContain("<h2>Day 1, Sat 1 May</h2>");
  expect(html).toContain("20 km");
  expect(html).not.toMatch(/<script|src=|href=/);
  expect(html).toContain("&#60;script&#62;");
  expect(html.split("<article>")).toHaveLength(3);
});
