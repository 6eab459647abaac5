/** Simulated climate stations along a trail, so that no trip of your own starts without a season. */
import type { ClimateStation } from "../plan/schema.ts";
import { trackAt } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import type { WalkedM } from "../units/lengths.ts";
import { simulatedNormals } from "./normals.ts";

/** How far the sea is, in four words, and what each is taken as, kilometres. */
export const SEA_KM = { coast: 5, near: 40, inland: 200, deep: 800 } as const;
export type SeaWord = keyof typeof SEA_KM;

const SPACING_M = 150_000;
const HEIGHT_STEP_M = 800;
const MOST_STATIONS = 200;
/** A file does not say on which side of a continent it is. */
const WEST_UNKNOWN = 0.5;

/** From the lowest height of the trail alone: a guess to be corrected. */
export function guessSea({ hasHeights, lowestM }: Pick<Profile, "hasHeights" | "lowestM">): SeaWord {
  if (!hasHeights) return "inland";
  return lowestM < 30 ? "coast" : lowestM < 200 ? "near" : lowestM < 800 ? "inland" : "deep";
}

/** One station every 150 km, and more where the heights between are 800 m apart and further. */
export function simulatedStations(profile: Profile, sea: SeaWord): ClimateStation[] {
  const nodes = new Set(evenNodes(profile));
  for (const node of heightNodes(profile)) if (nodes.size < MOST_STATIONS) nodes.add(node);
  return [...nodes].sort((a, b) => a - b).map((node, i) => stationAt(profile, node, sea, i));
}

function evenNodes({ cellCount, lengthM }: Profile): number[] {
  const spans = Math.min(MOST_STATIONS - 1, Math.floor(lengthM / SPACING_M) + (lengthM > SPACING_M ? 1 : 0));
  if (spans === 0) return [cellCount >> 1];
  return Array.from({ length: spans + 1 }, (_, i) => Math.round((i * cellCount) / spans));
}

/** The lowest and the highest place, and one at every 800 m between. */
function heightNodes({ hasHeights, heightM, lowestM, highestM }: Profile): number[] {
  const steps = Math.floor((highestM - lowestM) / HEIGHT_STEP_M);
  if (!hasHeights || steps === 0) return [];
  return Array.from({ length: steps + 1 }, (_, i) => {
    const wanted = lowestM + ((highestM - lowestM) * i) / steps;
    let nearest = 0;
    for (let node = 1; node < heightM.length; node++)
      if (Math.abs(heightM[node]! - wanted) < Math.abs(heightM[nearest]! - wanted)) nearest = node;
    return nearest;
  });
}

function stationAt(profile: Profile, node: number, sea: SeaWord, index: number): ClimateStation {
  const heightM = profile.hasHeights ? Math.round(profile.heightM[node]!) : 0;
  const latDeg = profile.latDeg[node]!;
  const { lowC, highC, sdK, humidity, cloud, windMps, rainMm, wetDays } = simulatedNormals({
    latDeg,
    heightM,
    seaKm: SEA_KM[sea],
    west: WEST_UNKNOWN,
  });
  // The document holds one spread and one wind a year: the widest, and the mean.
  const spreadK = round(Math.max(...sdK), 1);
  return {
    id: `simulated-${index}`,
    name: `Simulated ${index + 1}`,
    trackM: Math.round(trackAt(profile, (node * profile.cellM) as WalkedM)) as ClimateStation["trackM"],
    heightM,
    lowC: lowC.map((c) => round(c, 1)),
    highC: highC.map((c) => round(c, 1)),
    lowSdK: spreadK,
    highSdK: spreadK,
    humidity: humidity.map((share) => round(share, 2)),
    cloud: cloud.map((share) => round(share, 2)),
    windMps: round(windMps.reduce((sum, one) => sum + one, 0) / 12, 1),
    precipMm: rainMm.map((mm) => round(mm, 0)),
    wetDays: wetDays.map((days) => round(days, 1)),
    simulated: true,
  };
}

function round(value: number, digits: number): number {
  return Number(value.toFixed(digits));
}
