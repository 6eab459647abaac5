/** The list of the day of departure: what goes in the cabin, in the hold, and by neither. */
import { luggageOf, type Luggage, type Plan, type PlanResult } from "@gepack/core";
import { TRAVEL_WORDS } from "../../words/boxes.ts";
import { CARRIERS_FIRST } from "../../words/cautions.ts";
import { firstName } from "../../words/names.ts";
import type { Say } from "../../words/say.ts";

const PARTS = ["cabin", "hold", "neither"] as const satisfies readonly (keyof Luggage)[];

export function Flying({ plan, result, say }: { plan: Plan; result: PlanResult; say: Say }) {
  const { legs, carrier } = result;
  return (
    <div className="py-2 text-sm">
      <div className="grid gap-x-8 gap-y-3 min-[700px]:grid-cols-2">
        {plan.hikers.map((hiker, who) => {
          const carried = plan.kit.filter((_, p) => carrier[p * legs.length] === who);
          const luggage = luggageOf(carried);
          return (
            <section key={hiker.id} aria-label={`Luggage for ${hiker.name}`}>
              <h3 className="m-0 text-sm font-bold">{firstName(hiker)}</h3>
              {PARTS.map((part) => (
                <p key={part} className="my-1">
                  <b className={part === "neither" ? "text-caution" : ""}>
                    {TRAVEL_WORDS[part][0]!.toUpperCase()}
                    {TRAVEL_WORDS[part].slice(1)}
                  </b>
                  {": "}
                  {luggage[part].length === 0
                    ? "nothing"
                    : luggage[part].map(({ name, massG, quantity }) => `${name} ${say.g(massG * quantity)}`).join(", ")}
                </p>
              ))}
              <p className="my-1 text-muted">
                All other items can go either way ({carried.length} in total). Buy fuel there.
              </p>
            </section>
          );
        })}
      </div>
      <p className="mt-1 mb-0 max-w-[72ch] text-xs text-muted">
        Guessed from the item’s name; correct it in the item. {CARRIERS_FIRST} That includes power banks over 100 Wh,
        medicines, and food across borders.
      </p>
    </div>
  );
}
