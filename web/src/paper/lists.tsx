/** Lists to tick off: boxes with their labels, shopping, packing, what flies, what is done at home on which day. */
import {
  decisionsOf,
  isoOfDay,
  luggageOf,
  packingOf,
  RIDES,
  typicalPack,
  type Hiker,
  type Luggage,
  type PlannedBox,
  type ShoppingList,
} from "@gepack/core";
import { useSettings } from "../store/settings.ts";
import { weekdayDate } from "../units/date.ts";
import { arrivalWords, boxName, sendWords, TRAVEL_WORDS, wordWords } from "../words/boxes.ts";
import { CARRIERS_FIRST } from "../words/cautions.ts";
import { RIDE_WORDS } from "../words/kit.ts";
import { counted } from "../words/counted.ts";
import { firstName, stopName } from "../words/names.ts";
import { itemsOf } from "./boxItems.ts";
import type { PaperFacts } from "./facts.ts";

export function BoxSheet({ facts, box }: { facts: PaperFacts; box: PlannedBox }) {
  const { plan, result, say } = facts;
  const name = boxName(box, plan);
  return (
    <>
      <div className="label">
        <p className="address" dir="auto">
          {box.row?.address.trim() || `${name}\n(write the address here)`}
        </p>
        <p>
          Please hold for hiker arriving {arrivalWords(box, say)}. {say.kg(box.totalG / 1000)}.
        </p>
      </div>
      <div className="cut">✂</div>
      <h2 dir="auto">Box to {name}</h2>
      <p className="small">
        {plan.trip.name}, leg {box.legIndex + 1}. Mail {sendWords(box, say)}. {wordWords(box, plan, say)}
      </p>
      <ul aria-label="In the box">
        {itemsOf({ plan, result, box }).map(({ id, name: what, grams, waits }) => (
          <li key={id}>
            <span>□</span>
            <span className="text" dir="auto">
              {what} {waits && <span className="small">only if decided; left out for now</span>}
            </span>
            <span>{say.g(grams)}</span>
          </li>
        ))}
      </ul>
      <p className="small" style={{ marginTop: "2mm" }}>
        Most carriers refuse fuel, lighters, sprays and loose batteries; their rules come first.
      </p>
    </>
  );
}

const BUYING = [
  ["bought", "Buy"],
  ["box", "From the box"],
  ["nowhere", "Not sold there"],
] as const;

export function ShoppingSheet({ facts, list }: { facts: PaperFacts; list: ShoppingList }) {
  const { plan, say } = facts;
  return (
    <>
      <h2 dir="auto">Shopping: {stopName(plan, list.stopId)}</h2>
      <p className="small">For leg {list.legIndex + 1}, the whole party, in whole packs.</p>
      <div className="two">
        {BUYING.filter(([part]) => list[part].length > 0).map(([part, word]) => (
          <section key={part} className="part">
            <h3>{word}</h3>
            <ul>
              {list[part].map(({ food, massG, packs }) => (
                <li key={food.id}>
                  <span>□</span>
                  <span className="text" dir="auto">
                    {food.name} {packs !== undefined && <span className="small">{counted(packs, "pack")}</span>}
                  </span>
                  <span>{say.g(massG)}</span>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </>
  );
}

/** What one hiker packs for the first of the wanted legs. */
export function CheckListSheet({ facts, hiker, who }: { facts: PaperFacts; hiker: Hiker; who: number }) {
  const { plan, result, say, legs } = facts;
  const leg = legs[0];
  if (!leg) return null;
  const pieces = plan.kit.filter((_, p) => result.carrier[p * result.legs.length + leg.index] === who);
  const groups = [...new Set(pieces.map(({ group }) => group))];
  const { kitDays, kitLitres } = useSettings.getState();
  const pack = typicalPack(leg, who, { days: kitDays, litres: kitLitres });
  return (
    <>
      <h2>To pack: {hiker.name}</h2>
      <p className="small" dir="auto">
        For leg {leg.index + 1}, from {stopName(plan, leg.fromStopId)}.
      </p>
      <p className="small">
        Base {say.kg(pack.baseKg)}; {say.kg(pack.totalKg)} with fuel, {say.days(kitDays)} of food and {say.L(kitLitres)}{" "}
        of water.
      </p>
      <div className="two">
        {groups.map((group) => (
          <section key={group} className="part">
            <h3>{group}</h3>
            <ul>
              {pieces
                .filter((piece) => piece.group === group)
                .map(({ id, name, quantity, massG, wear }) => (
                  <li key={id}>
                    <span>□</span>
                    <span className="text" dir="auto">
                      {name}
                      {quantity > 1 && ` ×${quantity}`} {wear === "worn" && <span className="small">worn</span>}
                    </span>
                    <span>{say.g(massG * quantity)}</span>
                  </li>
                ))}
            </ul>
          </section>
        ))}
      </div>
    </>
  );
}

const FILLED = { piece: "", food: "Food", "food-in-canister": "Food, in the bear canister", water: "Water" } as const;

/** In which order one hiker's pack is filled for the first of the wanted legs. */
export function PackingSheet({ facts, hiker, who }: { facts: PaperFacts; hiker: Hiker; who: number }) {
  const { plan, result, say, legs } = facts;
  const leg = legs[0];
  if (!leg) return null;
  const { items, insideL, packL } = packingOf(plan, result, leg.index, who);
  return (
    <>
      <h2>Packing order: {hiker.name}</h2>
      <p className="small" dir="auto">
        For leg {leg.index + 1}, from {stopName(plan, leg.fromStopId)}: {say.L(insideL)} in a pack of {say.L(packL)}.
        Start at the bottom.
      </p>
      {RIDES.map((ride) => {
        const here = items.filter((item) => item.ride === ride);
        if (here.length === 0) return null;
        return (
          <section key={ride} className="part">
            <h3>
              {RIDE_WORDS[ride][0]!.toUpperCase()}
              {RIDE_WORDS[ride].slice(1)}, {say.kg(here.reduce((sum, { kg }) => sum + kg, 0))}
            </h3>
            <ul>
              {here.map(({ pieceId, what, kg }) => (
                <li key={pieceId ?? what}>
                  <span>□</span>
                  <span className="text" dir="auto">
                    {FILLED[what] || plan.kit.find(({ id }) => id === pieceId)?.name}
                  </span>
                  <span>{say.g(1000 * kg)}</span>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
    </>
  );
}

const LUGGAGE = ["cabin", "hold", "neither"] as const satisfies readonly (keyof Luggage)[];

export function FlightSheet({ facts }: { facts: PaperFacts }) {
  const { plan, result, say } = facts;
  return (
    <>
      <h2>Departure day</h2>
      {plan.hikers.map((hiker, who) => {
        const carried = plan.kit.filter((_, p) => result.carrier[p * result.legs.length] === who);
        const luggage = luggageOf(carried);
        return (
          <div key={hiker.id}>
            {LUGGAGE.map((part) => (
              <section key={part} className="part">
                <h3>
                  {firstName(hiker)}: {TRAVEL_WORDS[part]}
                </h3>
                <ul>
                  {luggage[part].length === 0 && <li>nothing</li>}
                  {luggage[part].map(({ id, name, massG, quantity }) => (
                    <li key={id}>
                      <span>□</span>
                      <span className="text" dir="auto">
                        {name}
                      </span>
                      <span>{say.g(massG * quantity)}</span>
                    </li>
                  ))}
                </ul>
              </section>
            ))}
          </div>
        );
      })}
      <p className="small" style={{ marginTop: "2mm" }}>
        Everything else can go either way; buy fuel there. {CARRIERS_FIRST}
      </p>
    </>
  );
}

interface Duty {
  iso: string;
  what: string;
  more: string;
}

/** What has to be done at home, or decided, by which day. */
export function SendingSheet({ facts }: { facts: PaperFacts }) {
  const { plan, result, boxes, say } = facts;
  const sendings = boxes.flatMap((box): Duty[] => {
    const name = boxName(box, plan);
    const sent = box.row?.sentOn !== undefined;
    return [
      {
        iso: isoOfDay(box.sentDay),
        what: `${sent ? "Sent" : box.fromStopId === undefined ? "Mail" : "Forwarded by the hiker"}: box to ${name}`,
        more: `${say.kg(box.totalG / 1000)}, ${say.money(box.price)}; ${sendWords(box, say)}, ${say.percent(100 * box.chance)} chance. ${wordWords(box, plan, say)}`,
      },
      {
        iso: isoOfDay(Math.max(box.earliestDay, box.sentDay + 1)),
        what: `Should be there: box to ${name}`,
        more: `picked up ${arrivalWords(box, say)}`,
      },
    ];
  });
  const decisions = decisionsOf(plan, result).flatMap(({ choice, decideBy }): Duty[] =>
    decideBy === undefined || choice.decided
      ? []
      : [{ iso: decideBy, what: `Decide: only if ${choice.name}`, more: "" }],
  );
  const duties = [...sendings, ...decisions].sort((a, b) => a.iso.localeCompare(b.iso));
  return (
    <>
      <h2>What to do by when</h2>
      {duties.length === 0 && <p>No boxes to mail and no open decisions.</p>}
      <table aria-label="Mailing dates">
        <tbody>
          {duties.map(({ iso, what, more }, i) => (
            <tr key={i}>
              <td className="tick">□</td>
              <td className="num">{weekdayDate(iso)}</td>
              <td dir="auto">{what}</td>
              <td dir="auto">{more}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small" style={{ marginTop: "2mm" }}>
        These dates give a 95 % chance that the box is there in time, as far as we know. The post office knows better.
      </p>
    </>
  );
}
