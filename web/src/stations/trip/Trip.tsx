/** The trip's name, dates and direction. */
import type { Plan, PlanResult } from "@gepack/core";
import { turnRound } from "../../edit/direction.ts";
import { setFields } from "../../edit/rows.ts";
import { startOn } from "../../edit/startDate.ts";
import { edit } from "../../store/document.ts";
import { DateField } from "../../ui/DateField.tsx";
import { Fields } from "../../ui/FieldNumber.tsx";
import { NameField } from "../../ui/NameField.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { longDate } from "../../units/date.ts";

export function Trip({ plan, result }: { plan: Plan; result: PlanResult }) {
  const { trip } = plan;
  const days = result.walkDays + result.zeroDays;
  return (
    <Fields title="Trip" note={`As planned, it ends on ${longDate(result.finishDate)}, after ${days} days.`}>
      <NameField
        label="Name"
        value={trip.name}
        onCommit={(name) => void edit(`Name ${name}`, (draft) => void (draft.trip.name = name))}
      />
      <DateField
        label="Start date"
        value={trip.startDate}
        near={trip.startDate}
        required
        onCommit={(date) => startOn(plan, date)}
      />
      <DateField
        label="Finish by"
        value={trip.finishBy ?? ""}
        near={result.finishDate}
        onCommit={(date) =>
          void edit("Finish by", (draft) => setFields(draft.trip, { finishBy: date === "" ? undefined : date }))
        }
      />
      <Pick
        label="Direction"
        value={trip.direction}
        options={[
          ["forward", "as recorded"],
          ["reverse", "reversed"],
        ]}
        onPick={turnRound}
      />
    </Fields>
  );
}
