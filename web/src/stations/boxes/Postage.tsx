/** What parcels cost by their mass, as the hiker's carrier tells it. */
import type { Plan } from "@gepack/core";
import { addPostage, removePostage, setPostage } from "../../edit/boxes.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { AddButton } from "../../ui/AddButton.tsx";

export function Postage({ plan }: { plan: Plan }) {
  const { postage } = plan.resupply;
  const { units } = plan.trip;
  return (
    <div className="is-form text-sm">
      {postage.map((row) => (
        <div key={row.id} className="mb-1.5 flex flex-wrap items-end gap-3">
          {(
            [
              ["toKg", "Up to"],
              ["price", "costs"],
            ] as const
          ).map(([key, label]) => (
            <FieldNumber
              key={key}
              path={`resupply.postage.${key}`}
              label={label}
              value={row[key]}
              units={units}
              onCommit={(value) => setPostage(row.id, key, value)}
            />
          ))}
          <button className="btn" onClick={() => removePostage(row.id)}>
            Remove row
          </button>
        </div>
      ))}
      <AddButton list="resupply.postage" rows={postage} onClick={addPostage}>
        Add a row
      </AddButton>
    </div>
  );
}
