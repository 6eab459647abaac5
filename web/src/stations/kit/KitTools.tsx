/** What one does with a kit beside its lanes, each folded away until it is wanted. */
import type { ReactNode } from "react";
import type { LegResult, Piece, Plan, PlanResult } from "@gepack/core";
import { Fold } from "../../ui/Fold.tsx";
import { Advice } from "./Advice.tsx";
import { Alternatives } from "./Alternatives.tsx";
import { Decisions } from "./Decisions.tsx";
import { ListCompare } from "./ListCompare.tsx";
import { PackPicture } from "./PackPicture.tsx";
import { Sharing } from "./Sharing.tsx";
import { Shelf } from "./Shelf.tsx";
import { SwapPanel } from "./SwapPanel.tsx";
import { Wear } from "./Wear.tsx";
import { WeighSeveral } from "./WeighSeveral.tsx";
import { CheckListOfKit, Weights } from "./Weights.tsx";
import { SwapsByStop, WhereOnDay } from "./Whereabouts.tsx";

interface Props {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
  who: number;
  onOpen: (piece: Piece) => void;
}

export function KitTools({ plan, result, leg, who, onOpen }: Props) {
  const hikerId = plan.hikers[who]!.id;
  const waits = plan.decisions.filter(({ decided }) => !decided).length;
  return (
    <div className="px-[18px] pb-3">
      <Chapter name="Choose">
        <Tool title="Shelf and starter lists">
          <Shelf plan={plan} hikerId={hikerId} onOpen={onOpen} />
        </Tool>
        <Tool title="Alternatives">
          <Alternatives plan={plan} />
        </Tool>
        <Tool title={waits > 0 ? `Open decisions (${waits})` : "Open decisions"}>
          <Decisions plan={plan} result={result} />
        </Tool>
        <Tool title="Advice of a friend">
          <Advice plan={plan} result={result} leg={leg} who={who} />
        </Tool>
        <Tool title="Compare two lists">
          <ListCompare plan={plan} result={result} leg={leg} />
        </Tool>
      </Chapter>
      <Chapter name="Swap">
        <Tool title="Find swaps">
          <SwapPanel plan={plan} result={result} />
        </Tool>
        <Tool title="Swaps by stop">
          <SwapsByStop plan={plan} result={result} />
        </Tool>
        <Tool title="Where everything is on a given day">
          <WhereOnDay plan={plan} result={result} />
        </Tool>
        <Tool title="Shoes and consumables">
          <Wear plan={plan} result={result} />
        </Tool>
      </Chapter>
      <Chapter name="Weigh and pack">
        <Tool title="Weight by group">
          <Weights plan={plan} result={result} leg={leg} who={who} />
        </Tool>
        <Tool title="Weigh several items in a row">
          <WeighSeveral plan={plan} onOpen={onOpen} />
        </Tool>
        {plan.hikers.length > 1 && (
          <Tool title="Share the load fairly">
            <Sharing plan={plan} result={result} leg={leg} />
          </Tool>
        )}
        <Tool title="How the pack is packed">
          <PackPicture plan={plan} result={result} leg={leg} who={who} />
        </Tool>
        <Tool title="Packing list">
          <CheckListOfKit plan={plan} result={result} leg={leg} who={who} />
        </Tool>
      </Chapter>
    </div>
  );
}

function Chapter({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name} className="mt-2">
      <h3 className="m-0 border-b border-rule pb-0.5 text-sm font-bold text-pine">{name}</h3>
      {children}
    </section>
  );
}

function Tool({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Fold className="border-b border-rule py-2" titleClass="text-sm font-semibold" title={title}>
      {children}
    </Fold>
  );
}
