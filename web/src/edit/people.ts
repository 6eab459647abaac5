/** Who walks: somebody more, with what the party has in common. */
import { hikerSchema, type Hiker, type Plan } from "@gepack/core";
import { freshId } from "../store/made.ts";

/** Somebody more eats and cooks as the first does until told otherwise; what was measured of one is nobody else's. */
export function newHiker({ hikers }: Plan): Hiker {
  const { food, menus, stove } = hikers[0]!;
  return hikerSchema.parse({
    id: freshId(),
    name: `Hiker ${hikers.length + 1}`,
    ageY: 35,
    sex: "male",
    heightCm: 176,
    bodyKg: 75,
    food: { ...food, measuredKcalPerDay: undefined },
    menus,
    stove: { ...stove, gramsPerBoil: undefined },
  });
}
