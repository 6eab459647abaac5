import fc from "fast-check";
import { boxesOf, computePlan, type Plan } from "@gepack/core";
import { beforeAll, describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../../core/test/arbitraryPlan.ts";
import { demo, planWith, straightTrack } from "../../test/plans.ts";
import { pageCss, PAPER_SIZES, type PaperSize } from "./css.ts";
import { breakable, paperHtml, paperSheets } from "./document.ts";
import { PAPER_IDS, type PaperId } from "./papers.tsx";

let trip: ReturnType<typeof demo>;
beforeAll(() => {
  trip = demo();
});

const sheetsOf = (
  papers: readonly PaperId[],
  more: { legs?: number[]; boxKey?: string; who?: number } = {},
): string[] =>
  [...paperSheets(trip.plan, trip.result, { papers, size: "a4", who: 0, ...more })].map(({ html }) => html);
/** What stands there, without its markup. */
const textOf = (html: string): string => html.replace(/<style>.*?<\/style>|<wbr>/gs, "").replace(/<[^>]*>/g, " ");
const count = (html: string, sign: string): number => html.split(sign).length - 1;

describe("papers of the demo", () => {
  test("a card a leg and a card a day that is walked; a sheet a leg, a stop, a box, a hiker", () => {
    const { result, plan } = trip;
    const walked = new Set(result.days.map(({ date }) => date)).size;
    expect(count(sheetsOf(["leg-cards"])[0]!, 'class="card"')).toBe(result.legs.length);
    expect(count(sheetsOf(["day-cards"])[0]!, 'class="card"')).toBe(walked);
    expect(sheetsOf(["leaving"])).toHaveLength(result.legs.length);
    expect(sheetsOf(["water"])).toHaveLength(result.legs.length);
    expect(sheetsOf(["boxes"])).toHaveLength(boxesOf(plan, result).length);
    expect(sheetsOf(["checklist"])).toHaveLength(plan.hikers.length);
    const lengthKm = result.legs.reduce((sum, { distanceM }) => sum + distanceM, 0) / 1000;
    expect(textOf(sheetsOf(["overview"])[0]!)).toContain(`${Math.round(lengthKm).toLocaleString("en")} km`);
  });

  test("of one leg there is that leg alone, and of one box that box", () => {
    const cards = textOf(sheetsOf(["leg-cards", "day-cards"], { legs: [8] }).join());
    expect(cards).toContain("Leg 9");
    expect(cards).not.toContain("Leg 10");
    const [box] = boxesOf(trip.plan, trip.result);
    const [only, ...rest] = sheetsOf(["boxes"], { boxKey: box!.key });
    expect(rest).toEqual([]);
    expect(only).toContain(box!.pieces[0]!.name);
  });

  test("every piece that is posted stands on the list of exactly as many boxes as it is posted to", () => {
    const lists = sheetsOf(["boxes"]).map(textOf);
    for (const { id, name, spans } of trip.plan.kit) {
      if (trip.plan.kit.some((other) => other.id !== id && other.name.includes(name))) continue;
      const posted = spans.filter(({ begins }) => begins === "posted").length;
      const boxes = boxesOf(trip.plan, trip.result).filter(({ pieces }) =>
        pieces.some((piece) => piece.id === id),
      ).length;
      const found = lists.filter((list) => list.includes(name)).length;
      if (posted === boxes) expect(found, name).toBeGreaterThanOrEqual(posted);
      expect(boxes, name).toBeLessThanOrEqual(posted);
    }
  });

  test("the other hiker's cards are the other hiker's loads", () => {
    const [tamsin, jory] = [0, 1].map((who) => textOf(sheetsOf(["leg-cards"], { who })[0]!));
    expect(tamsin).not.toBe(jory);
    const kg = trip.result.legs[0]!.hikers[1]!.startKg.toFixed(1);
    expect(jory).toContain(`${kg} kg, on arrival`);
  });

  test("a page is whole by itself: no script, nothing fetched, its size told to the printer", () => {
    for (const size of Object.keys(PAPER_SIZES) as PaperSize[]) {
      const html = paperHtml(trip.plan, trip.result, { papers: ["overview", "sending"], size, who: 0 });
      expect(html).toContain(pageCss(size));
      expect(html).not.toMatch(/<script|<link|<img|url\(|href=|src=|@import/);
      expect(html).toMatch(/^<!doctype html>\n<html lang="en">/);
    }
  });
});

const NASTY = [
  "<script>alert(1)</script>",
  '=HYPERLINK("x")',
  `"'\`/\\:*?`,
  "W".repeat(200),
  "\u05d0\u05d1\u05d2 \u202e abc",
];

test("names of any shape stay text on every paper, and are all there", () => {
  const stops = NASTY.slice(0, 4).map((name, i) => ({
    id: `s${i}`, name, trackM: 15_000 * (i + 1), services: ["shop-full", "post"],
  })); // prettier-ignore
  const kit = NASTY.map((name, i) => ({
    id: `k${i}`, name, massG: 100, ownerId: "a", carrierId: "a",
    spans: [{ fromStopId: "s0", toStopId: "@finish", begins: "posted" }],
  })); // prettier-ignore
  const plan: Plan = planWith({ stops, kit, trip: { name: NASTY[0], startDate: "2027-05-01" } });
  const result = computePlan(plan, [straightTrack()]);
  const html = paperHtml(plan, result, { papers: PAPER_IDS, size: "a5", who: 0 });
  expect(html).not.toContain("<script");
  const text = textOf(html).replace(/&lt;/g, "<").replace(/&gt;/g, ">").replace(/&quot;/g, '"').replace(/&#x27;/g, "'").replace(/&amp;/g, "&"); // prettier-ignore
  for (const name of NASTY) expect(text).toContain(name);
});

test("any plan has all its papers, and no figure on them that is none", () => {
  fc.assert(
    fc.property(arbitraryPlan, fc.constantFrom<PaperSize>("a4", "letter", "a5"), ({ plan, tracks }, size) => {
      const html = paperHtml(plan, computePlan(plan, tracks), { papers: PAPER_IDS, size, who: 0 });
      expect(textOf(html)).not.toMatch(/\b(NaN|undefined|Infinity|null|\[object)/);
    }),
    { numRuns: runs(25) },
  );
});

test("only a word that no column could hold may be broken; a sign of markup stays whole, and so do tags", () => {
  const long = "Verylong".repeat(6);
  const html = `<td class="${long}">Unseparatedwordofletters &amp; ${long}</td>`;
  expect(breakable(html)).toBe(
    `<td class="${long}">Unseparatedwordofletters &amp; ${long.slice(0, 20)}<wbr>${long.slice(20, 40)}<wbr>${long.slice(40)}</td>`,
  );
  const signs = `<p>${"a".repeat(18)}&#x27;${"b".repeat(9)}</p>`;
  expect(breakable(signs)).toBe(`<p>${"a".repeat(18)}&#x27;b<wbr>${"b".repeat(8)}</p>`);
});
