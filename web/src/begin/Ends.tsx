/** The ends of a track cut: who walks a part of it. */
import type { Units } from "@gepack/core";
import { NumberField } from "../ui/NumberField.tsx";

export interface Walked {
  fromM: number;
  toM: number;
}

interface Props {
  lengthM: number;
  units: Units;
  walked: Walked | undefined;
  onChange: (walked: Walked | undefined) => void;
}

const LEAST_M = 1000;

export function Ends({ lengthM, units, walked, onChange }: Props) {
  const { fromM, toM } = walked ?? { fromM: 0, toM: lengthM };
  const set = (from: number, to: number): void =>
    onChange(from <= 0 && to >= Math.floor(lengthM) ? undefined : { fromM: Math.round(from), toM: Math.round(to) });
  return (
    <details className="mt-3 text-sm" open={walked !== undefined}>
      <summary className="cursor-pointer font-bold text-pine">Hike only part of it</summary>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <NumberField
          className="w-[150px]"
          label="From"
          kind="distance"
          value={fromM}
          units={units}
          min={0}
          max={Math.max(0, toM - LEAST_M)}
          onCommit={(from) => set(from, toM)}
        />
        <NumberField
          className="w-[150px]"
          label="To"
          kind="distance"
          value={toM}
          units={units}
          min={Math.min(lengthM, fromM + LEAST_M)}
          max={lengthM}
          onCommit={(to) => set(fromM, to)}
        />
        {walked && (
          <button className="btn" onClick={() => onChange(undefined)}>
            Hike all of it
          </button>
        )}
      </div>
    </details>
  );
}
