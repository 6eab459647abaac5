/** Stations with monthly normals: what the season of an own trip is worked out from. */
import { X } from "lucide-react";
import {
  climateStationSchema,
  nodeOf,
  simulatedNormals,
  trackAt,
  walkedAt,
  type ClimateStation,
  type TrackM,
  type WalkedM,
} from "@gepack/core";
import { addRow, editRow, removeRows, setRow } from "../../edit/rows.ts";
import { Fold } from "../../ui/Fold.tsx";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { NumberField } from "../../ui/NumberField.tsx";
import { Panel } from "../../ui/Panel.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { quantity, unitSymbol } from "../../units/quantity.ts";
import { MONTHS } from "../../words/months.ts";
import type { ScreenProps } from "../Screen.tsx";
import { PasteMonths } from "./PasteMonths.tsx";
import { freshId } from "../../store/made.ts";
import { AddButton } from "../../ui/AddButton.tsx";

/** A mild year to start from; every figure of it is there to be replaced. */
const MILD_LOW_C = [-2, -1, 1, 4, 8, 11, 13, 13, 10, 6, 2, -1];
const MILD_DAY_RANGE_K = 10;

export function Weather({ plan, result }: ScreenProps) {
  const { stations } = plan.climate;
  const add = (): void => {
    const { profile } = result;
    const name = `Weather station ${stations.length + 1}`;
    const heightM = Math.round(profile.heightM[profile.cellCount >> 1]!);
    const highC = MILD_LOW_C.map((c) => c + MILD_DAY_RANGE_K);
    const trackM = Math.round(trackAt(profile, (profile.lengthM / 2) as WalkedM));
    const row = { id: freshId(), name, trackM, heightM, lowC: MILD_LOW_C, highC, lowSdK: 3.5, highSdK: 4 };
    addRow("climate.stations", "Add weather station", climateStationSchema.parse(row));
  };
  return (
    <Panel
      title="Weather stations"
      note="Monthly average lows and highs from stations near the trail, from a climate table you trust. They’re adjusted to each camp by distance, elevation and date. Averages aren’t a forecast."
    >
      <AddButton list="climate.stations" rows={stations} className="mb-2" onClick={add}>
        Add weather station
      </AddButton>
      {stations.map((station) => (
        <StationRow key={station.id} station={station} plan={plan} result={result} />
      ))}
    </Panel>
  );
}

const MEANS = [
  { key: "lowC", word: "low" },
  { key: "highC", word: "high" },
  { key: "precipMm", word: "rain mm" },
  { key: "wetDays", word: "wet days" },
] as const;

/** Rain of a place that tells none is its latitude's: a first guess to be corrected. */
const RAIN_SEA_KM = 100;

function StationRow({ station, plan, result: { profile } }: ScreenProps & { station: ClimateStation }) {
  const { units } = plan.trip;
  const { id, name, trackM, heightM, lowSdK, highSdK, simulated, precipMm } = station;
  const set = (label: string, fields: Partial<ClimateStation>): void =>
    void setRow("climate.stations", id, `${name}: ${label}`, fields);
  const along = walkedAt(profile, trackM);
  const guessedRain = (): Pick<ClimateStation, "precipMm" | "wetDays"> => {
    const latDeg = profile.latDeg[nodeOf(profile, { trackM })]!;
    const { rainMm, wetDays } = simulatedNormals({ latDeg, heightM, seaKm: RAIN_SEA_KM, west: 0.5 });
    return { precipMm: rainMm.map(Math.round), wetDays: wetDays.map((days) => Math.round(10 * days) / 10) };
  };
  const columns: Column<(typeof MEANS)[number]>[] = [
    {
      id: "which",
      head: <span className="sr-only">Which</span>,
      names: true,
      cell: ({ key, word }) =>
        key === "lowC" || key === "highC" ? `${word} ${unitSymbol("temperature", units)}` : word,
    },
    ...MONTHS.map((month, m): Column<(typeof MEANS)[number]> => ({
      id: month,
      head: month,
      right: true,
      cell: ({ key, word }) => (
        <FieldNumber
          bare
          className="w-[52px]"
          path={`climate.stations.${key}`}
          label={`${name}, ${month}, ${word}`}
          value={station[key]![m]!}
          units={units}
          onCommit={(celsius) =>
            editRow("climate.stations", id, `${name}: ${month} ${word}`, (row) => void (row[key]![m] = celsius))
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
            {quantity("distance", along, units, 0)} along the trail, {quantity("height", heightM, units)}
          </span>
          {simulated && <span className="ml-2 rounded bg-caution-wash px-1.5 text-xs text-caution">simulated</span>}
        </>
      }
    >
      <div className="my-2 flex flex-wrap items-end gap-4">
        <NameField label="Name" value={name} onCommit={(next) => set("name", { name: next })} />
        <NumberField
          className="w-[130px]"
          label="Nearest place on the trail"
          kind="distance"
          value={along}
          units={units}
          min={0}
          max={profile.lengthM}
          onCommit={(m) => set("place", { trackM: Math.round(trackAt(profile, m as WalkedM)) as TrackM })}
        />
        <FieldNumber
          className="w-[130px]"
          path="climate.stations.heightM"
          label="Elevation"
          value={heightM}
          units={units}
          onCommit={(m) => set("height", { heightM: m })}
        />
        <FieldNumber
          className="w-[150px]"
          path="climate.stations.lowSdK"
          label="Night-to-night spread"
          value={lowSdK}
          units={units}
          onCommit={(kelvin) => set("night-to-night spread", { lowSdK: kelvin })}
        />
        <FieldNumber
          className="w-[150px]"
          path="climate.stations.highSdK"
          label="Day-to-day spread"
          value={highSdK}
          units={units}
          onCommit={(kelvin) => set("day-to-day spread", { highSdK: kelvin })}
        />
        {!precipMm && (
          <button className="btn" onClick={() => set("rain averages for its latitude", guessedRain())}>
            Add rain data
          </button>
        )}
        {simulated && (
          <button className="btn" onClick={() => set("figures checked", { simulated: false })}>
            I’ve checked these figures
          </button>
        )}
        <button className="btn" onClick={() => removeRows("climate.stations", [id], `Remove ${name}`)}>
          <X size={15} aria-hidden="true" /> Remove {name}
        </button>
      </div>
      <PasteMonths
        name={name}
        onTake={(rows) => setRow("climate.stations", id, `${name}: months from a table`, { ...rows, simulated: false })}
      />
      <div className="relative overflow-x-auto">
        <Table
          label={`Months at ${name}`}
          columns={columns}
          rows={MEANS.filter(({ key }) => station[key] !== undefined)}
          idOf={({ key }) => key}
        />
      </div>
    </Fold>
  );
}
