/** What may be otherwise on a simulated hike, and by how much: switched off one by one, every spread the hiker's own. */
import { VARIED, type Plan } from "@gepack/core";
import { edit } from "../../store/document.ts";
import { FieldRows, type FieldRow } from "../../ui/FieldNumber.tsx";
import { VARIED_WORDS } from "../../words/odds.ts";

const FIELDS: readonly FieldRow[] = [
  ["paceHike", "Pace, hike to hike"],
  ["paceDay", "Pace, day to day"],
  ["energyHike", "Appetite, hike to hike"],
  ["energyDay", "Appetite, day to day"],
  ["noticed", "Noticed and bought after two stops"],
  ["shortRations", "Rations you can cut by"],
  ["thirstHike", "Water need, hike to hike"],
  ["thirstDay", "Water need, day to day"],
  ["fuelHike", "Fuel, hike to hike"],
  ["fuelDay", "Fuel, day to day"],
  ["chargeHike", "Battery use, hike to hike"],
  ["chargeDay", "Battery use, day to day"],
  ["dayLikeness", "Day-to-day correlation"],
  ["nightLikeness", "Night-to-night correlation"],
  ["commonDrought", "How alike sources are in a year"],
  ["shutFraction", "Unexpectedly closed"],
  ["illnessPerDay", "Chance of falling ill, per day"],
  ["illnessDays", "Days lost per illness"],
  ["failuresPer1000Km", "Failures of an item per 1,000 km"],
  ["lowSnowFraction", "Low snow years"],
  ["highSnowFraction", "High snow years"],
];

export function Laws({ plan }: { plan: Plan }) {
  const { fixed } = plan.odds;
  const change = (label: string, recipe: (odds: Plan["odds"]) => void): void =>
    void edit(`Odds: ${label}`, ({ odds }) => recipe(odds));
  return (
    <div className="mt-2 grid gap-3">
      <fieldset className="m-0 flex flex-wrap gap-x-4 gap-y-1 border-0 p-0">
        <legend className="mb-1 p-0 text-muted">
          Varied in the simulation; anything switched off stays as planned.
        </legend>
        {VARIED.map((one) => (
          <label key={one} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              checked={!fixed.includes(one)}
              onChange={(event) => {
                const isVaried = event.target.checked;
                change(`${VARIED_WORDS[one]} ${isVaried ? "varied" : "as planned"}`, (odds) => {
                  odds.fixed = odds.fixed.filter((other) => other !== one);
                  if (!isVaried) odds.fixed.push(one);
                });
              }}
            />
            {VARIED_WORDS[one]}
          </label>
        ))}
      </fieldset>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(172px,1fr))] items-start gap-x-5 gap-y-3">
        <FieldRows id="odds" of="odds" record={plan.odds} units={plan.trip.units} change={change} list={FIELDS} />
      </div>
      <p className="m-0 max-w-[90ch] text-xs text-muted">
        Two of three hikes or days lie within the spread: 10 % means a tenth slower or faster. Pace and appetite follow
        the literature on walkers, nights the plan’s own spread, shoes and parcels their own models; the rest is our
        judgement. What your log has taught shifts the middle, not the spread.
      </p>
    </div>
  );
}
