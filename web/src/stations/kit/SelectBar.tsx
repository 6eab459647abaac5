/** What may be done with several pieces at once, each in one undoable step. */
import { useState } from "react";
import { RIDES, type Piece, type Plan } from "@gepack/core";
import { leaveAtHome, setPieces, takeAlong } from "../../edit/kit.ts";
import { removeRows } from "../../edit/rows.ts";
import { Pick } from "../../ui/Pick.tsx";
import { RIDE_WORDS } from "../../words/kit.ts";
import { firstName, stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import type { SwapPoint } from "./spans.ts";

interface Props {
  plan: Plan;
  points: readonly SwapPoint[];
  pieces: readonly Piece[];
  onClear: () => void;
}

export function SelectBar({ plan, points, pieces, onClear }: Props) {
  const say = sayIn(plan);
  const [from, setFrom] = useState(points[0]!.id);
  const [to, setTo] = useState(points.at(-1)!.id);
  const ids = pieces.map(({ id }) => id);
  const count = pieces.length === 1 ? pieces[0]!.name : `${pieces.length} items`;
  const grams = pieces.reduce((sum, { massG, quantity }) => sum + massG * quantity, 0);
  const groups = [...new Set(plan.kit.map(({ group }) => group))];
  const stops = points.map(({ id }) => [id, stopName(plan, id)] as const);
  const at = (id: string): number => points.findIndex((point) => point.id === id);
  const isTurned = at(from) >= at(to);
  const set = (what: string, recipe: (piece: Piece) => void): void => setPieces(ids, `${count}: ${what}`, recipe);
  const setSpan = (): void =>
    set(`carried from ${stopName(plan, from)} to ${stopName(plan, to)}`, (piece) => {
      const isFirst = at(from) === 0;
      const isLast = at(to) === points.length - 1;
      piece.spans = [
        {
          fromStopId: from,
          toStopId: to,
          begins: isFirst ? "from-home" : "posted",
          ends: isLast ? "kept" : "sent-home",
        },
      ];
    });
  return (
    <section
      aria-label="Selected items"
      className="is-form min-[720px]:sticky top-0 z-[3] flex flex-wrap items-end gap-x-3 gap-y-1 border-y border-rule bg-pine-wash px-[18px] py-1.5 text-sm"
    >
      <b className="pb-1.5">
        {count}, {say.g(grams)}
      </b>
      <Pick
        label="Group"
        value=""
        options={[["", "move to…"], ...groups.map((group) => [group, group] as const)]}
        onPick={(group) => group !== "" && set(`in ${group}`, (piece) => void (piece.group = group))}
      />
      {plan.hikers.length > 1 && (
        <Pick
          label="Carried by"
          value=""
          options={[["", "give to…"], ...plan.hikers.map((hiker) => [hiker.id, firstName(hiker)] as const)]}
          onPick={(carrierId) =>
            carrierId !== "" &&
            set("carried by someone else", (piece) => {
              piece.carrierId = carrierId;
              for (const span of piece.spans) delete span.carrierId;
            })
          }
        />
      )}
      <Pick
        label="Packing place"
        value=""
        options={[["", "move to…"], ...RIDES.map((ride) => [ride, RIDE_WORDS[ride]] as [string, string])]}
        onPick={(ride) =>
          ride !== "" && set(RIDE_WORDS[ride as keyof typeof RIDE_WORDS], (piece) => void (piece.rides = ride as never))
        }
      />
      <Pick label="From" value={from} options={stops} onPick={setFrom} />
      <Pick label="to" value={to} options={stops} onPick={setTo} />
      <button
        className="btn"
        disabled={isTurned}
        title={isTurned ? "The end has to come after the start." : undefined}
        onClick={setSpan}
      >
        Set
      </button>
      <button className="btn" onClick={() => takeAlong(ids, `${count}: brought along`)}>
        Bring along
      </button>
      <button className="btn" onClick={() => leaveAtHome(ids, `${count}: left at home`)}>
        Leave at home
      </button>
      <button
        className="btn text-danger"
        onClick={() => {
          removeRows("kit", ids, `Remove ${count}`);
          onClear();
        }}
      >
        Remove
      </button>
      <button className="btn" onClick={onClear}>
        Clear selection
      </button>
    </section>
  );
}
