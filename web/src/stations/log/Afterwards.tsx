/** Piece by piece, how many days and nights of the log it was carried, what happened to it, and what is to become of it. */
import { useMemo } from "react";
import {
  compareLists,
  listOnLeg,
  pieceRecords,
  type CardFigures,
  type Piece,
  type PieceRecord,
  type Plan,
  type PlanResult,
} from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { Pick } from "../../ui/Pick.tsx";
import { Table } from "../../ui/Table.tsx";
import { TypedText } from "../../ui/TypedText.tsx";
import { EVENT_WORDS, VERDICT_WORDS } from "../../words/log.ts";
import type { Say } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  cards: readonly CardFigures[];
  say: Say;
}

const VERDICTS = [["", "no verdict"], ...Object.entries(VERDICT_WORDS)] as [
  NonNullable<Piece["verdict"]> | "",
  string,
][];
const MOST_LESSON = 1000;

export function Afterwards({ plan, result, cards, say }: Props) {
  const rows = useMemo(() => pieceRecords(plan, result, cards), [plan, result, cards]);
  const idle = rows.filter(({ isIdle }) => isIdle);
  const idleG = idle.reduce((sum, { grams }) => sum + grams, 0);
  const idleKgKm = idle.reduce((sum, { grams, metres }) => sum + (grams / 1000) * (metres / 1000), 0);
  if (rows.length === 0)
    return <p className="text-sm text-muted">Save some days first: what you carried on them is listed here.</p>;
  const pieceOf = (id: string): Piece | undefined => plan.kit.find((piece) => piece.id === id);
  return (
    <div className="py-2 text-sm">
      <p className="mt-0 mb-2" data-testid="never-used">
        {idle.length === 0
          ? "Every item was needed on some day."
          : `${idle.length} items (${say.g(idleG)}) were carried but never needed, ${say.carried(idleKgKm)} in total: consider leaving them at home.`}
      </p>
      <StartAndNow plan={plan} result={result} cards={cards} say={say} />
      <Table<PieceRecord>
        label="Items in the log"
        rows={rows}
        idOf={({ pieceId }) => pieceId}
        columns={[
          { id: "name", head: "item", names: true, cell: ({ pieceId }) => pieceOf(pieceId)?.name },
          { id: "grams", head: "weight", right: true, cell: ({ grams }) => say.g(grams) },
          { id: "days", head: "days", right: true, cell: ({ days }) => days },
          { id: "nights", head: "nights", right: true, from: 561, cell: ({ nights }) => nights },
          { id: "way", head: "carried", right: true, from: 861, cell: ({ metres }) => say.distance(metres) },
          {
            id: "what",
            head: "events",
            wide: true,
            cell: ({ events, isIdle }) =>
              [
                ...events.map(
                  ({ date, what, note }) => `${EVENT_WORDS[what]} on ${say.date(date)}${note ? `: ${note}` : ""}`,
                ),
                ...(isIdle ? ["not needed"] : []),
              ].join("; "),
          },
          {
            id: "verdict",
            head: "verdict",
            cell: ({ pieceId }) => {
              const piece = pieceOf(pieceId);
              return (
                piece && (
                  <Pick
                    bare
                    label={`Verdict on ${piece.name}`}
                    value={piece.verdict ?? ""}
                    options={VERDICTS}
                    onPick={(verdict) =>
                      setRow("kit", pieceId, `Verdict on ${piece.name}`, {
                        verdict: verdict === "" ? undefined : verdict,
                      })
                    }
                  />
                )
              );
            },
          },
          {
            id: "lesson",
            head: "lesson",
            wide: true,
            from: 561,
            cell: ({ pieceId }) => {
              const piece = pieceOf(pieceId);
              return (
                piece && (
                  <TypedText<string | undefined>
                    bare
                    label={`Lesson for ${piece.name}`}
                    className="w-full"
                    shown={piece.lesson ?? ""}
                    read={(text) => ({ value: text.trim().slice(0, MOST_LESSON) || undefined })}
                    show={(text) => text ?? ""}
                    onCommit={(lesson) => setRow("kit", pieceId, `Lesson for ${piece.name}`, { lesson })}
                  />
                )
              );
            },
          },
        ]}
      />
      <p className="m-0 mt-1 max-w-[72ch] text-xs text-muted">
        Verdicts and lessons stay with the item on the shelf. The next trip that starts from your gear shows them, and
        leaves at home what you marked that way.
      </p>
    </div>
  );
}

/** What the first leg carried beside what the leg of the last card does. */
function StartAndNow({ plan, result, cards, say }: Props) {
  const last = cards.at(-1)!;
  const leg = result.legs.find(({ fromNode, toNode }) => fromNode <= last.toNode && last.toNode <= toNode);
  const now = leg?.index ?? 0;
  if (now === 0) return null;
  const { changes, beforeG, afterG } = compareLists(listOnLeg(plan, result, 0), listOnLeg(plan, result, now));
  const names = (kind: "added" | "left"): string =>
    changes
      .filter((change) => change.kind === kind)
      .map(({ before, after }) => (after ?? before)!.name)
      .join(", ");
  const [added, left] = [names("added"), names("left")];
  return (
    <p className="mt-0 mb-2 max-w-[90ch]" data-testid="start-and-now">
      {say.kg(beforeG / 1000)} of kit at the start, {say.kg(afterG / 1000)} now.{added && ` Added: ${added}.`}
      {left && ` Removed: ${left}.`}
    </p>
  );
}
