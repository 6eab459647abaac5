/** Who walks: body, sleep, pack and pace. */
import { removeHiker, type Hiker, type Plan } from "@gepack/core";
import { newHiker } from "../../edit/people.ts";
import { edit } from "../../store/document.ts";
import { useDocument } from "../../store/documentState.ts";
import { select } from "../../store/selection.ts";
import { Fields } from "../../ui/FieldNumber.tsx";
import type { FieldRow } from "../../ui/FieldNumber.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { changeHiker, HikerChoice, HikerRows, useHiker } from "../../ui/HikerFields.tsx";
import { TOGETHER } from "../../words/cautions.ts";
import { AddButton } from "../../ui/AddButton.tsx";

const BODY: FieldRow[] = [
  ["ageY", "Age"],
  ["heightCm", "Height"],
  ["bodyKg", "Body weight"],
  ["packComfortKg", "Comfortable load"],
  ["packVolumeL", "Pack volume"],
];
const CHOOSE = `${TOGETHER} Choose the hiker in the top bar.`;
const PACE: FieldRow[] = [
  ["pace.speedFactor", "Your pace, % of the model’s"],
  ["pace.hoursFreshH", "Walking hours, first day"],
  ["pace.hoursFitH", "Walking hours once fit"],
  ["pace.rampDays", "Days until fit"],
  ["pace.startClockH", "Starts at"],
  ["pace.breakFraction", "Breaks, % of walking time"],
  ["pace.effortFactor", "Walking cost factor (1.1: trails cost more than treadmills)"],
];

export function People({ plan }: { plan: Plan }) {
  const hiker = useHiker(plan);
  return (
    <>
      <Fields title={hiker.name} {...(plan.hikers.length > 1 && { note: CHOOSE })}>
        <NameField
          label="Name"
          value={hiker.name}
          onCommit={(name) => changeHiker(hiker)("name", (target) => void (target.name = name))}
        />
        <HikerChoice
          hiker={hiker}
          label="Sex (for the equations)"
          value={hiker.sex}
          options={{ female: "female", male: "male" }}
          set={(target, sex) => void (target.sex = sex)}
        />
        <HikerRows plan={plan} hiker={hiker} list={BODY} />
        <HikerChoice
          hiker={hiker}
          label="Sleeps"
          value={hiker.sleeper}
          options={{ cold: "cold: use comfort rating", warm: "warm: use limit rating" }}
          set={(target, sleeper) => void (target.sleeper = sleeper)}
        />
      </Fields>
      <div className="-mt-3 flex flex-wrap gap-2">
        <AddButton list="hikers" rows={plan.hikers} onClick={() => addHiker(plan)}>
          Add hiker
        </AddButton>
        {plan.hikers.length > 1 && (
          <button className="btn" onClick={() => leave(hiker)}>
            Remove {hiker.name}
          </button>
        )}
      </div>
      <Fields title="Pace">
        <HikerRows plan={plan} hiker={hiker} list={PACE} />
      </Fields>
    </>
  );
}

function addHiker(plan: Plan): void {
  const row = newHiker(plan);
  // Only once there are figures of the new one can a screen turn to it.
  void edit("Add hiker", (draft) => void (draft as Plan).hikers.push(row)).then(() => {
    if (useDocument.getState().result?.legs[0]?.hikers[plan.hikers.length]) select({ hikerIndex: plan.hikers.length });
  });
}

function leave(hiker: Hiker): void {
  select({ hikerIndex: 0 });
  void edit(`Remove ${hiker.name}`, (draft) => removeHiker(draft as Plan, hiker.id));
}
