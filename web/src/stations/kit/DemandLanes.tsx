/** What season, trail and rules ask of a hiker's kit, a lane for each kind on the Line's scale; not met stands out. */
import { memo, useState } from "react";
import type { Cover, DemandKind, PlanResult } from "@gepack/core";
import { gutterPx, type LineFrame } from "../../line/scale.ts";
import { select } from "../../store/selection.ts";
import { LaneField } from "../../ui/Lanes.tsx";
import { DEMAND_WORDS, demandFigure, demandNumber, demandUnit } from "../../words/kit.ts";
import type { Say } from "../../words/say.ts";

interface Props {
  covers: readonly Cover[];
  result: PlanResult;
  frame: LineFrame;
  legIndex: number;
  kind: DemandKind | undefined;
  say: Say;
  onKind: (kind: DemandKind) => void;
}

/** Met on every leg, they say little: they stand there when asked for. */
// prettier-ignore
const PLAIN: readonly DemandKind[] = [
  "pad", "shelter", "light", "papers", "sun", "food-store", "wind", "heat", "ford", "animals", "navigation", "power", "space",
];

/** A figure is written where there is room for it. */
const ROOM_PX = 30;

export const DemandLanes = memo(function DemandLanes({ covers, result, frame, legIndex, kind, say, onKind }: Props) {
  const [all, setAll] = useState(false);
  const kindsRequired = (Object.keys(DEMAND_WORDS) as DemandKind[]).filter((one) =>
    covers.some((cover) => cover.kind === one),
  );
  const isOpen = (one: DemandKind): boolean => covers.some((cover) => cover.kind === one && !cover.isMet);
  const kinds = all
    ? kindsRequired
    : kindsRequired.filter((one) => !PLAIN.includes(one) || isOpen(one) || one === kind);
  const { x, widthPx } = frame;
  return (
    <section aria-label="Requirements" className="border-b border-rule pb-1" data-testid="demands">
      {kinds.map((one) => {
        const mine = covers.filter((cover) => cover.kind === one);
        const open = mine.filter(({ isMet }) => !isMet).length;
        return (
          <div key={one} className="relative h-[19px] max-[719px]:h-[36px]">
            <button
              className={`absolute top-0 left-0 z-[1] flex h-[19px] items-center justify-between gap-1 pl-[18px] text-left text-xs hover:underline ${one === kind ? "font-bold text-pine" : ""}`}
              style={{ width: Math.max(gutterPx(widthPx), 180) - 8 }}
              aria-pressed={one === kind}
              onClick={() => onKind(one)}
            >
              <span className="truncate">
                {DEMAND_WORDS[one]}
                {demandUnit(one, say) && <span className="text-muted">, {demandUnit(one, say)}</span>}
              </span>
              {open > 0 && <span className="shrink-0 text-caution">{open} open</span>}
            </button>
            <LaneField>
              {mine.map((cover) => {
                const leg = result.legs[cover.legIndex]!;
                const left = x(leg.fromM);
                const width = Math.max(2, x(leg.toM) - left - 1);
                const figure = demandFigure(cover, say);
                return (
                  <span
                    key={cover.legIndex}
                    role="presentation"
                    title={`${DEMAND_WORDS[one]}, leg ${cover.legIndex + 1}: ${figure}${cover.isMet ? "" : ", not covered"}`}
                    className={`demand ${cover.isMet ? "" : "demand-open"} ${cover.legIndex === legIndex ? "demand-chosen" : ""}`}
                    style={{ left, width }}
                    onClick={() => {
                      select({ legIndex: cover.legIndex });
                      onKind(one);
                    }}
                  >
                    {width > ROOM_PX && demandNumber(cover, say)}
                  </span>
                );
              })}
            </LaneField>
          </div>
        );
      })}
      {kindsRequired.length > kinds.length || all ? (
        <button className="ml-[18px] text-xs text-pine hover:underline" onClick={() => setAll(!all)}>
          {all ? "Only those that vary or are open" : `${kindsRequired.length - kinds.length} more, all covered`}
        </button>
      ) : null}
    </section>
  );
});
