/** The words of all checks, and what is given of one: the core answers codes and values. */
import type { Check, CheckCode, Plan } from "@gepack/core";
import type { Fix, FixContext } from "../../fixes/fix.ts";
import type { StationId } from "../../stations/registry.ts";
import { sayIn } from "../say.ts";
import { bodyWords } from "./body.ts";
import { boxWords } from "./boxes.ts";
import { coldWords } from "./cold.ts";
import { daysWords } from "./days.ts";
import { foodWords } from "./food.ts";
import { kitWords } from "./kit.ts";
import { loadWords } from "./load.ts";
import { modelWords } from "./models.ts";
import { powerWords } from "./power.ts";
import { routeWords } from "./route.ts";
import { seasonWords } from "./season.ts";
import { stopWords } from "./stops.ts";
import { stretchWords } from "./stretches.ts";
import { waterWords } from "./water.ts";
import type { CheckWords } from "./words.ts";

const WORDS: { [Code in CheckCode]: CheckWords<Code> } = {
  ...loadWords,
  ...waterWords,
  ...foodWords,
  ...coldWords,
  ...kitWords,
  ...daysWords,
  ...stopWords,
  ...boxWords,
  ...stretchWords,
  ...routeWords,
  ...seasonWords,
  ...powerWords,
  ...bodyWords,
  ...modelWords,
};

/** The table pairs every code with words for its own figures; which one it is, is known only here. */
function wordsOf(check: Check): CheckWords<never> {
  return WORDS[check.code] as unknown as CheckWords<never>;
}

/** One word for a mark in a table. */
export function checkMark(check: Check): string {
  return wordsOf(check).mark;
}

/** Which station a check belongs to, for the counts beside the names. */
export function checkStation(check: Check): StationId {
  return wordsOf(check).station;
}

/** What falls short, with its figures: a whole sentence. */
export function checkSentence(check: Check, plan: Plan): string {
  const say = sayIn(plan);
  const at = check.atM === undefined ? "" : ` at ${say.distance(check.atM)}`;
  return wordsOf(check).sentence(check as never, say, at);
}

/** What would repair it, the buttons first as they stand. */
export function checkFixes(check: Check, on: FixContext): Fix[] {
  return wordsOf(check).fixes(check as never, on);
}

/** A sharp word for severity, never colour alone. */
export const SEVERITY_WORD: Record<Check["severity"], string> = {
  blocker: "Problem",
  caution: "Caution",
  note: "Note",
};

/** One check for each sentence: what holds for both hikers alike is said once. */
export function distinct(checks: readonly Check[], plan: Plan): Check[] {
  return [...new Map(checks.map((check) => [`${check.legIndex} ${checkSentence(check, plan)}`, check])).values()];
}
