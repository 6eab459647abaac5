/** All menus at the same need, by the day and over the whole hike: what each weighs, takes of water, stove and money. */
import { useState } from "react";
import {
  DAY_MEALS,
  dayMenu,
  menuFigures,
  NO_FOOD,
  plusFood,
  type FoodFigures,
  type Hiker,
  type Menu,
  type MenuOnHike,
  type Pantry,
  type Plan,
} from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { Progress } from "../../ui/Progress.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { firstName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

interface Props {
  plan: Plan;
  hiker: Hiker;
  pantry: Pantry;
  needKcal: number;
  chosen: string;
  onChoose: (id: string) => void;
}

export function MenuTable({ plan, hiker, pantry, needKcal, chosen, onChoose }: Props) {
  const say = sayIn(plan);
  const { rows, fraction, start, stop } = usePlanRun<MenuOnHike>(plan);
  const [whoseId, setWhoseId] = useState<string>();
  const days = new Map(
    plan.menus.map((menu): [string, FoodFigures] => {
      const { meals } = dayMenu(menuFigures(menu, pantry), needKcal);
      return [menu.id, DAY_MEALS.reduce((sum, meal) => plusFood(sum, meals[meal]), NO_FOOD)];
    }),
  );
  const hikes = new Map(whoseId === hiker.id ? rows.map((row) => [row.menuId, row]) : []);
  const ofDay = (head: string, show: (of: FoodFigures) => string): Column<Menu> => ({
    id: head,
    head,
    right: true,
    cell: ({ id }) => show(days.get(id)!),
  });
  const ofHike = (head: string, show: (of: MenuOnHike) => string): Column<Menu> => ({
    id: `hike ${head}`,
    head,
    right: true,
    cell: ({ id }) => {
      const row = hikes.get(id);
      return row ? show(row) : "";
    },
  });
  const name: Column<Menu> = { id: "name", head: "menu", names: true, cell: (menu) => menu.name };
  const table = (label: string, columns: Column<Menu>[]) => (
    <Table<Menu>
      label={label}
      columns={[name, ...columns]}
      rows={plan.menus}
      idOf={({ id }) => id}
      chosen={[chosen]}
      onChoose={onChoose}
    />
  );
  const compare = (): void => {
    setWhoseId(hiker.id);
    start(
      ({ menus }) => menus.length,
      (now, onRow, signal) => calculator().compareMenus({ plan: now, hikerId: hiker.id }, onRow, signal),
    );
  };
  return (
    <>
      <p className="my-1 text-sm text-muted">Each menu scaled to a day of {say.kcal(needKcal)}.</p>
      {table("Compare menus", [
        ofDay("weighs", ({ massG }) => say.g(massG)),
        ofDay("kcal/g", ({ energyKcal, massG }) => say.number(energyKcal / Math.max(1, massG), 2)),
        ofDay("packed", ({ volumeL }) => say.L(volumeL)),
        ofDay("protein", ({ proteinG }) => say.g(proteinG)),
        ofDay("water", ({ waterL }) => say.L(waterL)),
        ofDay("boiled", ({ boiledL }) => say.L(boiledL)),
        ofDay("money", ({ price }) => say.money(price, 2)),
      ])}
      <div className="mt-3 mb-1 flex flex-wrap items-center gap-3 text-sm">
        <button className="btn" onClick={compare} disabled={fraction !== undefined}>
          Compare over the whole hike
        </button>
        {fraction !== undefined && <Progress label="Calculating each menu" fraction={fraction} onStop={stop} />}
        <span className="text-muted">
          {hikes.size > 0
            ? `If ${firstName(hiker)} ate this menu every day and no other; the stove is still carried.`
            : "Food, fuel and pack weight if you ate one menu every day."}
        </span>
      </div>
      {hikes.size > 0 &&
        table("Menus over the whole hike", [
          ofHike("food", ({ foodKg }) => say.kg(foodKg)),
          ofHike("largest food bag", ({ mostL }) => say.L(mostL)),
          ofHike("fuel", ({ fuelKg }) => say.kg(fuelKg, 2)),
          ofHike("water carried to camp", ({ campL }) => say.L(campL)),
          ofHike("money", ({ money }) => say.money(money, 2)),
          ofHike("heaviest", ({ heaviestKg }) => say.kg(heaviestKg)),
          ofHike("kg·km", ({ kgKm }) => say.number(kgKm)),
        ])}
    </>
  );
}
