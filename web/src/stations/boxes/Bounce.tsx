/** What is never carried, where its box is opened, and what that costs. */
import { X } from "lucide-react";
import { boxesOf, type Piece, type Plan, type PlanResult } from "@gepack/core";
import { bouncePiece, dropBounce, openBounceAt, startBounce } from "../../edit/bounce.ts";
import { Pick } from "../../ui/Pick.tsx";
import { firstName, stopName } from "../../words/names.ts";
import type { Say } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  say: Say;
}

export function Bounce({ plan, result, say }: Props) {
  const { bounce } = plan;
  if (!bounce)
    return (
      <div className="grid max-w-[72ch] justify-items-start gap-2 py-2 text-sm">
        <p className="m-0">
          A bounce box holds what you need in towns and never carry: chargers, town clothes, spare shoes. You open it at
          a stop and mail it on to the next.
        </p>
        <button className="btn" onClick={startBounce}>
          Make a bounce box
        </button>
      </div>
    );
  const named = ({ name, ownerId }: Piece): string => {
    const owner = plan.hikers.length > 1 && plan.hikers.find(({ id }) => id === ownerId);
    return owner ? `${name}, ${firstName(owner)}` : name;
  };
  const inIt = plan.kit.filter((piece) => isInBox(piece, bounce.pieceIds));
  const others = plan.kit.filter((piece) => !isInBox(piece, bounce.pieceIds));
  const boxes = boxesOf(plan, result).filter((box) => box.bounce);
  const price = boxes.reduce((sum, box) => sum + box.price, 0);
  const reached = result.legs.slice(0, -1).map(({ toStopId }) => toStopId);
  return (
    <div className="grid gap-3 py-2 text-sm">
      <p className="m-0 text-muted" data-testid="bounce-says">
        {boxes.length === 0
          ? "Opened nowhere on this hike yet: tick a stop."
          : `${say.kg(boxes[0]!.totalG / 1000)}, opened ${boxes.length === 1 ? "once" : `${boxes.length} times`}, ${say.money(price)} for postage and fees.`}
      </p>
      <section aria-label="In the bounce box">
        <h3 className="m-0 text-sm font-semibold">In it</h3>
        <ul className="m-0 flex list-none flex-wrap gap-2 p-0">
          {inIt.map((piece) => (
            <li key={piece.id} className="flex items-center gap-1 rounded border border-rule px-2 py-0.5">
              {named(piece)}, {say.g(piece.massG * piece.quantity)}
              <button
                className="p-1 text-muted hover:text-danger"
                aria-label={`Take ${named(piece)} out of the bounce box`}
                title={`Carry ${piece.name} again`}
                onClick={() => bouncePiece(piece.id, piece.name, false)}
              >
                <X size={14} aria-hidden="true" />
              </button>
            </li>
          ))}
        </ul>
        {others.length > 0 && (
          <div className="mt-2 max-w-[320px]">
            <Pick
              label="Put in"
              value=""
              options={[["", "choose an item"], ...others.map((piece) => [piece.id, named(piece)] as const)]}
              onPick={(id) => {
                const piece = others.find((one) => one.id === id);
                if (piece) bouncePiece(id, piece.name, true);
              }}
            />
          </div>
        )}
      </section>
      <fieldset className="m-0 border-0 p-0">
        <legend className="p-0 font-semibold">Open it at</legend>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {reached.map((stopId) => (
            <label key={stopId} className="flex items-center gap-1">
              <input
                type="checkbox"
                checked={bounce.stopIds.includes(stopId)}
                onChange={(event) => openBounceAt(stopId, stopName(plan, stopId), event.target.checked)}
              />
              {stopName(plan, stopId)}
            </label>
          ))}
        </div>
      </fieldset>
      <div>
        <button className="btn" onClick={dropBounce}>
          Remove the bounce box
        </button>
      </div>
    </div>
  );
}

const isInBox = ({ id, spans }: Piece, pieceIds: readonly string[]): boolean =>
  spans.length === 0 && pieceIds.includes(id);
