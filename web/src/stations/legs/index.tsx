/** Home: the whole plan as one table, a row a leg, and the Why panel beside it. */
import { lazy, Suspense, useMemo, useState } from "react";
import { showPapers } from "../../store/papers.ts";
import { select, useSelection } from "../../store/selection.ts";
import { useDocument } from "../../store/documentState.ts";
import { Table } from "../../ui/Table.tsx";
import type { ScreenProps } from "../Screen.tsx";
import { legColumns, type LegRow } from "./columns.tsx";
import { WhyPanel } from "./WhyPanel.tsx";

const OddsTable = lazy(() => import("./Odds.tsx").then((module) => ({ default: module.OddsTable })));
const Levers = lazy(() => import("./Levers.tsx").then((module) => ({ default: module.Levers })));
const Variants = lazy(() => import("./Variants.tsx").then((module) => ({ default: module.Variants })));
const LeavingSheet = lazy(() => import("./LeavingSheet.tsx").then((module) => ({ default: module.LeavingSheet })));

export default function Legs({ plan, result }: ScreenProps) {
  const [reading, setReading] = useState<View>("weights");
  // The odds have a Why of their own beside them.
  const isWide = reading === "odds";
  return (
    <div className={isWide ? "" : "grid grid-cols-1 min-[1100px]:grid-cols-[minmax(0,1fr)_356px]"}>
      <LegTable plan={plan} result={result} reading={reading} onReading={setReading} />
      {!isWide && <WhyPanel plan={plan} result={result} />}
    </div>
  );
}

const READINGS = { weights: "Weights", odds: "Odds", levers: "What helps", variants: "Variants" } as const;
type View = keyof typeof READINGS;

const idOf = ({ leg }: LegRow): string => String(leg.index);

type LegTableProps = ScreenProps & Pick<KeyProps, "reading" | "onReading">;

function LegTable({ plan, result, reading, onReading }: LegTableProps) {
  const legIndex = useSelection((state) => state.legIndex);
  const hikerIndex = useSelection((state) => state.hikerIndex);
  const [opened, setOpened] = useState(false);
  const before = useDocument((state) => state.before);
  const hiker = plan.hikers[hikerIndex]!;
  const scaleKg = Math.max(hiker.packComfortKg * 1.15, ...result.legs.map((leg) => leg.hikers[hikerIndex]!.heaviestKg));
  const columns = useMemo(() => legColumns(plan, result, hiker, scaleKg), [plan, result, hiker, scaleKg]);
  const old = before?.legs.length === result.legs.length ? before.legs : undefined;
  return (
    <div className="relative overflow-x-auto bg-sheet">
      <Key reading={reading} onReading={onReading} onSheet={() => setOpened(true)} />
      {opened && (
        <Suspense fallback={null}>
          <LeavingSheet plan={plan} result={result} onClose={() => setOpened(false)} />
        </Suspense>
      )}
      <Suspense fallback={<p className="px-[18px] text-sm text-muted">Opening…</p>}>
        {reading === "odds" && <OddsTable plan={plan} result={result} who={hikerIndex} />}
        {reading === "levers" && <Levers plan={plan} result={result} who={hikerIndex} />}
        {reading === "variants" && <Variants plan={plan} result={result} who={hikerIndex} />}
      </Suspense>
      {reading === "weights" && (
        <Table
          label={`Legs of ${plan.trip.name} for ${hiker.name}`}
          columns={columns}
          rows={result.legs.map((leg) => ({
            leg,
            row: leg.hikers[hikerIndex]!,
            was: old?.[leg.index]?.hikers[hikerIndex],
          }))}
          idOf={idOf}
          domId={({ leg }) => `leg-row-${leg.index}`}
          chosen={[String(legIndex)]}
          onChoose={(id) => select({ legIndex: Number(id) })}
        />
      )}
    </div>
  );
}

interface KeyProps {
  reading: View;
  onReading: (reading: View) => void;
  onSheet: () => void;
}

function Key({ reading, onReading, onSheet }: KeyProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-3 border-b border-rule bg-paper px-[18px] py-1 text-xs text-muted">
      {reading === "weights" && (
        <>
          <span className="max-[560px]:hidden">Bars: pack weight leaving each stop.</span>
          <span className="max-[560px]:hidden">Thin line: heaviest point after it.</span>
          <span className="text-danger max-[560px]:hidden">Red: comfortable load.</span>
        </>
      )}
      <span role="group" aria-label="View" className="ml-auto flex flex-wrap gap-1">
        {(Object.keys(READINGS) as View[]).map((one) => (
          <button
            key={one}
            className={`btn min-h-[24px]! px-2! py-0! ${one === reading ? "border-pine! bg-pine! text-on-pine!" : ""}`}
            aria-pressed={one === reading}
            onClick={() => onReading(one)}
          >
            {READINGS[one]}
          </button>
        ))}
      </span>
      <button className="btn min-h-[24px]! px-2! py-0!" onClick={onSheet}>
        Departure sheet
      </button>
      <button className="btn min-h-[24px]! px-2! py-0!" onClick={() => showPapers(["leg-cards"])}>
        Print cards
      </button>
    </div>
  );
}
