/** The camp and water sheet of one leg, to take along on paper: a row a place or night, a box to tick. */
import { Dialog } from "radix-ui";
import type { Plan, PlanResult } from "@gepack/core";
import { waterLines } from "../../paper/waterSheet.ts";
import { useSelection } from "../../store/selection.ts";
import { SheetFrame } from "../../ui/SheetFrame.tsx";
import { quantity } from "../../units/quantity.ts";
import { WATER_ASK } from "../../words/cautions.ts";
import { firstName, stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  onClose: () => void;
}

export function SheetDialog({ plan, result, onClose }: Props) {
  const legIndex = useSelection((state) => Math.min(state.legIndex, result.legs.length - 1));
  const leg = result.legs[legIndex]!;
  const { units } = plan.trip;
  const say = sayIn(plan);
  const title = `Leg ${legIndex + 1}: ${stopName(plan, leg.fromStopId)} to ${stopName(plan, leg.toStopId)}`;
  return (
    <SheetFrame
      testId="water-sheet"
      className="max-w-[820px]"
      legIndex={legIndex}
      legCount={result.legs.length}
      names={["Previous leg", "Next leg"]}
      onClose={onClose}
    >
      <Dialog.Title className="m-0 text-lg font-bold">{title}</Dialog.Title>
      <p className="mt-0.5 mb-2 text-sm text-muted">
        {quantity("distance", leg.distanceM, units)}, {say.date(leg.startDate)} to {say.date(leg.endDate)},{" "}
        {quantity("height", leg.climbM, units)} up. Camps and water of {plan.trip.name}.
      </p>
      <table className="w-full border-collapse text-sm" aria-label="Camps and water">
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="w-[22px]" />
            <th className="py-1 pr-3 text-right font-semibold">from the start</th>
            <th className="font-semibold">place</th>
            <th className="font-semibold">what</th>
            <th className="text-right font-semibold">elevation</th>
            <th className="text-right font-semibold">next water in</th>
            <th className="text-right font-semibold">leave with, {plan.hikers.map(firstName).join(" / ")}</th>
          </tr>
        </thead>
        <tbody>
          {waterLines(plan, result, legIndex).map(({ key, atM, name, what, heightM, toWaterM, fill, night }) => (
            <tr key={key} className={`border-b border-rule align-baseline ${night ? "font-semibold" : ""}`}>
              <td aria-hidden="true">{night ? "☾" : "□"}</td>
              <td className="figure py-1 pr-3 text-right">{quantity("distance", atM, units)}</td>
              <td>{name}</td>
              <td className="text-muted">{what}</td>
              <td className="figure text-right">{Number.isNaN(heightM) ? "" : quantity("height", heightM, units)}</td>
              <td className="figure text-right">
                {toWaterM === undefined ? "" : quantity("distance", toWaterM, units)}
              </td>
              <td className="figure text-right">{fill}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 mb-0 text-xs text-muted">☾ planned night, with the coldest low in ten hikes. {WATER_ASK}</p>
    </SheetFrame>
  );
}
