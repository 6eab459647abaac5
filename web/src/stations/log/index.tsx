/** Log: what happened, day by day; plan against fact; what is learnt; the record as files. */
import { lazy, memo, Suspense, useDeferredValue, useMemo } from "react";
import { cardsOf, writeLogGpx } from "@gepack/core";
import { save } from "../../frame/files.ts";
import { saveCsv } from "../../exports/sheets.ts";
import { logPage, logSheet } from "../../exports/logFiles.ts";
import { remember, useSettings } from "../../store/settings.ts";
import { Fold } from "../../ui/Fold.tsx";
import { sayIn, type Say } from "../../words/say.ts";
import type { ScreenProps } from "../Screen.tsx";
import { Afterwards } from "./Afterwards.tsx";
import { AgainstPlan } from "./AgainstPlan.tsx";
import { CatchUp } from "./CatchUp.tsx";
import { Learnt } from "./Learnt.tsx";
import { TodayCard } from "./TodayCard.tsx";
import { useCard } from "./useCard.ts";

/** Its drawing is large. */
const FactChart = lazy(() => import("./FactChart.tsx"));

/** The card in hand is that of one trip. */
export default function Log(props: ScreenProps) {
  return <LogOfTrip key={props.plan.id} {...props} />;
}

function LogOfTrip({ plan, result: newest }: ScreenProps) {
  const result = useDeferredValue(newest);
  const say = useMemo(() => sayIn(plan), [plan]);
  const hand = useCard(plan, result);
  return (
    <div className="reads-as-text grid grid-cols-1 bg-sheet pb-6 min-[1000px]:grid-cols-[420px_minmax(0,1fr)]">
      <div className="border-rule min-[1000px]:border-r">
        <TodayCard key={hand.card.date} plan={plan} result={result} hand={hand} say={say} />
      </div>
      <Beside plan={plan} result={result} say={say} chosen={hand.card.date} onOpen={hand.open} />
    </div>
  );
}

interface BesideProps extends ScreenProps {
  say: Say;
  chosen: string;
  onOpen: (date: string) => void;
}

/** All but the card: it rests while a card is typed. */
const Beside = memo(function Beside({ plan, result, say, chosen, onOpen }: BesideProps) {
  const theme = useSettings((state) => state.theme);
  const cards = useMemo(() => cardsOf(plan, result), [plan, result]);
  const name = `${plan.trip.name} log`;
  const none = cards.length === 0;
  return (
    <div className="min-w-0 px-[18px] py-3">
      <div className="mb-2 flex flex-wrap gap-2">
        <button className="btn" onClick={() => remember("theme", theme === "night" ? "system" : "night")}>
          {theme === "night" ? "Day colours" : "Night (red on black)"}
        </button>
        <button className="btn" disabled={none} onClick={() => saveCsv(name, logSheet(plan, cards))}>
          CSV
        </button>
        <button
          className="btn"
          disabled={none}
          onClick={() => save(writeLogGpx(plan, result, cards), name, "gpx", "application/gpx+xml")}
        >
          GPX by day
        </button>
        <button className="btn" disabled={none} onClick={() => save(logPage(plan, cards), name, "html", "text/html")}>
          Save as web page
        </button>
      </div>
      <Fold
        className="mb-3 border-y border-rule py-2"
        titleClass="text-sm font-semibold"
        title="Catch up on several days"
      >
        <CatchUp plan={plan} result={result} say={say} />
      </Fold>
      <section aria-label="Planned vs. actual">
        <h3 className="mt-0 mb-1 text-lg font-bold">Planned vs. actual</h3>
        <AgainstPlan plan={plan} cards={cards} chosen={chosen} say={say} onOpen={onOpen} />
        {cards.length > 1 && (
          <Fold className="mt-2" titleClass="text-sm font-semibold" title="Planned vs. actual, day by day">
            <Suspense fallback={<p className="text-sm text-muted">Loading…</p>}>
              <FactChart plan={plan} result={result} cards={cards} />
            </Suspense>
          </Fold>
        )}
      </section>
      <section aria-label="What your log says about you" className="mt-4">
        <h3 className="m-0 mb-1 text-lg font-bold">What your log says about you</h3>
        <Learnt plan={plan} result={result} />
      </section>
      <Fold
        className="mt-4 border-y border-rule py-2"
        titleClass="text-sm font-semibold"
        title="Item by item: carried, broken, never needed"
      >
        <Afterwards plan={plan} result={result} cards={cards} say={say} />
      </Fold>
    </div>
  );
});
