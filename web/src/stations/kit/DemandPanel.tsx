/** One leg's demands with what meets each, and the hiker's own word on one of them. */
import type { Cover, DemandKind, LegResult, Plan } from "@gepack/core";
import { setDemand } from "../../edit/kit.ts";
import { stopName } from "../../words/names.ts";
import { coverSentence, DEMAND_WORDS, demandFigure, FIGURE_NOTES } from "../../words/kit.ts";
import { sayIn } from "../../words/say.ts";

interface Props {
  plan: Plan;
  leg: LegResult;
  /** Of the hiker, all legs. */
  covers: readonly Cover[];
  kind: DemandKind;
}

export function DemandPanel({ plan, leg, covers, kind }: Props) {
  const say = sayIn(plan);
  const cover = covers.find((one) => one.legIndex === leg.index && one.kind === kind);
  const own = plan.kitRules.demands.find((row) => row.kind === kind && row.fromStopId === leg.fromStopId);
  const where = `leg ${leg.index + 1}, ${stopName(plan, leg.fromStopId)} to ${stopName(plan, leg.toStopId)}`;
  return (
    <section aria-label="Demand" className="border-b border-rule px-[18px] py-2 text-sm" data-testid="demand">
      <h3 className="m-0 text-base font-bold">
        {DEMAND_WORDS[kind]} on {where}
      </h3>
      {cover ? (
        <p className="my-1 max-w-[72ch]">
          <b>{demandFigure(cover, say)}</b> ({FIGURE_NOTES[kind]}). {coverSentence(cover, plan, say)}
        </p>
      ) : (
        <p className="my-1 text-muted">
          {own?.wanted === false
            ? "Lifted by hand: nothing is asked of the kit."
            : "Not asked for, by the figures of the plan."}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {own ? (
          <button className="btn" onClick={() => setDemand(kind, leg.fromStopId, undefined)}>
            By the figures again
          </button>
        ) : cover ? (
          <button className="btn" onClick={() => setDemand(kind, leg.fromStopId, false)}>
            Do not ask for it on this leg
          </button>
        ) : (
          <button className="btn" onClick={() => setDemand(kind, leg.fromStopId, true)}>
            Ask for it on this leg all the same
          </button>
        )}
      </div>
      <p className="mt-1 mb-0 max-w-[72ch] text-xs text-muted">
        What is not asked for may come all the same: read the forecast and the bulletins, and ask those who know the
        ground.
      </p>
    </section>
  );
}
