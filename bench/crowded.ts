/**
 * The long trail as full as a document gets: 200 stops, 3,000 places in all, 300 pieces, 100 foods, and 150 days in the
 * log. What an edit takes of it, and as a ratio to a pass over the points, as in the bench of the trail alone.
 */
import { computePlan, readPlan, Session, type Plan, type TrackPoints } from "@gepack/core";
import { LENGTH_M, take, type Taken } from "./measure.ts";

const STOPS = 200;
const PLACES = 3000;
const PIECES = 300;
const FOODS = 100;
const LOG_DAYS = 150;
/** One stop of so many is used. */
const USED = 5;

/** Rows of a list, as many as are wanted, each like one that is there, with an id and a name of its own. */
function filled<Row extends { id: string; name: string }>(rows: readonly Row[], count: number): Row[] {
  return Array.from({ length: count }, (_, i) => {
    const row = rows[i % rows.length]!;
    const turn = Math.floor(i / rows.length);
    return turn === 0 ? row : { ...structuredClone(row), id: `${row.id}-${turn}`, name: `${row.name} ${turn}` };
  });
}

/** Along the whole trail, evenly. */
function spread<Row extends { trackM: number }>(rows: readonly Row[]): Row[] {
  return rows.map((row, i) => ({ ...row, trackM: Math.round(((i + 0.5) / rows.length) * LENGTH_M) }));
}

export function crowdedPlan(plan: Plan, track: TrackPoints): Plan {
  const stops = spread(filled(plan.stops, STOPS)).map((stop, i) => ({ ...stop, use: i % USED === 0 }));
  const camps = spread(filled(plan.camps, PLACES / 10));
  const bare = readPlan({
    ...plan,
    pins: [],
    boxes: [],
    kit: filled(
      plan.kit.map((piece) => ({ ...piece, spans: [{ fromStopId: "@start", toStopId: "@finish" }] })),
      PIECES,
    ).map((piece) => ({ ...piece, massG: piece.massG / 4 })),
    stops,
    camps,
    sources: spread(filled(plan.sources, PLACES - STOPS - camps.length)),
    foods: filled(plan.foods, FOODS),
    kitRules: { ...plan.kitRules, demands: [] },
    hikers: plan.hikers.map((hiker) => ({ ...hiker, menus: { defaultId: hiker.menus.defaultId } })),
  }).value!;
  const { days, profile } = computePlan(bare, [track]);
  const log = days
    .filter(({ fromNode, toNode }) => toNode > fromNode)
    .slice(0, LOG_DAYS)
    .map(({ date, toNode, walkH }, i) => ({
      id: `d${i}`,
      date,
      trackM: toNode * profile.cellM,
      walkedH: Math.round(walkH * 10) / 10,
    }));
  return readPlan({ ...bare, log }).value!;
}

/** Least times of edits on it; the rows of the bench. */
export function crowdedRows(plan: Plan, track: TrackPoints): [string, Taken, number][] {
  const full = crowdedPlan(plan, track);
  const session = new Session();
  session.setTracks([track]);
  const { legs } = session.compute(full);
  let i = 0;
  const edit = (part: "kit" | "stops" | "sources" | "hikers" | "log", change: (copy: Plan, n: number) => void): Taken =>
    take<Plan>(
      (edited) => void session.compute(edited),
      () => {
        const copy = { ...full, [part]: structuredClone(full[part]) };
        change(copy, ++i);
        return copy;
      },
      9,
    );
  console.log(
    `\n${full.stops.length} stops, ${legs.length} legs, ${full.sources.length + full.camps.length} waters and camps, ${full.kit.length} pieces, ${full.foods.length} foods, ${full.log.length} days in the log`,
  );
  return [
    ["kit edit", edit("kit", (copy, n) => void (copy.kit[0]!.massG += 7 * n)), 7],
    ["the name of a water", edit("sources", (copy, n) => void (copy.sources[9]!.name = `Spring ${n}`)), 2],
    ["a stop more", edit("stops", (copy, n) => void (copy.stops[1 + (n % 3)]!.use = true)), 10],
    ["food edit", edit("hikers", (copy, n) => void (copy.hikers[0]!.food.shortfallFraction = 0.001 * (n % 90))), 10],
    ["a card of the log", edit("log", (copy, n) => void (copy.log.at(-1)!.walkedH = 5 + 0.01 * n)), 10],
  ];
}
