/** What is eaten, the menus apart. */
import { LAGGING_APPETITE, type Plan } from "@gepack/core";
import { Fields, type FieldRow } from "../../ui/FieldNumber.tsx";
import { HikerChoice, HikerRows, useHiker } from "../../ui/HikerFields.tsx";

const FOOD: FieldRow[] = [
  ["food.densityKcalPerG", "Energy density"],
  ["food.shortfallFraction", "Calorie deficit"],
  ["food.reserveFraction", "Food reserve"],
  ["food.reserveDays", "Food reserve, at least"],
  ["food.proteinFraction", "Protein, share of energy"],
  ["food.coldKcalPer10K", "Extra per 10 K of frost"],
  ["food.breakFactor", "Breaks, multiple of resting"],
  ["food.campFactor", "Camp and town, multiple of resting"],
  ["food.townExtraKcal", "Extra eaten in town to make up a deficit"],
];

export function Need({ plan }: { plan: Plan }) {
  const hiker = useHiker(plan);
  return (
    <>
      <Fields
        title={`${hiker.name}’s food`}
        note="A calorie deficit means losing weight on purpose. Long ones cost muscle and warmth; get medical advice."
      >
        <HikerRows plan={plan} hiker={hiker} list={FOOD} />
        <HikerChoice
          hiker={hiker}
          label="Appetite"
          value={hiker.food.appetiteByWeek.every((share) => share === 1) ? "full" : "grows"}
          options={{ grows: "grows over four weeks", full: "full from the first day" }}
          set={(target, picked) =>
            void (target.food.appetiteByWeek = picked === "full" ? [1, 1, 1, 1] : [...LAGGING_APPETITE])
          }
        />
      </Fields>
    </>
  );
}
