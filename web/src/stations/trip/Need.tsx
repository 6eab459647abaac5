/** What is eaten and what it is cooked with, the menus apart. */
import type { Hiker, Plan } from "@gepack/core";
import { Fields, type FieldRow } from "../../ui/FieldNumber.tsx";
import { HikerChoice, HikerRows, useHiker } from "../../ui/HikerFields.tsx";

const FOOD: FieldRow[] = [
  ["food.densityKcalPerG", "Energy density"],
  ["food.shortfallFraction", "Planned shortfall"],
  ["food.reserveFraction", "Food reserve"],
  ["food.reserveDays", "Food reserve, at least"],
  ["food.proteinFraction", "Protein, of the energy"],
  ["food.coldKcalPer10K", "For 10 K of frost"],
  ["food.breakFactor", "Breaks, times rest"],
  ["food.campFactor", "Camp and town, times rest"],
  ["food.townExtraKcal", "Eaten in town beyond the need, while something is missing"],
];
const STOVE: FieldRow[] = [
  ["stove.boilsPerDay", "Boils a day"],
  ["stove.boilL", "Water per boil"],
  ["stove.windExposure", "Fuel for wind and spill"],
];
const FUELS: Record<Hiker["stove"]["fuel"], string> = {
  "gas-canister": "gas",
  "gas-heat-exchanger": "gas, heat-exchanger pot",
  alcohol: "alcohol",
  tablets: "tablets",
  "liquid-fuel": "white gas",
  none: "no stove",
};
const GROWING = [0.75, 0.85, 0.95, 1];

export function Need({ plan }: { plan: Plan }) {
  const hiker = useHiker(plan);
  return (
    <>
      <Fields
        title={`Food of ${hiker.name}`}
        note="A shortfall means losing weight on purpose. Long ones cost muscle and warmth; take medical advice."
      >
        <HikerRows plan={plan} hiker={hiker} list={FOOD} />
        <HikerChoice
          hiker={hiker}
          label="Appetite"
          value={hiker.food.appetiteByWeek.every((share) => share === 1) ? "full" : "grows"}
          options={{ grows: "grows over four weeks", full: "full from the first day" }}
          set={(target, picked) => void (target.food.appetiteByWeek = picked === "full" ? [1, 1, 1, 1] : [...GROWING])}
        />
      </Fields>
      <Fields title="Stove" note="Never in a closed tent: carbon monoxide kills. Fire bans go first.">
        <HikerChoice
          hiker={hiker}
          label="Cooks with"
          value={hiker.stove.fuel}
          options={FUELS}
          set={(target, fuel) => void (target.stove.fuel = fuel)}
        />
        <HikerRows plan={plan} hiker={hiker} list={STOVE} />
      </Fields>
    </>
  );
}
