/** Stove, containers and fuel leaving each stop, by system. */
import { models, type FuelComparison, type Plan, type PlanResult } from "@gepack/core";
import { quantity } from "../../units/quantity.ts";
import { stopName } from "../../words/names.ts";

export function LeavingStops({ fuels, plan, result }: { fuels: FuelComparison[]; plan: Plan; result: PlanResult }) {
  const units = plan.trip.units;
  const cooked = fuels.filter((fuel) => fuel.id !== "none");
  return (
    <details className="mt-2">
      <summary className="cursor-pointer text-sm font-bold text-pine">What leaves each stop, by system</summary>
      <div className="relative overflow-x-auto">
        <table className="mt-1 border-collapse text-sm">
          <thead>
            <tr className="border-b border-rule text-left text-xs text-muted">
              <th className="py-1 pr-4 font-medium">Leaving</th>
              {cooked.map((fuel) => (
                <th key={fuel.id} className="py-1 pr-4 text-right font-medium">
                  {models.fuel.get(fuel.id).name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {result.legs.map((leg, i) => {
              const least = Math.min(...cooked.map((fuel) => fuel.startKg[i]!));
              return (
                <tr key={leg.index} className="border-b border-rule">
                  <td className="py-0.5 pr-4">{stopName(plan, leg.fromStopId)}</td>
                  {cooked.map((fuel) => (
                    <td
                      key={fuel.id}
                      className={`figure py-0.5 pr-4 text-right ${fuel.startKg[i] === least ? "font-bold text-pine" : ""}`}
                    >
                      {quantity("smallMass", 1000 * fuel.startKg[i]!, units)}
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <p className="mt-1 mb-0 text-xs text-muted">Stove, canisters or bottles, and fuel. Bold: the lightest.</p>
    </details>
  );
}
