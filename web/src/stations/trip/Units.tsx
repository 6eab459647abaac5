/** The units that everything is shown and typed in. */
import { unitsSchema, type Plan, type Units as PlanUnits } from "@gepack/core";
import { edit } from "../../store/document.ts";
import { Fields } from "../../ui/FieldNumber.tsx";
import { Pick } from "../../ui/Pick.tsx";
import type { UnitKind } from "../../units/quantity.ts";

const NAMES: Record<UnitKind, string> = {
  distance: "Distance",
  height: "Elevation",
  mass: "Pack weight",
  smallMass: "Kit weight",
  temperature: "Temperature",
  volume: "Water",
};
type Preset = { [Kind in UnitKind]: PlanUnits[Kind] };
const PRESETS: Record<string, { name: string; units: Preset }> = {
  metric: {
    name: "metric",
    units: { distance: "km", height: "m", mass: "kg", smallMass: "g", temperature: "C", volume: "L" },
  },
  imperial: {
    name: "imperial",
    units: { distance: "mi", height: "ft", mass: "lb", smallMass: "oz", temperature: "F", volume: "qt" },
  },
  mixed: {
    name: "mixed: miles with grams",
    units: { distance: "mi", height: "ft", mass: "kg", smallMass: "g", temperature: "F", volume: "L" },
  },
};
const KINDS = Object.keys(NAMES) as UnitKind[];

/** What the schema allows for a kind. */
const choicesOf = (kind: UnitKind): readonly string[] => unitsSchema.shape[kind].unwrap().options;

export function Units({ plan }: { plan: Plan }) {
  const { units } = plan.trip;
  const preset = Object.keys(PRESETS).find((key) => KINDS.every((kind) => PRESETS[key]!.units[kind] === units[kind]));
  const take = (chosen: Partial<Preset>): void =>
    void edit("Units", (draft) => void Object.assign(draft.trip.units, chosen));
  return (
    <Fields
      title="Units"
      note="Values are shown and entered in these units; you can type any unit: 2 lb 3 oz, 1.2 kg, 5 mi, 30C."
    >
      <Pick
        label="Set all"
        value={preset ?? "own"}
        options={[
          ...Object.entries(PRESETS).map(([key, { name }]) => [key, name] as const),
          ...(preset ? [] : [["own", "custom"] as const]),
        ]}
        onPick={(picked) => {
          const chosen = PRESETS[picked];
          if (chosen) take(chosen.units);
        }}
      />
      {KINDS.map((kind) => (
        <Pick<string>
          key={kind}
          label={NAMES[kind]}
          value={units[kind]}
          options={choicesOf(kind).map((unit) => [unit, kind === "temperature" ? `°${unit}` : unit])}
          onPick={(unit) => take({ [kind]: unit })}
        />
      ))}
    </Fields>
  );
}
