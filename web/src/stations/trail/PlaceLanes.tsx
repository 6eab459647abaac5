/** Stops, water and stretches on the Line's own scale. Drag a mark, or focus it and use the arrow keys. */
import type { KeyboardEvent } from "react";
import {
  isWalked,
  nodesOn,
  walkedAt,
  walkedOf,
  type Plan,
  type PlanResult,
  type Profile,
  type TrackM,
} from "@gepack/core";
import { useLine } from "../../line/scale.ts";
import { STRETCH_COLOUR } from "../../map/colours.ts";
import { Lane, LaneBoard, Mark, type MarkData } from "../../ui/Lanes.tsx";
import { sayIn } from "../../words/say.ts";
import { KINDS, movePlace, removePlaces, type PlaceEnd, type PlaceKind } from "./places.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  chosen: string | undefined;
  onChoose: (kind: PlaceKind, id: string) => void;
}

interface PlaceMark extends MarkData {
  kind: PlaceKind;
  id: string;
  name: string;
  end: PlaceEnd;
}

type Look = "stop" | "source" | "camp" | "edge";
const STRETCH_PX = 16;

export function PlaceLanes({ plan, result, chosen, onChoose }: Props) {
  const { profile } = result;
  const { x, widthPx } = useLine(result);
  const mark = (
    place: Omit<PlaceMark, "atM">,
    trackM: TrackM,
    alternateId: string | undefined,
    look: Look,
    faint: boolean,
  ) => {
    if (!isWalked(profile, { trackM, alternateId })) return null;
    const atM = walkedAt(profile, trackM, alternateId);
    return (
      <PlaceMarkView
        key={`${place.id}${place.end}`}
        data={{ ...place, atM }}
        plan={plan}
        profile={profile}
        leftPx={x(atM)}
        look={look}
        faint={faint}
        chosen={chosen === place.id}
        onChoose={onChoose}
      />
    );
  };
  const of = (kind: PlaceKind, { id, name }: { id: string; name: string }): Omit<PlaceMark, "atM"> => ({
    kind,
    id,
    name,
    end: "trackM",
  });
  const lanes = stretchLanes(plan, profile);
  return (
    <LaneBoard<PlaceMark>
      x={x}
      onDrop={({ kind, id, name, end }, metres) => movePlace(kind, id, name, end, profile, metres)}
    >
      <div className="relative border-b border-rule" data-testid="place-lanes">
        <Lane title="Stops: used, skipped" widthPx={widthPx} heightPx={26}>
          {plan.stops.map((stop) => mark(of("stops", stop), stop.trackM, stop.alternateId, "stop", !stop.use))}
        </Lane>
        <Lane title="Water: reliable, other" widthPx={widthPx} heightPx={22}>
          {plan.sources.map((source) =>
            mark(
              of("sources", source),
              source.trackM,
              source.alternateId,
              "source",
              !(source.counted ?? source.reliable),
            ),
          )}
        </Lane>
        {plan.camps.length > 0 && (
          <Lane title="Camps" widthPx={widthPx} heightPx={20}>
            {plan.camps.map((camp) => mark(of("camps", camp), camp.trackM, camp.alternateId, "camp", false))}
          </Lane>
        )}
        <Lane title="Stretches" widthPx={widthPx} heightPx={Math.max(1, lanes.length) * STRETCH_PX + 6}>
          {lanes.flatMap((lane, row) =>
            lane.map(({ stretch, part, fromM, toM }) => (
              <div
                key={`${stretch.id} ${part}`}
                className="absolute"
                style={{ left: 0, top: 3 + row * STRETCH_PX, height: 14 }}
              >
                <div
                  title={`${stretch.name} (${stretch.kind})`}
                  onClick={() => onChoose("stretches", stretch.id)}
                  className={`absolute h-[12px] cursor-pointer overflow-hidden rounded-[2px] px-1 text-xs leading-[12px] whitespace-nowrap ${chosen === stretch.id ? "outline-2 outline-ink" : ""}`}
                  style={{
                    left: x(fromM),
                    width: Math.max(3, x(toM) - x(fromM)),
                    background: `color-mix(in srgb, ${STRETCH_COLOUR[stretch.kind]} var(--stretch-share), var(--sheet))`,
                  }}
                >
                  {x(toM) - x(fromM) > 90 ? stretch.name : ""}
                </div>
                {(part === 0 ? (["fromM", "toM"] as const) : []).map((end) =>
                  mark(
                    {
                      kind: "stretches",
                      id: stretch.id,
                      name: `${stretch.name}, ${end === "fromM" ? "begin" : "end"}`,
                      end,
                    },
                    stretch[end],
                    stretch.alternateId,
                    "edge",
                    false,
                  ),
                )}
              </div>
            )),
          )}
        </Lane>
      </div>
    </LaneBoard>
  );
}

/** Packs stretches into as few rows as do not overlap. */
function stretchLanes(plan: Plan, profile: Profile) {
  const rows: { stretch: Plan["stretches"][number]; part: number; fromM: number; toM: number }[][] = [];
  const placed = plan.stretches.flatMap((stretch) =>
    nodesOn(profile, stretch).map(([from, to], part) => ({
      stretch,
      part,
      fromM: walkedOf(profile, from),
      toM: walkedOf(profile, to),
    })),
  );
  placed.sort((a, b) => a.fromM - b.fromM);
  for (const item of placed) {
    const row = rows.find((candidate) => candidate.at(-1)!.toM <= item.fromM);
    if (row) row.push(item);
    else rows.push([item]);
  }
  return rows;
}

const STEP_M = 100;
const LONG_STEP_M = 1000;

interface ViewProps {
  data: PlaceMark;
  plan: Plan;
  profile: Profile;
  leftPx: number;
  look: Look;
  faint: boolean;
  chosen: boolean;
  onChoose: (kind: PlaceKind, id: string) => void;
}

function PlaceMarkView({ data, plan, profile, leftPx, look, faint, chosen, onChoose }: ViewProps) {
  const { kind, id, name, end, atM } = data;
  const where = sayIn(plan).distance(atM);
  const keys = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? LONG_STEP_M : STEP_M;
    const by = { ArrowLeft: -step, ArrowRight: step }[event.key];
    const place = plan[kind].find((row) => row.id === id);
    if (by !== undefined) movePlace(kind, id, name, end, profile, atM + by);
    else if (event.key === "Delete" && place) removePlaces(kind, [place]);
    else if (event.key === "Enter") onChoose(kind, id);
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
    <Mark
      id={`${kind}-${id}-${end}`}
      data={data}
      label={`${KINDS[kind].one} ${name}`}
      valueText={where}
      title={`${name}, ${where}`}
      lengthM={profile.lengthM}
      leftPx={leftPx}
      onKey={keys}
      onClick={() => onChoose(kind, id)}
      className={`${shape} ${chosen ? "outline-2 outline-offset-1 outline-ink" : ""}`}
    />
  );
}
