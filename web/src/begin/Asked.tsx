/** What the files do not say and the plan hangs on: food at places that may have some, water where none is listed. */
import type { Units } from "@gepack/core";
import { answered, askedRows, assumedShops, dryWays, type FoodAnswer, type FoundRow } from "../reading/found.ts";
import { NumberField } from "../ui/NumberField.tsx";
import { Pick } from "../ui/Pick.tsx";
import { quantity } from "../units/quantity.ts";
import { counted } from "../words/counted.ts";

const FOOD: [FoodAnswer | "unknown" | "assumed", string][] = [
  ["unknown", "I don’t know"],
  ["none", "no"],
  ["shop-small", "small shop"],
  ["shop-full", "supermarket"],
  ["post", "post office or boxes"],
];
const LEAST_EVERY_M = 1000;
const MOST_EVERY_M = 60_000;

interface Props {
  rows: readonly FoundRow[];
  onChange: (rows: FoundRow[]) => void;
  walked: { fromM: number; toM: number };
  /** Metres between assumed waters; undefined where none is assumed. */
  everyM: number | undefined;
  usualEveryM: number;
  onEvery: (everyM: number | undefined) => void;
  units: Units;
}

export function Asked({ rows, onChange, walked, everyM, usualEveryM, onEvery, units }: Props) {
  const asked = askedRows(rows, walked.toM);
  const assumed = assumedShops(rows, walked.toM);
  const dry = dryWays(rows, walked);
  const longestM = Math.max(0, ...dry.map(([from, to]) => to - from));
  if (asked.length === 0 && dry.length === 0) return null;
  return (
    <section aria-label="What your files don’t say" className="mt-4 rounded border border-rule px-3 py-2 text-sm">
      <h3 className="m-0 mb-1 text-base font-bold">What your files don’t say</h3>
      {asked.length > 0 && (
        <ul className="m-0 list-none p-0">
          {asked.map(({ row, days }) => (
            <li key={row.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-1">
              <span className="min-w-[180px] flex-1">
                Food at <b>{row.point.name}</b>, {quantity("distance", row.located.trackM, units, 0)}?
                {row.point.description !== "" && (
                  <span className="text-muted"> Your note says “{row.point.description.slice(0, MOST_NOTE)}”.</span>
                )}
              </span>
              <span className="text-muted">{counted(Math.max(1, Math.round(days)), "day")} of food depend on it</span>
              <Pick
                bare
                label={`Food at ${row.point.name}`}
                value={row.food ?? (assumed.has(row.id) ? "assumed" : "unknown")}
                options={assumed.has(row.id) ? [["assumed", "assume a small shop"], ...FOOD.slice(1)] : FOOD}
                onPick={(food) =>
                  food !== "unknown" &&
                  food !== "assumed" &&
                  onChange(rows.map((one) => (one.id === row.id ? answered(one, food) : one)))
                }
              />
            </li>
          ))}
        </ul>
      )}
      {dry.length > 0 && (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1 pt-2" data-testid="assume-water">
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              checked={everyM !== undefined}
              onChange={(event) => onEvery(event.target.checked ? usualEveryM : undefined)}
            />
            Assume water where none is listed, every
          </label>
          <NumberField
            label="Assumed water, every"
            bare
            className="w-[70px]"
            kind="distance"
            value={everyM ?? usualEveryM}
            units={units}
            min={LEAST_EVERY_M}
            max={MOST_EVERY_M}
            onCommit={onEvery}
          />
          {units.distance}
          <span className="basis-full text-muted">
            {counted(dry.length, "stretch", "stretches")} without listed water, {quantity("distance", longestM, units)}{" "}
            the longest. Assumed water is marked: replace it before you go.
          </span>
        </div>
      )}
    </section>
  );
}

const MOST_NOTE = 120;
