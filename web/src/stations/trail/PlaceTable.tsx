/** The places of one kind as a table, edited where they stand. */
import { Plus, X } from "lucide-react";
import { useEffect, useState } from "react";
import { walkedAt, type Camp, type Plan, type PlanResult, type Source, type Stop, type Stretch } from "@gepack/core";
import { NameField } from "../../components/NameField.tsx";
import { NumberField } from "../../components/NumberField.tsx";
import { edit } from "../../store/app.ts";
import { unitSymbol } from "../../units/quantity.ts";
import { CampCells, SourceCells, StopCells, StretchCells } from "./PlaceCells.tsx";
import { addPlace, KINDS, movePlace, removePlace, type PlaceEnd, type PlaceKind } from "./places.ts";

interface Props {
  kind: PlaceKind;
  plan: Plan;
  result: PlanResult;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}

const HEAD = "px-1.5 py-1 text-left text-xs font-medium text-muted";

export function PlaceTable({ kind, plan, result, chosen, onChoose }: Props) {
  const { profile } = result;
  const [find, setFind] = useState("");
  useEffect(() => {
    if (chosen) document.getElementById(`place-${chosen}`)?.scrollIntoView({ block: "nearest" });
  }, [chosen, kind]);
  const rows = [...plan[kind]]
    .map((row) => ({ row, walkedM: walkedAt(profile, beginM(row)) }))
    .sort((a, b) => a.walkedM - b.walkedM);
  const shown = rows.filter(({ row }) => row.name.toLowerCase().includes(find.toLowerCase()));
  const km = (id: string, name: string, label: string, end: PlaceEnd, trackM: number) => (
    <NumberField
      bare
      className="w-[84px]"
      label={`${label} of ${name}`}
      kind="distance"
      value={walkedAt(profile, trackM)}
      units={plan.trip.units}
      min={0}
      max={profile.lengthM}
      onCommit={(walkedM) => movePlace(kind, id, name, end, profile, walkedM)}
    />
  );
  return (
    <>
      <div className="mb-2 flex gap-2">
        <button className="btn" onClick={() => onChoose(addPlace(kind, plan, profile, middleOf(result)))}>
          <Plus size={15} aria-hidden="true" /> {KINDS[kind].add}
        </button>
        <input
          className="field max-w-[220px] text-sm!"
          type="search"
          placeholder={`Find a ${KINDS[kind].one}`}
          aria-label={`Find a ${KINDS[kind].one}`}
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
      </div>
      {rows.length === 0 && (
        <p className="text-muted">
          No {KINDS[kind].title.toLowerCase()} yet.{" "}
          {kind === "stops"
            ? "Without stops the whole trail is one leg: add the places where food can be had."
            : kind === "sources"
              ? "Without sources all water is carried from stop to stop."
              : kind === "camps"
                ? "Without listed camps a day ends at water, or where its hours do."
                : "Stretches say where snow lies, rules apply or the ground is slow."}
        </p>
      )}
      <div className="relative overflow-x-auto">
        <table className="w-full border-collapse text-sm">
          <thead>
            <tr className="border-b border-rule">
              <th className={HEAD}>Name</th>
              <th className={HEAD}>
                {kind === "stretches" ? "begins, " : "at, "}
                {unitSymbol("distance", plan.trip.units)}
              </th>
              {kind === "stops" && (
                <>
                  <th className={HEAD}>off trail, {unitSymbol("distance", plan.trip.units)}</th>
                  <th className={HEAD}>use</th>
                  <th className={HEAD}>nights</th>
                  <th className={HEAD}>closes at, h</th>
                  <th className={HEAD}>offers</th>
                </>
              )}
              {kind === "sources" && (
                <>
                  <th className={HEAD}>kind</th>
                  <th className={HEAD}>off trail, {unitSymbol("distance", plan.trip.units)}</th>
                  <th className={HEAD}>reliable</th>
                </>
              )}
              {kind === "camps" && <th className={HEAD}>in a hollow, where cold air pools</th>}
              {kind === "stretches" && (
                <>
                  <th className={HEAD}>ends, {unitSymbol("distance", plan.trip.units)}</th>
                  <th className={HEAD}>what</th>
                  <th className={HEAD}>season</th>
                </>
              )}
              <th className={HEAD}>
                <span className="sr-only">Remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map(({ row }) => (
              <tr
                key={row.id}
                id={`place-${row.id}`}
                className={`border-b border-rule ${chosen === row.id ? "bg-pine-wash" : ""}`}
                onFocus={() => onChoose(row.id)}
              >
                <td className="py-0.5 pr-2">
                  <NameField
                    bare
                    label={`Name of ${row.name}`}
                    value={row.name}
                    onCommit={(name) => rename(kind, row.id, name)}
                  />
                </td>
                <td className="pr-1">
                  {kind === "stretches"
                    ? km(row.id, row.name, "Begin", "fromM", beginM(row))
                    : km(row.id, row.name, "Place", "trackM", beginM(row))}
                </td>
                {kind === "stops" && <StopCells stop={row as Stop} plan={plan} />}
                {kind === "sources" && <SourceCells source={row as Source} plan={plan} />}
                {kind === "camps" && <CampCells camp={row as Camp} />}
                {kind === "stretches" && (
                  <StretchCells
                    stretch={row as Stretch}
                    end={km(row.id, row.name, "End", "toM", (row as Stretch).toM)}
                  />
                )}
                <td className="text-right">
                  <button
                    className="p-1 text-muted hover:text-danger"
                    aria-label={`Remove ${row.name}`}
                    title={`Remove ${row.name}`}
                    onClick={() => removePlace(kind, row.id, row.name)}
                  >
                    <X size={15} aria-hidden="true" />
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

function beginM(row: Stop | Source | Camp | Stretch): number {
  return "fromM" in row ? (row as Stretch).fromM : (row as Stop).trackM;
}

/** New places come into the middle of the longest leg, where one is most likely missing. */
function middleOf(result: PlanResult): number {
  const longest = result.legs.reduce((a, b) => (b.distanceM > a.distanceM ? b : a));
  return (longest.fromM + longest.toM) / 2;
}

function rename(kind: PlaceKind, id: string, name: string): void {
  void edit(`Name ${name}`, (draft) => {
    const row = draft[kind].find((candidate) => candidate.id === id);
    if (row) row.name = name;
  });
}
