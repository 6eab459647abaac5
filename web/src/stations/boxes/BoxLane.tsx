/** Boxes on the Line's scale: from where one is on the day of sending to the stop where it waits. */
import type { Plan, PlannedBox, PlanResult } from "@gepack/core";
import { dayNumber } from "@gepack/core";
import type { LineFrame } from "../../line/scale.ts";
import { Lane } from "../../ui/Lanes.tsx";
import { boxName, sendWords } from "../../words/boxes.ts";
import type { Say } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  boxes: readonly PlannedBox[];
  line: LineFrame;
  chosenKey: string | undefined;
  say: Say;
  onChoose: (key: string) => void;
}

const ROW_PX = 17;

export function BoxLane({ plan, result, boxes, line: { x, widthPx }, chosenKey, say, onChoose }: Props) {
  const rows = rowsOf(result, boxes);
  const count = Math.max(1, ...rows.map(({ row }) => row + 1));
  return (
    <Lane title="Boxes, from mailing to pickup" widthPx={widthPx} heightPx={10 + count * ROW_PX}>
      {rows.map(({ box, fromM, toM, row }) => {
        const left = Math.max(x(fromM), x(0));
        const isLate = box.faults.length > 0;
        const words = `${boxName(box, plan)}: send ${sendWords(box, say)}`;
        return (
          <button
            key={box.key}
            tabIndex={-1}
            aria-label={words}
            title={words}
            className={`absolute h-[11px] rounded-[2px] border ${isLate ? "border-caution bg-caution-wash" : "border-pine bg-pine-wash"} ${box.key === chosenKey ? "outline-2 outline-offset-1 outline-ink" : ""}`}
            style={{ left, width: Math.max(9, x(toM) - left), top: 6 + row * ROW_PX }}
            onClick={() => onChoose(box.key)}
          >
            <span className={`absolute top-0 right-0 bottom-0 w-[7px] ${isLate ? "bg-caution" : "bg-pine"}`} />
          </button>
        );
      })}
    </Lane>
  );
}

/** Bars that would be over each other stand one under the other. */
function rowsOf(result: PlanResult, boxes: readonly PlannedBox[]) {
  const ends: number[] = [];
  return boxes.map((box) => {
    const toM = result.legs[box.legIndex]!.fromM as number;
    const fromM = Math.min(toM, walkedOn(result, box.sentDay));
    const free = ends.findIndex((end) => end <= fromM);
    const row = free < 0 ? ends.length : free;
    ends[row] = toM;
    return { box, fromM, toM, row };
  });
}

/** Where one is at the end of a day; at the start before it. */
function walkedOn({ days, profile }: PlanResult, day: number): number {
  const last = days.findLast(({ date }) => dayNumber(date)! <= day);
  return last ? last.toNode * profile.cellM : 0;
}
