/** Piece after piece on the simulated scale, in a bowl that is tared away where one is used. */
import { useState } from "react";
import type { Piece, Plan } from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { sayIn } from "../../words/say.ts";
import { Scale } from "./Scale.tsx";

/** A bowl as kitchens have them. */
const BOWL_G = 180;

export function WeighSeveral({ plan, onOpen }: { plan: Plan; onOpen: (piece: Piece) => void }) {
  const say = sayIn(plan);
  const [bowlG, setBowlG] = useState<number>();
  const [passed, setPassed] = useState<readonly string[]>([]);
  const left = plan.kit.filter(({ measured }) => !measured);
  const next = left.find(({ id }) => !passed.includes(id));
  const weighed = plan.kit.filter(({ measured, listedG }) => measured && listedG !== undefined);
  const off = weighed.reduce((sum, { massG, listedG = 0, quantity }) => sum + (massG - listedG) * quantity, 0);
  return (
    <div className="py-2 text-sm">
      <p className="mt-0 mb-2">
        {left.length === 0
          ? "Every item is weighed."
          : `${left.length} of ${plan.kit.length} items aren’t weighed yet.`}{" "}
        {weighed.length > 0 &&
          `For the ${weighed.length} weighed items, the listed weights were ${say.g(Math.abs(off))} too ${off >= 0 ? "low" : "high"} in total.`}
      </p>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        {bowlG === undefined ? (
          <>
            <span>Weigh small items in a bowl: put it on empty first, then take it off.</span>
            <Scale key="bowl" name="Bowl" listedG={BOWL_G} say={say} onWeighed={setBowlG} />
          </>
        ) : (
          <>
            <span>A bowl of {say.g(bowlG)} is subtracted.</span>
            <button className="btn" onClick={() => setBowlG(undefined)}>
              Remove the bowl
            </button>
          </>
        )}
      </div>
      {next ? (
        <section aria-label="On the scale" className="flex flex-wrap items-center gap-3 border-t border-rule pt-2">
          <button className="font-semibold hover:underline" title={`Edit ${next.name}`} onClick={() => onOpen(next)}>
            {next.name}
          </button>
          <span className="text-muted">listed {say.g(next.listedG ?? next.massG)} each</span>
          <Scale
            key={next.id}
            name={next.name}
            listedG={next.listedG ?? next.massG}
            underG={bowlG}
            say={say}
            onWeighed={(massG) =>
              setRow("kit", next.id, `${next.name}: ${say.g(massG)} by the scale`, {
                listedG: next.listedG ?? next.massG,
                massG,
                measured: true,
              })
            }
          />
          <button className="btn" onClick={() => setPassed([...passed, next.id])}>
            Skip
          </button>
        </section>
      ) : (
        left.length > 0 && (
          <button className="btn" onClick={() => setPassed([])}>
            Go back to the skipped ones
          </button>
        )
      )}
    </div>
  );
}
