/** Kit as lanes under the Line: every piece's spans from stop to stop, base weight along the bottom. */
import { lazy, Suspense, useCallback, useMemo, useState } from "react";
import { isTakenAlong, type DemandKind, type Hiker, type Piece, type Plan, type PlanResult } from "@gepack/core";
import { listFor } from "../../edit/kit.ts";
import { addRows } from "../../edit/rows.ts";
import { useLine, type LineFrame } from "../../line/scale.ts";
import { useSelection } from "../../store/selection.ts";
import { useLooked } from "../../ui/useLooked.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { LaneBoard, LaneField } from "../../ui/Lanes.tsx";
import { Fold } from "../../ui/Fold.tsx";
import { Empty } from "../../ui/Panel.tsx";
import { useKept } from "../../ui/useKept.ts";
import { checkStation } from "../../words/checks/index.ts";
import { counted } from "../../words/counted.ts";
import { sayIn } from "../../words/say.ts";
import type { ScreenProps } from "../Screen.tsx";
import { AddLine } from "./AddLine.tsx";
import { BaseWeights } from "./BaseWeights.tsx";
import { DemandLanes } from "./DemandLanes.tsx";
import { DemandPanel } from "./DemandPanel.tsx";
import { isShown, PieceFilter, type Filter } from "./PieceFilter.tsx";
import { GroupSteps } from "./GroupSteps.tsx";
import { KitHead, useGroupWords } from "./KitHead.tsx";
import { KitImport } from "./KitImport.tsx";
import { KitTools } from "./KitTools.tsx";
import { SelectBar } from "./SelectBar.tsx";
import { KitRow } from "./KitRow.tsx";
import { useCover } from "./useCover.ts";
import { moveSpanEnd, nearestPoint, swapPoints, type DragPreview, type EndMark, type Places } from "./spans.ts";
import { AddButton } from "../../ui/AddButton.tsx";

const PieceDialog = lazy(() => import("./PieceDialog.tsx").then((module) => ({ default: module.PieceDialog })));

export default function Kit({ plan, result }: ScreenProps) {
  const legIndex = useSelection((state) => state.legIndex);
  const hikerIndex = useSelection((state) => state.hikerIndex);
  const [everyone, setEveryone] = useState(false);
  const [editing, setEditing] = useState<Piece | "new">();
  const [filter, setFilter] = useState<Filter>({ find: "", show: "all" });
  const [kind, setKind] = useState<DemandKind>();
  useLooked("kit", ({ id, name }) => {
    if (plan.kit.find((piece) => piece.id === id)?.carrierId !== plan.hikers[hikerIndex]?.id) setEveryone(true);
    setFilter({ find: name, show: "all" });
  });
  const [list, setList] = useState<File>();
  const [preview, setPreview] = useState<DragPreview>();
  const [picked, setPicked] = useState<readonly string[]>([]);
  const hiker = plan.hikers[hikerIndex]!;
  const frame = useLine(result);
  const { x } = frame;
  const points = useKept(swapPoints(plan, result));
  const places = useKept<Places>({ stops: plan.stops, trip: plan.trip, route: plan.route, profile: result.profile });
  const say = useMemo(() => sayIn(plan), [plan]);
  const { covers, idle, result: settled } = useCover({ plan, result });
  const mine = useMemo(() => covers.filter(({ who }) => who === hikerIndex), [covers, hikerIndex]);
  const along = plan.kit.filter(
    (piece) =>
      (everyone ||
        piece.carrierId === hiker.id ||
        piece.ownerId === hiker.id ||
        piece.spans.some((span) => span.carrierId === hiker.id)) &&
      isTakenAlong(piece),
  );
  const shown = along.filter((piece) => isShown(piece, filter, idle));
  const groups = [...new Set(shown.map((piece) => piece.group))];
  const chosen = shown.filter(({ id }) => picked.includes(id));
  const order = useKept(groups.flatMap((group) => shown.filter((piece) => piece.group === group).map(({ id }) => id)));
  const onPick = useCallback(
    (id: string, to: boolean) =>
      setPicked((before) => {
        const [last, now] = [order.indexOf(before.at(-1) ?? ""), order.indexOf(id)];
        if (to && last >= 0)
          return [...new Set([...before, ...order.slice(Math.min(last, now), Math.max(last, now) + 1)])];
        return before.includes(id) ? before.filter((one) => one !== id) : [...before, id];
      }),
    [order],
  );
  const leg = result.legs[legIndex]!;
  const groupWords = useGroupWords(plan, result, leg, hikerIndex);
  const open = result.checks.filter((check) => checkStation(check) === "kit" && check.severity !== "note");

  return (
    <section aria-label="Kit" className="reads-as-text bg-sheet">
      {plan.kit.length > 0 && <KitHead plan={plan} result={result} leg={leg} who={hikerIndex} />}
      <div className="flex flex-wrap items-center gap-3 border-b border-rule px-[18px] py-2">
        <AddButton list="kit" rows={plan.kit} className="btn-strong" onClick={() => setEditing("new")}>
          Add item
        </AddButton>
        <AddLine plan={plan} hikerId={hiker.id} onList={setList} />
        <KitImport plan={plan} hikerId={hiker.id} file={list} onFile={setList} />
        <label className="flex items-center gap-1.5 text-sm">
          <input type="checkbox" checked={everyone} onChange={(event) => setEveryone(event.target.checked)} />{" "}
          Everyone’s kit
        </label>
        <span className="text-sm text-muted">
          {everyone ? "All" : hiker.name}: {counted(shown.length, "item")}. Drag the end of a bar to another stop, or
          focus it and press ← →.
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
      <DemandLanes
        covers={mine}
        result={settled}
        frame={frame}
        legIndex={legIndex}
        kind={kind}
        say={say}
        onKind={setKind}
      />
      {kind && <DemandPanel plan={plan} leg={leg} covers={mine} kind={kind} />}
      <PieceFilter filter={filter} onFilter={setFilter} plan={plan} idle={idle} />
      {chosen.length > 0 && <SelectBar plan={plan} points={points} pieces={chosen} onClear={() => setPicked([])} />}
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
                <GroupName name={group} words={groupWords(group)} result={result} frame={frame} />
                {pieces.map((piece) => (
                  <KitRow
                    key={piece.id}
                    piece={piece}
                    {...{ places, points, frame }}
                    preview={preview?.pieceId === piece.id ? preview : undefined}
                    onOpen={setEditing}
                    isPicked={picked.includes(piece.id)}
                    onPick={onPick}
                  />
                ))}
              </section>
            );
          })}
          {shown.length === 0 && along.length > 0 && (
            <p className="relative px-[18px] py-3 text-sm text-muted">
              No items match. Clear the search or the filter.
            </p>
          )}
          {along.length === 0 && (
            <div className="relative px-[18px] py-6">
              <Empty action={<BeginList plan={plan} hiker={hiker} />}>
                {hiker.name} carries nothing yet. Add the first item with its weight, import a list, or start from a
                standard list and correct it.
              </Empty>
            </div>
          )}
        </div>
      </LaneBoard>
      <BaseWeights plan={plan} result={result} hikerIndex={hikerIndex} legIndex={legIndex} frame={frame} />
      <KitTools plan={plan} result={result} leg={leg} who={hikerIndex} onOpen={setEditing} />
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

const GROUP_PX = 26;

/** A group of the list: its grams now, its share, and how they go along the trail. */
function GroupName({
  name,
  words: { now, share, inAll, packedG },
  result,
  frame,
}: {
  name: string;
  words: ReturnType<ReturnType<typeof useGroupWords>>;
  result: PlanResult;
  frame: LineFrame;
}) {
  return (
    <div className="relative" style={{ minHeight: GROUP_PX }}>
      <LaneField>
        <GroupSteps packedG={packedG} result={result} frame={frame} heightPx={GROUP_PX} />
      </LaneField>
      <h2 className="relative m-0 px-[18px] pt-1.5 pb-0.5 text-sm font-bold text-pine">
        {name}{" "}
        <span className="font-medium text-muted">
          {now}, {share} %; {inAll} in all
        </span>
      </h2>
    </div>
  );
}

function BeginList({ plan, hiker }: { plan: Plan; hiker: Hiker }) {
  const rows = listFor(plan, hiker.id, { style: "usual", stove: hiker.stove.fuel !== "none", hung: false });
  return (
    <button className="btn" onClick={() => addRows("kit", `Standard list for ${hiker.name}`, rows)}>
      Add {counted(rows.length, "standard item")}
    </button>
  );
}
