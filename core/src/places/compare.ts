/**
 * A later file against the places a plan has: which are new, which have changed, which the file no longer
 * names. The same place is one of the same kind and name not far off, or of the same kind on the spot.
 */
import { plainName } from "../units/text.ts";
export interface KnownPlace {
  id: string;
  /** Stop, source, camp: compared among themselves. */
  list: string;
  name: string;
  trackM: number;
  /** What else tells whether it has changed. */
  facts: string;
}

export type FoundPlace = Omit<KnownPlace, "id">;

export interface PlaceComparison {
  /** Parallel to what was found: the place of the plan that it is. */
  known: (KnownPlace | undefined)[];
  /** Parallel: moved, or told otherwise. */
  changed: boolean[];
  /** Places of the kinds that the file has, which it does not name. */
  gone: KnownPlace[];
}

/** Surveys of one place differ by so much along a trail. */
const SAME_NAME_M = 3000;
const SAME_SPOT_M = 60;
/** A place that has moved by more has changed. */
const MOVED_M = 100;

export function comparePlaces(known: readonly KnownPlace[], found: readonly FoundPlace[]): PlaceComparison {
  const names = new Map(known.map((place) => [place, plainName(place.name)]));
  const left = new Set(known);
  const matches: (KnownPlace | undefined)[] = found.map(() => undefined);
  const match = (fits: (place: KnownPlace, one: FoundPlace, name: string) => boolean): void => {
    for (const [i, one] of found.entries()) {
      if (matches[i]) continue;
      const name = plainName(one.name);
      let best: KnownPlace | undefined;
      for (const place of left)
        if (place.list === one.list && fits(place, one, name) && (!best || apart(place, one) < apart(best, one)))
          best = place;
      if (!best) continue;
      matches[i] = best;
      left.delete(best);
    }
  };
  // By name first: of two springs side by side each keeps its own.
  match((place, one, name) => names.get(place) === name && apart(place, one) <= SAME_NAME_M);
  match((place, one) => apart(place, one) <= SAME_SPOT_M);
  const lists = new Set(found.map(({ list }) => list));
  return {
    known: matches,
    changed: found.map((one, i) => {
      const place = matches[i];
      return place !== undefined && (apart(place, one) > MOVED_M || place.facts !== one.facts);
    }),
    gone: known.filter((place) => left.has(place) && lists.has(place.list)),
  };
}

const apart = (a: { trackM: number }, b: { trackM: number }): number => Math.abs(a.trackM - b.trackM);
