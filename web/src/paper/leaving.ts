/** The leaving sheet of a stop in words, part by part and line by line: what screen and paper draw. */
import {
  decisionsOf,
  leavingSheet,
  type LegBag,
  type LegResult,
  type Plan,
  type PlanResult,
  type SheetPiece,
  type ShoppingList,
} from "@gepack/core";
import { boxName, stateWords } from "../words/boxes.ts";
import { checkSentence } from "../words/checks/index.ts";
import { counted } from "../words/counted.ts";
import { firstName, spoken, stopName, waterName } from "../words/names.ts";
import type { Say } from "../words/say.ts";
import { SPAN_WORDS } from "../words/spans.ts";

export interface LeavingLine {
  key: string;
  text: string;
  /** How, said after it. */
  small?: string;
  figure?: string;
  /** What is done there can be ticked off. */
  ticked?: boolean;
  of?: "food" | "water" | "fuel";
  tone?: "danger" | "caution";
}

export interface LeavingPart {
  name: string;
  figure?: string;
  lines: LeavingLine[];
}

export interface LeavingWords {
  leg: LegResult;
  /** “Leaving Mill Town, Ada”. */
  head: string;
  title: string;
  summary: string;
  parts: LeavingPart[];
}

interface On {
  plan: Plan;
  result: PlanResult;
  legIndex: number;
  who: number;
  /** Of the stop, where menus say what is bought. */
  shopping: ShoppingList | undefined;
  /** What this hiker leaves with, food by food, where menus say what it is. */
  bag: LegBag | undefined;
  say: Say;
}

const MOST_CAUTIONS = 6;
/** Less snow than this is not worth a word. */
const SNOW_M = 500;

export const LEAVING_CAUTION =
  "A plan, not a forecast. Ask there about weather, water and closures; local rules and land managers come first.";

export function leavingWords({ plan, result, legIndex, who, shopping, bag, say }: On): LeavingWords {
  const hiker = plan.hikers[who]!;
  const sheet = leavingSheet(plan, result, legIndex, who);
  const { leg, fuel, charge } = sheet;
  const pieces = (items: readonly SheetPiece[], sign: string): LeavingPart["lines"] =>
    items.map(({ pieceId, name, grams, how }) => ({
      key: `${leg.fromStopId} ${hiker.id} ${sign}${pieceId}`,
      text: name,
      small: SPAN_WORDS[how as keyof typeof SPAN_WORDS],
      figure: `${sign}${say.g(grams)}`,
      ticked: true,
    }));
  const sum = (items: readonly SheetPiece[]): number => items.reduce((grams, item) => grams + item.grams, 0);
  const bought: LeavingLine[] = (shopping?.bought ?? []).map(({ food: { id, name }, massG, packs }) => ({
    key: `buy ${shopping!.stopId} ${id}`,
    text: name,
    ...(packs === undefined ? {} : { small: counted(packs, "pack") }),
    figure: say.g(massG),
    ticked: true,
    of: "food",
  }));
  const fills = sheet.carries.map((carry): LeavingLine => ({
    key: `fill ${carry.fromNode}`,
    text: `${carry.fromNode === leg.fromNode ? "Fill here" : waterName(carry.fromSourceId, plan)}, ${say.distance(carry.fromNode * result.profile.cellM)}${carry.campL > 0 ? ", for a dry camp" : ""}`,
    figure: say.L(carry.litres),
    of: "water",
  }));
  const burnt: LeavingLine[] =
    fuel.startG > 0 ? [{ key: "fuel", text: fuelWords(fuel, say), figure: say.g(fuel.startG), of: "fuel" }] : [];
  const parts: LeavingPart[] = [
    { name: "Picked up here", figure: `+${say.g(sum(sheet.comes))}`, lines: pieces(sheet.comes, "+") },
    { name: "Leaves your pack", figure: `−${say.g(sum(sheet.goes))}`, lines: pieces(sheet.goes, "−") },
    {
      name: sheet.boxes.length === 1 ? "Box to pick up" : "Boxes to pick up",
      lines: sheet.boxes.map((box) => ({
        key: `${leg.fromStopId} box ${box.key}`,
        text: boxName(box, plan),
        small: stateWords(box.row, say),
        figure: say.kg(box.totalG / 1000),
        ticked: true,
      })),
    },
    {
      name: "Food",
      figure: `${say.kg(bag ? bag.figures.massG / 1000 : sheet.food.kg)}, ${say.kcal(bag ? bag.figures.energyKcal : sheet.food.kcal)}`,
      lines: [
        ...(sheet.food.byPost ? [{ key: "box", text: "From the box." }] : []),
        ...(bag?.items ?? []).map(({ food: { id, name }, massG }): LeavingLine => ({
          key: `food ${id}`,
          text: name,
          figure: say.g(massG),
          of: "food",
        })),
      ],
    },
    {
      name: plan.hikers.length > 1 ? "Buy here, for everyone" : "Buy here",
      figure: say.g((shopping?.bought ?? []).reduce((grams, { massG }) => grams + massG, 0)),
      lines: bought,
    },
    { name: "Water and fuel", lines: [...fills, ...burnt] },
    {
      name: "Charge",
      lines: charge
        ? [
            {
              key: "charge",
              text:
                charge.flatOn === undefined
                  ? `Lasts; the lowest is ${say.percent(100 * charge.lowestFraction)}.`
                  : `Runs flat on ${say.date(charge.flatOn)}: charge everything, and turn off what you can.`,
            },
          ]
        : [],
    },
    {
      name: "Ahead",
      lines: sheet.ahead.map(({ name, rule, kind, fromM }) => ({
        key: `${name} ${fromM}`,
        text: name,
        small: spoken(rule ?? kind),
        figure: say.distance(fromM),
      })),
    },
    { name: "To decide", lines: decisionLines(plan, result, legIndex, say) },
    { name: "Cautions", lines: cautionLines(plan, result, legIndex, hiker.id) },
  ];
  return {
    leg,
    head: `Leaving ${stopName(plan, leg.fromStopId)}, ${firstName(hiker)}`,
    title: `${say.kg(sheet.startKg)} to ${stopName(plan, leg.toStopId)}`,
    summary: `${say.distance(leg.distanceM)}, ${say.height(leg.climbM)} up, ${say.days(leg.dayCount)}. Nights to ${say.C(leg.coldNightC)}, days to ${say.C(leg.hotDayC)}${leg.snowM >= SNOW_M ? `, ${say.distance(leg.snowM)} on snow` : ""}.`,
    parts: parts.filter(({ name, lines }) => lines.length > 0 || name === "Food"),
  };
}

/** What waits and has to be decided here or towards the next stop. */
function decisionLines(plan: Plan, result: PlanResult, legIndex: number, say: Say): LeavingLine[] {
  const { startDate, endDate } = result.legs[legIndex]!;
  return decisionsOf(plan, result).flatMap(({ choice, decideBy, legIndex: comesOn, takenG }): LeavingLine[] => {
    if (choice.decided || decideBy === undefined) return [];
    if (comesOn !== legIndex && (decideBy < startDate || decideBy > endDate)) return [];
    return [
      {
        key: `decide ${choice.id}`,
        text: `Only if ${choice.name}`,
        small: `by ${say.date(decideBy)}`,
        figure: `${takenG < 0 ? "−" : "+"}${say.g(Math.abs(takenG))}`,
      },
    ];
  });
}

function cautionLines(plan: Plan, { checks }: PlanResult, legIndex: number, hikerId: string): LeavingLine[] {
  const found = checks.filter(
    (check) =>
      check.legIndex === legIndex &&
      check.severity !== "note" &&
      (check.hikerId === undefined || check.hikerId === hikerId),
  );
  const shown = found.slice(0, MOST_CAUTIONS).map((check, i): LeavingLine => ({
    key: `caution ${i}`,
    text: checkSentence(check, plan),
    tone: check.severity === "blocker" ? "danger" : "caution",
  }));
  const left = found.length - shown.length;
  return left > 0 ? [...shown, { key: "more", text: `${left} more in Legs.` }] : shown;
}

function fuelWords({ openG, bought, needG }: { openG: number; bought: number; needG: number }, say: Say): string {
  const left = openG > 0 ? `${say.g(openG)} left` : "none left";
  return bought > 0
    ? `Fuel: ${left}, the leg needs ${say.g(needG)}: get ${bought} more`
    : `Fuel: ${left}, the leg needs ${say.g(needG)}: enough`;
}
