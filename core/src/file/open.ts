/**
 * The trail and its places for other programs: GPX 1.1, GeoJSON (RFC 7946), and a mile table as CSV. What is
 * written reads back here without loss of what is used. The track goes out as it was recorded.
 */
import { csvText } from "./csvText.ts";
import type { Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";
import type { TrackPoints } from "../track/points.ts";
import { placeRows, type PlaceRow } from "./places.ts";
import { shortFloat32, trackAsFeature } from "./write.ts";

export interface OpenInput {
  plan: Plan;
  result: Pick<TripFigures, "profile" | "legs">;
  tracks: readonly TrackPoints[];
}

/** Letters that XML gives a meaning of its own, and those that it cannot hold at all. */
export function escaped(text: string): string {
  return (
    text
      // A carriage return as it is would be read as a line feed.
      .replace(/[&<>"'\r]/g, (letter) => `&#${letter.charCodeAt(0)};`)
      .replace(/[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu, "")
  );
}

/** `spring seasonal; leave with Ann 1.5 L, Bo 2.0 L; closed in May`. */
function description({ detail, note, fillL }: PlaceRow, plan: Plan): string {
  const fill = fillL?.some((litres) => litres > 0)
    ? `leave with ${fillL.map((litres, h) => `${plan.hikers[h]!.name} ${litres.toFixed(1)} L`).join(", ")}`
    : "";
  return [detail, fill, note].filter((part) => part !== "").join("; ");
}

/** What an alternate's track is called in files, and known by when they come back. */
const ALTERNATE = "alternate";

function isAlternate({ trackIds, route }: Plan, { id }: TrackPoints): boolean {
  return !trackIds.includes(id) && route.alternates.some(({ trackId }) => trackId === id);
}

export function writeGpx({ plan, result, tracks }: OpenInput): string {
  const waypoints = placeRows(plan, result).map((row) => {
    const about = description(row, plan);
    // In the order that the schema of GPX 1.1 asks for.
    const inner = [
      Number.isNaN(row.heightM) ? "" : `<ele>${row.heightM.toFixed(1)}</ele>`,
      `<name>${escaped(row.name)}</name>`,
      about === "" ? "" : `<desc>${escaped(about)}</desc>`,
      `<sym>${row.kind}</sym><type>${row.kind}</type>`,
    ];
    return `<wpt lat="${degrees(row.latDeg)}" lon="${degrees(row.lonDeg)}">${inner.join("")}</wpt>`;
  });
  const written = tracks.map((track) => {
    const { segmentStarts, lonDeg, latDeg, heightM } = track;
    const segments = [...segmentStarts].map((from, s) => {
      const to = segmentStarts[s + 1] ?? lonDeg.length;
      let points = "";
      for (let i = from; i < to; i++) {
        const height = heightM[i]!;
        points += `<trkpt lat="${degrees(latDeg[i]!)}" lon="${degrees(lonDeg[i]!)}">${Number.isNaN(height) ? "" : `<ele>${shortFloat32(height)}</ele>`}</trkpt>\n`;
      }
      return `<trkseg>\n${points}</trkseg>`;
    });
    const type = isAlternate(plan, track) ? `<type>${ALTERNATE}</type>` : "";
    return `<trk><name>${escaped(track.name || plan.trip.name)}</name>${type}\n${segments.join("\n")}\n</trk>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="Gepack" xmlns="http://www.topografix.com/GPX/1/1">
${waypoints.join("\n")}
${written.join("\n")}
</gpx>
`;
}

export function writeGeoJson({ plan, result, tracks }: OpenInput): string {
  const places = placeRows(plan, result).map((row) => ({
    type: "Feature",
    properties: { name: row.name, type: row.kind, desc: description(row, plan), alongM: Math.round(row.alongM) },
    geometry: { type: "Point", coordinates: [row.lonDeg, row.latDeg] },
  }));
  return JSON.stringify({
    type: "FeatureCollection",
    features: [
      ...tracks.map((track) => {
        const feature = trackAsFeature(track);
        const type = isAlternate(plan, track) ? { type: ALTERNATE } : {};
        return { ...feature, properties: { name: track.name, ...type } };
      }),
      ...places,
    ],
  });
}

const M_PER_KM = 1000;

/** One row a place: kilometres from the start and to the next, height, off-trail way, what it is, fill-ups. */
export function writeMileTable({ plan, result }: Omit<OpenInput, "tracks">): string {
  const rows = placeRows(plan, result).filter((row) => row.isWalked);
  const fields = [
    "km",
    "to next km",
    "name",
    "kind",
    "detail",
    "height m",
    "off trail m",
    "note",
    ...plan.hikers.map(({ name }) => `leave with L, ${name}`),
  ];
  const data = rows.map((row, i) => {
    const next = rows[i + 1];
    return [
      (row.alongM / M_PER_KM).toFixed(1),
      next ? ((next.alongM - row.alongM) / M_PER_KM).toFixed(1) : "",
      row.name,
      row.kind,
      row.detail,
      Number.isNaN(row.heightM) ? "" : Math.round(row.heightM),
      Math.round(row.offTrailM),
      row.note,
      ...plan.hikers.map((_, h) => row.fillL?.[h]?.toFixed(2) ?? ""),
    ];
  });
  return csvText(fields, data);
}

/** Seven digits are a centimetre. */
export function degrees(value: number): string {
  return String(Number(value.toFixed(7)));
}
