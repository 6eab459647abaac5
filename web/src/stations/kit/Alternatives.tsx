/** Pieces for one purpose beside each other, each weighed by the whole plan; ranked by what counts for the hiker. */
import { useState } from "react";
import {
  alternativesTo,
  gramsPerPrice,
  isTakenAlong,
  purposeOf,
  rankPieces,
  withAlternative,
  type Piece,
  type Plan,
  type Ranked,
  type RankWeights,
  type WeighedKit,
} from "@gepack/core";
import { takeAlternative } from "../../edit/kit.ts";
import { calculator } from "../../store/trail.ts";
import { Pick } from "../../ui/Pick.tsx";
import { Progress } from "../../ui/Progress.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { firstName, ofAll } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

const BARS = [
  ["comfort", "Comfort"],
  ["cost", "Cost"],
  ["weight", "Weight"],
] as const;

interface Row {
  piece: Piece;
  bars: Ranked;
  weighed: WeighedKit | undefined;
  isNow: boolean;
}

export function Alternatives({ plan }: { plan: Plan }) {
  const say = sayIn(plan);
  const choices = plan.kit.filter((piece) => isTakenAlong(piece) && alternativesTo(plan, piece).length > 0);
  const [chosenId, setChosenId] = useState<string>();
  const [weights, setWeights] = useState<RankWeights>({ comfort: 1, cost: 1, weight: 1 });
  const { rows: weighed, fraction, start, stop, clear } = usePlanRun<WeighedKit>(plan);
  const piece = choices.find(({ id }) => id === chosenId) ?? choices[0];
  if (!piece)
    return (
      <p className="max-w-[72ch] py-2 text-sm text-muted">
        Nothing on your shelf could replace an item. Add another tent, sleeping bag, pad, pack or jacket there to
        compare them here.
      </p>
    );
  const compared = [piece, ...alternativesTo(plan, piece)];
  const rows = rankPieces(compared, weights).map((bars): Row => {
    const of = compared.find(({ id }) => id === bars.pieceId)!;
    return { piece: of, bars, weighed: weighed.find(({ key }) => key === of.id), isNow: of === piece };
  });
  const weigh = (): void =>
    start(
      () => compared.length,
      (now, onRow, signal) =>
        calculator().weighKits(
          {
            plan: now,
            variants: compared.map(({ id }) =>
              id === piece.id ? { key: id } : { key: id, kit: withAlternative(now.kit, piece.id, id) },
            ),
          },
          onRow,
          signal,
        ),
    );
  return (
    <div className="py-2 text-sm">
      <div className="is-form mb-2 flex flex-wrap items-end gap-x-5 gap-y-2">
        <Pick
          label="Replace"
          value={piece.id}
          options={choices.map((one) => [one.id, whose(one, plan)] as const)}
          onPick={(id) => {
            clear();
            setChosenId(id);
          }}
        />
        <button className="btn btn-strong" disabled={fraction !== undefined} onClick={weigh}>
          Compare over the whole hike
        </button>
        {fraction !== undefined && <Progress label="Comparing each" fraction={fraction} onStop={stop} />}
        {BARS.map(([key, label]) => (
          <label key={key} className="text-sm font-semibold">
            Importance of {label.toLowerCase()}
            <input
              type="range"
              min={0}
              max={3}
              step={0.5}
              className="mt-1 block w-[120px]"
              value={weights[key]}
              onChange={(event) => setWeights({ ...weights, [key]: Number(event.target.value) })}
            />
          </label>
        ))}
      </div>
      <Table<Row>
        label="Alternatives"
        rows={rows}
        idOf={({ piece: { id } }) => id}
        columns={columnsOf(piece, say, ofAll(plan))}
      />
      <p className="mt-1 mb-0 max-w-[72ch] text-xs text-muted">
        Bars run from worst to best of those compared; unknowns are in the middle. The ranking follows your weighting;
        comfort is your own rating from 1 to 5. A lighter shelter or sleeping bag must still handle your nights: check
        the lanes above after swapping.
      </p>
    </div>
  );
}

function columnsOf(now: Piece, say: Say, whose: string): Column<Row>[] {
  return [
    {
      id: "name",
      head: purposeOf(now) ?? "item",
      names: true,
      cell: ({ piece, isNow }) => (
        <>
          {piece.name} {isNow && <span className="font-normal text-muted">in use</span>}
        </>
      ),
    },
    {
      id: "bars",
      head: "comfort, cost, weight",
      cell: ({ piece, bars }) => (
        <span
          role="img"
          aria-label={`${piece.name}: ${BARS.map(([key, label]) => `${label.toLowerCase()} ${Math.round(100 * bars[key])} of 100`).join(", ")}`}
          className="grid w-[60px] gap-px min-[561px]:w-[90px]"
        >
          {BARS.map(([key]) => (
            <span key={key} className="block h-[5px] bg-rule">
              <span className="block h-full bg-pine" style={{ width: `${100 * bars[key]}%` }} />
            </span>
          ))}
        </span>
      ),
    },
    { id: "mass", head: "weight", right: true, cell: ({ piece }) => say.g(piece.massG * piece.quantity) },
    {
      id: "price",
      head: "price",
      right: true,
      from: 561,
      cell: ({ piece: { price } }) => (price === undefined ? "" : say.money(price)),
    },
    { id: "comfort", head: "comfort", right: true, from: 561, cell: ({ piece }) => piece.comfort ?? "" },
    { id: "warmth", head: "warmth", right: true, from: 561, cell: ({ piece }) => warmthWords(piece, say) },
    {
      id: "space",
      head: "volume",
      right: true,
      from: 861,
      cell: ({ piece: { volumeL, quantity } }) => (volumeL > 0 ? say.L(volumeL * quantity) : ""),
    },
    {
      id: "heaviest",
      head: "heaviest pack",
      right: true,
      from: 561,
      cell: ({ weighed }) => weighed && say.kg(weighed.heaviestKg),
    },
    {
      id: "carried",
      head: `total carried${whose}`,
      right: true,
      from: 561,
      cell: ({ weighed }) => weighed && say.carried(weighed.kgKm),
    },
    {
      id: "finish",
      head: "finish",
      right: true,
      from: 861,
      cell: ({ weighed }) => weighed && say.date(weighed.finishDate),
    },
    {
      id: "saved",
      head: "weight saved per cost",
      right: true,
      from: 861,
      cell: ({ piece }) => {
        const grams = gramsPerPrice(piece, now);
        return grams === undefined ? "" : `${say.g(grams * piece.price!)}, ${say.number(grams, 1)} for each`;
      },
    },
    {
      id: "take",
      head: <span className="sr-only">Use instead</span>,
      cell: ({ piece, isNow }) =>
        !isNow && (
          <button
            className="btn min-h-[24px]! px-2! py-0!"
            aria-label={`Use ${piece.name} instead of ${now.name}`}
            onClick={() =>
              takeAlternative(
                now.id,
                piece.id,
                `${piece.name} instead of ${now.name}`,
                `${say.g(piece.massG * piece.quantity)} instead of ${say.g(now.massG * now.quantity)}`,
              )
            }
          >
            Use it
          </button>
        ),
    },
  ];
}

function whose({ name, ownerId }: Piece, { hikers }: Plan): string {
  const owner = hikers.find(({ id }) => id === ownerId);
  return hikers.length > 1 && owner ? `${name}, ${firstName(owner)}` : name;
}

function warmthWords({ comfortC, padR, warmthK }: Piece, say: Say): string {
  if (comfortC !== undefined) return say.C(comfortC);
  if (padR !== undefined) return say.R(padR);
  return warmthK === undefined ? "" : `+${say.number(warmthK, 1)} K`;
}
