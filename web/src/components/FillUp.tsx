import type { Carry, Plan, PlanResult } from "@gepack/core";
import { quantity } from "../units/quantity.ts";
import { waterName } from "../words/names.ts";

/** Where to fill up and how much to hold when leaving, in order. */
export function FillUp({
  carries,
  plan,
  result,
  asked,
  onAsk,
}: {
  carries: Carry[];
  plan: Plan;
  result: PlanResult;
  asked: number;
  onAsk: (index: number) => void;
}) {
  const units = plan.trip.units;
  const wanted = carries.filter((carry) => carry.litres > 0.25);
  if (wanted.length === 0) return null;
  return (
    <details className="mt-3" open={wanted.length <= 8}>
      <summary className="cursor-pointer text-sm font-bold text-pine">
        Fill up at {wanted.length} {wanted.length === 1 ? "place" : "places"}
      </summary>
      <table className="mt-1 w-full border-collapse text-sm">
        <tbody>
          {wanted.map((carry) => (
            <tr
              key={carry.fromNode}
              className={`border-b border-rule align-baseline ${carries[asked] === carry ? "bg-pine-wash" : ""}`}
            >
              <td className="py-0.5 pr-2 whitespace-nowrap text-muted">
                {quantity("distance", carry.fromNode * result.profile.cellM, units, 0)}
              </td>
              <td className="py-0.5">
                {waterName(carry.fromSourceId, plan)}
                <span className="text-muted">
                  , {quantity("distance", carry.distanceM, units, 0)} on
                  {carry.dryCamps > 0 ? `, ${carry.dryCamps === 1 ? "a dry camp" : `${carry.dryCamps} dry camps`}` : ""}
                </span>
              </td>
              <td className="py-0.5 pl-2 text-right font-semibold whitespace-nowrap">
                <button
                  className="hover:underline"
                  title="Why this carry"
                  onClick={() => onAsk(carries.indexOf(carry))}
                >
                  {quantity("volume", carry.litres, units)}
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
