/** Shoes and what is used up: how far they are worn, where the next should be, which tube runs out when. */
import { shoeWear, usedUp, type Plan, type PlanResult, type ShoeWear, type UsedUp } from "@gepack/core";
import { editPart } from "../../edit/rows.ts";
import { RecordField } from "../../ui/FieldNumber.tsx";
import { Table } from "../../ui/Table.tsx";
import { firstName, stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
}

export function Wear({ plan, result }: Props) {
  const say = sayIn(plan);
  const shoes = shoeWear(plan, result);
  const tubes = usedUp(plan, result);
  const nameOf = (pieceId: string): string => plan.kit.find(({ id }) => id === pieceId)!.name;
  const stopOf = (leg: number): string => stopName(plan, result.legs[leg]!.fromStopId);
  return (
    <div className="py-2 text-sm">
      <div className="mb-2 max-w-[200px]">
        <RecordField
          of="kitRules"
          path="wearChance"
          label="Acceptable risk of wearing out early"
          record={plan.kitRules}
          units={plan.trip.units}
          change={(label, recipe) => editPart("kitRules", label, recipe)}
        />
      </div>
      {shoes.length === 0 ? (
        <p className="text-muted">No shoes listed: an item that serves as shoes is tracked here.</p>
      ) : (
        <Table<ShoeWear>
          label="Shoes"
          rows={shoes}
          idOf={({ pieceId }) => pieceId}
          columns={[
            {
              id: "name",
              head: "shoes",
              names: true,
              cell: ({ pieceId, who }) => `${nameOf(pieceId)}, ${firstName(plan.hikers[who]!)}`,
            },
            {
              id: "legs",
              head: "legs",
              cell: ({ fromLeg, toLeg }) => (fromLeg === toLeg ? fromLeg + 1 : `${fromLeg + 1}–${toLeg + 1}`),
            },
            {
              id: "km",
              head: "equivalent wear on even trail",
              right: true,
              cell: ({ kmEq, wornKm }) =>
                `${say.distance(1000 * kmEq)}${wornKm > 0 ? ` after ${say.distance(1000 * wornKm)}` : ""}`,
            },
            {
              id: "chance",
              head: "worn out by then",
              right: true,
              cell: ({ chance }) => `${Math.max(1, Math.round(100 * chance))} in 100`,
            },
            {
              id: "next",
              head: "replace at",
              cell: ({ changeAtLegs }) => (changeAtLegs.length === 0 ? "" : changeAtLegs.map(stopOf).join(", ")),
            },
          ]}
        />
      )}
      {tubes.length > 0 && (
        <Table<UsedUp>
          label="Used up each day"
          rows={tubes}
          idOf={({ pieceId }) => pieceId}
          columns={[
            { id: "name", head: "used each day", names: true, cell: ({ pieceId }) => nameOf(pieceId) },
            { id: "days", head: "lasts", right: true, cell: ({ lastsDays }) => say.days(Math.floor(lastsDays)) },
            {
              id: "out",
              head: "refill at",
              cell: ({ runsOutOnLeg, refillAtLegs }) =>
                [
                  refillAtLegs.map(stopOf).join(", "),
                  runsOutOnLeg === undefined ? "" : `runs out after ${stopOf(runsOutOnLeg)}`,
                ]
                  .filter((text) => text !== "")
                  .join("; ") || "lasts",
            },
            {
              id: "left",
              head: "left on the last leg",
              right: true,
              from: 561,
              cell: ({ left }) => say.g(left.at(-1)!.grams),
            },
            { id: "wanted", head: "enough with", right: true, cell: ({ wantedG }) => say.g(wantedG) },
          ]}
        />
      )}
      <p className="mt-1 mb-0 max-w-[72ch] text-xs text-muted">
        Shoe wear depends on surface, body weight and pack. The average life of 800 km is our judgement; if you know
        your own pairs, set it in the item. Pills and anything you can’t do without: carry enough to reach the stop
        after the next, and get medical advice.
      </p>
    </div>
  );
}
