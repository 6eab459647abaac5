/** Which ground is walked: the direction, alternates, closures and sections, each changed where it stands. */
import { ArrowUp, X } from "lucide-react";
import type { ReactNode } from "react";
import type { Alternate, Closure, Plan, Profile, Section } from "@gepack/core";
import { turnRound } from "../../edit/direction.ts";
import {
  addClosure,
  addSection,
  chooseAlternate,
  cutEnds,
  middleOf,
  moveSection,
  removeAlternate,
  setClosure,
  setSection,
  turnSection,
  walkInHalves,
} from "../../edit/route.ts";
import { removeRows, setRow } from "../../edit/rows.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { quantity, unitSymbol } from "../../units/quantity.ts";
import { AddButton } from "../../ui/AddButton.tsx";

interface Props {
  plan: Plan;
  profile: Profile;
}

export function RoutePanel({ plan, profile }: Props) {
  const { alternates, closures, sections } = plan.route;
  const { mainLengthM } = profile.route;
  const along = `Measured along the recorded track, ${unitSymbol("distance", plan.trip.units)} from its first point.`;
  return (
    <section aria-label="Route" className="mb-4">
      <h2 className="m-0 mb-1 text-base font-bold">Route</h2>
      <div className="flex flex-wrap gap-2">
        <button className="btn" onClick={turnRound}>
          Reverse direction
        </button>
        <AddButton list="route.closures" rows={plan.route.closures} onClick={() => addClosure(plan, mainLengthM)}>
          Closure
        </AddButton>
        {sections.length === 0 ? (
          <>
            <button className="btn" onClick={() => cutEnds(mainLengthM)}>
              Trim the ends
            </button>
            <button className="btn" onClick={() => walkInHalves(mainLengthM, middleOf(plan, profile))}>
              Split in half
            </button>
          </>
        ) : (
          <AddButton list="route.sections" rows={plan.route.sections} onClick={() => addSection(plan, mainLengthM)}>
            Section
          </AddButton>
        )}
      </div>
      {alternates.length + closures.length + sections.length > 0 && <p className="my-1 text-xs text-muted">{along}</p>}
      {alternates.map((row) => (
        <AlternateRow key={row.id} row={row} plan={plan} profile={profile} />
      ))}
      {closures.map((row) => (
        <ClosureRow key={row.id} row={row} plan={plan} />
      ))}
      {closures.some(({ holds }) => holds) && (
        <p className="my-1 text-xs text-muted">
          Only the land manager can say whether a closure is in force and which detour is allowed. Ask before you go.
        </p>
      )}
      {sections.map((row, i) => (
        <SectionRow key={row.id} row={row} index={i} plan={plan} />
      ))}
      {sections.length > 1 && <Transfers plan={plan} />}
    </section>
  );
}

function AlternateRow({ row, plan, profile }: Props & { row: Alternate }) {
  const known = profile.route.alternates.find(({ id }) => id === row.id);
  const moreM = (known?.lengthM ?? 0) - Math.abs(row.rejoinsM - row.leavesM);
  const more = quantity("distance", Math.abs(moreM), plan.trip.units);
  return (
    <Row
      mark={
        <input
          type="checkbox"
          aria-label={`Use ${row.name}`}
          checked={row.chosen}
          onChange={(event) => chooseAlternate(row, event.target.checked)}
        />
      }
      name={row.name}
      onName={(name) => setRow("route.alternates", row.id, `Name ${name}`, { name })}
      onRemove={() => removeAlternate(row)}
      note={row.note}
    >
      alternate, {moreM >= 0 ? `${more} longer` : `${more} shorter`}; leaves at{" "}
      <Metres
        plan={plan}
        path="route.alternates.leavesM"
        label={`${row.name} leaves at`}
        value={row.leavesM}
        onCommit={(leavesM) => setRow("route.alternates", row.id, `${row.name}: leaves`, { leavesM })}
      />
      , rejoins at{" "}
      <Metres
        plan={plan}
        path="route.alternates.rejoinsM"
        label={`${row.name} rejoins at`}
        value={row.rejoinsM}
        onCommit={(rejoinsM) => setRow("route.alternates", row.id, `${row.name}: rejoins`, { rejoinsM })}
      />
    </Row>
  );
}

const RIDE = "";

function ClosureRow({ row, plan }: { row: Closure; plan: Plan }) {
  return (
    <Row
      mark={
        <input
          type="checkbox"
          aria-label={`${row.name} is in force`}
          checked={row.holds}
          onChange={(event) =>
            setClosure(row, event.target.checked ? "holds" : "open", { holds: event.target.checked })
          }
        />
      }
      name={row.name}
      onName={(name) => setClosure(row, "name", { name })}
      onRemove={() => removeRows("route.closures", [row.id], `Remove ${row.name}`)}
      note={row.note}
    >
      closed from{" "}
      <Metres
        plan={plan}
        path="route.closures.fromM"
        label={`${row.name} from`}
        value={row.fromM}
        onCommit={(fromM) => setClosure(row, "from", { fromM })}
      />{" "}
      to{" "}
      <Metres
        plan={plan}
        path="route.closures.toM"
        label={`${row.name} to`}
        value={row.toM}
        onCommit={(toM) => setClosure(row, "to", { toM })}
      />
      , bypass:{" "}
      <Pick
        bare
        label={`How to bypass ${row.name}`}
        value={row.alternateId ?? RIDE}
        options={[[RIDE, "by a ride"], ...plan.route.alternates.map(({ id, name }) => [id, `by ${name}`] as const)]}
        onPick={(id) => setClosure(row, "bypass", { alternateId: id === RIDE ? undefined : id })}
      />
      {row.alternateId === undefined && (
        <>
          {" "}
          of{" "}
          <FieldNumber
            bare
            className="w-[52px]"
            path="route.closures.rideH"
            label={`Hours of the ride past ${row.name}`}
            value={row.rideH}
            units={plan.trip.units}
            onCommit={(rideH) => setClosure(row, "ride", { rideH })}
          />{" "}
          h
        </>
      )}
    </Row>
  );
}

function SectionRow({ row, index, plan }: { row: Section; index: number; plan: Plan }) {
  const { units } = plan.trip;
  return (
    <Row
      mark={<b className="figure text-pine">{index + 1}</b>}
      name={row.name}
      onName={(name) => setSection(row, "name", { name })}
      onRemove={() => removeRows("route.sections", [row.id], `Remove ${row.name}`)}
      tools={
        <>
          {index > 0 && (
            <button
              className="p-1 text-muted"
              aria-label={`Move ${row.name} earlier`}
              title="Earlier"
              onClick={() => moveSection(row, index - 1)}
            >
              <ArrowUp size={15} aria-hidden="true" />
            </button>
          )}
          <button className="btn min-h-[24px]! px-1.5! py-0! text-xs!" onClick={() => turnSection(row)}>
            Reverse
          </button>
        </>
      }
    >
      from{" "}
      <Metres
        plan={plan}
        path="route.sections.fromM"
        label={`${row.name} from`}
        value={row.fromM}
        onCommit={(fromM) => setSection(row, "from", { fromM })}
      />{" "}
      to{" "}
      <Metres
        plan={plan}
        path="route.sections.toM"
        label={`${row.name} to`}
        value={row.toM}
        onCommit={(toM) => setSection(row, "to", { toM })}
      />
      {index > 0 && (
        <>
          ; transfer takes{" "}
          <FieldNumber
            bare
            className="w-[52px]"
            path="route.sections.transferH"
            label={`Hours of transfer to ${row.name}`}
            value={row.transferH}
            units={units}
            onCommit={(transferH) => setSection(row, "transfer", { transferH })}
          />{" "}
          h, costs{" "}
          <FieldNumber
            bare
            className="w-[60px]"
            path="route.sections.transferCost"
            label={`Cost of the transfer to ${row.name}`}
            value={row.transferCost}
            units={units}
            onCommit={(transferCost) => setSection(row, "cost", { transferCost })}
          />
        </>
      )}
    </Row>
  );
}

function Transfers({ plan }: { plan: Plan }) {
  const rows = plan.route.sections.slice(1);
  const hours = rows.reduce((sum, row) => sum + row.transferH, 0);
  const cost = rows.reduce((sum, row) => sum + row.transferCost, 0);
  return (
    <p className="my-1 text-xs text-muted">
      Transfers take {hours} h and cost {cost}; every twelve hours count as a night in town with meals.
    </p>
  );
}

interface RowProps {
  mark: ReactNode;
  name: string;
  onName: (name: string) => void;
  onRemove: () => void;
  note?: string;
  tools?: ReactNode;
  children: ReactNode;
}

function Row({ mark, name, onName, onRemove, note, tools, children }: RowProps) {
  return (
    <div role="group" aria-label={name} className="border-b border-rule py-1.5">
      <div className="flex items-center gap-2">
        {mark}
        <NameField bare label={`Name of ${name}`} value={name} onCommit={onName} />
        <span className="ml-auto flex items-center">
          {tools}
          <button
            className="p-1 text-muted hover:text-danger"
            aria-label={`Remove ${name}`}
            title={`Remove ${name}`}
            onClick={onRemove}
          >
            <X size={15} aria-hidden="true" />
          </button>
        </span>
      </div>
      <div className="mt-1 leading-[1.9]">{children}</div>
      {note && <p className="m-0 text-xs text-muted">{note}</p>}
    </div>
  );
}

interface MetresProps {
  plan: Plan;
  path: string;
  label: string;
  value: number;
  onCommit: (metres: never) => void;
}

function Metres({ plan, path, label, value, onCommit }: MetresProps) {
  return (
    <FieldNumber
      bare
      className="w-[70px] align-middle"
      path={path}
      label={label}
      value={value}
      units={plan.trip.units}
      onCommit={(metres) => onCommit(Math.round(metres) as never)}
    />
  );
}
