/** What the kit of a leg weighs: by group as one bar, by the ways to count a base weight; and a list to tick while packing. */
import { kitWeights, type LegResult, type Plan, type PlanResult } from "@gepack/core";
import { ticksOf } from "../../edit/ticks.ts";
import { firstName, stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { slate } from "./slate.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
  who: number;
}

export function Weights({ plan, result, leg, who }: Props) {
  const say = sayIn(plan);
  const weights = kitWeights(plan, result, leg.index, who);
  const packed = weights.groups.filter(({ packedG }) => packedG > 0);
  const rows = [
    ["Base weight: everything packed except food, water, fuel and consumables", weights.baseG],
    ["without the bear canister", weights.withoutFoodStoreG],
    ["Big four: bag, pad, shelter and pack", weights.bigFourG],
    ["Worn", weights.wornG],
    ["Consumables", weights.consumableG],
    ["Skin-out weight: everything worn and carried, when leaving", weights.skinOutG],
  ] as const;
  return (
    <div className="py-2 text-sm">
      <p className="mt-0 mb-1 text-muted">
        {firstName(plan.hikers[who]!)}, leaving {stopName(plan, leg.fromStopId)} on leg {leg.index + 1}
      </p>
      <div
        role="img"
        aria-label={`Base weight by group: ${packed.map(({ group, packedG }) => `${group} ${say.g(packedG)}`).join(", ")}`}
        className="flex h-6 w-full max-w-[900px] overflow-hidden"
      >
        {packed.map(({ group, packedG }, i) => (
          <span
            key={group}
            title={`${group}: ${say.g(packedG)}`}
            className="overflow-hidden border-r border-sheet px-1 text-xs leading-6 whitespace-nowrap text-on-pine"
            style={{
              width: `${(100 * packedG) / Math.max(1, weights.baseG)}%`,
              background: slate(i),
            }}
          >
            {group}
          </span>
        ))}
      </div>
      <dl className="m-0 mt-2 grid max-w-[560px] grid-cols-[1fr_auto] gap-x-4 gap-y-0.5">
        {rows.map(([words, grams]) => (
          <div key={words} className="contents">
            <dt>{words}</dt>
            <dd className="figure m-0 text-right font-semibold">{say.kg(grams / 1000, 2)}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

const PACKING = "pack";

export function CheckListOfKit({ plan, result, leg, who }: Props) {
  const say = sayIn(plan);
  const ticks = ticksOf(plan);
  const pieces = plan.kit.filter((_, p) => result.carrier[p * result.legs.length + leg.index] === who);
  const groups = [...new Set(pieces.map(({ group }) => group))];
  const begins = `${PACKING} ${leg.fromStopId} ${plan.hikers[who]!.id}`;
  const keyOf = (pieceId: string): string => `${begins} ${pieceId}`;
  const done = pieces.filter(({ id }) => ticks.isTicked(keyOf(id))).length;
  return (
    <div className="py-2 text-sm">
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <span>
          {done} of {pieces.length} packed for leg {leg.index + 1}, {firstName(plan.hikers[who]!)}
        </span>
        <button className="btn" disabled={done === 0} onClick={() => ticks.clear(begins)}>
          Start over
        </button>
      </div>
      <div className="columns-1 gap-8 min-[700px]:columns-2 min-[1100px]:columns-3">
        {groups.map((group) => (
          <section key={group} aria-label={`To pack: ${group}`} className="mb-2 break-inside-avoid">
            <h4 className="m-0 text-sm font-bold">{group}</h4>
            {pieces
              .filter((piece) => piece.group === group)
              .map(({ id, name, quantity, massG, wear }) => (
                <label key={id} className="flex items-center gap-2">
                  <input
                    type="checkbox"
                    checked={ticks.isTicked(keyOf(id))}
                    onChange={(event) => ticks.tick(keyOf(id), event.target.checked)}
                  />
                  <span className={`flex-1 ${ticks.isTicked(keyOf(id)) ? "text-muted line-through" : ""}`}>
                    {name}
                    {quantity > 1 && ` ×${quantity}`}
                    {wear === "worn" && <span className="text-muted"> worn</span>}
                  </span>
                  <span className="figure text-muted">{say.g(massG * quantity)}</span>
                </label>
              ))}
          </section>
        ))}
      </div>
    </div>
  );
}
