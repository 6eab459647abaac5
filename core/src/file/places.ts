/** Stops, water and camps of a plan as rows in walking order: what files for other programs are made of. */
import type { Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";
import { isWalked, nodeOf, type Placed, walkedOf } from "../track/place.ts";

export interface PlaceRow {
  kind: "stop" | "water" | "camp";
  name: string;
  lonDeg: number;
  latDeg: number;
  /** In walking order, metres. */
  alongM: number;
  /** False where the route leaves it out: it stands where the route passes nearest. */
  isWalked: boolean;
  offTrailM: number;
  /** NaN where the track has no heights. */
  heightM: number;
  /** What it is more closely: offers of a stop, sort of a source. */
  detail: string;
  note: string;
  /** Water that the plan counts on; a stop has a tap. */
  trusted: boolean;
  /** What each hiker leaves water with, litres, parallel to the plan's; none where nobody fills up. */
  fillL: number[] | undefined;
}

export function placeRows(plan: Plan, { profile, legs }: Pick<TripFigures, "profile" | "legs">): PlaceRow[] {
  const fills = new Map<string, number[]>();
  for (const leg of legs)
    for (const [h, { carries }] of leg.hikers.entries())
      for (const { fromSourceId, fromNode, litres } of carries) {
        const key = fromSourceId ?? `node ${fromNode}`;
        const of = fills.get(key) ?? plan.hikers.map(() => 0);
        of[h] = litres;
        fills.set(key, of);
      }
  const row = (
    kind: PlaceRow["kind"],
    place: Placed & { id: string; name: string; lonDeg?: number | undefined; latDeg?: number | undefined },
    rest: Pick<PlaceRow, "offTrailM" | "detail" | "note" | "trusted">,
  ): PlaceRow => {
    const node = nodeOf(profile, place);
    return {
      kind,
      name: place.name,
      lonDeg: place.lonDeg ?? profile.lonDeg[node]!,
      latDeg: place.latDeg ?? profile.latDeg[node]!,
      alongM: walkedOf(profile, node),
      isWalked: isWalked(profile, place),
      heightM: profile.hasHeights ? profile.heightM[node]! : NaN,
      fillL: kind === "water" ? fills.get(place.id) : kind === "stop" ? fills.get(`node ${node}`) : undefined,
      ...rest,
    };
  };
  return [
    ...plan.stops.map((stop) =>
      row("stop", stop, {
        offTrailM: stop.offTrailM,
        detail: stop.services.join(" "),
        note: stop.note,
        trusted: stop.use,
      }),
    ),
    ...plan.sources.map((source) =>
      row("water", source, {
        offTrailM: source.offTrailM,
        detail: source.reliable ? source.kind : `${source.kind} ${source.unknown ? "unknown" : "seasonal"}`,
        note: "",
        trusted: source.counted ?? source.reliable,
      }),
    ),
    ...plan.camps.map((camp) => row("camp", camp, { offTrailM: 0, detail: "", note: camp.note, trusted: false })),
  ].sort((a, b) => a.alongM - b.alongM);
}
