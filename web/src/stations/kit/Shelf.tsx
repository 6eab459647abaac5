/** The shelf: all that is owned and not on this hike, with what it cost and how it is; starter lists for whoever has nothing yet. */
import { useState } from "react";
import { KIT_STYLES, onShelf, type KitStyle, type Piece, type Plan } from "@gepack/core";
import { listFor, takeAlong } from "../../edit/kit.ts";
import { addRows } from "../../edit/rows.ts";
import { Pick } from "../../ui/Pick.tsx";
import { Table } from "../../ui/Table.tsx";
import { counted } from "../../words/counted.ts";
import { STYLE_WORDS } from "../../words/kit.ts";
import { VERDICT_WORDS } from "../../words/log.ts";
import { sayIn, type Say } from "../../words/say.ts";

interface Props {
  plan: Plan;
  hikerId: string;
  onOpen: (piece: Piece) => void;
}

export function Shelf({ plan, hikerId, onOpen }: Props) {
  const say = sayIn(plan);
  const rows = onShelf(plan);
  return (
    <div className="py-2 text-sm">
      <p className="mt-0 mb-1 max-w-[72ch] text-muted">
        Gear you own but leave at home on this hike, with the weights you measured. It’s also available in your next
        trip. Select items above to move them here.
      </p>
      {rows.length === 0 ? (
        <p className="my-1">Your shelf is empty: everything comes along.</p>
      ) : (
        <Table<Piece>
          label="Shelf"
          rows={rows}
          idOf={({ id }) => id}
          columns={[
            {
              id: "name",
              head: "item",
              names: true,
              cell: (piece) => (
                <button
                  className="text-left hover:underline"
                  title={`Edit ${piece.name}`}
                  onClick={() => onOpen(piece)}
                >
                  {piece.name}
                </button>
              ),
            },
            { id: "group", head: "group", from: 861, cell: ({ group }) => group },
            {
              id: "mass",
              head: "weight",
              right: true,
              cell: ({ massG, quantity, measured }) => (
                <>
                  {say.g(massG * quantity)}
                  {!measured && <span className="text-muted"> typical</span>}
                </>
              ),
            },
            { id: "told", head: "listed weight", right: true, from: 561, cell: (piece) => listedWords(piece, say) },
            {
              id: "price",
              head: "price",
              right: true,
              from: 561,
              cell: ({ price }) => (price === undefined ? "" : say.money(price)),
            },
            { id: "state", head: "so far", from: 861, cell: (piece) => stateWords(piece, say) },
            {
              id: "take",
              head: <span className="sr-only">Bring along</span>,
              cell: ({ id, name }) => (
                <button
                  className="btn min-h-[24px]! px-2! py-0!"
                  aria-label={`Bring ${name} along`}
                  onClick={() => takeAlong([id], `${name}: brought along`)}
                >
                  Bring along
                </button>
              ),
            },
          ]}
        />
      )}
      <Starter plan={plan} hikerId={hikerId} />
    </div>
  );
}

function listedWords({ listedG, massG }: Piece, say: Say): string {
  if (listedG === undefined) return "";
  const more = massG - listedG;
  if (Math.abs(more) < 0.5) return `${say.g(listedG)}, correct`;
  return `${say.g(listedG)}, ${say.g(Math.abs(more))} ${more > 0 ? "too little" : "too much"}`;
}

/** Condition, nights, kilometres, when bought, and what was changed or could be. */
function stateWords(
  { condition, nightsBefore, wornM, boughtOn, modifications = [], verdict, lesson }: Piece,
  say: Say,
): string {
  const open = modifications.filter(({ done }) => !done);
  return [
    condition,
    boughtOn && `bought in ${boughtOn.slice(0, 4)}`,
    nightsBefore && `${nightsBefore} nights used`,
    wornM > 0 && say.distance(wornM),
    open.length > 0 &&
      `could save ${say.g(open.reduce((sum, { savedG }) => sum + savedG, 0))}: ${open.map(({ what }) => what).join(", ")}`,
    verdict && verdict !== "keep" && `verdict: ${VERDICT_WORDS[verdict]}`,
    lesson && `“${lesson}”`,
  ]
    .filter(Boolean)
    .join("; ");
}

function Starter({ plan, hikerId }: Omit<Props, "onOpen">) {
  const say = sayIn(plan);
  const [style, setStyle] = useState<KitStyle>("usual");
  const [stove, setStove] = useState(true);
  const [hung, setHung] = useState(false);
  const rows = listFor(plan, hikerId, { style, stove, hung });
  const grams = rows.reduce((sum, { massG, quantity = 1 }) => sum + massG * quantity, 0);
  return (
    <section
      aria-label="Starter list"
      className="is-form mt-3 flex flex-wrap items-end gap-3 border-t border-rule pt-2"
    >
      <Pick
        label="Start with"
        value={style}
        options={KIT_STYLES.map((one) => [one, STYLE_WORDS[one]] as const)}
        onPick={setStyle}
      />
      <label className="flex items-center gap-1.5 pb-1">
        <input type="checkbox" checked={stove} onChange={(event) => setStove(event.target.checked)} /> with a stove
      </label>
      <label className="flex items-center gap-1.5 pb-1">
        <input type="checkbox" checked={hung} onChange={(event) => setHung(event.target.checked)} /> with a hammock
      </label>
      <button className="btn" onClick={() => addRows("kit", `Starter list, ${STYLE_WORDS[style]}`, rows)}>
        Add {counted(rows.length, "item")}, {say.kg(grams / 1000)}
      </button>
      <span className="pb-1 text-xs text-muted">Generic items with typical weights; weigh your own.</span>
    </section>
  );
}
