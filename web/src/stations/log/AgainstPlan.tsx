/** Plan against fact: how far ahead or behind, day by day, as a line and as a table; each card opened by its row. */
import type { CardFigures, LogDay, Plan } from "@gepack/core";
import { Table } from "../../ui/Table.tsx";
import { FAULT_WORDS } from "../../words/log.ts";
import type { Say } from "../../words/say.ts";
import { toPx, rounded } from "../../units/quantity.ts";

interface Props {
  plan: Plan;
  cards: readonly CardFigures[];
  chosen: string;
  say: Say;
  onOpen: (date: string) => void;
}

export function AgainstPlan({ plan, cards, chosen, say, onOpen }: Props) {
  const last = cards.at(-1);
  if (!last)
    return (
      <p className="max-w-[72ch] text-sm text-muted">
        No day is saved yet. When you save the first one, the current plan is kept beside the log; from then on each day
        is compared with it, and the rest of the plan continues from where you are.
      </p>
    );
  const totalH = cards.reduce((sum, { card }) => sum + (card.walkedH ?? 0), 0);
  return (
    <>
      <p className="mt-0 mb-2" data-testid="log-say">
        {cards.length === 1 ? "1 day" : `${cards.length} days`} saved, {say.distance(last.toM)}
        {totalH > 0 && `, ${say.hours(totalH)} on your feet`}. <b>{aheadWords(last, say)}</b>
      </p>
      <AheadLine cards={cards} />
      <Table<CardFigures>
        label="Saved days"
        rows={cards.toReversed()}
        idOf={({ card }) => card.date}
        chosen={[chosen]}
        onChoose={onOpen}
        columns={[
          { id: "day", head: "day", right: true, cell: ({ tripDay }) => tripDay },
          {
            id: "date",
            head: "date",
            names: true,
            cell: ({ card }) => <span className="whitespace-nowrap">{say.date(card.date)}</span>,
          },
          { id: "way", head: "distance", right: true, cell: ({ fromM, toM }) => say.distance(toM - fromM) },
          { id: "up", head: "up", right: true, from: 561, cell: ({ climbM }) => say.height(climbM) },
          {
            id: "hours",
            head: "hours, planned",
            right: true,
            cell: ({ card, groundH }) =>
              `${card.walkedH === undefined ? "–" : say.number(card.walkedH, 1)} / ${say.number(groundH, 1)}`,
          },
          {
            id: "ahead",
            head: "ahead",
            right: true,
            cell: ({ aheadM }) => (aheadM === undefined ? "" : say.distance(aheadM)),
          },
          {
            id: "low",
            head: "low",
            right: true,
            from: 561,
            cell: ({ card }) => (card.lowC === undefined ? "" : say.C(card.lowC)),
          },
          {
            id: "left",
            head: "food left",
            right: true,
            from: 561,
            cell: ({ card }) => (card.foodKg === undefined ? "" : say.kg(card.foodKg)),
          },
          { id: "about", head: "notes", from: 861, wide: true, cell: ({ card }) => aboutWords(card, plan) },
        ]}
      />
      {cards.map(({ card, faults }) =>
        faults.map((fault) => (
          <p key={`${card.id} ${fault}`} className="my-1 text-sm text-caution">
            {say.date(card.date)}: {FAULT_WORDS[fault]}.
          </p>
        )),
      )}
    </>
  );
}

const HALF_DAY = 0.5;

export function aheadWords({ aheadM, aheadDays }: CardFigures, say: Say): string {
  if (aheadM === undefined) return "";
  const days =
    aheadDays !== undefined && Math.abs(aheadDays) >= HALF_DAY ? `, ${say.days(Math.abs(rounded(aheadDays, 1)))}` : "";
  if (Math.abs(aheadM) < 1000) return "As planned.";
  return `${say.distance(Math.abs(aheadM))}${days} ${aheadM > 0 ? "ahead of" : "behind"} the original plan.`;
}

function aboutWords({ weather, area, pieces, notes }: LogDay, plan: Plan): string {
  const broken = pieces.map(({ pieceId, what }) => `${plan.kit.find(({ id }) => id === pieceId)?.name ?? ""} ${what}`);
  return [weather, area, ...broken, notes].filter((words) => words.trim() !== "").join(" · ");
}

const WIDE = 600;
const HIGH = 70;

/** Kilometres ahead over the days, the plan a level line. */
function AheadLine({ cards }: { cards: readonly CardFigures[] }) {
  const known = cards.filter(({ aheadM }) => aheadM !== undefined);
  if (known.length < 2) return null;
  const most = Math.max(5000, ...known.map(({ aheadM }) => Math.abs(aheadM!)));
  const [first, last] = [known[0]!.day, known.at(-1)!.day];
  const x = (day: number): number => ((day - first) / Math.max(1, last - first)) * WIDE;
  const y = (aheadM: number): number => HIGH / 2 - (aheadM / most) * (HIGH / 2 - 4);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      preserveAspectRatio="none"
      className="mb-2 block h-[70px] w-full border border-rule"
      role="img"
      aria-label="Ahead of plan (above the line) or behind (below), day by day"
    >
      <path
        d={`M0 ${HIGH / 2}H${WIDE}`}
        stroke="var(--muted)"
        strokeDasharray="4 4"
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={`M${known.map(({ day, aheadM }) => `${toPx(x(day))} ${toPx(y(aheadM!))}`).join("L")}`}
        fill="none"
        stroke="var(--pine)"
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
