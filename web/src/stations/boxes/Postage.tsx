/** What parcels cost by their mass, as the hiker's carrier tells it. */
import type { Plan } from "@gepack/core";
import { editPart } from "../../edit/rows.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";

export function Postage({ plan }: { plan: Plan }) {
  const { postage } = plan.resupply;
  const { units } = plan.trip;
  const change = (label: string, recipe: (rows: Plan["resupply"]["postage"]) => void): void =>
    editPart("resupply", label, (resupply) => recipe(resupply.postage));
  return (
    <div className="is-form text-sm">
      {postage.map((_, i) => (
        <div key={i} className="mb-1.5 flex flex-wrap items-end gap-3">
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
              value={postage[i]![key]}
              units={units}
              onCommit={(value) => change("Postage", (rows) => void (rows[i]![key] = value))}
            />
          ))}
          <button className="btn" onClick={() => change("Postage: remove a row", (rows) => void rows.splice(i, 1))}>
            Remove row
          </button>
        </div>
      ))}
      <button
        className="btn"
        disabled={postage.length >= 20}
        onClick={() =>
          change("Postage: add a row", (rows) => {
            const last = rows.at(-1);
            rows.push({ toKg: Math.min(50, last ? last.toKg * 2 : 2), price: last ? last.price + 4 : 8 });
          })
        }
      >
        Add a row
      </button>
    </div>
  );
}
