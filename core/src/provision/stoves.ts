/** One stove for several: who cooks on another's burns that one's fuel, with own boils, and carries none. */
import type { Hiker, Plan } from "../plan/schema.ts";

/** Whose stove a hiker cooks on, by place in the party; undefined for the own one. */
export function stoveOwner(hikers: readonly Hiker[], { id, stove }: Hiker): number | undefined {
  if (stove.cooksOn === undefined || stove.cooksOn === id) return undefined;
  const owner = hikers.findIndex((hiker) => hiker.id === stove.cooksOn);
  // Who cooks on somebody else's has none to offer.
  return owner < 0 || hikers[owner]!.stove.cooksOn !== undefined ? undefined : owner;
}

/** The plan with the stoves that are cooked on; itself where everybody has an own one. */
export function withStoves(plan: Plan): Plan {
  const { hikers } = plan;
  if (hikers.every((hiker) => stoveOwner(hikers, hiker) === undefined)) return plan;
  return {
    ...plan,
    hikers: hikers.map((hiker) => {
      const owner = stoveOwner(hikers, hiker);
      if (owner === undefined) return hiker;
      const { boilsPerDay, boilL, cooksOn } = hiker.stove;
      const stove = hikers[owner]!.stove;
      const gramsPerBoil = stove.gramsPerBoil && (stove.gramsPerBoil * boilL) / (stove.boilL || boilL);
      return {
        ...hiker,
        // What simmers, simmers for all at once.
        stove: { ...stove, boilsPerDay, boilL, gramsPerBoil, cooksOn, simmerMinPerDay: 0 },
      };
    }),
  };
}
