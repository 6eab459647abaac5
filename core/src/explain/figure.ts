/** A figure that can be asked why: an id that addresses and words go by, and the tree it is taken apart into. */
import type { Question } from "../models/index.ts";
import type { SourceId } from "./codes.ts";
import { choiceOf, resolveHiker, type HikerSchools } from "../models/hiker.ts";
import type { School } from "../models/school.ts";
import type { Hiker, Plan } from "../plan/schema.ts";
import type { LegHiker, LegResult, PlanFigures } from "../result/result.ts";
import type { Derivation } from "./derivation.ts";

/** Whose figure on which leg, and all that it may follow from. */
export interface WhyContext {
  plan: Plan;
  result: PlanFigures;
  leg: LegResult;
  row: LegHiker;
  hiker: Hiker;
  /** The hiker's place in the plan. */
  who: number;
  schools: HikerSchools;
  /** Which of the leg's carries; the largest without. */
  carryIndex: number | undefined;
  /** Which cell's speed; the slowest of the leg without. */
  cell: number | undefined;
}

export interface FigureKind<Id extends string> {
  id: Id;
  /** Undefined where the leg has no such figure. */
  explain: (context: WhyContext) => Derivation | undefined;
}

export function defineFigure<const Id extends string>(kind: FigureKind<Id>): FigureKind<Id> {
  return kind;
}

export function schoolsOf(hiker: Hiker): HikerSchools {
  return resolveHiker(choiceOf(hiker));
}

/** Key of a school as a source: `question:id`, or that the hiker measured it. */
export function sourceOf(question: Question, school: School): SourceId {
  return school.measured ? "own-measured" : `${question}:${school.id}`;
}
