/** Pieces that small made-up examples are made of. */
const SPACING_M = 150;
const M_PER_DEG = 111_200;

interface SmallTrail {
  lengthM: number;
  lonDeg: number;
  latDeg: number;
  height: (m: number) => number;
}

/** A winding line northward, as a plan file has its track. */
export function smallTrail(id: string, name: string, { lengthM, height, ...start }: SmallTrail) {
  const rows: [number, number, number][] = [];
  let { lonDeg, latDeg } = start;
  for (let m = 0; m <= lengthM; m += SPACING_M) {
    rows.push([Number(lonDeg.toFixed(6)), Number(latDeg.toFixed(6)), Number(height(m).toFixed(1))]);
    const bearing = 0.5 * Math.sin(m / 21_000) + 0.25 * Math.sin(m / 6100);
    latDeg += (SPACING_M * Math.cos(bearing)) / M_PER_DEG;
    lonDeg += (SPACING_M * Math.sin(bearing)) / (M_PER_DEG * Math.cos((latDeg * Math.PI) / 180));
  }
  return {
    type: "Feature",
    id,
    properties: { name },
    geometry: { type: "MultiLineString", coordinates: [rows] },
  };
}

export const stop = (id: string, name: string, km: number, services: string[], nights = 1) => ({
  id,
  name,
  trackM: km * 1000,
  services,
  nights,
});
export const source = (i: number, km: number, kind: string) => ({
  id: `w${i}`,
  name: `${["Bracken", "Marl", "Sallow", "Peat"][i % 4]!} ${kind}`,
  trackM: Math.round(km * 1000),
  kind,
  reliable: i % 5 !== 1,
});
export const station = (id: string, km: number, heightM: number, meanC: number) => ({
  id,
  name: id,
  trackM: km * 1000,
  heightM,
  lowC: months(meanC - 5),
  highC: months(meanC + 5),
  lowSdK: 3.2,
  highSdK: 3.6,
});
const months = (meanC: number): number[] =>
  Array.from({ length: 12 }, (_, m) => Math.round(10 * (meanC - 7.5 * Math.cos((2 * Math.PI * (m - 0.6)) / 12))) / 10);
