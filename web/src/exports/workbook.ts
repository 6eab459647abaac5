/**
 * The plan as tables in kilometres, metres, kilograms and degrees Celsius, whatever the screen shows: one workbook whose
 * sums are formulas, or a CSV of each. Formulas are made of columns and rows, never of what somebody has typed.
 */
import {
  boxesOf,
  buildPantry,
  calendarDays,
  legBags,
  placeRows,
  sendingDates,
  shoppingLists,
  type Piece,
  type Plan,
  type PlanResult,
} from "@gepack/core";
import { boxName } from "../words/boxes.ts";
import { stopName, waterName } from "../words/names.ts";
import { NIGHT_WORDS, nightKind } from "../words/nights.ts";
import { SPAN_WORDS } from "../words/spans.ts";
import { columnLetter, type Cell, type Sheet, type Sum } from "./sheets.ts";
import { rounded } from "../units/quantity.ts";

export function workbookOf(plan: Plan, result: PlanResult): Sheet[] {
  return [
    legSheet(plan, result),
    daySheet(plan, result),
    placeSheet(plan, result),
    waterSheet(plan, result),
    foodSheet(plan, result),
    shoppingSheet(plan, result),
    kitSheet(plan),
    boxSheet(plan, result),
  ];
}

type Row = Record<string, Cell>;

/** Columns in the order of their heads; `sums` adds a last row of what these columns come to. */
function tableOf(name: string, heads: readonly string[], rows: readonly Row[], sums: readonly string[] = []): Sheet {
  const cells = rows.map((row) => heads.map((head) => row[head]));
  if (rows.length > 0 && sums.length > 0)
    cells.push(heads.map((head, c) => (sums.includes(head) ? columnSum(cells, c) : c === 0 ? "total" : undefined)));
  return { name, heads, rows: cells };
}

/** Of all rows so far; the first stands under the heads. */
function columnSum(rows: readonly (readonly Cell[])[], column: number): Sum {
  const letter = columnLetter(column);
  const value = rows.reduce((sum, row) => sum + numberOf(row[column]), 0);
  return { formula: `=SUM(${letter}2:${letter}${rows.length + 1})`, value };
}

const numberOf = (cell: Cell): number =>
  typeof cell === "number" ? cell : typeof cell === "object" && "value" in cell ? cell.value : 0;

const km = (metres: number): number => rounded(metres / 1000, 2);

const LEG_PARTS = ["base kg", "consumables kg", "food kg", "water kg", "fuel kg", "containers kg"] as const;
const LEG_HEADS = [
  "leg", "hiker", "from", "to", "leaves", "arrives", "km", "climb m", "descent m", "days", "nights outside",
  ...LEG_PARTS, "pack leaving kg", "heaviest kg", "pack arriving kg", "kcal per day", "largest water carry L", "cold night C", "hot day C",
]; // prettier-ignore

/** A row a leg and hiker; what the pack weighs is the sum of its parts. */
function legSheet(plan: Plan, result: PlanResult): Sheet {
  const [first, last] = [LEG_PARTS[0], LEG_PARTS.at(-1)!].map((part) => columnLetter(LEG_HEADS.indexOf(part)));
  const rows = result.legs.flatMap((leg) =>
    leg.hikers.map((row, who): Row => {
      const parts = [
        row.kit.baseKg,
        row.kit.consumableKg,
        row.food.startKg,
        row.startWaterKg,
        row.fuel.startKg,
        row.fuel.containerKg,
      ].map((kg) => rounded(kg, 3));
      const line = leg.index * plan.hikers.length + who + 2;
      return {
        leg: leg.index + 1,
        hiker: plan.hikers[who]!.name,
        from: stopName(plan, leg.fromStopId),
        to: stopName(plan, leg.toStopId),
        leaves: { iso: leg.startDate },
        arrives: { iso: leg.endDate },
        km: km(leg.distanceM),
        "climb m": Math.round(leg.climbM),
        "descent m": Math.round(leg.descentM),
        days: rounded(leg.dayCount, 2),
        "nights outside": leg.nightsOutside,
        ...Object.fromEntries(LEG_PARTS.map((part, i) => [part, parts[i]])),
        "pack leaving kg": {
          formula: `=SUM(${first}${line}:${last}${line})`,
          value: rounded(
            parts.reduce((sum, kg) => sum + kg, 0),
            3,
          ),
        },
        "heaviest kg": rounded(row.heaviestKg, 3),
        "pack arriving kg": rounded(row.endKg, 3),
        "kcal a day": Math.round(row.energy.totalKcal),
        "largest carry L": rounded(row.carries[row.largestCarry]?.litres ?? 0, 2),
        "cold night C": rounded(leg.coldNightC, 1),
        "hot day C": rounded(leg.hotDayC, 1),
      };
    }),
  );
  // With several hikers each leg stands there once for each: its length would be counted so often.
  return tableOf(
    "Legs",
    LEG_HEADS,
    rows,
    plan.hikers.length === 1 ? ["km", "climb m", "descent m", "days"] : ["food kg"],
  );
}

const DAY_HEADS = [
  "date", "day", "leg", "from km", "to km", "km", "climb m", "descent m", "hours", "night", "place", "height m", "cold night C", "wet chance",
]; // prettier-ignore

function daySheet(plan: Plan, result: PlanResult): Sheet {
  const rows = calendarDays(plan, result).map((day, i): Row => {
    const line = i + 2;
    const [from, to] = ["from km", "to km"].map((head) => columnLetter(DAY_HEADS.indexOf(head)));
    const [fromKm, toKm] = [km(day.fromM), km(day.toM)];
    return {
      date: { iso: day.date },
      day: day.tripDay,
      leg: day.legIndex + 1,
      "from km": fromKm,
      "to km": toKm,
      km: { formula: `=${to}${line}-${from}${line}`, value: rounded(toKm - fromKm, 2) },
      "climb m": Math.round(day.climbM),
      "descent m": Math.round(day.descentM),
      hours: rounded(day.walkH, 2),
      night: day.rests ? `rest, ${NIGHT_WORDS[nightKind(day)]}` : NIGHT_WORDS[nightKind(day)],
      place: day.place,
      "height m": result.profile.hasHeights ? Math.round(day.heightM) : undefined,
      "cold night C": rounded(day.coldNightC, 1),
      "wet chance": rounded(day.wetChance, 3),
    };
  });
  return tableOf("Days", DAY_HEADS, rows, ["km", "climb m", "descent m", "hours"]);
}

const PLACE_HEADS = ["km", "name", "kind", "detail", "height m", "off trail m", "note"];

function placeSheet(plan: Plan, result: PlanResult): Sheet {
  const rows = placeRows(plan, result)
    .filter(({ isWalked }) => isWalked)
    .map(({ alongM, name, kind, detail, heightM, offTrailM, note }): Row => ({
      km: km(alongM),
      name,
      kind,
      detail,
      "height m": Number.isNaN(heightM) ? undefined : Math.round(heightM),
      "off trail m": Math.round(offTrailM),
      note,
    }));
  return tableOf("Places", PLACE_HEADS, rows);
}

const WATER_HEADS = ["leg", "hiker", "fill at", "km", "litres", "enough for km", "dry camps"];

function waterSheet(plan: Plan, { legs, profile }: PlanResult): Sheet {
  const rows = legs.flatMap((leg) =>
    leg.hikers.flatMap(({ carries }, who) =>
      carries
        .filter(({ litres }) => litres > 0)
        .map((carry): Row => ({
          leg: leg.index + 1,
          hiker: plan.hikers[who]!.name,
          "fill at":
            carry.fromSourceId === undefined && carry.fromNode === leg.fromNode
              ? stopName(plan, leg.fromStopId)
              : waterName(carry.fromSourceId, plan),
          km: km(carry.fromNode * profile.cellM),
          litres: rounded(carry.litres, 2),
          "enough for km": km(carry.distanceM),
          "dry camps": carry.dryCamps,
        })),
    ),
  );
  return tableOf("Water", WATER_HEADS, rows);
}

const FOOD_HEADS = [
  "leg", "hiker", "days of meals", "need kcal", "menu kcal", "eaten kg", "reserve kg", "for later kg", "leaving kg",
]; // prettier-ignore

function foodSheet(plan: Plan, { legs }: PlanResult): Sheet {
  const rows = legs.flatMap((leg) =>
    leg.hikers.map(({ food }, who): Row => ({
      leg: leg.index + 1,
      hiker: plan.hikers[who]!.name,
      "days of meals": rounded(food.mealDays, 2),
      "need kcal": Math.round(food.needKcal),
      "menu kcal": Math.round(food.menuKcal),
      "eaten kg": rounded(food.eatenKg, 3),
      "reserve kg": rounded(food.reserveKg, 3),
      "for later kg": rounded(food.forLaterKg, 3),
      "leaving kg": rounded(food.startKg, 3),
    })),
  );
  return tableOf("Food", FOOD_HEADS, rows, ["need kcal", "menu kcal", "eaten kg"]);
}

const SHOPPING_HEADS = ["stop", "leg", "how", "food", "g", "packs"];
const BUYING = { bought: "bought there", box: "from the box", nowhere: "not sold there" } as const;

function shoppingSheet(plan: Plan, result: PlanResult): Sheet {
  const pantry = buildPantry(plan.foods);
  const bags = plan.hikers.map((_, who) => legBags(plan, result, who, pantry));
  const rows = shoppingLists(bags, plan.foods).flatMap((list) =>
    (Object.keys(BUYING) as (keyof typeof BUYING)[]).flatMap((part) =>
      list[part].map(({ food, massG, packs }): Row => ({
        stop: stopName(plan, list.stopId),
        leg: list.legIndex + 1,
        how: BUYING[part],
        food: food.name,
        g: Math.round(massG),
        packs,
      })),
    ),
  );
  return tableOf("Shopping", SHOPPING_HEADS, rows, ["g"]);
}

const KIT_HEADS = ["piece", "group", "owner", "carrier", "wear", "quantity", "g each", "g", "weighed", "where"];

function kitSheet(plan: Plan): Sheet {
  const nameOf = (id: string): string => plan.hikers.find((hiker) => hiker.id === id)?.name ?? "";
  const at = (head: string): string => columnLetter(KIT_HEADS.indexOf(head));
  const rows = plan.kit.map((piece, i): Row => ({
    piece: piece.name,
    group: piece.group,
    owner: piece.shared ? "shared" : nameOf(piece.ownerId),
    carrier: nameOf(piece.carrierId),
    wear: wearOf(piece),
    quantity: piece.quantity,
    "g each": gramsEach(piece),
    g: {
      formula: `=${at("quantity")}${i + 2}*${at("g each")}${i + 2}`,
      value: gramsEach(piece) * piece.quantity,
    },
    weighed: piece.measured ? "yes" : "",
    where: spansInWords(piece, plan),
  }));
  const sheet = tableOf("Kit", KIT_HEADS, rows);
  if (plan.kit.length === 0) return sheet;
  const end = plan.kit.length + 1;
  const sums = (["packed", "worn", "consumable"] as const).map((wear): Cell[] => {
    const value = plan.kit.reduce((sum, one) => sum + (wearOf(one) === wear ? gramsEach(one) * one.quantity : 0), 0);
    const formula = `=SUMIF(${at("wear")}2:${at("wear")}${end},"${wear}",${at("g")}2:${at("g")}${end})`;
    return KIT_HEADS.map((head, c) => (head === "g" ? { formula, value } : c === 0 ? `all ${wear}` : undefined));
  });
  return { ...sheet, rows: [...sheet.rows, ...sums] };
}

const gramsEach = ({ massG }: Piece): number => rounded(massG, 1);

/** What stays on the shelf counts for nothing. */
const wearOf = ({ spans, wear }: Piece): string => (spans.length === 0 ? "at home" : wear);

function spansInWords({ spans }: Piece, plan: Plan): string {
  if (spans.length === 0) return "at home";
  return spans
    .map(
      ({ fromStopId, toStopId, begins, ends }) =>
        `${stopName(plan, fromStopId)} (${SPAN_WORDS[begins]}) to ${stopName(plan, toStopId)} (${SPAN_WORDS[ends]})`,
    )
    .join("; ");
}

const BOX_HEADS = ["to", "what", "g", "mail from", "mail by", "address", "packed", "mailed", "arrived", "picked up"];
const dayOf = (iso: string | undefined): Cell => iso && { iso };

/** As the document has it where nobody has touched the box. */
const CARTON_G = 250;

export function boxSheet(plan: Plan, result: PlanResult): Sheet {
  const rows = boxesOf(plan, result).flatMap((box) => {
    const { from, by } = sendingDates(box);
    const { address = "", packedOn, sentOn, arrivedOn, fetchedOn, cartonG = CARTON_G } = box.row ?? {};
    const contents: [string, number][] = [
      ...box.pieces.map(({ name, massG, quantity }): [string, number] => [name, massG * quantity]),
      ...(box.foodG > 0 ? [["food for the next leg", Math.round(box.foodG)] as [string, number]] : []),
      ...box.lines.map(({ name, massG }): [string, number] => [name, massG]),
      ["carton", cartonG],
    ];
    return contents.map(([what, g]): Row => ({
      to: boxName(box, plan), what, g, "mail from": { iso: from }, "mail by": { iso: by }, address,
      packed: dayOf(packedOn), mailed: dayOf(sentOn), arrived: dayOf(arrivedOn), "picked up": dayOf(fetchedOn),
    })); // prettier-ignore
  });
  return tableOf("Boxes", BOX_HEADS, rows, ["g"]);
}
