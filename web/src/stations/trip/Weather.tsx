/** Stations with monthly normals: what the season of an own trip is worked out from. */
import { Plus, X } from "lucide-react";
import { climateStationSchema, walkedAt, type Plan, type PlanResult, type ClimateStation } from "@gepack/core";
import { NameField } from "../../components/NameField.tsx";
import { NumberField } from "../../components/NumberField.tsx";
import { edit } from "../../store/app.ts";
import { unitSymbol } from "../../units/quantity.ts";

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];
/** A mild year to begin from; every figure of it is there to be replaced. */
const MILD_LOW_C = [-2, -1, 1, 4, 8, 11, 13, 13, 10, 6, 2, -1];
const MILD_DAY_RANGE_K = 10;

export function Weather({ plan, result }: { plan: Plan; result: PlanResult }) {
  const { stations } = plan.climate;
  const add = (): void =>
    void edit("Add weather station", (draft) => {
      const { profile } = result;
      const name = `Station ${stations.length + 1}`;
      const heightM = Math.round(profile.heightM[profile.cellCount >> 1]!);
      const highC = MILD_LOW_C.map((c) => c + MILD_DAY_RANGE_K);
      const trackM = Math.round(profile.lengthM / 2);
      const row = { id: crypto.randomUUID(), name, trackM, heightM, lowC: MILD_LOW_C, highC, lowSdK: 3.5, highSdK: 4 };
      draft.climate.stations.push(climateStationSchema.parse(row));
    });
  return (
    <section aria-label="Weather">
      <h2 className="m-0 mb-2 text-lg font-bold">Weather</h2>
      <p className="mt-0 mb-2 max-w-[72ch] text-sm text-muted">
        Monthly means of the nights’ lows and the days’ highs at stations near the trail, from a climate table you
        trust. They are brought to every camp by distance, height and date. Means are no forecast.
      </p>
      <button className="btn mb-2" onClick={add}>
        <Plus size={15} aria-hidden="true" /> Add weather station
      </button>
      {stations.map((station) => (
        <StationRow key={station.id} station={station} plan={plan} result={result} />
      ))}
    </section>
  );
}

function StationRow({ station, plan, result }: { station: ClimateStation; plan: Plan; result: PlanResult }) {
  const units = plan.trip.units;
  const { profile } = result;
  const change = (label: string, recipe: (target: ClimateStation) => void): void =>
    void edit(`${station.name}: ${label}`, (draft) => {
      const target = draft.climate.stations.find((row) => row.id === station.id);
      if (target) recipe(target as ClimateStation);
    });
  const remove = (): void =>
    void edit(`Remove ${station.name}`, (draft) => {
      draft.climate.stations = draft.climate.stations.filter((row) => row.id !== station.id);
    });
  const months = (which: "lowC" | "highC", word: string) => (
    <tr>
      <th scope="row" className="pr-2 text-left text-xs font-medium whitespace-nowrap text-muted">
        {word} {unitSymbol("temperature", units)}
      </th>
      {MONTHS.map((month, m) => (
        <td key={month}>
          <NumberField
            bare
            className="w-[52px]"
            label={`${station.name}, ${month}, ${word}`}
            kind="temperature"
            digits={1}
            value={station[which][m]!}
            units={units}
            min={-80}
            max={60}
            onCommit={(celsius) => change(`${month} ${word}`, (target) => void (target[which][m] = celsius))}
          />
        </td>
      ))}
    </tr>
  );
  return (
    <details className="border-t border-rule py-1.5">
      <summary className="cursor-pointer text-sm font-semibold">
        {station.name}{" "}
        <span className="font-normal text-muted">
          {(walkedAt(profile, station.trackM) / 1000).toFixed(0)} km along, {station.heightM} m
        </span>
      </summary>
      <div className="my-2 flex flex-wrap items-end gap-4">
        <NameField
          label="Name"
          value={station.name}
          onCommit={(name) => change("name", (target) => void (target.name = name))}
        />
        <NumberField
          className="w-[130px]"
          label="Nearest place on the trail"
          kind="distance"
          value={walkedAt(profile, station.trackM)}
          units={units}
          min={0}
          max={profile.lengthM}
          onCommit={(m) => change("place", (target) => void (target.trackM = Math.round(walkedAt(profile, m))))}
        />
        <NumberField
          className="w-[130px]"
          label="Height"
          kind="height"
          value={station.heightM}
          units={units}
          min={-430}
          max={8900}
          onCommit={(m) => change("height", (target) => void (target.heightM = m))}
        />
        <NumberField
          className="w-[150px]"
          label="Spread of nights"
          suffix="K"
          digits={1}
          value={station.lowSdK}
          units={units}
          min={0}
          max={20}
          onCommit={(kelvin) => change("spread of nights", (target) => void (target.lowSdK = kelvin))}
        />
        <NumberField
          className="w-[150px]"
          label="Spread of days"
          suffix="K"
          digits={1}
          value={station.highSdK}
          units={units}
          min={0}
          max={20}
          onCommit={(kelvin) => change("spread of days", (target) => void (target.highSdK = kelvin))}
        />
        <button className="btn" onClick={remove}>
          <X size={15} aria-hidden="true" /> Remove {station.name}
        </button>
      </div>
      <div className="relative overflow-x-auto">
        <table className="border-collapse">
          <thead>
            <tr>
              <td />
              {MONTHS.map((month) => (
                <th key={month} scope="col" className="text-right text-xs font-medium text-muted">
                  {month}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {months("lowC", "low")}
            {months("highC", "high")}
          </tbody>
        </table>
      </div>
    </details>
  );
}
