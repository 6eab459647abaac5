/** What water and camps have beside their name and where they are. */
import { SOURCE_KINDS, type Camp, type Plan, type Source } from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { Pick } from "../../ui/Pick.tsx";
import type { Column } from "../../ui/Table.tsx";
import { unitSymbol } from "../../units/quantity.ts";
import { Check, choices } from "./cells.tsx";

const FLOWS = [
  ["reliable", "reliable"],
  ["seasonal", "seasonal"],
  ["unknown", "unknown"],
] as const;

const flowOf = ({ reliable, unknown }: Source): (typeof FLOWS)[number][0] =>
  unknown ? "unknown" : reliable ? "reliable" : "seasonal";

export function sourceColumns(plan: Plan): Column<Source>[] {
  const { units } = plan.trip;
  return [
    {
      id: "kind",
      head: "kind",
      sort: (source) => source.kind,
      cell: (source) => (
        <Pick
          bare
          label={`Kind of ${source.name}`}
          value={source.kind}
          options={choices(SOURCE_KINDS)}
          onPick={(kind) => setRow("sources", source.id, `${source.name}: ${kind}`, { kind })}
        />
      ),
    },
    {
      id: "off",
      right: true,
      head: `off trail, ${unitSymbol("distance", units)}`,
      sort: (source) => source.offTrailM,
      cell: (source) => (
        <FieldNumber
          bare
          className="w-[64px]"
          path="sources.offTrailM"
          label={`Off trail at ${source.name}`}
          value={source.offTrailM}
          units={units}
          onCommit={(offTrailM) => setRow("sources", source.id, `${source.name}: off trail`, { offTrailM })}
        />
      ),
    },
    {
      id: "flow",
      head: "water there",
      sort: (source) => FLOWS.findIndex(([flow]) => flow === flowOf(source)),
      cell: (source) => (
        <Pick
          bare
          label={`Water at ${source.name}`}
          value={flowOf(source)}
          options={FLOWS}
          onPick={(flow) =>
            setRow("sources", source.id, `${source.name}: ${flow}`, {
              reliable: flow === "reliable",
              unknown: flow === "unknown" ? true : undefined,
              chanceByMonth: undefined,
            })
          }
        />
      ),
    },
    {
      id: "counted",
      head: "counted on",
      cell: (source) => (
        <Pick
          bare
          label={`Counted on at ${source.name}`}
          value={source.counted === undefined ? "rule" : source.counted ? "yes" : "no"}
          options={[
            ["rule", "by the rule in Water"],
            ["yes", "yes"],
            ["no", "ignored"],
          ]}
          onPick={(picked) =>
            setRow("sources", source.id, `${source.name}: ${picked === "no" ? "ignored" : "counted on"}`, {
              counted: picked === "rule" ? undefined : picked === "yes",
            })
          }
        />
      ),
    },
  ];
}

export function campColumns(): Column<Camp>[] {
  return [
    {
      id: "hollow",
      head: "in a hollow that traps cold air",
      cell: (camp) => (
        <Check
          label={`${camp.name} is in a hollow`}
          checked={camp.hollow}
          onChange={(hollow) =>
            setRow("camps", camp.id, `${camp.name}: ${hollow ? "in a hollow" : "in the open"}`, { hollow })
          }
        />
      ),
    },
  ];
}
