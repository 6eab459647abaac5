/** How water is made safe: the way, what it takes of every leg, and how long it lasts. */
import { treatedLegs, type Hiker, type Plan, type PlanResult, type TreatedLeg } from "@gepack/core";
import type { FieldRow } from "../../ui/FieldNumber.tsx";
import { HikerChoice, HikerRows } from "../../ui/HikerFields.tsx";
import { Table } from "../../ui/Table.tsx";
import { stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { MURK_WORDS, TARGET_WORDS, METHOD_NOTES, METHOD_WORDS } from "../../words/water.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  hiker: Hiker;
  who: number;
}

const FLOW: FieldRow[] = [["water.treatment.flowLpm", "Flow when clean"]];
const LIFE: FieldRow[] = [
  ["water.treatment.lifeL", "Lasts for"],
  ["water.treatment.usedL", "Treated with it so far"],
];

export function Treating({ plan, result, hiker, who }: Props) {
  const say = sayIn(plan);
  const { treatment } = hiker.water;
  const rows = treatedLegs(plan, result, who);
  const wears = treatment.method !== "none" && treatment.method !== "boil";
  const isChemical = treatment.method === "dioxide" || treatment.method === "chlorine";
  const fields = (list: readonly FieldRow[]) => <HikerRows plan={plan} hiker={hiker} list={list} />;
  return (
    <div className="py-2">
      <div className="grid grid-cols-[repeat(auto-fill,minmax(172px,1fr))] items-start gap-x-5 gap-y-3">
        <HikerChoice
          hiker={hiker}
          label="Treatment"
          value={treatment.method}
          options={METHOD_WORDS}
          set={(target, method) => void (target.water.treatment.method = method)}
        />
        <HikerChoice
          hiker={hiker}
          label="For contaminated water, add"
          value={treatment.second}
          options={METHOD_WORDS}
          set={(target, second) => void (target.water.treatment.second = second)}
        />
        {treatment.method === "filter" && fields(FLOW)}
        {wears && (
          <HikerChoice
            hiker={hiker}
            label="Water is mostly"
            value={treatment.murk}
            options={MURK_WORDS}
            set={(target, murk) => void (target.water.treatment.murk = murk)}
          />
        )}
        {treatment.method === "dioxide" && (
          <HikerChoice
            hiker={hiker}
            label="Protect against"
            value={treatment.target}
            options={TARGET_WORDS}
            set={(target, against) => void (target.water.treatment.target = against)}
          />
        )}
        {wears && fields(LIFE)}
      </div>
      <p className="my-2 max-w-[72ch] text-sm text-muted">
        {METHOD_NOTES[treatment.method]} None of these removes chemicals, salt or algal toxins.
        {isChemical && " Minutes are the waiting time at each fill-up."}
      </p>
      {treatment.method !== "none" && (
        <Table<TreatedLeg>
          label="Treatment by leg"
          columns={[
            {
              id: "leg",
              head: "leg",
              names: true,
              cell: ({ legIndex }) => `${legIndex + 1}. ${stopName(plan, result.legs[legIndex]!.fromStopId)}`,
            },
            { id: "litres", head: "treated", right: true, cell: ({ litres }) => say.L(litres) },
            ...(treatment.second === "none"
              ? []
              : [
                  {
                    id: "second",
                    head: `and ${METHOD_WORDS[treatment.second]}`,
                    right: true,
                    cell: ({ secondL }: TreatedLeg) => (secondL > 0 ? say.L(secondL) : ""),
                  },
                ]),
            {
              id: "minutes",
              head: "min per day",
              right: true,
              cell: ({ legIndex, minutes }) => say.number(minutes / Math.max(1, result.legs[legIndex]!.dayCount)),
            },
            { id: "flushes", head: "flushes", right: true, from: 561, cell: ({ flushes }) => flushes || "" },
            ...(wears
              ? [
                  {
                    id: "far",
                    head: "so far",
                    right: true,
                    cell: ({ litresSoFar, renewed }: TreatedLeg) =>
                      `${renewed ? "new: " : ""}${say.L(litresSoFar, 0)} of ${say.L(treatment.lifeL, 0)}`,
                  },
                ]
              : []),
          ]}
          rows={rows}
          idOf={({ legIndex }) => String(legIndex)}
        />
      )}
    </div>
  );
}
