/** Piece by piece, how many days and nights of the log it was carried, what happened to it, and what may stay at home. */
import { pieceRecords, type CardFigures, type PieceRecord, type Plan, type PlanResult } from "@gepack/core";
import { Table } from "../../ui/Table.tsx";
import { EVENT_WORDS } from "../../words/log.ts";
import type { Say } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  cards: readonly CardFigures[];
  say: Say;
}

export function Afterwards({ plan, result, cards, say }: Props) {
  const rows = pieceRecords(plan, result, cards);
  const idle = rows.filter(({ isIdle }) => isIdle);
  const idleG = idle.reduce((sum, { grams }) => sum + grams, 0);
  if (rows.length === 0)
    return <p className="text-sm text-muted">Keep days first: what was carried on them stands here.</p>;
  return (
    <div className="py-2 text-sm">
      <p className="mt-0 mb-2">
        {idle.length === 0
          ? "Every piece was asked for on some day."
          : `${idle.length} pieces, ${say.g(idleG)} in all, were carried and not asked for on any of these days: look whether they may stay at home.`}
      </p>
      <Table<PieceRecord>
        label="Pieces in the log"
        rows={rows}
        idOf={({ pieceId }) => pieceId}
        columns={[
          {
            id: "name",
            head: "piece",
            names: true,
            cell: ({ pieceId }) => plan.kit.find(({ id }) => id === pieceId)?.name,
          },
          { id: "grams", head: "mass", right: true, cell: ({ grams }) => say.g(grams) },
          { id: "days", head: "days", right: true, cell: ({ days }) => days },
          { id: "nights", head: "nights", right: true, from: 561, cell: ({ nights }) => nights },
          { id: "way", head: "carried", right: true, from: 561, cell: ({ metres }) => say.way(metres) },
          {
            id: "what",
            head: "what happened",
            wide: true,
            cell: ({ events, isIdle }) =>
              [
                ...events.map(
                  ({ date, what, note }) => `${EVENT_WORDS[what]} on ${say.date(date)}${note ? `: ${note}` : ""}`,
                ),
                ...(isIdle ? ["not asked for"] : []),
              ].join("; "),
          },
        ]}
      />
    </div>
  );
}
