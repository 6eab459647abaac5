/** The places of one kind as a table, edited where they stand. */
import { Plus, X } from "lucide-react";
import { useEffect, useState } from "react";
import {
  SOURCE_KINDS,
  SURFACES,
  walkedAt,
  type Plan,
  type PlanResult,
  type Source,
  type Stop,
  type Stretch,
} from "@gepack/core";
import { NameField } from "../../components/NameField.tsx";
import { NumberField } from "../../components/NumberField.tsx";
import { Pick } from "../../components/Pick.tsx";
import { edit } from "../../store/app.ts";
import { unitSymbol } from "../../units/quantity.ts";
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
                  <th className={HEAD}>offers</th>
                </>
              )}
              {kind === "sources" && (
                <>
                  <th className={HEAD}>kind</th>
                  <th className={HEAD}>reliable</th>
                </>
              )}
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
                {kind === "sources" && <SourceCells source={row as Source} />}
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

function beginM(row: Stop | Source | Stretch): number {
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

function StopCells({ stop, plan }: { stop: Stop; plan: Plan }) {
  const change = (label: string, recipe: (target: Stop) => void): void =>
    void edit(`${stop.name}: ${label}`, (draft) => {
      const target = draft.stops.find((row) => row.id === stop.id);
      if (target) recipe(target as Stop);
    });
  return (
    <>
      <td className="pr-1">
        <NumberField
          bare
          className="w-[64px]"
          label={`Off trail at ${stop.name}`}
          kind="distance"
          value={stop.offTrailM}
          units={plan.trip.units}
          min={0}
          max={200_000}
          onCommit={(offTrailM) =>
            change("off trail", (target) => {
              target.offTrailM = offTrailM;
            })
          }
        />
      </td>
      <td>
        <input
          type="checkbox"
          aria-label={`Use ${stop.name}`}
          checked={stop.use}
          onChange={(event) => {
            const use = event.target.checked;
            change(use ? "use it" : "pass it by", (target) => {
              target.use = use;
              if (use && target.nights === 0) target.nights = 1;
            });
          }}
        />
      </td>
      <td>
        <NumberField
          bare
          className="w-[44px]"
          label={`Nights at ${stop.name}`}
          value={stop.nights}
          units={plan.trip.units}
          min={0}
          max={30}
          digits={0}
          onCommit={(nights) =>
            change("nights", (target) => {
              target.nights = Math.round(nights);
            })
          }
        />
      </td>
      <td className="text-xs text-muted" title={[stop.hours, stop.note].filter(Boolean).join(" ")}>
        {stop.services.map((service) => service.replace("-", " ")).join(", ")}
      </td>
    </>
  );
}

function SourceCells({ source }: { source: Source }) {
  const change = (label: string, recipe: (target: Source) => void): void =>
    void edit(`${source.name}: ${label}`, (draft) => {
      const target = draft.sources.find((row) => row.id === source.id);
      if (target) recipe(target as Source);
    });
  return (
    <>
      <td>
        <Pick
          bare
          label={`Kind of ${source.name}`}
          value={source.kind}
          options={SOURCE_KINDS.map((kind) => [kind, kind])}
          onPick={(kind) => change(kind, (target) => void (target.kind = kind))}
        />
      </td>
      <td>
        <input
          type="checkbox"
          aria-label={`${source.name} is reliable`}
          checked={source.reliable}
          onChange={(event) => {
            const reliable = event.target.checked;
            change(reliable ? "reliable" : "not reliable", (target) => {
              target.reliable = reliable;
              delete target.chanceByMonth;
            });
          }}
        />
      </td>
    </>
  );
}

const STRETCH_KINDS = ["surface", "snow", "rule", "hazard", "insects", "dry"] as const;
const RULES = ["hard-canister", "fire-ban", "permit"] as const;
const spoken = <T extends string>(values: readonly T[]) =>
  values.map((value) => [value, value.replace("-", " ")] as const);

function StretchCells({ stretch, end }: { stretch: Stretch; end: React.ReactNode }) {
  const change = (label: string, recipe: (target: Stretch) => void): void =>
    void edit(`${stretch.name}: ${label}`, (draft) => {
      const target = draft.stretches.find((row) => row.id === stretch.id);
      if (target) recipe(target as Stretch);
    });
  return (
    <>
      <td className="pr-1">{end}</td>
      <td>
        <span className="flex gap-1">
          <Pick
            bare
            label={`Kind of ${stretch.name}`}
            value={stretch.kind}
            options={spoken(STRETCH_KINDS)}
            onPick={(kind) => change(kind, (target) => void (target.kind = kind))}
          />
          {(stretch.kind === "surface" || stretch.kind === "snow") && (
            <Pick
              bare
              label={`Ground of ${stretch.name}`}
              value={stretch.surface ?? "trail"}
              options={spoken(SURFACES)}
              onPick={(surface) => change(surface, (target) => void (target.surface = surface))}
            />
          )}
          {stretch.kind === "rule" && (
            <Pick
              bare
              label={`Rule of ${stretch.name}`}
              value={stretch.rule ?? "permit"}
              options={spoken(RULES)}
              onPick={(rule) => change(rule, (target) => void (target.rule = rule))}
            />
          )}
        </span>
      </td>
      <td className="text-xs whitespace-nowrap text-muted" title={stretch.note}>
        {stretch.fromMonthDay && stretch.toMonthDay
          ? `${monthDay(stretch.fromMonthDay)} to ${monthDay(stretch.toMonthDay)}`
          : "all year"}
      </td>
    </>
  );
}

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

function monthDay(text: string): string {
  return `${Number(text.slice(3))} ${MONTHS[Number(text.slice(0, 2)) - 1] ?? ""}`;
}
