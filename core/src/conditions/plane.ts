/** The plane of place and date: every quantity of the season along the trail and through the year. */
import type { Plan } from "../plan/schema.ts";
import { placeYear, PLANE_QUANTITIES, type PlaneQuantity } from "./placeYear.ts";
import { meltSums } from "../season/melt.ts";
import { buildSeason, seasonWith, stationFacts, type Season } from "../season/season.ts";
import { buildSnow, type Snow } from "../season/snow.ts";
import { isWalked, walkedOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { indexAbove } from "../units/sorted.ts";
import { placeSources } from "../walk/sources.ts";

export interface Plane {
  columns: number;
  /** By quantity: 366 days of a column after the other. */
  values: Record<PlaneQuantity, Float32Array>;
}

export const PLANE_DAYS = 366;

export interface SeasonFacts {
  season: Season;
  snow: Snow | undefined;
}

/** The season that a plan is computed by, and its snow unless stretches alone say where it is. */
export function seasonOf(plan: Pick<Plan, "climate">, profile: Profile): SeasonFacts {
  const { stations, warmth, wetness, snowBy, snowYear, forecasts, readings } = plan.climate;
  const normals = buildSeason({ stations: stations.map(stationFacts), profile, warmth, wetness });
  const season = seasonWith({ season: normals, forecasts, readings });
  return {
    season,
    snow: snowBy === "degree-day" ? buildSnow({ season: normals, profile, year: snowYear }) : undefined,
  };
}

/** Melt of the planned year beside that of the usual one. */
function meltOf({ season, snow }: SeasonFacts, { climate }: Pick<Plan, "climate">, profile: Profile) {
  if (!snow) return undefined;
  const planned = meltSums(snow);
  const usual = climate.snowYear === "usual" ? planned : meltSums(buildSnow({ season, profile, year: "usual" }));
  return { planned, usual };
}

/** Sources so near a place tell of its water. */
const SOURCES_WITHIN_M = 10_000;

export type PlanePlan = Pick<Plan, "climate" | "sources" | "stretches">;

/** Columns of even width along the walk, each by the place in its middle. */
export function buildPlane(plan: PlanePlan, profile: Profile, columns: number): Plane {
  const facts = seasonOf(plan, profile);
  const year = { ...facts, melt: meltOf(facts, plan, profile) };
  const { stretches, climate } = plan;
  const walked = plan.sources.filter((source) => isWalked(profile, source));
  const sources = placeSources({ sources: walked, stretches, profile, wetness: climate.wetness });
  const reach = SOURCES_WITHIN_M / profile.cellM;
  const values = Object.fromEntries(
    PLANE_QUANTITIES.map((quantity) => [quantity, new Float32Array(columns * PLANE_DAYS)]),
  ) as Plane["values"];
  for (let column = 0; column < columns; column++) {
    const node = Math.round(((column + 0.5) / columns) * profile.cellCount);
    const place = {
      walkedM: walkedOf(profile, node),
      heightM: profile.hasHeights ? profile.heightM[node]! : 0,
      latDeg: profile.latDeg[node]!,
    };
    const first = indexAbove(sources.length, (i) => sources[i]!.node, node - reach);
    const end = indexAbove(sources.length, (i) => sources[i]!.node, node + reach);
    const figures = placeYear(year, { ...place, sources: sources.slice(first, end) });
    for (const quantity of PLANE_QUANTITIES) values[quantity].set(figures[quantity], column * PLANE_DAYS);
  }
  return { columns, values };
}
