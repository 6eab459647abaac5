/**
 * What falls short, and by what figures: codes and values; the interface has the words. A check is a kind of
 * its own, with its figures and their units; a new one is written in one of the files beside this.
 */
import type { PlannedBox } from "../boxes/boxes.ts";
import type { LegBag } from "../bag/legBag.ts";
import type { FordPassage } from "../conditions/fords.ts";
import type { HikerSchools } from "../models/hiker.ts";
import type { Season } from "../season/season.ts";
import type { Snow } from "../season/snow.ts";
import type { Hiker, Plan } from "../plan/schema.ts";
import type { LegHiker, LegResult, TripFigures } from "../result/result.ts";
import { walkedOf } from "../track/place.ts";
import type { WalkedM } from "../units/lengths.ts";
import type { PlacedSource } from "../walk/sources.ts";

export type Severity = "blocker" | "caution" | "note";

// prettier-ignore
export type FigureUnit =
  | "kg" | "g" | "L" | "m" | "C" | "R" | "kcal/day" | "kcal" | "g/day" | "kcal/kg" | "kcal/g" | "g/kg" | "days" | "Wh" | "min"
  | "h" | "clock" | "m/s" | "W"
  | "%" | "count" | "date" | "name";

type Units = Readonly<Record<string, FigureUnit>>;
type Figures<U extends Units> = { [Name in keyof U]: U[Name] extends "date" | "name" ? string : number };

/** Where a check bites: the whole trip where a part is missing. */
interface Where {
  legIndex: number | undefined;
  hikerId: string | undefined;
  /** Distance in walking order. */
  atM: WalkedM | undefined;
}

/** What the conditions read. */
export interface CheckContext {
  plan: Plan;
  result: TripFigures;
  /** By hiker. */
  schools: readonly HikerSchools[];
  sources: readonly PlacedSource[];
  season: Season;
  snow: Snow | undefined;
  fords: readonly FordPassage[];
  /** Of every hiker, where menus say what is in them. */
  bags: readonly (readonly LegBag[])[];
  boxes: readonly PlannedBox[];
}

export type Finding<U extends Units> = { severity: Severity } & Partial<Where> & Figures<U>;

export interface CheckKind<Code extends string, U extends Units> {
  code: Code;
  /** Its figures by name, each with its unit. */
  units: U;
  find: (context: CheckContext) => Iterable<Finding<U>>;
}

export function defineCheck<const Code extends string, const U extends Units>(
  kind: CheckKind<Code, U>,
): CheckKind<Code, U> {
  return kind;
}

/** A check that was found: its code, how grave, where, and its figures by name. */
export type CheckOf<Kind> =
  Kind extends CheckKind<infer Code, infer U> ? { code: Code; severity: Severity } & Where & Figures<U> : never;

export interface OnLeg {
  leg: LegResult;
  row: LegHiker;
  hiker: Hiker;
  who: number;
  /** Of the leg and the hiker. */
  where: Pick<Where, "legIndex" | "hikerId"> & { legIndex: number; hikerId: string };
}

/** Every leg of every hiker. */
export function* onLegs({ plan, result }: CheckContext): Generator<OnLeg> {
  for (const leg of result.legs)
    for (const [who, row] of leg.hikers.entries())
      yield { leg, row, who, hiker: plan.hikers[who]!, where: { legIndex: leg.index, hikerId: row.hikerId } };
}

export function atNode({ result }: CheckContext, node: number): WalkedM {
  return walkedOf(result.profile, node);
}
