/** The selected figure taken apart, with sources, the leg's water, its open checks and the caution. */
import { useState } from "react";
import { EXPLAINED, explain, type Explained, type Plan, type PlanResult } from "@gepack/core";
import { select, useApp } from "../store/app.ts";
import { dayMonth, fixed, quantity } from "../units/quantity.ts";
import { checkSentence, mendSentence, SEVERITY_WORD } from "../words/checks.ts";
import { WHY_CAUTION } from "../words/derivations.ts";
import { headline, NOTHING } from "../words/headlines.ts";
import { stopName } from "../words/names.ts";
import { derivationValue, Part } from "./DerivationTree.tsx";
import { FillUp } from "./FillUp.tsx";

const TABS: Record<Explained, string> = {
  start: "Pack",
  base: "Base",
  food: "Food",
  carry: "Carry",
  fuel: "Fuel",
  energy: "Energy",
  days: "Days",
  arrival: "Arrival",
  speed: "Speed",
  warmth: "Warmth",
  pad: "Pad",
  battery: "Battery",
};

export function WhyPanel({ plan, result }: { plan: Plan; result: PlanResult }) {
  const { legIndex, hikerIndex, why } = useApp();
  const units = plan.trip.units;
  const leg = result.legs[legIndex]!;
  const hiker = plan.hikers[hikerIndex]!;
  const row = leg.hikers[hikerIndex]!;
  // A carry that was picked counts for the leg and hiker it was picked on.
  const here = `${legIndex} ${hiker.id}`;
  const [picked, setPicked] = useState<{ here: string; carryIndex: number }>();
  const carryIndex = picked?.here === here ? picked.carryIndex : row.largestCarry;
  const tree = explain(plan, result, { legIndex, hikerId: hiker.id, figure: why, carryIndex });
  const checks = result.checks.filter(
    (check) =>
      (check.legIndex === legIndex || check.legIndex === undefined) &&
      (check.hikerId === undefined || check.hikerId === hiker.id),
  );
  const overKg = row.startKg - hiker.packComfortKg;
  return (
    <aside aria-label="Why" className="border-l border-rule bg-paper px-[18px] py-3.5" data-testid="why">
      <h2 className="m-0 text-lg leading-tight font-bold">
        {leg.index + 1}. {stopName(plan, leg.fromStopId)} to {stopName(plan, leg.toStopId)}
      </h2>
      <p className="mt-0.5 mb-2 text-sm text-muted">
        {quantity("distance", leg.distanceM, units, 0)}, {quantity("height", leg.climbM, units)} up,{" "}
        {fixed(leg.days, 1)} days from {dayMonth(leg.startDate)}
      </p>
      <div role="group" aria-label="Figure" className="mb-3 grid grid-cols-6 gap-1">
        {EXPLAINED.map((name) => (
          <button
            key={name}
            aria-pressed={why === name}
            onClick={() => select({ why: name })}
            className={`rounded border px-0.5 py-0.5 text-xs font-semibold ${why === name ? "border-pine bg-pine text-on-pine" : "border-rule bg-sheet"}`}
          >
            {TABS[name]}
          </button>
        ))}
      </div>
      {!tree && <p className="m-0 text-sm text-muted">{NOTHING[why] ?? "This leg has no such figure."}</p>}
      {tree && (
        <>
          <p className="figure m-0 text-3xl leading-none font-extrabold" data-testid="why-value">
            {derivationValue(tree, plan)}
          </p>
          <p className="mt-1 mb-2 text-sm text-muted">
            {headline(why, tree, plan, result, legIndex, row, carryIndex)}
            {why === "start" && overKg > 0.05 && (
              <b className="text-danger"> {quantity("mass", overKg, units)} over your pack’s comfort.</b>
            )}
          </p>
          <ul className="m-0 list-none p-0 text-sm">
            {tree.parts.map((part, i) => (
              <Part
                key={`${why} ${legIndex} ${i}`}
                part={part}
                plan={plan}
                depth={0}
                combine={i === 0 ? "sum" : tree.combine}
              />
            ))}
          </ul>
        </>
      )}
      <FillUp
        carries={row.carries}
        plan={plan}
        result={result}
        asked={why === "carry" ? carryIndex : -1}
        onAsk={(index) => {
          setPicked({ here, carryIndex: index });
          select({ why: "carry" });
        }}
      />
      {checks.length > 0 && (
        <section className="mt-3">
          <h3 className="mb-1 text-sm font-bold text-pine">Open on this leg</h3>
          <ul className="m-0 grid list-none gap-2 p-0">
            {checks.map((check, i) => (
              <li key={i} className="rounded bg-caution-wash px-3 py-2 text-sm">
                <b className={check.severity === "blocker" ? "text-danger" : "text-caution"}>
                  {SEVERITY_WORD[check.severity]}.
                </b>{" "}
                {checkSentence(check, plan)} <span className="text-muted">{mendSentence(check)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="mt-3 border-t border-rule pt-2 text-xs text-muted">
        {WHY_CAUTION[why]} Local rules and land managers come first; a plan is not a forecast.
      </p>
    </aside>
  );
}
