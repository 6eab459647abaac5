/** What a search may do and what it weighs, and what food costs: sentences with their figures to edit in them. */
import type { Plan, Resupply } from "@gepack/core";
import { edit } from "../../store/document.ts";
import { OptionalNumber } from "../../ui/OptionalNumber.tsx";
import { Sentences, type Sentence } from "../../ui/Sentences.tsx";
import { TypedText } from "../../ui/TypedText.tsx";

const LIMITS: Sentence[] = [
  {
    text: "At most {mostFoodDays} of food, and at most {mostWaitNights} nights waiting for something to open.",
    labels: { mostFoodDays: "Days of food, at most", mostWaitNights: "Nights waiting, at most" },
  },
];
const WEIGHTS: Sentence[] = [
  {
    text: "“Balanced” values a day at {dayKgKm}, one unit of currency at {moneyKgKm} and a stop at {stopKgKm}, in kg carried for a km.",
    labels: { dayKgKm: "Value of a day", moneyKgKm: "Value of one unit of currency", stopKgKm: "Value of a stop" },
  },
];
const PRICES: Sentence[] = [
  {
    text: "1,000 kcal cost {smallShop.priceOf1000Kcal} in a small shop, {fullShop.priceOf1000Kcal} in a full one and {posted.priceOf1000Kcal} packed at home; a parcel costs {parcelPrice}.",
    labels: {
      "smallShop.priceOf1000Kcal": "1,000 kcal in a small shop",
      "fullShop.priceOf1000Kcal": "1,000 kcal in a full shop",
      "posted.priceOf1000Kcal": "1,000 kcal packed at home",
      parcelPrice: "A parcel",
    },
  },
  {
    text: "Compared with your own food, energy density is {smallShop.densityFactor} in a small shop, {fullShop.densityFactor} in a full one and {posted.densityFactor} in a box.",
    labels: {
      "smallShop.densityFactor": "Density factor, small shop",
      "fullShop.densityFactor": "Density factor, full shop",
      "posted.densityFactor": "Density factor, box",
    },
  },
  {
    text: "{lostFraction} of parcels get lost; after each transit day there’s a {transitQ} chance of another, in two stages.",
    labels: { lostFraction: "Parcels lost", transitQ: "Chance of another transit day" },
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
        {tick("withinComfort", "Never above your comfortable load")}
        {tick("withinPack", "Never more than the pack holds")}
        <OptionalNumber
          path="resupply.mostMoney"
          label="Total budget"
          value={resupply.mostMoney}
          start={2000}
          units={units}
          take="Set a budget…"
          drop="No limit"
          onChange={(value) =>
            change("budget", (target) => {
              if (value === undefined) delete target.mostMoney;
              else target.mostMoney = value;
            })
          }
        />
        <TypedText
          label="Currency"
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
        Prices, energy densities and transit days start as our estimates (experimental): set your own. Food eaten in
        town isn’t counted.
      </p>
    </div>
  );
}
