/** The same place of two files of one trail: named alike and near by, it is one place, with what both say of it. */
import { distanceM } from "../track/geodesic.ts";
import type { Waypoint } from "../track/points.ts";
import { plainName } from "../units/text.ts";

/** Surveys of one place differ by so much; two springs of one name lie farther apart [L]. */
const SAME_M = 300;
const MOST_TEXT = 2000;

export interface JoinedPlaces {
  places: Waypoint[];
  /** How many were found again. */
  again: number;
}

/** `files` are the places by file: within one, two of a name are two. Places without a name stay as they are. */
export function joinPlaces(files: readonly (readonly Waypoint[])[]): JoinedPlaces {
  const places: Waypoint[] = [];
  const byName = new Map<string, number[]>();
  let again = 0;
  for (const file of files) {
    const taken = new Set<number>();
    const before = places.length;
    for (const place of file) {
      const name = plainName(place.name);
      const same =
        name === ""
          ? undefined
          : byName.get(name)?.find((at) => at < before && !taken.has(at) && isNear(places[at]!, place));
      if (same !== undefined) {
        taken.add(same);
        places[same] = withWords(places[same]!, place);
        again++;
        continue;
      }
      byName.set(name, [...(byName.get(name) ?? []), places.length]);
      places.push(place);
    }
  }
  return { places, again };
}

const isNear = (a: Waypoint, b: Waypoint): boolean => distanceM(a.lonDeg, a.latDeg, b.lonDeg, b.latDeg) <= SAME_M;

function withWords(first: Waypoint, second: Waypoint): Waypoint {
  const said = [first.description, second.description].filter((text) => text !== "");
  const isSaid = said.length === 2 && said[0]!.includes(said[1]!);
  return {
    ...first,
    symbol: first.symbol || second.symbol,
    type: first.type || second.type,
    description: (isSaid ? said.slice(0, 1) : said).join("; ").slice(0, MOST_TEXT),
  };
}
