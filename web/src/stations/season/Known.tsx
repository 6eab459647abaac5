/** What is known better than the normals: forecasts for some days, and what one's own thermometer read. */
import { Plus, X } from "lucide-react";
import { useState } from "react";
import {
  forecastSchema,
  readingSchema,
  trackAt,
  walkedAt,
  type Forecast,
  type ForecastDay,
  type ThermometerReading,
  type TrackM,
  type WalkedM,
} from "@gepack/core";
import { addRow, editRow, removeRows, setRow } from "../../edit/rows.ts";
import { useSelection } from "../../store/selection.ts";
import { DateField } from "../../ui/DateField.tsx";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { Fold } from "../../ui/Fold.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { NumberField } from "../../ui/NumberField.tsx";
import { OwnFigure } from "../../ui/OwnFigure.tsx";
import { Empty, Panel } from "../../ui/Panel.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { dayMonth, quantity, unitSymbol } from "../../units/quantity.ts";
import type { ScreenProps } from "../Screen.tsx";
import { readForecast } from "./readForecast.ts";

export function Forecasts({ plan, result }: ScreenProps) {
  const { forecasts } = plan.climate;
  const leg = result.legs[useSelection((state) => state.legIndex)] ?? result.legs[0]!;
  const add = (): void => {
    const { profile } = result;
    const ends = [leg.fromM, leg.toM].map((metres) => Math.round(trackAt(profile, metres))).sort((a, b) => a - b);
    addRow(
      "climate.forecasts",
      "Add forecast",
      forecastSchema.parse({
        id: crypto.randomUUID(),
        name: `Forecast for leg ${leg.index + 1}`,
        fromM: ends[0],
        toM: ends[1],
        heightM: profile.hasHeights ? Math.round(profile.heightM[(leg.fromNode + leg.toNode) >> 1]!) : 0,
        issued: leg.startDate,
        days: [],
      }),
    );
  };
  return (
    <Panel
      title="Forecasts"
      note="Lows, highs, rain and wind as they were told for a stretch of the trail. They stand over the normals, the less the further ahead they looked: a day ahead nearly whole, a week ahead half. The mountain’s own bulletin goes first."
    >
      <button className="btn mb-2" onClick={add}>
        <Plus size={15} aria-hidden="true" /> Add forecast for leg {leg.index + 1}
      </button>
      {forecasts.map((forecast) => (
        <ForecastRow key={forecast.id} forecast={forecast} plan={plan} result={result} />
      ))}
    </Panel>
  );
}

const DAY_FIGURES = [
  ["lowC", "low"],
  ["highC", "high"],
  ["wetChance", "chance of rain, %"],
  ["rainMm", "rain, mm"],
  ["windMps", "wind, m/s"],
] as const;

function ForecastRow({ forecast, plan, result: { profile } }: ScreenProps & { forecast: Forecast }) {
  const { id, name, fromM, toM, heightM, issued, days } = forecast;
  const { units } = plan.trip;
  const [text, setText] = useState("");
  const [error, setError] = useState<string>();
  const set = (label: string, fields: Partial<Forecast>): void =>
    setRow("climate.forecasts", id, `${name}: ${label}`, fields);
  const ends = [walkedAt(profile, fromM), walkedAt(profile, toM)].sort((a, b) => a - b);
  const setEnd = (which: 0 | 1, metres: number): void => {
    const both = ends.map((end, i) => Math.round(trackAt(profile, (i === which ? metres : end) as WalkedM)));
    const [first, last] = both.sort((a, b) => a - b);
    set("stretch", { fromM: first as TrackM, toM: last as TrackM });
  };
  const take = (): void => {
    const read = readForecast(text, issued, units);
    if ("error" in read) return setError(read.error);
    setError(undefined);
    setText("");
    set("days from a table", { days: read.days });
  };
  const columns: Column<ForecastDay>[] = [
    { id: "date", head: "day", names: true, cell: ({ date }) => dayMonth(date) },
    ...DAY_FIGURES.map(([key, word]): Column<ForecastDay> => ({
      id: key,
      head: key === "lowC" || key === "highC" ? `${word}, ${unitSymbol("temperature", units)}` : word,
      right: true,
      cell: ({ date, [key]: value }) => (
        <OwnFigure
          path={`climate.forecasts.days.${key}`}
          label={`${name}, ${dayMonth(date)}, ${word}`}
          value={value}
          units={units}
          onCommit={(figure) =>
            editRow("climate.forecasts", id, `${name}: ${dayMonth(date)} ${word}`, (row) => {
              const day = row.days.find((one) => one.date === date);
              if (!day) return;
              if (figure === undefined) delete day[key];
              else day[key] = figure;
            })
          }
        />
      ),
    })),
  ];
  return (
    <Fold
      className="border-t border-rule py-1.5"
      titleClass="text-sm font-semibold"
      title={
        <>
          {name}{" "}
          <span className="font-normal text-muted">
            {quantity("distance", ends[0]!, units, 0)} to {quantity("distance", ends[1]!, units, 0)},{" "}
            {days.length === 0 ? "no days yet" : `${dayMonth(days[0]!.date)} to ${dayMonth(days.at(-1)!.date)}`}
          </span>
        </>
      }
    >
      <div className="my-2 flex flex-wrap items-end gap-4">
        <NameField label="Name" value={name} onCommit={(next) => set("name", { name: next })} />
        <DateField
          label="Issued on"
          value={issued}
          near={issued}
          required
          onCommit={(iso) => set("issue", { issued: iso })}
        />
        {([0, 1] as const).map((which) => (
          <NumberField
            key={which}
            className="w-[110px]"
            label={which === 0 ? "From" : "to"}
            kind="distance"
            value={ends[which]!}
            units={units}
            min={0}
            max={profile.lengthM}
            onCommit={(metres) => setEnd(which, metres)}
          />
        ))}
        <FieldNumber
          className="w-[120px]"
          path="climate.forecasts.heightM"
          label="Made for height"
          value={heightM}
          units={units}
          onCommit={(metres) => set("height", { heightM: metres })}
        />
        <button className="btn" onClick={() => removeRows("climate.forecasts", [id], `Remove ${name}`)}>
          <X size={15} aria-hidden="true" /> Remove {name}
        </button>
      </div>
      <textarea
        className="field mt-1 min-h-[60px] w-full text-sm!"
        aria-label={`Days of ${name} from a table`}
        placeholder="A row a day: date, low, high, and where told the chance of rain, mm, wind in m/s"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <button className="btn mt-1" disabled={text.trim() === ""} onClick={take}>
        Take these days
      </button>
      {error !== undefined && (
        <p role="alert" className="my-1 text-danger">
          {error}
        </p>
      )}
      {days.length > 0 && (
        <div className="relative overflow-x-auto">
          <Table label={`Days of ${name}`} columns={columns} rows={days} idOf={({ date }) => date} />
        </div>
      )}
    </Fold>
  );
}

export function Readings({ plan, result }: ScreenProps) {
  const { readings } = plan.climate;
  const { units, startDate } = plan.trip;
  const { profile } = result;
  const leg = result.legs[useSelection((state) => state.legIndex)] ?? result.legs[0]!;
  const add = (): void =>
    addRow(
      "climate.readings",
      "Add reading",
      readingSchema.parse({
        id: crypto.randomUUID(),
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
          label="Night"
          value={date}
          near={startDate}
          required
          onCommit={(iso) => setRow("climate.readings", id, "Reading: date", { date: iso })}
        />
      ),
    },
    {
      id: "at",
      head: `at, ${unitSymbol("distance", units)}`,
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
      head: `height, ${unitSymbol("height", units)}`,
      right: true,
      cell: ({ id, heightM, date }) => (
        <FieldNumber
          bare
          className="w-[70px]"
          path="climate.readings.heightM"
          label={`Height of the reading of ${dayMonth(date)}`}
          value={heightM}
          units={units}
          onCommit={(metres) => setRow("climate.readings", id, "Reading: height", { heightM: metres })}
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
      title="Own thermometer"
      note="Lows and highs you read in the shade, off the ground. They correct the normals near them in place and date, as far as single nights scatter; a warm week never makes a cold night warmer."
    >
      <button className="btn mb-2" onClick={add}>
        <Plus size={15} aria-hidden="true" /> Add reading on leg {leg.index + 1}
      </button>
      {readings.length === 0 ? (
        <Empty>No readings yet.</Empty>
      ) : (
        <div className="relative overflow-x-auto">
          <Table
            label="Readings"
            columns={columns}
            rows={[...readings].sort((a, b) => (a.date < b.date ? -1 : 1))}
            idOf={({ id }) => id}
          />
        </div>
      )}
    </Panel>
  );
}
