/** What your own thermometer read, a row a night. */
import { X } from "lucide-react";
import { readingSchema, trackAt, walkedAt, type ThermometerReading, type TrackM, type WalkedM } from "@gepack/core";
import { addRow, removeRows, setRow } from "../../edit/rows.ts";
import { useSelection } from "../../store/selection.ts";
import { DateField } from "../../ui/DateField.tsx";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { NumberField } from "../../ui/NumberField.tsx";
import { OwnFigure } from "../../ui/OwnFigure.tsx";
import { Empty, Panel } from "../../ui/Panel.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { dayMonth, unitSymbol } from "../../units/quantity.ts";
import type { ScreenProps } from "../Screen.tsx";
import { freshId } from "../../store/made.ts";
import { highBelowLow } from "./readForecast.ts";
import { AddButton } from "../../ui/AddButton.tsx";

export function Readings({ plan, result }: ScreenProps) {
  const { readings } = plan.climate;
  const { units, startDate } = plan.trip;
  const { profile } = result;
  const leg = result.legs[useSelection((state) => state.legIndex)] ?? result.legs[0]!;
  const add = (): void =>
    void addRow(
      "climate.readings",
      "Add reading",
      readingSchema.parse({
        id: freshId(),
        date: leg.startDate,
        trackM: Math.round(trackAt(profile, leg.fromM)),
        heightM: profile.hasHeights ? Math.round(profile.heightM[leg.fromNode]!) : 0,
        lowC: Math.round(leg.lowC),
      }),
    );
  const columns: Column<ThermometerReading>[] = [
    {
      id: "date",
      head: "night of",
      names: true,
      cell: ({ id, date }) => (
        <DateField
          bare
          label="Night of"
          value={date}
          near={startDate}
          required
          onCommit={(iso) => setRow("climate.readings", id, "Reading: date", { date: iso })}
        />
      ),
    },
    {
      id: "at",
      head: `position, ${unitSymbol("distance", units)}`,
      right: true,
      cell: ({ id, trackM, date }) => (
        <NumberField
          bare
          className="w-[80px]"
          label={`Place of the reading of ${dayMonth(date)}`}
          kind="distance"
          value={walkedAt(profile, trackM)}
          units={units}
          min={0}
          max={profile.lengthM}
          onCommit={(metres) =>
            setRow("climate.readings", id, "Reading: place", {
              trackM: Math.round(trackAt(profile, metres as WalkedM)) as TrackM,
            })
          }
        />
      ),
    },
    {
      id: "height",
      head: `elevation, ${unitSymbol("height", units)}`,
      right: true,
      cell: ({ id, heightM, date }) => (
        <FieldNumber
          bare
          className="w-[70px]"
          path="climate.readings.heightM"
          label={`Elevation of the reading of ${dayMonth(date)}`}
          value={heightM}
          units={units}
          onCommit={(metres) => setRow("climate.readings", id, "Reading: elevation", { heightM: metres })}
        />
      ),
    },
    ...(["lowC", "highC"] as const).map((key): Column<ThermometerReading> => ({
      id: key,
      head: `${key === "lowC" ? "low" : "high"}, ${unitSymbol("temperature", units)}`,
      right: true,
      cell: (reading) => (
        <OwnFigure
          path={`climate.readings.${key}`}
          label={`${key === "lowC" ? "Low" : "High"} of ${dayMonth(reading.date)}`}
          value={reading[key]}
          units={units}
          refuse={(figure) => highBelowLow({ ...reading, [key]: figure })}
          onCommit={(figure) => setRow("climate.readings", reading.id, "Reading", { [key]: figure })}
        />
      ),
    })),
    {
      id: "remove",
      head: <span className="sr-only">Remove</span>,
      cell: ({ id, date }) => (
        <button
          className="p-1 text-muted hover:text-danger"
          aria-label={`Remove the reading of ${dayMonth(date)}`}
          onClick={() => removeRows("climate.readings", [id], `Remove the reading of ${dayMonth(date)}`)}
        >
          <X size={15} aria-hidden="true" />
        </button>
      ),
    },
  ];
  return (
    <Panel
      title="Your own thermometer"
      note="Lows and highs you measured in the shade, off the ground. They adjust the climate averages near that place and date; a warm week never makes a cold night warmer."
    >
      <AddButton list="climate.readings" rows={readings} className="mb-2" onClick={add}>
        Add reading on leg {leg.index + 1}
      </AddButton>
      {readings.length === 0 ? (
        <Empty>No readings yet. Add one from your thermometer.</Empty>
      ) : (
        <div className="relative overflow-x-auto">
          <Table
            label="Temperature readings"
            columns={columns}
            rows={[...readings].sort((a, b) => (a.date < b.date ? -1 : 1))}
            idOf={({ id }) => id}
          />
        </div>
      )}
    </Panel>
  );
}
