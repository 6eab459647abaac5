/** Base weight of every leg, along the bottom. */
import type { LineFrame } from "../../line/scale.ts";
import { select } from "../../store/selection.ts";
import { figure, quantity, unitSymbol } from "../../units/quantity.ts";
import type { ScreenProps } from "../Screen.tsx";

export function BaseWeights({
  plan,
  result,
  hikerIndex,
  legIndex,
  frame: { x, domain },
}: ScreenProps & { hikerIndex: number; legIndex: number; frame: LineFrame }) {
  const units = plan.trip.units;
  return (
    <div className="sticky bottom-0 z-10 h-[30px] border-t border-rule bg-paper text-sm" data-testid="base-weights">
      <span className="absolute left-[18px] top-1 font-bold max-[719px]:hidden">
        Base weight, {unitSymbol("mass", units)}
      </span>
      <span className="absolute left-[18px] top-1 font-bold min-[720px]:hidden">
        Base weight, leg {legIndex + 1}:{" "}
        {quantity("mass", result.legs[legIndex]!.hikers[hikerIndex]!.kit.baseKg, units)}
      </span>
      {result.legs.map((leg, i) => {
        const middle = (leg.fromM + leg.toM) / 2;
        if (middle < domain[0] || middle > domain[1]) return null;
        const text = figure("mass", leg.hikers[hikerIndex]!.kit.baseKg, units);
        const changed = i > 0 && text !== figure("mass", result.legs[i - 1]!.hikers[hikerIndex]!.kit.baseKg, units);
        return (
          <button
            key={leg.index}
            onClick={() => select({ legIndex: leg.index })}
            aria-label={`Base weight leg ${leg.index + 1}: ${text}`}
            className={`figure absolute top-1 -translate-x-1/2 max-[719px]:hidden text-center ${changed ? "font-bold text-ink" : "text-muted"} ${leg.index === legIndex ? "text-pine! underline" : ""}`}
            style={{ left: x(middle) }}
          >
            {text}
          </button>
        );
      })}
    </div>
  );
}
