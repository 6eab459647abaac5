/** Sources passed on the day: flowing, a trickle or dry, by one touch; the sources remember it. */
import type { LogDay } from "@gepack/core";
import type { Say } from "../../words/say.ts";
import { REPORT_WORDS } from "../../words/water.ts";
import type { NamedPlace } from "./today.ts";
import type { CardInHand } from "./useCard.ts";

interface Props {
  waters: readonly NamedPlace[];
  card: LogDay;
  change: CardInHand["change"];
  say: Say;
}

const WORDS = Object.keys(REPORT_WORDS) as (keyof typeof REPORT_WORDS)[];

export function WaterSeen({ waters, card, change, say }: Props) {
  if (waters.length === 0) return null;
  return (
    <section aria-label="Water along the way" className="border-t-2 border-ink pt-1">
      <h3 className="m-0 mb-1 text-base font-bold">Water along the way</h3>
      <ul className="m-0 w-full list-none p-0">
        {waters.map(({ id, name, alongM }) => {
          const said = card.water.find(({ sourceId }) => sourceId === id)?.said;
          const others = card.water.filter(({ sourceId }) => sourceId !== id);
          return (
            <li key={id} className="flex flex-wrap items-center gap-2 border-b border-rule py-1">
              <span className="flex-1" dir="auto">
                {name} <span className="text-xs text-muted">{say.distance(alongM)}</span>
              </span>
              {WORDS.map((word) => (
                <button
                  key={word}
                  className={`min-h-[44px] ${said === word ? "btn btn-strong" : "btn"}`}
                  aria-pressed={said === word}
                  aria-label={`${name}: ${REPORT_WORDS[word]}`}
                  onClick={() => change({ water: said === word ? others : [...others, { sourceId: id, said: word }] })}
                >
                  {REPORT_WORDS[word]}
                </button>
              ))}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
