/** One menu: its meals with grams to edit, and what a day of it brings at the leg's need. */
import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type Active,
  type Announcements,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
  type Over,
} from "@dnd-kit/core";
import { GripVertical, TrendingUp, X } from "lucide-react";
import type { ReactNode } from "react";
import {
  DAY_MEALS,
  MEALS,
  NO_FOOD,
  plusFood,
  type DayMenu,
  type Food,
  type Meal,
  type Menu,
  type Plan,
} from "@gepack/core";
import { addItem, changeItem, copyMenu, editMenu, moveItem, removeItem } from "../../edit/food.ts";
import { removeRows } from "../../edit/rows.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { sayIn } from "../../words/say.ts";
import { MEAL_WORDS } from "../../words/food.ts";
import { FoodPick } from "./FoodPick.tsx";
import { byId } from "./pantry.ts";
import { AddButton } from "../../ui/AddButton.tsx";

interface Props {
  plan: Plan;
  menu: Menu;
  /** A day of it at the need that is looked at. */
  day: DayMenu;
  onChoose: (id: string) => void;
}

export function MenuCard({ plan, menu, day, onChoose }: Props) {
  const say = sayIn(plan);
  const all = DAY_MEALS.reduce((sum, meal) => plusFood(sum, day.meals[meal]), NO_FOOD);
  const minutes = minutesOf(plan, menu);
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER), useSensor(KeyboardSensor, BY_KEYS));
  const drop = ({ active, over }: DragEndEvent): void => {
    const dragged = active.data.current as Dragged | undefined;
    if (dragged && over) moveItem(menu, dragged.meal, over.id as Meal, dragged.itemId, dragged.food.name);
  };
  return (
    <div data-testid="menu">
      <div className="mt-2 mb-1 flex flex-wrap items-end gap-2">
        <NameField
          bare
          label="Menu name"
          value={menu.name}
          onCommit={(name) => editMenu(menu, "name", (row) => void (row.name = name))}
        />
        <AddButton list="menus" rows={plan.menus} onClick={() => onChoose(copyMenu(menu))}>
          Duplicate
        </AddButton>
        {plan.menus.length > 1 && (
          <button className="btn" onClick={() => removeRows("menus", [menu.id], `Remove the menu ${menu.name}`)}>
            Remove
          </button>
        )}
      </div>
      <p className="m-0 text-sm text-muted" data-testid="menu-sum">
        {say.kcal(all.energyKcal)}, {say.g(all.massG)}, {say.number(all.energyKcal / Math.max(1, all.massG), 2)} kcal/g;{" "}
        {say.g(all.proteinG)} protein, {say.number(all.sodiumMg / 1000, 1)} g sodium; {say.L(all.volumeL)} packed;{" "}
        {say.L(all.waterL)} water, {minutes} min of cooking; {say.money(all.price, 2)}
      </p>
      <DndContext sensors={sensors} onDragEnd={drop} accessibility={{ announcements: SAID }}>
        {MEALS.map((meal) => (
          <MealPlace key={meal} meal={meal}>
            <h3 className="m-0 mb-1 flex justify-between text-sm font-semibold">
              {MEAL_WORDS[meal]}
              {meal !== "drinks" && <span>{say.kcal(day.meals[meal].energyKcal)}</span>}
            </h3>
            <Items plan={plan} menu={menu} meal={meal} scale={day.scale} />
          </MealPlace>
        ))}
      </DndContext>
    </div>
  );
}

/** What is being dragged, and out of which meal. */
interface Dragged {
  meal: Meal;
  itemId: string;
  food: Food;
}

/** Up and down go from meal to meal. */
const nextMeal: KeyboardCoordinateGetter = (
  { code },
  { currentCoordinates, context: { active, over, droppableRects } },
) => {
  const by = code === "ArrowDown" ? 1 : code === "ArrowUp" ? -1 : 0;
  if (by === 0) return undefined;
  const at = MEALS.indexOf((over?.id ?? (active?.data.current as Dragged | undefined)?.meal) as Meal);
  const next = MEALS[at + by];
  const rect = next && droppableRects.get(next);
  return rect ? { x: currentCoordinates.x, y: rect.top + 4 } : undefined;
};
/** What is held may be gone by an edit or by undo. */
const nameOf = ({ data }: Active): string => (data.current as Dragged | undefined)?.food.name ?? "The item";
const mealWords = (target: Over | null, where: string): string =>
  target ? `${where} ${MEAL_WORDS[target.id as Meal]}` : "outside the meals";
/** For who hears what happens. */
const SAID: Announcements = {
  onDragStart: ({ active }) => `Picked up ${nameOf(active)}.`,
  onDragOver: ({ active, over: target }) => `${nameOf(active)} is ${mealWords(target, "over")}.`,
  onDragEnd: ({ active, over: target }) => `Dropped ${nameOf(active)} ${mealWords(target, "into")}.`,
  onDragCancel: ({ active }) => `${nameOf(active)} stays where it was.`,
};

const BY_KEYS = { coordinateGetter: nextMeal };
const BY_POINTER = { activationConstraint: { distance: 3 } };

function MealPlace({ meal, children }: { meal: Meal; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: meal });
  return (
    <section
      ref={setNodeRef}
      aria-label={MEAL_WORDS[meal]}
      className={`border-t border-rule py-2 ${isOver ? "bg-pine-wash" : ""}`}
    >
      {children}
    </section>
  );
}

/** Takes a food by the handle to another meal: dragged, or Space, arrow keys and Space. */
function Grip({ meal, food, itemId }: Dragged) {
  const { setNodeRef, listeners, attributes, transform } = useDraggable({
    id: `${meal} ${itemId}`,
    data: { meal, food, itemId } satisfies Dragged,
  });
  return (
    <button
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      className="cursor-grab touch-none text-muted"
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      aria-label={`Move ${food.name} to another meal`}
    >
      <GripVertical size={13} aria-hidden="true" />
    </button>
  );
}

function Items({ plan, menu, meal, scale }: { plan: Plan; menu: Menu; meal: Meal; scale: number }) {
  const foods = byId(plan.foods);
  return (
    <ul className="m-0 flex list-none flex-wrap items-start gap-1.5 p-0">
      {menu.meals[meal].map((item) => {
        const food = foods.get(item.foodId);
        if (!food) return null;
        return (
          <li key={item.id} className="flex items-center gap-1 rounded border border-rule px-1.5 py-px text-sm">
            <Grip meal={meal} food={food} itemId={item.id} />
            {food.name}
            <FieldNumber
              bare
              className="w-[54px] text-right"
              path="menus.meals.breakfast.massG"
              label={`${food.name} at ${MEAL_WORDS[meal].toLowerCase()}`}
              value={item.massG}
              units={plan.trip.units}
              onCommit={(massG) => changeItem(menu, meal, item.id, food.name, (row) => void (row.massG = massG))}
            />
            <button
              className="cursor-pointer px-0.5"
              aria-pressed={item.grows}
              aria-label={`Eat more ${food.name} on days that need more`}
              title={
                item.grows
                  ? `${Math.round(item.massG * scale)} g at this day’s need. It grows with your need; click to keep it fixed.`
                  : "The same every day; click to let it grow with your need."
              }
              onClick={() =>
                changeItem(menu, meal, item.id, `${food.name} ${item.grows ? "stays" : "grows"}`, (row) => {
                  row.grows = !row.grows;
                })
              }
            >
              <TrendingUp size={13} aria-hidden="true" className={item.grows ? "text-pine" : "text-muted opacity-40"} />
            </button>
            <button
              className="cursor-pointer text-muted"
              aria-label={`Remove ${food.name} from ${menu.name}`}
              onClick={() => removeItem(menu, meal, item.id, food.name)}
            >
              <X size={13} aria-hidden="true" />
            </button>
          </li>
        );
      })}
      <li>
        <FoodPick
          foods={plan.foods}
          label={`Add to ${MEAL_WORDS[meal].toLowerCase()}`}
          onPick={(food) => addItem(menu, meal, food)}
        />
      </li>
    </ul>
  );
}

/** Dishes one after the other on one stove. */
function minutesOf(plan: Plan, menu: Menu): number {
  const foods = byId(plan.foods);
  let minutes = 0;
  for (const meal of MEALS) for (const { foodId } of menu.meals[meal]) minutes += foods.get(foodId)?.minutes ?? 0;
  return minutes;
}
