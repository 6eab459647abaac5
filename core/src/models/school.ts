/**
 * What every school of every question has in common: an id that plan files keep, where it comes from,
 * where it holds, and its functions. Beyond its validity a school still answers where it can, and
 * `outside` says which figure left the range.
 */
export interface Validity {
  /** One sentence for the reader. */
  words: string;
  /** Inclusive limits by the name of the input they hold for, in its unit. */
  ranges: Readonly<Record<string, readonly [low: number, high: number]>>;
}

/** An input that is outside the range a school was measured in. */
export interface Reason {
  quantity: string;
  value: number;
  low: number;
  high: number;
}

/** How far we trust our own copy of the published form: see docs/models.md. */
export type Confidence = "high" | "medium" | "experimental";

export interface SchoolHead {
  id: string;
  name: string;
  source: string;
  validity: Validity;
  confidence: Confidence;
}

export interface School extends SchoolHead {
  /** Measured by the hiker on themselves: it replaces the schools of its question. */
  measured: boolean;
  /** Which of the input's figures are outside the ranges. Figures that are missing are not judged. */
  outside: (input: object) => Reason[];
}

/** A school from its head and its functions. */
export function defineSchool<Functions extends object>(school: SchoolHead & Functions): Functions & School {
  const limits = Object.entries(school.validity.ranges);
  return {
    ...school,
    measured: false,
    outside: (input) =>
      limits.flatMap(([quantity, [low, high]]) => {
        const value = (input as Record<string, unknown>)[quantity];
        return typeof value === "number" && (value < low || value > high) ? [{ quantity, value, low, high }] : [];
      }),
  };
}

/** A value that a hiker measured, as the school it replaces: it holds for them, whatever the ranges. */
export function measuredSchool<Functions extends object>(
  id: string,
  name: string,
  functions: Functions,
): Functions & School {
  const validity: Validity = { words: "As good as what you measured.", ranges: {} };
  return {
    ...defineSchool({ id, name, source: "Measured on yourself", confidence: "high", validity, ...functions }),
    measured: true,
  };
}

/** A school that goes on working under the head of another: what it says is overruled there. */
export function standIn<S extends School>(school: S, head: School): S {
  const { id, name, source, confidence, validity, measured, outside } = head;
  return { ...school, id, name, source, confidence, validity, measured, outside };
}

/** The schools of one question, the default first. */
export interface Registry<S> {
  question: string;
  all: readonly [S, ...S[]];
  ids: readonly string[];
  find: (id: string) => S | undefined;
  /** Throws for an id that nobody knows, naming those that are. */
  get: (id: string) => S;
}

export function registryOf<S extends { id: string }>(question: string, schools: readonly [S, ...S[]]): Registry<S> {
  const ids = schools.map((school) => school.id);
  const find = (id: string): S | undefined => schools.find((school) => school.id === id);
  return {
    question,
    all: schools,
    ids,
    find,
    get(id) {
      const found = find(id);
      if (!found) throw new Error(`Unknown ${question} model "${id}". Use one of: ${ids.join(", ")}.`);
      return found;
    },
  };
}
