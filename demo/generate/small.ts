/** Pieces that small made-up examples are made of. */
import { KIT_STYLES, starterKit } from "@gepack/core";

const SPACING_M = 150;
const M_PER_DEG = 111_200;

interface SmallTrail {
  lengthM: number;
  lonDeg: number;
  latDeg: number;
  height: (m: number) => number;
  /** Where it leads: northward without. */
  southward?: boolean;
  spacingM?: number;
}

/** A winding line, as a plan file has its track. */
export function smallTrail(id: string, name: string, trail: SmallTrail) {
  const { lengthM, height, southward = false, spacingM = SPACING_M } = trail;
  const rows: [number, number, number][] = [];
  let { lonDeg, latDeg } = trail;
  const turn = southward ? Math.PI : 0;
  for (let m = 0; m <= lengthM; m += spacingM) {
    rows.push([Number(lonDeg.toFixed(6)), Number(latDeg.toFixed(6)), Number(height(m).toFixed(1))]);
    const bearing = turn + 0.5 * Math.sin(m / 21_000) + 0.25 * Math.sin(m / 6100);
    latDeg += (spacingM * Math.cos(bearing)) / M_PER_DEG;
    lonDeg += (spacingM * Math.sin(bearing)) / (M_PER_DEG * Math.cos((latDeg * Math.PI) / 180));
  }
  return {
    type: "Feature",
    id,
    properties: { name },
    geometry: { type: "MultiLineString", coordinates: [rows] },
  };
}

export const stop = (id: string, name: string, km: number, services: string[], nights = 1, more: object = {}) => ({
  id,
  name,
  trackM: km * 1000,
  services,
  nights,
  ...more,
});
export const source = (i: number, km: number, kind: string, more: object = {}) => ({
  id: `w${i}`,
  name: `${["Bracken", "Marl", "Sallow", "Peat"][i % 4]!} ${kind}`,
  trackM: Math.round(km * 1000),
  kind,
  reliable: i % 5 !== 1,
  ...more,
});

interface Normals {
  /** Half the difference of warmest and coldest month, and of day and night, kelvin. */
  swingK?: number;
  dayK?: number;
  southern?: boolean;
  wetDays?: number;
}

export const station = (id: string, km: number, heightM: number, meanC: number, more: Normals = {}) => {
  const { swingK = 7.5, dayK = 5, southern = false, wetDays } = more;
  const months = (by: number): number[] =>
    Array.from({ length: 12 }, (_, m) => {
      const season = Math.cos((2 * Math.PI * (m - 0.6)) / 12) * (southern ? 1 : -1);
      return Math.round(10 * (meanC + by + swingK * season)) / 10;
    });
  return {
    id,
    name: id,
    trackM: km * 1000,
    heightM,
    lowC: months(-dayK),
    highC: months(dayK),
    lowSdK: 3.2,
    highSdK: 3.6,
    ...(wetDays === undefined
      ? {}
      : { wetDays: Array<number>(12).fill(wetDays), precipMm: Array<number>(12).fill(7 * wetDays) }),
  };
};

/** A starting list with pieces of your own after it; pieces by their names are left out. */
export function kitOf(
  hikerId: string,
  { style, stove, without = [] }: { style: (typeof KIT_STYLES)[number]; stove: boolean; without?: readonly string[] },
  own: readonly Record<string, unknown>[] = [],
): Record<string, unknown>[] {
  const spans = [{ fromStopId: "@start", toStopId: "@finish", begins: "from-home" as const, ends: "kept" as const }];
  let n = 0;
  const idOf = (): string => `${hikerId}-${++n}`;
  const listed = starterKit({ style, stove, hung: false }, { hikerId, spans, idOf }).filter(
    ({ name }) => !without.some((word) => name.startsWith(word)),
  );
  return [
    ...listed.map((piece): Record<string, unknown> => ({ ...piece })),
    ...own.map((piece) => ({ id: idOf(), group: "Own", ownerId: hikerId, carrierId: hikerId, spans, ...piece })),
  ];
}
