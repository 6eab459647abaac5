/**
 * The ground that is walked, as pieces of the lines that were recorded: the main trail, alternates, and
 * straight ways between them. Turns places on a line into metres along the route and back.
 *
 * All metres; a route is laid in the order of its sections as they stand in the plan. Whether it is then
 * walked from its other end is the profile's matter.
 */
import type { TrackM } from "../units/lengths.ts";

/** The main trail, where a line is needed. */
export const MAIN = "";

export interface RoutePiece {
  /** `MAIN`, an alternate's id, or undefined for a straight way between two lines. */
  line: string | undefined;
  /** Along the line; from beyond `toM` where it is walked against the recording. */
  fromM: number;
  toM: number;
  /** Where it starts along the route. */
  atM: number;
}

/** Where the route goes on somewhere else, by other means than on foot. */
export interface RouteJoint {
  kind: "ride" | "transfer";
  /** Of the closure that is passed, or of the section that starts. */
  id: string;
  /** Hours of clock it takes. */
  hours: number;
  atM: number;
}

export interface Route {
  pieces: RoutePiece[];
  joints: RouteJoint[];
  lengthM: number;
  mainLengthM: number;
  /** Every alternate, walked or not: which part of the main trail it stands for. */
  alternates: { id: string; leavesM: number; rejoinsM: number; lengthM: number }[];
  /**
   * Alternates that are chosen and not walked, as another has the ground already or their track is missing; and
   * closures that would leave nothing to walk.
   */
  resting: { id: string; why: "overlaps" | "no-track" | "nothing-left" }[];
}

/** The main trail from end to end. */
export function plainRoute(lengthM: number, alternates: Route["alternates"] = []): Route {
  return {
    pieces: [{ line: MAIN, fromM: 0, toM: lengthM, atM: 0 }],
    joints: [],
    lengthM,
    mainLengthM: lengthM,
    alternates,
    resting: [],
  };
}

export const lengthOf = ({ fromM, toM }: Pick<RoutePiece, "fromM" | "toM">): number => Math.abs(toM - fromM);

/** Rounding of places to whole metres puts nothing off its line. */
const SLACK_M = 1;

interface Along {
  /** Nearest place on the route. */
  atM: number;
  /** How far along its line the place is from what is walked of it; Infinity where nothing is. */
  offM: number;
}

/** Where a place on a line is along the route; off it, where the route leaves that part of the line out. */
export function alongRoute(route: Route, line: string, metres: number): Along {
  let best: Along = { atM: 0, offM: Infinity };
  for (const piece of route.pieces) {
    if (piece.line !== line) continue;
    const { fromM, toM } = piece;
    const within = Math.max(Math.min(fromM, toM), Math.min(Math.max(fromM, toM), metres));
    const offM = Math.abs(metres - within);
    if (offM < best.offM) best = { atM: piece.atM + Math.abs(within - fromM), offM };
  }
  if (best.offM < Infinity || line === MAIN) return best;
  const alternate = route.alternates.find(({ id }) => id === line);
  return { atM: alternate ? alongRoute(route, MAIN, alternate.leavesM).atM : 0, offM: Infinity };
}

/** Does the route pass a place on a line? Beyond the ends of the main trail is what is at them. */
export function onRoute(route: Route, line: string, metres: number): boolean {
  const within = line === MAIN ? Math.max(0, Math.min(route.mainLengthM, metres)) : metres;
  return alongRoute(route, line, within).offM <= SLACK_M;
}

export interface LinePlace {
  line: string;
  metres: number;
}

/** What is so far along the route. On a straight way between lines that is the end it starts from. */
export function placeOnRoute(route: Route, atM: number): LinePlace {
  let found: LinePlace = { line: MAIN, metres: 0 };
  for (const { line, fromM, toM, atM: beginsM } of route.pieces) {
    if (beginsM > atM && found.line !== undefined) break;
    if (line === undefined) continue;
    const inM = Math.min(lengthOf({ fromM, toM }), Math.max(0, atM - beginsM));
    found = { line, metres: toM >= fromM ? fromM + inM : fromM - inM };
  }
  return found;
}

/** The main trail's metres beside a place on the route: on an alternate, as far from where it leaves to where it rejoins. */
export function mainBeside(route: Route, atM: number): TrackM {
  const { line, metres } = placeOnRoute(route, atM);
  const alternate = route.alternates.find(({ id }) => id === line);
  if (!alternate) return metres as TrackM;
  const { leavesM, rejoinsM, lengthM } = alternate;
  return (leavesM + ((rejoinsM - leavesM) * metres) / Math.max(1, lengthM)) as TrackM;
}

/** The parts of a route that are on a stretch of a line, in metres along the route, each from its nearer end. */
export function partsOnRoute(route: Route, line: string, fromM: number, toM: number): [fromM: number, toM: number][] {
  const [low, high] = [Math.min(fromM, toM), Math.max(fromM, toM)];
  return route.pieces.flatMap((piece): [number, number][] => {
    if (piece.line !== line) return [];
    const [first, last] = [Math.min(piece.fromM, piece.toM), Math.max(piece.fromM, piece.toM)];
    const [a, b] = [Math.max(low, first), Math.min(high, last)];
    if (a > b) return [];
    const at = (metres: number): number => piece.atM + Math.abs(metres - piece.fromM);
    return [[Math.min(at(a), at(b)), Math.max(at(a), at(b))]];
  });
}
