/** The log as a table and as a page to read. */
import type { CardFigures, Plan } from "@gepack/core";
import { weekdayDate } from "../units/date.ts";
import { sayIn } from "../words/say.ts";
import { escaped } from "./html.ts";
import type { Cell, Sheet } from "./sheets.ts";
import { rounded } from "../units/quantity.ts";

const HEADS = [
  "date", "day", "from km", "to km", "km", "climb m", "descent m", "walked h", "breaks h", "weather", "area", "low C", "high C",
  "food left kg", "fuel left g", "charge left", "drunk L", "body weight kg", "felt 1-5", "spent", "ahead km", "water", "pieces", "notes",
]; // prettier-ignore

const km = (metres: number): number => rounded(metres / 1000, 2);

export function logSheet(plan: Plan, cards: readonly CardFigures[]): Sheet {
  const rows = cards.map(({ card, tripDay, fromM, toM, climbM, descentM, aheadM }): Cell[] => [
    card.date, tripDay, km(fromM), km(toM), km(toM - fromM), Math.round(climbM), Math.round(descentM), card.walkedH, card.breakH,
    card.weather, card.area, card.lowC, card.highC, card.foodKg, card.fuelG, card.chargeFraction, card.drankL, card.bodyKg, card.felt,
    card.money, aheadM === undefined ? undefined : km(aheadM), watersOf(plan, card.water), piecesOf(plan, card.pieces), card.notes,
  ]); // prettier-ignore
  return { name: "Log", heads: HEADS, rows };
}

function watersOf({ sources }: Plan, water: CardFigures["card"]["water"]): string {
  return water
    .map(({ sourceId, said }) => `${sources.find(({ id }) => id === sourceId)?.name ?? sourceId}: ${said}`)
    .join("; ");
}

function piecesOf({ kit }: Plan, pieces: CardFigures["card"]["pieces"]): string {
  return pieces
    .map(
      ({ pieceId, what, note }) =>
        `${kit.find(({ id }) => id === pieceId)?.name ?? pieceId} ${what}${note ? `: ${note}` : ""}`,
    )
    .join("; ");
}

/** A page that needs nothing else: a paragraph a day. */
export function logPage(plan: Plan, cards: readonly CardFigures[]): string {
  const say = sayIn(plan);
  const days = cards.map(({ card, tripDay, fromM, toM, climbM }) => {
    const facts = [
      `${say.distance(toM - fromM)}, ${say.height(climbM)} up, total ${say.distance(toM)}`,
      card.walkedH === undefined ? "" : `${say.hours(card.walkedH)} walking`,
      card.weather,
      card.area,
      card.lowC === undefined ? "" : `low ${say.C(card.lowC)}`,
      watersOf(plan, card.water),
      piecesOf(plan, card.pieces),
    ].filter((text) => text.trim() !== "");
    return `<article><h2>Day ${tripDay}, ${weekdayDate(card.date)}</h2><p class="facts">${escaped(facts.join(" · "))}</p>${card.notes
      .split(/\n+/)
      .filter((text) => text.trim() !== "")
      .map((text) => `<p dir="auto">${escaped(text)}</p>`)
      .join("")}</article>`;
  });
  const name = escaped(`${plan.trip.name}, log`);
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${name}</title><style>body { font: 16px/1.5 system-ui, sans-serif; max-width: 42em; margin: 2em auto; padding: 0 1em; overflow-wrap: anywhere; } h2 { margin: 1.5em 0 0; font-size: 1.1em; } .facts { margin: 0; color: #444; } p { margin: 0.4em 0; } article { break-inside: avoid; }</style></head><body><h1>${name}</h1>${days.join("\n")}</body></html>
`;
}
