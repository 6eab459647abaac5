/** The selected leg's season taken apart: each figure opened to where it comes from. */
import { seasonWhys, type Plan, type PlanResult, type SeasonFigure } from "@gepack/core";
import { useSelection } from "../../store/selection.ts";
import { derivationValue, Part } from "../../ui/DerivationTree.tsx";
import { Panel } from "../../ui/Panel.tsx";
import { derivationLabel } from "../../words/derivations.ts";

const CAUTION: Record<SeasonFigure, string> = {
  night: "Valleys and clear nights are colder still.",
  snow: "Steep or icy snow needs traction, an ice axe and the skill to use them; the avalanche bulletin comes first.",
  wet: "Averages aren’t a forecast: carry the rain shell.",
  sun: "Snow blindness shows only hours later.",
  ford: "Look before you go in, cross where it’s wide and shallow with your hip belt undone, or turn back.",
};

export function LegWhys({ plan, result }: { plan: Plan; result: PlanResult }) {
  const legIndex = useSelection((state) => Math.min(state.legIndex, result.legs.length - 1));
  const whys = seasonWhys(plan, result, legIndex);
  return (
    <Panel title={`Why, on leg ${legIndex + 1}`}>
      <div
        className="grid grid-cols-[repeat(auto-fill,minmax(260px,1fr))] items-start gap-x-6 gap-y-2"
        data-testid="season-why"
      >
        {whys.map(({ figure, tree }, i) => (
          <details key={`${legIndex} ${i}`} className="border-t border-rule py-1 text-sm">
            <summary className="flex cursor-pointer items-baseline gap-2">
              <span className="underline decoration-dotted underline-offset-3">{derivationLabel(tree)}</span>
              <b className="figure ml-auto whitespace-nowrap">{derivationValue(tree, plan)}</b>
            </summary>
            <ul className="m-0 list-none p-0">
              {tree.parts.map((part, p) => (
                <Part key={p} part={part} plan={plan} depth={0} combine={p === 0 ? "sum" : tree.combine} />
              ))}
            </ul>
            <p className="m-0 text-xs text-muted">{CAUTION[figure]}</p>
          </details>
        ))}
      </div>
    </Panel>
  );
}
