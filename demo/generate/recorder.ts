/** Walks the true line with a recorder of ordinary quality and writes what it would have written. */
import type { Random } from "./random.ts";
import { heightM, LENGTH_M, pointAt, REGIONS, type Line } from "./terrain.ts";

const SPACING_M = 50;
const PLACE_NOISE_M = 3;
const PLACE_MEMORY = 0.92;
const HEIGHT_NOISE_M = 4;
const HEIGHT_MEMORY = 0.4;
const M_PER_DEG = 111_200;
/** Recorder switched off: true metres from, to. */
const GAPS: readonly (readonly [number, number])[] = [
  [412_300, 413_900],
  [1_051_000, 1_051_900],
  [1_716_400, 1_718_200],
];
/** Recorder without heights. */
const BLIND = [136_000, 149_000] as const;

export interface GpxWaypointOut {
  name: string;
  kind: string;
  lonDeg: number;
  latDeg: number;
}

export function recordGpx(
  line: Line,
  random: Random,
  waypoints: readonly GpxWaypointOut[],
): { text: string; points: number } {
  const rows: string[] = [];
  let points = 0;
  let east = 0;
  let north = 0;
  let up = 0;
  let region = 0;
  rows.push(
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<gpx version="1.1" creator="Gepack demo generator" xmlns="http://www.topografix.com/GPX/1/1">',
  );
  rows.push("<metadata><name>Corvane Traverse</name><desc>Made up. No such island exists.</desc></metadata>");
  for (const point of waypoints)
    rows.push(
      `<wpt lat="${point.latDeg.toFixed(6)}" lon="${point.lonDeg.toFixed(6)}"><name>${point.name}</name><type>${point.kind}</type></wpt>`,
    );
  rows.push("<trk><name>Corvane Traverse</name>", "<trkseg>");
  for (let m = 0; ;) {
    if (m / 1000 >= REGIONS[region]!.toKm && region + 1 < REGIONS.length) {
      region++;
      rows.push("</trkseg>", "<trkseg>");
    }
    east = PLACE_MEMORY * east + Math.sqrt(1 - PLACE_MEMORY ** 2) * PLACE_NOISE_M * random.normal();
    north = PLACE_MEMORY * north + Math.sqrt(1 - PLACE_MEMORY ** 2) * PLACE_NOISE_M * random.normal();
    up = HEIGHT_MEMORY * up + Math.sqrt(1 - HEIGHT_MEMORY ** 2) * HEIGHT_NOISE_M * random.normal();
    const at = pointAt(line, m);
    const latDeg = at.latDeg + north / M_PER_DEG;
    const lonDeg = at.lonDeg + east / (M_PER_DEG * Math.cos((at.latDeg * Math.PI) / 180));
    const spike = random.uniform() < 0.0003 ? 180 : 0;
    const height = heightM(m) + up + spike;
    const known = m < BLIND[0] || m > BLIND[1];
    const row = `<trkpt lat="${latDeg.toFixed(6)}" lon="${lonDeg.toFixed(6)}">${known ? `<ele>${height.toFixed(1)}</ele>` : ""}</trkpt>`;
    rows.push(row);
    points++;
    if (random.uniform() < 0.004) {
      rows.push(row);
      points++;
    }
    if (m >= LENGTH_M) break;
    m = Math.min(LENGTH_M, m + SPACING_M * (0.75 + 0.5 * random.uniform()));
    for (const [from, to] of GAPS) if (m > from && m < to) m = to;
  }
  rows.push("</trkseg>", "</trk>", "</gpx>", "");
  return { text: rows.join("\n"), points };
}
