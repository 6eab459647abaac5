/** The days of the log as GPX 1.1: a waypoint where each ended, a track for each with something walked. */
import type { CardFigures } from "../log/cards.ts";
import type { Plan } from "../plan/schema.ts";
import type { Profile } from "../track/profile.ts";
import { degrees, escaped } from "./open.ts";

export function writeLogGpx({ trip }: Plan, { profile }: { profile: Profile }, cards: readonly CardFigures[]): string {
  const { lonDeg, latDeg, heightM, hasHeights } = profile;
  const at = (node: number): string => `lat="${degrees(latDeg[node]!)}" lon="${degrees(lonDeg[node]!)}"`;
  const height = (node: number): string => (hasHeights ? `<ele>${heightM[node]!.toFixed(1)}</ele>` : "");
  const nameOf = ({ tripDay, card }: CardFigures): string => escaped(`Day ${tripDay}, ${card.date}`);
  const waypoints = cards.map((figures) => {
    const { card, toNode, fromM, toM } = figures;
    const about = [`${((toM - fromM) / 1000).toFixed(1)} km`, card.weather, card.area, card.notes].filter(Boolean);
    return `<wpt ${at(toNode)}>${height(toNode)}<name>${nameOf(figures)}</name><desc>${escaped(about.join("; "))}</desc><type>${card.night}</type></wpt>`;
  });
  const tracks = cards
    .filter(({ fromNode, toNode }) => toNode > fromNode)
    .map((figures) => {
      let points = "";
      for (let node = figures.fromNode; node <= figures.toNode; node++)
        points += `<trkpt ${at(node)}>${height(node)}</trkpt>\n`;
      return `<trk><name>${nameOf(figures)}</name><trkseg>\n${points}</trkseg></trk>`;
    });
  return `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="Gepack" xmlns="http://www.topografix.com/GPX/1/1">
<metadata><name>${escaped(`${trip.name}, the log`)}</name></metadata>
${waypoints.join("\n")}
${tracks.join("\n")}
</gpx>
`;
}
