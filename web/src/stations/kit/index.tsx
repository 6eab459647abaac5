/** Kit as lanes under the Line: every piece's spans from stop to stop, base weight along the bottom. */
import { Plus } from "lucide-react";
import { lazy, memo, Suspense, useState } from "react";
import type { Piece } from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { gutterPx, useLine, type LineFrame } from "../../line/scale.ts";
import { select, useSelection } from "../../store/selection.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { LaneBoard } from "../../ui/Lanes.tsx";
import { Fold } from "../../ui/Fold.tsx";
import { Empty } from "../../ui/Panel.tsx";
import { useKept } from "../../ui/useKept.ts";
import { figure, quantity, unitSymbol } from "../../units/quantity.ts";
import { checkStation } from "../../words/checks/index.ts";
import type { ScreenProps } from "../Screen.tsx";
import { KitLane } from "./KitLane.tsx";
import {
  moveSpanEnd,
  nearestPoint,
  swapPoints,
  type DragPreview,
  type EndMark,
  type Places,
  type SwapPoint,
} from "./spans.ts";

const PieceDialog = lazy(() => import("./PieceDialog.tsx").then((module) => ({ default: module.PieceDialog })));

export default function Kit({ plan, result }: ScreenProps) {
  const legIndex = useSelection((state) => state.legIndex);
  const hikerIndex = useSelection((state) => state.hikerIndex);
  const [everyone, setEveryone] = useState(false);
  const [editing, setEditing] = useState<Piece | "new">();
  const [preview, setPreview] = useState<DragPreview>();
  const hiker = plan.hikers[hikerIndex]!;
  const frame = useLine(result);
  const { x } = frame;
  const points = useKept(swapPoints(plan, result));
  const places = useKept<Places>({ stops: plan.stops, trip: plan.trip, route: plan.route, profile: result.profile });
  const shown = plan.kit.filter(
    (piece) =>
      everyone ||
      piece.carrierId === hiker.id ||
      piece.ownerId === hiker.id ||
      piece.spans.some((span) => span.carrierId === hiker.id),
  );
  const groups = [...new Set(shown.map((piece) => piece.group))];
  const leg = result.legs[legIndex]!;
  const open = result.checks.filter((check) => checkStation(check) === "kit" && check.severity !== "note");

  return (
    <section aria-label="Kit" className="reads-as-text bg-sheet">
      <div className="flex flex-wrap items-center gap-3 border-b border-rule px-[18px] py-2">
        <button className="btn btn-strong" onClick={() => setEditing("new")}>
          <Plus size={15} aria-hidden="true" /> Add piece
        </button>
        <label className="flex items-center gap-1.5 text-sm">
          <input type="checkbox" checked={everyone} onChange={(event) => setEveryone(event.target.checked)} />{" "}
          Everyone’s kit
        </label>
        <span className="text-sm text-muted">
          {everyone ? "All" : hiker.name}: {shown.length} pieces. Drag the end of a bar to another stop, or focus it and
          press ← →.
        </span>
      </div>
      {open.length > 0 && (
        <Fold
          className="border-b border-rule bg-caution-wash px-[18px] py-1.5 text-sm"
          titleClass="font-semibold text-caution"
          title={`${open.length} open`}
        >
          <div className="my-2">
            <CheckList checks={open} plan={plan} result={result} withPlace />
          </div>
        </Fold>
      )}
      <LaneBoard<EndMark>
        x={x}
        onMove={(move) => setPreview(move && { ...move.data, pointIndex: nearestPoint(points, move.metres) })}
        onDrop={(end, metres) =>
          moveSpanEnd(
            places,
            points,
            plan.kit.find((piece) => piece.id === end.pieceId),
            end,
            nearestPoint(points, metres),
          )
        }
      >
        <div className="relative">
          <div aria-hidden="true" className="lane-field pointer-events-none absolute inset-0">
            <div
              className="absolute inset-y-0 bg-pine-wash opacity-60"
              style={{ left: x(leg.fromM), width: Math.max(2, x(leg.toM) - x(leg.fromM)) }}
            />
            {points.slice(1, -1).map((point) => (
              <div key={point.id} className="absolute inset-y-0 w-px bg-rule" style={{ left: x(point.atM) }} />
            ))}
          </div>
          {groups.map((group) => {
            const pieces = shown.filter((piece) => piece.group === group);
            return (
              <section key={group} aria-label={group} className="relative">
                <h3 className="m-0 px-[18px] pt-1.5 pb-0.5 text-sm font-bold text-pine">
                  {group}{" "}
                  <span className="font-medium text-muted">
                    {quantity(
                      "smallMass",
                      pieces.reduce((sum, piece) => sum + piece.massG * piece.quantity, 0),
                      plan.trip.units,
                    )}{" "}
                    in all
                  </span>
                </h3>
                {pieces.map((piece) => (
                  <KitRow
                    key={piece.id}
                    piece={piece}
                    {...{ places, points, frame }}
                    preview={preview?.pieceId === piece.id ? preview : undefined}
                    onOpen={setEditing}
                  />
                ))}
              </section>
            );
          })}
          {shown.length === 0 && (
            <div className="px-[18px] py-6">
              <Empty>No kit yet. Add the first piece: its name and what your scale says.</Empty>
            </div>
          )}
        </div>
      </LaneBoard>
      <BaseWeights plan={plan} result={result} hikerIndex={hikerIndex} legIndex={legIndex} frame={frame} />
      {editing && (
        <Suspense fallback={null}>
          <PieceDialog
            plan={plan}
            points={points}
            piece={editing === "new" ? undefined : editing}
            hikerId={hiker.id}
            onClose={() => setEditing(undefined)}
          />
        </Suspense>
      )}
    </section>
  );
}

interface RowProps {
  piece: Piece;
  places: Places;
  points: readonly SwapPoint[];
  frame: LineFrame;
  preview: DragPreview | undefined;
  onOpen: (piece: Piece) => void;
}

/** Drawn again only when the piece or the trail has changed, not with every new result. */
const KitRow = memo(function KitRow({ piece, places, points, frame: { x, widthPx }, preview, onOpen }: RowProps) {
  const { units } = places.trip;
  return (
    <div className="relative h-[23px] max-[719px]:h-[48px]" data-piece={piece.name}>
      <div
        className="absolute top-0 left-0 z-[1] flex h-[23px] items-center gap-1 pl-[18px]"
        style={{ width: Math.max(gutterPx(widthPx), 200) - 6 }}
      >
        <button
          className="min-w-0 flex-1 truncate text-left text-sm hover:underline"
          title={`Edit ${piece.name}`}
          onClick={() => onOpen(piece)}
        >
          {piece.name}
          {piece.quantity > 1 && ` ×${piece.quantity}`}
          {piece.wear === "worn" && <span className="text-muted"> worn</span>}
        </button>
        <FieldNumber
          bare
          className="w-[60px]"
          path="kit.massG"
          label={`Mass of ${piece.name}`}
          value={piece.massG}
          units={units}
          onCommit={(massG) =>
            setRow("kit", piece.id, `${piece.name}: ${quantity("smallMass", massG, units)}`, { massG })
          }
        />
      </div>
      <KitLane {...{ places, piece, points, x, preview }} />
    </div>
  );
});

function BaseWeights({
  plan,
  result,
  hikerIndex,
  legIndex,
  frame: { x, domain },
}: ScreenProps & { hikerIndex: number; legIndex: number; frame: LineFrame }) {
  const units = plan.trip.units;
  return (
    <div className="sticky bottom-0 z-10 h-[30px] border-t border-rule bg-paper text-sm" data-testid="base-weights">
      <span className="absolute left-[18px] top-1 font-bold max-[719px]:hidden">
        Base weight, {unitSymbol("mass", units)}
      </span>
      <span className="absolute left-[18px] top-1 font-bold min-[720px]:hidden">
        Base weight, leg {legIndex + 1}:{" "}
        {quantity("mass", result.legs[legIndex]!.hikers[hikerIndex]!.kit.baseKg, units)}
      </span>
      {result.legs.map((leg, i) => {
        const middle = (leg.fromM + leg.toM) / 2;
        if (middle < domain[0] || middle > domain[1]) return null;
        const text = figure("mass", leg.hikers[hikerIndex]!.kit.baseKg, units);
        const changed = i > 0 && text !== figure("mass", result.legs[i - 1]!.hikers[hikerIndex]!.kit.baseKg, units);
        return (
          <button
            key={leg.index}
            onClick={() => select({ legIndex: leg.index })}
            aria-label={`Base weight leg ${leg.index + 1}: ${text}`}
            className={`figure absolute top-1 -translate-x-1/2 max-[719px]:hidden text-center ${changed ? "font-bold text-ink" : "text-muted"} ${leg.index === legIndex ? "text-pine! underline" : ""}`}
            style={{ left: x(middle) }}
          >
            {text}
          </button>
        );
      })}
    </div>
  );
}
