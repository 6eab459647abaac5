/** What is known of a ford: how deep and fast it was when it was measured, and what feeds it. */
import { Waves } from "lucide-react";
import { Popover } from "radix-ui";
import { UNTOLD_FORD, type Stretch, type Units } from "@gepack/core";
import { editRow, setRow } from "../../edit/rows.ts";
import { RecordField } from "../../ui/FieldNumber.tsx";
import { SmallDate } from "../../ui/SmallDate.tsx";
import { quantity } from "../../units/quantity.ts";

/** A first guess to be corrected. */
const MEASURED = { depthM: 0.5, speedMps: 0.9, refMonthDay: "06-15", refClockH: 12 };
const UNMEASURED = { depthM: undefined, speedMps: undefined, refMonthDay: undefined, refClockH: undefined };

export function FordDialog({ ford, units }: { ford: Stretch; units: Units }) {
  const { id, name, depthM, speedMps, refMonthDay, glacier } = ford;
  const set = (label: string, fields: Partial<Stretch>): void =>
    void setRow("stretches", id, `${name}: ${label}`, fields);
  const figure = (path: "depthM" | "speedMps" | "refClockH" | "basinKm2" | "snowDistanceM", label: string) => (
    <RecordField<Stretch>
      of="stretches"
      record={{ ...MEASURED, ...UNTOLD_FORD, ...ford }}
      units={units}
      path={path}
      label={label}
      change={(what, recipe) => editRow("stretches", id, `${name}: ${what.toLowerCase()}`, recipe)}
    />
  );
  return (
    <Popover.Root>
      <Popover.Trigger className="btn min-h-[24px]! px-1.5! py-0! text-sm!" aria-label={`About ${name}`}>
        <Waves size={14} aria-hidden="true" />{" "}
        {depthM === undefined ? "not measured" : `${quantity("height", depthM, units, 1)} deep`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content className="menu w-[350px] p-3!" align="start" aria-label={`About ${name}`}>
          <div className="grid grid-cols-2 items-start gap-x-5 gap-y-2">
            {depthM === undefined || speedMps === undefined ? (
              <button className="btn col-span-2" onClick={() => set("measured", MEASURED)}>
                I measured its depth and speed
              </button>
            ) : (
              <>
                {figure("depthM", "Depth")}
                {figure("speedMps", "Speed")}
                <SmallDate
                  label="on"
                  value={refMonthDay ?? MEASURED.refMonthDay}
                  onCommit={(monthDay) => set("measured on", { refMonthDay: monthDay })}
                />
                {figure("refClockH", "at")}
                <button className="btn col-span-2" onClick={() => set("not measured", UNMEASURED)}>
                  Remove the measurement
                </button>
              </>
            )}
            {figure("basinKm2", "Catchment area")}
            {figure("snowDistanceM", "Elevation of the snow above it")}
            <label className="col-span-2 flex items-center gap-1.5 text-sm">
              <input
                type="checkbox"
                checked={glacier}
                onChange={(event) =>
                  set(event.target.checked ? "glacier-fed" : "not glacier-fed", { glacier: event.target.checked })
                }
              />
              Fed by a glacier
            </label>
          </div>
          <p className="m-0 mt-2 text-xs text-muted">
            From these and the season’s snowmelt we estimate how high it is when you get there. Rain and bridges aren’t
            included. Look before you go in; turn back or wait for low water.
          </p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
