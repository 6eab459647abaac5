/** Forecasts for some days of a stretch: pasted, typed, each with its issue. */
import { X } from "lucide-react";
import { useState } from "react";
import {
  forecastSchema,
  trackAt,
  walkedAt,
  type Forecast,
  type ForecastDay,
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
import { Panel } from "../../ui/Panel.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { dayMonth, quantity, unitSymbol } from "../../units/quantity.ts";
import type { ScreenProps } from "../Screen.tsx";
import { highBelowLow, readForecast } from "./readForecast.ts";
import { freshId } from "../../store/made.ts";
import { useDraft } from "../../store/drafts.ts";
import { AddButton } from "../../ui/AddButton.tsx";

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
        id: freshId(),
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
      note="Forecast lows, highs, rain and wind for part of the trail. They override the climate averages: almost fully one day ahead, by half one week ahead. The official mountain bulletin comes first."
    >
      <AddButton list="climate.forecasts" rows={forecasts} className="mb-2" onClick={add}>
        Add forecast for leg {leg.index + 1}
      </AddButton>
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
  useDraft(text !== "");
  const [error, setError] = useState<string>();
  const set = (label: string, fields: Partial<Forecast>): void =>
    void setRow("climate.forecasts", id, `${name}: ${label}`, fields);
  const ends = [walkedAt(profile, fromM), walkedAt(profile, toM)].sort((a, b) => a - b);
  const setEnd = (which: 0 | 1, metres: number): void => {
    const both = ends.map((end, i) => Math.round(trackAt(profile, (i === which ? metres : end) as WalkedM)));
    const [first, last] = both.sort((a, b) => a - b);
    set("stretch", { fromM: first as TrackM, toM: last as TrackM });
  };
  const take = async (): Promise<void> => {
    const read = readForecast(text, issued, units);
    if ("error" in read) return setError(read.error);
    setError(undefined);
    if (await setRow("climate.forecasts", id, `${name}: days from a table`, { days: read.days })) setText("");
  };
  const columns: Column<ForecastDay>[] = [
    { id: "date", head: "day", names: true, cell: ({ date }) => dayMonth(date) },
    ...DAY_FIGURES.map(([key, word]): Column<ForecastDay> => ({
      id: key,
      head: key === "lowC" || key === "highC" ? `${word}, ${unitSymbol("temperature", units)}` : word,
      right: true,
      cell: ({ date, [key]: value, ...day }) => (
        <OwnFigure
          path={`climate.forecasts.days.${key}`}
          label={`${name}, ${dayMonth(date)}, ${word}`}
          value={value}
          units={units}
          refuse={(figure) => highBelowLow({ ...day, [key]: figure })}
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
          label="Forecast elevation"
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
        placeholder="One day per row: date, low, high and, if you have them, chance of rain, mm, wind in m/s"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <button className="btn mt-1" disabled={text.trim() === ""} onClick={() => void take()}>
        Use these days
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
