/** Every day a cell on the Line's scale, its night at its end; nights of the selected leg are moved by pointer and keys. */
import { memo } from "react";
import type { CalendarDay, Plan, PlanResult } from "@gepack/core";
import { moveNight } from "../../edit/pins.ts";
import { useLine } from "../../line/scale.ts";
import { useSelection } from "../../store/selection.ts";
import { Lane, LaneBoard, LaneField, Mark, type MarkData } from "../../ui/Lanes.tsx";
import { dayMonth } from "../../units/quantity.ts";
import { sayIn } from "../../words/say.ts";
import { NIGHT_WORDS, nightKind, type NightKind } from "../../words/nights.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  days: readonly CalendarDay[];
  onChoose: (day: CalendarDay) => void;
}

interface NightData extends MarkData {
  day: CalendarDay;
}

const STEP_M = 500;
const MARK_PX = 9;

const SHAPE: Record<NightKind, string> = {
  camp: "rounded-full border-2 border-ink bg-sheet",
  dry: "rounded-full border-2 border-caution bg-caution",
  bed: "rounded-[2px] border-2 border-pine bg-sheet",
  stop: "rounded-[2px] border-2 border-pine bg-pine",
  end: "rounded-[2px] border-2 border-ink bg-ink",
};

export const DaysLane = memo(function DaysLane({ plan, result, days, onChoose }: Props) {
  const { x, widthPx } = useLine(result);
  const { legIndex, day: chosen } = useSelection();
  const say = sayIn(plan);
  const { profile } = result;
  const walked = days.filter(({ rests }) => !rests);
  const rest = new Map<number, number>();
  for (const { toM, rests } of days) if (rests) rest.set(toM, (rest.get(toM) ?? 0) + 1);
  return (
    <LaneBoard<NightData> x={x} onDrop={({ day }, metres) => moveNight(plan, profile, day, metres)}>
      <div data-testid="days-lane">
        <Lane title="Hours walked each day" widthPx={widthPx} heightPx={36}>
          <LaneField>
            {walked.map((day, i) => (
              <button
                key={day.date}
                tabIndex={-1}
                className="absolute bottom-0 cursor-pointer border-l border-sheet"
                aria-label={`${dayMonth(day.date)}, ${say.distance(day.toM - day.fromM)} in ${say.hours(day.walkH)}`}
                title={`${dayMonth(day.date)}: ${say.distance(day.toM - day.fromM)} in ${say.hours(day.walkH)}`}
                onClick={() => onChoose(day)}
                style={{
                  left: x(day.fromM),
                  width: Math.max(1, x(day.toM) - x(day.fromM)),
                  height: Math.min(34, 3 * day.walkH),
                  background:
                    day.date === chosen
                      ? "var(--pine)"
                      : `color-mix(in srgb, var(--pine) ${i % 2 === 0 ? 38 : 26}%, var(--sheet))`,
                }}
              />
            ))}
          </LaneField>
        </Lane>
        <Lane title="Nights" widthPx={widthPx} heightPx={24}>
          {walked.map((day) => {
            const kind = nightKind(day);
            const look = `${SHAPE[kind]} ${day.pinId === undefined ? "" : "outline-2 outline-offset-1 outline-caution"}`;
            const words = `${NIGHT_WORDS[kind]}${rest.has(day.toM) ? `, ${rest.get(day.toM)} rest` : ""}${day.pinId === undefined ? "" : ", pinned"}`;
            const title = `${dayMonth(day.date)}: ${words}${day.place === undefined ? "" : `, ${day.place}`}`;
            const left = x(day.toM) - MARK_PX / 2;
            if (day.legIndex !== legIndex || day.night === "stop" || day.night === "end")
              return (
                <span
                  key={day.date}
                  title={title}
                  className={`absolute top-[7px] size-[9px] ${look}`}
                  style={{ left }}
                  onClick={() => onChoose(day)}
                />
              );
            return (
              <Mark<NightData>
                key={day.date}
                id={day.date}
                data={{ atM: day.toM, day }}
                label={`Night of ${dayMonth(day.date)}`}
                valueText={`${say.distance(day.toM)}, ${words}`}
                lengthM={profile.lengthM}
                leftPx={left}
                className={`top-[7px] size-[9px] ${look}`}
                title={title}
                onKey={(event) => {
                  const by = { ArrowLeft: -STEP_M, ArrowRight: STEP_M }[event.key];
                  if (by === undefined) return;
                  event.preventDefault();
                  moveNight(plan, profile, day, day.toM + by * (event.shiftKey ? 4 : 1));
                }}
                onClick={() => onChoose(day)}
              />
            );
          })}
        </Lane>
      </div>
    </LaneBoard>
  );
});
