/** Fixes of the route. */
import type { Action, FixContext } from "./fix.ts";

/** The alternate that a stop is on is walked. */
export function walkAlternate({ plan }: FixContext, stopId: string): Action | undefined {
  const stop = plan.stops.find(({ id }) => id === stopId);
  const alternate = plan.route.alternates.find(({ id, chosen }) => id === stop?.alternateId && !chosen);
  if (!alternate) return undefined;
  return {
    button: `Use ${alternate.name}`,
    label: `Use ${alternate.name}`,
    recipe: (draft) => {
      const target = draft.route.alternates.find(({ id }) => id === alternate.id);
      if (target) target.chosen = true;
    },
  };
}
