import type { Carry, LegHiker, Plan, PlanResult } from "@gepack/core";
import { waterName } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";

/** Where to fill up and how much to hold when leaving, in order. */
export function FillUp({
  carries,
  detours,
  plan,
  result,
  carryIndex,
  onAsk,
}: {
  carries: Carry[];
  detours: LegHiker["detours"];
  plan: Plan;
  result: PlanResult;
  carryIndex: number;
  onAsk: (index: number) => void;
}) {
  const say = sayIn(plan);
  const passed = detours.filter((choice) => !choice.made);
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
            className={`flex items-baseline gap-2 border-b border-rule py-0.5 ${carries[carryIndex] === carry ? "bg-pine-wash" : ""}`}
          >
            <span className="w-[62px] whitespace-nowrap text-muted">
              {say.distance(carry.fromNode * result.profile.cellM)}
            </span>
            <span className="flex-1">
              {waterName(carry.fromSourceId, plan)}
              <span className="text-muted">
                , enough for {say.distance(carry.distanceM)}
                {carry.campL > 0 ? `, ${say.L(carry.campL)} for camp` : ""}
                {detourWords(detours, carry.fromSourceId, say)}
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
      {passed.length > 0 && (
        <>
          <p className="mt-2 mb-1 text-xs font-bold text-muted">Off trail, skipped</p>
          <ul className="m-0 list-none p-0 text-xs text-muted">
            {passed.map((choice) => (
              <li key={choice.sourceId} className="py-0.5">
                {waterName(choice.sourceId, plan)}, {say.distance(choice.distanceM / 2)} off trail:{" "}
                {say.number(choice.minutes)} min there and back; worth up to {say.number(worthMin(choice, plan))} min
              </li>
            ))}
          </ul>
        </>
      )}
    </details>
  );
}

/** What the litres spared are worth walking, by the plan's own exchange. */
function worthMin({ sparedLh }: LegHiker["detours"][number], { dayRules }: Plan): number {
  return Math.max(0, sparedLh) * dayRules.detourMinPerLitreHour;
}

function detourWords(detours: LegHiker["detours"], sourceId: string | undefined, say: Say): string {
  const choice = detours.find((one) => one.sourceId === sourceId);
  return choice ? `, ${say.number(choice.minutes)} min off the trail and back` : "";
}
