/** Power: do the stove and the batteries last from stop to stop? */
import { useDeferredValue, useMemo } from "react";
import { storeOf, stoveOwner } from "@gepack/core";

import { useLine } from "../../line/scale.ts";
import { useSelection } from "../../store/selection.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { Fields, type FieldRow } from "../../ui/FieldNumber.tsx";
import { Fold } from "../../ui/Fold.tsx";
import { HikerChoice, HikerRows } from "../../ui/HikerFields.tsx";
import { checkStation } from "../../words/checks/index.ts";
import { firstName } from "../../words/names.ts";
import { FUEL_WORDS } from "../../words/power.ts";
import { sayIn } from "../../words/say.ts";
import type { ScreenProps } from "../Screen.tsx";
import { Banks } from "./Banks.tsx";
import { Canisters } from "./Canisters.tsx";
import { Devices, BatteryTable } from "./Devices.tsx";
import { FuelTable } from "./FuelTable.tsx";
import { PowerLanes } from "./PowerLanes.tsx";
import { SwitchOff } from "./SwitchOff.tsx";
import { Systems } from "./Systems.tsx";

const STOVE: FieldRow[] = [
  ["stove.boilsPerDay", "Boils a day, if no menu"],
  ["stove.boilL", "Water per boil"],
  ["stove.windExposure", "Extra fuel for wind and spills"],
  ["stove.simmerMinPerDay", "Simmering per day"],
];

export default function Power({ plan, result: newest }: ScreenProps) {
  const result = useDeferredValue(newest);
  const line = useLine(result);
  const say = useMemo(() => sayIn(plan), [plan]);
  const legIndex = Math.min(
    useSelection((state) => state.legIndex),
    result.legs.length - 1,
  );
  const who = Math.min(
    useSelection((state) => state.hikerIndex),
    plan.hikers.length - 1,
  );
  const hiker = plan.hikers[who]!;
  const ownerIndex = stoveOwner(plan.hikers, hiker);
  const owner = ownerIndex === undefined ? undefined : plan.hikers[ownerIndex];
  const others = plan.hikers.filter(({ id, stove }) => id !== hiker.id && stove.cooksOn === undefined);
  const store = result.power && storeOf(result.power, hiker.id);
  const checks = result.checks.filter(
    (check) =>
      checkStation(check) === "power" &&
      (check.legIndex === undefined || check.legIndex === legIndex) &&
      (check.hikerId === undefined || check.hikerId === hiker.id),
  );
  return (
    <div className="bg-sheet pb-6">
      <PowerLanes result={result} who={who} line={line} legIndex={legIndex} say={say} />
      <div className="px-[18px] py-3">
        <CheckList checks={checks} plan={plan} result={result} />
      </div>
      <div className="grid grid-cols-1 gap-x-8 gap-y-5 px-[18px] min-[1000px]:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]">
        <section aria-label="Fuel" className="min-w-0">
          <h2 className="m-0 mb-1 text-lg font-bold">{firstName(hiker)}’s fuel</h2>
          <FuelTable plan={plan} result={result} hiker={hiker} who={who} legIndex={legIndex} />
        </section>
        <section aria-label="Batteries" className="min-w-0">
          {store ? (
            <BatteryTable plan={plan} result={result} store={store} />
          ) : (
            <p className="text-sm text-muted">
              {result.power ? `${firstName(hiker)} has no device` : "No devices yet"}. Add them below to see whether the
              batteries last.
            </p>
          )}
          <SwitchOff plan={plan} />
          <Banks plan={plan} result={result} />
        </section>
      </div>
      <div className="px-[18px]">
        <Fold className="border-t border-rule py-2" titleClass="text-sm font-semibold" title="Stove">
          <Fields title="Stove" note="Never use a stove in a closed tent: carbon monoxide kills. Fire bans come first.">
            {!owner && (
              <HikerChoice
                hiker={hiker}
                label="Cooking system"
                value={hiker.stove.fuel}
                options={FUEL_WORDS}
                set={(target, fuel) => void (target.stove.fuel = fuel)}
              />
            )}
            {others.length > 0 && (
              <HikerChoice
                hiker={hiker}
                label="Cooks on"
                value={owner?.id ?? hiker.id}
                options={Object.fromEntries([
                  [hiker.id, "own stove"],
                  ...others.map((other) => [other.id, `${firstName(other)}’s stove`]),
                ])}
                set={(target, id) => {
                  if (id === hiker.id) delete target.stove.cooksOn;
                  else target.stove.cooksOn = id;
                }}
              />
            )}
            <HikerRows plan={plan} hiker={hiker} list={owner ? STOVE.slice(0, 2) : STOVE} />
            {!owner && hiker.stove.fuel.startsWith("gas") && <Canisters plan={plan} hiker={hiker} />}
          </Fields>
        </Fold>
        <Fold className="border-t border-rule py-2" titleClass="text-sm font-semibold" title="Compare cooking systems">
          <Systems plan={plan} result={result} hiker={hiker} who={who} legIndex={legIndex} />
        </Fold>
        <div className="border-t border-rule pt-3">
          <Devices plan={plan} />
        </div>
      </div>
    </div>
  );
}
