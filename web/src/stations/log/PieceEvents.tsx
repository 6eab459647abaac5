/** What happened to pieces on the day: broken, repaired, bought, sent, swapped, lost. */
import { PIECE_EVENTS, type LogDay, type Plan } from "@gepack/core";
import { Pick } from "../../ui/Pick.tsx";
import { EVENT_WORDS } from "../../words/log.ts";
import type { CardInHand } from "./useCard.ts";

interface Props {
  plan: Plan;
  card: LogDay;
  change: CardInHand["change"];
}

export function PieceEvents({ plan, card: { pieces }, change }: Props) {
  const nameOf = (id: string): string => plan.kit.find((piece) => piece.id === id)?.name ?? id;
  const set = (at: number, fields: Partial<LogDay["pieces"][number]>): void =>
    change({ pieces: pieces.map((row, i) => (i === at ? { ...row, ...fields } : row)) });
  if (plan.kit.length === 0) return null;
  return (
    <div className="grid gap-1">
      {pieces.map(({ pieceId, what, note }, i) => (
        <div key={i} className="flex flex-wrap items-center gap-2 border-b border-rule py-1">
          <b className="flex-1">{nameOf(pieceId)}</b>
          <Pick
            bare
            label={`What happened to ${nameOf(pieceId)}`}
            value={what}
            options={PIECE_EVENTS.map((event) => [event, EVENT_WORDS[event]] as const)}
            onPick={(event) => set(i, { what: event })}
          />
          <input
            className="field min-h-[44px] flex-1"
            aria-label={`Note on ${nameOf(pieceId)}`}
            placeholder="sole loose"
            maxLength={500}
            value={note}
            onChange={(event) => set(i, { note: event.target.value })}
          />
          <button
            className="btn min-h-[44px]"
            aria-label={`${nameOf(pieceId)}: event removed`}
            onClick={() => change({ pieces: pieces.filter((_, k) => k !== i) })}
          >
            remove
          </button>
        </div>
      ))}
      <Pick
        label="Item broke, was repaired, bought or sent"
        value=""
        options={[["", "choose an item"], ...plan.kit.map(({ id, name }) => [id, name] as const)]}
        onPick={(pieceId) => pieceId !== "" && change({ pieces: [...pieces, { pieceId, what: "broken", note: "" }] })}
      />
    </div>
  );
}
