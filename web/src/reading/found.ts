/** What was found along the track, a row for each thing that a place is, and what of it a plan takes. */
import {
  assumedBetween,
  campSchema,
  chanceDrying,
  foodQuestions,
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
  /** What the hiker answered, where nobody could tell whether there is food. */
  food?: FoodAnswer;
  /** Nobody said that there is a shop. */
  isAssumed?: boolean;
  /** The hiker took it out by hand. */
  isLeftOut?: boolean;
}

export type FoodAnswer = "none" | "shop-small" | "shop-full" | "post";

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
const restocks = ({ sorted }: FoundRow): boolean => (sorted.offers ?? []).some((one) => RESTOCKS.includes(one));
/** A code, a number or a sign of the road is no place that has a shop. */
const NO_NAME = /^\W*$|^\w{0,3}\s?-?\d+\w?$|^(?:waypoint|unnamed|wpt|km|mile|mi|poi|point|marker)\b/i;

/** May there be food, though nothing says so? What denies it, and what is of another kind, is not asked about. */
export function mayHaveFood(row: FoundRow): boolean {
  const { kind, remarks } = row.sorted;
  if (isFar(row) || row.located.alternateId !== undefined || remarks.without.some((one) => one.startsWith("shop")))
    return false;
  if (remarks.foodElsewhere) return kind !== "water" && kind !== "camp";
  if (kind === "stop") return !restocks(row);
  return kind === "other" && row.sorted.word === "" && !NO_NAME.test(row.point.name.trim());
}

/** A day of most hikers, flat ground and hills [L]. */
const DAY_M = 22_000;

export interface AskedRow {
  row: FoundRow;
  /** Days of food that hang on it. */
  days: number;
}

/** Those of the rows that are worth asking about; answers change nothing in which these are. */
export function askedRows(rows: readonly FoundRow[], lengthM: number): AskedRow[] {
  const unsure = rows.filter((row) => row.food !== undefined || mayHaveFood(row));
  const sure = rows.filter((row) => row.taken === "stop" && !unsure.includes(row) && restocks(row));
  const asked = foodQuestions(
    sure.map(({ located }) => located.trackM),
    unsure.map(({ id, located }) => ({ id, trackM: located.trackM })),
    lengthM,
    DAY_M,
  );
  return asked.map(({ id, days }) => ({ row: rows.find((row) => row.id === id)!, days }));
}

/** So much food nobody likes to carry: before a longer way without a shop a place that may have one is taken to have it [L]. */
const LONGEST_CARRY_M = 7 * DAY_M;

/** Ids of the places that are taken to have a small shop though nobody says so: a town left out is worse than one put in. */
export function assumedShops(rows: readonly FoundRow[], lengthM: number): ReadonlySet<string> {
  const open = rows.filter((row) => row.food === undefined && mayHaveFood(row) && !row.isLeftOut);
  const shops = [0, lengthM, ...rows.filter((row) => row.taken === "stop" && restocks(row)).map(atM)];
  const taken = new Set<string>();
  for (;;) {
    shops.sort((a, b) => a - b);
    const best = open
      .filter(({ id }) => !taken.has(id))
      .map((row) => {
        const next = shops.findIndex((shop) => shop >= atM(row));
        const [before, after] = [shops[Math.max(0, next - 1)]!, shops[Math.max(0, next)]!];
        const splits = after - before > LONGEST_CARRY_M;
        return { row, shorterM: splits ? Math.min(atM(row) - before, after - atM(row)) : 0 };
      })
      .reduce<{ row: FoundRow; shorterM: number } | undefined>(
        (a, b) => (b.shorterM > (a?.shorterM ?? 0) ? b : a),
        undefined,
      );
    // What is a few hours from a shop anyway changes nothing.
    if (!best || best.shorterM < DAY_M) return taken;
    taken.add(best.row.id);
    shops.push(atM(best.row));
  }
}

const atM = ({ located }: FoundRow): number => Number(located.trackM);

/** What the plan says of where its stop comes from, until somebody knows. */
export const ASSUMED_SHOP = "assumed";

/** Those of the rows that are taken to have a shop, as stops. */
export function withAssumedShops(rows: readonly FoundRow[], lengthM: number): FoundRow[] {
  const taken = assumedShops(rows, lengthM);
  return rows.map((row) => (taken.has(row.id) ? { ...answered(row, "shop-small"), isAssumed: true } : row));
}

/** The row with an answer: a stop with what it has, or as it was taken before. */
export function answered(row: FoundRow, food: FoodAnswer): FoundRow {
  const offers = (row.sorted.offers ?? []).filter((one) => !RESTOCKS.includes(one));
  return {
    ...row,
    food,
    taken: food === "none" ? TAKES[row.sorted.kind] : "stop",
    sorted: { ...row.sorted, offers: food === "none" ? offers : [...offers, food] },
  };
}

/** A way without known water that is worth asking about, and so many times what is usual between the waters of the file [L]. */
const LONG_DRY_M = 15_000;
const LONG_TIMES = 2;
/** Fewer tell nothing of what is usual. */
const LEAST_WATERS = 4;

/** The longest ways without water or a house that has some, along what is walked. */
export function dryWays(rows: readonly FoundRow[], { fromM, toM }: { fromM: number; toM: number }): [number, number][] {
  const wet = rows
    .filter(({ taken, located, sorted }) => {
      if (located.alternateId !== undefined || located.trackM <= fromM || located.trackM >= toM) return false;
      return taken === "water" || (taken === "stop" && (sorted.offers ?? []).some((one) => HAS_TAP.includes(one)));
    })
    .map(({ located }) => Number(located.trackM));
  const marks = [fromM, ...wet.sort((a, b) => a - b), toM];
  const steps = marks
    .slice(1)
    .map((to, i) => to - marks[i]!)
    .sort((a, b) => a - b);
  const usualM = wet.length < LEAST_WATERS ? 0 : steps[steps.length >> 1]!;
  const longM = Math.max(LONG_DRY_M, LONG_TIMES * usualM);
  return marks
    .slice(1)
    .map((to, i): [number, number] => [marks[i]!, to])
    .filter(([from, to]) => to - from > longM);
}

const HAS_TAP: readonly Offer[] = ["bed", "meals", "shop-small", "shop-full"];

/** Sources that stand for those nobody listed. */
export function assumedSources(ways: readonly [number, number][], everyM: number): Plan["sources"] {
  return ways
    .flatMap(([from, to]) => assumedBetween(from, to, everyM))
    .map((trackM) =>
      sourceSchema.parse({
        id: freshId(),
        name: "Assumed water",
        kind: "creek",
        assumed: true,
        trackM: Math.round(trackM),
      }),
    );
}

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

/** Beside the trail, from so far on what drives is taken. */
const RIDE_FROM_M = 2000;

function stopOf(row: FoundRow) {
  const services = [...(row.sorted.offers ?? [])];
  const { openFrom, openTo, opensH, closesH, postHours, closedOn, ride } = row.sorted.remarks;
  const clock =
    opensH === undefined ? {} : postHours ? { postOpensH: opensH, postClosesH: closesH } : { opensH, closesH };
  const use = row.food === undefined ? services.length === 0 || restocks(row) : row.food !== "none";
  const nights = services.length === 0 || services.includes("bed") ? 1 : 0;
  const note = row.point.description.slice(0, 2000);
  return stopSchema.parse({
    ...placeOf(row),
    offTrailM: offM(row, 200_000),
    services,
    use,
    nights,
    ...(row.isAssumed ? { infoFrom: ASSUMED_SHOP } : {}),
    note,
    openFrom,
    openTo,
    closedOn,
    ...clock,
    ...(ride && row.located.offM > RIDE_FROM_M ? { access: "shuttle" } : {}),
  });
}

function sourceOf(row: FoundRow) {
  const { driesIn } = row.sorted.remarks;
  const note = row.point.description.slice(0, 2000);
  return sourceSchema.parse({
    ...placeOf(row),
    kind: row.sorted.water ?? "spring",
    reliable: !row.sorted.seasonal && !row.sorted.unknown,
    ...(row.sorted.unknown ? { unknown: true } : {}),
    offTrailM: offM(row, 20_000),
    ...(driesIn === undefined ? {} : { chanceByMonth: chanceDrying(driesIn) }),
    ...(note === "" ? {} : { note }),
  });
}
