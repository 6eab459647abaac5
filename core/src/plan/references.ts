/**
 * Which parts of a plan name rows of other parts, declared once: reading a file checks them (`links.ts`),
 * and removing a row follows them everywhere (`removal.ts`). A new reference is a row of `REFERENCES`.
 */
import { FINISH_ID, MEALS, START_ID, walkEnds } from "./ids.ts";
import { LISTS, type ListName } from "./lists.ts";
import type { Plan } from "./schema.ts";

/** One place that holds the id of a row elsewhere. */
interface Link {
  place: string;
  id: string;
  /** What holds it, for a sentence. */
  holder: string;
  /** Points it at another row; to nothing where it may be missing. */
  point: (id: string | undefined) => void;
}

export interface Reference {
  to: ListName;
  /** Ids that stand for no row and are allowed. */
  besides: readonly string[];
  links: (plan: Plan) => Link[];
  /**
   * What becomes of a link when its row goes: it names the row that takes its place, the `otherwise` where
   * none does, or nothing.
   */
  onRemove: "heir" | "clear";
  otherwise?: (link: Link, plan: Plan) => string;
}

export const REFERENCES: readonly Reference[] = [
  {
    to: "hikers",
    besides: [],
    onRemove: "heir",
    links: (plan) =>
      plan.kit.flatMap((piece, i) =>
        (["ownerId", "carrierId"] as const).map((key) => ({
          place: `kit[${i}].${key}`,
          id: piece[key],
          holder: piece.name,
          point: (id) => void (piece[key] = id ?? piece[key]),
        })),
      ),
  },
  {
    to: "hikers",
    besides: [],
    onRemove: "heir",
    links: (plan) =>
      plan.kit.flatMap((piece, i) =>
        piece.spans.flatMap((span, k) =>
          span.carrierId === undefined
            ? []
            : [
                {
                  place: `kit[${i}].spans[${k}].carrierId`,
                  id: span.carrierId,
                  holder: piece.name,
                  point: (id) => void (span.carrierId = id),
                },
              ],
        ),
      ),
  },
  {
    to: "hikers",
    besides: [],
    onRemove: "heir",
    links: (plan) =>
      plan.devices.map((device, i) => ({
        place: `devices[${i}].ownerId`,
        id: device.ownerId,
        holder: device.name,
        point: (id) => void (device.ownerId = id ?? device.ownerId),
      })),
  },
  {
    to: "hikers",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.hikers.flatMap(({ name, stove }, i) =>
        stove.cooksOn === undefined ? [] : [optionalLink(`hikers[${i}].stove`, stove, "cooksOn", name)],
      ),
  },
  {
    to: "stops",
    besides: [START_ID, FINISH_ID],
    onRemove: "heir",
    otherwise: ({ place }, { trip }) => {
      const { firstId, lastId } = walkEnds(trip.direction);
      return place.endsWith("fromStopId") ? firstId : lastId;
    },
    links: (plan) =>
      plan.kit.flatMap((piece, i) =>
        piece.spans.flatMap((span, k) =>
          (["fromStopId", "toStopId"] as const).map((key) => ({
            place: `kit[${i}].spans[${k}].${key}`,
            id: span[key],
            holder: piece.name,
            point: (id: string | undefined) => void (span[key] = id ?? span[key]),
          })),
        ),
      ),
  },
  {
    to: "stops",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.stops.flatMap((stop, i) =>
        stop.foodFromStopId === undefined ? [] : [optionalLink(`stops[${i}]`, stop, "foodFromStopId", stop.name)],
      ),
  },
  {
    to: "route.alternates",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      (["stops", "sources", "camps", "pins", "stretches", "route.closures"] as const).flatMap((list) =>
        LISTS[list](plan).flatMap((row, i) =>
          row.alternateId === undefined ? [] : [optionalLink(`${list}[${i}]`, row, "alternateId", row.name)],
        ),
      ),
  },
  {
    to: "kit",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.devices.flatMap((device, i) =>
        (["pieceId", "cellsPieceId"] as const)
          .filter((key) => device[key] !== undefined)
          .map((key) => optionalLink(`devices[${i}]`, device, key, device.name)),
      ),
  },
  {
    to: "kit",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.decisions.flatMap((choice, i) =>
        (["pieceIds", "otherwiseIds"] as const).flatMap((key) =>
          idLinks(`decisions[${i}].${key}`, choice[key], choice.name),
        ),
      ),
  },
  {
    to: "kit",
    besides: [],
    onRemove: "clear",
    links: ({ bounce }) => (bounce ? idLinks("bounce.pieceIds", bounce.pieceIds, "The bounce box") : []),
  },
  {
    to: "stops",
    besides: [],
    onRemove: "clear",
    links: ({ bounce }) => (bounce ? idLinks("bounce.stopIds", bounce.stopIds, "The bounce box") : []),
  },
  {
    to: "route.alternates",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.log.flatMap((card, i) =>
        card.alternateId === undefined ? [] : [optionalLink(`log[${i}]`, card, "alternateId", card.date)],
      ),
  },
  {
    to: "stops",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.log.flatMap((card, i) =>
        card.stopId === undefined ? [] : [optionalLink(`log[${i}]`, card, "stopId", card.date)],
      ),
  },
  {
    to: "sources",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.log.flatMap((card, i) =>
        card.water.map((row, k) => ({
          place: `log[${i}].water[${k}].sourceId`,
          id: row.sourceId,
          holder: card.date,
          point: pointOrDrop(card.water, row, "sourceId"),
        })),
      ),
  },
  {
    to: "kit",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.log.flatMap((card, i) =>
        card.pieces.map((row, k) => ({
          place: `log[${i}].pieces[${k}].pieceId`,
          id: row.pieceId,
          holder: card.date,
          point: pointOrDrop(card.pieces, row, "pieceId"),
        })),
      ),
  },
  {
    to: "decisions",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.boxes.flatMap((box, i) =>
        box.lines.flatMap((line, k) =>
          line.decisionId === undefined
            ? []
            : [
                {
                  place: `boxes[${i}].lines[${k}].decisionId`,
                  id: line.decisionId,
                  holder: line.name,
                  point: (id: string | undefined) => {
                    if (id === undefined) delete line.decisionId;
                    else line.decisionId = id;
                  },
                },
              ],
        ),
      ),
  },
  {
    to: "stops",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.boxes.map((box, i) => ({
        place: `boxes[${i}].toStopId`,
        id: box.toStopId,
        holder: "A box",
        point: pointOrDrop(plan.boxes, box, "toStopId"),
      })),
  },
  {
    to: "stops",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.boxes.flatMap((box, i) =>
        box.fromStopId === undefined
          ? []
          : [
              {
                place: `boxes[${i}].fromStopId`,
                id: box.fromStopId,
                holder: "A box",
                point: (id: string | undefined) => {
                  if (id === undefined) delete box.fromStopId;
                  else box.fromStopId = id;
                },
              },
            ],
      ),
  },
  {
    to: "foods",
    besides: [],
    onRemove: "clear",
    links: (plan) => [
      ...plan.menus.flatMap((menu, i) =>
        MEALS.flatMap((meal) =>
          menu.meals[meal].map((item, k) => ({
            place: `menus[${i}].meals.${meal}[${k}].foodId`,
            id: item.foodId,
            holder: menu.name,
            point: pointOrDrop(menu.meals[meal], item, "foodId"),
          })),
        ),
      ),
      ...plan.foods.flatMap((food, i) =>
        food.parts.map((part, k) => ({
          place: `foods[${i}].parts[${k}].foodId`,
          id: part.foodId,
          holder: food.name,
          point: pointOrDrop(food.parts, part, "foodId"),
        })),
      ),
    ],
  },
  {
    to: "stops",
    besides: [START_ID, FINISH_ID],
    onRemove: "clear",
    links: (plan) =>
      plan.kitRules.demands.map((row, i) => ({
        place: `kitRules.demands[${i}].fromStopId`,
        id: row.fromStopId,
        holder: "Kit",
        point: pointOrDrop(plan.kitRules.demands, row, "fromStopId"),
      })),
  },
  {
    to: "menus",
    besides: [],
    onRemove: "clear",
    links: (plan) =>
      plan.hikers.flatMap(({ name: holder, menus }, i) => [
        ...(["defaultId", "coldId", "noFlameId", "dryCampId"] as const).flatMap((key) =>
          menus[key] === undefined
            ? []
            : [
                {
                  place: `hikers[${i}].menus.${key}`,
                  id: menus[key],
                  holder,
                  point: (id: string | undefined) => {
                    if (id === undefined) delete menus[key];
                    else menus[key] = id;
                  },
                },
              ],
        ),
        ...menus.legs.map((row, k) => ({
          place: `hikers[${i}].menus.legs[${k}].menuId`,
          id: row.menuId,
          holder,
          point: pointOrDrop(menus.legs, row, "menuId"),
        })),
        ...menus.days.map((row, k) => ({
          place: `hikers[${i}].menus.days[${k}].menuId`,
          id: row.menuId,
          holder,
          point: pointOrDrop(menus.days, row, "menuId"),
        })),
      ]),
  },
];

/** A row that names nothing any more goes out of its list. */
function pointOrDrop<K extends string, T extends Record<K, string>>(
  rows: T[],
  row: T,
  key: K,
): (id: string | undefined) => void {
  return (id) => {
    if (id !== undefined) row[key] = id as T[K];
    else if (rows.includes(row)) rows.splice(rows.indexOf(row), 1);
  };
}

/** Of a list of ids: one goes with its row. */
function idLinks(place: string, ids: string[], holder: string): Link[] {
  return ids.map((id, k) => ({
    place: `${place}[${k}]`,
    id,
    holder,
    point: (heir) => {
      const at = ids.indexOf(id);
      if (at >= 0) ids.splice(at, 1, ...(heir === undefined ? [] : [heir]));
    },
  }));
}

/** A link that may be missing. */
function optionalLink<Key extends string>(
  place: string,
  row: { [name in Key]?: string | undefined },
  key: Key,
  holder: string,
): Link {
  return {
    place: `${place}.${key}`,
    id: row[key]!,
    holder,
    point: (id) => {
      if (id === undefined) delete row[key];
      else row[key] = id;
    },
  };
}
