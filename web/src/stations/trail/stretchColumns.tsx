/** What a stretch has beside its name and where it starts. */
import { RULES, STRETCH_KINDS, SURFACES, type Plan, type Profile, type Stretch } from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { Pick } from "../../ui/Pick.tsx";
import { SeasonField } from "../../ui/SeasonField.tsx";
import type { Column } from "../../ui/Table.tsx";
import { unitSymbol } from "../../units/quantity.ts";
import { choices, Where } from "./cells.tsx";
import { FordDialog } from "./FordDialog.tsx";

/** A rule in the words of its name and note. */
const OWN_RULE = "own";

export function stretchColumns(plan: Plan, profile: Profile): Column<Stretch>[] {
  const set = (stretch: Stretch, label: string, fields: Partial<Stretch>): void =>
    setRow("stretches", stretch.id, `${stretch.name}: ${label}`, fields);
  return [
    {
      id: "ends",
      right: true,
      head: `ends, ${unitSymbol("distance", plan.trip.units)}`,
      cell: (stretch) => (
        <Where
          kind="stretches"
          place={stretch}
          plan={plan}
          profile={profile}
          label="End"
          end="toM"
          trackM={stretch.toM}
        />
      ),
    },
    {
      id: "what",
      head: "what",
      sort: (stretch) => stretch.kind,
      cell: (stretch) => (
        <span className="flex gap-1">
          <Pick
            bare
            label={`Kind of ${stretch.name}`}
            value={stretch.kind}
            options={choices(STRETCH_KINDS)}
            onPick={(kind) => set(stretch, kind, { kind })}
          />
          {stretch.kind === "ford" && <FordDialog ford={stretch} units={plan.trip.units} />}
          {(stretch.kind === "surface" || stretch.kind === "snow") && (
            <Pick
              bare
              label={`Ground at ${stretch.name}`}
              value={stretch.surface ?? "trail"}
              options={choices(SURFACES)}
              onPick={(surface) => set(stretch, surface, { surface })}
            />
          )}
          {stretch.kind === "rule" && (
            <Pick
              bare
              label={`Rule for ${stretch.name}`}
              value={stretch.rule ?? OWN_RULE}
              options={[...choices(RULES), [OWN_RULE, "custom text"]]}
              onPick={(rule) => set(stretch, rule, { rule: rule === OWN_RULE ? undefined : rule })}
            />
          )}
          {stretch.kind === "rule" && stretch.rule === "hard-canister" && (
            <Pick
              bare
              label={`Who the rule of ${stretch.name} applies to`}
              value={stretch.appliesTo}
              options={[
                ["carrying", "anyone carrying food"],
                ["sleeping", "anyone camping there"],
              ]}
              onPick={(appliesTo) => set(stretch, `applies to ${appliesTo}`, { appliesTo })}
            />
          )}
        </span>
      ),
    },
    {
      id: "season",
      head: "season",
      cell: (stretch) => (
        <span title={stretch.note}>
          <SeasonField
            label={`Season of ${stretch.name}`}
            from={stretch.fromMonthDay}
            to={stretch.toMonthDay}
            onCommit={([fromMonthDay, toMonthDay]) => set(stretch, "season", { fromMonthDay, toMonthDay })}
          />
        </span>
      ),
    },
  ];
}
