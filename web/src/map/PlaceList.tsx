/** The places of the selected leg in walking order: what the map shows, for the keyboard and the ear. */
import { isWalked, nodeOf, walkedAt, type Plan, type PlanResult } from "@gepack/core";
import { quantity } from "../units/quantity.ts";
import { POINT_KINDS, type PointKind } from "./lines.ts";
import { counted } from "../words/counted.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  legIndex: number;
  chosen: string | undefined;
  onChoose: (kind: PointKind, id: string) => void;
}

const ONE: Record<PointKind, string> = { stops: "stop", sources: "water", camps: "camp" };

export function PlaceList({ plan, result, legIndex, chosen, onChoose }: Props) {
  const { profile, legs } = result;
  const leg = legs[legIndex];
  if (!leg) return null;
  const rows = POINT_KINDS.flatMap((kind) => plan[kind].map((row) => ({ kind, row })))
    .filter(({ row }) => isWalked(profile, row))
    .filter(({ row }) => {
      const node = nodeOf(profile, row);
      return node >= leg.fromNode && node <= leg.toNode;
    })
    .map(({ kind, row }) => ({ kind, row, atM: walkedAt(profile, row.trackM, row.alternateId) }))
    .sort((a, b) => a.atM - b.atM);
  return (
    <div className="min-w-0 text-sm">
      <h3 className="m-0 mb-1 text-sm font-bold">
        Leg {legIndex + 1}: {rows.length === 0 ? "no places" : counted(rows.length, "place")}
      </h3>
      <ul className="m-0 max-h-[410px] list-none overflow-auto p-0" aria-label="Places on the leg">
        {rows.map(({ kind, row, atM }) => (
          <li key={row.id}>
            <button
              className={`flex w-full items-baseline gap-2 rounded px-1 py-0.5 text-left hover:bg-pine-wash ${chosen === row.id ? "bg-pine-wash font-bold" : ""}`}
              aria-pressed={chosen === row.id}
              onClick={() => onChoose(kind, row.id)}
            >
              <span className="figure w-[72px] shrink-0 text-right text-muted">
                {quantity("distance", atM - leg.fromM, plan.trip.units)}
              </span>
              <span className="min-w-0 flex-1 truncate">{row.name}</span>
              <span className="text-xs text-muted">{ONE[kind]}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
