/** The days of a leg with the menu of each: chosen for the day, for the leg, for cold days, or the usual one. */
import { FORBIDDEN_BY_BANS, type Hiker, type Plan } from "@gepack/core";
import { chooseMenu, menuForDay, menuForLeg } from "../../edit/food.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { unitSymbol } from "../../units/quantity.ts";
import { sayIn } from "../../words/say.ts";
import type { DayFood } from "./days.ts";

interface Props {
  plan: Plan;
  hiker: Hiker;
  fromStopId: string;
  legName: string;
  days: readonly DayFood[];
  onChoose: (menuId: string) => void;
}

const SAME = ["", "same as the leg"] as const;
const USUAL = ["", "default"] as const;
const NONE = ["", "one energy density for everything"] as const;
const NEVER = ["", "default"] as const;

export function LegDays({ plan, hiker, fromStopId, legName, days, onChoose }: Props) {
  const say = sayIn(plan);
  const { menus } = hiker;
  // A stove with a valve may be lit under most of them.
  const bansMatter =
    menus.noFlameId !== undefined ||
    (FORBIDDEN_BY_BANS.includes(hiker.stove.fuel) && plan.stretches.some(({ rule }) => rule === "fire-ban"));
  const names = plan.menus.map(({ id, name }): readonly [string, string] => [id, name]);
  return (
    <section aria-label="Menus by day" className="mb-3">
      <p className="m-0 mb-2 text-sm leading-[30px]">
        Usually <Condition hiker={hiker} of="defaultId" label="Default menu" options={[NONE, ...names]} />; on days
        averaging{" "}
        <FieldNumber
          bare
          className="w-[48px] text-right"
          path="hikers.menus.coldBelowC"
          label="Cold day: average at or below"
          value={menus.coldBelowC}
          units={plan.trip.units}
          onCommit={(coldBelowC) =>
            chooseMenu(hiker, "cold-day threshold", (row) => void (row.coldBelowC = coldBelowC))
          }
        />{" "}
        {unitSymbol("temperature", plan.trip.units)} or colder{" "}
        <Condition hiker={hiker} of="coldId" label="Menu of cold days" options={[NEVER, ...names]} />; on days ending at
        a dry camp <Condition hiker={hiker} of="dryCampId" label="Menu of dry camps" options={[NEVER, ...names]} />
        {bansMatter && (
          <>
            ; under a fire ban{" "}
            <Condition hiker={hiker} of="noFlameId" label="Menu of fire bans" options={[NEVER, ...names]} />
          </>
        )}
        ; on {legName}{" "}
        <Pick
          bare
          label={`Menu of ${legName}`}
          value={menus.legs.find((row) => row.fromStopId === fromStopId)?.menuId ?? ""}
          options={[USUAL, ...names]}
          onPick={(id) => menuForLeg(hiker, fromStopId, id === "" ? undefined : id)}
        />
      </p>
      <ol className="m-0 flex list-none flex-wrap gap-1.5 p-0">
        {days.map((day) => (
          <li key={day.index} className="w-[104px] rounded border border-rule bg-pine-wash px-2 py-1 text-xs">
            <b>{say.date(day.date)}</b>
            <span className="block text-muted">{say.kcal(day.menuKcal)}</span>
            <button
              className="block max-w-full cursor-pointer truncate underline decoration-dotted"
              onClick={() => day.menu && onChoose(day.menu.id)}
            >
              {day.menu?.name ?? "no menu"}
            </button>
            <Pick
              bare
              label={`Menu of ${say.date(day.date)}`}
              value={menus.days.find(({ date }) => date === day.date)?.menuId ?? ""}
              options={[SAME, ...names]}
              onPick={(id) => menuForDay(hiker, day.date, id === "" ? undefined : id)}
            />
          </li>
        ))}
      </ol>
    </section>
  );
}

interface ConditionProps {
  hiker: Hiker;
  of: "defaultId" | "coldId" | "dryCampId" | "noFlameId";
  label: string;
  options: readonly (readonly [string, string])[];
}

/** Which menu is eaten under a condition; the first option is none. */
function Condition({ hiker, of, label, options }: ConditionProps) {
  return (
    <Pick
      bare
      label={label}
      value={hiker.menus[of] ?? ""}
      options={options}
      onPick={(id) =>
        chooseMenu(hiker, label.toLowerCase(), (row) => {
          if (id === "") delete row[of];
          else row[of] = id;
        })
      }
    />
  );
}
