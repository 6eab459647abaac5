/** Water by the trail: where it is in walking order, how likely it is on a day, and who counts on it. */
import { reportedChance, TAU_DAYS } from "../models/waterReports.ts";
import type { ReportWord, Source, Stretch, WaterSettings } from "../plan/schema.ts";
import { throughYear } from "../season/months.ts";
import type { WetnessWord } from "../season/season.ts";
import { nodeOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { dayNumber, dayOfYear } from "../units/day.ts";
import { monthDayIndex, seasonHolds } from "./terrain.ts";

/** What a plan has to know of a source: its name may change without consequence. */
export type SourceFacts = Pick<
  Source,
  "id" | "kind" | "offTrailM" | "reliable" | "chanceByMonth" | "counted" | "litres"
>;

/** A source with its place in walking order. */
export interface PlacedSource extends SourceFacts {
  node: number;
  /** Seasons in which a stretch of the plan says that it is dry there: days of the year, inclusive. */
  drySeasons: readonly DaySeason[];
  /** What was seen there, in order of the days. */
  reports?: readonly DatedReport[];
  /** A cache is there from this day on. */
  placedDay?: number | undefined;
}

export interface DatedReport {
  day: number;
  said: ReportWord;
}

export interface DaySeason {
  fromDay: number;
  toDay: number;
}

/** The chance of the months, without what was seen: of a source that nobody gives one, by its word [L]. */
const RELIABLE_CHANCE = 0.95;
const DOUBTFUL_CHANCE = 0.3;

function monthChance({ chanceByMonth, reliable }: SourceFacts, day: number): number {
  return chanceByMonth ? throughYear(chanceByMonth, dayOfYear(day)) : reliable ? RELIABLE_CHANCE : DOUBTFUL_CHANCE;
}

/** Seen before the day; nobody knows in advance what will be seen. */
function reportsBy({ reports = [] }: Pick<PlacedSource, "reports">, day: number): DatedReport[] {
  return reports.filter((report) => report.day <= day);
}

/** What the months alone say, on a day of the year. */
export function monthlyChance({ chanceByMonth, reliable }: SourceFacts, yearDay: number): number {
  return chanceByMonth ? throughYear(chanceByMonth, yearDay) : reliable ? 1 : 0;
}

type Judged = SourceFacts & Partial<Pick<PlacedSource, "drySeasons" | "reports" | "placedDay">>;

/** The chance that a source has water on a day, by month and by what was seen there. */
export function flowChance(source: Judged, day: number): number {
  if (source.placedDay !== undefined && day < source.placedDay) return 0;
  const seen = reportsBy(source, day);
  if (seen.length === 0) return monthlyChance(source, dayOfYear(day));
  return reportedChance({
    prior: (then) => monthChance(source, then),
    reports: seen,
    day,
    tauDays: TAU_DAYS[source.kind],
  });
}

/** Does this hiker count on the source on a day? Your own judgement of a source comes first. */
export function trusted(source: Judged, water: Pick<WaterSettings, "trust" | "leastChance">, day: number): boolean {
  if (source.counted !== undefined) return source.counted;
  const yearDay = dayOfYear(day);
  if (source.drySeasons?.some(({ fromDay, toDay }) => seasonHolds(fromDay, toDay, yearDay))) return false;
  if (source.placedDay !== undefined && day < source.placedDay) return false;
  if (water.trust === "all") return true;
  const seen = reportsBy(source, day).length > 0;
  const likely = flowChance(source, day) >= (seen || source.chanceByMonth ? water.leastChance : 1);
  return water.trust === "reliable" ? source.reliable && (likely || !seen) : likely;
}

/** The sources in walking order, the nearest first where several are on one node, with what a plan has to know of them. */
export function placeSources({ sources, stretches, profile, wetness = "usual" }: SourceInput): PlacedSource[] {
  const odds = FLOW_ODDS[wetness];
  const dry = stretches
    .filter(({ kind }) => kind === "dry")
    .map(({ fromM, toM, alternateId, ...season }) => ({ fromM, toM, alternateId, season: daysOfSeason(season) }));
  return sources
    .map(
      ({
        id,
        kind,
        offTrailM,
        reliable,
        chanceByMonth,
        counted,
        litres,
        reports,
        placedOn,
        trackM,
        alternateId: line,
      }) => ({
        id,
        kind,
        offTrailM,
        reliable,
        chanceByMonth: odds === 1 ? chanceByMonth : chanceByMonth?.map((chance) => byOdds(chance, odds)),
        counted,
        litres,
        reports: reports.map(({ date, said }) => ({ day: dayNumber(date)!, said })).sort((a, b) => a.day - b.day),
        placedDay: placedOn === undefined ? undefined : dayNumber(placedOn),
        node: nodeOf(profile, { trackM, alternateId: line }),
        drySeasons: dry
          .filter(
            ({ fromM, toM, alternateId }) =>
              alternateId === line && trackM > fromM + DRY_EDGE_M && trackM < toM - DRY_EDGE_M,
          )
          .map(({ season }) => season),
      }),
    )
    .sort((a, b) => a.node - b.node || a.offTrailM - b.offTrailM);
}

export interface SourceInput {
  sources: readonly Source[];
  stretches: readonly Stretch[];
  profile: Profile;
  wetness?: WetnessWord;
}

/** What the odds that a source flows are in a dry and a wet year, of the usual your [L]. */
const FLOW_ODDS = { dry: 0.5, usual: 1, wet: 2 } as const;

function byOdds(chance: number, factor: number): number {
  return (chance * factor) / (1 - chance + chance * factor);
}

/** Water this near an end of a dry stretch is what it is between. */
const DRY_EDGE_M = 200;

/** All year where the stretch names no season. */
export function daysOfSeason({ fromMonthDay, toMonthDay }: Pick<Stretch, "fromMonthDay" | "toMonthDay">): DaySeason {
  return {
    fromDay: fromMonthDay === undefined ? 0 : monthDayIndex(fromMonthDay),
    toDay: toMonthDay === undefined ? 365 : monthDayIndex(toMonthDay),
  };
}
