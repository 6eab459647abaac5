/** The pack of one hiker on leaving for a leg, drawn to scale by what rides where; the order to pack in as a list. */
import { isInside, packingOf, RIDES, type LegResult, type Packed, type Plan, type PlanResult } from "@gepack/core";
import { RIDE_WORDS } from "../../words/kit.ts";
import { firstName, stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
  who: number;
}

const WIDTH = 210;
const HEIGHT = 300;
/** So tall is a rectangle that its name can stand in it. */
const NAMED = 11;
const FILL: Readonly<Record<Packed["what"], string>> = {
  piece: "var(--span)",
  food: "var(--food)",
  "food-in-canister": "var(--food)",
  water: "var(--water)",
};

export function PackPicture({ plan, result, leg, who }: Props) {
  const say = sayIn(plan);
  const { items, insideL, packL } = packingOf(plan, result, leg.index, who);
  const hiker = plan.hikers[who]!;
  const { heaviestKg } = leg.hikers[who]!;
  const over = result.legs.filter(({ hikers }) => hikers[who]!.heaviestKg > hiker.packComfortKg).length;
  const scale = HEIGHT / Math.max(packL, insideL);
  const inside = slicesOf(items, plan, NAMED / scale);
  const topOf = (litres: number): number => HEIGHT - litres * scale;
  return (
    <div className="py-2 text-sm">
      <p className="mt-0 mb-2 max-w-[80ch]" data-testid="pack-say">
        {firstName(hiker)}, leaving {stopName(plan, leg.fromStopId)} on leg {leg.index + 1}: <b>{say.L(insideL)}</b> in
        a pack of {say.L(packL)}
        {insideL > packL && <span className="text-caution">, {say.L(insideL - packL)} too much</span>}. At its heaviest{" "}
        {say.kg(heaviestKg)}, {say.percent((100 * heaviestKg) / leg.hikers[who]!.body.bodyKg)} of body weight;{" "}
        {over === 0 ? "no leg exceeds" : over === 1 ? "one leg exceeds" : `${over} legs exceed`} your comfortable load
        of {say.kg(hiker.packComfortKg)}.
      </p>
      <div className="flex flex-wrap gap-x-8 gap-y-3">
        <svg
          role="img"
          aria-label={`The pack: ${say.L(insideL)} of ${say.L(packL)}`}
          viewBox={`0 -14 ${WIDTH + 2} ${HEIGHT + 18}`}
          className="w-[230px] shrink-0"
        >
          {inside.map((item, i) => {
            const before = inside.slice(0, i).reduce((sum, { litres }) => sum + litres, 0);
            const height = item.litres * scale;
            return (
              <g key={i}>
                <rect
                  x={1}
                  y={topOf(before + item.litres)}
                  width={WIDTH}
                  height={height}
                  fill={item.fill}
                  fillOpacity={0.35}
                  stroke="var(--sheet)"
                />
                {height >= NAMED && (
                  <text
                    x={7}
                    y={topOf(before + item.litres / 2) + 4}
                    fontSize={11}
                    fill="var(--ink)"
                  >{`${item.name}, ${say.L(item.litres)}`}</text>
                )}
              </g>
            );
          })}
          <rect x={1} y={topOf(packL)} width={WIDTH} height={packL * scale} rx={10} fill="none" stroke="var(--ink)" />
          <line x1={1} x2={WIDTH + 1} y1={topOf(packL)} y2={topOf(packL)} stroke="var(--ink)" strokeDasharray="4 3" />
          <text x={WIDTH - 4} y={topOf(packL) - 4} fontSize={11} textAnchor="end" fill="var(--muted)">
            {say.L(packL)}
          </text>
        </svg>
        <ol aria-label="Packing order" className="m-0 max-w-[520px] min-w-[240px] flex-1 list-none p-0">
          {RIDES.map((ride) => {
            const here = items.filter((item) => item.ride === ride);
            if (here.length === 0) return null;
            const kg = here.reduce((sum, item) => sum + item.kg, 0);
            return (
              <li key={ride} className="border-t border-rule py-1">
                <b>
                  {RIDE_WORDS[ride][0]!.toUpperCase()}
                  {RIDE_WORDS[ride].slice(1)}
                </b>{" "}
                <span className="figure text-muted">{say.kg(kg)}</span>
                <div className="text-muted">{here.map((item) => shortName(item, plan)).join(", ")}</div>
              </li>
            );
          })}
        </ol>
      </div>
      <p className="mt-1 mb-0 max-w-[72ch] text-xs text-muted">
        Items without a volume count as 3 L per kg. Food and water are as at the start of the leg. Set an item’s place
        in its dialog. About 20 % of body weight is what most people carry well (our judgement); less is easier on back
        and knees.
      </p>
    </div>
  );
}

interface Slice {
  name: string;
  litres: number;
  fill: string;
}

/** What is too small for its name is drawn together with the others of its place. */
function slicesOf(items: readonly Packed[], plan: Plan, leastL: number): Slice[] {
  return RIDES.filter(isInside).flatMap((ride) => {
    const here = items.filter((item) => item.ride === ride && item.litres > 0);
    const large = here.filter(({ litres }) => litres >= leastL);
    const small = here.filter(({ litres }) => litres < leastL);
    const slices = large.map((item): Slice => ({
      name: shortName(item, plan),
      litres: item.litres,
      fill: FILL[item.what],
    }));
    if (small.length === 0) return slices;
    const litres = small.reduce((sum, item) => sum + item.litres, 0);
    const name = small.length === 1 ? shortName(small[0]!, plan) : `${small.length} small items`;
    return [...slices, { name, litres, fill: FILL.piece }];
  });
}

function shortName({ pieceId, what }: Packed, { kit }: Plan): string {
  const piece = kit.find(({ id }) => id === pieceId);
  if (piece) return piece.quantity > 1 ? `${piece.name} ×${piece.quantity}` : piece.name;
  return what === "water" ? "Water" : what === "food" ? "Food bag" : "Food in the bear canister";
}
