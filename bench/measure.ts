/** How times are taken, and the long trail that is measured on: 4,300 km in 430,000 points. */

export const LENGTH_M = 4_300_000;
export const POINTS = 430_000;
export const RUNS = 25;

export interface Taken {
  /** CPU time of this process, all its threads: what else the machine does counts little. */
  minMs: number;
  medianMs: number;
}

const WARM_MS = 250;
const WARM_RUNS = 40;

/** Warms up, then measures: `prepare` makes what a run is given, outside of its time. */
export function take<T>(work: (given: T) => void, prepare: () => T, runs: number): Taken {
  const warmUntil = performance.now() + WARM_MS;
  for (let i = 0; i < WARM_RUNS && performance.now() < warmUntil; i++) work(prepare());
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const given = prepare();
    const before = process.cpuUsage();
    work(given);
    const { user, system } = process.cpuUsage(before);
    times.push((user + system) / 1000);
  }
  times.sort((a, b) => a - b);
  return { minMs: times[0]!, medianMs: times[runs >> 1]! };
}

export const measure = (work: () => void, runs = RUNS): Taken => take(work, () => {}, runs);

export interface LongPoint {
  lat: string;
  lon: string;
  heightM: string;
}

export function longTrack(): LongPoint[] {
  return Array.from({ length: POINTS }, (_, i) => {
    const m = (i / (POINTS - 1)) * LENGTH_M;
    const height = 900 + 700 * Math.sin(m / 150_000) + 120 * Math.sin(m / 3000) + 3 * Math.sin(i * 12.9898);
    return {
      lat: (20 + m / 111_040).toFixed(6),
      lon: (-150 + 0.01 * Math.sin(m / 40_000)).toFixed(6),
      heightM: height.toFixed(1),
    };
  });
}

export function gpxText(points: readonly LongPoint[]): string {
  const rows = points.map(({ lat, lon, heightM }) => `<trkpt lat="${lat}" lon="${lon}"><ele>${heightM}</ele></trkpt>`);
  const head = '<?xml version="1.0"?><gpx version="1.1"><trk><name>Bench</name><trkseg>';
  return [head, ...rows, "</trkseg></trk></gpx>"].join("\n");
}
