/** Moving the ends of kit spans between the stops of the plan. */
import { walkedAt, walkEnds, type Piece, type Plan, type PlanResult, type Profile, type Span } from "@gepack/core";
import { editRow } from "../../edit/rows.ts";
import { stopName } from "../../words/names.ts";

/** A place where kit can change, in walking order; the first and last are the ends of the trail. */
export interface SwapPoint {
  id: string;
  atM: number;
}

/** What a span's ends are placed by. */
export interface Places extends Pick<Plan, "stops" | "trip" | "route"> {
  profile: Profile;
}

export interface SpanEnd {
  spanIndex: number;
  end: "from" | "to";
}

/** The end of a span that a mark stands for. */
export interface EndMark extends SpanEnd {
  pieceId: string;
  atM: number;
}

/** An end on its way to a point, before it is dropped. */
export interface DragPreview extends SpanEnd {
  pieceId: string;
  pointIndex: number;
}

/** The point nearest to a distance in walking order. */
export function nearestPoint(points: readonly SwapPoint[], metres: number): number {
  let nearest = 0;
  for (const [i, point] of points.entries())
    if (Math.abs(point.atM - metres) < Math.abs(points[nearest]!.atM - metres)) nearest = i;
  return nearest;
}

export function swapPoints({ trip }: Pick<Plan, "trip">, result: PlanResult): SwapPoint[] {
  const { firstId, lastId } = walkEnds(trip.direction);
  const last = result.legs.length - 1;
  return [
    { id: firstId, atM: 0 },
    // Between parts of a route nothing is posted or bought, unless a stop is there.
    ...result.legs
      .slice(1)
      .filter((leg) => !leg.fromStopId.startsWith("@"))
      .map((leg) => ({ id: leg.fromStopId, atM: leg.fromM })),
    { id: lastId, atM: result.legs[last]!.toM },
  ];
}

/** Metres of a span's end in walking order: at the point, or where the unused stop is. */
export function endAtM(points: readonly SwapPoint[], plan: Places, stopId: string): number {
  const point = points.find((candidate) => candidate.id === stopId);
  if (point) return point.atM;
  const stop = plan.stops.find((candidate) => candidate.id === stopId);
  return stop ? walkedAt(plan.profile, stop.trackM, stop.alternateId) : 0;
}

/** Moves an end to a point; how the piece comes and goes follows when the old way cannot hold. */
export function moveSpanEnd(
  plan: Places,
  points: readonly SwapPoint[],
  piece: Piece | undefined,
  { spanIndex, end }: SpanEnd,
  pointIndex: number,
): void {
  const span = piece?.spans[spanIndex];
  const point = points[pointIndex];
  if (!piece || !span || !point) return;
  const otherM = endAtM(points, plan, end === "from" ? span.toStopId : span.fromStopId);
  if (end === "from" ? point.atM >= otherM : point.atM <= otherM) return;
  if (span[end === "from" ? "fromStopId" : "toStopId"] === point.id) return;
  const label =
    end === "from"
      ? `${piece.name} from ${stopName(plan, point.id)}`
      : `${piece.name} until ${stopName(plan, point.id)}`;
  editRow("kit", piece.id, label, (row) => {
    const target = row.spans[spanIndex];
    if (target) setEnd(target, end, point.id, walkEnds(plan.trip.direction));
  });
}

function setEnd(
  span: Span,
  end: "from" | "to",
  stopId: string,
  { firstId, lastId }: ReturnType<typeof walkEnds>,
): void {
  if (end === "from") {
    span.fromStopId = stopId;
    if (stopId === firstId) span.begins = "from-home";
    else if (span.begins === "from-home") span.begins = "posted";
  } else {
    span.toStopId = stopId;
    if (stopId === lastId) span.ends = "kept";
    else if (span.ends === "kept") span.ends = "sent-home";
  }
}
