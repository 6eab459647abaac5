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
  const told = plan.kit.filter(({ measured, toldG }) => measured && toldG !== undefined);
  const off = told.reduce((sum, { massG, toldG = 0, quantity }) => sum + (massG - toldG) * quantity, 0);
  return (
    <div className="py-2 text-sm">
      <p className="mt-0 mb-2">
        {left.length === 0
          ? "Every piece is weighed."
          : `${left.length} of ${plan.kit.length} pieces are not weighed yet.`}{" "}
        {told.length > 0 &&
          `Of ${told.length} that are, the advertised masses were ${say.g(Math.abs(off))} too ${off >= 0 ? "small" : "large"} in all.`}
      </p>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        {bowlG === undefined ? (
          <>
            <span>Small things in a bowl: lay it on empty and take it away.</span>
            <Scale key="bowl" name="Bowl" toldG={BOWL_G} say={say} onWeighed={setBowlG} />
          </>
        ) : (
          <>
            <span>A bowl of {say.g(bowlG)} lies on the scale and is tared away.</span>
            <button className="btn" onClick={() => setBowlG(undefined)}>
              Without the bowl
            </button>
          </>
        )}
      </div>
      {next ? (
        <section aria-label="On the scale now" className="flex flex-wrap items-center gap-3 border-t border-rule pt-2">
          <button className="font-semibold hover:underline" title={`Edit ${next.name}`} onClick={() => onOpen(next)}>
            {next.name}
          </button>
          <span className="text-muted">told {say.g(next.toldG ?? next.massG)} each</span>
          <Scale
            key={next.id}
            name={next.name}
            toldG={next.toldG ?? next.massG}
            underG={bowlG}
            say={say}
            onWeighed={(massG) =>
              setRow("kit", next.id, `${next.name}: ${say.g(massG)} by the scale`, {
                toldG: next.toldG ?? next.massG,
                massG,
                measured: true,
              })
            }
          />
          <button className="btn" onClick={() => setPassed([...passed, next.id])}>
            Pass it by
          </button>
        </section>
      ) : (
        left.length > 0 && (
          <button className="btn" onClick={() => setPassed([])}>
            Begin with those passed by
          </button>
        )
      )}
    </div>
  );
}
