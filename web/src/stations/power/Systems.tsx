/** Ways to cook over the whole hike side by side, and the lines on which they cross. */
import { lazy, Suspense, useMemo } from "react";
import { compareFuels, fuelLines, type FuelComparison, type Hiker, type Plan, type PlanResult } from "@gepack/core";
import { Table } from "../../ui/Table.tsx";
import { sayIn } from "../../words/say.ts";
import { FUEL_WORDS } from "../../words/power.ts";

const SystemChart = lazy(() => import("./SystemChart.tsx"));

interface Props {
  plan: Plan;
  result: PlanResult;
  hiker: Hiker;
  who: number;
  legIndex: number;
}

export function Systems({ plan, result, hiker, who, legIndex }: Props) {
  const say = sayIn(plan);
  const rows = useMemo(() => compareFuels(plan, result, hiker.id) ?? [], [plan, result, hiker.id]);
  const lines = useMemo(() => fuelLines(plan, result, hiker.id, legIndex), [plan, result, hiker.id, legIndex]);
  const number = (id: string, head: string, show: (row: FuelComparison) => string) => ({
    id,
    head,
    right: true,
    cell: show,
  });
  return (
    <div className="py-2">
      <p className="m-0 mb-1 max-w-[72ch] text-sm text-muted">
        For {say.number(hiker.stove.boilsPerDay, 1)} boils a day of {say.L(hiker.stove.boilL)} at camp elevation.
        Dashed: boils planned for leg {legIndex + 1}. Canister sizes come in steps, so lines may cross more than once.
      </p>
      <Suspense fallback={<div className="h-[220px]" />}>
        <SystemChart lines={lines} units={plan.trip.units} boils={result.legs[legIndex]!.hikers[who]!.fuel.boils} />
      </Suspense>
      <Table<FuelComparison>
        label="Cooking systems"
        columns={[
          {
            id: "name",
            head: "fuel",
            unseen: true,
            names: true,
            cell: ({ id }) => FUEL_WORDS[id as Hiker["stove"]["fuel"]],
          },
          number("most", "heaviest when leaving", ({ startKg }) => say.kg(Math.max(...startKg), 2)),
          number("here", `leaving on leg ${legIndex + 1}`, ({ startKg }) => say.kg(startKg[legIndex]!, 2)),
          number("mean", "mean", ({ meanKg }) => say.kg(meanKg, 2)),
          number("fuel", "fuel used in all", ({ fuelKg }) => say.kg(fuelKg, 2)),
          number("new", "containers", ({ containers }) => String(containers)),
        ]}
        rows={rows}
        idOf={({ id }) => id}
        chosen={[hiker.stove.fuel]}
      />
    </div>
  );
}
