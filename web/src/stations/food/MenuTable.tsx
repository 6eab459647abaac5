/** All menus at the same need: what each weighs, takes of water, stove and money. Cooked, soaked, ready or one's own. */
import {
  DAY_MEALS,
  dayMenu,
  menuFigures,
  NO_FOOD,
  plusFood,
  type FoodFigures,
  type Menu,
  type Pantry,
  type Plan,
} from "@gepack/core";
import { Table, type Column } from "../../ui/Table.tsx";
import { sayIn } from "../../words/say.ts";
import { moneyOf } from "./MenuCard.tsx";

interface Props {
  plan: Plan;
  pantry: Pantry;
  needKcal: number;
  chosen: string;
  onChoose: (id: string) => void;
}

export function MenuTable({ plan, pantry, needKcal, chosen, onChoose }: Props) {
  const say = sayIn(plan);
  const figures = new Map(
    plan.menus.map((menu): [string, FoodFigures] => {
      const { meals } = dayMenu(menuFigures(menu, pantry), needKcal);
      return [menu.id, DAY_MEALS.reduce((sum, meal) => plusFood(sum, meals[meal]), NO_FOOD)];
    }),
  );
  const of = (head: string, show: (of: FoodFigures) => string): Column<Menu> => ({
    id: head,
    head,
    right: true,
    cell: ({ id }) => show(figures.get(id)!),
  });
  return (
    <>
      <p className="my-1 text-sm text-muted">A day of {say.kcal(needKcal)} by each menu.</p>
      <Table<Menu>
        label="Menus side by side"
        columns={[
          { id: "name", head: "menu", names: true, cell: ({ name }) => name },
          of("weighs", ({ massG }) => say.g(massG)),
          of("kcal/g", ({ energyKcal, massG }) => say.number(energyKcal / Math.max(1, massG), 2)),
          of("packed", ({ volumeL }) => say.L(volumeL)),
          of("protein", ({ proteinG }) => say.g(proteinG)),
          of("water", ({ waterL }) => say.L(waterL)),
          of("boiled", ({ boiledL }) => say.L(boiledL)),
          of("money", ({ price }) => moneyOf(price, plan)),
        ]}
        rows={plan.menus}
        idOf={({ id }) => id}
        chosen={[chosen]}
        onChoose={onChoose}
      />
    </>
  );
}
