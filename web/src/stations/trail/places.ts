/** What the four kinds of places have in common for the lanes and the table. */
import { campSchema, sourceSchema, stopSchema, stretchSchema, walkedAt, type Plan, type Profile } from "@gepack/core";
import { edit } from "../../store/app.ts";

export type PlaceKind = "stops" | "sources" | "camps" | "stretches";

export const KINDS: Record<PlaceKind, { title: string; one: string; add: string }> = {
  stops: { title: "Stops", one: "stop", add: "Add stop" },
  sources: { title: "Water", one: "source", add: "Add source" },
  camps: { title: "Camps", one: "camp", add: "Add camp" },
  stretches: { title: "Stretches", one: "stretch", add: "Add stretch" },
};

/** Which metre of a place moves: its own, or an end of a stretch. */
export type PlaceEnd = "trackM" | "fromM" | "toM";

export function addPlace(kind: PlaceKind, plan: Plan, profile: Profile, walkedM: number): string {
  const id = crypto.randomUUID();
  const trackM = Math.round(walkedAt(profile, walkedM));
  void edit(KINDS[kind].add, (draft) => {
    if (kind === "stops")
      draft.stops.push(
        stopSchema.parse({ id, name: `Stop ${plan.stops.length + 1}`, trackM, ...coordinates(profile, trackM) }),
      );
    else if (kind === "sources")
      draft.sources.push(
        sourceSchema.parse({ id, name: `Source ${plan.sources.length + 1}`, trackM, ...coordinates(profile, trackM) }),
      );
    else if (kind === "camps")
      draft.camps.push(
        campSchema.parse({ id, name: `Camp ${plan.camps.length + 1}`, trackM, ...coordinates(profile, trackM) }),
      );
    else
      draft.stretches.push(
        stretchSchema.parse({
          id,
          name: `Stretch ${plan.stretches.length + 1}`,
          kind: "surface",
          surface: "trail",
          fromM: trackM,
          toM: Math.min(profile.lengthM, trackM + 10_000),
        }),
      );
  });
  return id;
}

/** Moves a place to a distance in walking order, kept on the trail. */
export function movePlace(
  kind: PlaceKind,
  id: string,
  name: string,
  end: PlaceEnd,
  profile: Profile,
  walkedM: number,
): void {
  const trackM = Math.round(walkedAt(profile, Math.max(0, Math.min(profile.lengthM, walkedM))));
  void edit(`Move ${name}`, (draft) => {
    if (kind === "stretches") {
      const stretch = draft.stretches.find((row) => row.id === id);
      if (stretch && end !== "trackM") stretch[end] = trackM;
      return;
    }
    const place = draft[kind].find((row) => row.id === id);
    if (place) Object.assign(place, { trackM }, coordinates(profile, trackM));
  });
}

/** Removing a stop hands the spans that changed there to the nearest stop that stays. */
export function removePlace(kind: PlaceKind, id: string, name: string): void {
  void edit(`Remove ${name}`, (draft) => {
    if (kind === "stops") {
      const gone = draft.stops.find((row) => row.id === id);
      draft.stops = draft.stops.filter((row) => row.id !== id);
      const nearest = draft.stops
        .filter((row) => row.use)
        .reduce<(typeof draft.stops)[number] | undefined>(
          (best, row) =>
            gone && (!best || Math.abs(row.trackM - gone.trackM) < Math.abs(best.trackM - gone.trackM)) ? row : best,
          undefined,
        );
      for (const piece of draft.kit)
        for (const span of piece.spans) {
          if (span.fromStopId === id) span.fromStopId = nearest?.id ?? "@start";
          if (span.toStopId === id) span.toStopId = nearest?.id ?? "@finish";
        }
    } else if (kind === "sources") draft.sources = draft.sources.filter((row) => row.id !== id);
    else if (kind === "camps") draft.camps = draft.camps.filter((row) => row.id !== id);
    else draft.stretches = draft.stretches.filter((row) => row.id !== id);
  });
}

function coordinates(profile: Profile, trackM: number): { lonDeg: number; latDeg: number } {
  const node = Math.round(walkedAt(profile, trackM) / profile.cellM);
  return { lonDeg: profile.lonDeg[node]!, latDeg: profile.latDeg[node]! };
}
