/**
 * What every school of every question has in common: an id that plan files keep, where it comes from,
 * where it holds, and one pure function. Beyond its validity a school still answers where it can, and
 * `outside` says which figure left the range.
 */
export interface Validity {
  /** One sentence for the reader. */
  words: string;
  /** Inclusive limits by the name of the input they hold for, in its unit. */
  ranges: Readonly<Record<string, readonly [low: number, high: number]>>;
}

/** An input that lies outside the range a school was measured in. */
export interface Reason {
  quantity: string;
  value: number;
  low: number;
  high: number;
}

/** How far we trust our own copy of the published form: see docs/models.md. */
export type Confidence = "high" | "medium" | "experimental";

export interface School<Input extends object, Output> {
  id: string;
  name: string;
  source: string;
  validity: Validity;
  confidence: Confidence;
  compute: (input: Input) => Output;
  outside: (input: Input) => Reason[];
}

/** Which of the input's figures lie outside the ranges. Figures that are missing are not judged. */
export function outsideOf(ranges: Validity["ranges"]): (input: object) => Reason[] {
  return (input) =>
    Object.entries(ranges).flatMap(([quantity, [low, high]]) => {
      const value = (input as Record<string, unknown>)[quantity];
      return typeof value === "number" && (value < low || value > high) ? [{ quantity, value, low, high }] : [];
    });
}

/** The schools of one question, the default first. */
export function registryOf<S extends { id: string }>(question: string, schools: readonly [S, ...S[]]): Registry<S> {
  return {
    question,
    all: schools,
    ids: schools.map((school) => school.id),
    has: (id) => schools.some((school) => school.id === id),
    get(id) {
      const found = schools.find((school) => school.id === id);
      if (!found)
        throw new Error(
          `Unknown ${question} model "${id}". Use one of: ${schools.map((school) => school.id).join(", ")}.`,
        );
      return found;
    },
    /** For documents written by another version: an id we do not know means the default. */
    orDefault: (id) => schools.find((school) => school.id === id) ?? schools[0],
  };
}

export interface Registry<S> {
  question: string;
  all: readonly [S, ...S[]];
  ids: readonly string[];
  has: (id: string) => boolean;
  get: (id: string) => S;
  orDefault: (id: string) => S;
}
