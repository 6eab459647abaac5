/** Water by the trail: where it is in walking order, how likely it is on a day, and who counts on it. */
import { reportedChance, TAU_DAYS } from "../models/waterReports.ts";
import { TAP } from "../plan/ids.ts";
import type { ReportWord, Source, Stop, Stretch, WaterSettings } from "../plan/schema.ts";
import { throughYear } from "../season/months.ts";
import type { WetnessWord } from "../season/season.ts";
import { nodeOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { clamp } from "../units/constants.ts";
import { dayNumber, dayOfYear } from "../units/day.ts";
import type { Past } from "./past.ts";
import { monthDayIndex, seasonHolds } from "./terrain.ts";

/** What a plan has to know of a source: its name may change without consequence. */
export type SourceFacts = Pick<Source, "id" | "kind" | "offTrailM" | "reliable" | "counted" | "litres"> & {
  chanceByMonth?: readonly number[] | undefined;
};

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

/** From so much above the least chance on nothing is carried past a source; from as much below it on all is [L]. */
const DOUBT_BAND = 0.15;

/**
 * Of what a dry source would take to the water after it, the share that is carried past it: none where it is sure,
 * all where it is as good as dry, smooth between [L].
 */
export function carriedPast(chance: number, leastChance: number): number {
  const doubt = clamp((leastChance + DOUBT_BAND - chance) / (2 * DOUBT_BAND), 0, 1);
  return doubt * doubt * (3 - 2 * doubt);
}

/** The same for one source as this hiker judges it; 1 for one that is not looked at. */
export function pastShare(source: Judged, water: Pick<WaterSettings, "trust" | "leastChance">, day: number): number {
  if (!trusted(source, { ...water, leastChance: 0 }, day)) return 1;
  if (water.trust === "all" || source.counted === true) return 0;
  return carriedPast(flowChance(source, day), water.leastChance);
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
export function placeSources({
  sources,
  taps = [],
  stretches,
  profile,
  wetness = "usual",
  past,
}: SourceInput): PlacedSource[] {
  const odds = FLOW_ODDS[wetness];
  const dry = stretches
    .filter(({ kind }) => kind === "dry")
    .map(({ fromM, toM, alternateId, ...season }) => ({ fromM, toM, alternateId, season: daysOfSeason(season) }));
  const isSouth = profile.latDeg[0]! < 0;
  const placedTaps = taps.map(({ id, trackM, alternateId, offTrailM, closed }): PlacedSource => ({
    id: `${TAP}${id}`,
    kind: "tap",
    offTrailM,
    reliable: true,
    chanceByMonth: TAP_CHANCE,
    node: nodeOf(profile, { trackM, alternateId }),
    drySeasons: closed,
  }));
  const course = ({ chanceByMonth, reliable, unknown }: Source): readonly number[] | undefined =>
    chanceByMonth ?? (unknown ? UNKNOWN : reliable ? undefined : SEASONAL[Number(isSouth)]);
  const passedOn = passedDays(profile, past);
  const placed = sources.map((source): PlacedSource => {
    const { id, kind, offTrailM, reliable, counted, litres, reports, placedOn, trackM, alternateId: line } = source;
    const node = nodeOf(profile, { trackM, alternateId: line });
    const passedDay = passedOn(node);
    return {
      id,
      kind,
      offTrailM,
      reliable,
      chanceByMonth: odds === 1 ? course(source) : course(source)?.map((chance) => byOdds(chance, odds)),
      counted,
      litres,
      reports: reports
        .map(({ date, said }) => ({ day: dayNumber(date)!, said }))
        .filter(({ day }) => day < passedDay)
        .sort((a, b) => a.day - b.day),
      placedDay: placedOn === undefined ? undefined : dayNumber(placedOn),
      node,
      drySeasons: dry
        .filter(
          ({ fromM, toM, alternateId }) =>
            alternateId === line && trackM > fromM + DRY_EDGE_M && trackM < toM - DRY_EDGE_M,
        )
        .map(({ season }) => season),
    };
  });
  return [...placed, ...placedTaps].sort((a, b) => a.node - b.node || a.offTrailM - b.offTrailM);
}

/** A source that is called seasonal, unreliable, often dry: by month, north and south [L]. */
const SEASONAL_NORTH = [0.9, 0.9, 0.9, 0.9, 0.9, 0.9, 0.5, 0.2, 0.2, 0.2, 0.5, 0.9];
const SEASONAL = [SEASONAL_NORTH, [...SEASONAL_NORTH.slice(6), ...SEASONAL_NORTH.slice(0, 6)]] as const;

/** Of one of which nobody says whether it runs [L]. */
const UNKNOWN = Array.from({ length: 12 }, () => 0.75);

/** That a house which is open has water for who passes by [L]. */
const TAP_CHANCE = Array.from({ length: 12 }, () => 0.97);
/** Where there is a bed, a meal or a shop there is a tap. */
const HAS_TAP: readonly Stop["services"][number][] = ["bed", "meals", "shop-small", "shop-full"];

/** A stop that is passed by, and when it is shut. */
export interface PassedTap extends Pick<Stop, "id" | "trackM" | "alternateId" | "offTrailM"> {
  closed: readonly DaySeason[];
}

/** Of the stops those that are water to who does not stop there, and can be walked to. */
export function passedTaps(stops: readonly Stop[]): PassedTap[] {
  return stops
    .filter(({ use, access, offTrailM }) => !use && (access === "foot" || offTrailM === 0))
    .filter(({ services }) => HAS_TAP.some((service) => services.includes(service)))
    .map(({ id, trackM, alternateId, offTrailM, openFrom, openTo }) => ({
      id,
      trackM,
      alternateId,
      offTrailM,
      closed: closedSeason(openFrom, openTo),
    }));
}

/** From the day after the last one open to the day before the first. */
function closedSeason(openFrom: string | undefined, openTo: string | undefined): DaySeason[] {
  if (openFrom === undefined && openTo === undefined) return [];
  const from = openFrom === undefined ? 0 : monthDayIndex(openFrom);
  const to = openTo === undefined ? YEAR_DAYS - 1 : monthDayIndex(openTo);
  return [{ fromDay: (to + 1) % YEAR_DAYS, toDay: (from + YEAR_DAYS - 1) % YEAR_DAYS }];
}
const YEAR_DAYS = 366;

export interface SourceInput {
  sources: readonly Source[];
  taps?: readonly PassedTap[];
  stretches: readonly Stretch[];
  profile: Profile;
  wetness?: WetnessWord;
  past?: Pick<Past, "nights" | "endNode">;
}

/** Water so near to where one is now is water ahead as well. */
const HERE_M = 300;

/**
 * Days on which sources behind were passed: what is said of them from then on changes nothing that was walked. Of water
 * at hand, and ahead, all that is said counts.
 */
function passedDays({ cellM }: Profile, past: SourceInput["past"]): (node: number) => number {
  const lastNode = past?.nights.at(-1)?.node ?? 0;
  const ends = [...(past?.endNode ?? [])];
  return (node) =>
    node < lastNode - HERE_M / cellM ? (ends.find(([, endNode]) => endNode >= node)?.[0] ?? Infinity) : Infinity;
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
