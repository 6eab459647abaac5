/** What is drunk and which sources are counted on, until Water has a station of its own. */
import type { Plan } from "@gepack/core";
import { Fields, type FieldRow } from "../../ui/FieldNumber.tsx";
import { HikerChoice, HikerRows, useHiker } from "./hiker.tsx";

const WATER: FieldRow[] = [
  ["water.ratePerKmL", "Water per km below 20 °C"],
  ["water.ratePerHourL", "Water per hour below 20 °C"],
  ["water.drinkAtSourceL", "Drunk at the source"],
  ["water.reserveFraction", "Water reserve"],
  ["water.leastL", "Least in hand"],
  ["water.dinnerL", "Dry camp: dinner"],
  ["water.nightL", "Dry camp: night"],
  ["water.breakfastL", "Dry camp: breakfast"],
];
const LEAST_CHANCE: FieldRow[] = [["water.leastChance", "Least chance of flow"]];

export function Water({ plan }: { plan: Plan }) {
  const hiker = useHiker(plan);
  return (
    <Fields
      title={`Water of ${hiker.name}`}
      note="Any source may be dry today: ask locally, and treat what you drink. Drinking far beyond thirst is dangerous too."
    >
      <HikerRows plan={plan} hiker={hiker} list={WATER} />
      <HikerChoice
        hiker={hiker}
        label="Counts on"
        value={hiker.water.trust}
        options={{ reliable: "reliable sources", chance: "sources likely to flow", all: "all sources" }}
        set={(target, trust) => void (target.water.trust = trust)}
      />
      {hiker.water.trust === "chance" && <HikerRows plan={plan} hiker={hiker} list={LEAST_CHANCE} />}
    </Fields>
  );
}
