/** Figures that a hiker has measured: they replace the schools, and show as such. */
import type { Hiker, Plan, Question, SchoolFigures } from "@gepack/core";
import { OptionalNumber } from "../../components/OptionalNumber.tsx";
import { fixed } from "../../units/quantity.ts";
import type { Comparison } from "./useComparison.ts";

/** The measured figure that stands in for the schools of a question, in words. */
export function replacedBy(question: Question, hiker: Hiker): string | undefined {
  if ((question === "effort" || question === "resting") && hiker.food.measuredKcalPerDay !== undefined)
    return `your ${fixed(hiker.food.measuredKcalPerDay, 0)} kcal of a walking day replace effort and resting.`;
  if (question === "water" && hiker.water.measuredLph !== undefined)
    return `your ${fixed(hiker.water.measuredLph, 2)} L an hour replace the schools.`;
  if (question === "fuel" && hiker.stove.gramsPerBoil !== undefined)
    return `your ${fixed(hiker.stove.gramsPerBoil, 1)} g a boil replace the heat sums.`;
  return undefined;
}

interface MeasuredProps {
  question: Question;
  hiker: Hiker;
  plan: Plan;
  change: (label: string, recipe: (hiker: Hiker) => void) => void;
  comparison: Comparison;
}

/** Where a hiker's own figure can be given. */
export function Measured({ question, hiker, plan, change, comparison }: MeasuredProps) {
  const units = plan.trip.units;
  const known = (id: string): SchoolFigures | undefined => comparison.figures.get(`${question}:${id}`);
  switch (question) {
    case "time":
      return (
        <div className="flex flex-wrap items-end gap-3">
          <OptionalNumber
            label="Own pace on the level"
            value={hiker.pace.ownFlatKmh}
            start={4.2}
            units={units}
            suffix="km/h"
            min={1}
            max={10}
            digits={1}
            take="I measured my pace…"
            drop="Forget it"
            onChange={(value) =>
              change("own pace", (target) => {
                if (value === undefined) delete target.pace.ownFlatKmh;
                else target.pace.ownFlatKmh = value;
                target.schools.time = value === undefined ? "tobler" : "own-pace";
              })
            }
          />
          {hiker.pace.ownFlatKmh !== undefined && (
            <OptionalNumber
              label="Own rate of climb"
              value={hiker.pace.ownClimbMPerH}
              start={500}
              units={units}
              suffix="m/h"
              min={100}
              max={2000}
              digits={0}
              take="And my rate of climb…"
              drop="Forget it"
              onChange={(value) =>
                change("own rate of climb", (target) => {
                  if (value === undefined) delete target.pace.ownClimbMPerH;
                  else target.pace.ownClimbMPerH = value;
                })
              }
            />
          )}
        </div>
      );
    case "effort":
      return (
        <OptionalNumber
          label="Own need of a walking day"
          value={hiker.food.measuredKcalPerDay}
          start={known("pandolf-santee")?.kcalPerDay ?? 3000}
          units={units}
          suffix="kcal"
          min={1000}
          max={10_000}
          digits={0}
          take="I measured my kcal a day…"
          drop="Back to the models"
          onChange={(value) =>
            change("own kcal a day", (target) => {
              if (value === undefined) delete target.food.measuredKcalPerDay;
              else target.food.measuredKcalPerDay = value;
            })
          }
        />
      );
    case "water":
      return (
        <OptionalNumber
          label="Own litres per walking hour"
          value={hiker.water.measuredLph}
          start={known("heat-and-distance")?.litresPerHour ?? 0.4}
          units={units}
          suffix="L/h"
          min={0}
          max={2}
          digits={2}
          take="I measured my litres an hour…"
          drop="Back to the models"
          onChange={(value) =>
            change("own litres an hour", (target) => {
              if (value === undefined) delete target.water.measuredLph;
              else target.water.measuredLph = value;
            })
          }
        />
      );
    case "fuel":
      return hiker.stove.fuel === "none" ? null : (
        <OptionalNumber
          label="Own grams per boil"
          value={hiker.stove.gramsPerBoil}
          start={10}
          units={units}
          suffix="g"
          min={0}
          max={500}
          digits={1}
          take="I weighed my fuel per boil…"
          drop="Back to the model"
          onChange={(value) =>
            change("own grams a boil", (target) => {
              if (value === undefined) delete target.stove.gramsPerBoil;
              else target.stove.gramsPerBoil = value;
            })
          }
        />
      );
    default:
      return null;
  }
}
