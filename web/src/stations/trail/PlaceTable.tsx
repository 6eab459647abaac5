/** The places of one kind as a table, edited where they stand. */
import Papa from "papaparse";
import { useMemo } from "react";
import type { Plan, PlanResult, WalkedM } from "@gepack/core";
import { tell } from "../../store/notices.ts";
import { DataTable } from "../../ui/DataTable.tsx";
import { Empty } from "../../ui/Panel.tsx";
import { placeColumns } from "./columns.tsx";
import { addPlace, KINDS, pastePlaces, removePlaces, walkedOfPlace, type Place, type PlaceKind } from "./places.ts";
import { AddButton } from "../../ui/AddButton.tsx";

interface Props {
  kind: PlaceKind;
  plan: Plan;
  result: PlanResult;
  chosen: string | undefined;
  /** It was chosen on the map, which stays in sight. */
  still: boolean;
  onChoose: (id: string) => void;
  /** A pasted table of more than names and distances. */
  onTable: (table: File) => void;
}

const idOf = (place: Place): string => place.id;
const nameOf = (place: Place): string => place.name;

export function PlaceTable({ kind, plan, result, chosen, still, onChoose, onTable }: Props) {
  const { profile } = result;
  const places: readonly Place[] = plan[kind];
  const rows = useMemo(
    () => [...places].sort((a, b) => walkedOfPlace(profile, a) - walkedOfPlace(profile, b)),
    [places, profile],
  );
  const columns = useMemo(() => placeColumns(kind, plan, profile), [kind, plan, profile]);
  const add = (
    <AddButton list={kind} rows={places} onClick={() => onChoose(addPlace(kind, plan, profile, middleOf(result)))}>
      {KINDS[kind].add}
    </AddButton>
  );
  const paste = (cells: string[][]): void => {
    if (cells.some((row) => row.filter((cell) => cell.trim() !== "").length > 2))
      return onTable(new File([Papa.unparse(cells, { delimiter: "\t" })], "Pasted table.csv"));
    const { added, unread } = pastePlaces(kind, plan, profile, cells);
    const one = KINDS[kind].one;
    if (unread.length === 0) return tell("done", `${added} pasted.`);
    const rows = unread.slice(0, 3).join("; ");
    const why = `Each row needs a name and its distance along the trail. Couldn’t read this ${one}: ${rows}`;
    tell("failed", `${added} pasted, ${unread.length} skipped.`, why);
  };
  return (
    <DataTable
      key={kind}
      label={`${KINDS[kind].title} of ${plan.trip.name}`}
      columns={columns}
      rows={rows}
      idOf={idOf}
      textOf={nameOf}
      find={`Find a ${KINDS[kind].one}`}
      chosen={chosen}
      still={still}
      onChoose={onChoose}
      onRemove={(ids) =>
        removePlaces(
          kind,
          places.filter((place) => ids.includes(place.id)),
        )
      }
      onPaste={paste}
      domId={(place) => `place-${place.id}`}
      tools={add}
      empty={
        <Empty>{KINDS[kind].empty} You can paste spreadsheet rows here: name and distance, or a whole table.</Empty>
      }
    />
  );
}

/** New places come into the middle of the longest leg, where one is most likely missing. */
function middleOf(result: PlanResult): WalkedM {
  const longest = result.legs.reduce((a, b) => (b.distanceM > a.distanceM ? b : a));
  return ((longest.fromM + longest.toM) / 2) as WalkedM;
}
