/** What a search may do and what it weighs, and what food costs: sentences with their figures to edit in them. */
import type { Plan, Resupply } from "@gepack/core";
import { edit } from "../../store/document.ts";
import { OptionalNumber } from "../../ui/OptionalNumber.tsx";
import { Sentences, type Sentence } from "../../ui/Sentences.tsx";
import { TypedText } from "../../ui/TypedText.tsx";

const LIMITS: Sentence[] = [
  {
    text: "At most {mostFoodDays} of food in the bag, and at most {mostWaitNights} nights of waiting for a door.",
    labels: { mostFoodDays: "Days of food, at most", mostWaitNights: "Nights of waiting, at most" },
  },
];
const WEIGHTS: Sentence[] = [
  {
    text: "Balanced: a day is worth {dayKgKm}, a unit of money {moneyKgKm}, a stop {stopKgKm}, of a kilogram carried for a kilometre.",
    labels: { dayKgKm: "A day is worth", moneyKgKm: "Money is worth", stopKgKm: "A stop is worth" },
  },
];
const PRICES: Sentence[] = [
  {
    text: "1,000 kcal cost {smallShop.priceOf1000Kcal} in a small shop, {fullShop.priceOf1000Kcal} in a full one, {posted.priceOf1000Kcal} packed at home; a parcel costs {parcelPrice}.",
    labels: {
      "smallShop.priceOf1000Kcal": "1,000 kcal in a small shop",
      "fullShop.priceOf1000Kcal": "1,000 kcal in a full shop",
      "posted.priceOf1000Kcal": "1,000 kcal packed at home",
      parcelPrice: "A parcel",
    },
  },
  {
    text: "Food is as dense as one’s own by {smallShop.densityFactor} in a small shop, {fullShop.densityFactor} in a full one, {posted.densityFactor} in a box.",
    labels: {
      "smallShop.densityFactor": "Density in a small shop",
      "fullShop.densityFactor": "Density in a full shop",
      "posted.densityFactor": "Density in a box",
    },
  },
  {
    text: "Of parcels {lostFraction} are lost; each day on the way is followed by another with {transitQ}, in two stages.",
    labels: { lostFraction: "Parcels lost", transitQ: "Another day on the way" },
  },
];

export function Weighed({ plan }: { plan: Plan }) {
  const { resupply } = plan;
  const { units } = plan.trip;
  const change = (label: string, recipe: (resupply: Resupply) => void): void =>
    void edit(`Stops: ${label.toLowerCase()}`, (draft) => recipe(draft.resupply as Resupply));
  const sentences = (list: Sentence[]) => (
    <Sentences of="resupply" record={resupply} list={list} units={units} change={change} />
  );
  const tick = (key: "withinComfort" | "withinPack", label: string) => (
    <label className="flex items-center gap-1.5 text-sm">
      <input
        type="checkbox"
        checked={resupply[key]}
        onChange={(event) => {
          const on = event.target.checked;
          change(label, (target) => void (target[key] = on));
        }}
      />
      {label}
    </label>
  );
  return (
    <div className="grid gap-2 pt-2">
      {sentences(LIMITS)}
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        {tick("withinComfort", "Never heavier than comfortable")}
        {tick("withinPack", "Never more than the pack holds")}
        <OptionalNumber
          path="resupply.mostMoney"
          label="Money in all, at most"
          value={resupply.mostMoney}
          start={2000}
          units={units}
          take="A limit on the money…"
          drop="No limit"
          onChange={(value) =>
            change("most money", (target) => {
              if (value === undefined) delete target.mostMoney;
              else target.mostMoney = value;
            })
          }
        />
        <TypedText
          label="Money is called"
          className="w-[110px]"
          shown={resupply.money}
          read={(text) => ({ value: text.trim().slice(0, 20) })}
          show={(text) => text}
          onCommit={(money) => change("money", (target) => void (target.money = money))}
        />
      </div>
      {sentences(WEIGHTS)}
      {sentences(PRICES)}
      <p className="m-0 max-w-[72ch] text-xs text-muted">
        Prices, weights and days of the post are judgement to begin with (experimental): set your own. What is eaten in
        town is not counted.
      </p>
    </div>
  );
}
