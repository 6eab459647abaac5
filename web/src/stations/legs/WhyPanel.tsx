/** The selected figure taken apart, with sources, the leg's water, its open checks and the caution. */
import { useState } from "react";
import { EXPLAINED, explain, type Plan, type PlanResult } from "@gepack/core";
import { select, useSelection } from "../../store/selection.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { derivationValue, Part } from "../../ui/DerivationTree.tsx";
import { LOCAL_FIRST } from "../../words/cautions.ts";
import { FIGURE_WORDS, headline, type FigureContext } from "../../words/figures.ts";
import { stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { FillUp } from "./FillUp.tsx";
import { TrustBar } from "./TrustBar.tsx";

export function WhyPanel({ plan, result }: { plan: Plan; result: PlanResult }) {
  const { legIndex, hikerIndex, why } = useSelection();
  const say = sayIn(plan);
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
  const words = FIGURE_WORDS[why];
  const context: FigureContext = { plan, result, leg, row, hiker, carryIndex };
  const warning = words.warning?.(context, say);
  return (
    <aside aria-label="Why" className="border-l border-rule bg-paper px-[18px] py-3.5" data-testid="why">
      <h2 className="m-0 text-lg leading-tight font-bold">
        {leg.index + 1}. {stopName(plan, leg.fromStopId)} to {stopName(plan, leg.toStopId)}
      </h2>
      <p className="mt-0.5 mb-2 text-sm text-muted">
        {say.distance(leg.distanceM)}, {say.height(leg.climbM)} up, {say.number(leg.dayCount, 1)} days from{" "}
        {say.date(leg.startDate)}
      </p>
      <div role="group" aria-label="Figure" className="mb-3 grid grid-cols-6 gap-1">
        {EXPLAINED.map((name) => (
          <button
            key={name}
            aria-pressed={why === name}
            onClick={() => select({ why: name })}
            className={`rounded border px-0.5 py-0.5 text-xs font-semibold ${why === name ? "border-pine bg-pine text-on-pine" : "border-rule bg-sheet"}`}
          >
            {FIGURE_WORDS[name].tab}
          </button>
        ))}
      </div>
      {!tree && (
        <p className="m-0 text-sm text-muted">
          {words.nothing ?? "This leg has no such figure. Choose another above."}
        </p>
      )}
      {tree && (
        <>
          <p className="figure m-0 text-3xl leading-none font-extrabold" data-testid="why-value">
            {derivationValue(tree, plan)}
          </p>
          <p className="mt-1 mb-2 text-sm text-muted">
            {headline(why, tree, context)}
            {warning && <b className="text-danger"> {warning}</b>}
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
          <TrustBar plan={plan} who={hikerIndex} legIndex={legIndex} figure={why} />
        </>
      )}
      <FillUp
        carries={row.carries}
        detours={row.detours}
        plan={plan}
        result={result}
        carryIndex={why === "carry" ? carryIndex : -1}
        onAsk={(index) => {
          setPicked({ here, carryIndex: index });
          select({ why: "carry" });
        }}
      />
      {checks.length > 0 && (
        <section className="mt-3">
          <h3 className="mb-1 text-sm font-bold text-pine">Open on this leg</h3>
          <CheckList checks={checks} plan={plan} result={result} />
        </section>
      )}
      <p className="mt-3 border-t border-rule pt-2 text-xs text-muted">
        {words.caution} {LOCAL_FIRST}
      </p>
    </aside>
  );
}
