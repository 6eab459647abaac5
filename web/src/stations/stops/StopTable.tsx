/** Every stop a row: use, way, when one comes and whether it is open, how food comes, what is taken, when to send, money. */
import { useMemo } from "react";
import { Pin } from "lucide-react";
import {
  FOOD_BY,
  foodByOf,
  foodComes,
  isoOfDay,
  isWalked,
  moneyTotal,
  walkedAt,
  type FoodBy,
  type Plan,
  type PlanResult,
  type Stop,
  type StopFigures,
} from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { chooseStop } from "../../edit/stops.ts";
import { Pick } from "../../ui/Pick.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { unitSymbol } from "../../units/quantity.ts";
import { sayIn } from "../../words/say.ts";
import { FOOD_BY_WORDS, accessWords } from "../../words/stops.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  figures: readonly StopFigures[];
  shut: ReadonlySet<string>;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}

const MODES = FOOD_BY.map((mode): readonly [FoodBy | "", string] => [mode, FOOD_BY_WORDS[mode]]);
const NONE = ["", "none available"] as const;

export function StopTable({ plan, result: { profile }, figures, shut, chosen, onChoose }: Props) {
  const say = sayIn(plan);
  const rows = useMemo(() => {
    const at = (stop: Stop): number => walkedAt(profile, stop.trackM, stop.alternateId);
    return plan.stops.filter((stop) => isWalked(profile, stop)).sort((a, b) => at(a) - at(b));
  }, [plan.stops, profile]);
  const byStop = new Map(figures.map((one) => [one.stop.id, one]));
  const columns: Column<Stop>[] = [
    {
      id: "use",
      head: "use",
      cell: (stop) => (
        <span className="inline-flex items-center gap-1">
          <input
            type="checkbox"
            aria-label={`Use ${stop.name}`}
            checked={stop.use}
            onClick={(event) => event.stopPropagation()}
            onChange={(event) => chooseStop(stop, event.target.checked)}
          />
          {stop.locked && <Pin size={12} aria-label="locked" />}
        </span>
      ),
    },
    { id: "name", head: "stop", names: true, cell: ({ name }) => name },
    {
      id: "at",
      head: `position, ${unitSymbol("distance", plan.trip.units)}`,
      right: true,
      cell: (stop) => say.distance(walkedAt(profile, stop.trackM, stop.alternateId)).replace(/\s\S+$/, ""),
    },
    { id: "way", head: "getting there", from: 861, cell: (stop) => accessWords(stop, say, plan.trip.units) },
    {
      id: "comes",
      head: "you arrive",
      cell: ({ id }) => {
        const stay = byStop.get(id);
        if (!stay?.arrives) return stay ? "at the start" : "";
        return (
          <span className={`whitespace-nowrap ${shut.has(id) ? "text-danger" : ""}`}>
            {say.date(isoOfDay(stay.stay.from.day))}, {say.clock(stay.stay.from.clockH)}
            {shut.has(id) && <b> closed</b>}
          </span>
        );
      },
    },
    {
      id: "nights",
      head: "nights",
      right: true,
      from: 561,
      cell: ({ id, use }) => {
        const figures = use ? byStop.get(id) : undefined;
        return figures?.leaves && figures.arrives ? figures.nights : "";
      },
    },
    {
      id: "food",
      head: "food for the next leg",
      cell: (stop) => {
        const none = stop.foodBy === undefined && !foodComes(stop);
        return (
          <Pick
            bare
            label={`How you get food at ${stop.name}`}
            value={none ? "" : foodByOf(stop)}
            options={none ? [NONE, ...MODES] : MODES}
            onPick={(foodBy) =>
              foodBy !== "" && setRow("stops", stop.id, `${stop.name}: ${FOOD_BY_WORDS[foodBy]}`, { foodBy })
            }
          />
        );
      },
    },
    {
      id: "takes",
      head: "you carry out",
      right: true,
      cell: ({ id }) => {
        const leaves = byStop.get(id)?.leaves;
        if (!leaves?.foodSold) return "";
        const kg = leaves.hikers.reduce((sum, { food }) => sum + food.startKg, 0);
        const days = Math.max(...leaves.hikers.map(({ food }) => food.mealDays));
        return `${say.kg(kg)}, ${say.days(Math.round(days * 10) / 10)}`;
      },
    },
    {
      id: "send",
      head: "mail on",
      right: true,
      from: 861,
      cell: ({ id }) => {
        const box = byStop.get(id)?.box;
        if (!box) return "";
        return `${say.date(isoOfDay(box.sentDay ?? box.sending.day))}, ${say.percent(100 * box.chance)}`;
      },
    },
    {
      id: "money",
      head: plan.resupply.money || "money",
      right: true,
      from: 561,
      cell: ({ id }) => {
        const money = byStop.get(id)?.money;
        return money ? say.number(moneyTotal(money)) : "";
      },
    },
  ];
  return (
    <div className="overflow-x-auto">
      <Table
        label="Stops"
        columns={columns}
        rows={rows}
        idOf={({ id }) => id}
        domId={({ id }) => `stop-${id}`}
        chosen={chosen === undefined ? [] : [chosen]}
        onChoose={onChoose}
      />
    </div>
  );
}
