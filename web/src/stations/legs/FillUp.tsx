import type { Carry, Plan, PlanResult } from "@gepack/core";
import { waterName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";

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
  const say = sayIn(plan);
  const wanted = carries.filter((carry) => carry.litres > 0.25);
  if (wanted.length === 0) return null;
  return (
    <details className="mt-3" open={wanted.length <= 8}>
      <summary className="cursor-pointer text-sm font-bold text-pine">
        Fill up at {wanted.length} {wanted.length === 1 ? "place" : "places"}
      </summary>
      <ul className="m-0 mt-1 list-none p-0 text-sm">
        {wanted.map((carry) => (
          <li
            key={carry.fromNode}
            className={`flex items-baseline gap-2 border-b border-rule py-0.5 ${carries[asked] === carry ? "bg-pine-wash" : ""}`}
          >
            <span className="w-[62px] whitespace-nowrap text-muted">
              {say.way(carry.fromNode * result.profile.cellM)}
            </span>
            <span className="flex-1">
              {waterName(carry.fromSourceId, plan)}
              <span className="text-muted">
                , {say.way(carry.distanceM)} on
                {carry.dryCamps > 0 ? `, ${carry.dryCamps === 1 ? "a dry camp" : `${carry.dryCamps} dry camps`}` : ""}
              </span>
            </span>
            <button
              className="font-semibold whitespace-nowrap hover:underline"
              title="Why this carry"
              onClick={() => onAsk(carries.indexOf(carry))}
            >
              {say.L(carry.litres)}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
