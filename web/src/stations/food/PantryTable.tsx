/** All foods and own mixes, per 100 g: found, sorted, edited in place; the chosen one whole below. */
import { useMemo, useState } from "react";
import Papa from "papaparse";
import type { Food, Pantry, Plan } from "@gepack/core";
import { addFood, editFood } from "../../edit/food.ts";
import { removeRows } from "../../edit/rows.ts";
import { DataTable } from "../../ui/DataTable.tsx";
import { RecordField } from "../../ui/FieldNumber.tsx";
import type { Column } from "../../ui/Table.tsx";
import { fixed } from "../../units/quantity.ts";
import { FoodPanel } from "./FoodPanel.tsx";
import { FoodImport } from "./FoodImport.tsx";
import { AddButton } from "../../ui/AddButton.tsx";

interface Props {
  plan: Plan;
  pantry: Pantry;
}

export function PantryTable({ plan, pantry }: Props) {
  const [chosenId, setChosenId] = useState<string>();
  const [offered, setOffered] = useState<File>();
  const { foods } = plan;
  const { units } = plan.trip;
  const columns = useMemo((): Column<Food>[] => {
    const of = (food: Food, key: "energyKcal" | "price"): number => 100 * (pantry.get(food.id)?.[key] ?? 0);
    const density = (food: Food): number => of(food, "energyKcal") / 100;
    const bulk = (food: Food): number => 0.001 / (pantry.get(food.id)?.volumeL || Infinity);
    const cell = (food: Food, path: "energyKcal" | "price", label: string, digits: number) =>
      food.parts.length > 0 ? (
        fixed(of(food, path), digits)
      ) : (
        <RecordField
          of="foods"
          record={food}
          units={units}
          path={path}
          label={`${label} of ${food.name}`}
          bare
          className="w-[52px] text-right"
          change={(what, recipe) => editFood(food, what.toLowerCase(), recipe)}
        />
      );
    return [
      {
        id: "name",
        head: "food",
        names: true,
        wide: true,
        sort: ({ name }) => name.toLowerCase(),
        cell: ({ name, parts }) => (
          <>
            {name} {parts.length > 0 && <span className="text-xs font-normal text-muted">your mix</span>}
          </>
        ),
      },
      {
        id: "kcal",
        head: "kcal",
        right: true,
        sort: (food) => of(food, "energyKcal"),
        cell: (food) => cell(food, "energyKcal", "Energy", 0),
      },
      { id: "density", head: "kcal/g", right: true, from: 561, sort: density, cell: (food) => fixed(density(food), 1) },
      { id: "bulk", head: "kg/L", right: true, from: 561, sort: bulk, cell: (food) => fixed(bulk(food), 2) },
      {
        id: "price",
        head: "price",
        right: true,
        sort: (food) => of(food, "price"),
        cell: (food) => cell(food, "price", "Price", 2),
      },
    ];
  }, [pantry, units]);
  const chosen = foods.find(({ id }) => id === chosenId);
  const mixes = foods.filter(({ parts }) => parts.length > 0).length;
  return (
    <section aria-label="Pantry" className="min-w-0">
      <h2 className="m-0 mb-1 text-lg font-bold">
        Pantry{" "}
        <span className="text-sm font-medium text-muted">
          {foods.length - mixes} foods, {mixes} mixes, per 100 g
        </span>
      </h2>
      <div className="grid grid-cols-1 gap-x-8 gap-y-3 min-[1000px]:grid-cols-[minmax(0,6fr)_minmax(0,5fr)]">
        <DataTable<Food>
          label="Foods"
          columns={columns}
          rows={foods}
          idOf={idOf}
          textOf={textOf}
          find="Find a food or a tag"
          chosen={chosenId}
          still
          onChoose={setChosenId}
          onRemove={(ids) =>
            removeRows("foods", ids, ids.length === 1 ? "Remove a food" : `Remove ${ids.length} foods`)
          }
          onPaste={(cells) => setOffered(new File([Papa.unparse(cells, { delimiter: "\t" })], "Paste rows"))}
          domId={domId}
          tools={
            <>
              <AddButton list="foods" rows={plan.foods} onClick={() => setChosenId(addFood("New food"))}>
                Food
              </AddButton>
              <FoodImport plan={plan} file={offered} onFile={setOffered} />
            </>
          }
          empty="No foods yet."
        />
        {chosen && <FoodPanel plan={plan} food={chosen} pantry={pantry} />}
      </div>
    </section>
  );
}

const idOf = ({ id }: Food): string => id;
const textOf = ({ name, tags }: Food): string => `${name} ${tags.join(" ")}`;
const domId = ({ id }: Food): string => `food-${id}`;
