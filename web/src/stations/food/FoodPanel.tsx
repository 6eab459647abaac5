/** One food whole: its figures, how it is eaten, what a mix is made of. */
import { X } from "lucide-react";
import { BOUGHT_IN, EATEN, MEALS, holdsItself, type Food, type Pantry, type Plan } from "@gepack/core";
import { addPart, changePart, editFood, removePart } from "../../edit/food.ts";
import { Fields, FieldRows, type FieldRow } from "../../ui/FieldNumber.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { NumberField } from "../../ui/NumberField.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { TypedText } from "../../ui/TypedText.tsx";
import { fixed } from "../../units/quantity.ts";
import { BOUGHT_WORDS, EATEN_WORDS, MEAL_WORDS } from "../../words/food.ts";
import { FoodPick } from "./FoodPick.tsx";

const NUTRIENTS: FieldRow[] = [
  ["energyKcal", "Energy per 100 g"],
  ["proteinG", "Protein per 100 g"],
  ["fatG", "Fat per 100 g"],
  ["carbohydrateG", "Carbohydrate per 100 g"],
  ["fibreG", "Fibre per 100 g"],
  ["sodiumMg", "Sodium per 100 g"],
  ["bulkKgPerL", "Packed volume"],
  ["price", "Price per 100 g"],
];
const USE: FieldRow[] = [
  ["portionG", "Portion"],
  ["waterL", "Water to prepare 100 g"],
  ["minutes", "Cooking time"],
  ["soakH", "Soaking time"],
  ["keepsDays", "Shelf life once opened, at 20 °C"],
];

interface Props {
  plan: Plan;
  food: Food;
  pantry: Pantry;
}

export function FoodPanel({ plan, food, pantry }: Props) {
  const { units } = plan.trip;
  const isMix = food.parts.length > 0;
  const record = {
    of: "foods",
    record: food,
    units,
    change: (label: string, recipe: (row: Food) => void) => editFood(food, label.toLowerCase(), recipe),
  };
  const inItself = isMix && holdsItself(food, plan.foods);
  return (
    <div className="sticky top-2 self-start border-t border-rule pt-3" data-testid="food-panel">
      <div className="mb-2 flex flex-wrap items-end gap-x-4 gap-y-2">
        <NameField
          label="Name"
          value={food.name}
          onCommit={(name) => editFood(food, "name", (row) => void (row.name = name))}
        />
        <Pick
          label="Eaten"
          value={food.eaten}
          options={EATEN.map((key) => [key, EATEN_WORDS[key]] as const)}
          onPick={(eaten) => editFood(food, "how you eat it", (row) => void (row.eaten = eaten))}
        />
        <Pick
          label="Mostly for"
          value={food.meal}
          options={MEALS.map((key) => [key, MEAL_WORDS[key]] as const)}
          onPick={(meal) => editFood(food, "meal", (row) => void (row.meal = meal))}
        />
        {!isMix && (
          <Pick
            label="Available at"
            value={food.boughtIn}
            options={BOUGHT_IN.map((key) => [key, BOUGHT_WORDS[key]] as const)}
            onPick={(boughtIn) => editFood(food, "where it’s available", (row) => void (row.boughtIn = boughtIn))}
          />
        )}
        <TypedText
          label="Tags"
          shown={food.tags.join(", ")}
          placeholder="nuts, milk, …"
          read={readTags}
          show={(tags) => tags.join(", ")}
          onCommit={(tags) => editFood(food, "tags", (row) => void (row.tags = tags))}
        />
      </div>
      <Fields title={isMix ? "Preparation" : "Nutrition"}>
        <FieldRows id={food.id} {...record} list={isMix ? USE : [...NUTRIENTS, ...USE]} />
      </Fields>
      <section aria-label="Ingredients" className="mt-3">
        <h3 className="m-0 mb-1 text-sm font-bold">{isMix ? "Ingredients" : "Make this a mix of other foods"}</h3>
        {inItself && (
          <p role="alert" className="m-0 mb-1 text-sm text-danger">
            This mix contains itself, directly or through one of its parts; that share is ignored. Remove it from its
            parts.
          </p>
        )}
        <ul className="m-0 flex list-none flex-wrap gap-2 p-0">
          {food.parts.map((part) => {
            const name = plan.foods.find(({ id }) => id === part.foodId)?.name ?? "a food that no longer exists";
            return (
              <li key={part.id} className="flex items-center gap-1 rounded border border-rule px-2 py-0.5 text-sm">
                {name}
                <NumberField
                  bare
                  className="w-[62px] text-right"
                  label={`${name} in ${food.name}`}
                  value={part.massG}
                  units={units}
                  kind="smallMass"
                  min={0}
                  max={20_000}
                  onCommit={(massG) => changePart(food, part.id, name, massG)}
                />
                <button
                  className="icon-btn"
                  aria-label={`remove ${name} from ${food.name}`}
                  onClick={() => removePart(food, part.id, name)}
                >
                  <X size={13} aria-hidden="true" />
                </button>
              </li>
            );
          })}
          <li>
            <FoodPick
              foods={plan.foods.filter(({ id }) => id !== food.id && !food.parts.some(({ foodId }) => foodId === id))}
              label={`Add to ${food.name}`}
              onPick={(part) => addPart(food, part)}
            />
          </li>
        </ul>
      </section>
      <p className="mt-2 mb-0 text-xs text-muted">
        {isMix && `100 g bring ${fixed(100 * (pantry.get(food.id)?.energyKcal ?? 0), 0)} kcal. `}
        Source: {food.source === "" ? "yours" : food.source}. The label on the packet comes first, above all for
        allergies.
      </p>
    </div>
  );
}

function readTags(text: string): { value: string[] } | { error: string } {
  const tags = [...new Set(text.split(",").flatMap((tag) => tag.trim() || []))];
  if (tags.length > 12) return { error: "Up to 12 tags, separated by commas." };
  return tags.some((tag) => tag.length > 60) ? { error: "Keep a tag to one or two words." } : { value: tags };
}
