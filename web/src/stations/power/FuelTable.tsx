/** Fuel by leg: boils, grams, what is left from before, what is bought, and whether the open one lasts. */
import { stoveOwner, type Hiker, type LegResult, type Plan, type PlanResult } from "@gepack/core";
import { select } from "../../store/selection.ts";
import { Table, type Column } from "../../ui/Table.tsx";
import { firstName, stopName } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";

type Fuel = LegResult["hikers"][number]["fuel"];

interface Props {
  plan: Plan;
  result: PlanResult;
  hiker: Hiker;
  who: number;
  legIndex: number;
}

export function FuelTable({ plan, result, hiker, who, legIndex }: Props) {
  const say = sayIn(plan);
  const owner = stoveOwner(plan.hikers, hiker);
  if (owner !== undefined)
    return <p className="text-sm text-muted">{firstName(plan.hikers[owner]!)} cooks for both and carries the fuel.</p>;
  if (hiker.stove.fuel === "none")
    return <p className="text-sm text-muted">No stove, so no fuel. Choose a stove below.</p>;
  const of = (leg: LegResult) => leg.hikers[who]!.fuel;
  const column = (id: string, head: string, show: (leg: LegResult) => string, from?: 561 | 861): Column<LegResult> => ({
    id,
    head,
    right: true,
    cell: show,
    ...(from === undefined ? {} : { from }),
  });
  const columns: Column<LegResult>[] = [
    {
      id: "leg",
      head: "leaving",
      names: true,
      cell: (leg) => `${leg.index + 1}. ${stopName(plan, leg.fromStopId)}`,
    },
    column("boils", "boils", (leg) => say.number(of(leg).boils, 1)),
    column(
      "melt",
      "snow melted",
      (leg) => (of(leg).meltL > 0.05 ? `${say.L(of(leg).meltL)}, ${say.hours(of(leg).meltH)}` : ""),
      861,
    ),
    column("need", "used", (leg) => say.g(of(leg).needG)),
    column("later", "for later", (leg) => (of(leg).laterG > 0 ? say.g(of(leg).laterG) : ""), 861),
    column("open", "left over", (leg) => (of(leg).openG > 0 ? say.g(of(leg).openG) : ""), 561),
    column("bought", "new", (leg) => boughtWords(of(leg), say)),
    column("leave", "leave with", (leg) => say.kg(of(leg).startKg + of(leg).containerKg, 2)),
    {
      id: "lasts",
      head: "open one lasts?",
      from: 561,
      cell: (leg) => lasts(leg, of(leg)),
    },
  ];
  return (
    <Table<LegResult>
      label="Fuel by leg"
      columns={columns}
      rows={result.legs}
      idOf={({ index }) => String(index)}
      chosen={[String(legIndex)]}
      onChoose={(id) => select({ legIndex: Number(id) })}
    />
  );
}

/** How many, or of which sizes where there are several; what is left behind for them. */
function boughtWords({ bought, boughtOf, leftBehindG }: Fuel, say: Say): string {
  if (bought === 0) return "";
  const sizes = boughtOf
    .filter(({ count }) => count > 0)
    .map(({ netG, count }) => (count > 1 ? `${count} × ${say.g(netG)}` : say.g(netG)));
  return `${sizes.join(" + ")}${leftBehindG > 0 ? `, ${say.g(leftBehindG)} left behind` : ""}`;
}

function lasts(leg: LegResult, { needG, openLasts, bought }: Fuel): string {
  if (needG === 0) return "no fuel used";
  if (openLasts) return "yes";
  if (!leg.fuelSold) return bought === 0 ? "carried past: not sold here" : "not sold here";
  return bought === 0 ? "no" : "no, buy more";
}
