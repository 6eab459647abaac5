/** Litres in the pack under the bottles' line, sources filled by their chance, dry nights: on the Line's scale. */
import { memo } from "react";
import { walkedOf, type Passage, type PlanResult } from "@gepack/core";
import { peakPerPixel } from "../../line/stack.ts";
import type { LineFrame } from "../../line/scale.ts";
import { select } from "../../store/selection.ts";
import { Lane } from "../../ui/Lanes.tsx";
import type { Say } from "../../words/say.ts";
import { toPx } from "../../units/quantity.ts";

interface Props {
  result: PlanResult;
  who: number;
  line: LineFrame;
  passages: readonly Passage[];
  chosenId: string | undefined;
  say: Say;
  onChoose: (sourceId: string) => void;
}

const LITRES_PX = 110;
const SOURCES_PX = 42;
const NIGHTS_PX = 22;
/** Marks nearer than this are one blur. */
const LEAST_APART_PX = 7;

export const WaterLanes = memo(function WaterLanes(props: Props) {
  const { result, who, line, passages, chosenId, say, onChoose } = props;
  const { widthPx, x } = line;
  const dry = result.days.filter((day) => day.dry);
  return (
    <div>
      <Lane
        title={
          <>
            Water carried
            <span className="block font-normal">dashed: bottle capacity</span>
          </>
        }
        widthPx={widthPx}
        heightPx={LITRES_PX}
      >
        <Litres result={result} who={who} line={line} say={say} />
      </Lane>
      <Lane
        title={
          <>
            Sources<span className="block font-normal">fill: chance of water that day</span>
          </>
        }
        widthPx={widthPx}
        heightPx={SOURCES_PX}
      >
        {thinned(passages, (passage) => x(walkedOf(result.profile, passage.node)), chosenId).map(
          ({ passage, leftPx }) => (
            <button
              key={passage.source.id}
              className={`absolute top-[8px] h-[22px] w-[10px] -translate-x-1/2 cursor-pointer border ${passage.source.id === chosenId ? "border-2 border-ink" : "border-water"} ${passage.source.counted === false ? "opacity-40" : ""}`}
              style={{
                left: leftPx,
                background: `linear-gradient(to top, var(--water) ${100 * passage.chance}%, transparent ${100 * passage.chance}%)`,
              }}
              title={`${passage.source.name}: ${isUnknown(passage) ? "unknown, taken as " : ""}${say.percent(100 * passage.chance)} on ${say.date(passage.date)}`}
              aria-label={`${passage.source.name}, ${say.percent(100 * passage.chance)}`}
              tabIndex={-1}
              onClick={() => onChoose(passage.source.id)}
            >
              {isUnknown(passage) && <span className="absolute -top-2 left-0 text-xs leading-none text-ink">?</span>}
            </button>
          ),
        )}
      </Lane>
      <Lane title={`Dry camps: ${dry.length}`} widthPx={widthPx} heightPx={NIGHTS_PX}>
        {dry.map((day) => (
          <button
            key={`${day.date} ${day.toNode}`}
            className="absolute top-[3px] -translate-x-1/2 cursor-pointer text-xs leading-none text-ink"
            style={{ left: x(walkedOf(result.profile, day.toNode)) }}
            title={`Dry camp on ${say.date(day.date)}`}
            aria-label={`Dry camp on ${say.date(day.date)}`}
            tabIndex={-1}
            onClick={() => select({ legIndex: day.legIndex })}
          >
            △
          </button>
        ))}
      </Lane>
    </div>
  );
});

/** Nobody has said whether it runs, nor seen it. */
const isUnknown = ({ source, seen }: Passage): boolean => source.unknown === true && !seen;

interface Marked {
  passage: Passage;
  leftPx: number;
}

/** Of marks that would be on one another the least likely stays, and the chosen one always. */
function thinned(passages: readonly Passage[], at: (of: Passage) => number, chosenId: string | undefined): Marked[] {
  const kept: Marked[] = [];
  const worth = ({ source, chance }: Passage): number => (source.id === chosenId ? -1 : chance);
  for (const passage of passages) {
    const leftPx = at(passage);
    const last = kept.at(-1);
    if (!last || leftPx - last.leftPx >= LEAST_APART_PX) kept.push({ passage, leftPx });
    else if (worth(passage) < worth(last.passage)) kept[kept.length - 1] = { passage, leftPx: last.leftPx };
  }
  return kept;
}

function Litres({ result, who, line, say }: Pick<Props, "result" | "who" | "line" | "say">) {
  const { x, domain } = line;
  const { profile, packs, legs } = result;
  const cells = domain.map((metres) => Math.round(metres / profile.cellM)) as [number, number];
  const pixels = Math.max(1, Math.round(x(domain[1]) - x(domain[0])));
  const litres = peakPerPixel(packs[who]!.waterKg, [cells[0], Math.max(cells[0] + 1, cells[1] - 1)], pixels);
  const bottleL = legs.map((leg) => leg.hikers[who]!.kit.bottleL);
  const top = Math.max(2, ...litres, ...bottleL) * 1.1;
  const y = (value: number): number => LITRES_PX - 1 - (Math.max(0, value) / top) * (LITRES_PX - 14);
  const left = x(domain[0]);
  const shape = Array.from(litres, (value, i) => `${toPx(left + i)},${toPx(y(value))}`).join(" ");
  return (
    <svg aria-hidden="true" className="absolute inset-0 size-full overflow-hidden" height={LITRES_PX}>
      <polygon
        points={`${left},${LITRES_PX} ${shape} ${left + pixels},${LITRES_PX}`}
        fill="var(--water)"
        opacity={0.85}
      />
      {legs.map((leg, i) => (
        <line
          key={leg.index}
          x1={x(leg.fromM)}
          x2={x(leg.toM)}
          y1={y(bottleL[i]!)}
          y2={y(bottleL[i]!)}
          stroke="var(--ink)"
          strokeDasharray="5 3"
        />
      ))}
      <text x={left + 4} y={12} fontSize={11} fill="var(--muted)">
        {say.L(top / 1.1)}
      </text>
    </svg>
  );
}
