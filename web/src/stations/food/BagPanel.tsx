/** The bag of a leg: what is wanted of it and what it holds, how full canister and pack are, item by item. */
import type { Hiker, LegBag, LegHiker, LegResult, Plan, PlanResult } from "@gepack/core";
import { CheckList } from "../../ui/CheckList.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { checkStation } from "../../words/checks/index.ts";
import { SUPPLIER_WORDS } from "../../words/food.ts";
import { sayIn, type Say } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  hiker: Hiker;
  who: number;
  leg: LegResult;
  from: string;
  bag: LegBag | undefined;
}

interface Target {
  id: string;
  name: string;
  wanted: string;
  have: string;
  says: string;
  bad?: boolean;
}

export function BagPanel({ plan, result, hiker, who, leg, from, bag }: Props) {
  const say = sayIn(plan);
  const row = leg.hikers[who]!;
  const checks = result.checks.filter(
    (check) =>
      checkStation(check) === "food" &&
      (check.legIndex === undefined || check.legIndex === leg.index) &&
      (check.hikerId === undefined || check.hikerId === hiker.id),
  );
  return (
    <section aria-label="Food bag" className="min-w-0" data-testid="bag">
      <h2 className="m-0 text-lg font-bold">
        {leg.index + 1}. Food bag from {from}
      </h2>
      <p className="m-0 font-display text-[32px] leading-tight font-bold">{say.kg(row.food.startKg, 2)}</p>
      {bag ? (
        <>
          <p className="mt-0 mb-2 text-sm text-muted">
            {say.days(Math.round(bag.mealDays * 10) / 10)} of meals plus {say.kg(row.food.reserveKg, 2)} in reserve.
            From {SUPPLIER_WORDS[bag.supplier]}: {sourcesOf(bag, say.g)}.{" "}
            {say.kcal(bag.eaten.energyKcal / Math.max(0.5, bag.mealDays))} a day,{" "}
            {say.number(bag.eaten.energyKcal / Math.max(0.5, bag.mealDays) / hiker.bodyKg)} kcal per kg of body weight,{" "}
            {say.percent((100 * row.food.menuKcal) / Math.max(1, row.food.needKcal))} of what you burn.
          </p>
          <Targets plan={plan} hiker={hiker} leg={leg} who={who} bag={bag} />
          <Fill say={say} label="Bear canister" foodL={bag.figures.volumeL} roomL={row.kit.canisterL} />
          <Fill say={say} label="Pack, with the food and most water" foodL={row.volumeL} roomL={hiker.packVolumeL} />
          <Items plan={plan} bag={bag} />
        </>
      ) : (
        <p className="text-sm text-muted">
          No menu for this leg, so the food is counted at {say.number(hiker.food.densityKcalPerG, 2)} kcal/g. Choose a
          default menu to see what’s in the bag.
        </p>
      )}
      <div className="mt-3">
        <CheckList checks={checks} plan={plan} result={result} />
      </div>
      <p className="mt-2 mb-0 text-xs text-muted">
        Fire bans, food storage rules and the land manager come first. If you lose weight fast, eat more; with an
        illness or allergy, get medical advice and read every label.
      </p>
    </section>
  );
}

function sourcesOf({ items }: LegBag, g: (massG: number) => string): string {
  const sums = { boughtG: 0, boxG: 0, leftG: 0, nowhereG: 0 };
  for (const item of items) for (const key of Object.keys(sums) as (keyof typeof sums)[]) sums[key] += item[key];
  const words = { boughtG: "bought", boxG: "packed", leftG: "left over", nowhereG: "not sold there" };
  return (Object.keys(sums) as (keyof typeof sums)[])
    .filter((key) => sums[key] >= 1)
    .map((key) => `${g(sums[key])} ${words[key]}`)
    .join(", ");
}

/** How much of what would be eaten at full appetite is eaten, on average of a leg. */
function appetiteOf({ needKcal, wantedKcal }: LegHiker["food"], { food }: Hiker): number {
  const full = needKcal * (1 - food.shortfallFraction);
  return full > 0 ? wantedKcal / full : 1;
}

function Targets({ plan, hiker, leg, who, bag }: Pick<Props, "plan" | "hiker" | "leg" | "who"> & { bag: LegBag }) {
  const say = sayIn(plan);
  const { food, kit } = leg.hikers[who]!;
  const share = food.eatenKg > 0 ? food.startKg / food.eatenKg : 1;
  const wantedKcal = (food.wantedKcal * share) / food.densityFactor;
  // Whoever has no appetite yet eats less of everything.
  const days = food.mealDays * share * appetiteOf(food, hiker);
  const wantedProteinG = hiker.fill.proteinGPerKg * hiker.bodyKg * days;
  const wantedSodiumMg = hiker.fill.sodiumMgADay * days;
  const { figures } = bag;
  const off = (have: number, wanted: number): string => {
    if (wanted <= 0) return "";
    const percent = say.number((100 * Math.abs(have - wanted)) / wanted);
    return percent === "0" ? "met" : `${have >= wanted ? "+" : "−"}${percent} %`;
  };
  const rows: Target[] = [
    {
      id: "energy",
      name: "Energy",
      wanted: say.kcal(wantedKcal),
      have: say.kcal(figures.energyKcal),
      says: off(figures.energyKcal, wantedKcal),
      bad: figures.energyKcal < 0.9 * wantedKcal,
    },
    {
      id: "protein",
      name: "Protein",
      wanted: say.g(wantedProteinG),
      have: say.g(figures.proteinG),
      says: off(figures.proteinG, wantedProteinG),
      bad: figures.proteinG < 0.9 * wantedProteinG,
    },
    {
      id: "density",
      name: "Energy density",
      wanted: "",
      have: `${say.number(figures.energyKcal / Math.max(1, figures.massG), 2)} kcal/g`,
      says: "",
    },
    {
      id: "volume",
      name: "Packed volume",
      wanted: kit.canisterL > 0 ? `${say.L(kit.canisterL)} bear canister` : "",
      have: say.L(figures.volumeL),
      says: kit.canisterL === 0 ? "" : figures.volumeL <= kit.canisterL ? "fits" : "too much at the start",
      bad: kit.canisterL > 0 && figures.volumeL > kit.canisterL,
    },
    {
      id: "salt",
      name: "Sodium",
      wanted: `${say.number(wantedSodiumMg / 1000, 1)} g`,
      have: `${say.number(figures.sodiumMg / 1000, 1)} g`,
      says: off(figures.sodiumMg, wantedSodiumMg),
      bad: figures.sodiumMg < 0.9 * wantedSodiumMg,
    },
    { id: "water", name: "Cooking water", wanted: "", have: say.L(figures.waterL), says: "" },
    { id: "money", name: "Cost", wanted: "", have: say.money(figures.price, 2), says: "" },
  ];
  const columns: Column<Target>[] = [
    { id: "name", head: "target", unseen: true, names: true, cell: ({ name }) => name },
    { id: "wanted", head: "target", right: true, cell: ({ wanted }) => wanted },
    { id: "held", head: "in the bag", right: true, cell: ({ have }) => have },
    {
      id: "says",
      head: "vs. target",
      unseen: true,
      right: true,
      cell: ({ says, bad }) => <span className={bad ? "font-semibold text-danger" : "text-pine"}>{says}</span>,
    },
  ];
  return <Table<Target> label="Food bag against its targets" columns={columns} rows={rows} idOf={({ id }) => id} />;
}

function Fill({ say, label, foodL, roomL }: { say: Say; label: string; foodL: number; roomL: number }) {
  if (roomL <= 0) return null;
  const sentence = `${label}: ${say.L(foodL, 1)} of ${say.L(roomL, 1)}`;
  const most = Math.max(foodL, roomL);
  return (
    <div className="my-2 text-xs text-muted">
      {sentence}
      <div className="relative h-[10px] border border-rule" role="img" aria-label={sentence}>
        <div
          className="absolute inset-y-0 left-0"
          style={{ width: `${(100 * foodL) / most}%`, background: foodL > roomL ? "var(--danger)" : "var(--food)" }}
        />
        <div
          className="absolute inset-y-[-3px] w-[2px] bg-ink"
          style={{ left: `calc(${(100 * roomL) / most}% - 2px)` }}
        />
      </div>
    </div>
  );
}

function Items({ plan, bag }: { plan: Plan; bag: LegBag }) {
  const say = sayIn(plan);
  const columns: Column<LegBag["items"][number]>[] = [
    { id: "name", head: "items", names: true, wide: true, cell: ({ food }) => food.name },
    { id: "g", head: "weight", unseen: true, right: true, cell: ({ massG }) => say.g(massG) },
    {
      id: "from",
      head: "from there",
      cell: (item) => (
        <span className={`whitespace-nowrap ${item.nowhereG >= 1 ? "text-danger" : "text-muted"}`}>
          {item.nowhereG >= 1
            ? "not sold"
            : item.boughtG >= 1
              ? "bought"
              : item.boxG >= 1
                ? "from the box"
                : "left over"}
        </span>
      ),
    },
  ];
  return (
    <div className="mt-2">
      <Table label="Items in the food bag" columns={columns} rows={bag.items} idOf={({ food }) => food.id} />
    </div>
  );
}
