/** What a stretch has beside its name and where it starts. */
import { RULES, STRETCH_KINDS, SURFACES, type Plan, type Profile, type Stretch } from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { Pick } from "../../ui/Pick.tsx";
import { SeasonField } from "../../ui/SeasonField.tsx";
import type { Column } from "../../ui/Table.tsx";
import { unitSymbol } from "../../units/quantity.ts";
import { choices, Where } from "./cells.tsx";
import { FordDialog } from "./FordDialog.tsx";
import { spoken } from "../../words/names.ts";

/** A rule in the words of its name and note. */
const OWN_RULE = "own";
const OWN_RULE_WORDS = "custom text";
const APPLIES_TO = { carrying: "anyone carrying food", sleeping: "anyone camping there" } as const;

export function stretchColumns(plan: Plan, profile: Profile): Column<Stretch>[] {
  const set = (stretch: Stretch, label: string, fields: Partial<Stretch>): void =>
    void setRow("stretches", stretch.id, `${stretch.name}: ${label}`, fields);
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
            onPick={(kind) => set(stretch, spoken(kind), { kind })}
          />
          {stretch.kind === "ford" && <FordDialog ford={stretch} units={plan.trip.units} />}
          {(stretch.kind === "surface" || stretch.kind === "snow") && (
            <Pick
              bare
              label={`Ground at ${stretch.name}`}
              value={stretch.surface ?? "trail"}
              options={choices(SURFACES)}
              onPick={(surface) => set(stretch, spoken(surface), { surface })}
            />
          )}
          {stretch.kind === "rule" && (
            <Pick
              bare
              label={`Rule for ${stretch.name}`}
              value={stretch.rule ?? OWN_RULE}
              options={[...choices(RULES), [OWN_RULE, OWN_RULE_WORDS]]}
              onPick={(rule) => {
                const isOwn = rule === OWN_RULE;
                set(stretch, isOwn ? OWN_RULE_WORDS : spoken(rule), { rule: isOwn ? undefined : rule });
              }}
            />
          )}
          {stretch.kind === "rule" && stretch.rule === "hard-canister" && (
            <Pick
              bare
              label={`Who the rule of ${stretch.name} applies to`}
              value={stretch.appliesTo}
              options={(["carrying", "sleeping"] as const).map((one) => [one, APPLIES_TO[one]] as const)}
              onPick={(appliesTo) => set(stretch, `applies to ${APPLIES_TO[appliesTo]}`, { appliesTo })}
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
