/** Stops, water and stretches on the Line's own scale. Drag a mark, or focus it and use the arrow keys. */
import { DndContext, PointerSensor, useDraggable, useSensor, useSensors, type DragEndEvent } from "@dnd-kit/core";
import type { KeyboardEvent } from "react";
import { walkedAt, type Plan, type PlanResult, type Profile } from "@gepack/core";
import { gutterPx, lineScale } from "../../line/scale.ts";
import { useWidth } from "../../line/useWidth.ts";
import { quantity } from "../../units/quantity.ts";
import { KINDS, movePlace, removePlace, type PlaceEnd, type PlaceKind } from "./places.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  chosen: string | undefined;
  onChoose: (kind: PlaceKind, id: string) => void;
}

const STRETCH_COLOUR = {
  surface: "var(--kit)",
  snow: "var(--water)",
  rule: "var(--pine)",
  hazard: "var(--danger)",
  insects: "var(--food)",
  dry: "var(--caution)",
} as const;

export function PlaceLanes({ plan, result, chosen, onChoose }: Props) {
  const width = useWidth();
  const { profile } = result;
  const x = lineScale(profile.lengthM, width);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 3 } }));
  const drop = (event: DragEndEvent): void => {
    const data = event.active.data.current as MarkData | undefined;
    if (data) movePlace(data.kind, data.id, data.name, data.end, profile, x.invert(x(data.walkedM) + event.delta.x));
  };
  const mark = (
    kind: PlaceKind,
    id: string,
    name: string,
    end: PlaceEnd,
    trackM: number,
    rest: Pick<MarkProps, "look" | "faint">,
  ) => (
    <Mark
      key={`${id}${end}`}
      data={{ kind, id, name, end, walkedM: walkedAt(profile, trackM) }}
      profile={profile}
      plan={plan}
      left={x(walkedAt(profile, trackM))}
      chosen={chosen === id}
      onChoose={onChoose}
      {...rest}
    />
  );
  const lanes = stretchLanes(plan, profile);
  return (
    <DndContext sensors={sensors} onDragEnd={drop} autoScroll={false}>
      <div className="relative border-b border-rule" data-testid="place-lanes">
        <Lane title="Stops: used, passed by" width={width} height={26}>
          {plan.stops.map((stop) =>
            mark("stops", stop.id, stop.name, "trackM", stop.trackM, { look: "stop", faint: !stop.use }),
          )}
        </Lane>
        <Lane title="Water: reliable, other" width={width} height={22}>
          {plan.sources.map((source) =>
            mark("sources", source.id, source.name, "trackM", source.trackM, {
              look: "source",
              faint: !source.reliable,
            }),
          )}
        </Lane>
        {plan.camps.length > 0 && (
          <Lane title="Camps" width={width} height={20}>
            {plan.camps.map((camp) =>
              mark("camps", camp.id, camp.name, "trackM", camp.trackM, { look: "camp", faint: false }),
            )}
          </Lane>
        )}
        <Lane title="Stretches" width={width} height={Math.max(1, lanes.length) * 16 + 6}>
          {lanes.flatMap((lane, row) =>
            lane.map(({ stretch, fromM, toM }) => (
              <div key={stretch.id} className="absolute" style={{ left: 0, top: 3 + row * 16, height: 14 }}>
                <div
                  title={`${stretch.name} (${stretch.kind})`}
                  onClick={() => onChoose("stretches", stretch.id)}
                  className={`absolute h-[12px] cursor-pointer overflow-hidden rounded-[2px] px-1 text-xs leading-[12px] whitespace-nowrap ${chosen === stretch.id ? "outline-2 outline-ink" : ""}`}
                  style={{
                    left: x(fromM),
                    width: Math.max(3, x(toM) - x(fromM)),
                    background: `color-mix(in srgb, ${STRETCH_COLOUR[stretch.kind]} 30%, var(--sheet))`,
                  }}
                >
                  {x(toM) - x(fromM) > 90 ? stretch.name : ""}
                </div>
                {mark("stretches", stretch.id, `${stretch.name}, begin`, "fromM", stretch.fromM, {
                  look: "edge",
                  faint: false,
                })}
                {mark("stretches", stretch.id, `${stretch.name}, end`, "toM", stretch.toM, {
                  look: "edge",
                  faint: false,
                })}
              </div>
            )),
          )}
        </Lane>
      </div>
    </DndContext>
  );
}

/** Packs stretches into as few rows as do not overlap. */
function stretchLanes(plan: Plan, profile: Profile) {
  const rows: { stretch: Plan["stretches"][number]; fromM: number; toM: number }[][] = [];
  const placed = plan.stretches.map((stretch) => {
    const a = walkedAt(profile, stretch.fromM);
    const b = walkedAt(profile, stretch.toM);
    return { stretch, fromM: Math.min(a, b), toM: Math.max(a, b) };
  });
  placed.sort((a, b) => a.fromM - b.fromM);
  for (const item of placed) {
    const row = rows.find((candidate) => candidate.at(-1)!.toM <= item.fromM);
    if (row) row.push(item);
    else rows.push([item]);
  }
  return rows;
}

function Lane({
  title,
  width,
  height,
  children,
}: {
  title: string;
  width: number;
  height: number;
  children: React.ReactNode;
}) {
  return (
    <div className="relative border-t border-rule" style={{ height }}>
      {gutterPx(width) > 100 && <span className="absolute top-[3px] left-[18px] text-xs text-muted">{title}</span>}
      {children}
    </div>
  );
}

interface MarkData {
  kind: PlaceKind;
  id: string;
  name: string;
  end: PlaceEnd;
  walkedM: number;
}

interface MarkProps {
  data: MarkData;
  plan: Plan;
  profile: Profile;
  left: number;
  look: "stop" | "source" | "camp" | "edge";
  faint: boolean;
  chosen: boolean;
  onChoose: (kind: PlaceKind, id: string) => void;
}

const STEP_M = 100;
const LONG_STEP_M = 1000;

function Mark({ data, plan, profile, left, look, faint, chosen, onChoose }: MarkProps) {
  const { setNodeRef, listeners, transform } = useDraggable({ id: `${data.kind}-${data.id}-${data.end}`, data });
  const keys = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? LONG_STEP_M : STEP_M;
    const by = { ArrowLeft: -step, ArrowRight: step }[event.key];
    if (by !== undefined) movePlace(data.kind, data.id, data.name, data.end, profile, data.walkedM + by);
    else if (event.key === "Delete") removePlace(data.kind, data.id, data.name);
    else if (event.key === "Enter") onChoose(data.kind, data.id);
    else return;
    event.preventDefault();
  };
  const shape = {
    stop: `top-[5px] h-4 w-2.5 -ml-[5px] rounded-[2px] border-2 border-pine ${faint ? "bg-sheet" : "bg-pine"}`,
    source: `top-[3px] h-4 w-[7px] -ml-[3.5px] after:absolute after:inset-y-0 after:left-[2px] after:w-[3px] after:bg-water ${faint ? "opacity-45" : ""}`,
    camp: "top-[5px] h-2.5 w-2.5 -ml-[5px] rounded-full border-2 border-ink bg-sheet",
    edge: "h-[12px] w-[7px] -ml-[3px] hover:bg-ink/40",
  }[look];
  return (
    <span
      ref={setNodeRef}
      {...listeners}
      role="slider"
      tabIndex={0}
      aria-label={`${KINDS[data.kind].one} ${data.name}`}
      aria-valuenow={Math.round(data.walkedM / 100) / 10}
      aria-valuemin={0}
      aria-valuemax={Math.round(profile.lengthM / 1000)}
      aria-valuetext={quantity("distance", data.walkedM, plan.trip.units)}
      title={`${data.name}, ${quantity("distance", data.walkedM, plan.trip.units)}`}
      onKeyDown={keys}
      onClick={() => onChoose(data.kind, data.id)}
      className={`absolute cursor-ew-resize touch-none ${shape} ${chosen ? "outline-2 outline-offset-1 outline-ink" : ""}`}
      style={{ left: left + (transform?.x ?? 0) }}
    />
  );
}
