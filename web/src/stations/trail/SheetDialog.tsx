/** The camp and water sheet of one leg, to take along on paper: a row a place or night, a box to tick. */
import { ChevronLeft, ChevronRight, Printer } from "lucide-react";
import { Dialog } from "radix-ui";
import { legSheet, type LegSheet, type Plan, type PlanResult } from "@gepack/core";
import { select, useSelection } from "../../store/selection.ts";
import { quantity } from "../../units/quantity.ts";
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
  const sheet = legSheet(plan, result, legIndex);
  const go = (to: number): void => select({ legIndex: Math.max(0, Math.min(result.legs.length - 1, to)) });
  const title = `Leg ${legIndex + 1}: ${stopName(plan, leg.fromStopId)} to ${stopName(plan, leg.toStopId)}`;
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="overlay" data-chrome />
        <Dialog.Content
          className="dialog max-w-[820px]"
          data-paper
          aria-describedby={undefined}
          onKeyDown={(event) => {
            const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
            if (by !== undefined) go(legIndex + by);
          }}
        >
          <div className="mb-2 flex flex-wrap items-center gap-2" data-chrome>
            <button className="btn" disabled={legIndex === 0} onClick={() => go(legIndex - 1)}>
              <ChevronLeft size={15} aria-hidden="true" /> Leg before
            </button>
            <button className="btn" disabled={legIndex === result.legs.length - 1} onClick={() => go(legIndex + 1)}>
              Next leg <ChevronRight size={15} aria-hidden="true" />
            </button>
            <span className="flex-1" />
            <button className="btn btn-strong" onClick={() => window.print()}>
              <Printer size={15} aria-hidden="true" /> Print
            </button>
            <Dialog.Close className="btn">Close</Dialog.Close>
          </div>
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
                <th className="text-right font-semibold">height</th>
                <th className="text-right font-semibold">next water in</th>
                <th className="text-right font-semibold">leave with, {plan.hikers.map(firstName).join(" / ")}</th>
              </tr>
            </thead>
            <tbody>
              {rowsOf(sheet, plan).map(({ key, atM, name, what, heightM, toWaterM, fill, night }) => (
                <tr key={key} className={`border-b border-rule align-baseline ${night ? "font-semibold" : ""}`}>
                  <td aria-hidden="true">{night ? "☾" : "□"}</td>
                  <td className="figure py-1 pr-3 text-right">{quantity("distance", atM, units)}</td>
                  <td>{name}</td>
                  <td className="text-muted">{what}</td>
                  <td className="figure text-right">
                    {Number.isNaN(heightM) ? "" : quantity("height", heightM, units)}
                  </td>
                  <td className="figure text-right">
                    {toWaterM === undefined ? "" : quantity("distance", toWaterM, units)}
                  </td>
                  <td className="figure text-right">{fill}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 mb-0 text-xs text-muted">
            ☾ a planned night with the coldest of ten hikes. Sources fail and the weather is a mean: ask at the last
            stop, and follow local rules and land managers.
          </p>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

interface Line {
  key: string;
  atM: number;
  name: string;
  what: string;
  heightM: number;
  toWaterM?: number | undefined;
  fill: string;
  night: boolean;
}

/** Places and nights together, in walking order. */
function rowsOf({ places, nights }: LegSheet, plan: Plan): Line[] {
  const say = sayIn(plan);
  const lines = [
    ...places.map(({ row, fromStartM, toWaterM }, i): Line => {
      const off = row.offTrailM > 0 ? `${say.height(row.offTrailM)} off the trail` : "";
      const doubtful = row.kind === "water" && !row.trusted ? "not counted on" : "";
      return {
        key: `place ${i}`,
        atM: fromStartM,
        name: row.name,
        what: [row.kind, row.kind === "water" ? row.detail : "", off, doubtful, row.note]
          .filter((part) => part !== "")
          .join(", "),
        heightM: row.heightM,
        toWaterM,
        fill: row.fillL?.some((litres) => litres > 0) ? row.fillL.map((litres) => say.L(litres)).join(" / ") : "",
        night: false,
      };
    }),
    ...nights.map((night): Line => ({
      key: `night ${night.date}`,
      atM: night.fromStartM,
      name: `${say.date(night.date)}: ${night.campName ?? (night.bed ? "bed" : "camp")}`,
      what: `low ${say.C(night.lowC)}, coldest of ten hikes ${say.C(night.coldNightC)}`,
      heightM: night.heightM,
      fill: "",
      night: true,
    })),
  ];
  return lines.sort((a, b) => a.atM - b.atM);
}
