/** What is bought at every stop, what each box brings, and how the own mixes are made: to tick off, to print, to save. */
import { useState } from "react";
import type { LegBag, Plan, ShoppingItem, ShoppingList } from "@gepack/core";
import { shoppingLists } from "@gepack/core";
import { saveCsv, saveXlsx, type Sheet } from "../../exports/sheets.ts";
import { ticksOf, type TickList } from "../../edit/ticks.ts";
import { counted } from "../../words/counted.ts";
import { stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { byId } from "./pantry.ts";

interface Props {
  plan: Plan;
  /** Of every hiker. */
  bags: readonly (readonly LegBag[])[];
  legIndex: number;
}

/** Ticks of what is bought and packed start so. */
const BUYING = "buy ";

const PARTS = [
  ["bought", "Buy"],
  ["box", "Pack"],
  ["nowhere", "Not sold there: mail it ahead, or change the menu"],
] as const;

export function Shopping({ plan, bags, legIndex }: Props) {
  const [all, setAll] = useState(false);
  const lists = shoppingLists(bags, plan.foods);
  const shown = all ? lists : lists.filter((list) => list.legIndex === legIndex);
  const name = (stopId: string): string => stopName(plan, stopId);
  const ticks = ticksOf(plan);
  const fileName = `${plan.trip.name} shopping`;
  const sheet = sheetOf(plan, lists);
  return (
    <div data-testid="shopping">
      <div className="my-2 flex flex-wrap items-center gap-3 text-sm">
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={all} onChange={(event) => setAll(event.target.checked)} /> All stops
        </label>
        <button className="btn" onClick={() => window.print()}>
          Print
        </button>
        <button className="btn" onClick={() => saveCsv(fileName, sheet)}>
          CSV
        </button>
        <button className="btn" onClick={() => void saveXlsx(fileName, [sheet])}>
          XLSX
        </button>
        <button className="btn" onClick={() => ticks.clear(BUYING)}>
          Clear all ticks
        </button>
        <span className="text-muted">For the whole party, in whole packages. Ticks are part of the plan.</span>
      </div>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(290px,1fr))] gap-x-6 gap-y-3">
        {shown.map((list) => (
          <List key={list.legIndex} plan={plan} list={list} name={name(list.stopId)} ticks={ticks} />
        ))}
      </div>
      {shown.length === 0 && <p className="text-sm text-muted">No menu food on this leg.</p>}
      <Mixing plan={plan} lists={shown} />
    </div>
  );
}

function List({ plan, list, name, ticks }: { plan: Plan; list: ShoppingList; name: string; ticks: TickList }) {
  const say = sayIn(plan);
  return (
    <section aria-label={`Lists for ${name}`} className="break-inside-avoid">
      <h3 className="m-0 text-sm font-bold">
        {name}, for leg {list.legIndex + 1}
      </h3>
      {PARTS.map(([part, word]) => {
        const items = list[part];
        if (items.length === 0) return null;
        const price = items.reduce((sum, item) => sum + item.price, 0);
        return (
          <div key={part} className="mt-1">
            <h4 className={`m-0 text-xs font-semibold ${part === "nowhere" ? "text-danger" : "text-muted"}`}>
              {word}, {say.money(price, 2)}
            </h4>
            <ul className="m-0 list-none p-0 text-sm">
              {items.map((item) => {
                const key = `${BUYING}${list.stopId} ${item.food.id}`;
                return (
                  <li key={item.food.id}>
                    <label className="flex items-baseline gap-2">
                      <input
                        type="checkbox"
                        checked={ticks.isTicked(key)}
                        onChange={(event) => ticks.tick(key, event.target.checked)}
                      />
                      <span className={`flex-1 ${ticks.isTicked(key) ? "text-muted line-through" : ""}`}>
                        {item.food.name}
                      </span>
                      <span className="text-muted">{packsOf(item)}</span>
                      {say.g(item.massG)}
                    </label>
                  </li>
                );
              })}
            </ul>
          </div>
        );
      })}
    </section>
  );
}

function sheetOf(plan: Plan, lists: readonly ShoppingList[]): Sheet {
  return {
    name: "Shopping",
    heads: ["stop", "leg", "action", "food", "g", "packs", `price${plan.resupply.money && `, ${plan.resupply.money}`}`],
    rows: lists.flatMap((list) =>
      PARTS.flatMap(([part, word]) =>
        list[part].map(({ food, massG, packs, price }) => [
          stopName(plan, list.stopId),
          list.legIndex + 1,
          word,
          food.name,
          Math.round(massG),
          packs,
          Math.round(100 * price) / 100,
        ]),
      ),
    ),
  };
}

function packsOf({ packs, food }: ShoppingItem): string {
  return packs === undefined || food.parts.length > 0 ? "" : `${packs} × ${food.packG} g`;
}

/** Own mixes of the lists that are shown: how much of each part for all of it, and what the bag's label says. */
function Mixing({ plan, lists }: { plan: Plan; lists: readonly ShoppingList[] }) {
  const say = sayIn(plan);
  const foods = byId(plan.foods);
  const grams = new Map<string, number>();
  for (const list of lists)
    for (const { id, massG } of [
      ...list.mixes,
      ...[...list.box, ...list.nowhere].flatMap(({ food, massG: g }) =>
        food.parts.length > 0 ? [{ id: food.id, massG: g }] : [],
      ),
    ])
      grams.set(id, (grams.get(id) ?? 0) + massG);
  if (grams.size === 0) return null;
  return (
    <section aria-label="Mixing" className="mt-4">
      <h3 className="m-0 text-sm font-bold">Mixes to prepare</h3>
      <ul className="m-0 list-none p-0 text-sm">
        {[...grams].map(([id, massG]) => {
          const mix = foods.get(id)!;
          const allG = mix.parts.reduce((sum, part) => sum + part.massG, 0);
          const bagsCount = Math.max(1, Math.round(massG / mix.portionG));
          return (
            <li key={id} className="mb-1.5 break-inside-avoid">
              <b>
                {mix.name}, {say.g(massG)}
              </b>{" "}
              in {counted(bagsCount, "bag")}:{" "}
              {mix.parts
                .map(
                  (part) => `${foods.get(part.foodId)?.name ?? "?"} ${say.g((part.massG * massG) / Math.max(1, allG))}`,
                )
                .join(", ")}
              . Label: “{mix.name}, {say.g(massG / bagsCount)}
              {mix.waterL > 0 && `, add ${say.L((mix.waterL * massG) / bagsCount / 100, 2)} water`}
              {mix.eaten === "boiled" && `, ${mix.minutes} min`}
              {mix.soakH > 0 && `, soak ${mix.soakH} h`}”.
            </li>
          );
        })}
      </ul>
    </section>
  );
}
