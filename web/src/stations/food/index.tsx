/** Food: what is in the bag of every leg, by pantry and menus; filled by itself, bought by lists. */
import { useDeferredValue, useMemo, useState } from "react";
import { buildPantry, dayMenu, legBags, menuFigures, type Hiker, type Limit, type Plan } from "@gepack/core";
import { beginPantry, usualEverywhere } from "../../edit/food.ts";
import { useLine } from "../../line/scale.ts";
import { useSelection } from "../../store/selection.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { Fold } from "../../ui/Fold.tsx";
import { Empty } from "../../ui/Panel.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { Progress } from "../../ui/Progress.tsx";
import { TypedText } from "../../ui/TypedText.tsx";
import { editRow } from "../../edit/rows.ts";
import { LEAST_WORDS, LIMIT_WORDS } from "../../words/food.ts";
import { firstName, stopName } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";
import type { ScreenProps } from "../Screen.tsx";
import { BagPanel } from "./BagPanel.tsx";
import { foodDays } from "./days.ts";
import { LegDays } from "./LegDays.tsx";
import { MenuCard } from "./MenuCard.tsx";
import { MenuTable } from "./MenuTable.tsx";
import { NeedLane } from "./NeedLane.tsx";
import { PantryTable } from "./PantryTable.tsx";
import { Shopping } from "./Shopping.tsx";
import { useFill, type FillAnswer } from "./useFill.ts";

export default function Food({ plan, result: newest }: ScreenProps) {
  const result = useDeferredValue(newest);
  const line = useLine(result);
  const say = sayIn(plan);
  const legIndex = useSelection((state) => state.legIndex);
  const who = Math.min(
    useSelection((state) => state.hikerIndex),
    plan.hikers.length - 1,
  );
  const hiker = plan.hikers[who]!;
  const leg = result.legs[Math.min(legIndex, result.legs.length - 1)]!;
  const [menuId, setMenuId] = useState<string>();
  const pantry = useMemo(() => buildPantry(plan.foods), [plan.foods]);
  const days = useMemo(() => foodDays(plan, result, who, pantry), [plan, result, who, pantry]);
  const bags = useMemo(() => plan.hikers.map((_, h) => legBags(plan, result, h, pantry)), [plan, result, pantry]);
  const { rows, fraction, fill, stop } = useFill(hiker.id);
  const legDays = days.filter((day) => day.legIndex === leg.index);
  const looked =
    plan.menus.find(({ id }) => id === menuId) ??
    legDays.find(({ menu }) => menu)?.menu ??
    plan.menus.find(({ id }) => id === hiker.menus.defaultId) ??
    plan.menus[0];
  const needKcal = meanOf(legDays.map(({ menuKcal, needKcal: need }) => menuKcal || need));
  const mostKcal = Math.max(0, ...days.map((day) => Math.max(day.needKcal, day.menuKcal)));
  const legName = `leg ${leg.index + 1}`;
  const bag = bags[who]!.find((one) => one.legIndex === leg.index);
  if (plan.foods.length === 0 || plan.menus.length === 0)
    return (
      <div className="bg-sheet px-[18px] py-6">
        <Empty
          action={
            <button className="btn btn-strong" onClick={beginPantry}>
              Start with a pantry
            </button>
          }
        >
          All food is counted at one energy density until you choose menus. The starter pantry has generic foods, mixes
          and four menus; change anything.
        </Empty>
      </div>
    );
  return (
    <div className="bg-sheet pb-6">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-rule px-[18px] py-2 text-sm">
        <button
          className="btn btn-strong"
          disabled={fraction !== undefined || hiker.menus.defaultId === undefined}
          onClick={() => fill([leg.index])}
        >
          Fill the food bag for {legName}
        </button>
        <button
          className="btn"
          disabled={fraction !== undefined || hiker.menus.defaultId === undefined}
          onClick={() => fill(bags[who]!.map((one) => one.legIndex))}
        >
          Fill all of {firstName(hiker)}’s bags
        </button>
        <Pick
          bare
          label="Optimise for"
          value={hiker.fill.least}
          options={(["mass", "money", "cooking"] as const).map((key) => [key, LEAST_WORDS[key]] as const)}
          onPick={(least) =>
            editRow("hikers", hiker.id, `${firstName(hiker)}: fill for ${LEAST_WORDS[least].toLowerCase()}`, (row) => {
              row.fill.least = least;
            })
          }
        />
        <Reserve hiker={hiker} />
        {hiker.menus.legs.length > 0 && (
          <button className="btn" onClick={() => usualEverywhere(hiker)}>
            Use the default menu everywhere
          </button>
        )}
        {fraction !== undefined && <Progress label="Filling food bags" fraction={fraction} onStop={stop} />}
        <span className="text-muted" role="status" data-testid="fill-says">
          {fraction === undefined && rows.length > 0 && fillWords(rows, hiker, say)}
        </span>
      </div>
      <NeedLane days={days} result={result} line={line} legIndex={leg.index} top={say.kcal(mostKcal)} />
      <div className="px-[18px]">
        <Fold
          className="border-y border-rule py-1.5"
          titleClass="text-sm font-semibold"
          title="Limits for a filled food bag"
        >
          <FillLimits plan={plan} who={who} />
        </Fold>
      </div>
      <div className="grid grid-cols-1 gap-x-8 gap-y-5 px-[18px] py-3 min-[1000px]:grid-cols-[minmax(0,8fr)_minmax(0,5fr)]">
        <section aria-label="Menus" className="min-w-0">
          <h2 className="m-0 mb-1 text-lg font-bold">Menus for {legName}</h2>
          <LegDays
            plan={plan}
            hiker={hiker}
            fromStopId={leg.fromStopId}
            legName={legName}
            days={legDays}
            onChoose={setMenuId}
          />
          <Pick
            label="Menu"
            value={looked!.id}
            options={plan.menus.map(({ id, name }) => [id, name] as const)}
            onPick={setMenuId}
          />
          <MenuCard
            plan={plan}
            menu={looked!}
            day={dayMenu(menuFigures(looked!, pantry), needKcal)}
            onChoose={setMenuId}
          />
        </section>
        <BagPanel
          plan={plan}
          result={result}
          hiker={hiker}
          who={who}
          leg={leg}
          from={stopName(plan, leg.fromStopId)}
          bag={bag}
        />
      </div>
      <div className="px-[18px]">
        <Fold className="border-t border-rule py-2" titleClass="text-sm font-semibold" title="Compare menus">
          <MenuTable
            plan={plan}
            hiker={hiker}
            pantry={pantry}
            needKcal={needKcal}
            chosen={looked!.id}
            onChoose={setMenuId}
          />
        </Fold>
        <Fold
          className="border-t border-rule py-2"
          titleClass="text-sm font-semibold"
          title="Shopping, packing and mixing lists"
        >
          <Shopping plan={plan} bags={bags} legIndex={leg.index} />
        </Fold>
        <div className="border-t border-rule pt-3">
          <PantryTable plan={plan} pantry={pantry} />
        </div>
      </div>
    </div>
  );
}

function meanOf(values: readonly number[]): number {
  const sum = values.reduce((all, value) => all + value, 0);
  return values.length > 0 && sum > 0 ? sum / values.length : 2500;
}

const RESERVES = [
  ["none", "no reserve"],
  ["half", "half a day’s reserve"],
  ["day", "one day’s reserve"],
  ["share", "10 % reserve"],
] as const;
type ReserveChoice = (typeof RESERVES)[number][0];
const RESERVE_OF: Readonly<Record<ReserveChoice, Pick<Hiker["food"], "reserveDays" | "reserveFraction">>> = {
  none: { reserveDays: 0, reserveFraction: 0 },
  half: { reserveDays: 0.5, reserveFraction: 0 },
  day: { reserveDays: 1, reserveFraction: 0 },
  share: { reserveDays: 0, reserveFraction: 0.1 },
};

/** The usual ways; its figures by themselves are in Trip, Need. */
function Reserve({ hiker }: { hiker: Hiker }) {
  const { reserveDays, reserveFraction } = hiker.food;
  const now = RESERVES.find(([choice]) => {
    const of = RESERVE_OF[choice];
    return of.reserveDays === reserveDays && of.reserveFraction === reserveFraction;
  })?.[0];
  const own = `${Math.round(100 * reserveFraction)} % reserve, at least ${reserveDays} days`;
  return (
    <Pick<ReserveChoice | "own">
      bare
      label="Reserve"
      value={now ?? "own"}
      options={now ? RESERVES : [["own", own], ...RESERVES]}
      onPick={(choice) => {
        if (choice === "own") return;
        editRow("hikers", hiker.id, `${firstName(hiker)}: food reserve`, (row) => {
          Object.assign(row.food, RESERVE_OF[choice]);
        });
      }}
    />
  );
}

function FillLimits({ plan, who }: { plan: Plan; who: number }) {
  const hiker = plan.hikers[who]!;
  const set = (label: string, recipe: (fill: (typeof hiker)["fill"]) => void): void =>
    void editRow("hikers", hiker.id, `${firstName(hiker)}: ${label}`, (row) => recipe(row.fill));
  const field = (
    key: "proteinGPerKg" | "sodiumMgADay" | "mostFatFraction" | "mostOfOneADay" | "dinnersInFive",
    label: string,
  ) => (
    <FieldNumber
      path={`hikers.fill.${key}`}
      label={label}
      value={hiker.fill[key]}
      units={plan.trip.units}
      onCommit={(value) => set(label.toLowerCase(), (fill) => void (fill[key] = value))}
    />
  );
  return (
    <div className="flex flex-wrap items-start gap-x-5 gap-y-2 pt-2">
      {field("proteinGPerKg", "Protein per kg of body weight, per day")}
      {field("sodiumMgADay", "Sodium a day, minimum")}
      {field("mostFatFraction", "Energy from fat, maximum")}
      {field("mostOfOneADay", "Portions of one food a day, maximum")}
      {field("dinnersInFive", "Kinds of dinner in five days, minimum")}
      <TypedText
        label="Exclude tags"
        shown={hiker.fill.without.join(", ")}
        placeholder="nuts, milk, …"
        read={(text) => ({
          value: text
            .split(",")
            .flatMap((tag) => tag.trim() || [])
            .slice(0, 20),
        })}
        show={(tags) => tags.join(", ")}
        onCommit={(without) => set("excluded tags", (fill) => void (fill.without = without))}
      />
      <p className="m-0 max-w-[48ch] text-xs text-muted">
        Also: what the stop sells, what your stove allows, the bear canister, and a share of energy for each meal. Tags
        are your own words: for an allergy, rely on the label and medical advice.
      </p>
    </div>
  );
}

function fillWords(rows: readonly FillAnswer[], { fill }: Hiker, say: Say): string {
  const [one] = rows;
  if (rows.length === 1 && one) {
    const { answer, legIndex, beforeG } = one;
    const name = `Leg ${legIndex + 1}`;
    if ("impossible" in answer) {
      const most = `The most you can reach within the limits is ${say.kcal(answer.mostEnergyKcal)}.`;
      return answer.impossible.length > 0
        ? `${name}: no bag fits all your limits. It would without ${listOf(answer.impossible, "or")}. ${most}`
        : `${name}: no bag fits all your limits, even with any one of them dropped. ${most}`;
    }
    const varied =
      answer.varietyG === undefined || answer.varietyG < 1
        ? ""
        : ` The same food every day would be ${say.g(answer.varietyG)} lighter.`;
    const limitedBy = answer.binding.length > 0 ? ` Limited by ${listOf(answer.binding, "and")}.` : "";
    const sure = answer.proven
      ? "no better bag exists"
      : `no bag is more than ${say.number(answer.gap, 1)} ${GAP_UNITS[fill.least]} better`;
    return `${name}: ${say.g(answer.figures.massG)} instead of ${say.g(beforeG)}, ${say.number(answer.figures.energyKcal / answer.figures.massG, 2)} kcal/g; ${sure}.${limitedBy}${varied}`;
  }
  const good = rows.filter(({ answer }) => !("impossible" in answer));
  const massG = good.reduce((sum, { answer }) => sum + ("figures" in answer ? answer.figures.massG : 0), 0);
  const beforeG = good.reduce((sum, row) => sum + row.beforeG, 0);
  const not = rows.filter(({ answer }) => "impossible" in answer).map(({ legIndex }) => legIndex + 1);
  const left =
    not.length > 0 ? ` Not possible within the limits on leg ${not.join(", ")}: fill that leg alone to see why.` : "";
  return `${good.length} bags: ${say.kg(massG / 1000)} instead of ${say.kg(beforeG / 1000)} in total.${left}`;
}

const GAP_UNITS = { mass: "g", money: "of money", cooking: "min" } as const;

function listOf(limits: readonly Limit[], word: "and" | "or"): string {
  const words = limits.map((limit) => LIMIT_WORDS[limit]);
  return words.length < 2 ? (words[0] ?? "") : `${words.slice(0, -1).join(", ")} ${word} ${words.at(-1)}`;
}
