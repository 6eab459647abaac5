/** What was found along the track, a row for each thing that a place is, and what of it a plan takes. */
import {
  campSchema,
  sourceSchema,
  stopSchema,
  stretchSchema,
  type Located,
  type Offer,
  type Plan,
  type SortedKind,
  type WaypointKind,
  type WaypointWords,
} from "@gepack/core";
import { freshId } from "../store/made.ts";

export type Taken = "stop" | "water" | "camp" | "hazard" | "out";

/** A place by its words; one of a table may be nowhere but along the trail. */
export interface FoundPoint extends Required<WaypointWords> {
  lonDeg?: number | undefined;
  latDeg?: number | undefined;
}

export interface FoundRow {
  id: string;
  point: FoundPoint;
  located: Located;
  sorted: SortedKind;
  taken: Taken;
}

/** Farther off the track than this nothing is taken unless it is needed. */
const FAR_M = 5000;
/** Beside the track: a place so near is on it. */
const ON_TRACK_M = 60;
/** A hazard is given from so far before it to so far behind. */
const HAZARD_M = 300;
/** A ford is met at once. */
const FORD_M = 50;

const TAKES: Record<WaypointKind, Taken> = {
  stop: "stop",
  water: "water",
  camp: "camp",
  hazard: "hazard",
  ford: "hazard",
  landmark: "out",
  other: "out",
};

export function rowsOf(
  points: readonly FoundPoint[],
  sorted: readonly SortedKind[][],
  located: readonly Located[],
): FoundRow[] {
  return points
    .flatMap((point, i) =>
      sorted[i]!.map((kind): FoundRow => ({
        id: `${i} ${kind.kind}`,
        point,
        located: located[i]!,
        sorted: kind,
        taken: located[i]!.offM > FAR_M ? "out" : TAKES[kind.kind],
      })),
    )
    .sort((a, b) => a.located.trackM - b.located.trackM);
}

export const isFar = ({ located }: FoundRow): boolean => located.offM > FAR_M;

const RESTOCKS: readonly Offer[] = ["shop-small", "shop-full", "post"];

export type FoundParts = Pick<Plan, "stops" | "sources" | "camps" | "stretches">;

/** The rows as parts of a plan. Stops where food is available are used, the others are there to be. */
export function partsOf(rows: readonly FoundRow[]): FoundParts {
  const of = (taken: Taken): FoundRow[] => rows.filter((row) => row.taken === taken);
  return {
    stops: of("stop").map(stopOf),
    sources: of("water").map(sourceOf),
    camps: of("camp").map((row) => campSchema.parse({ ...placeOf(row), note: row.point.description.slice(0, 2000) })),
    stretches: of("hazard").map((row) => {
      const { id, name, trackM } = placeOf(row);
      const kind = row.sorted.kind === "ford" ? "ford" : "hazard";
      const aroundM = kind === "ford" ? FORD_M : HAZARD_M;
      const [fromM, toM] = [Math.max(0, trackM - aroundM), trackM + aroundM];
      return stretchSchema.parse({ id, name, fromM, toM, kind, note: row.point.description.slice(0, 2000) });
    }),
  };
}

function placeOf({ point, located }: FoundRow) {
  const { lonDeg, latDeg } = point;
  return {
    id: freshId(),
    name: point.name.trim() === "" ? "Unnamed place" : point.name,
    ...(lonDeg === undefined || latDeg === undefined ? {} : { lonDeg, latDeg }),
    trackM: Math.round(located.trackM),
    ...(located.alternateId === undefined ? {} : { alternateId: located.alternateId }),
  };
}

function offM({ located }: FoundRow, most: number): number {
  return located.offM < ON_TRACK_M ? 0 : Math.min(most, Math.round(located.offM));
}

function stopOf(row: FoundRow) {
  const services = [...(row.sorted.offers ?? [])];
  const restocks = services.length === 0 || services.some((service) => RESTOCKS.includes(service));
  const nights = services.length === 0 || services.includes("bed") ? 1 : 0;
  const note = row.point.description.slice(0, 2000);
  return stopSchema.parse({ ...placeOf(row), offTrailM: offM(row, 200_000), services, use: restocks, nights, note });
}

function sourceOf(row: FoundRow) {
  return sourceSchema.parse({
    ...placeOf(row),
    kind: row.sorted.water ?? "spring",
    reliable: row.sorted.seasonal !== true,
    offTrailM: offM(row, 20_000),
  });
}
