/** What the columns of a mile table mean: guessed, shown on its first rows, and corrected where it is wrong. */
import { COLUMN_MEANINGS, type ColumnMeaning, type LengthUnit, type TableColumn } from "@gepack/core";
import { NumberField } from "../ui/NumberField.tsx";
import { Pick } from "../ui/Pick.tsx";
import type { TrackFiles } from "./useTrackFile.ts";
import { unitsSchema } from "@gepack/core";

const MEANINGS: Record<ColumnMeaning, string> = {
  name: "name",
  along: "distance from the start",
  next: "distance to the next place",
  height: "elevation",
  climb: "climb to the next place",
  kind: "kind",
  "off-trail": "distance off trail",
  note: "note",
  latitude: "latitude",
  longitude: "longitude",
  skip: "skip",
};
const LENGTHS: readonly ColumnMeaning[] = ["along", "next", "height", "climb", "off-trail"];
const UNITS: readonly (readonly [LengthUnit, string])[] = [
  ["km", "km"],
  ["mi", "miles"],
  ["m", "m"],
  ["ft", "ft"],
];
const FIRST_ROWS = 8;
const MOST_UNREAD = 6;

/** `placesOnly`: there is a trail already, none is made from the table. */
export function TableMapping({ reading, placesOnly }: { reading: TrackFiles; placesOnly?: boolean }) {
  const { phase, readAs } = reading;
  if (phase.is !== "preview" || !phase.table || !phase.preview.table) return null;
  const { table, preview } = phase;
  const { rows, name } = preview.table!;
  const { headRow, columns } = table.reading;
  const { rows: read, unread } = table.found;
  const setColumn = (at: number, fields: Partial<TableColumn>): void =>
    void readAs({
      reading: { headRow, columns: columns.map((column, c) => (c === at ? { ...column, ...fields } : column)) },
    });
  const firstRow = Math.max(0, headRow);
  const shown = rows.slice(firstRow, firstRow + FIRST_ROWS);
  return (
    <section aria-label="Table of places" className="my-2 text-sm">
      <b>{name}</b>: a table of places. What does each column mean?
      <label className="ml-3 inline-flex items-center gap-1.5">
        <input
          type="checkbox"
          checked={headRow >= 0}
          onChange={(event) => void readAs({ reading: { headRow: event.target.checked ? 0 : -1, columns } })}
        />
        {headRow > 0 ? `Row ${headRow + 1} names the columns` : "The first row names the columns"}
      </label>
      <div className="my-2 overflow-x-auto">
        <table className="border-collapse" aria-label="First rows of the table" data-testid="mapping">
          <thead>
            <tr>
              {columns.map(({ meaning, unit }, c) => (
                <th key={c} className="border border-rule px-1.5 py-1 text-left align-top font-normal">
                  <Pick
                    bare
                    label={`Column ${c + 1} means`}
                    value={meaning}
                    options={COLUMN_MEANINGS.map((one) => [one, MEANINGS[one]] as const)}
                    onPick={(picked) => setColumn(c, { meaning: picked })}
                  />
                  {LENGTHS.includes(meaning) && (
                    <span className="mt-1 block">
                      <Pick
                        bare
                        label={`Unit of column ${c + 1}`}
                        value={unit}
                        options={UNITS}
                        onPick={(picked) => setColumn(c, { unit: picked })}
                      />
                    </span>
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((row, i) => (
              <tr key={i} className={i === 0 && headRow >= 0 ? "font-bold" : ""}>
                {columns.map(({ meaning }, c) => (
                  <td
                    key={c}
                    className={`max-w-[180px] overflow-hidden border border-rule px-1.5 py-0.5 text-ellipsis whitespace-nowrap ${meaning === "skip" ? "text-muted" : ""}`}
                  >
                    {row[c] ?? ""}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="my-1">
        <b className="figure">{read.length}</b> of {rows.length - 1 - headRow} rows imported.{" "}
      </p>
      {unread.length > 0 && (
        <ul className="my-1 list-none p-0 text-muted" aria-label="Skipped rows">
          {unread.slice(0, MOST_UNREAD).map(({ line, reason }) => (
            <li key={line}>
              Row {line}: {reason}
            </li>
          ))}
          {unread.length > MOST_UNREAD && <li>And {unread.length - MOST_UNREAD} more.</li>}
        </ul>
      )}
      {preview.parts.length === 0 && !placesOnly && (
        <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
          <Latitude
            label="Latitude of the start"
            value={table.startLatDeg}
            onCommit={(startLatDeg) => void readAs({ startLatDeg })}
          />
          <Latitude
            label="Latitude of the end"
            value={table.endLatDeg}
            onCommit={(endLatDeg) => void readAs({ endLatDeg })}
          />
          <p className="m-0 max-w-[52ch] text-xs text-muted">
            No track: the trail is built from the table, so it’s coarse and not on the map. Enter the latitude to get
            daylight and season. You can import a track later.
          </p>
        </div>
      )}
    </section>
  );
}

function Latitude({ label, value, onCommit }: { label: string; value: number; onCommit: (degrees: number) => void }) {
  return (
    <NumberField
      className="w-[150px]"
      label={label}
      value={value}
      units={unitsSchema.parse({})}
      min={-85}
      max={85}
      digits={2}
      suffix="° N"
      onCommit={onCommit}
    />
  );
}
