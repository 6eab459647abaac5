/** How many spare sets of cells a device has: told, or as many as the kit item that they are. */
import { MOST_NAME, pieceSchema, walkEnds, type Device, type Plan } from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { edit } from "../../store/document.ts";
import { freshId } from "../../store/made.ts";
import { AddButton } from "../../ui/AddButton.tsx";
import { FieldNumber } from "../../ui/FieldNumber.tsx";

/** Spare sets that are a kit item weigh, and are as many as that is. */
export function SpareSets({ plan, device, onSets }: { plan: Plan; device: Device; onSets: (sets: number) => void }) {
  const piece = plan.kit.find(({ id }) => id === device.cellsPieceId);
  const commit = (sets: number): void =>
    piece ? void setRow("kit", piece.id, `${piece.name}: quantity`, { quantity: Math.max(1, sets) }) : onSets(sets);
  return (
    <>
      <FieldNumber
        bare
        className="w-[76px]"
        path={piece ? "kit.quantity" : "devices.spareSets"}
        label={`Spare sets of ${device.name}`}
        value={piece?.quantity ?? device.spareSets}
        units={plan.trip.units}
        onCommit={commit}
      />
      {!piece && device.spareSets > 0 && (
        <AddButton list="kit" rows={plan.kit} className="mt-1" onClick={() => weighCells(plan, device)}>
          Add to kit
        </AddButton>
      )}
    </>
  );
}

/** Three cells of the smallest usual size [L]. */
const SET_G = 35;

function weighCells(plan: Plan, { id: deviceId, name, ownerId, spareSets }: Device): void {
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  const piece = pieceSchema.parse({
    id: freshId(),
    name: `Spare batteries, ${name}`.slice(0, MOST_NAME),
    group: "Electronics",
    massG: SET_G,
    quantity: spareSets,
    ownerId,
    carrierId: ownerId,
    spans: [{ fromStopId: firstId, toStopId: lastId }],
  });
  void edit(`Add ${piece.name} to the kit`, (draft) => {
    const device = draft.devices.find(({ id }) => id === deviceId);
    if (!device || device.cellsPieceId !== undefined) return;
    draft.kit.push(piece);
    device.cellsPieceId = piece.id;
  });
}
