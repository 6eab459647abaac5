/** The plane of place and date: every quantity of the season along the trail and through the year. */
import type { Plan } from "../plan/schema.ts";
import { placeYear, PLANE_QUANTITIES, type PlaneQuantity } from "../season/placeYear.ts";
import { buildSeason, stationFacts, type Season } from "../season/season.ts";
import { buildSnow, type Snow } from "../season/snow.ts";
import { walkedOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";

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

/** The season that a plan is computed by, and its snow unless stretches alone say where it lies. */
export function seasonOf(plan: Pick<Plan, "climate">, profile: Profile): SeasonFacts {
  const { stations, warmth, snowBy, snowYear } = plan.climate;
  const season = buildSeason({ stations: stations.map(stationFacts), profile, warmth });
  return { season, snow: snowBy === "degree-day" ? buildSnow({ season, profile, year: snowYear }) : undefined };
}

/** Columns of even width along the walk, each by the place in its middle. */
export function buildPlane(plan: Pick<Plan, "climate">, profile: Profile, columns: number): Plane {
  const { season, snow } = seasonOf(plan, profile);
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
    const year = placeYear(season, snow, place);
    for (const quantity of PLANE_QUANTITIES) values[quantity].set(year[quantity], column * PLANE_DAYS);
  }
  return { columns, values };
}
