/** Points and waypoints as any track file gives them: bounded, checked, with what was left out told. */
import { type Problem, type ReadResult } from "../units/problem.ts";
import { PointBuffer, type TrackPoints, type Waypoint } from "./points.ts";

/** One of a file's tracks: what the file calls it, and where its points start. */
export interface TrackPart {
  name: string;
  /** The file's own word for its kind, empty where it has none. */
  type: string;
  from: number;
}

export interface TrackFile {
  /** All points of the file in its order; none where it holds waypoints alone. */
  track: TrackPoints;
  /** Its tracks, those without points left out. */
  parts: TrackPart[];
  waypoints: Waypoint[];
  /** Whether the points came from a track or, for want of one, from a route. */
  from: "track" | "route";
  /** The day of the first point that has a time, as YYYY-MM-DD. */
  firstDate: string | undefined;
  /** Seconds since 1970 of every point of the tracks, NaN where it has none; only where they were asked for. */
  timesS?: Float64Array;
}

export interface TrackReader {
  write(chunk: string): void;
  close(): ReadResult<TrackFile>;
  /** Points taken so far, for progress. */
  pointCount(): number;
  /** True once nothing that follows can change the answer. */
  failed(): boolean;
}

const MAX_POINTS = 5_000_000;
const MAX_WAYPOINTS = 20_000;
const MAX_REPORTED = 20;
/** A file that starts with so many points of no use has none; the rest is not read. */
const MOST_BAD_FIRST = 1000;
/** A recorder without a clock says 1970 or 1980. */
const EARLIEST = Date.UTC(1990, 0, 1);
const LATEST = Date.UTC(2200, 0, 1);
const LOWEST_M = -500;
const HIGHEST_M = 9000;

export type Words = Omit<Waypoint, "lonDeg" | "latDeg">;

export class Collected {
  readonly tracks = new PointBuffer();
  readonly routes = new PointBuffer();
  private readonly waypoints: Waypoint[] = [];
  private readonly parts = { track: [] as TrackPart[], route: [] as TrackPart[] };
  private readonly problems: Problem[] = [];
  /** Of the first point that has one. */
  private firstDate: string | undefined;
  private readonly timesS: number[] = [];
  /** Of the point that comes next. */
  private pendingS = NaN;
  private leftWaypoints = 0;
  private badPoints = 0;
  private badHeights = 0;

  /** `refuse` ends the reading with a sentence; `unit` is what places are counted in. */
  constructor(
    private readonly refuse: (sentence: string) => never,
    private readonly unit: "line" | "position" = "line",
    private readonly keepTimes = false,
  ) {}

  /** The points that follow are another track; its name may come later. */
  beginPart(of: "track" | "route" = "track"): void {
    const { count } = of === "track" ? this.tracks : this.routes;
    this.parts[of].push({ name: "", type: "", from: count });
  }

  /** Of the track that is being read. */
  namePart(words: { name?: string; type?: string }, of: "track" | "route" = "track"): void {
    const part = this.parts[of].at(-1);
    if (part && part.name === "" && words.name) part.name = words.name;
    if (part && part.type === "" && words.type) part.type = words.type;
  }

  /** A height as the file has it: NaN where it is missing or cannot be. */
  height(text: string): number {
    const value = text.trim() === "" ? NaN : Number(text);
    if (value >= LOWEST_M && value <= HIGHEST_M) return value;
    if (text.trim() !== "") this.badHeights++;
    return NaN;
  }

  point(into: PointBuffer, lonDeg: number, latDeg: number, heightM: number, at: number): void {
    if (!this.isPlace(lonDeg, latDeg, at)) return;
    if (into.count >= MAX_POINTS)
      this.refuse(`The file has more than ${MAX_POINTS.toLocaleString("en")} points, the most that is read.`);
    into.push(lonDeg, latDeg, heightM);
    if (this.keepTimes && into === this.tracks) this.timesS.push(this.pendingS);
    this.pendingS = NaN;
  }

  waypoint(lonDeg: number, latDeg: number, words: Words, at: number): void {
    if (!this.isPlace(lonDeg, latDeg, at)) return;
    if (this.waypoints.length >= MAX_WAYPOINTS) return void this.leftWaypoints++;
    const { name, ...rest } = words;
    this.waypoints.push({ name: name || "Unnamed waypoint", lonDeg, latDeg, ...rest });
  }

  /** The time of the point that comes next, as the file has it; but for its day it is kept only where it was asked for. */
  time(text: string): void {
    const at = Date.parse(text);
    if (!(at > EARLIEST && at < LATEST)) return;
    this.firstDate ??= new Date(at).toISOString().slice(0, 10);
    this.pendingS = at / 1000;
  }

  get wantsTime(): boolean {
    return this.keepTimes || this.firstDate === undefined;
  }

  private isPlace(lonDeg: number, latDeg: number, at: number): boolean {
    if (Math.abs(lonDeg) <= 180 && Math.abs(latDeg) <= 90) return true;
    this.badPoints++;
    if (this.badPoints === MOST_BAD_FIRST && this.tracks.count + this.routes.count + this.waypoints.length === 0)
      this.refuse(`None of the file’s first ${MOST_BAD_FIRST} points has usable coordinates.`);
    if (this.badPoints <= MAX_REPORTED)
      this.problems.push({
        severity: "caution",
        place: `${this.unit} ${at}`,
        sentence: "A point was skipped: its lat or lon is missing or isn’t between −90 to 90 and −180 to 180.",
      });
    return false;
  }

  private get from(): "track" | "route" {
    return this.tracks.count > 0 ? "track" : "route";
  }

  pointCount(): number {
    return this.tracks.count || this.routes.count;
  }

  /** Why this makes no trail, if it does not. */
  tooFew(): string | undefined {
    const count = this.pointCount();
    if (count >= 2 || (count === 0 && this.waypoints.length > 0)) return undefined;
    if (count === 0 && this.badPoints > 0) return `None of the file’s ${this.badPoints} points has usable coordinates.`;
    return `The file has ${count === 0 ? "no track or route points" : "only one track point"}. A trail needs at least two.`;
  }

  take(trackId: string, name: string): ReadResult<TrackFile> {
    const { problems, from, firstDate, badPoints, badHeights } = this;
    const caution = (sentence: string): void => void problems.push({ severity: "caution", place: "file", sentence });
    if (badPoints > MAX_REPORTED) caution(`Skipped ${badPoints} points with unusable coordinates in all.`);
    if (this.leftWaypoints > 0)
      caution(`Only the first ${MAX_WAYPOINTS} places were read; ${this.leftWaypoints} were skipped.`);
    if (badHeights > 0)
      caution(`${badHeights} elevations weren’t numbers between −500 and 9,000 m; they count as missing.`);
    const points = from === "track" ? this.tracks : this.routes;
    const parts = this.parts[from].filter((part, i, all) => part.from < (all[i + 1]?.from ?? points.count));
    if (parts[0]?.from !== 0 && points.count > 0) parts.unshift({ name: "", type: "", from: 0 });
    return {
      value: {
        track: points.take(trackId, name),
        parts,
        waypoints: this.waypoints,
        from,
        firstDate,
        ...(this.keepTimes ? { timesS: Float64Array.from(this.timesS) } : {}),
      },
      problems,
    };
  }
}
