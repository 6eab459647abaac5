/** What may be otherwise on a simulated hike, and by how much: switched off one by one, every spread the hiker's own. */
import { VARIED, type Plan } from "@gepack/core";
import { edit } from "../../store/document.ts";
import { FieldRows, type FieldRow } from "../../ui/FieldNumber.tsx";
import { VARIED_WORDS } from "../../words/odds.ts";

const FIELDS: readonly FieldRow[] = [
  ["paceHike", "Pace, from hike to hike"],
  ["paceDay", "Pace, from day to day"],
  ["energyHike", "Hunger, from hike to hike"],
  ["energyDay", "Hunger, from day to day"],
  ["thirstHike", "Thirst, from hike to hike"],
  ["thirstDay", "Thirst, from day to day"],
  ["fuelHike", "Fuel, from hike to hike"],
  ["fuelDay", "Fuel, from day to day"],
  ["chargeHike", "Charge, from hike to hike"],
  ["chargeDay", "Charge, from day to day"],
  ["dayLikeness", "A day like the one before"],
  ["nightLikeness", "A night like the one before"],
  ["commonDrought", "Years with all sources alike"],
  ["shutFraction", "Shut that should be open"],
  ["illnessPerDay", "Days on which one falls ill"],
  ["illnessDays", "Days that this takes"],
  ["failuresPer1000Km", "Failures of a piece in 1000 km"],
  ["lowSnowFraction", "Years of little snow"],
  ["highSnowFraction", "Years of much snow"],
];

export function Laws({ plan }: { plan: Plan }) {
  const { fixed } = plan.odds;
  const change = (label: string, recipe: (odds: Plan["odds"]) => void): void =>
    void edit(`Odds: ${label}`, ({ odds }) => recipe(odds));
  return (
    <div className="mt-2 grid gap-3">
      <fieldset className="m-0 flex flex-wrap gap-x-4 gap-y-1 border-0 p-0">
        <legend className="mb-1 p-0 text-muted">Varied in the hikes; what is not stays as planned.</legend>
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
        Spreads are so that two hikes or days of three lie within them: 10 % is a tenth slower or faster. Pace and
        hunger by the literature on walkers, nights by the plan’s own spread, shoes and parcels by their own laws; all
        the others are judgement. What your log has taught is in the middle of them, not in the spread.
      </p>
    </div>
  );
}
