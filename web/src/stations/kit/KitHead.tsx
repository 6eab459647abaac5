/** What you carry as people say it, on the chosen leg, and what it adds up to as one beam. */
import {
  groupsAlong,
  kitWeights,
  packTotals,
  typicalPack,
  type LegResult,
  type Plan,
  type PlanResult,
} from "@gepack/core";
import { remember, useSettings } from "../../store/settings.ts";
import { NumberField } from "../../ui/NumberField.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { KIT_UNITS, kitMass, type KitUnit } from "../../units/kitMass.ts";
import { firstName, stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { slate } from "./slate.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
  who: number;
}

const UNIT_WORDS: Record<KitUnit, string> = {
  plan: "the trip’s units",
  g: "g",
  kg: "kg",
  oz: "oz",
  "lb-oz": "lb and oz",
};
const MOST_DAYS = 30;
const MOST_L = 20;

export function KitHead({ plan, result, leg, who }: Props) {
  const say = sayIn(plan);
  const unit = useSettings((state) => state.kitUnit);
  const days = useSettings((state) => state.kitDays);
  const litres = useSettings((state) => state.kitLitres);
  const { units } = plan.trip;
  const pack = typicalPack(leg, who, { days, litres });
  const weights = kitWeights(plan, result, leg.index, who);
  const kg = (value: number): string => kitMass(1000 * value, unit, units, true);
  const { heaviestKg, heaviestLeg } = packTotals(plan, result).hikers[who]!;
  return (
    <div className="border-b border-rule px-[18px] pt-2 pb-3" data-testid="kit-head">
      <p className="m-0 text-sm text-muted">What do you carry, and is it enough?</p>
      <p className="m-0 flex flex-wrap items-baseline gap-x-2 gap-y-1 text-lg">
        <b className="text-[30px] leading-tight max-[560px]:text-[24px]">Base {kg(pack.baseKg)}</b>
        <b>{kg(pack.totalKg)}</b> with fuel,
        <NumberField
          bare
          className="w-[40px] border-b border-dashed border-pine"
          label="Days of food"
          value={days}
          units={units}
          min={0}
          max={MOST_DAYS}
          digits={1}
          onCommit={(next) => remember("kitDays", next)}
        />
        days’ food and
        <NumberField
          bare
          className="w-[44px] border-b border-dashed border-pine"
          label="Water carried"
          kind="volume"
          value={litres}
          units={units}
          min={0}
          max={MOST_L}
          onCommit={(next) => remember("kitLitres", next)}
        />
        {units.volume} of water <span className="text-sm text-muted">in</span>
        <Pick
          bare
          label="Weights in"
          value={unit}
          options={KIT_UNITS.map((one) => [one, UNIT_WORDS[one]] as const)}
          onPick={(next) => remember("kitUnit", next)}
        />
      </p>
      <p className="mt-0 mb-2 text-sm text-muted">
        {firstName(plan.hikers[who]!)}, leg {leg.index + 1}. Worn {kitMass(weights.wornG, unit, units, true)}, skin-out{" "}
        {kitMass(weights.skinOutG, unit, units, true)}. Heaviest {kg(heaviestKg)}, after{" "}
        {stopName(plan, result.legs[heaviestLeg]!.fromStopId)}.
      </p>
      <Beam
        parts={[
          ...weights.groups
            .filter(({ packedG }) => packedG > 0)
            .map(({ group, packedG }, i) => ({
              name: group,
              kg: packedG / 1000,
              colour: slate(i),
              isNamed: i < MOST_NAMED,
            })),
          { name: "food", kg: pack.foodKg, colour: "var(--food)" },
          { name: "water", kg: pack.waterKg, colour: "var(--water)" },
          { name: "fuel and consumables", kg: pack.usedUpKg, colour: "var(--fuel)" },
        ]}
        comfortKg={plan.hikers[who]!.packComfortKg}
        scaleKg={Math.max(heaviestKg, pack.totalKg, plan.hikers[who]!.packComfortKg)}
        say={say.kg}
      />
    </div>
  );
}

/** Dark enough, and wide enough, to be written on. */
const MOST_NAMED = 3;
const NAMED_SHARE = 0.07;

interface BeamProps {
  parts: readonly { name: string; kg: number; colour: string; isNamed?: boolean }[];
  comfortKg: number;
  scaleKg: number;
  say: (kg: number) => string;
}

/** From nothing to the heaviest pack of the hike: groups in shades of one colour, then what is used up. */
function Beam({ parts, comfortKg, scaleKg, say }: BeamProps) {
  const share = (kg: number): string => `${(100 * kg) / scaleKg}%`;
  return (
    <div
      role="img"
      aria-label={`What it adds up to: ${parts.map(({ name, kg }) => `${name} ${say(kg)}`).join(", ")}; comfortable ${say(comfortKg)}`}
      className="relative h-[24px]"
    >
      <div className="flex h-full">
        {parts.map(({ name, kg, colour, isNamed = false }) => (
          <span
            key={name}
            title={`${name}: ${say(kg)}`}
            className="overflow-hidden border-r border-sheet px-1 text-xs leading-6 whitespace-nowrap text-on-pine"
            style={{ width: share(kg), background: colour }}
          >
            {isNamed && kg / scaleKg > NAMED_SHARE ? name : ""}
          </span>
        ))}
      </div>
      <span
        className="absolute -top-[3px] -bottom-[3px] w-[2px] bg-danger"
        style={{ left: share(comfortKg) }}
        title={`comfortable load ${say(comfortKg)}`}
      />
    </div>
  );
}

/** Group by group on the chosen leg, with its share of the base weight, and in all. */
export function useGroupWords(plan: Plan, result: PlanResult, leg: LegResult, who: number) {
  const unit = useSettings((state) => state.kitUnit);
  const along = groupsAlong(plan, result, who);
  const baseG = 1000 * leg.hikers[who]!.kit.baseKg;
  return (group: string) => {
    const row = along.find((one) => one.group === group);
    const now = row?.packedG[leg.index] ?? 0;
    return {
      now: kitMass(now, unit, plan.trip.units),
      share: baseG > 0 ? Math.round((100 * now) / baseG) : 0,
      inAll: kitMass(row?.inAllG ?? 0, unit, plan.trip.units),
      packedG: row?.packedG ?? new Float64Array(result.legs.length),
    };
  };
}
