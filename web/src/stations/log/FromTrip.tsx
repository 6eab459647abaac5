/** What another trip on this device taught, a shakedown before this one: shown beside what is planned here, taken in one step. */
import { useEffect, useState } from "react";
import type { Plan, Shakedown } from "@gepack/core";
import { listPlans, rawPlan } from "../../data/plans.ts";
import { forgetShakedown, takeShakedown } from "../../edit/log.ts";
import { calculator } from "../../store/trail.ts";
import { report } from "../../store/notices.ts";
import { fixed } from "../../units/quantity.ts";
import { Pick } from "../../ui/Pick.tsx";
import { FITTED_WORDS } from "../../words/log.ts";
import { sayIn } from "../../words/say.ts";

export function FromTrip({ plan }: { plan: Plan }) {
  const say = sayIn(plan);
  const [trips, setTrips] = useState<{ id: string; name: string }[]>([]);
  const [chosen, setChosen] = useState("");
  const [lessons, setLessons] = useState<Shakedown | "none" | "asking">();
  useEffect(() => {
    listPlans().then(setTrips, () => setTrips([]));
  }, [plan.id]);
  const others = trips.filter(({ id }) => id !== plan.id);
  const look = (id: string): void => {
    setChosen(id);
    setLessons(id === "" ? undefined : "asking");
    if (id === "") return;
    rawPlan(id)
      .then((text) => calculator().learnFrom({ file: new Blob([text]) }))
      .then((answer) => setLessons(answer ?? "none"))
      .catch((error: unknown) => {
        setLessons(undefined);
        report(error);
      });
  };
  const [mine] = plan.hikers;
  return (
    <div className="my-2 grid gap-1 text-sm" data-testid="from-trip">
      {plan.shakedowns.map(({ planId, name, days, on }) => (
        <span key={planId} className="flex flex-wrap items-center gap-2">
          Learnt from {name}, {say.days(days)} from {say.date(on)}.
          <button className="btn min-h-[28px]! py-0!" onClick={() => forgetShakedown(planId)}>
            Unlink
          </button>
        </span>
      ))}
      {others.length > 0 && (
        <Pick
          label="Learn from an earlier trip or shakedown hike"
          value={chosen}
          options={[["", "choose a trip on this device"], ...others.map(({ id, name }) => [id, name] as const)]}
          onPick={look}
        />
      )}
      {lessons === "asking" && <span role="status">Calculating that trip…</span>}
      {lessons === "none" && (
        <span role="status">That trip has no saved day with hours, so there is nothing to learn from it.</span>
      )}
      {typeof lessons === "object" && (
        <>
          <ul className="m-0 pl-5">
            {lessons.lessons.map(({ what, cards }) => (
              <li key={what}>
                {FITTED_WORDS[what]}, {say.days(cards)}: <b>{figureOf(what, lessons)}</b> there, {figureOf(what, mine!)}{" "}
                here
              </li>
            ))}
          </ul>
          <span>
            <button
              className="btn"
              onClick={() => {
                takeShakedown(lessons);
                look("");
              }}
            >
              Use these figures from {lessons.name}
            </button>
          </span>
        </>
      )}
    </div>
  );
}

/** As the settings of a hiker have it. */
function figureOf(
  what: Shakedown["lessons"][number]["what"],
  { pace, water }: Pick<Shakedown, "pace" | "water">,
): string {
  if (what === "pace") return `${fixed(100 * pace.speedFactor, 0)} %`;
  if (what === "breaks") return `${fixed(100 * pace.breakFraction, 0)} % of walking time`;
  return water.measuredLph === undefined ? `${fixed(water.ratePerKmL, 3)} L/km` : `${fixed(water.measuredLph, 2)} L/h`;
}
