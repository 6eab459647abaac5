/** Kit as lanes under the Line: every piece's spans from stop to stop, base weight along the bottom. */
import { DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent, type DragMoveEvent } from "@dnd-kit/core";
import { Plus } from "lucide-react";
import { useMemo, useState } from "react";
import type { Piece, Plan, PlanResult } from "@gepack/core";
import { PieceDialog } from "../components/PieceDialog.tsx";
import { NumberField } from "../components/NumberField.tsx";
import { KitLane } from "../components/KitLane.tsx";
import { gutterPx, lineScale } from "../line/scale.ts";
import { useWidth } from "../line/useWidth.ts";
import { edit, select, useApp } from "../store/app.ts";
import { figure, quantity, unitSymbol } from "../units/quantity.ts";
import { checkSentence, mendSentence, SEVERITY_WORD, CHECK_STATION } from "../words/checks.ts";
import { moveSpanEnd, swapPoints, type DragPreview, type SwapPoint } from "./spans.ts";
import { StationGate } from "./StationGate.tsx";

export default function Kit() {
  return <StationGate>{(plan, result) => <KitStation plan={plan} result={result} />}</StationGate>;
}

function KitStation({ plan, result }: { plan: Plan; result: PlanResult }) {
  const { hikerIndex, legIndex } = useApp();
  const [everyone, setEveryone] = useState(false);
  const [editing, setEditing] = useState<Piece | "new">();
  const hiker = plan.hikers[hikerIndex]!;
  const width = useWidth();
  const x = lineScale(result.profile.lengthM, width);
  const points = useMemo(() => swapPoints(result), [result]);
  const shown = plan.kit.filter(
    (piece) =>
      everyone ||
      piece.carrierId === hiker.id ||
      piece.ownerId === hiker.id ||
      piece.spans.some((span) => span.carrierId === hiker.id),
  );
  const groups = [...new Set(shown.map((piece) => piece.group))];
  const drag = useSpanDrag(plan, points, x);
  const leg = result.legs[legIndex]!;
  const open = result.checks.filter((check) => CHECK_STATION[check.code] === "kit" && check.severity !== "note");

  return (
    <section aria-label="Kit" className="bg-sheet">
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
        <details className="border-b border-rule bg-caution-wash px-[18px] py-1.5 text-sm">
          <summary className="cursor-pointer font-semibold text-caution">{open.length} open</summary>
          <ul className="my-1 list-none p-0">
            {open.map((check, i) => (
              <li key={i}>
                <b>
                  {SEVERITY_WORD[check.severity]}
                  {check.legIndex === undefined ? "" : `, leg ${check.legIndex + 1}`}.
                </b>{" "}
                {checkSentence(check, plan)} <span className="text-muted">{mendSentence(check)}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
      <DndContext
        sensors={drag.sensors}
        onDragMove={drag.onMove}
        onDragEnd={drag.onEnd}
        onDragCancel={drag.onCancel}
        autoScroll={false}
      >
        <div className="relative">
          <div
            aria-hidden="true"
            className="pointer-events-none absolute inset-y-0 bg-pine-wash opacity-60"
            style={{ left: x(leg.fromM), width: Math.max(2, x(leg.toM) - x(leg.fromM)) }}
          />
          <div aria-hidden="true" className="pointer-events-none absolute inset-0">
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
                  <div key={piece.id} className="relative h-[23px] max-[719px]:h-[48px]" data-piece={piece.name}>
                    <div
                      className="absolute top-0 left-0 flex h-[23px] items-center gap-1 pl-[18px]"
                      style={{ width: Math.max(gutterPx(width), 200) - 6 }}
                    >
                      <button
                        className="min-w-0 flex-1 truncate text-left text-sm hover:underline"
                        title={`Edit ${piece.name}`}
                        onClick={() => setEditing(piece)}
                      >
                        {piece.name}
                        {piece.quantity > 1 && ` ×${piece.quantity}`}
                        {piece.wear === "worn" && <span className="text-muted"> worn</span>}
                      </button>
                      <NumberField
                        bare
                        className="w-[60px]"
                        label={`Mass of ${piece.name}`}
                        kind="smallMass"
                        value={piece.massG}
                        units={plan.trip.units}
                        min={0}
                        max={50_000}
                        onCommit={(massG) =>
                          void edit(`${piece.name}: ${quantity("smallMass", massG, plan.trip.units)}`, (draft) => {
                            const target = draft.kit.find((candidate) => candidate.id === piece.id);
                            if (target) target.massG = massG;
                          })
                        }
                      />
                    </div>
                    <KitLane
                      plan={plan}
                      piece={piece}
                      points={points}
                      x={x}
                      preview={drag.preview?.pieceId === piece.id ? drag.preview : undefined}
                    />
                  </div>
                ))}
              </section>
            );
          })}
          {shown.length === 0 && (
            <p className="px-[18px] py-8 text-muted">
              No kit yet. Add the first piece: its name and what your scale says.
            </p>
          )}
        </div>
      </DndContext>
      <BaseWeights plan={plan} result={result} hikerIndex={hikerIndex} legIndex={legIndex} x={x} />
      {editing && (
        <PieceDialog
          plan={plan}
          points={points}
          piece={editing === "new" ? undefined : editing}
          hikerId={hiker.id}
          onClose={() => setEditing(undefined)}
        />
      )}
    </section>
  );
}

/** Dragging an end: the nearest stop under the pointer, shown while it moves and kept when it lands. */
function useSpanDrag(plan: Plan, points: readonly SwapPoint[], x: ReturnType<typeof lineScale>) {
  const [preview, setPreview] = useState<DragPreview>();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 2 } }));
  const read = (event: DragMoveEvent | DragEndEvent): DragPreview | undefined => {
    const data = event.active.data.current as
      { pieceId: string; spanIndex: number; end: "from" | "to"; atM: number } | undefined;
    if (!data) return undefined;
    const metres = x.invert(x(data.atM) + event.delta.x);
    let pointIndex = 0;
    for (const [i, point] of points.entries())
      if (Math.abs(point.atM - metres) < Math.abs(points[pointIndex]!.atM - metres)) pointIndex = i;
    return { pieceId: data.pieceId, spanIndex: data.spanIndex, end: data.end, pointIndex };
  };
  return {
    preview,
    sensors,
    onMove: (event: DragMoveEvent) => setPreview(read(event)),
    onCancel: () => setPreview(undefined),
    onEnd: (event: DragEndEvent) => {
      const landed = read(event);
      setPreview(undefined);
      if (landed) void moveSpanEnd(plan, points, landed.pieceId, landed, landed.pointIndex);
    },
  };
}

function BaseWeights({
  plan,
  result,
  hikerIndex,
  legIndex,
  x,
}: {
  plan: Plan;
  result: PlanResult;
  hikerIndex: number;
  legIndex: number;
  x: ReturnType<typeof lineScale>;
}) {
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
        const text = figure("mass", leg.hikers[hikerIndex]!.kit.baseKg, units);
        const changed = i > 0 && text !== figure("mass", result.legs[i - 1]!.hikers[hikerIndex]!.kit.baseKg, units);
        return (
          <button
            key={leg.index}
            onClick={() => select({ legIndex: leg.index })}
            aria-label={`Base weight leg ${leg.index + 1}: ${text}`}
            className={`figure absolute top-1 -translate-x-1/2 max-[719px]:hidden text-center ${changed ? "font-bold text-ink" : "text-muted"} ${leg.index === legIndex ? "text-pine! underline" : ""}`}
            style={{ left: x((leg.fromM + leg.toM) / 2) }}
          >
            {text}
          </button>
        );
      })}
    </div>
  );
}
