/** Stove, containers and fuel leaving each stop, by system. */
import { models, type FuelComparison, type LegResult, type Plan, type PlanResult } from "@gepack/core";
import { Fold } from "../../ui/Fold.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { quantity } from "../../units/quantity.ts";
import { stopName } from "../../words/names.ts";

export function LeavingStops({ fuels, plan, result }: { fuels: FuelComparison[]; plan: Plan; result: PlanResult }) {
  const units = plan.trip.units;
  const cooked = fuels.filter((fuel) => fuel.id !== "none");
  const leastKg = (legIndex: number): number => Math.min(...cooked.map((fuel) => fuel.startKg[legIndex]!));
  return (
    <Fold className="mt-2" titleClass="text-sm font-bold text-pine" title="Weight leaving each stop, by stove system">
      <div className="relative overflow-x-auto">
        <Table
          label="Weight leaving each stop, by stove system"
          rows={result.legs}
          idOf={(leg) => String(leg.index)}
          columns={[
            { id: "stop", head: "Leaving", names: true, cell: (leg) => stopName(plan, leg.fromStopId) },
            ...cooked.map((fuel): Column<LegResult> => ({
              id: fuel.id,
              head: models.fuel.get(fuel.id).name,
              right: true,
              cell: ({ index }) => (
                <span className={fuel.startKg[index] === leastKg(index) ? "font-bold text-pine" : ""}>
                  {quantity("smallMass", 1000 * fuel.startKg[index]!, units)}
                </span>
              ),
            })),
          ]}
        />
      </div>
      <p className="mt-1 mb-0 text-xs text-muted">Stove, canisters or bottles, and fuel. Bold: lightest.</p>
    </Fold>
  );
}
