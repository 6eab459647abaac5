/** Edits of the route: which ground is walked, and in which order. */
import {
  alternateSchema,
  closureSchema,
  isWalked,
  removeAlternate as removeFrom,
  sectionSchema,
  trackAt,
  walkedAt,
  type Alternate,
  type Closure,
  type Located,
  type Plan,
  type Profile,
  type Section,
  type Stop,
  type TrackM,
  type TrackPoints,
  type WalkedM,
} from "@gepack/core";
import { edit, editWithTrack } from "../store/document.ts";
import { calculator } from "../store/trail.ts";
import { addRow, moveRow, setRow } from "./rows.ts";
import { freshId } from "../store/made.ts";

/** A track beside the main trail, with where its ends are nearest to it. */
export interface AlternateFound {
  track: TrackPoints;
  ends: readonly Located[];
}

/** Where the ends of tracks are on the main trail. */
export async function alternatesFound(main: TrackPoints[], tracks: readonly TrackPoints[]): Promise<AlternateFound[]> {
  const places = tracks.flatMap(({ lonDeg, latDeg }) =>
    [0, lonDeg.length - 1].map((i) => ({ lonDeg: lonDeg[i]!, latDeg: latDeg[i]! })),
  );
  const ends = places.length > 0 ? await calculator().locateOn({ tracks: main, places }) : [];
  return tracks.map((track, i) => ({ track, ends: ends.slice(2 * i, 2 * i + 2) }));
}

export function alternateOf({ track, ends }: AlternateFound): Alternate {
  const metres = ends.map(({ trackM }) => Math.round(trackM));
  return alternateSchema.parse({
    id: freshId(),
    name: track.name.trim() || "Alternate",
    trackId: track.id,
    leavesM: Math.min(...metres),
    rejoinsM: Math.max(...metres),
  });
}

/** An alternate more, with what is on it. */
export function addAlternate(
  found: AlternateFound,
  places: Pick<Plan, "stops" | "sources" | "camps" | "stretches">,
): Promise<boolean> {
  const { track } = found;
  const row = alternateOf(found);
  const { id } = row;
  return editWithTrack(`Add the alternate ${row.name}`, track, (draft) => {
    draft.route.alternates.push(row);
    for (const list of ["stops", "sources", "camps", "stretches"] as const)
      draft[list].push(...(places[list].map((place) => ({ ...place, alternateId: id })) as never[]));
  });
}

/** Walks an alternate or leaves it; others over the same ground rest where it is walked. */
export function chooseAlternate({ id, name, leavesM, rejoinsM }: Alternate, chosen: boolean): void {
  void edit(chosen ? `Use ${name}` : `Don’t use ${name}`, (draft) => {
    for (const other of draft.route.alternates) {
      if (other.id === id) other.chosen = chosen;
      else if (chosen && other.leavesM < rejoinsM && other.rejoinsM > leavesM) other.chosen = false;
    }
  });
}

export function removeAlternate({ id, name }: Alternate): void {
  void edit(`Remove the alternate ${name}`, (draft) => removeFrom(draft as Plan, id));
}

export function addClosure(plan: Plan, mainLengthM: number): void {
  const middleM = Math.round(mainLengthM / 2);
  const fromM = Math.max(0, middleM - NEW_CLOSURE_M / 2);
  const row = closureSchema.parse({
    id: freshId(),
    name: `Closure ${plan.route.closures.length + 1}`,
    fromM,
    toM: Math.min(mainLengthM, fromM + NEW_CLOSURE_M),
    // Before its place is right it takes nothing out.
    holds: false,
  });
  addRow("route.closures", "Add a closure", row);
}

const NEW_CLOSURE_M = 5000;

export function setClosure(row: Closure, label: string, fields: Partial<Closure>): void {
  setRow("route.closures", row.id, `${row.name}: ${label}`, fields);
}

export function setSection(row: Section, label: string, fields: Partial<Section>): void {
  setRow("route.sections", row.id, `${row.name}: ${label}`, fields);
}

/** One section, whose ends can be cut. */
export function cutEnds(mainLengthM: number): void {
  const row = sectionSchema.parse({
    id: freshId(),
    name: "The hike",
    fromM: 0,
    toM: Math.floor(mainLengthM),
  });
  addRow("route.sections", "Trim the ends", row);
}

/** Where a trail is parted into halves: at the stop nearest to the middle, where one is within a tenth of the whole. */
export function middleOf({ stops }: Plan, profile: Profile): TrackM {
  const half = profile.lengthM / 2;
  const offM = (stop: Stop): number => Math.abs(walkedAt(profile, stop.trackM, stop.alternateId) - half);
  const [nearest] = stops
    .filter((stop) => stop.alternateId === undefined && isWalked(profile, stop) && offM(stop) < profile.lengthM / 10)
    .sort((a, b) => offM(a) - offM(b));
  return nearest ? nearest.trackM : trackAt(profile, half as WalkedM);
}

/** From the middle to the far end, and then from the middle back to the beginning. */
export function walkInHalves(mainLengthM: number, middleM: TrackM): void {
  void edit("Split into two halves", (draft, { newId }) => {
    const part = (name: string, fromM: number, toM: number): Section =>
      sectionSchema.parse({ id: newId(), name, fromM, toM });
    draft.route.sections = [
      part("First half", Math.round(middleM), Math.floor(mainLengthM)),
      part("Second half", Math.round(middleM), 0),
    ];
  });
}

export function addSection(plan: Plan, mainLengthM: number): void {
  const last = plan.route.sections.at(-1)!;
  const name = `Part ${plan.route.sections.length + 1}`;
  const toM = last.toM >= last.fromM ? Math.floor(mainLengthM) : 0;
  addRow("route.sections", "Add a section", sectionSchema.parse({ id: freshId(), name, fromM: last.toM, toM }));
}

export function turnSection(row: Section): void {
  setSection(row, "reversed", { fromM: row.toM, toM: row.fromM });
}

export function moveSection(row: Section, to: number): void {
  moveRow("route.sections", row.id, to, `Move ${row.name}`);
}
