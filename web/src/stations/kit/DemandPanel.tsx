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
    <section aria-label="Requirement" className="border-b border-rule px-[18px] py-2 text-sm" data-testid="demand">
      <h3 className="m-0 text-base font-bold">
        {DEMAND_WORDS[kind]} on {where}
      </h3>
      {cover ? (
        <p className="my-1 max-w-[72ch]">
          <b>{demandFigure(cover, say)}</b> ({FIGURE_NOTES[kind]}). {coverSentence(cover, plan, say)}
        </p>
      ) : (
        <p className="my-1 text-muted">
          {own?.wanted === false ? "Waived by you: your kit needn’t cover this." : "Not needed, by the plan’s figures."}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {own ? (
          <button className="btn" onClick={() => setDemand(kind, leg.fromStopId, undefined)}>
            Use the plan’s figures
          </button>
        ) : cover ? (
          <button className="btn" onClick={() => setDemand(kind, leg.fromStopId, false)}>
            Waive it on this leg
          </button>
        ) : (
          <button className="btn" onClick={() => setDemand(kind, leg.fromStopId, true)}>
            Require it on this leg anyway
          </button>
        )}
      </div>
      <p className="mt-1 mb-0 max-w-[72ch] text-xs text-muted">
        It may still happen even if it isn’t required. Read the forecast and bulletins, and ask people who know the
        ground.
      </p>
    </section>
  );
}
