/** What comes and goes at every stop, and where everything is on a day. */
import { useState } from "react";
import { legOn, swapsByStop, whereabouts, type Plan, type PlanResult, type StopSwaps } from "@gepack/core";
import { select } from "../../store/selection.ts";
import { DateField } from "../../ui/DateField.tsx";
import { Table } from "../../ui/Table.tsx";
import { whereWords } from "../../words/kit.ts";
import { stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
}

export function SwapsByStop({ plan, result }: Props) {
  const say = sayIn(plan);
  const rows = swapsByStop(plan, result);
  const names = (ids: readonly string[]): string => {
    const counts = new Map<string, number>();
    for (const id of ids) {
      const name = plan.kit.find((piece) => piece.id === id)!.name;
      counts.set(name, (counts.get(name) ?? 0) + 1);
    }
    return [...counts].map(([name, count]) => (count > 1 ? `${count} × ${name}` : name)).join(", ");
  };
  if (rows.length === 0) return <p className="text-sm text-muted">Everything is carried from start to finish.</p>;
  return (
    <Table<StopSwaps>
      label="Swaps by stop"
      rows={rows}
      idOf={({ stopId }) => stopId}
      onChoose={(id) => select({ legIndex: rows.find(({ stopId }) => stopId === id)!.legIndex })}
      columns={[
        { id: "stop", head: "stop", names: true, cell: ({ stopId }) => stopName(plan, stopId) },
        {
          id: "day",
          head: "on",
          from: 561,
          cell: ({ legIndex }) => (
            <span className="whitespace-nowrap">{say.date(result.legs[legIndex]!.startDate)}</span>
          ),
        },
        { id: "comes", head: "picked up", cell: ({ comes }) => names(comes) },
        { id: "goes", head: "dropped off", cell: ({ goes }) => names(goes) },
        {
          id: "change",
          head: "all packs",
          right: true,
          cell: ({ changeG }) => `${changeG > 0 ? "+" : changeG < 0 ? "−" : ""}${say.g(Math.abs(changeG))}`,
        },
      ]}
    />
  );
}

export function WhereOnDay({ plan, result }: Props) {
  const say = sayIn(plan);
  const [typed, setTyped] = useState<string>();
  const date = typed ?? plan.trip.startDate;
  const leg = legOn(result, date);
  const places = new Map<string, string[]>();
  for (const [p, where] of whereabouts(plan, result, leg).entries()) {
    const words = whereWords(where, plan);
    places.set(words, [...(places.get(words) ?? []), plan.kit[p]!.name]);
  }
  return (
    <div className="text-sm">
      <div className="flex flex-wrap items-end gap-3">
        <DateField label="Date" value={date} near={plan.trip.startDate} required onCommit={setTyped} />
        <span className="text-muted">
          leg {leg + 1}, from {stopName(plan, result.legs[leg]!.fromStopId)} since{" "}
          {say.date(result.legs[leg]!.startDate)}
        </span>
      </div>
      <dl aria-label="Where everything is" className="m-0 mt-2">
        {[...places].map(([words, names]) => (
          <div key={words} className="border-t border-rule py-1">
            <dt className="font-semibold">
              {words[0]!.toUpperCase()}
              {words.slice(1)} <span className="font-normal text-muted">({names.length})</span>
            </dt>
            <dd className="m-0 text-muted">{names.join(", ")}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
