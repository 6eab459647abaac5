/** The Why of a chance: how sure it is, and hikes in which it happened, each of which can be opened as a plan. */
import { useEffect, useState } from "react";
import type { Hike, LegOdds, LegResult, Plan, Trouble } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { report } from "../../store/notices.ts";
import { keepVariantOf } from "../../edit/variants.ts";
import { LOCAL_FIRST } from "../../words/cautions.ts";
import { JobStopped } from "../../worker/client.ts";
import { stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { chanceWords, hikeWords, intervalWords, TROUBLE_WORDS, troubleWords } from "../../words/odds.ts";

interface Props {
  plan: Plan;
  who: number;
  leg: LegResult;
  odds: LegOdds;
  trouble: Trouble;
  runs: number;
}

export function WentWrong({ plan, who, leg, odds, trouble, runs }: Props) {
  const chance = odds.chances[trouble];
  const examples = odds.examples[trouble];
  const wanted = examples?.join(" ") ?? "";
  const [found, setFound] = useState<{ wanted: string; hikes: Hike[] }>();
  useEffect(() => {
    if (!examples) return;
    const stop = new AbortController();
    const hikes: Hike[] = [];
    calculator()
      .tellHikes({ plan, who, runs, numbers: examples }, (hike) => void hikes.push(hike), stop.signal)
      .then(() => stop.signal.aborted || setFound({ wanted, hikes }))
      .catch((error: unknown) => error instanceof JobStopped || report(error));
    return () => stop.abort();
    // The numbers stand for themselves, and the plan for the rest.
  }, [plan, who, runs, wanted]); // eslint-disable-line react-hooks/exhaustive-deps
  const { title, what, caution } = TROUBLE_WORDS[trouble];
  const shown = found?.wanted === wanted ? found.hikes : [];
  return (
    <aside
      aria-label="What went wrong"
      className="border-l border-rule bg-paper px-[18px] py-3.5 text-sm"
      data-testid="went-wrong"
    >
      <h2 className="m-0 text-lg leading-tight font-bold">
        {leg.index + 1}. {stopName(plan, leg.fromStopId)} to {stopName(plan, leg.toStopId)}
      </h2>
      <p className="m-0 mt-2 text-muted">{title}</p>
      <p className="figure m-0 text-3xl leading-none font-extrabold">{chanceWords(chance)}</p>
      <p className="mt-1 mb-2 text-muted">
        {what} {intervalWords(chance)} (random variation only).
      </p>
      {trouble === "food" && odds.foodShortKg > 0.005 && (
        <p className="mt-0 mb-2">
          With <b>{sayIn(plan).g(1000 * odds.foodShortKg)}</b> more food, nine hikes in ten would have had enough here.
        </p>
      )}
      {shown.length > 0 && (
        <ul className="m-0 mt-1 grid list-none gap-3 p-0">
          {shown.map((hike) => (
            <li key={hike.run}>
              <p className="m-0 mb-1">
                <b>Hike {hike.run + 1}:</b> {troubleWords(plan, hike, trouble, leg.index, leg.toStopId)}. Overall:{" "}
                {hikeWords(plan, hike)}.
              </p>
              <button
                className="btn min-h-[24px]! px-2! py-0!"
                title="What you would have had to carry on this hike, and how many days to plan"
                onClick={() => void keepVariantOf(plan, `Hike ${hike.run + 1} of ${runs}`, hike, who)}
              >
                Open as a variant
              </button>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-3 border-t border-rule pt-2 text-xs text-muted">
        {caution} {LOCAL_FIRST}
      </p>
    </aside>
  );
}
