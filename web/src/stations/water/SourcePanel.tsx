/** One fill-up or source: litres and why, what if it is dry, what was seen there; counted on or struck out. */
import { useState } from "react";
import { X } from "lucide-react";
import {
  explain,
  type Carry,
  type DryCarry,
  type Hiker,
  type LegResult,
  type Plan,
  type PlanResult,
  type ReportWord,
} from "@gepack/core";
import { judge, removeReport, report } from "../../edit/water.ts";
import { editRow } from "../../edit/rows.ts";
import { BlankNumber } from "../../ui/BlankNumber.tsx";
import { DateField } from "../../ui/DateField.tsx";
import { derivationValue, Part } from "../../ui/DerivationTree.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { waterName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { REPORT_WORDS } from "../../words/water.ts";
import type { FillRow } from "./rows.ts";
import { freshId, todayHere } from "../../store/made.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
  hiker: Hiker;
  row: FillRow;
}

export function SourcePanel({ plan, result, leg, hiker, row }: Props) {
  const say = sayIn(plan);
  const { carry, passage } = row;
  const who = plan.hikers.indexOf(hiker);
  const { kit, carries } = leg.hikers[who]!;
  const overL = carry ? carry.litres - kit.bottleL : 0;
  const tree =
    carry &&
    explain(plan, result, {
      legIndex: leg.index,
      hikerId: hiker.id,
      figure: "carry",
      carryIndex: carries.indexOf(carry),
    });
  return (
    <section aria-label="Source" className="min-w-0" data-testid="source">
      <h2 className="m-0 text-lg font-bold">
        {carry
          ? `${waterName(carry.fromSourceId, plan)} to ${waterName(carry.toSourceId, plan)}`
          : passage!.source.name}
      </h2>
      {carry && tree && (
        <>
          <p className="m-0 font-display text-[32px] leading-tight font-bold">{say.L(carry.litres)}</p>
          <p className="mt-0 mb-1 text-sm text-muted">
            {overL > 0.05 && <b className="text-danger">{say.L(overL)} more than your bottles hold. </b>}
            {carry.litres > carry.mostL && `More than the ${say.L(carry.mostL)} you should drink in these hours. `}
            For {say.distance(carry.distanceM)} and {say.hours(carry.walkH)} of walking.
          </p>
          {carry.ifDry && (
            <p className="my-1.5 rounded bg-caution-wash px-2 py-1 text-sm" data-testid="if-dry">
              If {waterName(carry.toSourceId, plan)} is dry, the next is {waterName(carry.ifDry.toSourceId, plan)},{" "}
              {say.distance(carry.ifDry.distanceM)} from here: you need {say.L(carry.ifDry.litres)} for{" "}
              {say.hours(carry.ifDry.walkH)}. If you have less than {say.L(leftBefore(carry, carry.ifDry))} left when
              you reach {waterName(carry.toSourceId, plan)}, turn back.
            </p>
          )}
          <details className="text-sm">
            <summary className="cursor-pointer font-semibold text-pine">Why {derivationValue(tree, plan)}</summary>
            <ul className="m-0 list-none p-0">
              {("parts" in tree ? tree.parts : []).map((part, i) => (
                <Part key={i} part={part} plan={plan} depth={0} combine={i === 0 ? "sum" : tree.combine} />
              ))}
            </ul>
          </details>
        </>
      )}
      {passage && <Judgement plan={plan} row={row} />}
      <p className="mt-2 mb-0 text-xs text-muted">
        Any source may be dry today: ask locally and at the last stop. Treat what you drink. Drink to thirst: drinking
        far beyond it is dangerous too.
      </p>
    </section>
  );
}

/** Of what the way beyond would want, the part that is in hand before the next water. */
function leftBefore({ walkingL, campL, drunkL }: Carry, { litres }: DryCarry): number {
  return Math.max(0, litres - walkingL - campL + drunkL);
}

function Judgement({ plan, row: { passage, carry } }: Pick<Props, "plan" | "row">) {
  const say = sayIn(plan);
  const { source, chance, date, seen } = passage!;
  const [seenOn, setSeenOn] = useState("");
  const [said, setSaid] = useState<ReportWord>("flowing");
  const day = todayHere();
  // Nobody has seen anything of a made-up trail.
  const isAhead = seenOn !== "" && !plan.trip.fictional && seenOn > day;
  const when = seenOn === "" ? (plan.trip.fictional ? date : day) : seenOn;
  return (
    <div className="mt-3 border-t border-rule pt-2 text-sm">
      <p className="m-0 mb-1.5">
        {source.unknown && !seen && "Unknown, taken as "}
        <b>{say.percent(100 * chance)}</b> on {say.date(date)}
        {seen && `, seen ${REPORT_WORDS[seen.said]} on ${say.date(seen.date)}`}
        {source.counted === false && "; ignored"}
        {source.counted === true && "; counted on by you"}
        {source.counted === undefined && !carry && "; not counted on"}.
      </p>
      <div className="mb-2 flex flex-wrap gap-2">
        <button className="btn" onClick={() => judge(source, source.counted === false ? undefined : false)}>
          {source.counted === false ? "Stop ignoring it" : "Ignore it (X)"}
        </button>
        <button className="btn" onClick={() => judge(source, source.counted === true ? undefined : true)}>
          {source.counted === true ? "Use its likelihood" : "Count on it"}
        </button>
      </div>
      <div className="flex flex-wrap items-end gap-2">
        <DateField label="Seen on" value={when} near={when} onCommit={setSeenOn} />
        <Pick
          label="It was"
          value={said}
          options={(["flowing", "trickle", "dry"] as const).map((word) => [word, REPORT_WORDS[word]] as const)}
          onPick={setSaid}
        />
        <button
          className="btn"
          disabled={isAhead}
          onClick={() => report(source, { id: freshId(), date: when, said, note: "" })}
        >
          Add report
        </button>
      </div>
      {isAhead && <p className="m-0 text-sm text-danger">That date is in the future.</p>}
      <ul aria-label="Reports" className="m-0 mt-1 list-none p-0">
        {source.reports.map((row) => (
          <li key={row.id} className="flex items-center gap-2">
            {say.date(row.date)} {row.date.slice(0, 4)}: {REPORT_WORDS[row.said]}
            {row.note && <span className="text-muted">{row.note}</span>}
            <button
              className="cursor-pointer text-muted"
              aria-label={`Remove the report of ${row.date}`}
              onClick={() => removeReport(source, row.id)}
            >
              <X size={13} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      <label className="mt-2 flex items-center gap-2">
        <input
          type="checkbox"
          checked={source.contaminated}
          onChange={(event) =>
            editRow(
              "sources",
              source.id,
              `${source.name}: ${event.target.checked ? "treat twice" : "treat once"}`,
              (row) => {
                row.contaminated = event.target.checked;
              },
            )
          }
        />
        Downstream of camps, houses or cattle: treat it twice
      </label>
      {source.kind === "cache" && (
        <div className="mt-2 flex flex-wrap items-end gap-2">
          <NameField
            label="Cache name"
            value={source.name}
            onCommit={(name) => editRow("sources", source.id, "Cache: name", (row) => void (row.name = name))}
          />
          <DateField
            label="Available from"
            value={source.placedOn ?? ""}
            near={date}
            onCommit={(placedOn) =>
              editRow("sources", source.id, `${source.name}: available from`, (row) => {
                if (placedOn === "") delete row.placedOn;
                else row.placedOn = placedOn;
              })
            }
          />
          <BlankNumber
            path="sources.litres"
            label="Litres stored"
            value={source.litres}
            units={plan.trip.units}
            onCommit={(litres) =>
              editRow("sources", source.id, `${source.name}: litres`, (row) => {
                if (litres === undefined) delete row.litres;
                else row.litres = litres;
              })
            }
          />
          {source.litres === undefined && (
            <p className="m-0 self-center text-xs text-muted">No amount entered: assumed to be enough.</p>
          )}
        </div>
      )}
    </div>
  );
}
