/** Single changes of a plan that a hiker could take: plain data, made in place by `makeLever`. */
import { alternativesTo, isTakenAlong, withAlternative } from "../cover/alternatives.ts";
import { givesOf } from "../cover/gives.ts";
import { PAST } from "../plan/ids.ts";
import { sourceSchema } from "../plan/placesSchema.ts";
import type { Placed } from "../track/place.ts";
import type { Hiker, Piece, Plan } from "../plan/schema.ts";
import { makeChange } from "../compare/finishBy.ts";
import { foodByOf } from "../stops/stays.ts";
import { isoDate } from "../plan/values.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";

export type Lever =
  | { kind: "leave"; pieceId: string }
  | { kind: "swap"; pieceId: string; otherId: string }
  | { kind: "share"; pieceId: string; insteadId: string }
  | { kind: "pass" | "use"; stopId: string }
  | { kind: "nights"; stopId: string; nights: number }
  | { kind: "food-by"; stopId: string; foodBy: "buy" | "drop" }
  | { kind: "hours"; moreH: number }
  | { kind: "start"; date: string }
  | { kind: "figure"; field: LeverField; value: number }
  | { kind: "trust"; trust: Hiker["water"]["trust"] }
  | { kind: "past"; past: Hiker["water"]["past"] }
  | { kind: "shop-at" | "mail-to"; stopId: string }
  | { kind: "assume-water"; places: readonly WaterPlace[] }
  | { kind: "cold-food"; pieceIds: string[] }
  | { kind: "exchange" }
  | { kind: "dinner-at-water" }
  | { kind: "both"; first: Lever; second: Lever };

/** Where water is assumed, with the id that the source gets. */
export type WaterPlace = Placed & { id: string };

/** Figures of a hiker that are pulled by a step. */
export const LEVER_FIELDS = {
  density: { least: 1, most: 9, step: 0.3 },
  shortfall: { least: -0.5, most: 0.25, step: 0.05 },
  "reserve-days": { least: 0, most: 5, step: 0.5 },
  "reserve-food": { least: 0, most: 1, step: 0.04 },
  "reserve-water": { least: 0, most: 1, step: 0.1 },
  "least-water": { least: 0, most: 3, step: 0.3 },
  "drink-at-source": { least: 0, most: 1, step: 0.5 },
  boils: { least: 0, most: 20, step: 1 },
} as const;
export type LeverField = keyof typeof LEVER_FIELDS;

const valueOf = ({ food, water, stove }: Hiker, field: LeverField): number =>
  ({
    density: food.densityKcalPerG,
    shortfall: food.shortfallFraction,
    "reserve-days": food.reserveDays,
    "reserve-food": food.reserveFraction,
    "reserve-water": water.reserveFraction,
    "least-water": water.leastL,
    "drink-at-source": water.drinkAtSourceL,
    boils: stove.boilsPerDay,
  })[field];

function setValue({ food, water, stove }: Hiker, field: LeverField, value: number): void {
  if (field === "density") food.densityKcalPerG = value;
  else if (field === "shortfall") food.shortfallFraction = value;
  else if (field === "reserve-days") food.reserveDays = value;
  else if (field === "reserve-food") food.reserveFraction = value;
  else if (field === "reserve-water") water.reserveFraction = value;
  else if (field === "least-water") water.leastL = value;
  else if (field === "drink-at-source") water.drinkAtSourceL = value;
  else stove.boilsPerDay = value;
}

/** Makes the change in place, for one hiker where it is your own. */
export function makeLever(plan: Plan, hikerId: string, lever: Lever): void {
  const hiker = plan.hikers.find(({ id }) => id === hikerId);
  const stopOf = (stopId: string): Plan["stops"][number] | undefined => plan.stops.find(({ id }) => id === stopId);
  const shelve = (pieceId: string): void => {
    const piece = plan.kit.find(({ id }) => id === pieceId);
    if (piece) piece.spans = [];
  };
  if (!hiker) return;
  switch (lever.kind) {
    case "leave":
      return shelve(lever.pieceId);
    case "swap":
      plan.kit = withAlternative(plan.kit, lever.pieceId, lever.otherId);
      return;
    case "share": {
      shelve(lever.insteadId);
      const piece = plan.kit.find(({ id }) => id === lever.pieceId);
      if (piece) piece.shared = true;
      return;
    }
    case "pass":
    case "use": {
      const stop = stopOf(lever.stopId);
      if (stop) stop.use = lever.kind === "use";
      return;
    }
    case "nights": {
      const stop = stopOf(lever.stopId);
      if (stop) stop.nights = lever.nights;
      return;
    }
    case "food-by": {
      const stop = stopOf(lever.stopId);
      if (stop) stop.foodBy = lever.foodBy;
      return;
    }
    case "hours":
      return makeChange(plan, { hoursMoreH: lever.moreH });
    case "start":
      return makeChange(plan, { startDate: lever.date });
    case "figure":
      return setValue(hiker, lever.field, lever.value);
    case "trust":
      hiker.water.trust = lever.trust;
      return;
    case "past":
      hiker.water.past = lever.past;
      return;
    case "shop-at":
    case "mail-to": {
      const stop = stopOf(lever.stopId);
      if (!stop) return;
      const service = lever.kind === "shop-at" ? "shop-small" : "post";
      stop.use = true;
      stop.services = [...new Set([...stop.services, service] as const)];
      if (lever.kind === "mail-to") stop.foodBy = "drop";
      return;
    }
    case "assume-water":
      for (const { id, trackM, alternateId } of lever.places) {
        const line = alternateId === undefined ? {} : { alternateId };
        const row = { id, name: "Assumed water", kind: "creek", assumed: true, trackM, ...line };
        if (!plan.sources.some((source) => source.id === id)) plan.sources.push(sourceSchema.parse(row));
      }
      return;
    case "cold-food":
      hiker.stove.fuel = "none";
      lever.pieceIds.forEach(shelve);
      return;
    case "exchange":
      hiker.stove.exchange = true;
      return;
    case "dinner-at-water":
      plan.dayRules.dinnerAtWater = true;
      return;
    case "both":
      makeLever(plan, hikerId, lever.first);
      makeLever(plan, hikerId, lever.second);
  }
}

/** The plan with it; what it does not touch is a copy of the same content. */
export function withLever(plan: Plan, hikerId: string, lever: Lever): Plan {
  const copy: Plan = {
    ...plan,
    trip: { ...plan.trip },
    dayRules: { ...plan.dayRules },
    hikers: structuredClone(plan.hikers),
    stops: plan.stops.map((stop) => ({ ...stop })),
    sources: [...plan.sources],
    kit: plan.kit.map((piece) => ({ ...piece })),
  };
  makeLever(copy, hikerId, lever);
  return copy;
}

const MOST_LEFT = 10;
const LEAST_LEFT_G = 40;
const START_DAYS = 7;
const HOURS = 0.5;
/** Never offered to be left at home, whatever they weigh. */
const NEEDED: ReadonlySet<string> = new Set(["pack", "shelter", "bag", "pad", "shoes", "stove", "hard-canister"]);
const KEPT: readonly string[] = ["rain", "wind", "warm-layer", "papers", "navigation", "light", "deterrent"];
const FIRST_AID = /first.?aid|plaster|bandage|medic|tablet|pharmac|filter|purif|whistle|beacon|emergency/i;
const COOKING = /stove|pot\b|cook|burner|canister|lighter|windshield/i;

/** All single changes that the model knows, of one hiker's plan. */
export function leversOf(plan: Plan, hikerId: string): Lever[] {
  const hiker = plan.hikers.find(({ id }) => id === hikerId);
  if (!hiker) return [];
  return [
    ...figureLevers(hiker),
    ...waterLevers(hiker),
    ...kitLevers(plan, hiker),
    ...stopLevers(plan),
    ...dayLevers(plan),
  ];
}

function figureLevers(hiker: Hiker): Lever[] {
  const pull = (field: LeverField, steps: number): Lever[] => {
    const { least, most, step } = LEVER_FIELDS[field];
    const now = valueOf(hiker, field);
    const value = Number(Math.min(most, Math.max(least, now + steps * step)).toFixed(3));
    return value === now || now > most || now < least ? [] : [{ kind: "figure", field, value }];
  };
  return [
    ...pull("density", 1),
    ...pull("shortfall", 1),
    ...pull("reserve-days", -1),
    ...pull("reserve-days", 1),
    ...pull("reserve-food", -1),
    ...pull("reserve-water", -1),
    ...pull("reserve-water", 1),
    ...pull("least-water", -1),
    ...pull("drink-at-source", 1),
    ...(hiker.stove.fuel === "none" ? [] : pull("boils", -1)),
    ...(hiker.stove.fuel.startsWith("gas") && !hiker.stove.exchange ? [{ kind: "exchange" } as const] : []),
  ];
}

function waterLevers({ water }: Hiker): Lever[] {
  const trusts = (["all", "chance", "reliable"] as const).filter((trust) => trust !== water.trust);
  const pasts = PAST.filter((past) => past !== water.past);
  return [
    ...trusts.map((trust): Lever => ({ kind: "trust", trust })),
    ...pasts.map((past): Lever => ({ kind: "past", past })),
  ];
}

function kitLevers(plan: Plan, hiker: Hiker): Lever[] {
  const own = plan.kit.filter((piece) => isTakenAlong(piece) && piece.ownerId === hiker.id);
  const gramsOf = ({ massG, quantity }: Piece): number => massG * quantity;
  const left = own
    .filter(
      (piece) =>
        piece.wear === "packed" &&
        gramsOf(piece) >= LEAST_LEFT_G &&
        !(piece.role !== undefined && NEEDED.has(piece.role)) &&
        !givesOf(piece).some((gives) => KEPT.includes(gives)) &&
        !FIRST_AID.test(`${piece.name} ${piece.group}`),
    )
    .sort((a, b) => gramsOf(b) - gramsOf(a))
    .slice(0, MOST_LEFT);
  const swaps = own.flatMap((piece): Lever[] => {
    const [other] = alternativesTo(plan, piece);
    return other && gramsOf(other) < gramsOf(piece) ? [{ kind: "swap", pieceId: piece.id, otherId: other.id }] : [];
  });
  const cooking = own.filter((piece) => piece.role === "stove" || COOKING.test(piece.name)).map(({ id }) => id);
  const cold: Lever[] =
    hiker.stove.fuel !== "none" && cooking.length > 0 ? [{ kind: "cold-food", pieceIds: cooking }] : [];
  return [...left.map(({ id }): Lever => ({ kind: "leave", pieceId: id })), ...swaps, ...cold, ...shared(plan, own)];
}

/** Two carry what one would do for: stove or shelter of another, this one stays at home. */
function shared(plan: Plan, own: readonly Piece[]): Lever[] {
  return own.flatMap((piece): Lever[] => {
    if (piece.role !== "stove" && piece.role !== "shelter") return [];
    const other = plan.kit.find(
      (one) => one.role === piece.role && one.ownerId !== piece.ownerId && isTakenAlong(one) && !piece.shared,
    );
    return other ? [{ kind: "share", pieceId: other.id, insteadId: piece.id }] : [];
  });
}

function stopLevers({ stops }: Plan): Lever[] {
  return stops.flatMap((stop): Lever[] => {
    const { id: stopId, use, locked, nights, services } = stop;
    const sells = services.some((service) => service.startsWith("shop")) || services.includes("post");
    if (!use) return locked || !sells ? [] : [{ kind: "use", stopId }];
    const by = foodByOf(stop);
    const other = by === "buy" ? "drop" : "buy";
    const can = other === "drop" ? services.includes("post") : services.some((service) => service.startsWith("shop"));
    return [
      ...(locked ? [] : [{ kind: "pass", stopId } as const]),
      ...(nights > 1 ? [{ kind: "nights", stopId, nights: nights - 1 } as const] : []),
      ...(can && (by === "buy" || by === "drop") ? [{ kind: "food-by", stopId, foodBy: other } as const] : []),
    ];
  });
}

function dayLevers({ trip, dayRules }: Plan): Lever[] {
  const start = dayNumber(trip.startDate)!;
  const dates = [-START_DAYS, START_DAYS].map((by) => isoOfDay(start + by));
  return [
    { kind: "hours", moreH: HOURS },
    ...(dayRules.dinnerAtWater ? [] : [{ kind: "dinner-at-water" } as const]),
    ...dates.filter((date) => isoDate.safeParse(date).success).map((date): Lever => ({ kind: "start", date })),
  ];
}
