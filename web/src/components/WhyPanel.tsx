/** The selected figure taken apart, with sources, the leg's water, its open checks and the caution. */
import { useState } from "react";
import { EXPLAINED, explain, type Carry, type Derivation, type Plan, type PlanResult } from "@gepack/core";
import { select, useApp } from "../store/app.ts";
import { dayMonth, fixed, quantity } from "../units/quantity.ts";
import { checkSentence, mendSentence, SEVERITY_WORD } from "../words/checks.ts";
import { DERIVATION_LABEL, SOURCE_WORDS, WHY_CAUTION } from "../words/derivations.ts";
import { stopName } from "../words/names.ts";

const TABS = { start: "Pack", food: "Food", carry: "Carry", energy: "Energy" } as const;

export function WhyPanel({ plan, result }: { plan: Plan; result: PlanResult }) {
  const { legIndex, hikerIndex, why } = useApp();
  const units = plan.trip.units;
  const leg = result.legs[legIndex]!;
  const hiker = plan.hikers[hikerIndex]!;
  const row = leg.hikers[hikerIndex]!;
  const tree = explain(plan, result, { legIndex, hikerId: hiker.id, figure: why });
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
      <div role="group" aria-label="Figure" className="mb-3 flex gap-1">
        {EXPLAINED.map((name) => (
          <button
            key={name}
            aria-pressed={why === name}
            onClick={() => select({ why: name })}
            className={`rounded border px-2 py-0.5 text-sm font-semibold ${why === name ? "border-pine bg-pine text-on-pine" : "border-rule bg-sheet"}`}
          >
            {TABS[name]}
          </button>
        ))}
      </div>
      {tree && (
        <>
          <p className="figure m-0 text-3xl leading-none font-extrabold" data-testid="why-value">
            {show(tree, plan)}
          </p>
          <p className="mt-1 mb-2 text-sm text-muted">
            {why === "start"
              ? `Leaving ${stopName(plan, leg.fromStopId)}. At most ${quantity("mass", row.heaviestKg, units)} at ${quantity("distance", row.heaviestNode * result.profile.cellM, units, 0)}, on average ${quantity("mass", row.meanKg, units)}, arriving with ${quantity("mass", row.endKg, units)}. Worn beside it ${quantity("mass", row.kit.wornKg, units)}.`
              : `${label(tree)}.`}
            {why === "start" && overKg > 0.05 && (
              <b className="text-danger"> {quantity("mass", overKg, units)} over your pack’s comfort.</b>
            )}
            {why === "carry" &&
              row.carries[row.largestCarry] &&
              ` ${carryPlace(row.carries[row.largestCarry]!, plan, result)} Not more than ${quantity("volume", row.carries[row.largestCarry]!.mostL, units)} drunk in that time.`}
          </p>
          <ul className="m-0 list-none p-0 text-sm">
            {tree.parts.map((part, i) => (
              <Part key={part.code} part={part} plan={plan} depth={0} combine={i === 0 ? "sum" : tree.combine} />
            ))}
          </ul>
        </>
      )}
      <FillUp carries={row.carries} plan={plan} result={result} />
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

function carryPlace(carry: Carry, plan: Plan, result: PlanResult): string {
  const units = plan.trip.units;
  return `From ${waterName(carry.fromSourceId, plan)} at ${quantity("distance", carry.fromNode * result.profile.cellM, units, 0)}, ${quantity("distance", carry.distanceM, units, 0)} to ${waterName(carry.toSourceId, plan)}.`;
}

function waterName(sourceId: string | undefined, plan: Plan): string {
  return plan.sources.find((source) => source.id === sourceId)?.name ?? "the stop’s tap";
}

const SIGN = { sum: "", product: "× ", quotient: "÷ ", leaf: "" } as const;

function Part({
  part,
  plan,
  depth,
  combine,
}: {
  part: Derivation;
  plan: Plan;
  depth: number;
  combine: Derivation["combine"];
}) {
  const [open, setOpen] = useState(depth < 1);
  const swatch =
    depth === 0
      ? { base: "kit", consumables: "rule", food: "food", water: "water", fuel: "fuel" }[part.code]
      : undefined;
  const has = part.parts.length > 0;
  return (
    <li className={depth > 0 ? "border-l-2 border-rule pl-2.5" : ""}>
      <div className="flex items-baseline gap-2 py-[2px]" title={part.source ? SOURCE_WORDS[part.source] : undefined}>
        {swatch && (
          <span className="inline-block size-2.5 shrink-0 rounded-[2px]" style={{ background: `var(--${swatch})` }} />
        )}
        {has ? (
          <button
            aria-expanded={open}
            className="text-left underline decoration-dotted underline-offset-3"
            onClick={() => setOpen(!open)}
          >
            {label(part)}
          </button>
        ) : (
          <span>{label(part)}</span>
        )}
        <span className="figure ml-auto font-semibold whitespace-nowrap">
          {SIGN[combine]}
          {show(part, plan)}
        </span>
      </div>
      {part.source && open && (depth > 0 || !has) && (
        <div className="-mt-0.5 pb-1 text-xs text-muted">{SOURCE_WORDS[part.source]}</div>
      )}
      {has && open && (
        <ul className="m-0 list-none p-0 pb-1">
          {part.parts.map((child, i) => (
            <Part
              key={child.code}
              part={child}
              plan={plan}
              depth={depth + 1}
              combine={i === 0 ? "sum" : part.combine}
            />
          ))}
        </ul>
      )}
    </li>
  );
}

function label(part: Derivation): string {
  return DERIVATION_LABEL[part.code] ?? part.code;
}

function show({ value, unit }: Derivation, plan: Plan): string {
  const units = plan.trip.units;
  switch (unit) {
    case "kg":
      return quantity("mass", value, units, 2);
    case "L":
    case "L/camp":
      return quantity("volume", value, units, 2);
    case "g/boil":
      return quantity("smallMass", value, units, 1);
    case "g":
      return quantity("smallMass", value, units);
    case "kcal":
    case "kcal/day":
    case "kcal/kg":
      return `${fixed(value, 0)} ${unit}`;
    case "h":
    case "days":
      return `${fixed(value, 1)} ${unit}`;
    case "share":
      return value < 0.01 ? String(value) : fixed(value, 3);
    case "count":
      return fixed(value, value % 1 === 0 ? 0 : 1);
  }
}

/** Where to fill up and how much to hold when leaving, in order. */
function FillUp({ carries, plan, result }: { carries: Carry[]; plan: Plan; result: PlanResult }) {
  const units = plan.trip.units;
  const wanted = carries.filter((carry) => carry.litres > 0.25);
  if (wanted.length === 0) return null;
  return (
    <details className="mt-3" open={wanted.length <= 8}>
      <summary className="cursor-pointer text-sm font-bold text-pine">
        Fill up at {wanted.length} {wanted.length === 1 ? "place" : "places"}
      </summary>
      <table className="mt-1 w-full border-collapse text-sm">
        <tbody>
          {wanted.map((carry) => (
            <tr key={carry.fromNode} className="border-b border-rule align-baseline">
              <td className="py-0.5 pr-2 whitespace-nowrap text-muted">
                {quantity("distance", carry.fromNode * result.profile.cellM, units, 0)}
              </td>
              <td className="py-0.5">
                {waterName(carry.fromSourceId, plan)}
                <span className="text-muted">
                  , {quantity("distance", carry.distanceM, units, 0)} on
                  {carry.dryCamps > 0 ? `, ${carry.dryCamps === 1 ? "a dry camp" : `${carry.dryCamps} dry camps`}` : ""}
                </span>
              </td>
              <td className="py-0.5 pl-2 text-right font-semibold whitespace-nowrap">
                {quantity("volume", carry.litres, units)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
