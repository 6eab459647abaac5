/** The plan and every set as a row of legs on the Line's scale: the food bag as a saw-tooth, its days over it. */
import type { Plan, SetFigures } from "@gepack/core";
import { gutterPx, type LineFrame } from "../../line/scale.ts";
import { fixed } from "../../units/quantity.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { SET_WORDS } from "../../words/stops.ts";
import type { NamedSet } from "./useSearch.ts";

interface Props {
  plan: Plan;
  now: SetFigures;
  sets: readonly NamedSet[];
  chosen: NamedSet | undefined;
  line: LineFrame;
  onChoose: (set: NamedSet | undefined) => void;
}

const HEIGHT_PX = 46;
/** Room for the figure over the saw. */
const HEAD_PX = 16;
/** Narrower legs have no figure. */
const FIGURE_PX = 22;

export function SetRows({ plan, now, sets, chosen, line, onChoose }: Props) {
  const say = sayIn(plan);
  const named = sets.filter(({ names }) => names.length > 0);
  const shown = chosen && chosen.names.length === 0 ? [...named, chosen] : named;
  const mostDays = Math.max(
    ...[now, ...shown.map(({ figures }) => figures)].flatMap(({ legs }) => legs.map((leg) => leg.foodDays)),
  );
  const row = { plan, line, mostDays };
  return (
    <div role="listbox" aria-label="Sets of stops" data-testid="set-rows">
      <SetRow
        {...row}
        title="Current plan"
        figures={now}
        words={`${say.kg(now.heaviestKg)} at most, ${say.carried(now.kgKm)}`}
        chosen={chosen === undefined}
        onChoose={() => onChoose(undefined)}
      />
      {shown.map((set) => (
        <SetRow
          key={set.stops.map(({ stopId }) => stopId).join(" ")}
          {...row}
          title={titleOf(set)}
          figures={set.figures}
          words={`${say.kg(set.figures.heaviestKg)}, ${say.carried(set.figures.kgKm)}${daysMore(set.figures.days - now.days, say)}`}
          chosen={set === chosen}
          onChoose={() => onChoose(set)}
        />
      ))}
    </div>
  );
}

export function titleOf({ names }: NamedSet): string {
  return names.length === 0
    ? "Between them"
    : names.map((name, i) => (i === 0 ? SET_WORDS[name] : SET_WORDS[name].toLowerCase())).join(", ");
}

/** Days more or fewer than as it is. */
function daysMore(days: number, say: Say): string {
  return days === 0 ? "" : `, ${days > 0 ? "+" : "−"}${say.days(Math.abs(days))}`;
}

export function legCount({ legs }: Pick<SetFigures, "legs">): string {
  return legs.length === 1 ? "1 leg" : `${legs.length} legs`;
}

interface RowProps {
  plan: Plan;
  line: LineFrame;
  mostDays: number;
  title: string;
  figures: SetFigures;
  words: string;
  chosen: boolean;
  onChoose: () => void;
}

function SetRow({ plan, line, mostDays, title, figures, words, chosen, onChoose }: RowProps) {
  const { x, widthPx } = line;
  const gutter = gutterPx(widthPx);
  const most = plan.resupply.mostFoodDays;
  const scale = (HEIGHT_PX - HEAD_PX - 4) / Math.max(1, mostDays);
  const label = `${title}: ${legCount(figures)}, ${words}`;
  return (
    <button
      role="option"
      aria-selected={chosen}
      aria-label={label}
      className={`relative block w-full cursor-pointer border-t border-rule text-left ${chosen ? "bg-pine-wash" : "hover:bg-paper"}`}
      style={{ height: gutter > 100 ? HEIGHT_PX : HEIGHT_PX + 18 }}
      onClick={onChoose}
    >
      <span
        className={`absolute top-[3px] left-[18px] block text-sm leading-tight ${gutter > 100 ? "w-[198px]" : "right-[18px] overflow-hidden text-ellipsis whitespace-nowrap"}`}
      >
        <b>
          {title}: {legCount(figures)}
        </b>
        <span className={`block text-xs text-muted ${gutter > 100 ? "" : "inline! ml-2"}`}>{words}</span>
      </span>
      <svg className="lane-field absolute bottom-0 left-0 w-full" height={HEIGHT_PX} aria-hidden="true">
        {figures.legs.map(({ fromM, toM, foodDays }) => {
          const [left, right] = [x(fromM), x(toM)];
          const over = foodDays > most + 0.02;
          return (
            <g key={fromM}>
              <polygon
                points={`${left + 0.5},${HEIGHT_PX - 1} ${left + 0.5},${HEIGHT_PX - 1 - foodDays * scale} ${right - 0.5},${HEIGHT_PX - 1}`}
                fill={over ? "var(--danger)" : "var(--food)"}
                opacity={0.85}
              />
              {right - left >= FIGURE_PX && (
                <text
                  x={(left + right) / 2}
                  y={12}
                  textAnchor="middle"
                  className="figure text-[12px]"
                  fill="var(--ink)"
                >
                  {fixed(foodDays, 1)}
                  {over && " !"}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </button>
  );
}
