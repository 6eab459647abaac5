/** What the map shows in which colour, from below to above; and the legend of it. */
import type { Plan, PlanResult, TrackPoints } from "@gepack/core";
import type { MapShade } from "../store/settings.ts";
import { heightColour, STRETCH_COLOUR } from "./colours.ts";
import type { DrawnLine } from "./drawing.ts";
import { heightClass, heightEdges, legClass, runsOf, stretchLines, trackPlaces, type LonLat } from "./lines.ts";

interface Shown {
  plan: Plan;
  result: PlanResult;
  nodes: readonly LonLat[];
  tracks: readonly TrackPoints[];
  shade: MapShade;
  legIndex: number;
}

const BANDS = 6;
/** Neighbouring legs differ. */
const LEG_COLOURS = ["var(--pine)", "var(--food)"] as const;

export function linesOf({ plan, result, nodes, tracks, shade, legIndex }: Shown): DrawnLine[] {
  const { profile, legs } = result;
  const nearDeg = nodes[0]?.[0] ?? 0;
  const main = new Set(plan.trackIds);
  const edges = heightEdges(profile, BANDS);
  const colourOf = (of: number): string =>
    shade === "leg" ? LEG_COLOURS[of % LEG_COLOURS.length]! : heightColour(of, edges.length + 1);
  const toLeg = legClass(legs);
  const toBand = heightClass(profile, edges);
  // A run is of one leg always, so that a click tells which; of one band as well where height is shown.
  const bands = edges.length + 1;
  const runs = runsOf(profile, nodes, (node) => toLeg(node) * bands + (shade === "leg" ? 0 : toBand(node)));
  const leg = legs[legIndex];
  return [
    ...tracks.map((track): DrawnLine => ({
      points: trackPlaces(track, nearDeg),
      colour: main.has(track.id) ? "var(--ground)" : "var(--muted)",
      widthPx: 1.5,
      dashed: true,
    })),
    ...stretchLines(plan, profile, nodes).map(({ stretch, points }): DrawnLine => ({
      points,
      colour: `color-mix(in srgb, ${STRETCH_COLOUR[stretch.kind]} 30%, transparent)`,
      widthPx: 13,
    })),
    ...(leg
      ? runsOf(profile, nodes, (node) => (node >= leg.fromNode && node < leg.toNode ? 1 : 0))
          .filter(({ of }) => of === 1)
          .map(({ points }): DrawnLine => ({ points, colour: "var(--ink)", widthPx: 8 }))
      : []),
    ...runs.map(({ points, of }): DrawnLine => {
      const index = Math.floor(of / bands);
      return { points, colour: colourOf(shade === "leg" ? index : of % bands), widthPx: 4, leg: index };
    }),
  ];
}

export interface LegendRow {
  colour: string;
  text: string;
}

export function legendOf(
  plan: Plan,
  { profile, legs }: PlanResult,
  shade: MapShade,
  say: (metres: number) => string,
): LegendRow[] {
  const rows: LegendRow[] = [];
  if (shade === "height" && profile.hasHeights) {
    const edges = heightEdges(profile, BANDS);
    for (let band = 0; band <= edges.length; band++) {
      const text = band === 0 ? `below ${say(edges[0] ?? profile.highestM)}` : `from ${say(edges[band - 1]!)}`;
      rows.push({ colour: heightColour(band, edges.length + 1), text });
    }
  }
  if (shade === "leg")
    LEG_COLOURS.slice(0, legs.length).forEach((colour, i) =>
      rows.push({ colour, text: `${i === 0 ? "odd" : "even"} legs` }),
    );
  rows.push({ colour: "var(--ink)", text: "selected leg" });
  const kinds = [...new Set(plan.stretches.map(({ kind }) => kind))];
  for (const kind of kinds)
    rows.push({ colour: `color-mix(in srgb, ${STRETCH_COLOUR[kind]} 30%, transparent)`, text: STRETCH_WORDS[kind] });
  if (plan.route.alternates.length > 0) rows.push({ colour: "var(--muted)", text: "recorded, not on your route" });
  return rows;
}

const STRETCH_WORDS: Record<keyof typeof STRETCH_COLOUR, string> = {
  surface: "slow ground",
  snow: "snow",
  rule: "rules",
  hazard: "hazards",
  insects: "insects",
  dry: "dry",
  ford: "fords",
  ticks: "ticks",
  animals: "animals",
  "faint-path": "faint path",
};
