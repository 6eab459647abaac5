/**
 * What a reader has to say about its input. Readers answer `{ value, problems }`: with an `error`
 * among the problems there is no value, with a `caution` the value was accepted after repair.
 */
export interface Problem {
  severity: "error" | "caution" | "note";
  /** Where: `line 412`, `stops[3].trackM`, or the file as a whole. */
  place: string;
  /** What was expected, what came, what is allowed: one plain sentence. */
  sentence: string;
}

export interface ReadResult<T> {
  value: T | undefined;
  problems: Problem[];
}

export function refused<T>(place: string, sentence: string): ReadResult<T> {
  return { value: undefined, problems: [{ severity: "error", place, sentence }] };
}

/** A table longer than a reader goes on reading. */
export function onlyFirst(mostLines: number): string {
  return `Only the first ${mostLines} lines are read.`;
}
