/** What every check owes the reader: a mark for a table, its station, a whole sentence, and what would repair it. */
import type { Check, CheckCode } from "@gepack/core";
import type { Fix, FixContext } from "../../fixes/fix.ts";
import type { StationId } from "../../stations/registry.ts";
import type { Say } from "../say.ts";

export type CheckOf<Code extends CheckCode> = Extract<Check, { code: Code }>;

export interface CheckWords<Code extends CheckCode> {
  /** One word. */
  mark: string;
  station: StationId;
  /** `at` is " at km 12", or nothing where the check bites nowhere in particular. */
  sentence: (check: CheckOf<Code>, say: Say, at: string) => string;
  fixes: (check: CheckOf<Code>, on: FixContext) => Fix[];
}

/** The words of some checks; a code without words, or with figures that are not its own, does not compile. */
export function checkWords<Code extends CheckCode>(words: { [C in Code]: CheckWords<C> }): {
  [C in Code]: CheckWords<C>;
} {
  return words;
}
